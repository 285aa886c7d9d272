<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Models\Film;
use App\Models\Recording;
use Core\Number\Written;

/**
 * The films of a recording, a row for each side: what is held, how its clock stands, what became of one on its way.
 *
 * @phpstan-type FilmRow array{view: string, name: string, film: Film|null, ready: bool, underWay: bool, says: string,
 *     trouble: ?string, arriving: ?string, frames: array<string, string>, events: list<string>}
 */
final class FilmRows
{
    private const UNDER_WAY = ['waiting', 'converting'];

    /** @return list<FilmRow> */
    public static function ofRecording(Recording $recording): array
    {
        $known = $recording->films->keyBy('view');

        return array_map(static function (string $view) use ($known): array {
            $film = $known->get($view);
            $ready = $film?->isReady() === true;
            $frame = $film !== null && $ready ? 1.0 / (float) $film->rate_hz : 0.0;

            return [
                'view' => $view,
                'name' => ucfirst((string) __("views.$view")),
                'film' => $film,
                'ready' => $ready,
                'underWay' => in_array($film?->state, self::UNDER_WAY, true),
                'says' => $film === null ? (string) __('films.none') : self::says($film, $ready),
                'trouble' => $film?->state === 'refused' ? $film->says() : null,
                'arriving' => $film?->state === 'arriving'
                    ? (string) __('films.not-whole', ['name' => $film->name])
                    : null,
                'frames' => [
                    (string) __('films.frame-back') => sprintf('%.9F', -$frame),
                    (string) __('films.frame-on') => sprintf('%.9F', $frame),
                ],
                'events' => $film === null ? [] : self::events($film),
            ];
        }, ['face-on', 'down-the-line']);
    }

    private static function says(Film $film, bool $ready): string
    {
        if (! $ready) {
            return (string) __('films.'.($film->state === 'waiting' ? 'waiting' : 'converting'));
        }
        $sure = $film->clock_uncertainty_s;
        $by = $film->clock_by;

        return (string) __('films.ready', [
            'film' => $film->describe(),
            'at' => Written::fixed($film->offset_s, 3),
            'sure' => $sure === null || $sure === 0.0
                ? ''
                : __('films.sure', ['ms' => Written::fixed(1000.0 * $sure, 1)]),
            'by' => $by === null
                ? __('films.clock-not-set')
                : trans_choice("films.by.$by", count($film->clock_events ?? [])),
            'drift' => abs($film->drift_ppm) < 0.5
                ? __('films.no-drift')
                : __('films.drift', ['ppm' => Written::fixed($film->drift_ppm, 0)]),
        ]);
    }

    /** @return list<string> the moments by which its clock was set */
    private static function events(Film $film): array
    {
        return array_map(static fn (array $e): string => (string) __('films.event', [
            'what' => $e['code'] ?? __('films.a-moment'),
            'film' => Written::fixed($e['film'], 3),
            'trace' => Written::fixed($e['trace'], 3),
        ]), $film->clock_events ?? []);
    }
}
