<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Style;

/**
 * Where the parts of a line stand in it: aligned, widened to its end, and those of other directions turned round.
 *
 * @phpstan-import-type Run from Units
 * @phpstan-import-type Part from Units
 */
final class Placing
{
    /** How much of single spacing stands above the line, against the size of the type. */
    private const ABOVE = 0.78;
    /** Signs of the scripts that are written without spaces. */
    private const SQUARE = '/[\p{Han}\p{Hiragana}\p{Katakana}\x{3000}-\x{303F}\x{FF00}-\x{FFEF}]\z/u';

    /** @param list<Part> $parts */
    public static function width(array $parts): float
    {
        return \count($parts) === 1 ? $parts[0]['wide'] : array_sum(array_column($parts, 'wide'));
    }

    /** @param list<Part> $parts */
    public static function line(array $parts, Setting $setting, float $width, bool $isFirst, bool $isLast, bool $isRightToLeft): Line
    {
        while ($parts !== [] && $parts[\count($parts) - 1]['isSpace']) {
            array_pop($parts);
        }
        $natural = self::width($parts);
        $indent = $setting->indent + ($isFirst ? $setting->firstLine : 0.0);
        $rest = $width - $indent - $natural;
        $start
            = $indent
            + match ($setting->align) {
                'center' => max(0.0, $rest / 2),
                'right' => max(0.0, $rest),
                default => 0.0,
            };
        $gaps = $setting->align === 'justify' && !$isLast && $rest > 0 && $rest < $width * 0.3 ? self::gaps($parts) : 0;
        $height = $setting->size * Style::SINGLE * $setting->spacing;
        $ascent = $height - $setting->size * (Style::SINGLE - self::ABOVE - 0.14);
        $line = new Line($height, $ascent, ground: $setting->ground, mirror: $isRightToLeft ? $width : null);
        foreach (self::joined($parts, $gaps > 0 ? $rest / $gaps : 0.0, $isRightToLeft) as [$part, $at]) {
            ['run' => $run, 'wide' => $wide] = $part;
            $x = $start + $at;
            if ($run['ground']) {
                $line->pieces[] = new Piece(
                    Piece::BOX,
                    $x,
                    $ascent - $setting->size * 0.85,
                    $wide,
                    $setting->size * 1.1,
                    colour: Style::HIGHLIGHT,
                );
            }
            $line->pieces[] = new Piece(
                Piece::TEXT,
                $x,
                $ascent - $run['rise'],
                $wide,
                0.0,
                $run['text'],
                $run['face'],
                $run['size'],
                $run['colour'],
                $run['link'],
                $run['marks'],
                glyphs: $part['ids'],
                isRightToLeft: $part['level'] % 2 === 1,
            );
            if ($run['place'] !== '') {
                $line->anchors[] = $run['place'];
            }
            if ($run['footnote'] !== null) {
                $line->footnotes[] = $run['footnote'];
            }
        }

        return $line;
    }

    /**
     * How many places of a line can be widened: its spaces, and what is between two signs of scripts without any.
     *
     * @param list<Part> $parts
     */
    private static function gaps(array $parts): int
    {
        $gaps = 0;
        foreach ($parts as $i => $part) {
            $gaps += self::widens($parts, $i) ? 1 : 0;
        }

        return $gaps;
    }

    /** @param list<Part> $parts */
    private static function widens(array $parts, int $i): bool
    {
        return $parts[$i]['isSpace']
            || ($parts[$i]['glyphs'] !== null && isset($parts[$i + 1]['glyphs']) && preg_match(self::SQUARE, $parts[$i]['run']['text']) === 1);
    }

    /**
     * The parts of a line, each with its place from where the line begins. What follows in the same run is set together; where
     * spaces are widened, each alone.
     *
     * @param list<Part> $parts
     *
     * @return list<array{array{run: Run, wide: float, level: int, ids: list<int|string>}, float}> in the order in which they are read
     */
    private static function joined(array $parts, float $stretch, bool $isRightToLeft): array
    {
        foreach ($parts as $i => $part) {
            $parts[$i]['room'] = $part['wide'] + ($stretch > 0.0 && self::widens($parts, $i) ? $stretch : 0.0);
        }
        $places = self::places($parts, $isRightToLeft);
        $isShaped = array_filter(array_column($parts, 'glyphs')) !== [];
        $out = [];
        $last = null;
        foreach ($parts as $i => $part) {
            $part['wide'] = $part['isSpace'] ? $part['room'] : $part['wide'];
            $drawn = !$isShaped ? [] : [$part['glyphs']->id ?? $part['run']['text']];
            if ($last !== null && $stretch === 0.0 && self::isLike($last, $part)) {
                $at = \count($out) - 1;
                $out[$at][0]['run']['text'] .= $part['run']['text'];
                $out[$at][0]['wide'] += $part['wide'];
                $ids = $part['level'] % 2 === 1 ? [...$drawn, ...$out[$at][0]['ids']] : [...$out[$at][0]['ids'], ...$drawn];
                $out[$at][0]['ids'] = $ids;
                $out[$at][1] = min($out[$at][1], $places[$i]);
            } else {
                $out[] = [$part + ['ids' => $drawn], $places[$i]];
            }
            $last = $part;
        }

        return $out;
    }

    /**
     * Where each part begins, after the parts of other directions have been turned round (UAX #9, rule L2).
     *
     * @param list<array{room: float, level: int}> $parts
     *
     * @return array<int, float>
     */
    private static function places(array $parts, bool $isRightToLeft): array
    {
        $order = array_keys($parts);
        $levels = array_column($parts, 'level');
        for ($level = $levels === [] ? 0 : max($levels); $level > 0; --$level) {
            $turned = [];
            $run = [];
            foreach ($order as $i) {
                if ($levels[$i] >= $level) {
                    array_unshift($run, $i);
                } else {
                    array_push($turned, ...$run, ...[$i]);
                    $run = [];
                }
            }
            $order = [...$turned, ...$run];
        }
        $x = 0.0;
        $places = [];
        foreach ($isRightToLeft ? array_reverse($order) : $order as $i) {
            $places[$i] = $x;
            $x += $parts[$i]['room'];
        }

        return $places;
    }

    /**
     * Whether two parts that follow each other are drawn as one.
     *
     * @param Part $one
     * @param Part $next
     */
    private static function isLike(array $one, array $next): bool
    {
        [$a, $b] = [$one['run'], $next['run']];

        return $one['level'] === $next['level']
            && $a['face'] === $b['face']
            && $a['size'] === $b['size']
            && $a['rise'] === $b['rise']
            && $a['link'] === $b['link']
            && $a['marks'] === $b['marks']
            && $a['colour'] === $b['colour']
            && $a['ground'] === $b['ground']
            && $a['place'] === $b['place']
            && $a['footnote'] === null
            && $b['footnote'] === null;
    }
}
