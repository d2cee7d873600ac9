<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in English: its words, and how dates, numbers and quotations are written. */
final class English
{
    public const TABLE = [
        'words' => [
            'and' => 'and',
            'etAl' => 'et al.',
            'editor' => 'Ed.',
            'editors' => 'Eds.',
            'editorLong' => 'editor',
            'editorsLong' => 'editors',
            'editedBy' => 'edited by',
            'edBy' => 'ed.',
            'director' => 'Director',
            'directors' => 'Directors',
            'directorShort' => 'dir.',
            'directedBy' => 'Directed by',
            'in' => 'In',
            'inLow' => 'in',
            'noDate' => 'n.d.',
            'page' => 'p.',
            'pages' => 'pp.',
            'edition' => '%s ed.',
            'volume' => 'vol.',
            'Volume' => 'Vol.',
            'issue' => 'no.',
            'circa' => 'ca. ',
            'retrieved' => 'Retrieved %s, from',
            'accessed' => 'Accessed %s',
            'accessedLow' => 'accessed %s',
            'personal' => 'personal communication',
            'film' => 'Film',
            'interview' => 'Interview',
            'thesis' => 'Thesis',
            'noSource' => 'source missing',
            'noTitle' => 'Untitled',
            'contents' => 'Contents',
            'figures' => 'Figures',
            'glossary' => 'Glossary',
            'index' => 'Index',
            'helped' => 'Parts of this text were first drafted with a helper from outside, a computer program, and then rewritten.',
            'references' => 'References',
            'bibliography' => 'Bibliography',
            'worksCited' => 'Works Cited',
            'sources' => 'References',
            'chapter' => 'Chapter',
            'part' => 'Part',
            'appendix' => 'Appendix',
            'noSection' => 'section missing',
            'aboutWords' => 'about %s words',
        ],
        'months' => [
            'January', 'February', 'March', 'April', 'May', 'June',
            'July', 'August', 'September', 'October', 'November', 'December',
        ],
        'shortMonths' => [
            'Jan.', 'Feb.', 'Mar.', 'Apr.', 'May', 'June',
            'July', 'Aug.', 'Sept.', 'Oct.', 'Nov.', 'Dec.',
        ],
        'dates' => [
            'date' => '{month} {day}, {year}',
            'dayFirst' => '{day} {month} {year}',
        ],
        'ordinal' => '%s',
        'isEdition' => 'ed',
        'quotes' => ['“', '”'],
        'closesAfterStop' => true,
        'thousands' => ',',
        'babel' => 'english',
    ];

    /** 1st, 2nd, 11th. */
    public static function ordinal(int $n): string
    {
        return $n . ($n % 100 >= 11 && $n % 100 <= 13 ? 'th' : ['th', 'st', 'nd', 'rd'][$n % 10] ?? 'th');
    }
}
