<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;

/** A drill as a codebook document holds it. */
final class DrillRow
{
    /** @return array<string, mixed> */
    public static function write(Drill $drill): array
    {
        $plan = $drill->plan;

        return [
            'name' => $drill->name,
            'for' => $drill->for,
            'not' => $drill->not,
            'set_up' => $drill->setUp,
            'steps' => $drill->steps,
            'far' => $drill->far,
            'expected' => $drill->expected,
            ...$drill->ways === []
                ? []
                : ['ways' => array_map(static fn (ExpectedChange $c): array => $c->toArray(), $drill->ways)],
            ...$drill->caution === '' ? [] : ['caution' => $drill->caution],
            ...$drill->harms ? ['harms' => true] : [],
            ...$plan === null ? [] : ['plan' => self::writePlan($plan)],
        ];
    }

    /**
     * @param  array<mixed>  $row
     * @param  list<string>  $lenses  keys of those the document holds
     *
     * @throws CoreException naming the drill and the member that is wrong
     */
    public static function read(string $key, array $row, array $lenses): Drill
    {
        $r = new DocumentReader('drill', $key);
        $expected = [];
        foreach ($r->map($row, 'expected') as $measure => $says) {
            if (Measure::tryFrom((string) $measure) === null) {
                throw CodebookException::because('no-measure', key: (string) $measure);
            }
            $expected[(string) $measure] = $r->text(['says' => $says], 'says');
        }
        $ways = [];
        foreach ($r->map($row, 'ways') as $measure => $of) {
            if (! isset($expected[$measure]) || ! is_array($of)) {
                throw CodebookException::because('drill-way', measure: (string) $measure);
            }
            $ways[(string) $measure] = ExpectedChange::fromArray((string) $measure, $of);
        }
        $steps = $r->texts($row, 'steps');
        $harms = ($row['harms'] ?? false) === true;

        return new Drill(
            $key,
            $r->text($row, 'name'),
            $harms ? $r->optionalText($row, 'for') : $r->text($row, 'for'),
            $r->optionalText($row, 'not'),
            $r->optionalText($row, 'set_up'),
            $steps === [] && ! $harms ? throw $r->refuse('needs-steps', 'steps') : $steps,
            $r->optionalText($row, 'far'),
            $expected,
            $r->optionalText($row, 'caution'),
            $harms,
            isset($row['plan']) ? self::readPlan($r, $r->map($row, 'plan'), $lenses) : null,
            $ways,
        );
    }

    /** @return array<string, mixed> */
    private static function writePlan(DrillPlan $plan): array
    {
        return [
            'dose' => $plan->dose,
            'check' => $plan->check,
            'pass' => $plan->pass,
            'stop' => $plan->stop,
            'from' => $plan->from->value,
            'to' => $plan->to->value,
            'ball' => $plan->ball,
            'feels' => $plan->feels,
            'lenses' => array_map(
                static fn (array $of): array => ['used' => $of[0], 'says' => $of[1]],
                $plan->lenses,
            ),
            'loads' => array_map(
                static fn (array $of): array => [
                    'region' => $of[0]->value,
                    ...$of[1] === null ? [] : ['side' => $of[1]->value],
                ],
                $plan->loads,
            ),
        ];
    }

    /**
     * @param  array<mixed>  $row
     * @param  list<string>  $lenses
     *
     * @throws CoreException
     */
    private static function readPlan(DocumentReader $r, array $row, array $lenses): DrillPlan
    {
        $by = [];
        foreach ($r->map($row, 'lenses') as $lens => $of) {
            if (! in_array($lens, $lenses, true) || ! is_array($of)) {
                throw $r->refuse('drill-lens', (string) $lens);
            }
            $by[$lens] = [($of['used'] ?? false) === true, $r->text($of, 'says')];
        }
        $loads = [];
        foreach (isset($row['loads']) && $row['loads'] !== [] ? $r->list($row, 'loads') : [] as $of) {
            $region = LimitRegion::tryFrom($r->text($of, 'region')) ?? throw $r->refuse('drill-load', 'loads');
            $side = isset($of['side']) ? LimitSide::tryFrom($r->text($of, 'side')) : null;
            if ((isset($of['side']) && $side === null) || ($side !== null && ! $region->hasSides())) {
                throw $r->refuse('drill-load', 'loads');
            }
            $loads[] = [$region, $side];
        }
        $rung = static fn (string $name): Rung => Rung::tryFrom($r->text($row, $name))
            ?? throw $r->refuse('drill-rung', $name);
        [$from, $to] = [$rung('from'), $rung('to')];
        if (array_search($from, Rung::cases(), true) > array_search($to, Rung::cases(), true)) {
            throw $r->refuse('drill-ladder', 'to');
        }

        return new DrillPlan(
            $r->text($row, 'dose'),
            $r->text($row, 'check'),
            $r->text($row, 'pass'),
            $r->text($row, 'stop'),
            $from,
            $to,
            $r->text($row, 'ball'),
            $r->text($row, 'feels'),
            $by,
            $loads,
        );
    }
}
