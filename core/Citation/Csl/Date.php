<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** A date or a range of two, as CSL-JSON has it. Years before Christ are negative. */
final readonly class Date
{
    /**
     * @param list<array{int, int, int}> $parts  one or two of year, month and day; 0 where it is not known; months from 13 on are seasons
     */
    public function __construct(public array $parts, public bool $circa = false, public string $literal = '') {}

    /** @param mixed $date */
    public static function of(mixed $date): ?self
    {
        if (!\is_array($date)) {
            return \is_scalar($date) && trim((string) $date) !== '' ? self::raw((string) $date) : null;
        }
        $circa = !\in_array($date['circa'] ?? false, [false, 0, '', '0', 'false'], true);
        if (\is_array($date['date-parts'] ?? null)) {
            $parts = [];
            foreach (\array_slice(array_values($date['date-parts']), 0, 2) as $part) {
                $part = \is_array($part) ? array_values($part) : [];
                $one = [self::number($part[0] ?? 0), self::number($part[1] ?? 0), self::number($part[2] ?? 0)];
                if ($one[0] !== 0) {
                    $parts[] = $one;
                }
            }
            if ($parts !== []) {
                $season = \is_scalar($date['season'] ?? null) ? (int) $date['season'] : 0;
                if ($season >= 1 && $season <= 4 && $parts[0][1] === 0) {
                    $parts[0][1] = 20 + $season;
                }

                return new self($parts, $circa);
            }
        }
        $literal = \is_scalar($date['literal'] ?? null) ? Rich::clean((string) $date['literal']) : '';
        if ($literal !== '') {
            return new self([], $circa, $literal);
        }

        return \is_scalar($date['raw'] ?? null) ? self::raw((string) $date['raw']) : null;
    }

    private static function number(mixed $value): int
    {
        return is_numeric($value) ? max(-99999, min(99999, (int) $value)) : 0;
    }

    private const MONTHS = ['jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6, 'jul' => 7, 'aug' => 8, 'sep' => 9,
        'oct' => 10, 'nov' => 11, 'dec' => 12, 'spr' => 21, 'sum' => 22, 'aut' => 23, 'fal' => 23, 'win' => 24];

    /** A date as people write it: 2007-09-12, May 2003, Spring 2004; else its words. */
    private static function raw(string $text): ?self
    {
        $text = trim(Rich::clean($text));
        if ($text === '') {
            return null;
        }
        $parts = [];
        foreach (explode('/', $text, 2) as $one) {
            if (preg_match('/\A(-?\d{1,4})(?:-(\d{1,2}))?(?:-(\d{1,2}))?(?:T.*)?\z/', trim($one), $m) === 1) {
                $parts[] = [(int) $m[1], (int) ($m[2] ?? 0), (int) ($m[3] ?? 0)];
            } elseif (preg_match('/\A(?:(\d{1,2})\.? )?(\p{L}{3})\p{L}*\.?(?: (\d{1,2}),?)? (\d{3,4})\z/u', trim($one), $m) === 1
                && isset(self::MONTHS[mb_strtolower($m[2])])) {
                $parts[] = [(int) $m[4], self::MONTHS[mb_strtolower($m[2])], (int) ($m[1] !== '' ? $m[1] : $m[3])];
            } else {
                return new self([], false, $text);
            }
        }

        return new self($parts);
    }

    /** As digits, so that dates sort as texts do; years before Christ below all others. */
    public function digits(bool $withMonth = true, bool $withDay = true): string
    {
        $out = [];
        foreach ($this->parts as [$year, $month, $day]) {
            $out[] = ($year < 0 ? sprintf('-%05d', 99999 + $year) : sprintf('%05d', $year))
                . sprintf('%02d%02d', $withMonth ? $month : 0, $withDay ? $day : 0);
        }

        return implode('-', $out);
    }

    public function isEmpty(): bool
    {
        return $this->parts === [] && $this->literal === '';
    }
}
