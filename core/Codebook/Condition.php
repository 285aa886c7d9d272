<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Remark\Remark;

/** One condition of a rule: a measure, at a station where it is taken at several, against a threshold. */
final readonly class Condition
{
    /** @param  '<'|'<='|'>'|'>='|'is'|'not'  $op */
    public function __construct(
        public Measure $measure,
        public ?string $station,
        public string $op,
        public float|string $threshold,
    ) {
    }

    public function foundIn(Measurements $measurements): Measured
    {
        return $measurements->get($this->measure, $this->station);
    }

    public function evaluate(Measurements $measurements): Truth
    {
        $m = $this->foundIn($measurements);
        if ($m->value === null) {
            return Truth::Unknown;
        }
        if (is_string($this->threshold)) {
            return Truth::fromBool(($m->value === $this->threshold) === ($this->op === 'is'));
        }
        $v = $m->number();
        if ($v === null) {
            return Truth::Unknown;
        }
        $holds = match ($this->op) {
            '<' => $v < $this->threshold,
            '<=' => $v <= $this->threshold,
            '>' => $v > $this->threshold,
            default => $v >= $this->threshold,
        };
        if ($m->censored === null) {
            return Truth::fromBool($holds);
        }
        // A bound decides only when the whole side it leaves open answers alike.
        $upward = $this->op[0] === '>';
        $bound = $m->censored === 'above';

        return match (true) {
            $upward === $bound && $holds => Truth::Yes,
            $upward !== $bound && ! $holds => Truth::No,
            default => Truth::Unknown,
        };
    }

    /** How far on the true side the value stands, in units of its uncertainty; null where nothing can be said. */
    public function margin(Measurements $measurements): ?float
    {
        $m = $this->foundIn($measurements);
        $v = $m->number();
        if (is_string($this->threshold) || $v === null || $m->uncertainty === null) {
            return null;
        }
        if ($this->evaluate($measurements) === Truth::Unknown) {
            return null;
        }
        $distance = ($this->op[0] === '<' ? $this->threshold - $v : $v - $this->threshold) / max(1e-9, $m->uncertainty);
        if ($m->censored !== null) {
            return $distance >= 0 ? max(9.0, $distance) : min(-9.0, $distance);
        }

        return $distance;
    }

    /** With what was found, where measurements are given. */
    public function remark(?Measurements $measurements = null): Remark
    {
        $at = ['measure' => $this->measure->value, ...($this->station === null ? [] : ['station' => $this->station])];
        $asked = [...$at, 'op' => $this->op, 'threshold' => $this->threshold];
        $m = $measurements === null ? null : $this->foundIn($measurements);

        return match (true) {
            $m === null => Remark::of(Clause::Asked, ...$asked),
            $m->value === null => Remark::of(Clause::NotFound, ...[...$at, 'why' => $m->why()]),
            $m->censored !== null => Remark::of(Clause::FoundBound, ...[...$asked, 'bound' => $m->why()]),
            is_float($m->value) => Remark::of(
                Clause::Found,
                ...[...$asked, 'value' => $m->value, 'uncertainty' => $m->uncertainty ?? 0.0],
            ),
            default => Remark::of(Clause::FoundWord, ...[...$asked, 'word' => $m->value]),
        };
    }
}
