<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Models\CaptureSession;
use App\Models\CaughtSwing;
use Core\Format\ImportedRecording;
use Core\Format\RecordingBundle;
use Core\Format\SideCar;
use Core\Motion\SwingCatcher;
use Core\Motion\Views;
use Illuminate\Support\Facades\DB;

/** Looks whether a swing has just been made and, if so, keeps it whole. Looks a few times a second at the most. */
final readonly class CatchSwing
{
    private const EVERY_S = 0.35;

    /** @param  bool  $now  even if it has only just been looked */
    public function __invoke(CaptureSession $session, bool $now = false): ?CaughtSwing
    {
        if (
            ! $session->armed ||
            (! $now && $session->newest_sample - $session->looked_at_sample < self::EVERY_S * $session->rate_hz)
        ) {
            return null;
        }

        return DB::transaction(function () use ($session): ?CaughtSwing {
            $session = CaptureSession::query()->lockForUpdate()->findOrFail($session->id);
            $newest = $session->newest_sample;
            $session->looked_at_sample = $newest;
            $trace = $session->trace(max(0, (int) ($newest - CaptureSession::KEPT * $session->rate_hz)), $newest);
            $seen = $trace === null ? null : SwingCatcher::look($trace, $session->last_impact_s);
            if ($trace === null || $seen === null) {
                $session->save();

                return null;
            }
            $session->last_impact_s = $seen->impact;
            $session->save();
            $part = $trace->between($seen->from, $seen->to);

            return CaughtSwing::query()->create([
                'capture_session_id' => $session->id,
                'from_s' => $seen->from,
                'to_s' => $seen->to,
                'impact_s' => $seen->impact,
                'bundle' => RecordingBundle::write(
                    new ImportedRecording(
                        $part,
                        new Views(),
                        null,
                        new SideCar($session->mass_kg, null, null, null, $part->stance, null, $part->device),
                    ),
                ),
            ]);
        });
    }
}
