<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Codebook\Codebook;
use Core\Codebook\Said;
use Core\Codebook\SwingReport;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Measured;
use Core\Motion\Station;
use Core\Trace\DeviceClass;
use Core\Trace\QualityFinding;
use Core\Trace\Trace;

/**
 * What goes wrong with instruments, planted in sound recordings: whether it is found, what it leaves out, and whether
 * what is left says something else with a clear margin than it did.
 *
 * @phpstan-type Cell array{n: int, found: int, out: int, wrong: int, opposite: int}
 */
final class QualityStudy
{
    public const SOUND = 'sound';

    private const NONE = ['n' => 0, 'found' => 0, 'out' => 0, 'wrong' => 0, 'opposite' => 0];

    /** A value is another one when it lies so many of both ± away. */
    private const ANOTHER = 1.0;

    /** @var array<string, array<string, Cell>> by mishap and device */
    public array $cells = [];

    /** @throws CoreException */
    public function golfer(int $i, string $seed): void
    {
        $plant = new Plant($i % 2 === 0 ? [] : [Plant::FAULTS[$i % count(Plant::FAULTS)] => 2]);
        $swing = Swing::simulated(GolferSpec::ofStudy($seed, $i, $plant));
        $at = $swing->stations->t(Station::DownswingArm) ?? 0.0;
        foreach (DeviceClass::cases() as $device) {
            $trace = $swing->on($device, "$seed|$i", new Conditions);
            $sound = $this->report($swing, $trace);
            $this->count(self::SOUND, $device, $sound, $sound, []);
            foreach (Mishap::all() as $code => $mishap) {
                if (in_array($device, $mishap->devices, true)) {
                    $spoilt = $this->report($swing, $mishap->doneTo($trace, $at));
                    $this->count($code, $device, $spoilt, $sound, $mishap->kinds);
                }
            }
        }
    }

    public function add(self $other): void
    {
        foreach ($other->cells as $code => $devices) {
            foreach ($devices as $device => $more) {
                $mine = $this->cells[$code][$device] ?? self::NONE;
                $this->cells[$code][$device] = [
                    'n' => $mine['n'] + $more['n'],
                    'found' => $mine['found'] + $more['found'],
                    'out' => $mine['out'] + $more['out'],
                    'wrong' => $mine['wrong'] + $more['wrong'],
                    'opposite' => $mine['opposite'] + $more['opposite'],
                ];
            }
        }
    }

    /** @throws CoreException */
    private function report(Swing $swing, Trace $trace): SwingReport
    {
        return new SwingReport(new Evidence($swing->stations, $trace, null, $swing->stance));
    }

    /**
     * @param  list<string>  $kinds
     *
     * @throws CoreException
     */
    private function count(string $code, DeviceClass $device, SwingReport $is, SwingReport $was, array $kinds): void
    {
        $cell = $this->cells[$code][$device->value] ?? self::NONE;
        $findings = array_map(static fn (QualityFinding $f): string => $f->kind, $is->assessment->findings);
        $cell['n']++;
        // Of a sound recording whatever is found is found wrongly.
        $cell['found'] += ($kinds === [] ? $findings : array_intersect($kinds, $findings)) === [] ? 0 : 1;
        $values = self::flat($is);
        foreach (self::flat($was) as $key => $sound) {
            $now = $values[$key] ?? null;
            if ($sound->number() === null || $sound->uncertainty === null) {
                continue;
            }
            $value = $now?->number();
            if ($now === null || $value === null || $now->uncertainty === null) {
                $cell['out']++;
            } elseif (abs($value - $sound->number()) > self::ANOTHER * ($sound->uncertainty + $now->uncertainty)) {
                $cell['wrong']++;
            }
        }
        $book = Codebook::standard();
        $before = $was->faults($book);
        foreach ($is->faults($book) as $fault => $verdict) {
            $pair = [$before[$fault]->said(), $verdict->said()];
            $cell['opposite'] += $pair === [Said::Contradicted, Said::Supported]
                || $pair === [Said::Supported, Said::Contradicted] ? 1 : 0;
        }
        $this->cells[$code][$device->value] = $cell;
    }

    /** @return array<string, Measured> every single value by key or key@STATION */
    private static function flat(SwingReport $report): array
    {
        $out = [];
        foreach ($report->assessment->measurements->all() as $key => $found) {
            foreach ($found instanceof Measured ? ['' => $found] : $found as $at => $one) {
                $out[$at === '' ? $key : "$key@$at"] = $one;
            }
        }

        return $out;
    }
}
