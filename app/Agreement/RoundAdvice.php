<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use Core\Agreement\Study\AdviceResult;
use Core\Agreement\Study\AdviceStudy;
use Core\Agreement\Study\AdvisedCase;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;

/**
 * Whether a round's readers would do the same with what they see: first causes, chain, priority, decisions and misses
 * of sheets that could say them, beside the panel and the ball.
 */
final class RoundAdvice
{
    /** Readings whose calls are fetched at once. */
    private const AT_ONCE = 500;

    /** Null where no sheet could say it. */
    public static function ofRound(Sitting $round, RoundInputs $inputs): ?AdviceResult
    {
        $cases = self::cases($round, $inputs);

        return $cases === []
            ? null
            : (new AdviceStudy(
                array_values($cases),
                array_map(static fn (int $id): string => "u$id", $inputs->panel),
            ))->result();
    }

    /**
     * @param  int|null  $reader  whose sheets alone; null: everybody's
     * @return array<int, AdvisedCase> by case
     */
    public static function cases(Sitting $round, RoundInputs $inputs, ?int $reader = null): array
    {
        $said = self::said($inputs, $reader);
        /** @var array<int, KeyCase> $keys */
        $keys = $round->keyVersion?->cases()
            ->whereIn('case_id', array_keys($said))
            ->get()
            ->keyBy('case_id')
            ->all() ?? [];
        $labels = [];
        foreach ($inputs->entries as $entry) {
            /** @var KeyEntry $entry */
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $labels[$entry->case_id][$entry->fault] = $label;
            }
        }
        $cases = [];
        foreach ($said as $case => $readings) {
            $cases[$case] = new AdvisedCase(
                "c$case",
                $inputs->golfers[$case] ?? "c$case",
                $readings,
                isset($keys[$case]) ? $keys[$case]->toCore() : null,
                $inputs->flights[$case] ?? [],
                $labels[$case] ?? [],
            );
        }

        return $cases;
    }

    /** @return array<int, array<string, CoreReading>> by case and rater; of each sheet only what is called present */
    public static function said(RoundInputs $inputs, ?int $reader = null): array
    {
        $out = [];
        $first = array_filter(
            $inputs->readings,
            static fn (array $r): bool => $inputs->cases[$r['case']]->occasion === 1 &&
                ($reader === null || $r['user'] === $reader),
        );
        foreach (array_chunk($first, self::AT_ONCE) as $some) {
            $readings = Reading::query()
                ->whereKey(array_column($some, 'id'))
                ->where('sheet', '>=', Reading::CODED)
                ->with(['calls' => static fn ($q) => $q->where('presence', Presence::Present)])
                ->orderBy('id')
                ->get();
            foreach ($readings as $reading) {
                $case = $inputs->cases[$reading->sitting_case_id]->case_id;
                $out[$case]["u$reading->user_id"] = $reading->toCore();
            }
        }
        ksort($out);

        return $out;
    }
}
