<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A sound or a film of a disk as a player asks for it: from a byte to a byte (RFC 9110, 14). Nothing but a player makes anything of it. */
final class Played
{
    private const PIECE = 1 << 16;

    public static function of(string $disk, string $path, string $type, Request $request): Response
    {
        $files = Storage::disk($disk);
        $files->exists($path) || abort(404);
        $size = $files->size($path);
        $given = (string) $request->headers->get('Range', '');
        $range = self::range($given, $size);
        $headers = [
            'Content-Type' => $type,
            'Accept-Ranges' => 'bytes',
            'Content-Disposition' => 'inline',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
        ];
        if ($range === []) {
            return new Response('', 416, ['Content-Range' => "bytes */{$size}"] + $headers);
        }
        [$from, $to] = $range ?? [0, $size - 1];
        $headers['Content-Length'] = (string) ($to - $from + 1);
        $range === null ?: $headers['Content-Range'] = "bytes {$from}-{$to}/{$size}";

        return new StreamedResponse(static function () use ($files, $path, $from, $to): void {
            $in = $files->readStream($path);
            if ($in === null) {
                return;
            }
            self::skip($in, $from);
            for ($left = $to - $from + 1; $left > 0 && !feof($in) && connection_aborted() === 0;) {
                $piece = (string) fread($in, min(self::PIECE, $left));
                $left -= \strlen($piece);
                echo $piece;
                flush();
            }
            fclose($in);
        }, $range === null ? 200 : 206, $headers);
    }

    /** @param resource $in a disk elsewhere may not let one begin where one likes */
    private static function skip($in, int $bytes): void
    {
        if ($bytes === 0 || (stream_get_meta_data($in)['seekable'] && fseek($in, $bytes) === 0)) {
            return;
        }
        for ($left = $bytes; $left > 0 && !feof($in);) {
            $left -= \strlen((string) fread($in, max(1, min(self::PIECE, $left))));
        }
    }

    /**
     * @return array{int, int}|array{}|null from and to; empty where there is nothing of that; null: the whole, as a range that is none, or
     *                                      several at once, need not be minded
     */
    private static function range(string $given, int $size): ?array
    {
        if (preg_match('/\Abytes=(\d{0,15})-(\d{0,15})\z/', $given, $m) !== 1 || ($m[1] === '' && $m[2] === '')) {
            return null;
        }
        [$from, $to] = $m[1] === ''
            ? [max(0, $size - (int) $m[2]), $size - 1]
            : [(int) $m[1], $m[2] === '' ? $size - 1 : min($size - 1, (int) $m[2])];

        return $from > $to || $from >= $size ? [] : [$from, $to];
    }
}
