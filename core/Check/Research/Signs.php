<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

use Embrel\Citation\Matching;
use Embrel\Citation\TypedSource;

/** By what a line looks like research: as people write down quotations, references and where they found them. */
final class Signs
{
    private const ADDRESS = '/\A(?:https?:\/\/|www\.)[^\s]+\z/i';
    private const NUMBER = '/\A(?:doi:\s*)?10\.\d{4,9}\/\S+\z|\AISBN(?:-1[03])?:?\s*[\dX][\dX\- ]{8,15}[\dX]\z/i';
    private const QUOTED = '/\A\s*(?:“[^”]{3,}”|„[^“”]{3,}[“”]|"[^"]{3,}"|«[^»]{3,}»|»[^«]{3,}«|‘[^’]{8,}’)\s*[.,]?\s*(?:[(\[—–-].*)?\z/us';
    /** As mail and plain text mark what is another's. */
    private const MARKED = '/\A>\s*\S/u';
    private const SPEECH = '/“[^”]{8,}”|„[^“”]{8,}[“”]|"[^"]{8,}"|«[^»]{8,}»|»[^«]{8,}«/u';
    private const SAID
        = '/\b(?:said|says|saying|wrote|writes|asked|asks|told|tells|replied|recalled|recalls|remembered|remembers|argued|argues|noted|notes'
        . '|claimed|claims|insisted|warned|called|sagte|sagt|schreibt|schrieb|meinte|meint|fragte|erzählte|erinnerte)\b/u';
    /** Points to another place of the same text, or to what was cited before: no source of its own. */
    private const POINTER
        = '/\A[(\[]?\s*(?:(?:ibid|ebd|ebenda|op\.\s?cit|loc\.\s?cit|a\.\s?a\.\s?O|idem|id)\b'
        . '|(?:(?:see|cf|vgl|siehe|compare|s)\.?\s+(?:also\s+|auch\s+)?)'
        . '(?:(?:ch(?:ap(?:ter)?)?|sect(?:ion)?|pp?|pages?|fig(?:ure)?|tab(?:le)?|note|nos?|appendix|Kap(?:itel)?|Abschnitt|S|Seite|Abb)\b\.?\s*[\divxlc]'
        . '|§|above|below|oben|unten|(?:c(?:a|irca)?\.?\s*)?(?:1[4-9]|20)\d\d[a-z]?\s*[)\]]?\.?\z))/ui';
    private const ENTRY = '/\A\p{Lu}[\p{L}\'’.\- '
        . '&]{1,60},\s+\S.{3,200},\s*(?:c(?:a|irca)?\.?\s*)?(?:1[4-9]|20)\d\d[.;]?(?:,?\s*(?:pp?|S)\..*)?\z/u';
    private const HAS_NUMBER = '/\bdoi:|\b10\.\d{4,9}\/|\bISBN\b/ui';
    private const YEAR_IN_BRACKETS = '/\((?:[^()]{0,60}[\s,])?(?:c(?:a|irca)?\.?\s*)?(?:1[4-9]|20)\d\d[a-z]?\)/u';
    private const PLACE = '/\b(?:pp?|S)\.\s*\d|\b(?:ch|chap|chapter|Kap|fol)\.?\s*\d/ui';
    /** A line that begins so is about something; one that begins with another name may be somebody’s. */
    private const SUBJECT
        = '/\A(?:the|a|an|in|on|at|of|by|for|from|to|with|after|before|since|until|about|around|how|why|what|when|where|who|my|our|your|his|her|their|this|that|these|those|some|all|no'
        . '|chapter|part|section|page|volume|year|der|die|das|ein|eine|im|in|am|nach|vor|seit|bis|über|wie|warum|was|wann|wo|wer|kapitel|teil|abschnitt)\b/ui';
    private const NAMED = '/\A\p{Lu}[\p{L}\'’.\-]*/u';
    /** “Oakes, ch. 3”, “Vane 2001, p. 12”: a name, perhaps a year or a title, and then the place. */
    private const NAME_AND_PLACE = '/\A(?:\p{Lu}[\p{L}\'’.\-]+)(?:\s+(?:and|und|&)\s+\p{Lu}[\p{L}\'’.\-]+|\s+et '
        . 'al\.?)?(?:,|\s+(?:1[4-9]|20)\d\d)/u';

    public static function of(string $title, Matching $matching): ?Sign
    {
        return match (true) {
            preg_match(self::ADDRESS, $title) === 1 => Sign::Address,
            preg_match(self::MARKED, $title) === 1, preg_match(self::QUOTED, $title) === 1 => Sign::Quotation,
            preg_match(self::POINTER, $title) === 1 => null,
            $matching->of($title) !== null => Sign::KnownSource,
            self::isReference($title) => Sign::Reference,
            preg_match(self::SPEECH, $title) === 1 && preg_match(self::SAID, $title) === 1 => Sign::Quotation,
            default => null,
        };
    }

    private static function isReference(string $title): bool
    {
        foreach ([self::NUMBER, self::HAS_NUMBER, self::ENTRY] as $form) {
            if (preg_match($form, $title) === 1) {
                return true;
            }
        }
        if (TypedSource::isShort($title)) {
            return true;
        }
        if (preg_match(self::SUBJECT, $title) === 1 || preg_match(self::NAMED, $title) !== 1) {
            return false;
        }

        return preg_match(self::YEAR_IN_BRACKETS, $title) === 1
            || (preg_match(self::PLACE, $title) === 1 && preg_match(self::NAME_AND_PLACE, $title) === 1);
    }

    /** What a line that is marked as another's words says, without the mark. */
    public static function unmarked(string $title): string
    {
        return trim(preg_replace('/\A(?:>\s*)+/u', '', $title) ?? $title);
    }
}
