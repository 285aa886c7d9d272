<?php

use App\Http\ExceptionAnswers;
use App\Http\Middleware\FreshLogin;
use App\Http\Middleware\KnownHosts;
use App\Http\Middleware\NoticesForPages;
use App\Http\Middleware\PlainText;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\StillHere;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

require __DIR__.'/moved.php';

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        then: function (): void {
            Route::middleware(SubstituteBindings::class)->group(__DIR__.'/../routes/ingest.php');
            Route::group([], __DIR__.'/../routes/health.php');
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // CORS is not used.
        $middleware->remove(HandleCors::class);
        // Outermost: every answer carries the same headers, that of a device or of what is not found too.
        $middleware->prepend([SecurityHeaders::class, PlainText::class]);
        // After what is believed of proxies.
        $middleware->append([KnownHosts::class]);
        $middleware->web(append: [NoticesForPages::class, StillHere::class]);
        $middleware->alias(['password.confirm' => FreshLogin::class]);
        $middleware->redirectGuestsTo('/login');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(ExceptionAnswers::register(...))
    ->create();
