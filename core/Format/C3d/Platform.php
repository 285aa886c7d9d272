<?php

declare(strict_types=1);

namespace Core\Format\C3d;

use Core\Format\FormatException;
use Core\Motion\Vec3;

/**
 * One force platform of a C3D file: type 1 (forces, where they press, free moment), 2 (forces and moments about the
 * transducers' origin), 3 (eight transducers), 4 (as 2, through a calibration matrix); channels without their baseline
 * where ZERO names frames of it. Gives, in the laboratory's frame, what the ground does to the golfer.
 */
final readonly class Platform
{
    /** Below this vertical force there is no centre of pressure, N. */
    private const LEAST_N = 20.0;

    /**
     * @param  list<Vec3>  $corners  of the working surface, mm
     * @param  Vec3  $origin  from the transducers' origin to the middle of the surface, in the plate's axes, mm
     * @param  list<int>  $channels  numbers of Fx Fy Fz Mx My Mz; of type 1 Fx Fy Fz px py Tz; of type 3 Fx12 Fx34 Fy14
     *     Fy23 Fz1 Fz2 Fz3 Fz4
     * @param  list<float>|null  $matrix  calibration, six by six, column by column; null but for type 4
     * @param  array{int, int}|null  $idle  first sample and how many, in which nothing stands on it
     */
    private function __construct(
        private array $corners,
        private Vec3 $origin,
        private array $channels,
        private ?array $matrix,
        private float $perMillimetre,
        private int $type,
        private float $mm,
        private ?array $idle,
    ) {
    }

    /**
     * @return list<self>
     *
     * @throws FormatException when a platform is of another type or its geometry is no rectangle
     */
    public static function all(C3dFile $c3d, string $file): array
    {
        $used = (int) ($c3d->number('FORCE_PLATFORM', 'USED') ?? 0);
        $types = $c3d->parameter('FORCE_PLATFORM', 'TYPE');
        $corners = array_map(floatval(...), $c3d->parameter('FORCE_PLATFORM', 'CORNERS'));
        $origins = array_map(floatval(...), $c3d->parameter('FORCE_PLATFORM', 'ORIGIN'));
        $channels = array_map(intval(...), $c3d->parameter('FORCE_PLATFORM', 'CHANNEL'));
        $matrices = array_map(floatval(...), $c3d->parameter('FORCE_PLATFORM', 'CAL_MATRIX'));
        $per = $c3d->parameters['FORCE_PLATFORM']['CHANNEL']['dimensions'][0] ?? 6;
        $mm = $c3d->millimetres();
        $out = [];
        for ($p = 0; $p < min($used, 8); $p++) {
            $type = (int) ($types[$p] ?? 0);
            if ($type < 1 || $type > 4) {
                throw FormatException::in(
                    $file,
                    'platform-type',
                    p: $p + 1,
                    type: $type,
                );
            }
            $wants = $type === 3 ? 8 : 6;
            if (
                $per < $wants ||
                count($corners) < 12 * ($p + 1) ||
                count($origins) < 3 * ($p + 1) ||
                count($channels) < $per * $p + $wants ||
                ($type === 4 && count($matrices) < 36 * ($p + 1))
            ) {
                throw FormatException::in(
                    $file,
                    'platform-lacks',
                    p: $p + 1,
                );
            }
            $own = [];
            foreach (array_chunk(array_slice($corners, 12 * $p, 12), 3) as [$x, $y, $z]) {
                $own[] = new Vec3($mm * $x, $mm * $y, $mm * $z);
            }
            $numbers = array_slice($channels, $per * $p, $wants);
            foreach ($numbers as $n) {
                if (! isset($c3d->analog[$n])) {
                    throw FormatException::in(
                        $file,
                        'platform-channel',
                        p: $p + 1,
                        n: $n,
                    );
                }
            }
            [$ox, $oy, $oz] = array_slice($origins, 3 * $p, 3);
            // The surface lies above the transducers: against the plate's own z, which points down.
            $plate = new self(
                $own,
                new Vec3($mm * $ox, $mm * $oy, -abs($mm * $oz)),
                $numbers,
                $type === 4 ? array_values(array_slice($matrices, 36 * $p, 36)) : null,
                $type === 3 ? 1.0 : self::momentUnit($c3d, $type === 1 ? $numbers[5] : $numbers[3]),
                $type,
                $mm,
                self::idle($c3d),
            );
            if ($plate->side(0) < 50.0 || $plate->side(1) < 50.0) {
                throw FormatException::in(
                    $file,
                    'platform-corners',
                    p: $p + 1,
                );
            }
            $out[] = $plate;
        }

        return $out;
    }

    public function centre(): Vec3
    {
        return $this->corners[0]
            ->plus($this->corners[1])
            ->plus($this->corners[2])
            ->plus($this->corners[3])
            ->times(0.25);
    }

    /**
     * @param  array<int, list<float>>  $analog  by channel number
     * @return array{force: array{list<float>, list<float>, list<float>}, cop: array{list<float>, list<float>},
     *     moment: list<float>} laboratory frame: N, mm (NAN where too little presses), free moment about the upward
     *     vertical in
     *     N·m
     */
    public function wrench(array $analog): array
    {
        [$ex, $ey, $ez] = $this->axes();
        $centre = $this->centre();
        $out = ['force' => [[], [], []], 'cop' => [[], []], 'moment' => []];
        $n = count($analog[$this->channels[0]]);
        $up = 0.0;
        $zero = $this->zeros($analog);
        for ($i = 0; $i < $n; $i++) {
            $raw = [];
            foreach ($this->channels as $k => $c) {
                $raw[] = $analog[$c][$i] - $zero[$k];
            }
            [$fx, $fy, $fz, $sx, $sy, $sz] = $this->atSurface($raw);
            $action = $ex->times($fx)->plus($ey, $fy)->plus($ez, $fz);
            $out['force'][0][] = -$action->x;
            $out['force'][1][] = -$action->y;
            $out['force'][2][] = -$action->z;
            $up -= $action->z;
            if (abs($fz) < self::LEAST_N) {
                $out['cop'][0][] = $out['cop'][1][] = NAN;
                $out['moment'][] = 0.0;

                continue;
            }
            [$cx, $cy] = [-$sy / $fz, $sx / $fz];
            $at = $centre->plus($ex, $cx)->plus($ey, $cy);
            $out['cop'][0][] = $at->x;
            $out['cop'][1][] = $at->y;
            $out['moment'][] = -($sz - $cx * $fy + $cy * $fx) * $ez->z / 1000.0;
        }
        if ($up < 0.0) {
            // Some systems write what the ground does to the golfer already.
            foreach ([0, 1, 2] as $axis) {
                $out['force'][$axis] = array_map(static fn (float $v): float => -$v, $out['force'][$axis]);
            }
            $out['moment'] = array_map(static fn (float $v): float => -$v, $out['moment']);
        }

        return $out;
    }

    /**
     * Forces, N, and moments about the middle of the surface, N·mm, in the plate's axes.
     *
     * @param  list<float>  $raw  by channel
     * @return array{float, float, float, float, float, float}
     */
    private function atSurface(array $raw): array
    {
        if ($this->type === 1) {
            // Where it presses and the free moment there are given: no transducers to carry moments from.
            [$fx, $fy, $fz, $px, $py, $tz] = $raw;
            [$px, $py] = [$px * $this->mm, $py * $this->mm];

            return [$fx, $fy, $fz, $py * $fz, -$px * $fz, $px * $fy - $py * $fx + $tz * $this->perMillimetre];
        }
        if ($this->type === 3) {
            [$fx12, $fx34, $fy14, $fy23, $z1, $z2, $z3, $z4] = $raw;
            [$a, $b] = [abs($this->origin->x), abs($this->origin->y)];
            [$fx, $fy, $fz] = [$fx12 + $fx34, $fy14 + $fy23, $z1 + $z2 + $z3 + $z4];
            // The origin tells how far the transducers stand from the middle, and how far below.
            $oz = $this->origin->z;

            return [$fx, $fy, $fz,
                $b * ($z1 + $z2 - $z3 - $z4) + $oz * $fy,
                $a * (-$z1 + $z2 + $z3 - $z4) - $oz * $fx,
                $b * (-$fx12 + $fx34) + $a * ($fy14 - $fy23)];
        }
        [$fx, $fy, $fz, $mx, $my, $mz] = $this->calibrated($raw);
        [$mx, $my, $mz] = [$mx * $this->perMillimetre, $my * $this->perMillimetre, $mz * $this->perMillimetre];
        // Moments carried from the transducers to the middle of the surface: M − r × F.
        [$ox, $oy, $oz] = [$this->origin->x, $this->origin->y, $this->origin->z];

        return [$fx, $fy, $fz,
            $mx - ($oy * $fz - $oz * $fy),
            $my - ($oz * $fx - $ox * $fz),
            $mz - ($ox * $fy - $oy * $fx)];
    }

    /**
     * What each channel shows while nothing stands on the plate; of type 1 places have no such thing.
     *
     * @param  array<int, list<float>>  $analog
     * @return list<float>
     */
    private function zeros(array $analog): array
    {
        $out = [];
        foreach ($this->channels as $k => $c) {
            $of = $this->idle === null || ($this->type === 1 && $k > 2)
                ? []
                : array_slice($analog[$c], ...$this->idle);
            $out[] = $of === [] ? 0.0 : array_sum($of) / count($of);
        }

        return $out;
    }

    /** @return array{int, int}|null samples of the frames that ZERO names, from 1 on; none where it names none */
    private static function idle(C3dFile $c3d): ?array
    {
        [$first, $last] = array_map(
            static fn (int $i): int => (int) ($c3d->parameter('FORCE_PLATFORM', 'ZERO')[$i] ?? 0),
            [0, 1],
        );
        $per = (int) round($c3d->analogRateHz / $c3d->pointRateHz);

        return $first >= 1 && $last >= $first ? [($first - 1) * $per, ($last - $first + 1) * $per] : null;
    }

    /**
     * @param  list<float>  $raw
     * @return list<float>
     */
    private function calibrated(array $raw): array
    {
        if ($this->matrix === null) {
            return $raw;
        }
        $out = [];
        for ($row = 0; $row < 6; $row++) {
            $sum = 0.0;
            for ($column = 0; $column < 6; $column++) {
                $sum += $this->matrix[6 * $column + $row] * $raw[$column];
            }
            $out[] = $sum;
        }

        return $out;
    }

    /** @return array{Vec3, Vec3, Vec3} the plate's own axes: corners 1 to 4 stand at +x+y, −x+y, −x−y, +x−y */
    private function axes(): array
    {
        [$a, $b, $c, $d] = $this->corners;
        $x = $a->plus($d)->minus($b)->minus($c)->unit();
        $y = $a->plus($b)->minus($c)->minus($d)->unit();

        return [
            $x,
            $y,
            new Vec3($x->y * $y->z - $x->z * $y->y, $x->z * $y->x - $x->x * $y->z, $x->x * $y->y - $x->y * $y->x),
        ];
    }

    private function side(int $which): float
    {
        return $this->corners[$which]->minus($this->corners[$which + 1])->length();
    }

    /**
     * N·mm in the file's unit of moment.
     *
     * @param  int  $channel  that gives one
     */
    private static function momentUnit(C3dFile $c3d, int $channel): float
    {
        $unit = strtolower(
            str_replace(
                [' ', '·', '.', '*'],
                '',
                (string) ($c3d->parameter('ANALOG', 'UNITS')[$channel - 1] ?? ''),
            ),
        );

        return match (true) {
            $unit === 'nm' => 1000.0,
            $unit === 'ncm' => 10.0,
            $unit === 'nmm' => 1.0,
            default => $c3d->millimetres(),
        };
    }
}
