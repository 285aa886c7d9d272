<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Remark\Remark;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;

/** Every measure's result for one swing; those taken at several stations by station code. */
final readonly class Measurements
{
    /** Units of what a wrong mass or gain takes a part of. */
    private const FORCES = ['%BW', '%BW/s', 'N·m/kg'];

    /** @param  array<string, Measured|array<string, Measured>>  $results by measure key */
    public function __construct(private array $results)
    {
    }

    /** @param  string|null  $station code, for a measure taken at several stations */
    public function get(Measure $measure, ?string $station = null): Measured
    {
        $found = $this->results[$measure->value] ?? null;
        if (is_array($found)) {
            $found = $found[$station ?? ''] ?? null;
        }

        return $found ?? Measured::none($measure->unit(), Remark::of(Lack::NotMeasured));
    }

    /**
     * What is left when faults of the instrument are taken into account: a measure made from a signal and a span
     * that a finding touches is nulled or widened as the finding says; every other stays as it is.
     *
     * @param  list<QualityFinding>  $findings
     */
    public function limitedBy(array $findings): self
    {
        $findings = array_values(
            array_filter($findings, static fn (QualityFinding $f): bool => $f->effect !== QualityFinding::UNAFFECTED),
        );
        if ($findings === []) {
            return $this;
        }
        $out = [];
        foreach ($this->results as $key => $result) {
            $measure = Measure::from($key);
            $out[$key] = $result instanceof Measured
                ? self::limited($measure, $result, $findings)
                : array_map(static fn (Measured $m): Measured => self::limited($measure, $m, $findings), $result);
        }

        return new self($out);
    }

    public function with(Measure $measure, Measured $result): self
    {
        return new self([$measure->value => $result] + $this->results);
    }

    /** The same with every uncertainty multiplied. */
    public function widened(float $times, Remark $why): self
    {
        return new self(array_map(static fn (Measured|array $m): Measured|array => $m instanceof Measured
            ? $m->widened($times, $why)
            : array_map(static fn (Measured $at): Measured => $at->widened($times, $why), $m), $this->results));
    }

    /** @return list<string> keys of the measures a finding touches */
    public function touchedBy(QualityFinding $finding): array
    {
        $keys = [];
        foreach ($this->results as $key => $result) {
            foreach ($result instanceof Measured ? [$result] : $result as $m) {
                if ($m->value !== null && self::touches($finding, Measure::from($key), $m)) {
                    $keys[$key] = $key;
                }
            }
        }

        return array_values($keys);
    }

    /** @param  list<QualityFinding>  $findings */
    private static function limited(Measure $measure, Measured $m, array $findings): Measured
    {
        if ($m->value === null) {
            return $m;
        }
        foreach ($findings as $finding) {
            if (! self::touches($finding, $measure, $m)) {
                continue;
            }
            if ($finding->effect === QualityFinding::NULLED) {
                return Measured::none($m->unit, $finding->remark);
            }
            $m = $m->widened($finding->widens($m->signals ?? $measure->signals()), $finding->remark)
                ->besides(in_array($m->unit, self::FORCES, true) ? $finding->part * abs($m->number() ?? 0.0) : 0.0);
        }

        return $m;
    }

    private static function touches(QualityFinding $finding, Measure $measure, Measured $m): bool
    {
        if ($finding->timingsOnly && ! in_array($m->unit, ['ms', 'fraction', '%/s', '%BW/s', 'order'], true)) {
            return false;
        }
        $made = array_map(static fn (Signal $s): string => $s->value, $m->signals ?? $measure->signals());
        $hit = array_intersect($made, array_map(static fn (Signal $s): string => $s->value, $finding->signals)) !== [];

        if (! $hit || $m->window === null) {
            return $hit;
        }
        foreach ($m->moments ?? [] as $moment) {
            if ($finding->covers($moment, $moment)) {
                return true;
            }
        }

        return $m->moments === null && $finding->covers($m->window[0], $m->window[1]);
    }

    /** @return list<string> where a measure was taken, of one taken at several stations */
    public function stationsOf(Measure $measure): array
    {
        $found = $this->results[$measure->value] ?? [];

        return is_array($found) ? array_map(strval(...), array_keys($found)) : [];
    }

    /** @return array<string, Measured|array<string, Measured>> */
    public function all(): array
    {
        return $this->results;
    }
}
