<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\ActionException;
use App\Sight\NotNow;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Log;
use League\Flysystem\FilesystemException;
use PDOException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The one place where exceptions become pages and JSON. */
final class ExceptionAnswers
{
    /** Fields that are never filled in again. */
    private const SECRET = [
        'password',
        'password_confirmation',
        'current',
        'current_for_address',
        'current_to_leave',
        'passphrase',
        'code',
    ];

    /** A request's attribute: where a page's form goes back to, where that is not the page before. */
    public const BACK_TO = 'back-to';

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontFlash(self::SECRET);
        $exceptions->dontReport([NotNow::class, ActionException::class]);
        // A statement that failed is told without the values in it: they may be anybody's.
        $exceptions->report(static fn (QueryException $e) => Log::error('a statement failed', [
            'state' => $e->getCode(),
            'constraint' => preg_match('/constraint "([a-z_0-9]+)"/', $e->getMessage(), $m) === 1 ? $m[1] : null,
            'statement' => mb_substr($e->getSql(), 0, 500),
            'at' => self::ownFrame($e),
        ]))->stop();
        // What somebody may not see is answered as what is not there, byte for byte.
        $exceptions->map(
            AuthorizationException::class,
            static fn (AuthorizationException $e): \Throwable => (request()->route()?->parameters() ?? []) !== []
                ? new NotFoundHttpException()
                : $e,
        );
        $exceptions->render(static fn (NotFoundHttpException $e, Request $request) => self::notFound($request));
        $exceptions->render(static fn (NotNow $e, Request $request) => self::notNow($e, $request));
        $exceptions->render(static fn (PDOException $e, Request $request) => self::withoutDatabase($e, $request));
        $exceptions->render(static fn (FilesystemException $e, Request $request) => self::isFull($e)
            ? self::wentWrong($request, 507)
            : null);
        $exceptions->render(static fn (ActionException $e, Request $request) => self::refused($e, $request));
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => self::wantsJson($request));
    }

    private static function wantsJson(Request $request): bool
    {
        return $request->is('ingest/*') || $request->expectsJson();
    }

    private static function notFound(Request $request): JsonResponse|Response
    {
        return self::wantsJson($request)
            ? response()->json(['message' => 'Not found.'], 404)
            : response()->view('errors.404', [], 404);
    }

    private static function notNow(NotNow $e, Request $request): JsonResponse|Response
    {
        if ($e->status() === 404) {
            return self::notFound($request);
        }

        return $request->expectsJson()
            ? response()->json(
                ['message' => __("sight.{$e->why->value}"), 'why' => $e->why->value],
                $e->status(),
            )
            : response()->view('not-now', ['why' => $e->why->value], $e->status());
    }

    /** The database is being started, was ended under the request, has no room; all else is a fault of the program. */
    private static function withoutDatabase(PDOException $e, Request $request): JsonResponse|Response|null
    {
        $state = preg_match('/SQLSTATE\[([0-9A-Z]{5})\]/', $e->getMessage(), $m) === 1 ? $m[1] : '';
        if ($state === '53100' || self::isFull($e)) {
            return self::wentWrong($request, 507);
        }
        // Class 08: no connection; 57P0x: it is ended or not yet begun; 53300: no more connections.
        $away = str_starts_with($state, '08') || str_starts_with($state, '57P0') || $state === '53300' ||
            app(LostConnectionDetector::class)->causedByLostConnection($e);

        return $away ? self::wentWrong($request, 503)->withHeaders(['Retry-After' => '5']) : null;
    }

    private static function isFull(\Throwable $e): bool
    {
        return str_contains($e->getMessage(), 'No space left on device');
    }

    private static function wentWrong(Request $request, int $status): JsonResponse|Response
    {
        return self::wantsJson($request)
            ? response()->json(['message' => __("errors.$status.says")], $status)
            : response()->view("errors.$status", [], $status);
    }

    /** Said on the page whose form was sent, with what was filled in. */
    private static function refused(ActionException $e, Request $request): JsonResponse|RedirectResponse
    {
        if (self::wantsJson($request)) {
            return response()->json(['message' => $e->getMessage()], $e->status());
        }
        $to = $request->attributes->get(self::BACK_TO);

        return (is_string($to) ? redirect()->to($to) : back())->withInput(self::shown($request))
            ->with('refused', $e->getMessage());
    }

    /** @return array<array-key, mixed> what was filled in, without what nobody is to read */
    public static function shown(Request $request): array
    {
        return array_filter(
            $request->except([...self::SECRET, '_token']),
            static fn (mixed $value): bool => ! $value instanceof UploadedFile,
        );
    }

    /** Where in the application's own code something was thrown. */
    private static function ownFrame(\Throwable $e): string
    {
        foreach ($e->getTrace() as $frame) {
            if (str_starts_with($frame['file'] ?? '', app_path())) {
                return substr($frame['file'] ?? '', strlen(base_path()) + 1).':'.($frame['line'] ?? 0);
            }
        }

        return '';
    }
}
