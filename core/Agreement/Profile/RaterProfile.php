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
    /** Stated confidence from which a wrong call is "sure and wrong". */
    public const SURE = 0.8;

    /** @param  list<ScoredCall>  $calls */
    public function __construct(public array $calls)
    {
    }

    /**
     * @param  string|null  $item  over all items where null
     * @return array<string, Figure> as KeyTable::figures(), over golfers
     */
    public function figures(Confidence $confidence = new Confidence, ?string $item = null): array
    {
        $table = new KeyTable;
        $rank = [];
        foreach ($this->calls as $c) {
            if ($item === null || $c->item === $item) {
                $at = $rank[$c->golfer ?? "case $c->case"] ??= count($rank);
                $table->add($at, $c->called, $c->truth, $c->confidence);
            }
        }

        return $table->clustered($confidence)->figures();
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

    /** How far the calls move against the others'; null with too few golfers. */
    public function drift(): ?DriftChart
    {
        $calls = [];
        foreach ($this->calls as $c) {
            if ($c->others !== null) {
                $calls[] = [
                    'golfer' => $c->golfer ?? $c->case,
                    'right' => ($c->isRight() ? 1.0 : 0.0) - ($c->truth ? $c->others : 1.0 - $c->others),
                    'present' => ($c->called ? 1.0 : 0.0) - $c->others,
                ];
            }
        }

        return DriftChart::ofCalls($calls);
    }
}
