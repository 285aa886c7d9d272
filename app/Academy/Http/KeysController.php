<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;

/** Keeps a person's own keyboard map: only what differs from the one the program has. */
final class KeysController extends Controller
{
    public function __invoke(KeysRequest $request): JsonResponse
    {
        $keys = $request->map();
        $this->user()->forceFill(['keys' => $keys === [] ? null : $keys])->save();

        return response()->json(['kept' => count($keys)]);
    }
}
