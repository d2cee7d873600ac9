<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** How a citation is called in the editor, whatever style the plan prints: “Pell 1994, p. 61”. */
final class Label
{
    public static function ofSource(Source $source, Terms $terms): string
    {
        return trim(self::who($source, $terms) . ' ' . $terms->when($source->date));
    }

    /**
     * @param list<Cited>           $items
     * @param array<string, Source> $sources by id
     */
    public static function of(array $items, array $sources, Terms $terms): string
    {
        return implode(
            '; ',
            array_map(static fn(Cited $item): string => self::one($item, $sources[$item->source] ?? null, $terms), $items),
        );
    }

    private static function one(Cited $item, ?Source $source, Terms $terms): string
    {
        $label
            = $source === null
                ? $terms->say('noSource')
                : ($item->withoutAuthor
                    ? $terms->when($source->date)
                    : self::ofSource($source, $terms));

        return implode(
            ', ',
            array_filter(
                [trim("{$item->prefix} {$label}"), $terms->pages($item->pages, Pages::FULL), $item->suffix],
                static fn(string $part): bool => $part !== '',
            ),
        );
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
}
