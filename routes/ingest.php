<?php

use App\Capture\Http\DeviceToken;
use App\Capture\Http\IngestController;
use Illuminate\Support\Facades\Route;

// What devices speak to: no session, no cookie, a bearer token.
Route::middleware([DeviceToken::class, 'throttle:ingest'])->prefix('ingest')->group(function (): void {
    Route::post('/token', [IngestController::class, 'renew'])->name('ingest.token');
    Route::post('/sessions', [IngestController::class, 'open'])->name('ingest.open');
    Route::post('/sessions/{session}/chunks', [IngestController::class, 'chunks'])->name('ingest.chunks');
    Route::post('/sessions/{session}/close', [IngestController::class, 'close'])->name('ingest.close');
});
