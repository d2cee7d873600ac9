<?php

declare(strict_types=1);

namespace Embrel\Shelf;

/** Files of the Citation Style Language that ship (resources/csl): styles by their key, locales by their tag. */
final class Shelf
{
    /** The XML of a style; null where none of that key ships. */
    public static function style(string $key): ?string
    {
        return self::file("styles/{$key}.csl");
    }

    /** The XML of a locale, such as de-DE; null where none of that tag ships. */
    public static function locale(string $tag): ?string
    {
        return self::file("locales/locales-{$tag}.xml");
    }

    /** The schema of the standard, as RELAX NG. */
    public static function schema(): string
    {
        return self::file('schema/csl.rng') ?? throw new \LogicException('The schema ships.');
    }

    /** Names of journals, a line each, with the key of the style that they are printed in behind a tab; in the order of their names. */
    public static function journals(): string
    {
        return self::file('styles/journals.tsv') ?? '';
    }

    /** What words of titles are shortened to: a line each, word and short form with a tab between; a hyphen stands for any ending. */
    public static function shortWords(): string
    {
        return self::file('titles/short-words.tsv') ?? '';
    }

    private static function file(string $name): ?string
    {
        $path = \dirname(__DIR__, 2) . "/resources/csl/{$name}";

        $isName = preg_match('~\A[a-z]+/[A-Za-z0-9-]+\.(?:csl|xml|rng|tsv)\z~', $name) === 1;

        return $isName && is_file($path) ? (string) file_get_contents($path) : null;
    }
}
