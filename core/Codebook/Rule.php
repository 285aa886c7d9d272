<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;
use Core\Measurement\Measurements;
use Core\Motion\Station;
use Core\Remark\Remark;

/**
 * A rule over measurements, as data: a condition [measure or measure@STATION, op, threshold] with op one of
 * < <= > >= is not, or ['all', rule, …], ['any', rule, …], or ['first', rule, …]: the first part that can be
 * told.
 */
final readonly class Rule
{
    /** @param  list<self>  $parts */
    private function __construct(private string $kind, private array $parts, private ?Condition $condition = null)
    {
    }

    /**
     * @param  array<mixed>  $data
     *
     * @throws CoreException when the data is no rule
     */
    public static function from(array $data): self
    {
        $head = $data[0] ?? null;
        if (in_array($head, ['all', 'any', 'first'], true)) {
            $parts = [];
            foreach (array_slice($data, 1) as $part) {
                $parts[] = self::from(
                    is_array($part) ? $part : throw CodebookException::because('rule-part', head: $head),
                );
            }

            return $parts === []
                ? throw CodebookException::because('rule-empty', head: $head)
                : new self($head, $parts);
        }
        [$name, $op, $threshold] = array_pad(array_values($data), 3, null);
        if (! is_string($name) || ! is_string($op) || ! in_array($op, ['<', '<=', '>', '>=', 'is', 'not'], true)) {
            throw CodebookException::because('condition');
        }
        [$key, $station] = array_pad(explode('@', $name, 2), 2, null);
        $measure = Measure::tryFrom((string) $key) ?? throw CodebookException::because(
            'no-measure',
            key: (string) $key,
        );
        if ($measure->isByStation() !== ($station !== null && Station::tryFrom($station) !== null)) {
            throw CodebookException::because($measure->isByStation() ? 'station' : 'no-station', name: $name);
        }
        if (
            in_array($op, ['is', 'not'], true) !== is_string($threshold) ||
            (! is_string($threshold) && ! is_numeric($threshold)) ||
            is_string($threshold) !== ($measure->words() !== []) ||
            (is_string($threshold) && ! in_array($threshold, $measure->words(), true)) ||
            ! $measure->canBeAsked() ||
            (is_numeric($threshold) && ! is_finite((float) $threshold))
        ) {
            throw CodebookException::because('threshold', name: $name, op: $op);
        }

        return new self(
            'condition',
            [],
            new Condition($measure, $station, $op, is_string($threshold) ? $threshold : (float) $threshold),
        );
    }

    public function evaluate(Measurements $measurements): Truth
    {
        if ($this->condition !== null) {
            return $this->condition->evaluate($measurements);
        }
        $parts = array_map(static fn (self $r): Truth => $r->evaluate($measurements), $this->parts);

        return match ($this->kind) {
            'all' => Truth::both($parts),
            'any' => Truth::either($parts),
            default => array_values(
                array_filter($parts, static fn (Truth $t): bool => $t !== Truth::Unknown),
            )[0] ?? Truth::Unknown,
        };
    }

    /**
     * The same for one swing: thresholds scaled, and beside others no clause about a time that is known too badly.
     * Null where nothing is left.
     */
    public function scaled(Scale $scale): ?self
    {
        if ($this->condition !== null) {
            $of = $this->condition;

            return is_string($of->threshold) ? $this : new self('condition', [], new Condition(
                $of->measure,
                $of->station,
                $of->op,
                $scale->threshold($of->measure, $of->threshold),
            ));
        }
        $parts = [];
        foreach ($this->parts as $part) {
            $isLeftOut = $part->condition !== null && ! $scale->mayAsk($part->condition->measure);
            $scaled = $isLeftOut ? null : $part->scaled($scale);
            if ($scaled !== null) {
                $parts[] = $scaled;
            }
        }

        return $parts === [] ? null : new self($this->kind, $parts);
    }

    /** Of several ways to tell it the one that can be told. */
    private function told(Measurements $measurements): ?self
    {
        foreach ($this->kind === 'first' ? $this->parts : [] as $part) {
            if ($part->evaluate($measurements) !== Truth::Unknown) {
                return $part;
            }
        }

        return null;
    }

    /**
     * How far on the true side the deciding condition stands, in units of its uncertainty; negative on the
     * false side, null where nothing can be said.
     */
    public function margin(Measurements $measurements): ?float
    {
        $margin = $this->clearance($measurements);

        return $margin === null || is_infinite($margin) ? null : $margin;
    }

    /** The same, where a word that is or is not the one asked for clears its condition by all or nothing. */
    private function clearance(Measurements $measurements): ?float
    {
        if ($this->condition !== null) {
            $truth = $this->condition->evaluate($measurements);

            return match (true) {
                $truth === Truth::Unknown || ! is_string($this->condition->threshold) => $this->condition->margin(
                    $measurements,
                ),
                $truth === Truth::Yes => INF,
                default => -INF,
            };
        }
        if ($this->kind === 'first') {
            return $this->told($measurements)?->clearance($measurements);
        }
        $margins = array_filter(
            array_map(static fn (self $r): ?float => $r->clearance($measurements), $this->parts),
            static fn (?float $m): bool => $m !== null,
        );
        if ($margins === [] || $this->evaluate($measurements) === Truth::Unknown) {
            return null;
        }

        return $this->kind === 'all' ? min($margins) : max($margins);
    }

    /** @return list<Condition> the conditions a verdict came from */
    public function deciding(Measurements $measurements): array
    {
        if ($this->condition !== null) {
            return [$this->condition];
        }

        return array_merge(
            ...array_map(static fn (self $r): array => $r->deciding($measurements), $this->speaking($measurements)),
        );
    }

    /** @return list<Condition> all of them, left to right */
    public function conditions(): array
    {
        return $this->condition !== null
            ? [$this->condition]
            : array_merge(...array_map(static fn (self $r): array => $r->conditions(), $this->parts));
    }

    /** What the rule asks; with measurements, what was found by the parts that decided. */
    public function remark(?Measurements $measurements = null): Remark
    {
        if ($this->condition !== null) {
            return $this->condition->remark($measurements);
        }
        $parts = array_map(
            static fn (self $r): Remark => $r->remark($measurements),
            $measurements === null ? $this->parts : $this->speaking($measurements),
        );

        return count($parts) === 1
            ? $parts[0]
            : Remark::of(match ($this->kind) {
                'all' => Clause::All,
                'any' => Clause::Any,
                default => Clause::First,
            }, parts: $parts);
    }

    /** @return non-empty-list<self> of an 'any' that holds the parts that made it hold, else all */
    private function speaking(Measurements $measurements): array
    {
        $told = $this->told($measurements);
        if ($told !== null) {
            return [$told];
        }
        $holding =
            $this->kind === 'any'
                ? array_values(
                    array_filter($this->parts, static fn (self $r): bool => $r->evaluate($measurements) === Truth::Yes),
                )
                : [];

        /** @var non-empty-list<self> a rule of parts has at least one */
        return $holding === [] ? $this->parts : $holding;
    }
}
