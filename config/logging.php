<?php

use Monolog\Handler\StreamHandler;
use Monolog\Processor\PsrLogMessageProcessor;

// A file a day, for its owner alone, gone after a while. What is written is scrubbed of values where it is reported.
return [
    'default' => 'written',
    'deprecations' => ['channel' => 'null', 'trace' => false],
    'channels' => [
        // Where nothing can be written down any more, pages go on.
        'written' => ['driver' => 'stack', 'channels' => [env('LOG_CHANNEL', 'daily')], 'ignore_exceptions' => true],
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/verified-consensus.log'),
            'level' => env('LOG_LEVEL', 'info'),
            'days' => (int) env('LOG_DAYS', 14),
            'permission' => 0600,
            'replace_placeholders' => true,
        ],
        'stderr' => [
            'driver' => 'monolog',
            'level' => env('LOG_LEVEL', 'info'),
            'handler' => StreamHandler::class,
            'handler_with' => ['stream' => 'php://stderr'],
            'processors' => [PsrLogMessageProcessor::class],
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
        'emergency' => ['path' => storage_path('logs/verified-consensus.log')],
    ],
];
