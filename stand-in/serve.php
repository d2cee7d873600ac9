<?php

declare(strict_types=1);

/**
 * The stand-in for the web: a dozen made-up pages, by the host that is asked and the path; pictures; works by their numbers; a server of language models.
 * usage: php -S 127.0.0.1:PORT stand-in/serve.php
 */

$host = strtolower(preg_replace('/:\d+\z/', '', $_SERVER['HTTP_HOST'] ?? '') ?? '');
$path = trim((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH), '/');

$answer = static function (string $body, string $type = 'text/html; charset=utf-8', int $status = 200, string $location = ''): true {
    http_response_code($status);
    header("Content-Type: {$type}");
    $location === '' || header("Location: {$location}", true, 302);
    echo $body;

    return true;
};

// Answers that are no pages: for what goes wrong on the web.
if ($host === 'odd.example') {
    if ($path === 'slow') {
        sleep(8);
    }

    return match (1) {
        preg_match('/\Aon\/1\z/', $path) => $answer('', location: '/off'),
        preg_match('/\Aon\/(\d)\z/', $path, $m) => $answer('', location: '/on/' . ((int) $m[1] - 1)),
        preg_match('/\Ahome\z/', $path) => $answer('', location: 'http://127.0.0.1/secret'),
        preg_match('/\Aoff\z/', $path) => $answer('<title>At the end of the way</title>'),
        preg_match('/\Alarge\z/', $path) => $answer(str_repeat('<p>Mud and more mud.</p>', 150_000)),
        preg_match('/\Apicture\z/', $path) => $answer("\x89PNG\r\n", 'image/png'),
        preg_match('/\Alatin\z/', $path) => $answer(
            mb_convert_encoding('<title>Über den Deich</title>', 'ISO-8859-1', 'UTF-8'),
            'text/html; charset=ISO-8859-1',
        ),
        preg_match('/\Aplain\z/', $path) => $answer("Tide tables\nHigh water at six.", 'text/plain; charset=utf-8'),
        preg_match('/\Ascript\z/', $path) => $answer('<title>&lt;img src=x onerror=alert(1)&gt;</title><meta name="author" content="&lt;b&gt;Nobody&lt;/b&gt;"><p>Text</p>'),
        default => $answer('<title>Out of order</title>', status: 500),
    };
}

// An organisation that vouches for people.
if (str_starts_with($path, 'organisation/')) {
    return require __DIR__ . '/organisation.php';
}

// A server of language models.
if ($host === 'companion.example' && $path === 'chat/completions') {
    return require __DIR__ . '/companion.php';
}

// Works by their numbers, as CSL-JSON.
if ($host === 'works.example') {
    [$kind, $number] = explode('/', rawurldecode($path), 2) + [1 => ''];
    $works = json_decode((string) file_get_contents(__DIR__ . '/works.json'), true);
    $work = $works[$kind][strtolower($number)] ?? null;

    return $answer((string) json_encode($work ?? ['error' => 'no such work']), 'application/vnd.citationstyles.csl+json', $work === null ? 404 : 200);
}

// A service of pictures: two dozen, found by the words that they are known by.
if ($host === 'pictures.example') {
    $json = static fn(mixed $what, int $status = 200): true => $answer(
        (string) json_encode($what, JSON_UNESCAPED_UNICODE),
        'application/json',
        $status,
    );
    /** @var list<array{id: string, title: string, words: string, author: string, licence: string, width: int, height: int}> $all */
    $all = json_decode((string) file_get_contents(__DIR__ . '/pictures/list.json'), true);
    $about = static fn(array $one): array => ['page' => "https://pictures.example/about/{$one['id']}"] + $one;
    if ($path === 'find') {
        $given = is_string($_GET['words'] ?? null) ? mb_strtolower($_GET['words']) : '';
        if ($given === 'nothing but trouble') {
            return $json(['error' => 'out of order'], 503);
        }
        $ranked = [];
        foreach ($all as $i => $one) {
            $known = preg_split('/[^\p{L}]+/u', mb_strtolower("{$one['title']} {$one['words']}"), flags: PREG_SPLIT_NO_EMPTY) ?: [];
            $asked = preg_split('/[^\p{L}]+/u', $given, flags: PREG_SPLIT_NO_EMPTY) ?: [];
            $hits = count(
                array_filter(
                    $asked,
                    static fn(string $word): bool => in_array(rtrim($word, 's'), $known, true) || in_array($word, $known, true),
                ),
            );
            $hits > 0 ? $ranked[$i] = $hits : null;
        }
        arsort($ranked);

        return $json(['pictures' => array_map(static fn(int $i): array => $about($all[$i]), array_keys($ranked))]);
    }
    [$what, $id] = [...explode('/', $path), ''];
    foreach ($all as $one) {
        if ($one['id'] === $id) {
            return $what === 'about' ? $json($about($one)) : $answer((string) file_get_contents(__DIR__ . "/pictures/{$id}.jpg"), 'image/jpeg');
        }
    }

    return $json(['error' => 'no such picture'], 404);
}

$file = __DIR__ . '/pages/' . $host . '/' . ($path === '' ? 'index' : $path) . '.html';
if (preg_match('/\A[a-z0-9.-]+\z/', $host) !== 1 || preg_match('/\A[a-z0-9-]*\z/', $path) !== 1 || !is_file($file)) {
    return $answer('<title>No such page</title>', status: 404);
}

return $answer((string) file_get_contents($file));
