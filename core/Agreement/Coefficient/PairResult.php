<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Figure;

/** Two raters beside each other. */
final readonly class PairResult
{
    /**
     * @param  int  $n  cases that both rated
     * @param  float|null  $agreement  the share of same values; null for numbers
     * @param  array<string, Figure>  $differences  of numbers: bias, limits of agreement, concordance
     */
    public function __construct(
        public string $a,
        public string $b,
        public int $n,
        public ?float $agreement,
        public Figure $kappa,
        public Figure $pabak,
        public ?float $prevalenceIndex,
        public ?float $biasIndex,
        public array $differences = [],
    ) {
    }
}
