<?php

declare(strict_types=1);

/**
 * Titles at random, measured as the map measures them, for comparing with the browser: `{latin, others}`, each
 * `[face, size, text, width]`.
 */

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;

require __DIR__ . '/../vendor/autoload.php';

const WORDS = [
    'The',
    'marsh',
    'wall',
    'AVATAR',
    'Tyne',
    'fjord',
    'office',
    'affluent',
    '1887',
    '“quoted”',
    '—',
    'naïve',
    'Łódź',
    'Århus',
    'Ægir',
    'Đurđevac',
    'ßig',
    'č',
    'ő',
    'Ň',
    'Œuvre',
    'façade',
    '50 %',
    '£12',
    'To',
    'Wy',
    'r.',
    'P,',
    'Yale',
    'ľ',
    '(draft)',
    'a/b',
    '&',
    'e-mail',
    'O’Neil',
];
const SIGNS = [
    [0x4e00, 0x9fa5],
    [0x3041, 0x3096],
    [0x30a1, 0x30fa],
    [0xac00, 0xd7a3],
    [0x0621, 0x064a],
    [0x05d0, 0x05ea],
    [0x1f300, 0x1f5ff],
    [0x1f600, 0x1f64f],
    [0x1f680, 0x1f6c5],
    [0x0410, 0x044f],
    [0x0391, 0x03a1],
    [0x0915, 0x0939],
    [0x2190, 0x2199],
    [0x2600, 0x2604],
    [0x0e01, 0x0e2e],
    [0x10d0, 0x10f0],
];

mt_srand(7);
$ruler = new Ruler();
$measured = static fn(Face $face, float $size, string $text): array => [
    $face->value,
    $size,
    $text,
    round($ruler->width($text, $face, $size), 3),
];
$latin = $others = [];
for ($n = 0; $n < 1000; ++$n) {
    $words = array_map(static fn(): string => WORDS[mt_rand(0, \count(WORDS) - 1)], range(0, mt_rand(1, 8)));
    $latin[] = $measured(Face::cases()[$n % 3], [16.0, 15.0, 14.5, 19.0][$n % 4], implode(' ', $words));
}
for ($n = 0; $n < 400; ++$n) {
    [$from, $to] = SIGNS[$n % \count(SIGNS)];
    $text = implode(
        '',
        array_map(static fn(int $i): string => ($i % 5 === 4 ? ' ' : '') . mb_chr(mt_rand($from, $to)), range(0, mt_rand(1, 14))),
    );
    $others[] = $measured($n % 2 === 0 ? Face::Regular : Face::Strong, 15.0, $n % 7 === 0 ? "Mixed {$text}" : $text);
}
array_push(
    $others,
    $measured(Face::Regular, 15.0, 'الله ﷺ ﷽ لا إله'),
    $measured(Face::Regular, 15.0, '👩‍👩‍👧‍👦 🏳️‍🌈 👍🏽 🇬🇧'),
    $measured(Face::Regular, 15.0, "e\u{301}a\u{308}\u{323}"),
);
echo json_encode(['latin' => $latin, 'others' => $others], JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
