<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Figure;
use Core\Number\Distribution;

/**
 * Words for a coefficient, only as far as its interval has earned them: a level is given where the probability that the
 * true value reaches it, added up from the best level downwards, first passes 95 % (Gwet 2014, ch. 6).
 *
 * Scales: Landis & Koch 1977; Altman 1991; Fleiss 1981.
 */
enum Benchmark: string
{
    case LandisKoch = 'Landis & Koch 1977';
    case Altman = 'Altman 1991';
    case Fleiss = 'Fleiss 1981';

    /** @return list<array{string, float}> level and its lower end, the best first */
    public function levels(): array
    {
        return match ($this) {
            self::LandisKoch => [
                ['almost perfect', 0.8],
                ['substantial', 0.6],
                ['moderate', 0.4],
                ['fair', 0.2],
                ['slight', 0.0],
                ['poor', -1.0],
            ],
            self::Altman => [['very good', 0.8], ['good', 0.6], ['moderate', 0.4], ['fair', 0.2], ['poor', -1.0]],
            self::Fleiss => [['excellent', 0.75], ['intermediate to good', 0.4], ['poor', -1.0]],
        };
    }

    /**
     * @return array{level: string, probability: float, memberships: array<string, float>}|null null without a standard
     *     error
     */
    public function read(Figure $figure, float $confidence = 0.95): ?array
    {
        if ($figure->estimate === null || $figure->se === null || $figure->se <= 0.0) {
            return null;
        }
        // A normal about the estimate, cut to the coefficient's range.
        $below = fn (float $v): float => Distribution::normal(($v - $figure->estimate) / $figure->se);
        $all = $below(1.0) - $below(-1.0);
        $memberships = [];
        $high = 1.0;
        $sum = 0.0;
        $level = null;
        $last = '';
        foreach ($this->levels() as [$name, $low]) {
            $memberships[$name] = ($below($high) - $below($low)) / $all;
            $sum += $memberships[$name];
            $level ??= $sum > $confidence ? [$name, $sum] : null;
            $high = $low;
            $last = $name;
        }

        $level ??= [$last, $sum];

        return ['level' => $level[0], 'probability' => min(1.0, $level[1]), 'memberships' => $memberships];
    }
}
