<?php

// Router for PHP's built-in server: shipped files are served as they are, all else goes to the application. What lies
// beneath a release is kept for good; files asked for by their plain name are asked for again.
$path = urldecode((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH));
$root = dirname(__DIR__, 2).'/public';
require_once dirname(__DIR__, 2).'/app/Http/Release.php';
$keep = 'no-cache';
if (preg_match(App\Http\Release::PATH, $path, $part) === 1) {
    $path = $part[2];
    // A page of before may ask for a release that is gone: it gets what there is, and nobody keeps that.
    $keep = $part[1] === App\Http\Release::of($root) ? 'public, max-age=31536000, immutable' : 'no-store';
}
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
    header("Cache-Control: $keep");
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
