<?php

use App\Operations\Http\HealthController;
use Illuminate\Support\Facades\Route;

// What watches over the server asks: no session, no cookie, no page.
Route::get('/up', HealthController::class)->name('up');
