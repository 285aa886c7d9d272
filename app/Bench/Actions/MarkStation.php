<?php

declare(strict_types=1);

namespace App\Bench\Actions;

use App\Bench\Events\StationMarked;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\StationMark;
use App\Models\User;
use App\Works\Works;
use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Number\Written;
use Illuminate\Support\Facades\DB;

/**
 * Puts a station where a person says it is, or takes that back. What the program found stays beside it; everything
 * measured is measured anew.
 */
final readonly class MarkStation
{
    public function __construct(private Works $works)
    {
    }

    /**
     * @param  float|null  $t  seconds; null takes the mark back
     *
     * @throws ActionException
     */
    public function __invoke(Recording $recording, Station $station, ?float $t, User $by): void
    {
        DB::transaction(function () use ($recording, $station, $t, $by): void {
            $recording = Recording::query()->lockForUpdate()->findOrFail($recording->id);
            $mark = StationMark::query()->where([
                'recording_id' => $recording->id,
                'code' => $station->value,
                'source' => StationSource::Hand,
            ]);
            if ($t === null) {
                $mark->delete();
            } else {
                $end = $recording->t0 + ($recording->samples - 1) / $recording->rate_hz;
                if ($t < $recording->t0 || $t > $end) {
                    throw ActionException::because('refusals.bench.outside-recording', [
                        't' => Written::fixed($t, 3),
                    ]);
                }
                // A person looking at single frames is right to about half of one.
                $rate = $recording->motion->rate_hz ?? $recording->rate_hz;
                StationMark::query()->updateOrCreate(
                    ['recording_id' => $recording->id, 'code' => $station->value, 'source' => StationSource::Hand],
                    ['t_s' => $t, 'uncertainty_s' => max(0.475 / $rate, 0.002), 'marked_by' => $by->id],
                );
            }
            $recording->load('stations');
            try {
                $recording->stationTimes();
            } catch (CoreException $e) {
                throw ActionException::because('refusals.bench.nothing-changed', [
                    'get-message' => Refusal::sentenceOf($e),
                ]);
            }
            $this->works->ask(WorkKind::Measure, $recording, $by);
            event(new StationMarked($recording, $station, $t, $by));
        });
    }
}
