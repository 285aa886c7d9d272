<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Device;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\Motion;
use App\Models\Recording;
use App\Models\StationMark;
use App\Models\TraceChannel;
use Core\Format\Json\RemarkJson;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\StationFinder;
use Core\Motion\StationTimes;
use Core\Motion\Views;
use Core\Trace\Trace;
use Illuminate\Support\Facades\DB;

/** Puts one recording on the Shelf, whole or not at all. It is measured in the background. */
final readonly class StoreRecording
{
    /**
     * @param  array{club: string, swing?: string, shape?: ?string, device_name?: ?string, source: string,
     *     series?: ?string, is_cold?: bool, outcome?: ?array<string, mixed>, points_offset_s?: float,
     *     points_drift_ppm?: float, size?: ?string, loft_deg?: ?float, effort_pct?: ?int,
     *     has_ball?: ?bool, place?: ?int} $facts
     * @param  bool  $find  false: stations are found later, when many come at once
     *
     * @throws ActionException when the same samples are on the Shelf already
     */
    public function __invoke(
        Golfer $golfer,
        array $facts,
        Trace $trace,
        ?StationTimes $stations = null,
        CoreMotion|Views|null $motion = null,
        bool $find = true,
    ): Recording {
        $checksum = self::checksum($trace);
        $known = Recording::query()->where('checksum', $checksum)->first();
        if ($known !== null) {
            throw ActionException::because(
                'refusals.shelf.these-samples-already-on',
                ['public_id' => $known->public_id],
                status: ActionException::CONFLICT,
            );
        }

        $views = $motion instanceof Views ? $motion : new Views(...($motion === null ? [] : [$motion]));

        return DB::transaction(function () use (
            $golfer,
            $facts,
            $trace,
            $stations,
            $views,
            $checksum,
            $find,
        ): Recording {
            $recording = Recording::query()->create([
                ...$facts,
                'golfer_id' => $golfer->id,
                'device_class' => $trace->device->value,
                'rate_hz' => $trace->rateHz,
                't0' => $trace->t0,
                'samples' => $trace->samples(),
                'mass_kg' => $trace->massKg,
                'stance' => $trace->stance,
                'clock_jitter_s' => $trace->clockJitterS,
                'checksum' => $checksum,
                'constant_errors' => Device::errorsOf($facts['device_name'] ?? null) ?? $trace->stated?->toArray(),
            ]);
            $this->intoToday($recording);
            foreach ($trace->channels as $name => $samples) {
                TraceChannel::query()->create([
                    'recording_id' => $recording->id,
                    'name' => $name,
                    'samples' => $samples,
                ]);
            }
            foreach ($views->motions as $motion) {
                Motion::query()->create(['recording_id' => $recording->id, ...Motion::row($motion)]);
            }
            // What came with the file is kept beside what the program finds for itself.
            $found = $find ? StationFinder::find($views, $trace) : null;
            foreach ($stations?->all() ?? [] as $code => $time) {
                StationMark::query()->create([
                    'recording_id' => $recording->id,
                    'code' => $code,
                    't_s' => $time->t,
                    'uncertainty_s' => $time->uncertainty,
                    'source' => $time->source,
                ]);
            }
            foreach ($found?->times->all() ?? [] as $code => $time) {
                StationMark::query()->firstOrCreate(
                    ['recording_id' => $recording->id, 'code' => $code, 'source' => $time->source],
                    [
                        't_s' => $time->t,
                        'uncertainty_s' => $time->uncertainty,
                        'doubt' => RemarkJson::orNull($found?->doubts[$code] ?? ($found?->doubts[''] ?? null)),
                    ],
                );
            }

            return $recording;
        });
    }

    /** What comes on the day of a session that was begun for its golfer belongs to it, and waits for what was felt. */
    private function intoToday(Recording $recording): void
    {
        if (! in_array($recording->source, ['file', 'capture'], true)) {
            return;
        }
        $lesson = Lesson::query()
            ->where('golfer_id', $recording->golfer_id)
            ->where('held_on', Academy::today())
            ->orderByDesc('id')
            ->first();
        if ($lesson !== null) {
            $recording->forceFill(['lesson_id' => $lesson->id])->save();
        }
    }

    private static function checksum(Trace $trace): string
    {
        $hash = hash_init('sha256');
        hash_update($hash, $trace->device->value.'|'.$trace->rateHz);
        foreach ($trace->channels as $name => $samples) {
            // A missing sample is one thing whichever of its bit patterns it has, and so is nought with either sign.
            hash_update(
                $hash,
                '|'.
                    $name.
                    '|'.
                    pack('g*', ...array_map(static fn (float $v): float => is_nan($v) ? NAN : $v + 0.0, $samples)),
            );
        }

        return hash_final($hash);
    }
}
