<?php

// What is kept is reached through authorised routes only. A disk named s3 in its variable lies on an S3-compatible
// store (needs league/flysystem-aws-s3-v3); what is worked on is then copied here while it is.
$disk = static fn (string $kind, string $root): array => env(strtoupper($kind).'_DISK') === 's3'
    ? [
        'driver' => 's3',
        'key' => env('AWS_ACCESS_KEY_ID'),
        'secret' => env('AWS_SECRET_ACCESS_KEY'),
        'region' => env('AWS_DEFAULT_REGION'),
        'bucket' => env('AWS_BUCKET'),
        'endpoint' => env('AWS_ENDPOINT'),
        'use_path_style_endpoint' => env('AWS_USE_PATH_STYLE_ENDPOINT', false),
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
