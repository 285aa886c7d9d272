<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;
use Core\Number\Distribution;

/** How sure an interval is meant to be, with the quantiles that follow, each found once. */
final class Confidence
{
    /** Fewer degrees of freedom would only widen what is wider than any scale already. */
    private const LEAST = 0.05;

    /** Φ⁻¹((1 + level)/2) */
    public readonly float $z;

    /** @var array<int|string, float> */
    private array $t = [];

    /**
     * @param  float  $level  in (0, 1)
     *
     * @throws CoreException when it is not
     */
    public function __construct(public readonly float $level = 0.95)
    {
        if (is_nan($level) || $level <= 0.0 || $level >= 1.0) {
            throw AgreementException::because('confidence');
        }
        $this->z = Distribution::normalQuantile(0.5 + $level / 2);
    }

    /** Student's quantile at (1 + level)/2 with $df > 0 degrees of freedom, whole or not. */
    public function t(int|float $df): float
    {
        return $this->t[(string) $df] ??= Distribution::studentQuantile(0.5 + $this->level / 2, max(self::LEAST, $df));
    }
}
