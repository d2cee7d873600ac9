<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** How a citation is called in the editor, whatever style the plan prints: “Pell 1994, p. 61”. */
final class Label
{
    public static function ofSource(Source $source, Terms $terms): string
    {
        return trim(self::who($source, $terms) . ' ' . self::when($source, $terms));
    }

    /**
     * @param list<Cited>           $items
     * @param array<string, Source> $sources by id
     */
    public static function of(array $items, array $sources, Terms $terms): string
    {
        return implode('; ', array_map(static fn(Cited $item): string => self::one($item, $sources[$item->source] ?? null, $terms), $items));
    }

    private static function one(Cited $item, ?Source $source, Terms $terms): string
    {
        $label = $source === null ? $terms->say('noSource') : ($item->withoutAuthor ? self::when($source, $terms) : self::ofSource($source, $terms));
        $pages = Pages::range($item->pages, Pages::FULL);
        $place = $pages !== '' && Pages::arePages($pages) ? $terms->say(Pages::areSeveral($pages) ? 'pages' : 'page') . " {$pages}" : $pages;

        return implode(', ', array_filter([trim("{$item->prefix} {$label}"), $place, $item->suffix], static fn(string $part): bool => $part !== ''));
    }

    private static function who(Source $source, Terms $terms): string
    {
        $names = array_map(static fn(Person $person): string => $person->surname(), $source->people());

        return match (\count($names)) {
            0 => Titles::short($source->title === '' ? $terms->say('noTitle') : $source->title),
            1 => $names[0],
            2 => "{$names[0]} {$terms->say('and')} {$names[1]}",
            default => "{$names[0]} {$terms->say('etAl')}",
        };
    }

    private static function when(Source $source, Terms $terms): string
    {
        return $source->date === null ? $terms->say('noDate') : $terms->year($source->date);
    }
}
