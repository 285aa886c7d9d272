<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Wilson;

/**
 * One rater's calls against the key, in the order in which they were made: item by item, whether stated confidence
 * holds, where the rater was sure and wrong, and whether sensitivity or criterion moved.
 */
final readonly class RaterProfile
{
    /** Fewer cases than this do not make a window of the drift chart. */
    public const WINDOW = 5;

    /** As many windows as a chart can hold; with more cases they grow. */
    public const MOST_WINDOWS = 16;

    /** Stated confidence from which a wrong call is "sure and wrong". */
    public const SURE = 0.8;

    /** @param  list<ScoredCall>  $calls */
    public function __construct(public array $calls)
    {
    }

    /** @return array<string, Figure> as KeyTable::figures(), over all items */
    public function figures(Confidence $confidence = new Confidence): array
    {
        $table = new KeyTable;
        $rank = array_flip($this->cases());
        foreach ($this->calls as $c) {
            $table->add($rank[$c->case], $c->called, $c->truth, $c->confidence);
        }

        return $table->figures($confidence);
    }

    /** @return array<string, array{int, int, int, int}> tp, fn, fp, tn by item */
    public function byItem(): array
    {
        $out = [];
        foreach ($this->calls as $c) {
            $cells = $out[$c->item] ?? [0, 0, 0, 0];
            $cells[$c->cell()]++;
            $out[$c->item] = $cells;
        }

        return $out;
    }

    /**
     * How often calls of each stated confidence were right, with Wilson's interval; by rising confidence.
     *
     * @return list<array{p: float, n: int, true: int, share: float, low: float, high: float}>
     */
    public function calibration(Confidence $confidence = new Confidence): array
    {
        $score = new BrierScore;
        foreach ($this->calls as $c) {
            if ($c->confidence !== null) {
                $score->add($c->confidence, $c->isRight());
            }
        }

        return $score->calibration($confidence);
    }

    /**
     * Mean stated confidence less the share that was right: above 0 too sure, below 0 too modest; null where none was
     * stated.
     */
    public function swagger(): ?float
    {
        $stated = array_filter($this->calls, static fn (ScoredCall $c): bool => $c->confidence !== null);

        return $stated === []
            ? null
            : array_sum(
                array_map(
                    static fn (ScoredCall $c): float => (float) $c->confidence - ($c->isRight() ? 1.0 : 0.0),
                    $stated,
                ),
            ) / count($stated);
    }

    /** @return list<ScoredCall> wrong calls made surely, the surest first */
    public function sureAndWrong(): array
    {
        $wrong = array_filter(
            $this->calls,
            static fn (ScoredCall $c): bool => ! $c->isRight() &&
                $c->confidence !== null &&
                $c->confidence >= self::SURE - 1e-9,
        );
        usort($wrong, static fn (ScoredCall $a, ScoredCall $b): int => $b->confidence <=> $a->confidence);

        return $wrong;
    }

    /**
     * Consecutive cases in as many windows of about the same size as there are WINDOW cases for, up to MOST_WINDOWS.
     *
     * @return list<array{from: int, to: int, cells: array{int, int, int, int}}> case numbers from 1, and tp, fn, fp, tn
     */
    public function windows(): array
    {
        $cases = $this->cases();
        $n = count($cases);
        $k = min(self::MOST_WINDOWS, max(1, intdiv($n, self::WINDOW)));
        $spans = $at = [];
        for ($w = 0; $w < $k && $n > 0; $w++) {
            $from = intdiv($w * $n, $k);
            $to = intdiv(($w + 1) * $n, $k);
            $at += array_fill_keys(array_slice($cases, $from, $to - $from), $w);
            $spans[] = [$from + 1, $to];
        }
        $counts = array_fill(0, 4 * $k, 0);
        foreach ($this->calls as $c) {
            $counts[4 * $at[$c->case] + $c->cell()]++;
        }

        return array_map(
            static fn (int $w, array $span): array => [
                'from' => $span[0],
                'to' => $span[1],
                'cells' => [$counts[4 * $w], $counts[4 * $w + 1], $counts[4 * $w + 2], $counts[4 * $w + 3]],
            ],
            array_keys($spans),
            $spans,
        );
    }

    /** The control chart over the windows; null with fewer than two that hold positives and negatives. */
    public function drift(): ?DriftChart
    {
        return DriftChart::overWindows(array_column($this->windows(), 'cells'));
    }

    /** @return list<string> in the order in which they were read */
    private function cases(): array
    {
        return array_values(array_unique(array_map(static fn (ScoredCall $c): string => $c->case, $this->calls)));
    }
}
