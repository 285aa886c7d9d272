<?php

declare(strict_types=1);

namespace App\Capture\Pages;

use App\Models\CaptureChunk;
use App\Models\CaptureSession;
use App\Models\Casts\Cell;
use App\Models\CaughtSwing;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Format\Json\StanceJson;
use Core\Number\Written;
use Core\Remark\Remark;
use Core\Trace\DeviceClock;

/** What the Capture view shows of a live device right now. */
final class CaptureLive
{
    /** Points a second sent to the page. */
    private const SHOWN_HZ = 50.0;

    public function __construct(private readonly Onlookers $onlookers, private readonly Wording $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(CaptureSession $session, User $for): array
    {
        $newest = $session->newest_sample;
        $trace = $session->trace(max(0, (int) ($newest - CaptureSession::KEPT * $session->rate_hz)), $newest);
        $share = $trace?->leadShare();
        $step = max(1, (int) round($session->rate_hz / self::SHOWN_HZ));
        $pick = static function (array $values) use ($step): array {
            $out = [];
            for ($i = count($values) - 1; $i >= 0; $i -= $step) {
                $out[] = is_nan(Cell::float($values[$i])) ? null : round(Cell::float($values[$i]), 1);
            }

            return array_reverse($out);
        };
        $marks = array_values(
            CaptureChunk::query()
                ->where('capture_session_id', $session->id)
                ->orderBy('seq')
                ->get(['first_sample', 'samples', 'device_s', 'server_s'])
                ->map(
                    static fn (CaptureChunk $c): array => [
                        'sample' => $c->first_sample + $c->samples,
                        'device_s' => $c->device_s,
                        'server_s' => $c->server_s,
                    ],
                )
                ->all(),
        );
        $missing = $trace === null ? 0 : count(array_filter($trace->channels[$session->channels[0]], is_nan(...)));
        $silent =
            $session->last_seen_at === null ? null : abs(now()->diffInMilliseconds($session->last_seen_at)) / 1000;
        $warnings = array_map(
            fn (Remark $warning): string => $this->words->said($warning),
            DeviceClock::fitted($marks, $session->rate_hz)?->warnings() ?? [],
        );
        if ($missing > 0.005 * max(1, $trace?->samples() ?? 1)) {
            $warnings[] = (string) __('capture.not-arrived', [
                'ms' => Written::fixed((1000 * $missing) / $session->rate_hz, 0),
            ]);
        }

        return [
            'state' => match (true) {
                $session->closed_at !== null => 'closed',
                $silent === null || $silent > 2.5 => 'silent',
                default => 'live',
            },
            'silent_s' => $silent,
            'armed' => $session->armed,
            'device' => $session->device->name,
            'class' => $session->device_class,
            'rate_hz' => $session->rate_hz,
            'seconds' => $newest / $session->rate_hz,
            'repeated' => $session->repeated,
            'share' => $share === null ? null : $pick($share->values),
            'shown_hz' => $session->rate_hz / $step,
            'cop' => $trace === null
                    ? null
                    : array_map(
                        static fn ($s): ?float => ($v = $s->values[count($s->values) - 1] ?? NAN) === $v
                            ? round($v, 0)
                            : null,
                        $trace->cop(),
                    ),
            'stance' => StanceJson::orNull($session->stance),
            'warnings' => $warnings,
            'swings' => $session
                ->swings()
                ->whereNull('left_at')
                ->limit(12)
                ->with('recording')
                ->get()
                ->map(
                    fn (CaughtSwing $s): array => [
                        'id' => $s->public_id,
                        'at' => $s->created_at->timezone(config()->string('app.timezone'))->format('H:i:s'),
                        'seconds' => round($s->to_s - $s->from_s, 1),
                        'recording' => $s->recording !== null && $this->onlookers->of($for)->sees($s->recording)
                                ? $s->recording->public_id
                                : null,
                    ],
                )
                ->all(),
        ];
    }
}
