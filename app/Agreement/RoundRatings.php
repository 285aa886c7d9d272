<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Codebook\Codebook;
use Core\Codebook\Fault;
use Core\Reading\Presence;
use Illuminate\Database\Eloquent\Collection;

/**
 * What was said in a round and what the key says of it, as the arithmetic takes it; raters by number, never by name.
 *
 * Left out of scoring and counted: contested entries, conflicts not ruled on, faults that nobody could observe from
 * what the case showed, and whoever sat on the panel that made the key.
 */
final readonly class RoundRatings
{
    /**
     * @param  list<array{string, string, string, string, string, float|null}>  $rows  case, item, rater, value,
     *     occasion, confidence
     * @param  list<array{string, string, string}>  $key  case, item, value
     * @param  list<string>  $unscored  raters who helped to make the key
     * @param  array<string, int>  $unsupported  calls that what was shown cannot support, by rater
     * @param  array<string, int>  $cannotTell  by rater
     * @param  array<string, int>  $left  entries left out of scoring, by reason
     * @param  array<string, string>  $arms  what was shown, by case|rater
     * @param  array<string, true>  $blindTo  calls of what the reader's own arm could not show, by case|item|rater
     */
    private function __construct(
        public array $rows,
        public array $key,
        public array $unscored,
        public array $unsupported,
        public array $cannotTell,
        public array $left,
        public int $cases,
        public string $checksum,
        public array $arms,
        private array $blindTo,
    ) {
    }

    public static function ofRound(Sitting $round, Codebooks $codebooks): self
    {
        $round->loadMissing(['keyVersion.sitting']);
        /** @var Collection<int, SittingCase> $cases */
        $cases = $round
            ->cases()
            ->with(['recording', 'arm', 'swings.recording.films'])
            ->orderBy('id')
            ->get()
            ->keyBy('id');
        $all = $round
            ->readings()
            ->whereNotNull('handed_in_at')
            ->with(['calls', 'arm'])
            ->orderBy('readings.id')
            ->get();
        // Whoever had been shown the answer reads no blind reading.
        $readings = $all->where('exposed', false)->values();
        $entries =
            $round->keyVersion?->entries()->whereIn('case_id', $cases->pluck('case_id'))->orderBy('id')->get() ??
            collect();
        $panel = $round->keyVersion?->sitting->members()->orderBy('users.id')->pluck('users.id')->all() ?? [];
        $codebook = $codebooks->of($round);
        $rows = $key = $unsupported = $cannotTell = $arms = $blindTo = [];
        $left = [
            'contested' => 0,
            'conflict' => 0,
            'not observable' => 0,
            ...$all->count() > $readings->count() ? ['exposed' => $all->count() - $readings->count()] : [],
        ];
        /** @var Collection<int, KeyEntry> $entries */
        $known = $entries->keyBy(static fn (KeyEntry $e): string => $e->case_id.'|'.$e->fault);
        $seen = self::seen($cases, $readings, $codebook);
        foreach ($cases as $case) {
            foreach ($codebook->keys() as $fault) {
                $entry = $known->get($case->case_id.'|'.$fault);
                if ($entry === null || $case->occasion !== 1) {
                    continue;
                }
                $label = $entry->scoredLabel();
                if ($label === null) {
                    $left[$entry->grade === 'conflict' ? 'conflict' : 'contested']++;
                } elseif (
                    array_filter($seen[$case->id], static fn (array $faults): bool => isset($faults[$fault])) === []
                ) {
                    $left['not observable']++;
                } else {
                    $key[] = ['c'.$case->case_id, $fault, $label];
                }
            }
        }
        $byId = $cases->all();
        foreach ($readings as $reading) {
            $case = $byId[$reading->sitting_case_id];
            [$rater, $name] = ['u'.$reading->user_id, 'c'.$case->case_id];
            $core = $reading->toCore();
            $arms["$name|$rater"] = $reading->arm->code;
            $sees = $seen[$case->id][$reading->arm_id] ?? [];
            foreach ($core->calls as $fault => $call) {
                $told = $call->presence !== Presence::CannotTell;
                $unsupported[$rater] = ($unsupported[$rater] ?? 0) + ($told && ! isset($sees[$fault]) ? 1 : 0);
                $cannotTell[$rater] = ($cannotTell[$rater] ?? 0) + ($told ? 0 : 1);
                isset($sees[$fault]) || ($blindTo["$name|$fault|$rater"] = true);
                $rows[] = [
                    $name,
                    $fault,
                    $rater,
                    $call->presence->value,
                    (string) $case->occasion,
                    $call->confidence === null ? null : $call->confidence / 100,
                ];
            }
        }
        $checksum = hash('sha256', json_encode([
            $round->key_version_id, $panel, $round->lens, $codebook->version, config('academy.bootstrap'), $seen,
            $readings->map(static fn (Reading $r): array => [$r->id, $r->version, $r->user_id, $r->arm_id])->all(),
            $entries->mapWithKeys(static fn (KeyEntry $e): array => [$e->id => $e->scoredLabel()])->all(),
        ], JSON_THROW_ON_ERROR));

        return new self(
            $rows,
            $key,
            array_map(static fn (mixed $id): string => 'u'.(is_scalar($id) ? $id : ''), array_values($panel)),
            $unsupported,
            $cannotTell,
            $left,
            $cases->count(),
            $checksum,
            $arms,
            $blindTo,
        );
    }

    /**
     * Which faults can be seen, directly or not, from what each arm shows of each case.
     *
     * @param  Collection<int, SittingCase>  $cases
     * @param  Collection<int, Reading>  $readings
     * @return array<int, array<int, array<string, true>>> by case of the sitting and arm
     */
    private static function seen(Collection $cases, Collection $readings, Codebook $codebook): array
    {
        $out = [];
        $arms = $dealt = [];
        foreach ($readings as $reading) {
            $arms[$reading->arm_id] = $reading->arm;
            $dealt[$reading->sitting_case_id][$reading->arm_id] = $reading->arm_id;
        }
        foreach ($cases as $case) {
            foreach ($dealt[$case->id] ?? ($case->arm_id === null ? [] : [$case->arm_id]) as $arm) {
                $shown = $case->shown($arms[$arm] ?? null);
                $out[$case->id][$arm] = array_map(
                    static fn (): bool => true,
                    array_filter($codebook->faults, static fn (Fault $f): bool => $f->observability($shown)->supports()),
                );
            }
            $out[$case->id] ??= [];
        }

        return $out;
    }

    /** Everybody's calls, without the key. */
    public function said(): RatingSet
    {
        return $this->set($this->rows);
    }

    /** The calls of those who are scored, with the key. */
    public function scored(): RatingSet
    {
        $set = $this->set(
            array_filter(
                $this->rows,
                fn (array $row): bool => ! in_array($row[2], $this->unscored, true) &&
                    ! isset($this->blindTo["$row[0]|$row[1]|$row[2]"]),
            ),
        );
        foreach ($this->key as $entry) {
            $set->addKey(...$entry);
        }

        return $set;
    }

    /**
     * Sums by case over the rows that are kept, of present against absent; null where none is left.
     *
     * @param  \Closure(array{string, string, string, string, string, float|null}): bool  $keep
     */
    public function sums(\Closure $keep): ?CountSums
    {
        $set = $this->set(array_filter($this->rows, $keep));
        $options = self::options();

        return $set->isEmpty()
            ? null
            : new CountSums(
                ItemTable::fromRatings($set, $set->items(), $options->categories, $options->cannotTell),
                Weights::identity(2),
            );
    }

    /** @param  array<int, array{string, string, string, string, string, float|null}>  $rows */
    private function set(array $rows): RatingSet
    {
        $set = new RatingSet;
        foreach ($rows as $row) {
            $set->add(...$row);
        }

        return $set;
    }

    public static function options(): StudyOptions
    {
        return new StudyOptions(
            categories: [Presence::Absent->value, Presence::Present->value],
            cannotTell: Presence::CannotTell->value,
            bootstrap: config()->integer('academy.bootstrap'),
        );
    }
}
