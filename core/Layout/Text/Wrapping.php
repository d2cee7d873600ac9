<?php

declare(strict_types=1);

namespace Embrel\Layout\Text;

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;

/**
 * Breaks a title into lines no wider than a width: between words, between any two signs of the
 * scripts that are written without spaces, and within a word only where it alone is too wide.
 */
final class Wrapping
{
    /** The scripts that are read from right to left; and the signs that make a text be. */
    private const TURNED = '\x{0590}-\x{08FF}\x{FB1D}-\x{FDFF}\x{FE70}-\x{FEFC}\x{10800}-\x{10FFF}\x{1E800}-\x{1EFFF}';
    private const TURNING = '\x{200F}\x{202B}\x{202E}\x{2067}';

    /** Han, kana, hangul and their punctuation: a line may end after any of them. */
    private const PIECES = '/[\x{1100}-\x{11FF}\x{2E80}-\x{9FFF}\x{AC00}-\x{D7FF}\x{F900}-\x{FAFF}\x{FF00}-\x{FFEF}\x{1F000}-\x{1FAFF}\x{20000}-\x{3FFFF}]|[^\s\x{1100}-\x{11FF}\x{2E80}-\x{9FFF}\x{AC00}-\x{D7FF}\x{F900}-\x{FAFF}\x{FF00}-\x{FFEF}\x{1F000}-\x{1FAFF}\x{20000}-\x{3FFFF}]+|\s+/u';
    /** Signs that do not begin a line. */
    private const CLOSING = '/\A[\p{Pe}\p{Pf}\p{M}\x{200D}\x{FE0F}\x{1F3FB}-\x{1F3FF},.;:!?、。，．：；！？ー々]/u';

    public function __construct(private readonly Ruler $ruler) {}

    /**
     * @return non-empty-list<string> at least one line, which may be empty; joined by what they were broken at they are the text
     */
    public function lines(string $text, Face $face, float $size, float $width): array
    {
        $room = (int) (($width / $size) * 10000);
        if ($this->ruler->advance($text, $face) <= $room) {
            return [$text];
        }
        $lines = [];
        $line = '';
        $taken = 0;
        foreach ($this->pieces($text) as $piece) {
            $wide = $this->ruler->advance($piece, $face);
            $isSpace = trim($piece) === '';
            if ($taken + $wide > $room && !$isSpace) {
                if (rtrim($line) !== '') {
                    $lines[] = rtrim($line);
                }
                [$line, $taken] = ['', 0];
                while ($wide > $room && mb_strlen($piece) > 1) {
                    [$head, $piece] = $this->cut($piece, $face, $room);
                    $lines[] = $head;
                    $wide = $this->ruler->advance($piece, $face);
                }
            }
            if ($line !== '' || !$isSpace) {
                $line .= $piece;
                $taken += $wide;
            }
        }
        if (rtrim($line) !== '') {
            $lines[] = rtrim($line);
        }

        return $lines === [] ? [''] : $lines;
    }

    /** @return list<string> that must not be broken, and the spaces between them */
    private function pieces(string $text): array
    {
        preg_match_all(self::PIECES, $text, $m);
        $pieces = [];
        $held = '';
        foreach ($m[0] as $piece) {
            if (trim($held) === '' || (preg_match(self::CLOSING, $piece) !== 1 && !str_ends_with($held, "\u{200D}"))) {
                $pieces[] = $held;
                $held = '';
            }
            $held .= $piece;
        }

        return [...$pieces, $held];
    }

    /** @return array{string, string} as many whole signs as fit, at least one, and the rest */
    private function cut(string $piece, Face $face, int $room): array
    {
        preg_match_all('/\X/u', $piece, $m);
        $head = '';
        $taken = 0;
        foreach ($m[0] as $sign) {
            $taken += $this->ruler->advance($sign, $face);
            if ($head !== '' && $taken > $room) {
                break;
            }
            $head .= $sign;
        }

        return [$head, substr($piece, \strlen($head))];
    }

    /** Whether anything in a text may run from right to left, letters or signs that only say so. */
    public static function mayTurn(string $text): bool
    {
        // No such sign begins with a lesser byte.
        return preg_match('/[\xD6-\xF0]/', $text) === 1 && preg_match('/[' . self::TURNED . self::TURNING . ']/u', $text) === 1;
    }

    /** Whether a text runs from right to left: its first letter with a direction says so (UAX #9, rules P2 and P3). */
    public static function isRightToLeft(string $text): bool
    {
        return preg_match('/\A[^\p{L}]*+[' . self::TURNED . ']/u', $text) === 1;
    }
}
