<?php

use App\Http\Middleware\NoticesForPages;
use App\Http\Middleware\SecurityHeaders;
use App\Sight\NotNow;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

require __DIR__.'/moved.php';

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
        then: function (): void {
            Route::middleware(SubstituteBindings::class)->group(__DIR__.'/../routes/ingest.php');
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // CORS is not used.
        $middleware->remove(HandleCors::class);
        // Outermost: what is not found carries the same headers as what is refused.
        $middleware->web(append: [NoticesForPages::class], prepend: [SecurityHeaders::class]);
        $middleware->redirectGuestsTo('/login');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password']);
        $exceptions->dontReport([NotNow::class]);
        // What somebody may not see is answered as what is not there, byte for byte.
        $exceptions->map(
            AuthorizationException::class,
            static fn (AuthorizationException $e): Throwable => request()->route()?->parameters()
                ? new NotFoundHttpException()
                : $e,
        );
        $exceptions->render(
            static fn (NotFoundHttpException $e, Request $request) => $request->is('ingest/*') || $request->expectsJson()
                ? response()->json(['message' => 'Not found.'], 404)
                : response()->view('errors.404', [], 404),
        );
        $exceptions->render(
            static fn (NotNow $e, Request $request) => match (true) {
                $e->status() === 404 && $request->expectsJson() => response()->json(['message' => 'Not found.'], 404),
                $e->status() === 404 => response()->view('errors.404', [], 404),
                $request->expectsJson() => response()->json(
                    ['message' => __("sight.{$e->why->value}"), 'why' => $e->why->value],
                    $e->status(),
                ),
                default => response()->view('not-now', ['why' => $e->why->value], $e->status()),
            },
        );
        $exceptions->shouldRenderJsonWhen(
            static fn ($request): bool => $request->is('ingest/*') || $request->expectsJson(),
        );
    })
    ->create();
