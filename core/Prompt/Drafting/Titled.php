<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

use Embrel\Language\Tongue;

/** What a title is: a question, a statement that can stand as a sentence, or what something is called. */
enum Titled: string
{
    case Question = 'ask';
    case Statement = 'claim';
    case Name = 'about';

    /** Verbs that are nothing else, with which a title is a sentence; what is a noun too is not among them. */
    private const VERBS = [
        'en' => '/(?<=\s)(?:is|are|was|were|has|have|had|must|should|can|could|will|would|may|might|does|did|isn\'t|aren\'t|wasn\'t|weren\'t|don\'t'
            . '|doesn\'t|didn\'t|cannot|can\'t|won\'t|means|makes|takes|gives|becomes|became|brings|brought|keeps|kept|remains|goes|went|comes|came|says|said)'
            . '(?=\s)|\A(?:I|We|You|He|She|It|They|There)\s\p{Ll}+\s|\s\p{Ll}+[^s\s]s\s(?:an?|the|its|his|her|their|our|no|not|more|less)\s/u',
        'de' => '/(?<=\s)(?:ist|sind|war|waren|hat|haben|hatte|hatten|muss|müssen|soll|sollen|sollte|kann|können|konnte|wird|werden|wurde|wurden|darf'
            . '|dürfen|bleibt|bleiben|macht|machen|braucht|brauchen|gibt|bringt|führt|zeigt|heißt|bedeutet|liegt|steht|fehlt|hilft|gilt|kommt|geht)(?=\s|\z)/u',
    ];
    /** What begins no sentence that states something. */
    private const ASKS = '/\A(?:why|how|what|when|where|who|whom|whose|which|whether|that|if|because|warum|wie|was|wann|wo|wer|wen|wem|welche[rsmn]?|ob|dass'
        . '|wenn|weil|wieso|weshalb)\b/iu';

    public static function of(string $title, string $language): self
    {
        $title = str_replace('’', "'", trim($title));
        $verbs = self::VERBS[strtolower(explode('-', $language)[0])] ?? null;

        return match (true) {
            str_ends_with($title, '?') => self::Question,
            preg_match('/[.!…]["”“»]?\z/u', $title) === 1 => self::Statement,
            $verbs !== null && preg_match(self::ASKS, $title) !== 1 && preg_match($verbs, $title) === 1 => self::Statement,
            default => self::Name,
        };
    }

    /** A title as a sentence: with its end. */
    public static function sentence(string $title): string
    {
        return preg_match('/[.!?…:]["”“»)]?\z/u', $title) === 1 ? $title : "{$title}.";
    }

    /**
     * A title as it stands within a sentence: small at its beginning, where the word is none that keeps its capital.
     *
     * @param string $text of the branch: a word that stands small in it is no name
     */
    public static function within(string $title, Tongue $tongue, string $text): string
    {
        if ($tongue->nounsHaveCapitals || preg_match('/\A(\p{Lu})([\p{Ll}’\']*)(?![\p{L}])/u', $title, $m) !== 1) {
            return rtrim($title, '.');
        }
        $small = mb_strtolower($m[0]);
        $isName = !($tongue->isFunctionWord($m[0]) && $m[0] !== 'I')
            && preg_match('/\p{L}{2}ing\z/u', $m[0]) !== 1
            && preg_match('/(?<![\p{L}])' . preg_quote($small, '/') . '(?![\p{L}])/u', $text) !== 1;

        return rtrim($isName ? $title : $small . substr($title, \strlen($m[0])), '.');
    }
}
