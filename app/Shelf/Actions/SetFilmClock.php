<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\Motion;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Events\PointsClockSet;
use App\Works\Works;
use Core\Measurement\SharedEvent;
use Core\Motion\Clock;
use Core\Motion\ClockMatch;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\Station;
use Core\Motion\StationsFromTrace;
use Core\Motion\StationSource;
use Core\Motion\Views;
use Illuminate\Support\Facades\DB;

/**
 * Brings the film's clock to the trace's: by a shared signal, by impact, or by hand in frames and samples, its drift
 * too.
 */
final readonly class SetFilmClock
{
    /** No camera or device ticks so wrong; beyond it the frame rate in the file is. */
    private const MOST_DRIFT_PPM = 20_000.0;

    public function __construct(private Works $works)
    {
    }

    /**
     * @param  'correlation'|'impact'|'hand'|'drift'  $by
     * @param  float  $shift  s, by hand only: of the whole film, or with 'drift' of its last frame, its first standing
     *     still
     *
     * @throws ActionException when nothing matches
     */
    public function __invoke(Recording $recording, string $by, User $user, float $shift = 0.0): ClockMatch
    {
        return DB::transaction(function () use ($recording, $by, $user, $shift): ClockMatch {
            $recording = Recording::query()
                ->lockForUpdate()
                ->with(['views', 'stations', 'channels'])
                ->findOrFail($recording->id);
            if ($recording->views->isEmpty()) {
                throw ActionException::because('refusals.shelf.there-no-film-recording');
            }
            $before = $recording->pointsClock();
            $film = $recording->motion ?? $recording->views->firstOrFail();
            $drift =
                $before->driftPpm +
                ($by === 'drift' ? (1e6 * $shift * $film->rate_hz) / max(1, $film->frames - 1) : 0.0);
            $match = match ($by) {
                'hand', 'drift' => new ClockMatch(
                    $before->moved($by === 'hand' ? $shift : 0.0),
                    $recording->points_clock_uncertainty_s ?? 0.004,
                    'hand',
                ),
                'impact' => $this->byImpact($recording),
                default => SharedEvent::match(self::views($recording), $recording->trace()),
            };
            if ($match === null) {
                throw ActionException::because('refusals.shelf.film-trace-show-nothing');
            }
            $now = $match->clock->drifting($drift);
            if (abs($now->offsetS) > 30.0) {
                throw ActionException::because('refusals.shelf.clocks-would-lie-over');
            }
            if (abs($drift) > self::MOST_DRIFT_PPM) {
                throw ActionException::because('refusals.shelf.clocks-would-drift-apart');
            }
            // Stations seen in the film go with its clock: both run about the film's first frame.
            $stretch = $now->pace() / $before->pace();
            $recording
                ->stations()
                ->where('source', StationSource::Motion)
                ->update([
                    't_s' => DB::raw(
                        sprintf(
                            '%.9F + (t_s - %.9F) * %.12F',
                            $film->t0 + $now->offsetS,
                            $film->t0 + $before->offsetS,
                            $stretch,
                        ),
                    ),
                ]);
            $recording->update([
                'points_offset_s' => $now->offsetS,
                'points_drift_ppm' => $now->driftPpm,
                'points_clock_uncertainty_s' => $match->uncertaintyS,
                'points_clock_by' => $match->by,
            ]);
            $recording->load('stations');
            $this->works->ask(WorkKind::Measure, $recording, $user);
            $set = new ClockMatch($now, $match->uncertaintyS, $match->by);
            event(new PointsClockSet($recording, $set, $drift, $user));

            return $set;
        });
    }

    /** The film's own impact against the trace's: the one in its file, else the one proposed from the trace. */
    private function byImpact(Recording $recording): ?ClockMatch
    {
        $film = $recording->stations->first(fn ($m): bool => $m->code === 'IM' && $m->source === StationSource::Motion);
        $file = $recording->stations->first(fn ($m): bool => $m->code === 'IM' && $m->source === StationSource::File);
        $trace = $file?->toCore() ?? StationsFromTrace::find($recording->trace())?->times->get(Station::Impact);
        if ($film === null || $trace === null) {
            return null;
        }
        $own = $film->toCore();
        $match = ClockMatch::byImpact($own, $trace);

        return new ClockMatch($recording->pointsClock()->moved($match->clock->offsetS), $match->uncertaintyS, 'impact');
    }

    private static function views(Recording $recording): Views
    {
        return new Views(
            ...$recording->views
                ->map(
                    static fn (Motion $m): CoreMotion => $m->toCore(
                        (new Clock())->drifting($recording->points_drift_ppm),
                    ),
                )
                ->values()
                ->all(),
        );
    }
}
