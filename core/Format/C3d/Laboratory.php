<?php

declare(strict_types=1);

namespace Core\Format\C3d;

use Core\CoreException;
use Core\Format\Assumed;
use Core\Format\FormatException;
use Core\Format\ImportedRecording;
use Core\Format\SideCar;
use Core\Motion\Handedness;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\Views;
use Core\Number\Written;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Limits;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * From a laboratory's right-handed frame (Z up) to the stance's: x to the target, y to the toes, origin midway
 * between the feet at address. A right-handed golfer looks along −Y when X points to the target, so y is a
 * reflection; a left-handed one looks along +Y. Mz opens the body when it turns a right-handed golfer
 * counter-clockwise seen from above, a left-handed one clockwise.
 */
final class Laboratory
{
    private const PARTS = ['heel', 'ball', 'toe', 'ankle', 'knee', 'hip', 'shoulder', 'elbow', 'hand'];

    /** Words by which events are called, by station. */
    private const EVENTS = ['address' => 'AD', 'top' => 'TP', 'top of backswing' => 'TP', 'impact' => 'IM',
        'ball contact' => 'IM', 'finish' => 'FI'];

    private const MIDDLE = ['pelvis', 'chest', 'neck', 'head', 'nose', 'club_head', 'grip'];

    /**
     * @param  '+x'|'-x'|'+y'|'-y'  $target  the laboratory axis that points to the target
     * @param  array<string, string>  $names  our point names by the file's labels, where they are not to be guessed
     *
     * @throws FormatException
     * @throws CoreException
     */
    public static function import(
        string $bytes,
        string $file,
        Handedness $hand,
        string $target = '+x',
        ?float $massKg = null,
        array $names = [],
    ): ImportedRecording {
        $c3d = C3dReader::read($bytes, $file);
        $plates = Platform::all($c3d, $file);
        if ($plates === []) {
            throw FormatException::in($file, 'no-platform');
        }
        if (count($plates) > 2) {
            throw FormatException::in(
                $file,
                'many-platforms',
                plates: count($plates),
            );
        }
        $along = ['+x' => [1.0, 0.0], '-x' => [-1.0, 0.0], '+y' => [0.0, 1.0], '-y' => [0.0, -1.0]][$target];
        $mirror = $hand === Handedness::Right ? -1.0 : 1.0;
        // Rotated so that X is the target's direction, then y to the toes.
        $turn = static fn (float $x, float $y): array => [
            $along[0] * $x + $along[1] * $y,
            $mirror * (-$along[1] * $x + $along[0] * $y),
        ];
        usort(
            $plates,
            static fn (Platform $a, Platform $b): int => $turn($b->centre()->x, $b->centre()->y)[0] <=>
                $turn($a->centre()->x, $a->centre()->y)[0],
        );
        $notes = count($plates) === 2 ? [Remark::of(Assumed::LeadIsNearer)] : [];

        $wrenches = array_map(
            static fn (Platform $p): array => self::turned($p->wrench($c3d->analog), $turn, $mirror),
            $plates,
        );
        $points = self::points($c3d, $hand, $turn, $names);
        $standing = max(1, (int) (0.3 * $c3d->analogRateHz));
        [$ox, $oy, $stance] = self::stance($wrenches, $points, $standing, $notes);

        $channels = [];
        foreach ($wrenches as $i => $w) {
            $prefix = count($wrenches) === 1 ? '' : ($i === 0 ? 'lead_' : 'trail_');
            $channels += [
                $prefix.'fx_n' => $w['fx'],
                $prefix.'fy_n' => $w['fy'],
                $prefix.'fz_n' => $w['fz'],
                $prefix.'mz_nm' => $w['mz'],
                $prefix.'copx_mm' => array_map(static fn (float $v): float => $v - $ox, $w['cx']),
                $prefix.'copy_mm' => array_map(static fn (float $v): float => $v - $oy, $w['cy']),
            ];
        }
        if ($massKg === null && $c3d->massKg() !== null) {
            $massKg = $c3d->massKg();
            $notes[] = Remark::of(Assumed::MassStated, mass: Written::fixed($massKg, 1));
        }
        if ($massKg === null) {
            $total = 0.0;
            foreach ($wrenches as $w) {
                $total += array_sum(array_slice($w['fz'], 0, $standing)) / $standing;
            }
            $massKg = $total > 150.0 && $total < 2500.0 ? $total / 9.80665 : null;
            $notes[] =
                $massKg === null
                    ? Remark::of(Assumed::MassUnknown)
                    : Remark::of(Assumed::MassStanding, mass: Written::fixed($massKg, 1));
        }
        $trace = new Trace(
            count($wrenches) === 1 ? DeviceClass::Plate : DeviceClass::DualPlate,
            $c3d->analogRateHz,
            $channels,
            $stance,
            $massKg,
        );
        $moved = array_map(
            static fn (array $p): array => [
                array_map(static fn (float $v): float => $v - $ox, $p[0]),
                array_map(static fn (float $v): float => $v - $oy, $p[1]),
                $p[2],
            ],
            $points,
        );

        $marked = self::marked($c3d, $notes);

        return new ImportedRecording(
            $trace,
            $moved === [] ? new Views() : new Views(new Motion($c3d->pointRateHz, $moved)),
            $marked,
            new SideCar($massKg, $hand, null, null, $stance),
            $notes,
        );
    }

