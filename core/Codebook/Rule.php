<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Number\Written;

/**
 * A rule over measurements, as data: a condition [measure or measure@STATION, op, threshold] with op one of
 * < <= > >= is not, or ['all', rule, …], ['any', rule, …].
 */
final readonly class Rule
{
    /** @param  list<self>  $parts */
    private function __construct(
        private string $kind,
        private array $parts = [],
        private ?Measure $measure = null,
        private ?string $station = null,
        private float|string $threshold = 0.0,
    ) {
    }

    /**
     * @param  array<mixed>  $data
     *
     * @throws CoreException when the data is no rule
     */
    public static function from(array $data): self
    {
        $head = $data[0] ?? null;
        if ($head === 'all' || $head === 'any') {
            $parts = [];
            foreach (array_slice($data, 1) as $part) {
                $parts[] = self::from(is_array($part) ? $part : throw new CoreException("A part of '$head' must be a rule."));
            }

            return $parts === [] ? throw new CoreException("'$head' needs at least one rule.") : new self($head, $parts);
        }
        [$name, $op, $threshold] = array_pad(array_values($data), 3, null);
        if (! is_string($name) || ! is_string($op) || ! in_array($op, ['<', '<=', '>', '>=', 'is', 'not'], true)) {
            throw new CoreException('A condition is [measure, operator, threshold] with an operator out of < <= > >= is not.');
        }
        [$key, $station] = array_pad(explode('@', $name, 2), 2, null);
        $measure = Measure::tryFrom((string) $key) ?? throw new CoreException("No measurement is called '$key'.");
        if (in_array($op, ['is', 'not'], true) !== is_string($threshold) || (! is_string($threshold) && ! is_numeric($threshold))) {
            throw new CoreException("The threshold of '$name $op' has the wrong type.");
        }

        return new self($op, [], $measure, $station, is_string($threshold) ? $threshold : (float) $threshold);
    }

    public function evaluate(Measurements $measurements): Truth
    {
        if ($this->measure === null) {
            $parts = array_map(static fn (self $r): Truth => $r->evaluate($measurements), $this->parts);

            return $this->kind === 'all' ? Truth::both($parts) : Truth::either($parts);
        }
        $m = $measurements->get($this->measure, $this->station);
        if ($m->value === null) {
            return Truth::Unknown;
        }
        if (is_string($this->threshold)) {
            return Truth::of(($m->value === $this->threshold) === ($this->kind === 'is'));
        }
        $v = $m->number();
        if ($v === null) {
            return Truth::Unknown;
        }
        $holds = match ($this->kind) {
            '<' => $v < $this->threshold,
            '<=' => $v <= $this->threshold,
            '>' => $v > $this->threshold,
            default => $v >= $this->threshold,
        };
        if ($m->censored === null) {
            return Truth::of($holds);
        }
        // A bound decides only when the whole side it leaves open answers alike.
        $upward = $this->kind[0] === '>';
        $bound = $m->censored === 'above';

        return match (true) {
            $upward === $bound && $holds => Truth::Yes,
            $upward !== $bound && ! $holds => Truth::No,
            default => Truth::Unknown,
        };
    }

    /**
     * How far on the true side the deciding condition stands, in units of its uncertainty; negative on the
     * false side, null where nothing can be said.
     */
    public function margin(Measurements $measurements): ?float
    {
        if ($this->measure === null) {
            $margins = [];
            foreach ($this->parts as $part) {
                $margin = $part->margin($measurements);
                if ($margin !== null) {
                    $margins[] = $margin;
                }
            }
            if ($margins === [] || $this->evaluate($measurements) === Truth::Unknown) {
                return null;
            }

            return $this->kind === 'all' ? min($margins) : max($margins);
        }
        $m = $measurements->get($this->measure, $this->station);
        $v = $m->number();
        if (is_string($this->threshold) || $v === null || $m->uncertainty === null || $this->evaluate($measurements) === Truth::Unknown) {
            return null;
        }
        $distance = ($this->kind[0] === '<' ? $this->threshold - $v : $v - $this->threshold) / max(1e-9, $m->uncertainty);
        if ($m->censored !== null) {
            return $distance >= 0 ? max(9.0, $distance) : min(-9.0, $distance);
        }

        return $distance;
    }

    /**
     * The conditions a verdict came from: of an 'any' that holds those that made it hold, else all that are known.
     *
     * @return list<array{measure: string, station: string|null, op: string, threshold: float|string}>
     */
    public function deciding(Measurements $measurements): array
    {
        if ($this->measure !== null) {
            return [['measure' => $this->measure->value, 'station' => $this->station, 'op' => $this->kind, 'threshold' => $this->threshold]];
        }
        $parts = $this->parts;
        if ($this->kind === 'any' && $this->evaluate($measurements) === Truth::Yes) {
            $parts = array_filter($parts, static fn (self $r): bool => $r->evaluate($measurements) === Truth::Yes);
        }

        return array_merge(...array_map(static fn (self $r): array => $r->deciding($measurements), array_values($parts)));
    }

    /** @return list<array{Measure, ?string, string, float|string}> the conditions, left to right */
    public function conditions(): array
    {
        if ($this->measure !== null) {
            return [[$this->measure, $this->station, $this->kind, $this->threshold]];
        }

        return array_merge(...array_map(static fn (self $r): array => $r->conditions(), $this->parts));
    }

    /** The rule in words and figures, with the measured values where they are given. */
    public function words(?Measurements $measurements = null): string
    {
        if ($this->measure === null) {
            $parts = $this->parts;
            // An 'any' that holds is told by what made it hold.
            if ($measurements !== null && $this->kind === 'any' && $this->evaluate($measurements) === Truth::Yes) {
                $parts = array_filter($parts, static fn (self $r): bool => $r->evaluate($measurements) === Truth::Yes);
            }

            return implode($this->kind === 'all' ? ' and ' : ' or ', array_map(static fn (self $r): string => $r->words($measurements), $parts));
        }
        $name = $this->measure->label().($this->station === null ? '' : ' at '.$this->station);
        $op = ['is' => 'is', 'not' => 'is not', '<=' => '≤', '>=' => '≥'][$this->kind] ?? $this->kind;
        $limit = is_string($this->threshold) ? $this->threshold : Written::short($this->threshold).' '.$this->measure->unit();
        if ($measurements === null) {
            return "$name $op $limit";
        }

        $found = $measurements->get($this->measure, $this->station);

        return $found->value === null ? "$name is not measurable ({$found->reason})" : sprintf('%s %s (rule: %s %s)', $name, self::shown($found), $op, $limit);
    }

    public static function shown(Measured $m): string
    {
        return match (true) {
            $m->value === null => 'not measurable ('.$m->reason.')',
            $m->censored !== null => (string) $m->reason,
            is_string($m->value) => $m->value,
            is_array($m->value) => implode(', ', $m->value),
            default => sprintf('%s ± %s', Written::short($m->value), Written::short((float) $m->uncertainty)),
        };
    }
}
