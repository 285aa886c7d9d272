<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Models\Device;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets in devices by their bearer token. */
final class DeviceToken
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $device = Device::byToken((string) $request->bearerToken());
        if ($device === null) {
            return response()->json(['message' => (string) __('refusals.capture.no-device')], 401);
        }
        $request->attributes->set('device', $device);

        return $next($request);
    }
}
