<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;
use Core\Agreement\Wilson;
use Core\Chance\Chance;
use Core\CoreException;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Whole studies drawn under the assumptions, with the interval each would have reported. */
final readonly class WidthSimulation
{
    public function __construct(
        private Assumptions $assumptions,
        private string $coefficient,
        private Confidence $confidence = new Confidence(),
        private int $seed = 1,
    ) {
    }

    /**
     * @param  int  $cases  ≥ 2
     * @param  int  $studies  ≥ 1
     * @param  \Closure(int): void|null  $progress  told after every study how many are done
     *
     * @throws CoreException
     */
    public function run(int $cases, int $studies, ?\Closure $progress = null): SimulatedWidth
    {
        $expected = (new WidthFormula($this->assumptions, $this->coefficient, $this->confidence))->expected;
        $widths = $estimates = [];
        $covered = 0;
        for ($s = 1; $s <= $studies; $s++) {
            $figure = $this->study($cases, $s);
            if ($figure->estimate !== null && $figure->low !== null && $figure->high !== null) {
                $widths[] = $figure->high - $figure->low;
                $estimates[] = $figure->estimate;
                $covered += $figure->low <= $expected && $expected <= $figure->high ? 1 : 0;
            }
            if ($progress !== null) {
                $progress($s);
            }
        }

        return SimulatedWidth::summed($cases, $studies, $widths, $estimates, $covered);
    }

    /**
     * The fewest cases whose mean simulated width is no larger than wanted, to within some cases: from the formula's
     * number, by the square root of cases that widths go with.
     *
     * @param  \Closure(int, int): void|null  $progress  told studies done in this step, and the step
     *
     * @throws CoreException
     */
    public function cases(float $width, int $studies, ?\Closure $progress = null): ?SimulatedWidth
    {
        $n = (new WidthFormula($this->assumptions, $this->coefficient, $this->confidence))->cases($width);
        $best = null;
        $tried = [];
        for ($step = 1; $n !== null && $step <= 6 && ! isset($tried[$n]) && $n <= 20_000; $step++) {
            $result = $this->run(
                $n,
                $studies,
                $progress === null ? null : static fn (int $done) => $progress($done, $step),
            );
            $tried[$n] = true;
            if ($result->mean === null) {
                $n *= 2;

                continue;
            }
            if ($result->mean <= $width && ($best === null || $n < $best->cases)) {
                $best = $result;
            }
            $next = max(2, (int) ceil($n * ($result->mean / $width) ** 2));
            $n = $next === $n ? ($result->mean <= $width ? $n - 1 : $n + 1) : $next;
            if ($best !== null && $n >= $best->cases) {
                break;
            }
        }

        return $best;
    }

    private function study(int $cases, int $number): Figure
    {
        $a = $this->assumptions;
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $this->seed.'|plan|'.$cases.'|'.$number, true)));
        $chance = static fn (float $p): bool => $random->getInt(0, 999_999_999) < 1e9 * $p;
        $columns = array_fill(0, $a->raters, []);
        $truth = [];
        [$there, $golfers] = $a->swings > 1
            ? $a->golfers($cases, new Chance("$this->seed|plan golfers|$cases|$number"))
            : [null, range(0, $cases - 1)];
        for ($i = 0; $i < $cases; $i++) {
            $truth[] = $true = $there === null ? ($chance($a->prevalence) ? 1 : 0) : $there[$i];
            for ($g = 0; $g < $a->raters; $g++) {
                $columns[$g][] =
                    $a->missing > 0.0 && $chance($a->missing)
                        ? ItemTable::MISSING
                        : ($chance($a->accuracy)
                            ? $true
                            : 1 - $true);
            }
        }
        if ($this->coefficient === 'sensitivity' || $this->coefficient === 'specificity') {
            $of = $this->coefficient === 'sensitivity' ? 1 : 0;
            $by = [];
            foreach ($columns[0] as $u => $k) {
                $by[$golfers[$u]] ??= [0, 0];
                if ($k >= 0 && $truth[$u] === $of) {
                    $by[$golfers[$u]] = [$by[$golfers[$u]][0] + ($k === $of ? 1 : 0), $by[$golfers[$u]][1] + 1];
                }
            }

            return $a->swings > 1
                ? Wilson::clustered(array_values($by), $this->confidence, Undefined::SuchCaseNever)
                : Wilson::figure(
                    array_sum(array_column($by, 0)),
                    array_sum(array_column($by, 1)),
                    $this->confidence,
                    Undefined::SuchCaseNever,
                );
        }
        // Cases nobody rated are no units.
        $rated = array_values(
            array_filter(
                array_keys($truth),
                static fn (int $u): bool => array_filter(
                    array_column($columns, $u),
                    static fn (int $k): bool => $k >= 0,
                ) !== [],
            ),
        );
        if (count($rated) < $cases) {
            $columns = array_map(
                static fn (array $c): array => array_map(static fn (int $u): int => $c[$u], $rated),
                $columns,
            );
        }
        $table = new ItemTable(
            Scale::Nominal,
            ['absent', 'present'],
            [],
            array_map(static fn (int $g): string => "r$g", array_keys($columns)),
            $columns,
            array_map(static fn (int $u): int => $golfers[$u], $rated),
        );
        $weights = Weights::identity(2);

        return match ($this->coefficient) {
            'conger_kappa' => CongerKappa::figure($table, $weights, $this->confidence),
            'light_kappa' => (new PairTables($table, $weights, $this->confidence))->light(),
            default => (new CountFigures(
                $table,
                new CountSums($table, $weights),
                $weights,
                $this->confidence,
            ))->figures(null)[0][$this->coefficient === 'gwet_ac1' ? 'gwet_ac' : $this->coefficient],
        };
    }
}
