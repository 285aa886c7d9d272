<?php

// What is kept is reached through authorised routes only. FILES_DISK=s3, or the variable of one kind, lays it on an
// S3-compatible store that several web machines share; each kind has a prefix of its own there.
$here = [
    'films' => env('FILMS_ROOT', storage_path('app/private/films')),
    'imports' => env('IMPORTS_ROOT', storage_path('app/private')),
    'papers' => env('PAPERS_ROOT', storage_path('app/private')),
    'exports' => env('EXPORTS_ROOT', storage_path('app/private')),
];
$disk = static fn (string $kind): array => env(strtoupper($kind).'_DISK', env('FILES_DISK')) === 's3'
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
    : ['driver' => 'local', 'root' => $here[$kind], 'throw' => true];

return [
    'default' => 'local',
    // Where each kind lies on this machine, or lay before it was carried to a store.
    'here' => $here,
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'throw' => true],
        'films' => $disk('films'),
        // Files laid aside until they are on the Shelf.
        'imports' => $disk('imports'),
        // Scans of signed forms, encrypted.
        'papers' => $disk('papers'),
        // What was made to be taken away, until it is.
        'exports' => $disk('exports'),
    ],
    'links' => [],
];
