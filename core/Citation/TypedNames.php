<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** The names of people in a line as people type it. */
final class TypedNames
{
    /** @return array{string, string} the names in front, and the rest */
    public static function inFront(string $text): array
    {
        // An entry of a list: “Pell, Anna, and Tom Brent. Title…”, where a full stop ends the names.
        if (
            preg_match('/\A((?:[^.]|(?<=\b\p{Lu})\.|(?<=\bal)\.)+?)\.\s+(?=\S)(.*)\z/us', $text, $m) === 1
            && substr_count($m[1], ' ') < 12
            && self::areNames($m[1])
        ) {
            return [$m[1], $m[2]];
        }
        $pieces = explode(', ', $text);
        if (\count($pieces) < 2 || !self::areNames($pieces[0])) {
            return ['', $text];
        }
        // “Pell, Anna, Tides and Walls”: a given name follows the family name, where a title still comes after it.
        $taken
            = \count($pieces) > 2
            && !str_contains($pieces[0], ' ')
            && preg_match('/\A\p{Lu}[\p{L}.\-]*(?:\s\p{Lu}[\p{L}.\-]*)?(?:\s(?:von|van|de|der|la|zu))*\z/u', $pieces[1]) === 1
                ? 2
                : 1;

        return [implode(', ', \array_slice($pieces, 0, $taken)), implode(', ', \array_slice($pieces, $taken))];
    }

    /** Whether every word of it could be of a name: capitals, initials, particles, “and”. */
    private static function areNames(string $text): bool
    {
        return preg_match('/\A(?:\p{Lu}[\p{L}.\'’\-]*|\p{Lo}+|van|von|de|der|den|la|le|du|und|and|et al|&|;|,|eds?|\s|\.)+\z/u', $text)
            === 1 && preg_match('/\A(?:The|A|An|On|In)\b/', $text) !== 1;
    }

    /** @return list<Person> */
    public static function people(string $names): array
    {
        $names = preg_replace('/,?\s*(?:et al\.?|u\.\s?a\.|\(?[Ee]ds?\.?\)?|\(?Hrsg\.?\)?)\s*\z/u', '', $names) ?? $names;
        // “Pell, A., & Moor, B.”, where each comma but those before “and” is within a name.
        if (preg_match_all('/([\p{L}\'’\- ]+?),\s*((?:\p{Lu}\.[\s\-]?)+)/u', $names, $pairs, PREG_SET_ORDER) > 0) {
            return array_map(
                static fn(array $m): Person => Person::of(preg_replace('/\A\s*(?:and|und)\s+/u', '', trim($m[1])) ?? $m[1], $m[2]),
                $pairs,
            );
        }
        $people = [];
        foreach (preg_split('/\s*(?:;|,?\s+(?:and|und|&)\s+|,?\s*&\s*)\s*/u', $names, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $i => $name) {
            $several = $i === 0 ? (preg_split('/,\s+/', $name) ?: [$name]) : explode(', ', $name);
            if (\count($several) === 2 && $i === 0 && preg_match('/\A(?:\p{Ll}+\s+)*\S+\z/u', $several[0]) === 1) {
                $people[] = Person::typed($name);
            } else {
                array_push($people, ...array_map(Person::typed(...), $several));
            }
        }

        return $people;
    }
}
