<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\FoundStations;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationsFromMotion;
use Core\Motion\StationsFromTrace;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\DeviceClass;

/**
 * How far off the stations are that a finder proposes, over swings of every pace and size: within their ±, flagged or
 * not, missing, or found where the swing has none.
 *
 * @phpstan-type Cell array{sure: Held, doubted: Held, missing: int, invented: int}
 */
final class StationStudy
{
    public const SOURCES = ['points', 'face-on', 'down-the-line', 'mat', 'plate', 'dual-plate'];

    /** A club head not tracked so long before and after the top, s. */
    private const LOST = 0.09;

    public const CLUB_LOST = 'club-lost';

    /** @var array<string, array<string, array<string, Cell>>> by source, kind of swing and station */
    public array $cells = [];

    /** @return list<string> */
    public static function kinds(): array
    {
        return [...array_keys(Pace::kinds()), self::CLUB_LOST];
    }

    /** @throws CoreException */
    public function swing(string $kind, int $i, string $seed): void
    {
        $pace = Pace::kinds()[$kind] ?? new Pace;
        $fault = Plant::FAULTS[$i % count(Plant::FAULTS)];
        $plant = new Plant($i % 3 === 0 || $kind === 'chip' ? [] : [$fault => 1 + $i % 2]);
        $swing = Swing::simulated(GolferSpec::ofStudy($seed, $i, $plant, pace: $pace), 240.0);
        foreach (View::cases() as $view) {
            $seen = Camera::record($swing->motion(), $view, "$seed|$i");
            $seen = $kind === self::CLUB_LOST ? self::lost($seen, $swing->stations->t(Station::Top) ?? 0.0) : $seen;
            $this->compare($view->value, $kind, $swing, StationsFromMotion::find(new Views($seen)));
        }
        foreach ($kind === self::CLUB_LOST ? [] : DeviceClass::cases() as $device) {
            $trace = $swing->on($device, "$seed|$i", Conditions::ordinary());
            $this->compare($device->value, $kind, $swing, StationsFromTrace::find($trace));
        }
    }

    /**
     * Counts of another process added.
     *
     * @param  array<string, array<string, array<string, Cell>>>  $cells
     */
    public function add(array $cells): void
    {
        foreach ($cells as $source => $kinds) {
            foreach ($kinds as $kind => $stations) {
                foreach ($stations as $code => $cell) {
                    $mine = $this->cell($source, $kind, $code);
                    $mine['sure']->add($cell['sure']);
                    $mine['doubted']->add($cell['doubted']);
                    $mine['missing'] += $cell['missing'];
                    $mine['invented'] += $cell['invented'];
                    $this->cells[$source][$kind][$code] = $mine;
                }
            }
        }
    }

    private function compare(string $source, string $kind, Swing $swing, ?FoundStations $found): void
    {
        foreach (Station::cases() as $station) {
            $code = $station->value;
            $cell = $this->cell($source, $kind, $code);
            $true = $swing->stations->t($station);
            $time = $found?->times->get($station);
            if ($true === null || $time === null || $found === null) {
                $cell['missing'] += $true !== null ? 1 : 0;
                $cell['invented'] += $time !== null ? 1 : 0;
            } else {
                $cell[$found->isDoubtful($station) ? 'doubted' : 'sure']->count($time->t - $true, $time->uncertainty);
            }
            $this->cells[$source][$kind][$code] = $cell;
        }
    }

    /** @return Cell */
    private function cell(string $source, string $kind, string $code): array
    {
        return $this->cells[$source][$kind][$code] ?? [
            'sure' => new Held,
            'doubted' => new Held,
            'missing' => 0,
            'invented' => 0,
        ];
    }

    /** @throws CoreException */
    private static function lost(Motion $motion, float $top): Motion
    {
        $points = $motion->points;
        foreach ($points['club_head'] as $axis => $values) {
            foreach ($values as $i => $_) {
                if (abs($motion->t0 + $i / $motion->rateHz - $top) < self::LOST) {
                    $points['club_head'][$axis][$i] = NAN;
                }
            }
        }

        return new Motion($motion->rateHz, $points, $motion->t0, $motion->view);
    }
}
