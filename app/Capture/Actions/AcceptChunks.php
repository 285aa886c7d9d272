<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Exceptions\ActionException;
use App\Models\CaptureChunk;
use App\Models\CaptureSession;
use Core\CoreException;
use Core\Trace\Limits;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Takes chunks of a live recording. What it acknowledges is committed; a chunk sent again is counted and changes
 * nothing; one that says something else under a number already taken is refused. Older than ten seconds is let go.
 */
final readonly class AcceptChunks
{
    public function __construct(private CatchSwing $catch)
    {
    }

    /**
     * @param  list<array{seq: int, first_sample: int, device_s: float, samples: list<list<float|int|null>>}>  $chunks
     * @return array{acknowledged: list<int>, newest_sample: int}
     *
     * @throws ActionException
     */
    public function __invoke(CaptureSession $session, array $chunks, float $now): array
    {
        $taken = DB::transaction(function () use ($session, $chunks, $now): array {
            $session = CaptureSession::query()->lockForUpdate()->findOrFail($session->id);
            if ($session->closed_at !== null) {
                throw ActionException::because(
                    'refusals.capture.capture-closed-open-new',
                    status: ActionException::CONFLICT,
                );
            }
            $width = count($session->channels);
            $taken = [];
            foreach ($chunks as $chunk) {
                $flat = [];
                foreach ($chunk['samples'] as $row) {
                    if (count($row) !== $width) {
                        throw ActionException::because('refusals.capture.sample-of-other-width', [
                            'seq' => $chunk['seq'],
                            'values' => count($row),
                            'channels' => $width,
                        ], status: ActionException::CONFLICT);
                    }
                    foreach ($row as $v) {
                        $flat[] = $v === null ? NAN : (float) $v;
                    }
                }
                try {
                    foreach ($session->channels as $i => $name) {
                        Limits::check(
                            array_values(
                                array_filter(
                                    $flat,
                                    static fn (int $at): bool => $at % $width === $i,
                                    ARRAY_FILTER_USE_KEY,
                                ),
                            ),
                            Limits::ofChannel($name),
                            'chunk',
                            "{$chunk['seq']}, $name",
                        );
                    }
                } catch (CoreException $e) {
                    throw ActionException::of($e, ActionException::CONFLICT);
                }
                $checksum = hash('sha256', $chunk['first_sample'].'|'.pack('g*', ...$flat));
                $known = CaptureChunk::query()
                    ->where(['capture_session_id' => $session->id, 'seq' => $chunk['seq']])
                    ->first(['id', 'checksum']);
                if ($known !== null) {
                    if ($known->checksum !== $checksum) {
                        throw ActionException::because(
                            'refusals.capture.chunk-sent-before-with',
                            ['seq' => $chunk['seq']],
                            status: ActionException::CONFLICT,
                        );
                    }
                    $session->repeated++;
                } else {
                    CaptureChunk::query()->create([
                        'capture_session_id' => $session->id,
                        'seq' => $chunk['seq'],
                        'first_sample' => $chunk['first_sample'],
                        'samples' => count($chunk['samples']),
                        'data' => $flat,
                        'checksum' => $checksum,
                        'device_s' => $chunk['device_s'],
                        'server_s' => $now,
                    ]);
                    $session->chunks++;
                    $session->newest_sample = max(
                        $session->newest_sample,
                        $chunk['first_sample'] + count($chunk['samples']) - 1,
                    );
                }
                $taken[] = $chunk['seq'];
            }
            $session->last_seen_at = Carbon::now();
            $session->save();
            CaptureChunk::query()
                ->where('capture_session_id', $session->id)
                ->whereRaw('first_sample + samples < ?', [
                    (int) ($session->newest_sample - (CaptureSession::KEPT + 1.0) * $session->rate_hz),
                ])
                ->delete();

            return [$session, $taken];
        });
        // Looked for outside, so that nothing that goes wrong in looking can undo what was acknowledged.
        ($this->catch)($taken[0]);

        return ['acknowledged' => $taken[1], 'newest_sample' => $taken[0]->newest_sample];
    }
}
