<?php

declare(strict_types=1);

namespace App\Debrief;

use App\Codebook\Codebooks;
use App\Models\DebriefCase;
use App\Models\Enums\VoteKind;
use App\Models\Reading;
use App\Models\Sitting;
use Core\Consensus\Appropriateness;
use Core\Consensus\CaseConsensus;
use Core\Consensus\DrillConsensus;
use Core\Reading\Presence;
use Core\Reading\Stage;

/** What a room may be asked of a case, what it may answer, and what the key would. */
final readonly class Questions
{
    /** An answer that none of those offered is right. */
    public const NONE = 'none';

    private const MOST = 8;

    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * @return array{list<string>, list<string>|null}|null options and the key's answers; null where it cannot be asked
     */
    public function about(DebriefCase $case, VoteKind $kind, string $fault): ?array
    {
        $place = $case->loadMissing('case')->case;
        $round = Sitting::query()->with('keyVersion')->findOrFail($place->sitting_id);
        $key = $round->keyVersion?->cases()->where('case_id', $place->case_id)->first()?->toCore();

        return match ($kind) {
            VoteKind::Presence => isset($this->codebooks->of($round)->faults[$fault])
                ? self::presence($round, $place->case_id, $fault)
                : null,
            VoteKind::Cause => self::offered(
                $this->named($place->id, static fn (Reading $r): array => CaseConsensus::causes($r->toCore())),
                $key?->causes->settled(),
            ),
            VoteKind::Drill => self::offered(
                $this->named($place->id, static fn (Reading $r): array => $r->drill === null ? [] : [$r->drill]),
                $key === null ? null : self::helpful($key),
            ),
        };
    }

    /** @return array{list<string>, list<string>|null} */
    private static function presence(Sitting $round, int $case, string $fault): array
    {
        $label = $round->keyVersion?->entries()
            ->where('case_id', $case)
            ->where('fault', $fault)
            ->first()
            ?->scoredLabel();

        return [array_column(Presence::cases(), 'value'), $label === null ? null : [$label]];
    }

    /**
     * Drills that help on some rung and are unsafe on none; null where none was judged.
     *
     * @return list<string>|null
     */
    private static function helpful(CaseConsensus $key): ?array
    {
        $out = [];
        foreach ($key->judged as $drill => $rungs) {
            $would = array_map(static fn (DrillConsensus $d): ?Appropriateness => $d->verdict(), $rungs);
            if (in_array(Appropriateness::Helps, $would, true) && ! in_array(Appropriateness::Unsafe, $would, true)) {
                $out[] = $drill;
            }
        }

        return $key->judged === [] ? null : $out;
    }

    /**
     * @param  list<string>  $named  the commonest first
     * @param  list<string>|null  $right
     * @return array{list<string>, list<string>|null}|null
     */
    private static function offered(array $named, ?array $right): ?array
    {
        // What the key says is among what can be said, or the question would be a trap.
        $options = array_values(
            array_unique([...array_slice($named, 0, self::MOST), ...array_slice($right ?? [], 0, 3)]),
        );
        $options = array_values(array_filter($options, static fn (string $o): bool => mb_strlen($o) <= 40));
        sort($options, SORT_STRING);

        return count($options) < 2 ? null : [[...$options, self::NONE], $right === [] ? [self::NONE] : $right];
    }

    /**
     * @param  \Closure(Reading): list<string>  $of
     * @return list<string> the commonest first
     */
    private function named(int $place, \Closure $of): array
    {
        $n = [];
        $readings = Reading::query()
            ->where('sitting_case_id', $place)
            ->where('stage', Stage::Blind)
            ->whereNotNull('handed_in_at')
            ->with('calls')
            ->orderBy('id')
            ->get();
        foreach ($readings as $reading) {
            foreach ($of($reading) as $one) {
                $n[$one] = ($n[$one] ?? 0) + 1;
            }
        }
        uksort($n, static fn (string $a, string $b): int => [$n[$b], $a] <=> [$n[$a], $b]);

        return array_keys($n);
    }
}
