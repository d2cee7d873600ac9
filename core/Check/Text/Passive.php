<?php

declare(strict_types=1);

namespace Embrel\Check\Text;

/**
 * Sentences that are probably in the passive, in English and German: a guess by the form of the verbs. English by a form of
 * “be” and a participle near it, German by a form of “werden” and a participle in the same clause.
 */
final class Passive
{
    private const IRREGULAR
        = 'been|born|bought|brought|built|caught|chosen|cut|done|drawn|driven|eaten|fallen|felt|fed|forgotten|fought|found|given|'
        . 'gone|grown|heard|held|hidden|hit|kept|known|laid|led|left|lent|lost|made|meant|met|paid|put|read|run|said|seen|sent|set|shown|'
        . 'shut|sold|spent|spoken|stolen|sung|taken|taught|thought|thrown|told|understood|won|worn|written';
    private const ENGLISH = '/\b(?:is|are|was|were|be|been|being)\b(?: [a-z]{2,25}ly| not| also| never| often| still)? '
        . '(?:[a-z]{2,25}(?<!ne)ed|' . self::IRREGULAR . ')\b/i';
    private const GERMAN = '/\b(?:wird|werden|wurde|wurden|worden)\b'
        . '(?=[^,.;:]{0,120}\b(?:[a-zäöüß]{0,20}ge[a-zäöüß]{2,25}(?:t|en)|(?:be|ver|er|ent|zer|miss)[a-zäöüß]{2,25}(?:t|en)|[a-zäöüß]{2,25}iert)\b)/ui';

    /** @return string|null a pattern for one sentence; null where nothing is known of the language */
    public static function pattern(string $language): ?string
    {
        return match (strtolower(explode('-', $language)[0])) {
            'en' => self::ENGLISH,
            'de' => self::GERMAN,
            default => null,
        };
    }
}
