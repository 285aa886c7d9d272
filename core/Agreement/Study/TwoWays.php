<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\SpecificAgreement;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Weights;

/** One figure worked out twice: by the packed sums that resampling uses, and unit by unit as it is defined. */
final readonly class TwoWays
{
    /** Rounding may set both apart by so much. */
    private const ROUNDING = 1e-9;

    private function __construct(public string $figure, public ?float $packed, public ?float $defined)
    {
    }

    /** @return list<self> every count-based coefficient, then the specific agreement of every category */
    public static function compared(ItemTable $table, Weights $weights): array
    {
        $packed = array_map(
            static fn (float $v): ?float => is_nan($v) ? null : $v,
            (new CountSums($table, $weights))->estimates(),
        );
        $out = [];
        foreach (CountSums::NAMES as $i => $name) {
            $out[] = new self($name, $packed[$i], CountFigures::coefficient($name)->value($table, $weights));
        }
        $specific = new SpecificAgreement();
        foreach ($table->categories as $k => $category) {
            $out[] = new self(
                "specific:$category",
                $packed[count(CountSums::NAMES) + $k],
                $specific->value($table, $k),
            );
        }

        return $out;
    }

    public function isSame(): bool
    {
        return $this->packed === null || $this->defined === null
            ? $this->packed === $this->defined
            : abs($this->packed - $this->defined) <= self::ROUNDING;
    }
}
