<?php

// What is kept is reached through authorised routes only. FILES_DISK=s3, or the variable of one kind, lays it on an
// S3-compatible store that several web machines share; each kind has a prefix of its own there.
$disk = static fn (string $kind, string $root): array => env(strtoupper($kind).'_DISK', env('FILES_DISK')) === 's3'
    ? [
        'driver' => 's3',
        'key' => env('AWS_ACCESS_KEY_ID'),
        'secret' => env('AWS_SECRET_ACCESS_KEY'),
        'region' => env('AWS_DEFAULT_REGION', 'us-east-1'),
        'bucket' => env('AWS_BUCKET'),
        'endpoint' => env('AWS_ENDPOINT'),
        'use_path_style_endpoint' => env('AWS_USE_PATH_STYLE_ENDPOINT', false),
        'root' => trim(env('AWS_PREFIX', '').'/'.($kind === 'films' ? 'films' : 'kept'), '/'),
        'throw' => true,
    ]
    : ['driver' => 'local', 'root' => env(strtoupper($kind).'_ROOT', $root), 'throw' => true];

return [
    'default' => 'local',
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'throw' => true],
        'films' => $disk('films', storage_path('app/private/films')),
        // Files laid aside until they are on the Shelf.
        'imports' => $disk('imports', storage_path('app/private')),
        // Scans of signed forms, encrypted.
        'papers' => $disk('papers', storage_path('app/private')),
        // What was made to be taken away, until it is.
        'exports' => $disk('exports', storage_path('app/private')),
    ],
    'links' => [],
];
