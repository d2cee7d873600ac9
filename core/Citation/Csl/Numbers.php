<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** Numbers as they are printed, and what counts as one (CSL 1.0.2, “Number”, “Page ranges”). */
final class Numbers
{
    /** Two with a word or comma between them, two figures with a dash, two words with one: 3 and 4, 3, 4; 3–4; ix–xi. */
    private const SEVERAL = '/[\p{L}\d](?:\s*(?:&|\band\b|\bund\b|\bet\b|\by\b)\s*|\s*,\s+)[\p{L}\d]'
        . '|\d\p{L}?\s*[\-–—]\s*\p{L}*\d|\b\p{L}+[\-–—]\p{L}+\b/u';
    private const ONE = '(?:[a-zA-Z]{0,2}\d+[a-zA-Z]{0,2}|[ivxlcdm]+)';

    public static function isNumeric(string $text): bool
    {
        return preg_match('/\A\s*' . self::ONE . '(?:\s*(?:[,&\-–]|and)\s*' . self::ONE . ')*\s*\z/u', $text) === 1;
    }

    public static function isSeveral(string $text): bool
    {
        return preg_match(self::SEVERAL, $text) === 1;
    }

    /** Pages or places as the style and its locale have them. */
    public static function ofPages(string $text, Style $style): string
    {
        return self::pages($text, $style->pages, $style->locale->say('page-range-delimiter') ?? '–');
    }

    /** Pages or places with their ranges in the format of the style: expanded, minimal, minimal-two, chicago, chicago-15, chicago-16. */
    public static function pages(string $text, string $format, string $dash): string
    {
        if (ctype_digit($text)) {
            return $text;
        }
        $text = (string) preg_replace('/\s*[–—-]+\s*(?=\S)/u', '–', $text);
        $text = (string) preg_replace_callback(
            '/(?<![\p{L}\d])([a-zA-Z]*)(\d+)([a-zA-Z]*)–([a-zA-Z]*)(\d+)([a-zA-Z]*)(?![\p{L}\d])/u',
            static fn(array $m): string => self::range($m[1], $m[2], $m[3], $m[4], $m[5], $m[6], $format),
            $text,
        );
        $text = (string) preg_replace(['/\s*,\s*/', '/\s*&\s*/'], [', ', ' & '], $text);

        return str_replace('–', $dash, $text);
    }

    private static function range(string $a0, string $a, string $a1, string $b0, string $b, string $b1, string $format): string
    {
        $asItIs = "{$a0}{$a}{$a1}–{$b0}{$b}{$b1}";
        if ($format === '' || $a1 !== '' || $b1 !== '' || ($b0 !== '' && $b0 !== $a0)) {
            return $asItIs;
        }
        $full = \strlen($b) < \strlen($a) ? substr($a, 0, \strlen($a) - \strlen($b)) . $b : $b;
        if ((int) $full < (int) $a) {
            return $asItIs;
        }
        if (\strlen($full) !== \strlen($a)) {
            return "{$a0}{$a}–" . ($format === 'expanded' ? $a0 : '') . $full;
        }
        $short = static function (int $least) use ($a, $full): string {
            $same = 0;
            while ($same < \strlen($a) - $least && $a[$same] === $full[$same]) {
                ++$same;
            }

            return substr($full, $same);
        };
        $end = match ($format) {
            'minimal' => $short(1),
            'minimal-two' => $short(min(2, \strlen($a))),
            'chicago', 'chicago-15' => self::chicago($a, $full, $short, true),
            'chicago-16' => self::chicago($a, $full, $short, false),
            default => $full,
        };

        return "{$a0}{$a}–" . ($format === 'expanded' ? $a0 : '') . $end;
    }

    /** @param \Closure(int): string $short */
    private static function chicago(string $a, string $full, \Closure $short, bool $isOld): string
    {
        $n = (int) $a;
        if ($n < 100 || $n % 100 === 0) {
            return $full;
        }
        if ($n % 100 < 10) {
            return $short(1);
        }
        if ($isOld && \strlen($a) === 4 && \strlen($short(1)) >= 3) {
            return $full;
        }

        return $short(2);
    }
}
