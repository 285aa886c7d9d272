<?php

declare(strict_types=1);

namespace Core\Format\C3d;

use Core\Format\FormatException;
use Core\Motion\Vec3;

/**
 * One force platform of a C3D file, types 2 (six channels, forces and moments about the transducers' origin) and 4
 * (the same through a calibration matrix). Gives, in the laboratory's frame, what the ground does to the golfer.
 */
final readonly class Platform
{
    /** Below this vertical force there is no centre of pressure, N. */
    private const LEAST_N = 20.0;

    /**
     * @param  list<Vec3>  $corners  of the working surface, mm
     * @param  Vec3  $origin  from the transducers' origin to the middle of the surface, in the plate's axes, mm
     * @param  list<int>  $channels  numbers of Fx Fy Fz Mx My Mz
     * @param  list<float>|null  $matrix  calibration, six by six, column by column; null for type 2
     */
    private function __construct(
        private array $corners,
        private Vec3 $origin,
        private array $channels,
        private ?array $matrix,
        private float $perMillimetre,
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
            if ($type !== 2 && $type !== 4) {
                throw FormatException::in(
                    $file,
                    'platform-type',
                    p: $p + 1,
                    type: $type,
                );
            }
            if (
                count($corners) < 12 * ($p + 1) ||
                count($origins) < 3 * ($p + 1) ||
                count($channels) < $per * $p + 6 ||
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
            $numbers = array_slice($channels, $per * $p, 6);
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
                self::momentUnit($c3d, $numbers),
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
        for ($i = 0; $i < $n; $i++) {
            $raw = array_map(static fn (int $c): float => $analog[$c][$i], $this->channels);
            [$fx, $fy, $fz, $mx, $my, $mz] = $this->calibrated($raw);
            [$mx, $my, $mz] = [$mx * $this->perMillimetre, $my * $this->perMillimetre, $mz * $this->perMillimetre];
            // Moments carried from the transducers to the middle of the surface: M − r × F.
            [$ox, $oy, $oz] = [$this->origin->x, $this->origin->y, $this->origin->z];
            [$sx, $sy, $sz] = [
                $mx - ($oy * $fz - $oz * $fy),
                $my - ($oz * $fx - $ox * $fz),
                $mz - ($ox * $fy - $oy * $fx),
            ];
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
     * @param  list<int>  $channels
     */
    private static function momentUnit(C3dFile $c3d, array $channels): float
    {
        $unit = strtolower(
            str_replace(
                [' ', '·', '.', '*'],
                '',
                (string) ($c3d->parameter('ANALOG', 'UNITS')[$channels[3] - 1] ?? ''),
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
