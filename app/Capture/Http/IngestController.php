<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Capture\Actions\AcceptChunks;
use App\Capture\Actions\CatchSwing;
use App\Capture\Actions\RenewToken;
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
        $only = $this->device($request)->class;
        if ($only !== null && $only !== $request->device()) {
            throw ActionException::because('refusals.capture.other-kind', ['device' => Term::device($only)]);
        }
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

    /** Another token for the device that asks; the one it asks with holds for a while yet. */
    public function renew(Request $request, RenewToken $renew): JsonResponse
    {
        $device = $this->device($request);
        $token = $renew($device, null);

        return response()->json([
            'token' => $token,
            'expires_at' => $device->refresh()->token_expires_at->utc()->format('Y-m-d\TH:i:s\Z'),
        ]);
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
