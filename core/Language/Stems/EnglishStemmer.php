<?php

declare(strict_types=1);

namespace Embrel\Language\Stems;

/** English (“Porter2”), snowballstem.org/algorithms/english/stemmer.html; each step is called as it is there. */
final class EnglishStemmer extends Stemmer
{
    private const VOWELS = 'aeiouy';
    private const DOUBLES = ['bb', 'dd', 'ff', 'gg', 'mm', 'nn', 'pp', 'rr', 'tt'];
    private const WHOLE = [
        'skis' => 'ski', 'skies' => 'sky', 'dying' => 'die', 'lying' => 'lie', 'tying' => 'tie', 'idly' => 'idl', 'gently' => 'gentl',
        'ugly' => 'ugli', 'early' => 'earli', 'only' => 'onli', 'singly' => 'singl', 'sky' => 'sky', 'news' => 'news', 'howe' => 'howe',
        'atlas' => 'atlas', 'cosmos' => 'cosmos', 'bias' => 'bias', 'andes' => 'andes',
    ];
    private const AFTER_1A = ['inning', 'outing', 'canning', 'herring', 'earring', 'proceed', 'exceed', 'succeed'];
    private const STEP_2 = [
        'ational' => 'ate', 'fulness' => 'ful', 'iveness' => 'ive', 'ization' => 'ize', 'ousness' => 'ous', 'biliti' => 'ble',
        'lessli' => 'less', 'tional' => 'tion', 'alism' => 'al', 'aliti' => 'al', 'ation' => 'ate', 'entli' => 'ent', 'fulli' => 'ful',
        'iviti' => 'ive', 'ousli' => 'ous', 'abli' => 'able', 'alli' => 'al', 'anci' => 'ance', 'ator' => 'ate', 'enci' => 'ence',
        'izer' => 'ize', 'bli' => 'ble', 'ogi' => 'og', 'li' => '',
    ];
    private const STEP_3 = [
        'ational' => 'ate', 'tional' => 'tion', 'alize' => 'al', 'ative' => '', 'icate' => 'ic', 'iciti' => 'ic', 'ical' => 'ic',
        'ness' => '', 'ful' => '',
    ];
    private const IN_STEP_2 = 'ational|fulness|iveness|ization|ousness|biliti|lessli|tional|alism|aliti|ation|entli|fulli|iviti|ousli|abli|alli'
        . '|anci|ator|enci|izer|bli|ogi|li';
    private const IN_STEP_3 = 'ational|tional|alize|ative|icate|iciti|ical|ness|ful';
    private const STEP_4 = 'ement|able|ance|ence|ible|ment|ant|ate|ent|ion|ism|iti|ive|ize|ous|al|er|ic';

    protected function shortened(string $word): string
    {
        if (\strlen($word) < 3) {
            return $word;
        }
        if (isset(self::WHOLE[$word])) {
            return self::WHOLE[$word];
        }
        $word = ltrim($word, "'") === $word ? $word : substr($word, 1);
        // A y that is no vowel is written large.
        $word = (string) preg_replace('/(?:\A|(?<=[aeiouy]))y/', 'Y', $word);
        $r1 = preg_match('/\A(?:gener|commun|arsen)/', $word, $m) === 1 ? \strlen($m[0]) : self::region($word, self::VOWELS);
        $r2 = self::region($word, self::VOWELS, $r1);
        $word = (string) preg_replace("/'(?:s'?)?\\z/", '', $word);
        $word = self::step1a($word);
        if (\in_array($word, self::AFTER_1A, true)) {
            return $word;
        }
        $word = (string) preg_replace('/(?<=.[^aeiouy])[yY]\z/', 'i', self::step1b($word, $r1));
        $word = self::step3(self::step2($word, $r1), $r1, $r2);

        return str_replace('Y', 'y', self::step5(self::step4($word, $r2), $r1, $r2));
    }

    private static function step1a(string $word): string
    {
        return match (true) {
            str_ends_with($word, 'sses') => substr($word, 0, -2),
            str_ends_with($word, 'ied'), str_ends_with($word, 'ies') => substr($word, 0, \strlen($word) > 4 ? -2 : -1),
            str_ends_with($word, 'us'), str_ends_with($word, 'ss') => $word,
            default => preg_match('/[aeiouy].+s\z/', $word) === 1 ? substr($word, 0, -1) : $word,
        };
    }

    private static function step1b(string $word, int $r1): string
    {
        $ending = self::ending($word, 'eedly|ingly|edly|eed|ing|ed');
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));
        if ($ending === 'eed' || $ending === 'eedly') {
            return \strlen($stem) >= $r1 ? $stem . 'ee' : $word;
        }
        if ($ending === null || preg_match('/[aeiouy]/', $stem) !== 1) {
            return $word;
        }

        return match (true) {
            preg_match('/(?:at|bl|iz)\z/', $stem) === 1 => $stem . 'e',
            \in_array(substr($stem, -2), self::DOUBLES, true) => substr($stem, 0, -1),
            \strlen($stem) <= $r1 && self::endsShort($stem) => $stem . 'e',
            default => $stem,
        };
    }

    private static function step2(string $word, int $r1): string
    {
        $ending = self::ending($word, self::IN_STEP_2);
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));
        if ($ending === null || \strlen($stem) < $r1) {
            return $word;
        }

        return match ($ending) {
            'ogi' => str_ends_with($stem, 'l') ? $stem . 'og' : $word,
            'li' => preg_match('/[cdeghkmnrt]\z/', $stem) === 1 ? $stem : $word,
            default => $stem . self::STEP_2[$ending],
        };
    }

    private static function step3(string $word, int $r1, int $r2): string
    {
        $ending = self::ending($word, self::IN_STEP_3);
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));

        return $ending === null || \strlen($stem) < ($ending === 'ative' ? max($r1, $r2) : $r1) ? $word : $stem . self::STEP_3[$ending];
    }

    private static function step4(string $word, int $r2): string
    {
        $ending = self::ending($word, self::STEP_4);
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));

        return $ending === null || \strlen($stem) < $r2 || ($ending === 'ion' && preg_match('/[st]\z/', $stem) !== 1) ? $word : $stem;
    }

    private static function step5(string $word, int $r1, int $r2): string
    {
        $stem = substr($word, 0, -1);
        $goes = match (substr($word, -1)) {
            'e' => \strlen($stem) >= $r2 || (\strlen($stem) >= $r1 && !self::endsShort($stem)),
            'l' => \strlen($stem) >= $r2 && str_ends_with($stem, 'l'),
            default => false,
        };

        return $goes ? $stem : $word;
    }

    /** Whether a word ends in a short syllable. */
    private static function endsShort(string $word): bool
    {
        return preg_match('/(?:[^aeiouy][aeiouy][^aeiouywxY]|\A[aeiouy][^aeiouy])\z/', $word) === 1;
    }
}
