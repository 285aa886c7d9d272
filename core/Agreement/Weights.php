<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * Agreement weights w_kl between categories: 1 on the diagonal, symmetric, below 1 elsewhere.
 *
 * identity [k = l]; ordinal 1 − C(|k−l|+1, 2)/C(q, 2) over ranks (Gwet 2014); linear 1 − |x_k − x_l|/(max − min)
 * (Cicchetti & Allison 1971); quadratic 1 − (x_k − x_l)²/(max − min)² (Fleiss & Cohen 1973).
 */
final readonly class Weights
{
    /** T = Σ_kl w_kl */
    public float $total;

    /** @param  list<float>  $w  q × q, row by row */
    private function __construct(public int $q, public array $w, public bool $isIdentity)
    {
        $this->total = array_sum($w);
    }

    public static function identity(int $q): self
    {
        return self::by($q, static fn (int $k, int $l): float => $k === $l ? 1.0 : 0.0, true);
    }

    public static function ordinal(int $q): self
    {
        return self::by(
            $q,
            static fn (int $k, int $l): float => $q < 2
                ? 1.0
                : 1.0 - ((float) abs($k - $l) * (abs($k - $l) + 1)) / ($q * ($q - 1)),
        );
    }

    /** @param  list<float>  $x  the categories as rising numbers */
    public static function linear(array $x): self
    {
        return self::by(
            count($x),
            static fn (int $k, int $l): float => $k === $l
                ? 1.0
                : 1.0 - abs($x[$k] - $x[$l]) / ($x[count($x) - 1] - $x[0]),
        );
    }

    /** @param  list<float>  $x  the categories as rising numbers */
    public static function quadratic(array $x): self
    {
        return self::by(
            count($x),
            static fn (int $k, int $l): float => $k === $l
                ? 1.0
                : 1.0 - (($x[$k] - $x[$l]) / ($x[count($x) - 1] - $x[0])) ** 2,
        );
    }

    /** The weights a study is asked for: none on names, ordinal on ranks unless others are named. */
    public static function asked(ItemTable $table, ?string $name): self
    {
        return match (true) {
            $table->scale !== Scale::Ordinal => self::identity($table->scale === Scale::Nominal ? $table->q : 0),
            $name === 'linear' => self::linear($table->numbers),
            $name === 'quadratic' => self::quadratic($table->numbers),
            default => self::ordinal($table->q),
        };
    }

    /** @param  \Closure(int, int): float  $w */
    private static function by(int $q, \Closure $w, bool $identity = false): self
    {
        $out = [];
        for ($k = 0; $k < $q; $k++) {
            for ($l = 0; $l < $q; $l++) {
                $out[] = $w($k, $l);
            }
        }

        return new self($q, $out, $identity || $q < 2);
    }
}
