<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\FollowUp;
use App\Models\LessonBall;
use App\Models\Recording;
use Core\Codebook\ExpectedChange;
use Core\Codebook\Lens;
use Core\Codebook\Rung;
use Core\CoreException;
use Core\Measurement\Measure;
use Core\Motion\Station;
use Core\Prescription\BallsChange;
use Core\Prescription\LadderChange;
use Core\Prescription\Outcome;
use Core\Prescription\Seen;
use Core\Prescription\SeriesChange;
use Core\Prescription\Wanted;
use Core\Reading\BallFlight;

/**
 * What a later session shows of what was expected: measure by measure beyond the golfer's own spread, what else moved
 * in or out of its band, the balls, and rung by rung. After the feel is kept only.
 *
 * @phpstan-type Found array{expected: array<string, array{change: ExpectedChange, seen: SeriesChange,
 *     ladder: LadderChange}>, others: array<string, array{measure: Measure, at: ?Station, seen: SeriesChange}>,
 *     balls: BallsChange, outcome: Outcome, before: list<Recording>, after: list<Recording>}
 */
final readonly class FollowUpFindings
{
    /** Swings on these rungs are played as they count; without any, all warm played swings of the session are. */
    private const PLAYED = [Rung::MidIron, Rung::LongClub, Rung::FullSpeed, Rung::Course];

    public function __construct(private LessonSeries $series, private Situations $situations)
    {
    }

    /**
     * @return Found
     *
     * @throws CoreException
     */
    public function of(FollowUp $of): array
    {
        $prescription = $of->prescription;
        $before = $this->series->full($prescription->lesson);
        $warm = $this->series->warm($of->lesson);
        $rungs = $of->rungs();
        $after = $this->played($of, $warm, $rungs);
        $byRung = [];
        foreach ($warm as $swing) {
            if (isset($rungs[$swing->id])) {
                $byRung[$rungs[$swing->id]->value][] = $swing;
            }
        }
        $expected = [];
        $changes = $prescription->changes();
        foreach ($changes as $measure => $change) {
            $was = LessonSeries::measured($before, $change->measure, $change->at);
            $wanted = Wanted::asExpected($change);
            $expected[$measure] = [
                'change' => $change,
                'seen' => SeriesChange::of(
                    $was,
                    LessonSeries::measured($after, $change->measure, $change->at),
                    $wanted,
                    count($changes),
                ),
                'ladder' => LadderChange::of($was, array_map(
                    static fn (array $swings): array => LessonSeries::measured($swings, $change->measure, $change->at),
                    $byRung,
                ), $wanted),
            ];
        }

        return [
            'expected' => $expected,
            'others' => $this->others($before, $after, $this->situations->codebook($prescription)->lens, $changes),
            'balls' => BallsChange::of(self::flights($prescription->lesson->balls), self::flights($of->lesson->balls)),
            'outcome' => Outcome::of(array_map(
                static fn (array $row): Seen => $row['seen']->seen,
                array_values($expected),
            )),
            'before' => $before,
            'after' => $after,
        ];
    }

    /**
     * @param  list<Recording>  $warm
     * @param  array<int, Rung>  $rungs
     * @return list<Recording>
     */
    private function played(FollowUp $of, array $warm, array $rungs): array
    {
        $played = array_values(array_filter(
            $warm,
            static fn (Recording $r): bool => in_array($rungs[$r->id] ?? null, self::PLAYED, true),
        ));

        return $played !== [] ? $played : array_values(array_filter(
            $this->series->full($of->lesson),
            static fn (Recording $r): bool => ! isset($rungs[$r->id]),
        ));
    }

    /**
     * What else moved, of what the lens has a band for: held together to one error of twenty.
     *
     * @param  list<Recording>  $before
     * @param  list<Recording>  $after
     * @param  array<string, ExpectedChange>  $without
     * @return array<string, array{measure: Measure, at: ?Station, seen: SeriesChange}>
     */
    private function others(array $before, array $after, Lens $lens, array $without): array
    {
        $bands = array_filter(
            $lens->bands,
            static fn (string $key): bool => ! isset($without[explode('@', $key)[0]]),
            ARRAY_FILTER_USE_KEY,
        );
        $out = [];
        foreach ($bands as $key => $band) {
            $of = explode('@', $key);
            $measure = Measure::from($of[0]);
            $station = Station::tryFrom($of[1] ?? '');
            if ($measure->isByStation() !== ($station !== null)) {
                continue;
            }
            $seen = SeriesChange::of(
                LessonSeries::measured($before, $measure, $station),
                LessonSeries::measured($after, $measure, $station),
                Wanted::inBand($band),
                count($bands),
            );
            if ($seen->seen === Seen::Better || $seen->seen === Seen::Worse) {
                $out[$key] = ['measure' => $measure, 'at' => $station, 'seen' => $seen];
            }
        }

        return $out;
    }

    /**
     * @param  iterable<LessonBall>  $balls
     * @return list<BallFlight>
     */
    private static function flights(iterable $balls): array
    {
        $out = [];
        foreach ($balls as $ball) {
            $out[] = $ball->toCore();
        }

        return $out;
    }
}
