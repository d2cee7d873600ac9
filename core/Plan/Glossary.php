<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\RichText\Text;

/** The terms that were chosen for a plan’s glossary and index, some with what they mean. */
final class Glossary
{
    public const MOST = 500;
    /** In characters: a term, and what it means. */
    public const WORDS = 100;
    public const SAYS = 1_000;

    /**
     * @param list<mixed> $given each a term and what it means, which may be empty
     *
     * @return array<array-key, string> term → what it means, in the order of the alphabet; each once, in capitals or not
     *
     * @throws InvalidValue
     */
    public static function terms(array $given): array
    {
        $terms = $known = [];
        foreach ($given as $one) {
            [$words, $says] = \is_array($one) && \count($one) === 2 ? array_values($one) : ['', ''];
            $words = self::words(\is_string($words) ? $words : '');
            $known[self::key($words)] ??= $words;
            $terms[$known[self::key($words)]] = self::says(\is_string($says) ? $says : '');
        }
        uksort($terms, static fn(int|string $a, int|string $b): int => self::key((string) $a) <=> self::key((string) $b));

        return \count($terms) <= self::MOST ? $terms : throw new InvalidValue('A plan has at most ' . self::MOST . ' chosen terms.');
    }

    /** @throws InvalidValue */
    public static function words(string $words): string
    {
        $words = Text::line(mb_scrub($words));

        return $words !== '' && mb_strlen($words) <= self::WORDS
            ? $words
            : throw new InvalidValue('A term has up to ' . self::WORDS . ' characters.');
    }

    /** @throws InvalidValue */
    private static function says(string $says): string
    {
        $says = Text::line(mb_scrub($says));

        return mb_strlen($says) <= self::SAYS ? $says : throw new InvalidValue(
            'What a term means has up to ' . self::SAYS . ' characters.',
        );
    }

    /** By which terms are the same. */
    public static function key(string $words): string
    {
        return mb_strtolower($words);
    }
}
