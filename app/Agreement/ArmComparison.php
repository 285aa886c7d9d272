<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\Comparison;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\ArmResult;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Undefined;

/**
 * Whether people agree more, and see more, where they are shown film, trace or both. Where each case was shown in each
 * way, the ways are compared within the golfers; else the cases shown in one way with those shown in another.
 */
final readonly class ArmComparison
{
    private const RESAMPLES = 1000;

    private const ARMS = ['both', 'film', 'trace'];

    /** Figures beside the key: the places of their counts – found, missed, over-called, rightly absent. */
    private const BESIDE = ['sensitivity' => [0, 1], 'specificity' => [3, 2]];

    /**
     * @param  array<string, CountSums>  $sums  by arm
     * @param  array<string, array<string, list<float>>>  $clusters  those sums by golfer, by arm
     * @param  array<string, array<string, list<int>>>  $counts  beside the key, likewise
     */
    private function __construct(
        private StudyOptions $options,
        private array $sums,
        private array $clusters,
        private array $counts,
        private bool $crossed,
    ) {
    }

    /**
     * AC1 and the share of same calls in each arm; differences (second less first) with p adjusted for their number.
     */
    public static function fromRatings(RoundRatings $ratings): ArmResult
    {
        $arms = $sums = $clusters = [];
        $crossed = $ratings->isCrossed();
        $counts = $crossed ? ArmCounts::of($ratings) : [];
        foreach (array_intersect(self::ARMS, $ratings->arms()) as $arm) {
            $said = $ratings->ofArm($arm);
            $of = RoundRatings::sums($said);
            if ($of !== null) {
                $sums[$arm] = $of;
                $clusters[$arm] = self::named($said, $of);
                [$same, , $ac1] = array_map(static fn (float $v): ?float => is_nan($v) ? null : $v, $of->estimates());
                $arms[] = new ArmFigures(
                    $arm,
                    count($said->cases()),
                    $ac1,
                    $same,
                    self::share($counts[$arm] ?? [], 'sensitivity'),
                    self::share($counts[$arm] ?? [], 'specificity'),
                );
            }
        }

        return new ArmResult(
            $arms,
            (new self(RoundRatings::options(), $sums, $clusters, $counts, $crossed))->differences(),
            $crossed,
        );
    }

    /** @return list<ArmDifference> */
    private function differences(): array
    {
        $found = $p = [];
        foreach (array_keys($this->sums) as $i => $first) {
            foreach (array_slice(array_keys($this->sums), $i + 1) as $second) {
                foreach ($this->compared($first, $second) as $figure => $comparison) {
                    if ($comparison->p !== null) {
                        $p[count($found)] = $comparison->p;
                    }
                    $found[] = [$first, $second, $figure, $comparison];
                }
            }
        }
        $adjusted = Comparison::holm($p);

        return array_map(
            static fn (int $i, array $of): ArmDifference => self::difference($of, $adjusted[$i] ?? null),
            array_keys($found),
            $found,
        );
    }

    /** @return array<string, Comparison> by figure */
    private function compared(string $first, string $second): array
    {
        $ac1 = $this->sums[$first]->statistic('gwet_ac');
        if (! $this->crossed) {
            return ['gwet_ac1' => Comparison::independent(
                $this->clusters[$first],
                $this->clusters[$second],
                $ac1,
                $this->options->confidence,
                $this->options->seed,
                self::RESAMPLES,
            )];
        }
        $out = ['gwet_ac1' => $this->paired($this->clusters[$first], $this->clusters[$second], $ac1)];
        foreach (array_keys(self::BESIDE) as $figure) {
            $out[$figure] = $this->paired(
                $this->counts[$first] ?? [],
                $this->counts[$second] ?? [],
                /** @param  list<float>  $sums */
                static fn (array $sums): float => self::of($figure, $sums) ?? NAN,
            );
        }

        return $out;
    }

    /**
     * @param  array<string, list<float|int>>  $first
     * @param  array<string, list<float|int>>  $second
     * @param  \Closure(list<float>): float  $statistic
     */
    private function paired(array $first, array $second, \Closure $statistic): Comparison
    {
        return Comparison::paired(
            $first,
            $second,
            $statistic,
            $this->options->confidence,
            $this->options->seed,
            self::RESAMPLES,
        );
    }

    /** @param  array{string, string, string, Comparison}  $of */
    private static function difference(array $of, ?float $p): ArmDifference
    {
        [$first, $second, $figure, $comparison] = $of;
        $d = $comparison->difference;
        // One case's own difficulty is no arm's.
        $d = $d->low === null && $d->estimate !== null ? Figure::undefined(Undefined::FewCasesInOne) : $d;

        return new ArmDifference(
            $first,
            $second,
            $d,
            $p,
            $d->se === null ? null : Comparison::detectable($d->se),
            $figure,
        );
    }

    /** @return array<string, list<float>> the sums of a set by the name of its golfers */
    private static function named(RatingSet $said, CountSums $sums): array
    {
        $names = [];
        foreach ($said->inClusters() as [$case, $rank]) {
            $names[$rank] = $said->clusterOf($case) ?? $case;
        }
        $out = [];
        foreach ($sums->byCluster() as $rank => $of) {
            $out[$names[$rank]] = $of;
        }

        return $out;
    }

    /** @param  array<string, list<int>>  $counts  by golfer */
    private static function share(array $counts, string $figure): ?float
    {
        return self::of($figure, array_map(
            static fn (int $place): int => array_sum(array_column($counts, $place)),
            range(0, 3),
        ));
    }

    /** @param  list<int|float>  $counts */
    private static function of(string $figure, array $counts): ?float
    {
        [$right, $wrong] = self::BESIDE[$figure];
        $all = ($counts[$right] ?? 0) + ($counts[$wrong] ?? 0);

        return $all > 0 ? (float) $counts[$right] / $all : null;
    }
}
