<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Capture\Actions\AcceptChunks;
use App\Capture\Actions\CatchSwing;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\CaptureSession;
use App\Models\Device;
use App\Words\Term;
use Core\CoreException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The interface a device or its bridge speaks to; docs/ingest.md says how. */
final class IngestController extends Controller
{
    /** @throws ActionException */
    public function open(SessionRequest $request): JsonResponse
    {
        $missing = array_diff($request->device()->channels(), $request->channels());
        if ($missing !== []) {
            throw ActionException::because('refusals.capture.missing-channels', [
                'device' => Term::device($request->device()),
                'channels' => implode(', ', $missing),
            ]);
        }
        try {
            $stance = $request->stance();
        } catch (CoreException $e) {
            throw ActionException::of($e);
        }
        $session = CaptureSession::query()->create([
            'device_id' => $this->device($request)->id,
            'device_class' => $request->device()->value,
            'rate_hz' => $request->float('rate_hz'),
            'channels' => $request->channels(),
            'mass_kg' => $request->massKg(),
            'stance' => $stance,
            'last_seen_at' => now(),
        ]);

        return response()->json(['session' => $session->public_id, 'server_s' => microtime(true)], 201);
    }

    /** @throws ActionException */
    public function chunks(ChunksRequest $request, CaptureSession $session, AcceptChunks $accept): JsonResponse
    {
        abort_unless($session->device_id === $this->device($request)->id, 404);

        return response()->json($accept($session, $request->chunks(), microtime(true)));
    }

    public function close(Request $request, CaptureSession $session, CatchSwing $catch): JsonResponse
    {
        abort_unless($session->device_id === $this->device($request)->id, 404);
        $catch($session, true);
        $session->refresh();
        $session->update(['closed_at' => $session->closed_at ?? now()]);

        return response()->json(['closed' => true]);
    }

    private function device(Request $request): Device
    {
        $device = $request->attributes->get('device');

        return $device instanceof Device ? $device : abort(401);
    }
}
