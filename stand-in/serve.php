<?php

declare(strict_types=1);

/**
 * The stand-in for the web: a dozen made-up pages, by the host that is asked and the path.
 * usage: php -S 127.0.0.1:PORT stand-in/serve.php
 */

$host = strtolower(preg_replace('/:\d+\z/', '', $_SERVER['HTTP_HOST'] ?? '') ?? '');
$path = trim((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH), '/');

// Answers that are no pages: for what goes wrong on the web.
if ($host === 'odd.example') {
    match (true) {
        preg_match('/\Aon\/(\d)\z/', $path, $m) === 1 => header('Location: ' . ($m[1] === '1' ? '/off' : '/on/' . ((int) $m[1] - 1)), true, 302),
        $path === 'off' => print '<title>At the end of the way</title>',
        $path === 'home' => header('Location: http://127.0.0.1/secret', true, 302),
        $path === 'large' => print str_repeat('<p>Mud and more mud.</p>', 150_000),
        $path === 'picture' => header('Content-Type: image/png') ?? print "\x89PNG\r\n",
        $path === 'slow' => sleep(8),
        $path === 'latin' => header('Content-Type: text/html; charset=ISO-8859-1') ?? print mb_convert_encoding('<title>Über den Deich</title>', 'ISO-8859-1', 'UTF-8'),
        $path === 'plain' => header('Content-Type: text/plain; charset=utf-8') ?? print "Tide tables\nHigh water at six.",
        $path === 'script' => print '<title>&lt;img src=x onerror=alert(1)&gt;</title><meta name="author" content="&lt;b&gt;Nobody&lt;/b&gt;"><p>Text</p>',
        default => http_response_code(500),
    };

    return true;
}

$file = __DIR__ . '/pages/' . $host . '/' . ($path === '' ? 'index' : $path) . '.html';
if (preg_match('/\A[a-z0-9.-]+\z/', $host) !== 1 || preg_match('/\A[a-z0-9-]*\z/', $path) !== 1 || !is_file($file)) {
    http_response_code(404);
    echo '<title>No such page</title>';

    return true;
}
header('Content-Type: text/html; charset=utf-8');
readfile($file);

return true;
