<?php

declare(strict_types=1);

namespace Embrel\Id;

/**
 * The form of every id: a ULID in upper case, as its published specification spells it. Ids are
 * plain strings that have passed this door; the core never makes one itself (see Ids).
 */
final class Ulid
{
    private const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
    /** As a regular expression. */
    public const FORM = '[0-7][0-9A-HJKMNP-TV-Z]{25}';

    public static function isValid(string $id): bool
    {
        return preg_match('/\A' . self::FORM . '\z/', $id) === 1;
    }

    /** @return list<string> each that stands in a text, once */
    public static function in(string $text): array
    {
        preg_match_all('/' . self::FORM . '/', $text, $found);

        return array_values(array_unique($found[0]));
    }

    /** An id that follows from a text, always the same one for the same text. */
    public static function derived(string $text): string
    {
        $id = '';
        foreach (str_split(hash('sha256', $text), 2) as $i => $pair) {
            $id .= self::DIGITS[(int) hexdec($pair) % ($i === 0 ? 8 : 32)];
        }

        return substr($id, 0, 26);
    }

    /** @throws InvalidId when the text is not a ULID */
    public static function of(string $id): string
    {
        return self::isValid($id) ? $id : throw InvalidId::because($id);
    }
}
