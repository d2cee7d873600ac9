<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Date;
use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Locale;
use Embrel\Citation\Csl\Printing;

/** A date in the parts of the style, or in those of the locale. */
final class Dates extends Element
{
    private const AT = ['year' => 0, 'month' => 1, 'day' => 2];

    /** @var list<array{string, Dress, string, string}>|null worked out once: name, dress, form, range delimiter */
    private ?array $parts = null;

    private string $between = '';

    /** @param list<array<string, string>> $given attributes of the style's own parts */
    public function __construct(
        Dress $dress,
        private readonly string $variable,
        private readonly string $form,
        private readonly string $shown,
        private readonly string $delimiter,
        private readonly array $given,
    ) {
        $this->dress = $dress;
    }

    public function pruned(Pruning $pruning): array
    {
        return [$pruning->lacks($this->variable) ? new Silent() : $this];
    }

    public function render(Printing $printing): string
    {
        $text = $this->dress->alone($this->says($printing), $printing, false);

        // What a date has behind it meets no stop.
        return preg_match('/\s[;:,]\z/', $this->dress->suffix) === 1 && $text !== '' ? $text . Flat::DATED : $text;
    }

    protected function says(Printing $printing): string
    {
        $printing->called = true;
        $date = isset($printing->gone[$this->variable]) ? null : $printing->item->dates[$this->variable] ?? null;
        if ($date === null) {
            return '';
        }
        $text = $printing->isKey ? $this->key($date) : $this->text($date, $printing);
        // A date that has none of the parts that are asked for says nothing; a year that is left out was there.
        if ($text !== '' || $printing->dropsYear) {
            $printing->found($this->variable);
        }

        return $text;
    }

    private function text(Date $date, Printing $printing): string
    {
        $parts = $this->parts ??= $this->parts($printing);
        if ($date->literal !== '') {
            foreach ($parts as [$name, $dress]) {
                if ($name === 'year') {
                    return $dress->on($date->literal, $printing);
                }
            }

            return '';
        }

        return \count($date->parts) === 1 ? $this->one($date->parts[0], $parts, $printing) : $this->range($date, $parts, $printing);
    }

    /** A date as digits, in the parts that the style prints of it. */
    private function key(Date $date): string
    {
        $shown = $this->form === '' ? implode(' ', array_column($this->given, 'name')) : $this->shown;

        return $date->parts === [] ? $date->literal : $date->digits(str_contains($shown, 'month'), str_contains($shown, 'day'));
    }

    private function letter(Printing $printing): string
    {
        if ($printing->hasLetter || $printing->letter === '' || $printing->style->placesLetters || $this->variable !== 'issued') {
            return '';
        }
        $printing->hasLetter = true;

        // It is the same letter everywhere, in whatever case a style sets a date.
        return $this->dress->case === '' ? $printing->letter : Flat::AS_IT_IS . $printing->letter . Flat::SHUT;
    }

    /** @return list<array{string, Dress, string, string}> */
    private function parts(Printing $printing): array
    {
        $shown = explode('-', $this->shown);
        $own = [];
        foreach ($this->given as $attributes) {
            $own[$attributes['name'] ?? ''] = $attributes;
        }
        $this->between = $this->delimiter;
        $from = $this->given;
        if ($this->form !== '') {
            $from = [];
            $this->between = $printing->locale->dateDelimiters[$this->form] ?? '';
            foreach ($printing->locale->dates[$this->form] ?? [] as $attributes) {
                $name = $attributes['name'] ?? '';
                if (\in_array($name, $shown, true)) {
                    $mine = $own[$name] ?? [];
                    unset($mine['prefix'], $mine['suffix']);
                    $from[] = $mine + $attributes;
                }
            }
        }
        $parts = [];
        foreach ($from as $attributes) {
            $name = $attributes['name'] ?? '';
            if (isset(self::AT[$name])) {
                $parts[] = [$name, Dress::of($attributes), $attributes['form'] ?? '', ($attributes['range-delimiter'] ?? '') ?: '–'];
            }
        }

        return $parts;
    }

    /**
     * @param array{int, int, int}                      $date
     * @param list<array{string, Dress, string, string}> $parts
     */
    private function one(array $date, array $parts, Printing $printing): string
    {
        $row = [];
        foreach ($parts as [$name, $dress, $form]) {
            $row[] = $this->part($name, $dress, $form, $date, $printing);
        }

        return Flat::row($row, $this->between, $printing->locale->inside);
    }

