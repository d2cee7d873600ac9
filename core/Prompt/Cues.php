<?php

declare(strict_types=1);

namespace Embrel\Prompt;

use Embrel\Plan\Plan;

/** What a title has in it that can be asked about: a person, a year, a place, a number, a why, a comparison. */
final class Cues
{
    private const YEAR = '/(?<![\d.,])(?:1[0-9]{3}|20[0-9]{2})(?![\d.,]*\d|\s*(?:%|percent|per cent|Prozent))/u';
    private const NUMBER = '/(?<![\p{L}\d.,])\d+(?:[.,]\d+)*(?:\s*(?:%|percent|per cent|Prozent))?/u';
    private const WHY = '/\b(?:why|warum|weshalb|wieso|because|weil)\b/iu';
    private const COMPARISON = '/\b(?:versus|vs|than|compared|gegenüber|verglichen|Vergleich|als)\b|\p{L}\s+(?:or|oder)\s+\p{L}/iu';
    /** Two words with capitals after a title of a person, or the second of which is nobody's beginning of a sentence. */
    private const NAME = '/\b(?:Dr|Prof|Mr|Mrs|Ms|Herr|Frau|Professor)\.?\s+(\p{Lu}[\p{L}\'’-]+(?:\s\p{Lu}[\p{L}\'’-]+)?)/u';
    /** English titles are written small but for names, if they are not written large altogether. */
    private const TWO = '/(?<=\s|^)(?!(?:' . self::BEGINS . ')\s)(\p{Lu}\p{Ll}[\p{L}\'’-]*\s(?:van |von |de |of )?\p{Lu}\p{Ll}[\p{L}\'’-]*)/u';
    /** With what a title may begin that is nobody's name. */
    private const BEGINS = 'The|An?|What|Why|How|When|Where|Who|Which|In|On|At|From|For|Of|And|But|Or|To|By|With|Our|My|Your|Their|His|Her|Its'
        . '|This|That|These|Those|No|Not|Some|Every|All|Both|After|Before|Since|Until|If|Is|Are|Was|Were|Do|Does|Did|Can|Should|Will';
    private const WHERE = '/\b(?:in|at|near|from)\s+((?:the\s)?\p{Lu}\p{Ll}[\p{L}\'’-]+(?:\s\p{Lu}\p{Ll}[\p{L}\'’-]+)?)/u';

    /** @return array<string, string> name, year, place, number, why, comparison → what of the title it is */
    public static function of(string $title, Plan $plan): array
    {
        $isGerman = str_starts_with($plan->properties->language, 'de');
        $found = array_filter([
            'name' => self::person($title, $plan, $isGerman),
            'year' => self::first(self::YEAR, $title),
            'place' => self::place($title, $plan->properties->language, $isGerman),
            'why' => self::first(self::WHY, $title),
            'comparison' => self::first(self::COMPARISON, $title),
        ], static fn(string $part): bool => $part !== '');
        $number = self::first(self::NUMBER, (string) preg_replace(self::YEAR, '', $title));
        if (isset($found['place'], $found['name']) && str_contains($found['place'], $found['name'])) {
            unset($found['name']);
        }

        return $found + ($number === '' ? [] : ['number' => $number]);
    }

    private static function first(string $form, string $title): string
    {
        return preg_match($form, $title, $m) === 1 ? trim($m[1] ?? $m[0]) : '';
    }

    /** One whose works the plan has, else one that is called as people are. */
    private static function person(string $title, Plan $plan, bool $isGerman): string
    {
        foreach ($plan->sources as $source) {
            foreach ($source->authors as $author) {
                $name = $author->family;
                if (mb_strlen($name) > 2 && preg_match('/(?<!\p{L})' . preg_quote($name, '/') . '(?!\p{L})/u', $title) === 1) {
                    return trim("{$author->given} {$name}");
                }
            }
        }
        $named = self::first(self::NAME, $title);
        if ($named !== '' || $isGerman || self::isWrittenLarge($title)) {
            return $named;
        }

        return self::first(self::TWO, $title);
    }

    /** In German every noun has a capital: there only what is a country counts. */
    private static function place(string $title, string $language, bool $isGerman): string
    {
        foreach (self::countries($isGerman ? 'de' : 'en') as $country) {
            if (str_contains($title, $country) && preg_match('/(?<!\p{L})' . preg_quote($country, '/') . '(?!\p{L})/u', $title) === 1) {
                return $country;
            }
        }

        return $isGerman || self::isWrittenLarge($title) ? '' : self::first(self::WHERE, $title);
    }

    /** @return list<string> as ICU calls them */
    private static function countries(string $language): array
    {
        /** @var array<string, list<string>> $known */
        static $known = [];
        if (!isset($known[$language])) {
            $names = [];
            $countries = \ResourceBundle::create($language, 'ICUDATA-region')?->get('Countries');
            foreach (is_iterable($countries) ? $countries : [] as $code => $name) {
                if (\is_string($name) && \is_string($code) && preg_match('/\A[A-Z]{2}\z/', $code) === 1 && mb_strlen($name) > 3) {
                    $names[] = $name;
                }
            }
            $known[$language] = $names;
        }

        return $known[$language];
    }

    /** Whether words have capitals that no sentence gives them, so that a capital tells nothing. */
    private static function isWrittenLarge(string $title): bool
    {
        $large = preg_match_all('/(?<=\s)\p{Lu}\p{L}{3,}/u', $title);

        return $large >= 2 && preg_match_all('/(?<=\s)\p{Ll}\p{L}{3,}/u', $title) === 0;
    }
}
