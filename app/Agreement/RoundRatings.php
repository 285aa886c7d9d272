<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Reading\Presence;

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
        $inputs = RoundInputs::ofRound($round, $codebooks);
        [$key, $left] = self::keyOf($inputs);
        $rows = $unsupported = $cannotTell = $arms = $blindTo = [];
        $byId = array_column($inputs->readings, null, 'id');
        foreach ($inputs->readings as $reading) {
            $case = $inputs->cases[$reading['case']]->case_id;
            $arms["c$case|u{$reading['user']}"] = $inputs->arms[$reading['arm']]->code;
        }
        foreach (self::calls($round) as $call) {
            ['reading' => $id, 'fault' => $fault, 'presence' => $presence, 'sure' => $sure] = $call;
            $reading = $byId[$id];
            $case = $inputs->cases[$reading['case']];
            [$rater, $name] = ["u{$reading['user']}", "c$case->case_id"];
            $sees = isset($inputs->seen[$case->id][$reading['arm']][$fault]);
            $told = $presence !== Presence::CannotTell->value;
            $unsupported[$rater] = ($unsupported[$rater] ?? 0) + ($told && ! $sees ? 1 : 0);
            $cannotTell[$rater] = ($cannotTell[$rater] ?? 0) + ($told ? 0 : 1);
            $sees || ($blindTo["$name|$fault|$rater"] = true);
            $rows[] = [
                $name,
                $fault,
                $rater,
                $presence,
                (string) $case->occasion,
                $sure === null ? null : $sure / 100,
            ];
        }

        return new self(
            $rows,
            $key,
            array_map(static fn (int $id): string => "u$id", $inputs->panel),
            $unsupported,
            $cannotTell,
            $left,
            count($inputs->cases),
            $inputs->checksum,
            $arms,
            $blindTo,
        );
    }

    /**
     * The calls of its blind readings as flat rows, readings and calls in the order of their making.
     *
     * @return \Generator<array{reading: int, fault: string, presence: string, sure: int|null}>
     */
    private static function calls(Sitting $round): \Generator
    {
        $rows = RoundInputs::handedIn($round)
            ->where('exposed', false)
            ->join('calls', 'calls.reading_id', '=', 'readings.id')
            ->orderBy('calls.reading_id')
            ->orderBy('calls.id')
            ->select(['calls.reading_id', 'calls.fault', 'calls.presence', 'calls.confidence'])
            ->cursor();
        foreach ($rows as $row) {
            yield [
                'reading' => Cell::int($row->reading_id),
                'fault' => Cell::text($row->fault),
                'presence' => Cell::text($row->presence),
                'sure' => $row->confidence === null ? null : Cell::int($row->confidence),
            ];
        }
    }

    /** @return array{list<array{string, string, string}>, array<string, int>} the key, and what of it is left out */
    private static function keyOf(RoundInputs $inputs): array
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
