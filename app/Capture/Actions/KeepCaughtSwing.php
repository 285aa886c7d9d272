<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Capture\Events\SwingKept;
use App\Exceptions\ActionException;
use App\Models\CaughtSwing;
use App\Models\Enums\WorkKind;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Actions\StoreRecording;
use App\Works\Works;
use Core\Format\RecordingBundle;
use Core\Sight\Scope;
use Illuminate\Support\Facades\DB;

/** Puts a caught swing on the Shelf, once. */
final readonly class KeepCaughtSwing
{
    public function __construct(private StoreRecording $store, private Works $works)
    {
    }

    /**
     * @param  array{club: string, swing: string, shape: ?string, series: ?string, has_ball: ?bool, effort_pct: ?int,
     *     is_cold: bool}  $facts
     *
     * @throws ActionException
     */
    public function __invoke(CaughtSwing $swing, Golfer $golfer, array $facts, User $by): Recording
    {
        if (! $golfer->consentsTo(Scope::Lessons, Scope::StaffTraining)) {
            throw ActionException::because('refusals.capture.no-valid-consent-for', ['golfer' => $golfer->pseudonym]);
        }

        return DB::transaction(function () use ($swing, $golfer, $facts, $by): Recording {
            $swing = CaughtSwing::query()->lockForUpdate()->with('session.device')->findOrFail($swing->id);
            if ($swing->recording_id !== null) {
                throw ActionException::because('refusals.capture.swing-on-shelf-already');
            }
            $in = RecordingBundle::read($swing->bundle, 'the caught swing');
            $recording = ($this->store)(
                $golfer,
                [
                    ...$facts,
                    'device_name' => $swing->session->device->name,
                    'source' => 'capture',
                ],
                $in->trace,
            );
            $swing->update(['recording_id' => $recording->id]);
            $this->works->ask(WorkKind::Measure, $recording, $by);
            event(new SwingKept($recording, $swing->session->device, $by));

            return $recording;
        });
    }
}
