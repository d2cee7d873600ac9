<?php

declare(strict_types=1);

namespace Embrel\Codes;

/** Bytes as letters and digits that cannot be mistaken for each other (RFC 4648, section 6), without padding. */
final class Base32
{
    private const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    public static function encode(string $bytes): string
    {
        $text = '';
        $held = $bits = 0;
        foreach ($bytes === '' ? [] : str_split($bytes) as $byte) {
            $held = $held << 8 | \ord($byte);
            for ($bits += 8; $bits >= 5; $bits -= 5) {
                $text .= self::LETTERS[$held >> $bits - 5 & 31];
            }
            $held &= (1 << $bits) - 1;
        }

        return $bits === 0 ? $text : $text . self::LETTERS[$held << 5 - $bits & 31];
    }

    /** As people type it: in small letters, with spaces, hyphens and padding. Null where it is none. */
    public static function decode(string $text): ?string
    {
        $text = rtrim(strtoupper((string) preg_replace('/[\s-]+/', '', $text)), '=');
        $bytes = '';
        $held = $bits = 0;
        foreach ($text === '' ? [] : str_split($text) as $letter) {
            $value = strpos(self::LETTERS, $letter);
            if ($value === false) {
                return null;
            }
            $held = $held << 5 | $value;
            $bits += 5;
            if ($bits >= 8) {
                $bits -= 8;
                $bytes .= \chr($held >> $bits & 255);
            }
            $held &= (1 << $bits) - 1;
        }

        return $bytes;
    }
}
