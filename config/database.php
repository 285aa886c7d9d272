<?php

// Two roles. The application's owns nothing: it reads and writes rows, adds to the record without changing it, and can
// neither change tables nor switch off what guards them. Their owner migrates, and takes in a whole academy.
$as = static fn (string $user, string $password): array => [
    'driver' => 'pgsql',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '5432'),
    'database' => env('DB_DATABASE', 'verified_consensus'),
    'username' => $user,
    'password' => $password,
    'charset' => 'utf8',
    'prefix' => '',
    'prefix_indexes' => true,
    'sslmode' => env('DB_SSLMODE', 'prefer'),
    // A statement with its values in one go: nothing is asked so often by one page that preparing it would pay, and
    // preparing, asking and forgetting are three ways there and back.
    'options' => [PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
];

$redis = static fn (string $database): array => [
    'url' => env('REDIS_URL'),
    'host' => env('REDIS_HOST', '127.0.0.1'),
    'username' => env('REDIS_USERNAME'),
    'password' => env('REDIS_PASSWORD'),
    'port' => env('REDIS_PORT', '6379'),
    'database' => $database,
];

return [
    'default' => 'pgsql',
    'app_role' => env('DB_APP_USERNAME', 'verified_app'),
    'connections' => [
        'pgsql' => $as((string) env('DB_APP_USERNAME', 'verified_app'), (string) env('DB_APP_PASSWORD', '')),
        'owner' => $as((string) env('DB_USERNAME', 'verified'), (string) env('DB_PASSWORD', '')),
    ],
    // Where several web machines share their cache, locks and queue on it (CACHE_STORE, QUEUE_CONNECTION).
    'redis' => [
        'client' => env('REDIS_CLIENT', 'predis'),
        'options' => ['prefix' => env('REDIS_PREFIX', 'verified-consensus:')],
        'default' => $redis((string) env('REDIS_DB', '0')),
        'cache' => $redis((string) env('REDIS_CACHE_DB', '1')),
    ],
];
