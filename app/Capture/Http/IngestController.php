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
use Core\Format\Json\JsonObject;
use Core\Format\Json\StanceJson;
use Core\Trace\DeviceClass;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The interface a device or its bridge speaks to; docs/ingest.md says how. */
final class IngestController extends Controller
{
    public function open(Request $request): JsonResponse
    {
        $data = $request->validate([
            'class' => ['required', Rule::enum(DeviceClass::class)],
            'rate_hz' => ['required', 'numeric', 'between:1,5000'],
            'channels' => ['required', 'array', 'max:24'],
            'channels.*' => ['string', 'distinct', 'regex:/^[a-z_]{2,40}$/'],
            'mass_kg' => ['nullable', 'numeric', 'between:20,250'],
            'stance' => ['nullable', 'array'],
        ]);
        $missing = array_diff(DeviceClass::from($data['class'])->channels(), $data['channels']);
        if ($missing !== []) {
            return response()->json(
                [
                    'message' => 'A '.
                        Term::device(DeviceClass::from($data['class'])).
                        ' sends '.
                        implode(', ', $missing).
                        ' too.',
                ],
                422,
            );
        }
        try {
            $stance =
                ($data['stance'] ?? null) === null ? null : StanceJson::read(JsonObject::of($data['stance'], 'stance'));
        } catch (CoreException $e) {
            return response()->json(['message' => rtrim($e->getMessage(), '.').'.'], 422);
        }
        $session = CaptureSession::query()->create([
            'device_id' => $this->device($request)->id,
            'device_class' => $data['class'],
            'rate_hz' => $data['rate_hz'],
            'channels' => array_values($data['channels']),
            'mass_kg' => $data['mass_kg'] ?? null,
            'stance' => $stance,
            'last_seen_at' => now(),
        ]);

        return response()->json(['session' => $session->public_id, 'server_s' => microtime(true)], 201);
    }

    public function chunks(Request $request, CaptureSession $session, AcceptChunks $accept): JsonResponse
    {
        abort_unless($session->device_id === $this->device($request)->id, 404);
        $data = $request->validate([
            'chunks' => ['required', 'array', 'max:40'],
            'chunks.*.seq' => ['required', 'integer', 'between:0,4000000000'],
            'chunks.*.first_sample' => ['required', 'integer', 'between:0,4000000000'],
            'chunks.*.device_s' => ['required', 'numeric', 'between:-1e12,1e12'],
            'chunks.*.samples' => ['required', 'array', 'max:5000'],
        ]);
        $chunks = [];
        foreach ($data['chunks'] as $c) {
            // Checked by hand: a validator over every number would take longer than the swing.
            foreach ($c['samples'] as $row) {
                if (
                    ! is_array($row) ||
                    array_filter($row, static fn (mixed $v): bool => $v !== null && ! is_int($v) && ! is_float($v)) !== []
                ) {
                    return response()->json(['message' => (string) __('refusals.capture.no-number', ['seq' => $c['seq']])], 422);
                }
            }
            $chunks[] = [
                'seq' => (int) $c['seq'],
                'first_sample' => (int) $c['first_sample'],
                'device_s' => (float) $c['device_s'],
                'samples' => array_values($c['samples']),
            ];
        }
        try {
            return response()->json($accept($session, $chunks, microtime(true)));
        } catch (ActionException $e) {
            return response()->json(['message' => $e->getMessage()], 409);
        }
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
