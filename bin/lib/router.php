<?php

// Router for PHP's built-in server: shipped files are served as they are, all else goes to the application. Third-
// party files keep for a day; the application's own are asked for again and answered briefly when nothing changed.
$path = urldecode((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH));
$root = dirname(__DIR__, 2).'/public';
$file = realpath($root.$path);
if (
    $path !== '/' &&
    ! str_ends_with($path, '.php') &&
    $file !== false &&
    str_starts_with($file, $root.'/') &&
    is_file($file)
) {
    $types = [
        'css' => 'text/css; charset=utf-8',
        'js' => 'text/javascript; charset=utf-8',
        'svg' => 'image/svg+xml',
        'woff2' => 'font/woff2',
        'txt' => 'text/plain; charset=utf-8',
        'ico' => 'image/x-icon',
        'png' => 'image/png',
    ];
    $tag = sprintf('"%x-%x"', filemtime($file), filesize($file));
    header('Cache-Control: '.(str_starts_with($path, '/vendor/') ? 'public, max-age=86400' : 'no-cache'));
    header('ETag: '.$tag);
    header('X-Content-Type-Options: nosniff');
    if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
        http_response_code(304);

        return true;
    }
    header('Content-Type: '.($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'text/plain; charset=utf-8'));
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = $root.'/index.php';

require $root.'/index.php';
