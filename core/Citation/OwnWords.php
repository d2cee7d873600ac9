<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\Locale;
use Embrel\Language\Language;

/** Our own words of a language as a <locale> of the Citation Style Language, for the styles that are written here. */
final class OwnWords
{
    public static function locale(Language $language): string
    {
        $say = $language->say(...);
        $bare = static fn(string $word): string => trim(str_replace('%s', '', $say($word)));
        [$retrieved, $from] = explode('%s', $say('retrieved'), 2) + [1 => ''];
        $terms = [
            'and' => [['', $say('and')]],
            'et-al' => [['', $say('etAl')]],
            'editor' => [
                ['', $language->low('editorLong'), $language->low('editorsLong')],
                ['short', $say('editor'), $say('editors')],
                // The short one within a sentence.
                ['symbol', $language->low('editor'), $language->low('editors')],
                ['verb', $say('editedBy')],
                ['verb-short', $say('edBy')],
            ],
            'director' => [['', $say('director'), $say('directors')], ['short', $say('directorShort')], ['verb', $say('directedBy')]],
            'in' => [['', $say('inLow')]],
            'no date' => [['short', $say('noDate')]],
            'page' => [['short', $say('page'), $say('pages')]],
            'edition' => [['short', $bare('edition')]],
            'volume' => [['short', $say('volume')]],
            'issue' => [['short', $say('issue')]],
            'circa' => [['short', trim($say('circa'))]],
            'retrieved' => [['', trim($retrieved)]],
            // With the comma that stands before it in some languages.
            'from' => [['', rtrim($from)]],
            'accessed' => [['', $bare('accessed')], ['short', $bare('accessedLow')]],
            'personal-communication' => [['', $say('personal')]],
            'motion_picture' => [['', $say('film')]],
            // The short form stands within a sentence.
            'interview' => [['', $say('interview')], ['short', $language->low('interview')]],
            'thesis' => [['', $say('thesis')], ['short', $language->low('thesis')]],
            'page-range-delimiter' => [['', '–']],
        ];
        $out = '';
        foreach ($terms as $name => $forms) {
            foreach ($forms as $words) {
                $out .= self::term($name, ...$words);
            }
        }

        for ($month = 1; $month <= 12; ++$month) {
            $name = sprintf('month-%02d', $month);
            $out .= self::term($name, '', $language->month($month))
                . self::term($name, Locale::ALONE, $language->monthAlone($month))
                . self::term($name, 'short', $language->month($month, true));
        }
        $dates = self::date('text', $language, 'date', '') . self::date('numeric', $language, 'dayFirst', 'short');

        [$open, $close] = $language->quotes();
        $out .= self::term('open-quote', '', $open) . self::term('close-quote', '', $close);
        $within = $language->closesAfterStop() ? 'true' : 'false';
        $options = "<style-options punctuation-in-quote=\"{$within}\" limit-day-ordinals-to-day-1=\"true\"/>";

        return "<locale xmlns=\"http://purl.org/net/xbiblio/csl\" version=\"1.0\">{$options}{$dates}<terms>{$out}</terms></locale>";
    }

    /** A pattern such as {day}. {month} {year} as parts of a date. */
    private static function date(string $form, Language $language, string $pattern, string $month): string
    {
        preg_match_all('/\{(day|month|year)\}([^{]*)/', $language->pattern($pattern), $parts, PREG_SET_ORDER);
        $out = '';
        $forms = ['month' => $month, 'day' => $language->hasOrdinalFirst() ? 'ordinal' : ''];
        foreach ($parts as [, $name, $after]) {
            $own = ($forms[$name] ?? '') === '' ? '' : " form=\"{$forms[$name]}\"";
            $out .= "<date-part name=\"{$name}\"{$own} suffix=\"" . htmlspecialchars($after, ENT_XML1) . '"/>';
        }

        return "<date form=\"{$form}\">{$out}</date>";
    }

    private static function term(string $name, string $form, string $one, string $several = ''): string
    {
        [$one, $several] = [htmlspecialchars($one, ENT_XML1), htmlspecialchars($several, ENT_XML1)];

        return "<term name=\"{$name}\"" . ($form === '' ? '' : " form=\"{$form}\"") . '>'
            . ($several === '' ? $one : "<single>{$one}</single><multiple>{$several}</multiple>") . '</term>';
    }
}