    /**
     * Stations that somebody marked as events: by code or by a common word.
     *
     * @param  list<Remark>  $notes
     *
     * @throws CoreException
     */
    private static function marked(C3dFile $c3d, array &$notes): ?StationTimes
    {
        $times = [];
        foreach ($c3d->events() as [$label, $t]) {
            $plain = strtolower(trim((string) preg_replace('/[^A-Za-z]+/', ' ', $label)));
            $code = Station::tryFrom(strtoupper($plain))->value ?? self::EVENTS[$plain] ?? null;
            if ($code !== null && ! isset($times[$code]) && $t >= 0.0 && $t <= Limits::TIME_S) {
                // To about a frame of the points.
                $times[$code] = new StationTime($t, 1.0 / $c3d->pointRateHz, StationSource::File);
            }
        }
        try {
            return $times === [] ? null : StationTimes::fromTimes($times);
        } catch (CoreException) {
            $notes[] = Remark::of(Assumed::EventsOutOfOrder, labels: array_keys($times));

            return null;
        }
    }

    /**
     * Our name for a marker's label: a side and a part of the body, or a part in the middle; null where it says
     * neither.
     */
    public static function pointName(string $label, Handedness $hand): ?string
    {
        $plain = strtolower(
            (string) preg_replace('/[^A-Za-z]+/', '_', trim((string) preg_replace('/^.*:/', '', $label))),
        );
        if (in_array($plain, self::MIDDLE, true)) {
            return $plain;
        }
        foreach (['lead', 'trail', 'left', 'right', 'l', 'r'] as $side) {
            foreach (self::PARTS as $part) {
                if ($plain === "{$side}_$part" || $plain === $side.$part || $plain === "{$part}_$side") {
                    $our = match (true) {
                        $side === 'lead', $side === 'trail' => $side,
                        default => str_starts_with($hand->leadSide(), $side[0]) ? 'lead' : 'trail',
                    };

                    return "{$our}_$part";
                }
            }
        }

        return null;
    }

    /**
     * @param  array{force: array{list<float>, list<float>, list<float>}, cop: array{list<float>, list<float>},
     *     moment: list<float>}  $wrench
     * @param  callable(float, float): array<int, float>  $turn
     * @return array{fx: list<float>, fy: list<float>, fz: list<float>, mz: list<float>, cx: list<float>,
     *     cy: list<float>}
     */
    private static function turned(array $wrench, callable $turn, float $mirror): array
    {
        $out = [
            'fx' => [],
            'fy' => [],
            'fz' => $wrench['force'][2],
            'mz' => array_map(static fn (float $m): float => -$mirror * $m, $wrench['moment']),
            'cx' => [],
            'cy' => [],
        ];
        foreach ($wrench['force'][0] as $i => $x) {
            [$out['fx'][], $out['fy'][]] = $turn($x, $wrench['force'][1][$i]);
            [$out['cx'][], $out['cy'][]] = $turn($wrench['cop'][0][$i], $wrench['cop'][1][$i]);
        }

        return $out;
    }

