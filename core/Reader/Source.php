<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Limits;

/** The bytes of a file on their way in: sizes watched, byte order marks and UTF-16 seen to. */
final class Source
{
    /**
     * @param resource $in
     *
     * @throws Unreadable when there is nothing, or too much
     */
    public static function whole($in): string
    {
        $bytes = (string) stream_get_contents($in, Limits::INTAKE + 1);

        return match (true) {
            \strlen($bytes) > Limits::INTAKE => throw Unreadable::tooLarge(),
            $bytes === '' => throw Unreadable::empty(),
            trim($bytes) === '' => throw Unreadable::blank(),
            default => $bytes,
        };
    }

    /**
     * The bytes as a file at a path, for formats that are read from several places at once.
     *
     * @param resource $in
     *
     * @throws Unreadable when there is nothing, or too much
     */
    public static function copied($in, string $path): string
    {
        $out = fopen($path, 'w') ?: throw new \RuntimeException('The file could not be put into the work folder.');
        $bytes = (int) stream_copy_to_stream($in, $out, Limits::INTAKE + 1);
        fclose($out);

        return match (true) {
            $bytes > Limits::INTAKE => throw Unreadable::tooLarge(),
            $bytes === 0 => throw Unreadable::empty(),
            default => $path,
        };
    }

    /**
     * The whole as UTF-8.
     *
     * @param resource $in
     */
    public static function text($in): string
    {
        $text = implode("\n", iterator_to_array(self::lines($in), false));

        return trim($text) === '' ? throw Unreadable::blank() : $text;
    }

    /**
     * The lines in UTF-8, without their ends, in bounded memory.
     *
     * @param resource $in
     *
     * @return \Generator<int, string> line number from 1 → line
     */
    public static function lines($in): \Generator
    {
        $start = (string) fread($in, 4);
        if ($start === '') {
            throw Unreadable::empty();
        }
        $wide = str_starts_with($start, "\xFF\xFE") || str_starts_with($start, "\xFE\xFF");
        $carry = $wide ? '' : (str_starts_with($start, "\xEF\xBB\xBF") ? substr($start, 3) : $start);
        if ($wide) {
            $in = self::recoded($start, $in);
        }
        $number = 0;
        $bytes = 0;
        do {
            $piece = (string) fgets($in, Limits::LINE);
            $line = $carry . $piece;
            $carry = '';
            $bytes += \strlen($piece);
            if (\strlen($piece) >= Limits::LINE - 1) {
                throw Unreadable::lineTooLong($number + 1);
            }
            if ($bytes > Limits::INTAKE) {
                throw Unreadable::tooLarge();
            }
            foreach (preg_split('/\r\n|\n|\r/', $line) ?: [] as $i => $one) {
                if ($i > 0 && $one === '') {
                    continue;
                }
                ++$number;
                if (!mb_check_encoding($one, 'UTF-8')) {
                    throw Unreadable::notUtf8($number);
                }
                yield $number => $one;
            }
        } while (!feof($in));
    }

    /**
     * UTF-16 as UTF-8, in a temporary stream.
     *
     * @param resource $in
     *
     * @return resource
     */
    private static function recoded(string $start, $in)
    {
        $bytes = $start . stream_get_contents($in, Limits::INTAKE + 1);
        if (\strlen($bytes) > Limits::INTAKE) {
            throw Unreadable::tooLarge();
        }
        $out = fopen('php://temp', 'w+');
        if ($out === false) {
            throw new \RuntimeException('No temporary stream could be opened.');
        }
        fwrite($out, mb_convert_encoding(substr($bytes, 2), 'UTF-8', str_starts_with($bytes, "\xFF\xFE") ? 'UTF-16LE' : 'UTF-16BE'));
        rewind($out);

        return $out;
    }
}
