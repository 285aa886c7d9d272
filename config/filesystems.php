<?php

return [
    'default' => 'local',
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'throw' => true],
        // Films are reached through authorised routes only. FILMS_DISK=s3 keeps them on an S3-compatible store
        // (needs league/flysystem-aws-s3-v3); what is worked on is then copied here while it is.
        'films' => env('FILMS_DISK') === 's3'
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
                : [
                    'driver' => 'local',
                    'root' => env('FILMS_ROOT', storage_path('app/private/films')),
                    'throw' => true,
                ],
    ],
    'links' => [],
];
