<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\ItemTable;
use Core\Agreement\PanelVote;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Reading\Presence;
use Illuminate\Support\Facades\DB;

/**
 * What was said in a round and what the key says of it, as the arithmetic takes it; raters by number, never by name.
 *
 * Left out of scoring and counted: contested entries, conflicts not ruled on, faults that nobody could observe from
 * what the case showed, and whoever sat on the panel that made the key.
 *
 * @phpstan-import-type HandIn from RoundInputs
 *
 * @phpstan-type Sheet array{reading: HandIn, case: string, rater: string, occasion: string,
 *     calls: list<array{string, string, float|null}>}
 */
final readonly class RoundRatings
{
    /** Readings whose calls are fetched at once. */
    private const AT_ONCE = 500;

    public const FIRST = '1';

    /**
     * @param  RatingSet  $said  everybody's calls, without the key
     * @param  array<string, HandIn>  $readings  by case|rater|occasion
     * @param  array<string, array<string, string>>  $key  the label by case and fault; '' where it is contested
     * @param  array<string, array<string, PanelVote>>  $votes  how the panel split, where no measurement or ruling
     *     settles it
     * @param  array<string, int>  $unsupported  calls that what was shown cannot support, by rater
     * @param  array<string, int>  $cannotTell  by rater
     * @param  array<string, int>  $left  entries left out of scoring, by reason
     * @param  array<int, array<string, array<string, int>>>  $counts  calls by place of the round, fault and presence,
     *     first occasions, of those who had been shown the answer too
     */
    private function __construct(
        public RatingSet $said,
        public RoundInputs $inputs,
        private int $round,
        public array $readings,
        public array $key,
        private array $votes,
        public array $unsupported,
        public array $cannotTell,
        public array $left,
        public array $counts,
    ) {
    }

    public static function ofRound(Sitting $round, Codebooks $codebooks): self
    {
        $inputs = RoundInputs::ofRound($round, $codebooks);
        [$entries, $left] = self::keyOf($inputs);
        $said = new RatingSet;
        $key = $votes = $readings = $unsupported = $cannotTell = $counts = [];
        foreach ($entries as [$case, $fault, $label, $present, $absent]) {
            $key[$case][$fault] = $label;
            if (is_int($present) && is_int($absent)) {
                $votes[$case][$fault] = PanelVote::counted($present, $absent);
            }
        }
        foreach (self::sheets($inputs, $inputs->readings) as $sheet) {
            ['reading' => $reading, 'case' => $case, 'rater' => $rater, 'occasion' => $occasion] = $sheet;
            $readings["$case|$rater|$occasion"] = $reading;
            $sees = $inputs->seen[$reading['case']][$reading['arm']] ?? [];
            $blind = $untold = 0;
            foreach ($sheet['calls'] as [$fault, $presence, $sure]) {
                $said->add($case, $fault, $rater, $presence, $occasion, $sure);
                if ($presence === Presence::CannotTell->value) {
                    $untold++;
                } elseif (! isset($sees[$fault])) {
                    $blind++;
                }
            }
            $unsupported[$rater] = ($unsupported[$rater] ?? 0) + $blind;
            $cannotTell[$rater] = ($cannotTell[$rater] ?? 0) + $untold;
            self::count($counts, $sheet);
        }
        foreach (self::sheets($inputs, $inputs->exposed) as $sheet) {
            self::count($counts, $sheet);
        }
        foreach ($inputs->golfers as $case => $golfer) {
            $said->group("c$case", $golfer);
        }

        return new self($said, $inputs, $round->id, $readings, $key, $votes, $unsupported, $cannotTell, $left, $counts);
    }

    /**
     * @param  array<int, array<string, array<string, int>>>  $counts
     * @param  Sheet  $sheet
     */
    private static function count(array &$counts, array $sheet): void
    {
        if ($sheet['occasion'] === self::FIRST) {
            $of = &$counts[$sheet['reading']['case']];
            foreach ($sheet['calls'] as [$fault, $presence]) {
                $of[$fault][$presence] = ($of[$fault][$presence] ?? 0) + 1;
            }
        }
    }

    /** The calls of those who did not help to make the key, of what was there to be seen, with the key. */
    public function scored(): RatingSet
    {
        $panel = array_fill_keys(array_map(static fn (int $id): string => "u$id", $this->inputs->panel), true);
        $set = $this->said->filtered(function (string $case, string $fault, string $rater, string $occasion) use (
            $panel,
        ): bool {
            $reading = $this->readings["$case|$rater|$occasion"];

            return ! isset($panel[$rater]) && isset($this->inputs->seen[$reading['case']][$reading['arm']][$fault]);
        });
        foreach ($this->key as $case => $labels) {
            foreach ($labels as $fault => $label) {
                $set->addKey($case, $fault, $label, $this->votes[$case][$fault] ?? null);
            }
        }

        return $set;
    }

    /** @return list<string> what anybody was shown */
    public function arms(): array
    {
        return array_values(array_unique(array_map(
            fn (array $reading): string => $this->inputs->arms[$reading['arm']]->code,
            $this->inputs->readings,
        )));
    }

    /** Whether each case was shown to some readers in one way and to others in another. */
    public function isCrossed(): bool
    {
        return array_filter($this->inputs->cases, static fn (SittingCase $case): bool => $case->arm_id === null) !== [];
    }

    /** First occasions of those who were shown this; where cases are shown by turns, of those cases alone. */
    public function ofArm(string $arm): RatingSet
    {
        $twice = array_filter($this->inputs->cases, static fn (SittingCase $case): bool => $case->occasion !== 1);
        $crossed = $this->isCrossed();

        return $this->arms() === [$arm] && $twice === [] ? $this->said : $this->said->filtered(
            function (string $case, string $fault, string $rater, string $occasion) use ($arm, $crossed): bool {
                $reading = $this->readings["$case|$rater|$occasion"];

                return $occasion === self::FIRST && $this->inputs->arms[$reading['arm']]->code === $arm &&
                    (! $crossed || $this->inputs->cases[$reading['case']]->arm_id === null);
            },
        );
    }

    /**
     * One person's scored calls of first occasions; none of who helped to make the key.
     *
     * @return array<int, list<ScoredCall>> by case, as they were handed in, fault by fault
     */
    public function callsOf(int $user): array
    {
        if (in_array($user, $this->inputs->panel, true)) {
            return [];
        }
        $own = array_values(array_filter(
            $this->inputs->readings,
            fn (array $r): bool => $r['user'] === $user && $this->inputs->cases[$r['case']]->occasion === 1,
        ));
        usort($own, static fn (array $a, array $b): int => [$a['at'], $a['id']] <=> [$b['at'], $b['id']]);
        $said = $this->said->ratingsOf("u$user", self::FIRST);
        $out = [];
        foreach ($own as $reading) {
            $id = $this->inputs->cases[$reading['case']]->case_id;
            $calls = $this->calls(
                "c$id",
                $said["c$id"] ?? [],
                $this->inputs->golfers[$id] ?? null,
                $this->counts[$reading['case']] ?? [],
            );
            if ($calls !== []) {
                $out[$id] = $calls;
            }
        }

        return $out;
    }

    /** Questions that the key settles and one person left with "cannot tell", though what was shown could tell. */
    public function leftBy(int $user): int
    {
        $left = 0;
        foreach ($this->said->ratingsOf("u$user", self::FIRST) as $case => $of) {
            $reading = $this->readings["$case|u$user|".self::FIRST];
            foreach ($of as $fault => [$presence]) {
                $left += $presence === Presence::CannotTell->value && ($this->key[$case][$fault] ?? '') !== '' &&
                    isset($this->inputs->seen[$reading['case']][$reading['arm']][$fault]) ? 1 : 0;
            }
        }

        return $left;
    }

    /** @return \Generator<array{bool, list<string>}> everybody's scored calls: whether right; reader, case, fault */
    public function rightOrWrong(): \Generator
    {
        foreach ($this->said->raterNames() as $rater) {
            foreach ($this->callsOf((int) substr($rater, 1)) as $case => $of) {
                foreach ($of as $call) {
                    yield [$call->isRight(), [$rater, "c$case", $call->item]];
                }
            }
        }
    }

    /**
     * @param  array<string, array{string, float|null}>  $said  of one case, by fault
     * @param  array<string, array<string, int>>  $all  everybody's calls by fault and presence
     * @return list<ScoredCall>
     */
    private function calls(string $case, array $said, ?string $golfer, array $all): array
    {
        $labels = array_filter(
            array_intersect_key($this->key[$case] ?? [], $said),
            static fn (string $label): bool => $label !== '',
        );
        ksort($labels, SORT_STRING);
        $present = Presence::Present->value;
        $out = [];
        foreach ($labels as $fault => $label) {
            [$presence, $sure] = $said[$fault];
            if ($presence !== Presence::CannotTell->value) {
                $yes = ($all[$fault][$present] ?? 0) - ($presence === $present ? 1 : 0);
                $no = ($all[$fault][Presence::Absent->value] ?? 0) - ($presence === $present ? 0 : 1);
                $out[] = new ScoredCall(
                    $this->round.$case,
                    $fault,
                    $presence === $present,
                    $label === $present,
                    $sure,
                    $golfer,
                    $yes + $no > 0 ? (float) $yes / ($yes + $no) : null,
                );
            }
        }

        return $out;
    }

    /**
     * Readings of a round, each with its calls, in the order of their making. The database puts the calls of a sheet
     * into one text: a row a sheet costs a tenth of a row a call.
     *
     * @param  list<HandIn>  $handedIn
     * @return \Generator<Sheet>
     */
    public static function sheets(RoundInputs $inputs, array $handedIn): \Generator
    {
        $names = $raters = [];
        foreach ($handedIn as $reading) {
            $names[$reading['case']] ??= 'c'.$inputs->cases[$reading['case']]->case_id;
            $raters[$reading['user']] ??= 'u'.$reading['user'];
        }
        foreach (array_chunk($handedIn, self::AT_ONCE) as $some) {
            $readings = array_column($some, null, 'id');
            $said = DB::table('calls')
                ->whereIn('reading_id', array_keys($readings))
                ->groupBy('reading_id')
                ->orderBy('reading_id')
                ->selectRaw("reading_id,
                    string_agg(concat(fault, ' ', presence, ' ', confidence), ',' order by id) as said")
                ->get();
            foreach ($said as $row) {
                $reading = $readings[Cell::int($row->reading_id)];
                yield [
                    'reading' => $reading,
                    'case' => $names[$reading['case']],
                    'rater' => $raters[$reading['user']],
                    'occasion' => (string) $inputs->cases[$reading['case']]->occasion,
                    'calls' => self::split(Cell::text($row->said)),
                ];
            }
        }
    }

    /** @return list<array{string, string, float|null}> fault, what was said of it, confidence */
    private static function split(string $said): array
    {
        $out = [];
        foreach (explode(',', $said) as $call) {
            [$fault, $presence, $sure] = explode(' ', $call);
            $out[] = [$fault, $presence, $sure === '' ? null : (int) $sure / 100];
        }

        return $out;
    }

    /**
     * @return array{list<array{string, string, string, int|string, int|string, int|string}>, array<string, int>} the
     *     key as case, fault, label, and the panel's calls where nothing but they settle it, contested ones with no
     *     label; and how much is left out of scoring
     */
    public static function keyOf(RoundInputs $inputs): array
    {
        $key = [];
        $left = [
            'contested' => 0,
            'conflict' => 0,
            'not observable' => 0,
            ...$inputs->exposed === [] ? [] : ['exposed' => count($inputs->exposed)],
        ];
        $known = $inputs->entries->keyBy(static fn (KeyEntry $e): string => $e->case_id.'|'.$e->fault);
        foreach ($inputs->cases as $case) {
            foreach ($inputs->codebook->keys() as $fault) {
                $entry = $known->get($case->case_id.'|'.$fault);
                if ($entry === null || $case->occasion !== 1) {
                    continue;
                }
                $label = $entry->scoredLabel();
                $seen = array_filter(
                    $inputs->seen[$case->id],
                    static fn (array $faults): bool => isset($faults[$fault]),
                ) !== [];
                $why = match (true) {
                    $label === null => $entry->grade === 'conflict' ? 'conflict' : 'contested',
                    default => $seen ? null : 'not observable',
                };
                if ($why !== null) {
                    $left[$why]++;
                }
                if ($seen && $why !== 'conflict') {
                    $votes = [$entry->present, $entry->absent, $entry->cannot_tell];
                    $key[] = ['c'.$case->case_id, $fault, $label ?? '', ...$entry->isVerified() ? ['', '', '']
                        : $votes];
                }
            }
        }

        return [$key, $left];
    }

    /** Sums by golfer, of present against absent; null where nothing was said. */
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
