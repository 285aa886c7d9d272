<?php

$list = static fn (string $name): array => array_values(array_filter(array_map(
    trim(...),
    explode(',', is_string($set = env($name, '')) ? $set : ''),
)));

// What is asked of everybody who comes over the network. docs/security.md says why.
return [
    // The names under which the application answers; one that is not here gets nothing. Loopback always does.
    'hosts' => [
        ...$list('TRUSTED_HOSTS'),
        (string) parse_url((string) env('APP_URL', 'http://127.0.0.1:8080'), PHP_URL_HOST),
        '127.0.0.1',
        'localhost',
    ],
    // Proxies whose word on address, host and TLS is taken, as addresses or networks; nobody's where this is empty.
    'proxies' => $list('TRUSTED_PROXIES'),
    // A log-in ends after so many hours, however busy it was; SESSION_LIFETIME says after how many idle minutes.
    'log_in_hours' => (int) env('LOG_IN_HOURS', 12),
    // How long browsers are told to come over TLS alone, once they have.
    'hsts_seconds' => (int) env('HSTS_SECONDS', 31_536_000),
    // Tries of a log-in are kept so many days.
    'attempts_days' => 90,
];
