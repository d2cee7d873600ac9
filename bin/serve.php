<?php

declare(strict_types=1);

// The router of PHP's own server: files of public/ as they are, with a long life where the build
// names them by their content; everything else to the application.
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
// With a NUL in it, it is the name of no file.
$file = str_contains($path, "\0") ? false : realpath(__DIR__ . '/../public' . $path);
$public = (string) realpath(__DIR__ . '/../public');
if ($path !== '/' && $file !== false && str_starts_with($file, $public . '/') && is_file($file) && !str_ends_with($file, '.php')) {
    $types = ['css' => 'text/css', 'js' => 'text/javascript', 'woff2' => 'font/woff2', 'svg' => 'image/svg+xml', 'png' => 'image/png', 'ico' => 'image/x-icon', 'json' => 'application/json', 'txt' => 'text/plain'];
    header('Content-Type: ' . ($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('X-Content-Type-Options: nosniff');
    header('Cache-Control: ' . (str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    header('Content-Length: ' . filesize($file));
    readfile($file);

    return true;
}
$_SERVER['SCRIPT_FILENAME'] = $public . '/index.php';
$_SERVER['SCRIPT_NAME'] = '/index.php';
chdir($public);
require $public . '/index.php';
