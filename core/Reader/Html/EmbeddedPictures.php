<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\Archive\Shelf;

/** Pictures that stand in a page as data: they go on the shelf, and an address of our own takes their place. */
final class EmbeddedPictures
{
    public const SCHEME = 'embrel-picture:';
    private const START = 'data:image/';
    private const BASE64 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/=%' . " \n\r\t";
    /** A multiple of four, so that each piece can be decoded alone. */
    private const PIECE = 65536;

    public static function taken(string $html, Shelf $shelf): string
    {
        $out = '';
        $at = 0;
        while (($start = strpos($html, self::START, $at)) !== false) {
            $head = substr($html, $start, 60);
            if (preg_match('/\Adata:image\/[a-z.+-]{1,20};base64,/i', $head, $m) !== 1) {
                $out .= substr($html, $at, $start + 5 - $at);
                $at = $start + 5;
                continue;
            }
            $from = $start + \strlen($m[0]);
            $length = strspn($html, self::BASE64, $from);
            $out .= substr($html, $at, $start - $at) . self::SCHEME . ($shelf->keep(self::decoded($html, $from, $length)) ?? '');
            $at = $from + $length;
        }

        return $out . substr($html, $at);
    }

    /** @return \Generator<int, string> */
    private static function decoded(string $html, int $from, int $length): \Generator
    {
        $carry = '';
        for ($done = 0; $done < $length; $done += self::PIECE) {
            $piece = substr($html, $from + $done, min(self::PIECE, $length - $done));
            $text = $carry . str_replace([' ', "\n", "\r", "\t"], '', str_contains($piece, '%') ? rawurldecode($piece) : $piece);
            $whole = \strlen($text) - \strlen($text) % 4;
            $carry = substr($text, $whole);
            yield (string) base64_decode(substr($text, 0, $whole), false);
        }
        if ($carry !== '') {
            yield (string) base64_decode($carry, false);
        }
    }
}
