<?php

// Pages keep their connection between requests: opening one costs more than most of what is asked over it. What a
// request leaves open is rolled back by PDO; nothing of the application hangs on a connection beyond a transaction.
return [
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'laravel'),
            'username' => env('DB_USERNAME', 'root'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'prefix_indexes' => true,
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
            'options' => in_array(PHP_SAPI, ['cli', 'phpdbg'], true) ? [] : [PDO::ATTR_PERSISTENT => true],
        ],
    ],
];
