<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Resampling\Resampled;
use Core\Agreement\Undefined;

/**
 * Agreement where whoever abstains agrees with nobody, not even with another who abstains: percent agreement, Brennan
 * and Prediger's coefficient over the categories proper, and specific agreement Σ n_k(n_k−1)/Σ (n_k + n_abst)(r−1), r
 * with those who abstained.
 */
final readonly class WithAbstentions implements Resampled
{
    /**
     * @var array<int, array<int, float>> n, n2, Σa, then by category Σn_k(n_k−1) and Σ(n_k + n_abst)(r−1), by rank of
     *     the cluster
     */
    private array $sums;

    /** @var list<int> */
    private array $categories;

    /**
     * @param  ItemTable  $table  with the abstention as one of its categories
     * @param  int|null  $abstention  which; null where nobody abstained
     */
    public function __construct(private ItemTable $table, ?int $abstention)
    {
        $this->categories = array_values(array_diff(range(0, max(0, $table->q - 1)), [$abstention]));
        $sums = [];
        foreach ($table->clusterOf as $u => $g) {
            $sums[$g] ??= array_fill(0, 3 + 2 * count($this->categories), 0.0);
            $r = $table->r[$u];
            $sums[$g][0]++;
            if ($r < 2) {
                continue;
            }
            $sums[$g][1]++;
            $without = $abstention === null ? 0 : $table->counts[$u * $table->q + $abstention];
            foreach ($this->categories as $i => $k) {
                $n = $table->counts[$u * $table->q + $k];
                $sums[$g][2] += (float) $n * ($n - 1) / ($r * ($r - 1));
                $sums[$g][3 + 2 * $i] += (float) $n * ($n - 1);
                $sums[$g][4 + 2 * $i] += (float) ($n + $without) * ($r - 1);
            }
        }
        $this->sums = $sums;
    }

    /** @return array{array<string, Figure>, list<Figure>} the coefficients, and the specific agreement by category */
    public function figures(Confidence $confidence, ?ClusterBootstrap $bootstrap): array
    {
        $values = $this->estimates();
        $left = $this->leaveOneOut();
        $clusters = Clusters::ofTable($this->table);
        $resampled = $bootstrap !== null && (! $this->table->grouped || $clusters->canResample())
            ? $bootstrap->intervals($this, $confidence->level, $left)
            : [];
        $figures = [];
        foreach ($values as $i => $value) {
            // Golfers who never show a category tell nothing of it.
            $over = $i < 2 ? $clusters : Clusters::ofSizes(
                array_map(static fn (array $s): int => (int) round($s[2 * $i] ?? 0.0), $this->sums),
            );
            if (is_nan($value)) {
                $figures[] = Figure::undefined(
                    $this->table->paired === 0 ? Undefined::NoPairs : Undefined::NoPairsOfCategory,
                );

                continue;
            }
            $floor = $i === 1 ? -1.0 : 0.0;
            $figure = $this->table->grouped || $i > 1
                ? ClusterError::clustered(
                    $value,
                    array_column($left, $i),
                    $over,
                    $confidence,
                    fn (): array => $this->influences($i),
                    $floor,
                )
                : ClusterError::linear(
                    $value,
                    array_map(fn (float $v): float => $v * $this->table->units, $this->influences($i)),
                    $this->table->units,
                    $confidence,
                );
            $r = $resampled[$i] ?? null;
            $figures[] = match (true) {
                $value === 1.0 => $figure->within(
                    ClusterError::perfectLow($over->count, $i === 1 ? $this->chance() : 0.0, $confidence),
                    1.0,
                    'perfect-agreement bound',
                ),
                $r !== null && $figure->low !== null && $r->low < $r->high => $figure->within($r->low, $r->high,
                    $r->method),
                default => $figure,
            };
        }

        return [
            ['percent_agreement' => $figures[0], 'brennan_prediger' => $figures[1]],
            array_slice($figures, 2),
        ];
    }

    private function chance(): float
    {
        return 1.0 / max(1, count($this->categories));
    }

    /** @return list<float> Σψ/N of each cluster */
    private function influences(int $figure): array
    {
        $total = $this->total();
        [$own, $of, $scale] = match ($figure) {
            0 => [2, 1, 1.0],
            1 => [2, 1, 1.0 / (1.0 - $this->chance())],
            default => [2 * $figure - 1, 2 * $figure, 1.0],
        };
        $share = $total[$own] / $total[$of];

        return array_values(array_map(
            static fn (array $s): float => $scale * (($s[$own] ?? 0.0) - $share * ($s[$of] ?? 0.0)) / $total[$of],
            $this->sums,
        ));
    }

    /** @return array<int, float> */
    private function total(): array
    {
        $total = array_fill(0, 3 + 2 * count($this->categories), 0.0);
        foreach ($this->sums as $sum) {
            foreach ($sum as $i => $v) {
                $total[$i] += $v;
            }
        }

        return $total;
    }

    /**
     * @param  array<int, float>  $s
     * @return list<float>
     */
    private function statistics(array $s): array
    {
        $agreement = $s[1] > 0.5 ? $s[2] / $s[1] : NAN;
        $chance = $this->chance();
        $out = [$agreement, $chance < 1.0 ? ($agreement - $chance) / (1.0 - $chance) : NAN];
        foreach (array_keys($this->categories) as $i) {
            $out[] = $s[4 + 2 * $i] > 0.5 ? $s[3 + 2 * $i] / $s[4 + 2 * $i] : NAN;
        }

        return $out;
    }

    public function estimates(): array
    {
        return $this->statistics($this->total());
    }

    public function leaveOneOut(): array
    {
        $total = $this->total();
        $out = [];
        foreach ($this->sums as $sum) {
            $out[] = $this->statistics(array_map(static fn (float $all, float $own): float => $all - $own, $total,
                $sum));
        }

        return $out;
    }

    public function replicate(array $draw): array
    {
        $sums = array_fill(0, 3 + 2 * count($this->categories), 0.0);
        for ($j = 0, $length = count($draw); $j < $length; $j += 2) {
            foreach ($this->sums[$draw[$j]] ?? [] as $i => $v) {
                $sums[$i] += $draw[$j + 1] * $v;
            }
        }

        return $this->statistics($sums);
    }
}
