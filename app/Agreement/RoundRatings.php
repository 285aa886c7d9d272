<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Reading\Presence;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What was said in a round and what the key says of it, as the arithmetic takes it; raters by number, never by name.
 *
 * Left out of scoring and counted: contested entries, conflicts not ruled on, faults that nobody could observe from
 * what the case showed, and whoever sat on the panel that made the key.
 *
 * @phpstan-import-type HandIn from RoundInputs
 *
 * @phpstan-type Row array{reading: HandIn, case: string, fault: string, rater: string, said: string, occasion: string,
 *     sure: float|null}
 */
final readonly class RoundRatings
{
    /** Readings whose calls are fetched at once. */
    private const AT_ONCE = 500;

    /**
     * @param  RatingSet  $said  everybody's calls, without the key
     * @param  RatingSet  $scored  the calls of those who are scored, with the key
     * @param  array<string, RatingSet>  $byArm  calls of first occasions, by what was shown
     * @param  array<int, array<int, list<ScoredCall>>>  $people  scored calls by user and case, in the order of reading
     * @param  array<string, int>  $unsupported  calls that what was shown cannot support, by rater
     * @param  array<string, int>  $cannotTell  by rater
     * @param  array<string, int>  $left  entries left out of scoring, by reason
     * @param  Collection<int, KeyEntry>  $entries  of the key
     */
    private function __construct(
        public RatingSet $said,
        public RatingSet $scored,
        public array $byArm,
        public array $people,
        public array $unsupported,
        public array $cannotTell,
        public array $left,
        public int $cases,
        public Collection $entries,
        public string $checksum,
    ) {
    }

    public static function ofRound(Sitting $round, Codebooks $codebooks): self
    {
        $inputs = RoundInputs::ofRound($round, $codebooks);
        [$key, $left] = self::keyOf($inputs);
        $said = new RatingSet;
        $scored = new RatingSet;
        $truth = $byArm = $people = $unsupported = $cannotTell = [];
        foreach ($key as [$case, $fault, $label]) {
            $scored->addKey($case, $fault, $label);
            $truth[$case][$fault] = $label === Presence::Present->value;
        }
        $panel = array_fill_keys($inputs->panel, true);
        foreach (self::rows($inputs) as $row) {
            ['reading' => $reading, 'case' => $case, 'fault' => $fault, 'rater' => $rater] = $row;
            $all = [$case, $fault, $rater, $row['said'], $row['occasion'], $row['sure']];
            $sees = isset($inputs->seen[$reading['case']][$reading['arm']][$fault]);
            $told = $row['said'] !== Presence::CannotTell->value;
            $unsupported[$rater] = ($unsupported[$rater] ?? 0) + ($told && ! $sees ? 1 : 0);
            $cannotTell[$rater] = ($cannotTell[$rater] ?? 0) + ($told ? 0 : 1);
            $said->add(...$all);
            $judged = ! isset($panel[$reading['user']]);
            if ($judged && $sees) {
                $scored->add(...$all);
            }
            if ($row['occasion'] === '1') {
                $arm = $inputs->arms[$reading['arm']]->code;
                ($byArm[$arm] ??= new RatingSet)->add(...$all);
                if ($judged && $told && isset($truth[$case][$fault])) {
                    $people[$reading['user']][$reading['id']][] = new ScoredCall(
                        $round->id.$case,
                        $fault,
                        $row['said'] === Presence::Present->value,
                        $truth[$case][$fault],
                        $row['sure'],
                    );
                }
            }
        }

        return new self(
            $said,
            $scored,
            $byArm,
            self::inOrder($people, $inputs),
            $unsupported,
            $cannotTell,
            $left,
            count($inputs->cases),
            $inputs->entries,
            $inputs->checksum,
        );
    }

    /** @return RatingSet everybody's calls of a round, and nothing else of it */
    public static function saidIn(Sitting $round, Codebooks $codebooks): RatingSet
    {
        $said = new RatingSet;
        foreach (self::rows(RoundInputs::ofRound($round, $codebooks)) as $row) {
            $said->add($row['case'], $row['fault'], $row['rater'], $row['said'], $row['occasion'], $row['sure']);
        }

        return $said;
    }

    /**
     * The calls of its blind readings one by one, readings and calls in the order of their making.
     *
     * @return \Generator<Row>
     */
    public static function rows(RoundInputs $inputs): \Generator
    {
        $names = $raters = [];
        foreach ($inputs->readings as $reading) {
            $names[$reading['case']] ??= 'c'.$inputs->cases[$reading['case']]->case_id;
            $raters[$reading['user']] ??= 'u'.$reading['user'];
        }
        foreach (array_chunk($inputs->readings, self::AT_ONCE) as $some) {
            $readings = array_column($some, null, 'id');
            $calls = DB::table('calls')
                ->whereIn('reading_id', array_keys($readings))
                ->orderBy('reading_id')
                ->orderBy('id')
                ->get(['reading_id', 'fault', 'presence', 'confidence']);
            foreach ($calls as $call) {
                $reading = $readings[Cell::int($call->reading_id)];
                yield [
                    'reading' => $reading,
                    'case' => $names[$reading['case']],
                    'fault' => Cell::text($call->fault),
                    'rater' => $raters[$reading['user']],
                    'said' => Cell::text($call->presence),
                    'occasion' => (string) $inputs->cases[$reading['case']]->occasion,
                    'sure' => $call->confidence === null ? null : Cell::int($call->confidence) / 100,
                ];
            }
        }
    }

    /** @return array{list<array{string, string, string}>, array<string, int>} the key, and what of it is left out */
    public static function keyOf(RoundInputs $inputs): array
    {
        $key = [];
        $left = [
            'contested' => 0,
            'conflict' => 0,
            'not observable' => 0,
            ...$inputs->exposed > 0 ? ['exposed' => $inputs->exposed] : [],
        ];
        $known = $inputs->entries->keyBy(static fn (KeyEntry $e): string => $e->case_id.'|'.$e->fault);
        foreach ($inputs->cases as $case) {
            foreach ($inputs->codebook->keys() as $fault) {
                $entry = $known->get($case->case_id.'|'.$fault);
                if ($entry === null || $case->occasion !== 1) {
                    continue;
                }
                $label = $entry->scoredLabel();
                if ($label === null) {
                    $left[$entry->grade === 'conflict' ? 'conflict' : 'contested']++;
                } elseif (
                    array_filter(
                        $inputs->seen[$case->id],
                        static fn (array $faults): bool => isset($faults[$fault]),
                    ) === []
                ) {
                    $left['not observable']++;
                } else {
                    $key[] = ['c'.$case->case_id, $fault, $label];
                }
            }
        }

        return [$key, $left];
    }

    /**
     * @param  array<int, array<int, list<ScoredCall>>>  $people  by user and reading
     * @return array<int, array<int, list<ScoredCall>>> by user and case, as they were handed in, fault by fault
     */
    private static function inOrder(array $people, RoundInputs $inputs): array
    {
        $handedIn = $inputs->readings;
        usort($handedIn, static fn (array $a, array $b): int => [$a['at'], $a['id']] <=> [$b['at'], $b['id']]);
        $out = [];
        foreach ($handedIn as $reading) {
            $calls = $people[$reading['user']][$reading['id']] ?? [];
            usort($calls, static fn (ScoredCall $a, ScoredCall $b): int => $a->item <=> $b->item);
            if ($calls !== []) {
                $out[$reading['user']][$inputs->cases[$reading['case']]->case_id] = $calls;
            }
        }

        return $out;
    }

    /** Sums by case, of present against absent; null where nothing was said. */
    public static function sums(RatingSet $set): ?CountSums
    {
        $options = self::options();

        return $set->isEmpty()
            ? null
            : new CountSums(
                ItemTable::fromRatings($set, $set->items(), $options->categories, $options->cannotTell),
                Weights::identity(2),
            );
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