    /**
     * @param list<array{string, Dress, string, string}> $parts
     */
    private function range(Date $date, array $parts, Printing $printing): string
    {
        [$from, $to] = $date->parts;
        $names = array_column($parts, 0);
        // The largest part in which the two differ, of those that are shown.
        $at = null;
        foreach (['year', 'month', 'day'] as $name) {
            if (\in_array($name, $names, true) && $from[self::AT[$name]] !== $to[self::AT[$name]]) {
                $at = self::AT[$name];

                break;
            }
        }
        if ($at === null) {
            return $this->one($from, $parts, $printing);
        }
        $differing = [];
        foreach ($parts as $i => [$name]) {
            $n = self::AT[$name];
            if ($n >= $at && ($from[$n] !== 0 || $to[$n] !== 0)) {
                $differing[] = $i;
            }
        }
        $first = $differing === [] ? 0 : min($differing);
        $last = $differing === [] ? 0 : max($differing);
        $row = [];
        $middle = '';
        foreach ($parts as $i => [$name, $dress, $form, $dash]) {
            if ($i < $first || $i > $last) {
                $row[] = $this->part($name, $dress, $form, $from, $printing);
            } elseif ($i === $first) {
                $one = $two = [];
                for ($j = $first; $j <= $last; ++$j) {
                    [$n, $d, $f] = $parts[$j];
                    $value = $this->part($n, $d, $f, $from, $printing, isEnd: $j === $last);
                    $one[] = $value;
                    $two[] = $this->part($n, $d, $f, $to, $printing, isStart: $j === $first);
                    $middle = $to[self::AT[$n]] === 0 ? $middle : $parts[$j][3];
                }
                $inside = $printing->locale->inside;
                $row[] = Flat::row($one, $this->between, $inside) . $middle . Flat::row($two, $this->between, $inside);
            }
        }

        return Flat::row($row, $this->between, $printing->locale->inside);
    }

    /** @param array{int, int, int} $date */
    private function part(
        string $name,
        Dress $dress,
        string $form,
        array $date,
        Printing $printing,
        bool $isEnd = false,
        bool $isStart = false,
    ): string {
        $value = $date[self::AT[$name]];
        if ($value === 0) {
            return '';
        }
        $locale = $printing->locale;
        $text = match ($name) {
            'year' => self::year($value, $form, $printing),
            'month' => self::month($value, $form, $date[2] === 0, $printing),
            default => self::day($value, $form, $date[1], $printing),
        };
        $after = $name === 'year' ? $this->afterYear($value, $dress, $printing) : '';
        if ($isEnd || $isStart) {
            $text = $dress->within($text, $printing) . $after;
            $text = $isStart || $dress->prefix === '' ? $text : $printing->join($dress->prefix, $text);

            return $isEnd || $dress->suffix === '' ? $text : $printing->join($text, $dress->suffix);
        }

        return $dress->on($text, $printing) . $after;
    }

    private static function year(int $year, string $form, Printing $printing): string
    {
        if ($printing->dropsYear) {
            return '';
        }
        $text = (string) abs($year);
        if ($form === 'short') {
            $text = substr($text, -2);
        }

        return $text;
    }

    /** The era of early years and the letter, which stand behind the year and what is put around it. */
    private function afterYear(int $year, Dress $dress, Printing $printing): string
    {
        $era = $printing->dropsYear || $year >= 500 ? '' : $printing->locale->say($year < 0 ? 'bc' : 'ad') ?? '';

        return $era . $dress->on($this->letter($printing), $printing);
    }

    /** @param bool $isAlone whether no day stands beside it, for which some languages have another form of its name */
    private static function month(int $month, string $form, bool $isAlone, Printing $printing): string
    {
        if ($month > 12) {
            $season = $month > 20 ? $month - 20 : $month - 12;

            // A season counted as a month has no word among figures.
            $isUnsaid = $season > 4 || ($month < 20 && str_starts_with($form, 'numeric'));

            return $isUnsaid ? '' : $printing->locale->say(sprintf('season-%02d', $season)) ?? '';
        }

        return match ($form) {
            'numeric' => (string) $month,
            'numeric-leading-zeros' => sprintf('%02d', $month),
            'short' => $printing->locale->say(sprintf('month-%02d', $month), 'short') ?? '',
            default => ($isAlone ? $printing->locale->say(sprintf('month-%02d', $month), Locale::ALONE) : null)
                ?? $printing->locale->say(sprintf('month-%02d', $month)) ?? '',
        };
    }

    private static function day(int $day, string $form, int $month, Printing $printing): string
    {
        return match (true) {
            $form === 'numeric-leading-zeros' => sprintf('%02d', $day),
            $form === 'ordinal' && ($day === 1 || !$printing->locale->ordinalsOnTheFirstOnly) => $printing->locale->ordinal(
                $day,
                $printing->locale->gender(sprintf('month-%02d', $month)),
            ),
            default => (string) $day,
        };
    }
}
