<?php

use Illuminate\Support\Str;

// Over TLS the cookie is bound to this host and to TLS by its name; plain HTTP on loopback has another name, so that
// neither takes the other's.
$secure = (bool) env('SESSION_SECURE_COOKIE', Str::startsWith((string) env('APP_URL', ''), 'https://'));

return [
    // In the database, which all web machines share: who is logged in where is shown from there, and ended there.
    'driver' => env('SESSION_DRIVER') === 'array' ? 'array' : 'database',
    // Minutes without a request.
    'lifetime' => (int) env('SESSION_LIFETIME', 120),
    'expire_on_close' => false,
    'encrypt' => true,
    'connection' => env('SESSION_CONNECTION'),
    'table' => 'sessions',
    'store' => env('SESSION_STORE'),
    'lottery' => [2, 100],
    'cookie' => ($secure ? '__Host-' : '').env('SESSION_COOKIE', 'verified-consensus'),
    'path' => '/',
    'domain' => null,
    'secure' => $secure,
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
