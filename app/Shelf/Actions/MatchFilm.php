<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Film;
use App\Models\User;
use App\Shelf\Events\FilmClockSet;
use App\Shelf\Events\FilmMatched;
use Core\Motion\ClockMatch;
use Core\Number\Written;
use Illuminate\Support\Facades\DB;

/**
 * Brings a filmed view's clock to the recording's: each event seen in both adds to what is known. One event sets the
 * offset; several, far enough apart, also the drift – which is taken only where it exceeds its own uncertainty.
 */
final readonly class MatchFilm
{
    private const MOST_EVENTS = 12;

    private const MOST_DRIFT_PPM = 20_000.0;

    /**
     * @param  array{by: string, shift: float, film: float, trace: float, code: ?string}  $change  times in s; 'film'
     *     from the film's first frame
     * @return string what is so now, for the person
     *
     * @throws ActionException
     */
    public function __invoke(Film $film, array $change, User $by): string
    {
        return DB::transaction(function () use ($film, $change, $by): string {
            $film = Film::query()->lockForUpdate()->with('recording.stations')->findOrFail($film->id);
            if (! $film->isReady()) {
                throw ActionException::because('refusals.shelf.film-not-ready-yet');
            }
            match ($change['by']) {
                'hand' => $film->fill([
                    'offset_s' => $film->offset_s + $change['shift'],
                    'clock_by' => 'hand',
                    'clock_uncertainty_s' => 0.5 / (float) $film->rate_hz,
                ]),
                'forget' => $film->fill(['clock_events' => []]),
                default => $this->event($film, $change),
            };
            if (abs($film->offset_s - $film->recording->t0) > 120.0) {
                throw ActionException::because('refusals.shelf.film-would-lie-more');
            }
            $film->save();
            event(new FilmMatched($film->id));
            event(new FilmClockSet($film, $change['by'], $by));

            return $change['by'] === 'forget'
                ? (string) __('notices.shelf.events-taken-back')
                : self::words($film);
        });
    }

    /** @param  array{film: float, trace: float, code: ?string}  $change */
    private function event(Film $film, array $change): void
    {
        $rate = (float) $film->rate_hz;
        if ($change['film'] > ($film->frames ?? 0) / $rate) {
            throw ActionException::because('refusals.shelf.film-not-as-long');
        }
        $station =
            $change['code'] === null
                ? null
                : $film->recording->stationTimes()->all()[$change['code']] ??
                    throw ActionException::because('refusals.shelf.station-no-time-here', ['code' => $change['code']]);
        $event = [
            'film' => $change['film'],
            'trace' => $station->t ?? $change['trace'],
            'code' => $change['code'],
            'u' => hypot(0.475 / $rate, $station->uncertainty ?? 0.95 / $film->recording->rate_hz),
        ];
        $others = array_values(
            array_filter(
                $film->clock_events,
                static fn (array $e): bool => ($change['code'] === null || $e['code'] !== $change['code']) &&
                    abs($e['film'] - $change['film']) > 0.02,
            ),
        );
        if (count($others) >= self::MOST_EVENTS) {
            throw ActionException::because('refusals.shelf.twelve-events-enough-take');
        }
        $events = [...$others, $event];
        usort($events, static fn (array $a, array $b): int => $a['film'] <=> $b['film']);
        $u = sqrt(array_sum(array_map(static fn (array $e): float => $e['u'] ** 2, $events)) / count($events));
        $offset =
            array_sum(array_map(static fn (array $e): float => $e['trace'] - $e['film'], $events)) / count($events);
        $drift = 0.0;
        if (count($events) > 1) {
            $match = ClockMatch::byEvents(
                array_map(static fn (array $e): array => [$e['film'], $e['trace']], $events),
                $u,
            );
            if (abs($match->clock->driftPpm) > (float) $match->driftUncertaintyPpm) {
                // The match is told at the first event; a film's clock at its first frame.
                $clock = $match->clock->about(0.0);
                [$offset, $drift] = [$clock->offsetS, $clock->driftPpm];
            }
        }
        if (abs($drift) > self::MOST_DRIFT_PPM) {
            throw ActionException::because('refusals.shelf.these-events-would-make');
        }
        $film->fill([
            'clock_events' => $events,
            'offset_s' => $offset,
            'drift_ppm' => $drift,
            'clock_uncertainty_s' => $u / sqrt(count($events)),
            'clock_by' => count($events) > 1 ? 'events' : 'event',
        ]);
    }

    private static function words(Film $film): string
    {
        $by = $film->clock_by === 'hand' ? 'hand' : 'events';
        $n = count($film->clock_events);

        return (string) __('notices.shelf.film-clock', [
            'at' => Written::fixed($film->offset_s, 3),
            'ms' => Written::fixed(1000.0 * (float) $film->clock_uncertainty_s, 1),
            'by' => ltrim(trans_choice("films.by.$by", $n, ['count' => $n]), ', '),
            'drift' => abs($film->drift_ppm) < 0.5
                ? __('films.no-drift')
                : __('films.drift', ['ppm' => Written::fixed($film->drift_ppm, 0)]),
        ]);
    }
}
