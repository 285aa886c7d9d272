<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Models\Film;
use App\Models\Recording;
use Core\Drawing\Mannequin;
use Core\Drawing\Shape;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\Vec3;
use Core\Motion\View;

/**
 * One swing at one station, to be looked at on paper: a picture of its film where there is one, else the body drawn
 * from its points, with plumb lines up from both heels and a line through the hips.
 *
 * @phpstan-type Still array{kind: 'film'|'figure', station: string, view: string, src: string, file: ?string,
 *     shapes: list<Shape>, box: string, mirrored: bool}
 */
final class Stills
{
    private const POINTS = [
        'pelvis', 'chest', 'neck', 'head', 'nose', 'lead_hip', 'trail_hip', 'lead_knee', 'trail_knee', 'lead_ankle',
        'trail_ankle', 'lead_heel', 'trail_heel', 'lead_toe', 'trail_toe', 'lead_shoulder', 'trail_shoulder',
        'lead_elbow', 'trail_elbow', 'lead_hand', 'trail_hand',
    ];

    /** What a figure's picture shows, mm: from, downward from, width, height. */
    public const BOX = [-1000.0, -2150.0, 2000.0, 2280.0];

    /** @return Still|null */
    public static function of(Recording $swing, Station $station): ?array
    {
        return self::ofFilm($swing, $station) ?? self::ofPoints($swing, $station);
    }

    /** @return Still|null */
    private static function ofFilm(Recording $swing, Station $station): ?array
    {
        $film = $swing->films->first(static fn (Film $f): bool => $f->isReady()
            && array_key_exists($station->value, $f->stills));

        return $film === null ? null : [
            'kind' => 'film',
            'station' => $station->value,
            'view' => $film->view,
            'src' => route('bench.film', [$swing, $film->view, $station->value], false),
            'file' => $film->path("$station->value.jpg"),
            'shapes' => [],
            'box' => '',
            'mirrored' => false,
        ];
    }

    /** @return Still|null */
    private static function ofPoints(Recording $swing, Station $station): ?array
    {
        $swing->loadMissing(['motion', 'stations']);
        $motion = $swing->coreMotion();
        $at = $swing->stationTimes()->t($station);
        if ($motion === null || $at === null) {
            return null;
        }
        $view = $motion->view === View::DownTheLine ? View::DownTheLine : View::FaceOn;
        $points = self::points($motion, $at);
        if ($points === null) {
            return null;
        }

        return [
            'kind' => 'figure',
            'station' => $station->value,
            'view' => $view->value,
            'src' => '',
            'file' => null,
            'shapes' => [...Mannequin::of($points, $view)->shapes, ...self::lines($points, $view)],
            'box' => implode(' ', self::BOX),
            'mirrored' => $swing->golfer->handedness === 'left',
        ];
    }

    /** @return array<string, Vec3>|null null where one of them is not held */
    private static function points(Motion $motion, float $at): ?array
    {
        $i = (int) round(($at - $motion->t0) * $motion->rateHz);
        $out = [];
        foreach ([...self::POINTS, 'grip', 'club_head'] as $name) {
            $axes = $motion->points[$name] ?? null;
            if ($axes === null || ! isset($axes[0][$i])) {
                if (in_array($name, self::POINTS, true)) {
                    return null;
                }

                continue;
            }
            [$x, $y, $z] = [$axes[0][$i], $axes[1][$i], $axes[2][$i]];
            if (! is_finite($z) || ! (is_finite($x) || is_finite($y))) {
                return null;
            }
            // What the view does not see of a point is in nobody's picture.
            $out[$name] = new Vec3(is_finite($x) ? $x : 0.0, is_finite($y) ? $y : 0.0, $z);
        }

        return $out;
    }

    /**
     * @param  array<string, Vec3>  $points
     * @return list<Shape>
     */
    private static function lines(array $points, View $view): array
    {
        $out = [Shape::line('ground', 'M-1000 0H1000')];
        foreach ($view === View::FaceOn ? ['lead_heel', 'trail_heel'] : ['trail_heel', 'trail_toe'] as $name) {
            [$x] = Mannequin::seen($points[$name], $view);
            $out[] = Shape::line('plumb', sprintf('M%.0f 0V-1750', $x));
        }
        [$a, $b] = [Mannequin::seen($points['trail_hip'], $view), Mannequin::seen($points['lead_hip'], $view)];
        if ($view === View::FaceOn) {
            $out[] = Shape::line('plumb', sprintf(
                'M%.0f %.0fL%.0f %.0f',
                2.2 * $a[0] - 1.2 * $b[0],
                2.2 * $a[1] - 1.2 * $b[1],
                2.2 * $b[0] - 1.2 * $a[0],
                2.2 * $b[1] - 1.2 * $a[1],
            ));
        }

        return $out;
    }
}
