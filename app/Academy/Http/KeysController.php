<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Keeps a person's own keyboard map: only what differs from the one the program has. */
final class KeysController extends Controller
{
    public function __invoke(Request $request): JsonResponse
    {
        $request->validate(['keys' => ['present', 'array', 'max:80'], 'keys.*' => ['required', 'string', 'max:24']]);
        // As sent: the framework would trim the space bar away.
        $keys = (array) (json_decode($request->getContent(), true)['keys'] ?? []);
        foreach (array_keys($keys) as $name) {
            abort_unless(
                preg_match('/^[A-Za-z][A-Za-z-]{1,30}$/', (string) $name) === 1,
                422,
                (string) __('keys.no-such'),
            );
        }
        $this->user()->forceFill(['keys' => $keys === [] ? null : $keys])->save();

        return response()->json(['kept' => count($keys)]);
    }
}
