<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Person;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;

/**
 * Strings on their way to print. What is italic stands between two control characters, which no
 * text of a writer's can hold; they become runs at the end.
 */
final class Prose
{
    private const ON = "\x0E";
    private const OFF = "\x0F";

    public static function italic(string $text): string
    {
        return $text === '' ? '' : self::ON . $text . self::OFF;
    }

    /** The text with a full stop, unless it ends with a mark of its own. */
    public static function stop(string $text): string
    {
        return $text === '' || preg_match('/[.?!…][”“"\x0F]*\z/u', $text) === 1 ? $text : "{$text}.";
    }

    /** Sentences one after the other, each with its stop; empty ones are left out. */
    public static function sentences(string ...$parts): string
    {
        return implode(' ', array_map(self::stop(...), array_filter($parts, static fn(string $part): bool => $part !== '')));
    }

    /** Those that are not empty, with something between them. */
    public static function joined(string $glue, string ...$parts): string
    {
        return implode($glue, array_filter($parts, static fn(string $part): bool => $part !== ''));
    }

    public static function raised(string $text): string
    {
        return mb_strtoupper(mb_substr($text, 0, 1)) . mb_substr($text, 1);
    }

    /**
     * Names in a row: A, B, and C.
     *
     * @param list<string> $names
     * @param string       $and    before the last: “and”, “&”
     * @param bool         $serial whether a comma stands before it from three names on
     * @param bool         $paired and whether already between two
     */
    public static function row(array $names, string $and, bool $serial = true, bool $paired = false): string
    {
        $last = array_pop($names) ?? '';
        if ($names === []) {
            return $last;
        }
        $comma = $paired || ($serial && \count($names) > 1) ? ',' : '';

        return implode(', ', $names) . "{$comma} {$and} {$last}";
    }

    /**
     * @param list<Person> $people
     *
     * @return list<string>
     */
    public static function straight(array $people, bool $initials = false): array
    {
        return array_map(static fn(Person $person): string => $person->straight($initials), $people);
    }

    /**
     * The first name turned for the alphabet, the others as they are spoken.
     *
     * @param list<Person> $people
     *
     * @return list<string>
     */
    public static function firstInverted(array $people): array
    {
        return $people === [] ? [] : [$people[0]->inverted(drops: true), ...self::straight(\array_slice($people, 1))];
    }

    /** @return list<Node> runs of text; italic within italic is upright no more than once */
    public static function runs(string $text): array
    {
        $runs = [];
        foreach (explode(self::ON, $text) as $i => $piece) {
            [$italic, $rest] = $i === 0 ? ['', $piece] : explode(self::OFF, $piece, 2) + [1 => ''];
            if ($italic !== '') {
                $runs[] = Node::text($italic, [new Mark(MarkType::Italic)]);
            }
            if ($rest !== '') {
                $runs[] = Node::text($rest);
            }
        }

        return $runs;
    }
}