    /**
     * @param  callable(float, float): array<int, float>  $turn
     * @param  array<string, string>  $names
     * @return array<string, array{list<float>, list<float>, list<float>}>
     */
    private static function points(C3dFile $c3d, Handedness $hand, callable $turn, array $names): array
    {
        $mm = $c3d->millimetres();
        $out = [];
        foreach ($c3d->points as $label => [$x, $y, $z]) {
            $name = $names[$label] ?? self::pointName((string) $label, $hand);
            if ($name === null || isset($out[$name])) {
                continue;
            }
            $xs = $ys = [];
            foreach ($x as $i => $v) {
                [$xs[], $ys[]] = $turn($mm * $v, $mm * $y[$i]);
            }
            $out[$name] = [$xs, $ys, array_map(static fn (float $v): float => $mm * $v, $z)];
        }

        return $out;
    }

    /**
     * The origin and the feet: from heels and toes where they were seen, else from where each foot presses while
     * standing.
     *
     * @param  list<array{fx: list<float>, fy: list<float>, fz: list<float>, mz: list<float>, cx: list<float>,
     *     cy: list<float>}>  $wrenches
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points
     * @param  list<Remark>  $notes
     * @return array{float, float, Stance|null}
     *
     * @throws CoreException
     */
    private static function stance(array $wrenches, array $points, int $standing, array &$notes): array
    {
        $lead = self::footOf($points, 'lead');
        $trail = self::footOf($points, 'trail');
        if ($lead !== null && $trail !== null) {
            $notes[] = Remark::of(Assumed::FeetFromPoints);
        } elseif (count($wrenches) === 2) {
            [$lead, $trail] = array_map(
                static fn (array $w): array => [
                    self::start(array_slice($w['cx'], 0, $standing)),
                    self::start(array_slice($w['cy'], 0, $standing)),
                    270.0,
                    null,
                ],
                $wrenches,
            );
            $notes[] = Remark::of(Assumed::FeetFromPressure);
        } else {
            $notes[] = Remark::of(Assumed::FeetUnknown);

            return [
                self::start(array_slice($wrenches[0]['cx'], 0, $standing)),
                self::start(array_slice($wrenches[0]['cy'], 0, $standing)),
                null,
            ];
        }
        $ox = ($lead[0] + $trail[0]) / 2;
        $oy = ($lead[1] + $trail[1]) / 2;

        return [
            $ox,
            $oy,
            new Stance(
                new Foot($lead[0] - $ox, $lead[1] - $oy, $lead[2], 0.38 * $lead[2], $lead[3]),
                new Foot($trail[0] - $ox, $trail[1] - $oy, $trail[2], 0.38 * $trail[2], $trail[3]),
            ),
        ];
    }

    /**
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points
     * @return array{float, float, float, float|null}|null middle, length and heading of a foot at the start
     */
    private static function footOf(array $points, string $side): ?array
    {
        $heel = $points[$side.'_heel'] ?? null;
        $toe = $points[$side.'_toe'] ?? null;
        if ($heel === null || $toe === null) {
            return null;
        }
        [$hx, $hy, $tx, $ty] = [
            self::start($heel[0]),
            self::start($heel[1]),
            self::start($toe[0]),
            self::start($toe[1]),
        ];
        $length = hypot($tx - $hx, $ty - $hy);

        return $length > 100.0 && $length < 450.0
            ? [($hx + $tx) / 2, ($hy + $ty) / 2, $length, rad2deg(atan2($tx - $hx, $ty - $hy))]
            : null;
    }

    /** @param  list<float>  $values mean of the first values that are there */
    private static function start(array $values): float
    {
        $seen = array_slice(array_filter($values, static fn (float $v): bool => ! is_nan($v)), 0, 400);

        return $seen === []
            ? NAN
            : array_sum(array_slice($seen, 0, max(1, min(30, count($seen))))) / max(1, min(30, count($seen)));
    }
}
