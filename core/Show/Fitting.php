<?php

declare(strict_types=1);

namespace Embrel\Show;

/**
 * Divides a section over as many steps as its lines need, so that nothing runs out of sight: counted in rows of the usual
 * size of type. A line that alone needs more than there is room for makes the type of its step smaller.
 */
final class Fitting
{
    /** Rows under a title of one row, and signs in a row, with and without a picture beside them. */
    private const ROWS = 9.0;
    private const SIGNS = 56;
    private const BESIDE = 30;
    /** Signs in a row of a title of each size, and how many rows of text one of its rows takes. */
    private const TITLE = [[34, 1.7], [52, 1.2], [80, 0.8]];
    private const SMALLEST = 0.45;

    /** Which of three sizes a title is set in, by its length. */
    public static function size(string $title): int
    {
        $wide = self::wide($title);

        return match (true) {
            $wide <= 2 * self::TITLE[0][0] => 0,
            $wide <= 4 * self::TITLE[1][0] => 1,
            default => 2,
        };
    }

    /** @return non-empty-list<Step> pictures stand on the first */
    public static function of(Step $step): array
    {
        [$signs, $row] = self::TITLE[self::size($step->title)];
        $room = max(2.0, self::ROWS - $row * (ceil(self::wide($step->title) / $signs) - 1));
        $steps = [];
        $lines = [];
        $taken = 0.0;
        foreach ($step->lines as $line) {
            $rows = self::rows($line, $steps === [] && $step->shots !== []);
            if ($lines !== [] && $taken + $rows > $room) {
                $steps[] = self::made($step, \count($steps), $lines, $taken / $room);
                [$lines, $taken] = [[], 0.0];
                $rows = self::rows($line, false);
            }
            $lines[] = $line;
            $taken += $rows;
        }
        $steps[] = self::made($step, \count($steps), $lines, $taken / $room);

        return $steps;
    }

    /** @param list<Line> $lines */
    private static function made(Step $step, int $part, array $lines, float $full): Step
    {
        return $step->with([
            'lines' => $lines,
            'part' => $part,
            'shots' => $part === 0 ? $step->shots : [],
            'note' => $part === 0 ? $step->note : '',
            'words' => $part === 0 ? $step->words : 0,
            'scale' => $full <= 1.0 ? 1.0 : max(self::SMALLEST, sqrt(1 / $full)),
        ]);
    }

    private static function rows(Line $line, bool $isBeside): float
    {
        $signs = max(12, ($isBeside ? self::BESIDE : self::SIGNS) - 3 * ($line->level - 1) - mb_strlen($line->number));
        $rows = 0.0;
        foreach (explode("\n", $line->text) as $row) {
            $rows += max(1.0, ceil(self::wide($row) / $signs));
        }

        return $rows * ($line->isQuote ? 1.1 : 1.0) + ($line->source === '' ? 0.0 : 0.8 * ceil(self::wide($line->source) / $signs));
    }

    /** In signs of Latin: those of East Asia are as wide as two. */
    private static function wide(string $text): int
    {
        return mb_strwidth($text);
    }
}
