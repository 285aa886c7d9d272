<?php

use App\Http\Middleware\SecurityHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/up', then: function (): void {
        Route::middleware(SubstituteBindings::class)->group(__DIR__.'/../routes/ingest.php');
    })
    ->withMiddleware(function (Middleware $middleware): void {
        // CORS is not used; its package is not installed.
        $middleware->remove(HandleCors::class);
        $middleware->web(append: [SecurityHeaders::class]);
        $middleware->redirectGuestsTo('/login');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password']);
        $exceptions->shouldRenderJsonWhen(static fn ($request): bool => $request->is('ingest/*') || $request->expectsJson());
    })
    ->create();
