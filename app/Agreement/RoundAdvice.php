<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\Study\AdviceResult;
use Core\Agreement\Study\AdviceStudy;
use Core\Agreement\Study\AdvisedCase;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Illuminate\Database\Eloquent\Collection;

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

    /** @return array<int, AdvisedCase> by case */
    private static function cases(Sitting $round, RoundInputs $inputs): array
    {
        $labels = [];
        foreach ($inputs->entries as $entry) {
            /** @var KeyEntry $entry */
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $labels[$entry->case_id][$entry->fault] = $label;
            }
        }

        return self::advised($round, self::said($inputs), $inputs->golfers, $inputs->flights, $labels);
    }

    /** @return list<int> places of which this reader's first sheet could say it */
    public static function placesOf(Sitting $round, int $reader): array
    {
        return array_values(RoundInputs::handedIn($round)
            ->where('readings.user_id', $reader)
            ->where('readings.exposed', false)
            ->where('readings.sheet', '>=', Reading::CODED)
            ->where('sitting_cases.occasion', 1)
            ->pluck('sitting_cases.id')
            ->map(Cell::int(...))
            ->all());
    }

    /**
     * The same of one reader's sheets alone.
     *
     * @param  Collection<int, SittingCase>  $places  first showings
     * @return array<int, AdvisedCase> by case
     */
    public static function ofReader(Sitting $round, Collection $places, int $reader): array
    {
        $ids = RoundInputs::handedIn($round)
            ->whereIn('sitting_cases.id', $places->modelKeys())
            ->where('readings.user_id', $reader)
            ->where('readings.exposed', false)
            ->pluck('readings.id');
        $said = $flights = $labels = [];
        foreach (self::coded(array_values($ids->all())) as $reading) {
            $said[$places->findOrFail($reading->sitting_case_id)->case_id]["u$reading->user_id"] = $reading->toCore();
        }
        foreach ($places as $place) {
            foreach ($place->swings as $swing) {
                $flight = $swing->recording->flight();
                if ($flight !== null) {
                    $flights[$place->case_id][] = $flight->misses();
                }
            }
        }
        // Nobody is asked what to do with what is not there.
        foreach ($round->keyVersion?->entries()
            ->whereIn('case_id', array_keys($said))
            ->whereRaw("coalesce(ruling, label) = 'present'")
            ->get(['id', 'case_id', 'fault', 'label', 'grade', 'ruling']) ?? [] as $entry) {
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $labels[$entry->case_id][$entry->fault] = $label;
            }
        }

        return self::advised($round, $said, [], $flights, $labels);
    }

    /**
     * @param  array<int, array<string, CoreReading>>  $said  by case and rater
     * @param  array<int, string>  $golfers
     * @param  array<int, list<list<string>>>  $flights
     * @param  array<int, array<string, string>>  $labels
     * @return array<int, AdvisedCase>
     */
    private static function advised(Sitting $round, array $said, array $golfers, array $flights, array $labels): array
    {
        /** @var array<int, KeyCase> $keys */
        $keys = $round->keyVersion?->cases()
            ->whereIn('case_id', array_keys($said))
            ->get()
            ->keyBy('case_id')
            ->all() ?? [];
        $cases = [];
        foreach ($said as $case => $readings) {
            $cases[$case] = new AdvisedCase(
                "c$case",
                $golfers[$case] ?? "c$case",
                $readings,
                isset($keys[$case]) ? $keys[$case]->toCore() : null,
                $flights[$case] ?? [],
                $labels[$case] ?? [],
            );
        }

        return $cases;
    }

    /**
     * @param  list<mixed>  $ids
     * @return Collection<int, Reading> those that could say it; of each only what is called present
     */
    private static function coded(array $ids): Collection
    {
        return Reading::query()
            ->whereKey($ids)
            ->where('sheet', '>=', Reading::CODED)
            ->with(['calls' => static fn ($q) => $q->where('presence', Presence::Present)])
            ->orderBy('id')
            ->get();
    }

    /** @return array<int, array<string, CoreReading>> by case and rater; of each sheet only what is called present */
    public static function said(RoundInputs $inputs): array
    {
        $out = [];
        $first = array_filter(
            $inputs->readings,
            static fn (array $r): bool => $inputs->cases[$r['case']]->occasion === 1,
        );
        foreach (array_chunk($first, self::AT_ONCE) as $some) {
            foreach (self::coded(array_column($some, 'id')) as $reading) {
                $case = $inputs->cases[$reading->sitting_case_id]->case_id;
                $out[$case]["u$reading->user_id"] = $reading->toCore();
            }
        }
        ksort($out);

        return $out;
    }
}
