<?php

declare(strict_types=1);

namespace Core\Training;

use Core\CoreException;

/** A bar of a rule, and where somebody stands beside it. */
final readonly class Bar
{
    /** Near: within so much of a share, or of a number. */
    private const NEAR = 0.05;

    /**
     * @param  float  $limit  a share, a number, ms or days, by its kind
     * @param  int  $of  so many it must rest on at least, or the last so many are looked at
     *
     * @throws CoreException
     */
    public function __construct(public BarKind $kind, public float $limit, public int $of)
    {
        $most = $kind->isShare() ? 1.0 : 10_000.0;
        if (is_nan($limit) || $limit < 0.0 || $limit > $most || $of < 0 || $of > 1000) {
            throw TrainingException::because('bar', kind: $kind->value);
        }
    }

    /**
     * @param  int  $k  how many, of a share or a number
     * @param  int  $n  of how many
     * @param  float|null  $value  of what is neither: ms, days; null where there is none
     */
    public function stands(int $k, int $n, ?float $value = null): BarStanding
    {
        if ($this->kind === BarKind::Recency) {
            return $this->measured($value, $value === null ? 0 : 1, 1);
        }
        if ($this->kind === BarKind::Timing) {
            return $this->measured($value, $n, $this->of);
        }
        if ($this->kind === BarKind::Unsafe) {
            return match (true) {
                $n < $this->of => new BarStanding(BarVerdict::Few, (float) $k, $n, $this->of - $n),
                $k <= $this->limit => new BarStanding(BarVerdict::Met, (float) $k, $n, 0),
                default => new BarStanding(BarVerdict::Missed, (float) $k, $n, $this->of),
            };
        }
        $share = $n === 0 ? null : (float) $k / $n;
        if ($share === null || $n < $this->of) {
            return new BarStanding(BarVerdict::Few, $share, $n, max(1, $this->of - $n));
        }
        $met = $this->kind->isLeast() ? $share >= $this->limit - 1e-12 : $share <= $this->limit + 1e-12;
        $near = abs($share - $this->limit) <= self::NEAR;

        return $met
            ? new BarStanding(BarVerdict::Met, $share, $n, 0)
            : new BarStanding($near ? BarVerdict::Near : BarVerdict::Missed, $share, $n, $this->more($k, $n));
    }

    private function measured(?float $value, int $n, int $least): BarStanding
    {
        return match (true) {
            $value === null || $n < $least => new BarStanding(BarVerdict::Few, $value, $n, max(1, $least - $n)),
            $value <= $this->limit + 1e-9 => new BarStanding(BarVerdict::Met, $value, $n, 0),
            $value <= (1.0 + 2.0 * self::NEAR) * $this->limit => new BarStanding(BarVerdict::Near, $value, $n, null),
            default => new BarStanding(BarVerdict::Missed, $value, $n, null),
        };
    }

    /** How many more, all as they should be, would bring a share to its limit; null where none would. */
    private function more(int $k, int $n): ?int
    {
        if ($this->kind->isLeast()) {
            return $this->limit >= 1.0 ? null : (int) ceil(($this->limit * $n - $k) / (1.0 - $this->limit) - 1e-9);
        }

        return $this->limit <= 0.0 ? null : (int) ceil($k / $this->limit - $n - 1e-9);
    }
}
