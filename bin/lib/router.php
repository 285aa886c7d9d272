<?php

// Router for PHP's built-in server: shipped files are served as they are, all else goes to the application.
$path = urldecode((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH));
$root = dirname(__DIR__, 2).'/public';
if ($path !== '/' && ! str_ends_with($path, '.php') && ! str_contains($path, '..') && is_file($root.$path)) {
    return false;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = $root.'/index.php';

require $root.'/index.php';
