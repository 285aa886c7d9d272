<?php

use App\Models\User;

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => User::class]],
    // Seconds for which a password that was given lets somebody publish, export, erase or change who others are.
    'password_timeout' => 60 * (int) env('FRESH_MINUTES', 15),
];
