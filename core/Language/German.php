<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in German: its words, and how dates, numbers and quotations are written. */
final class German
{
    public const TABLE = [
        'words' => [
            'and' => 'und',
            'etAl' => 'et al.',
            'editor' => 'Hrsg.',
            'editors' => 'Hrsg.',
            'editorLong' => 'Hrsg.',
            'editorsLong' => 'Hrsg.',
            'editedBy' => 'herausgegeben von',
            'edBy' => 'hrsg. von',
            'director' => 'Regie',
            'directors' => 'Regie',
            'directorShort' => 'Regie',
            'directedBy' => 'Regie:',
            'in' => 'In',
            'inLow' => 'in',
            'noDate' => 'o. J.',
            'page' => 'S.',
            'pages' => 'S.',
            'edition' => '%s Aufl.',
            'volume' => 'Bd.',
            'Volume' => 'Bd.',
            'issue' => 'Nr.',
            'circa' => 'ca. ',
            'retrieved' => 'Abgerufen am %s von',
            'accessed' => 'Zugriff am %s',
            'accessedLow' => 'Zugriff am %s',
            'personal' => 'persönliche Mitteilung',
            'film' => 'Film',
            'interview' => 'Interview',
            'thesis' => 'Abschlussarbeit',
            'noSource' => 'Quelle fehlt',
            'noTitle' => 'Ohne Titel',
            'contents' => 'Inhalt',
            'figures' => 'Abbildungen',
            'glossary' => 'Glossar',
            'index' => 'Register',
            'helped' => 'Teile dieses Textes hat zuerst ein Computerprogramm als Hilfe von außen entworfen; danach wurden sie neu geschrieben.',
            'references' => 'Literatur',
            'bibliography' => 'Literaturverzeichnis',
            'worksCited' => 'Zitierte Werke',
            'sources' => 'Quellen',
            'chapter' => 'Kapitel',
            'part' => 'Teil',
            'appendix' => 'Anhang',
            'noSection' => 'Abschnitt fehlt',
            'aboutWords' => 'etwa %s Wörter',
        ],
        'months' => [
            'Januar', 'Februar', 'März', 'April', 'Mai', 'Juni',
            'Juli', 'August', 'September', 'Oktober', 'November', 'Dezember',
        ],
        'shortMonths' => [
            'Jan.', 'Feb.', 'März', 'Apr.', 'Mai', 'Juni',
            'Juli', 'Aug.', 'Sept.', 'Okt.', 'Nov.', 'Dez.',
        ],
        'dates' => [
            'date' => '{day}. {month} {year}',
            'dayFirst' => '{day}. {month} {year}',
        ],
        'ordinal' => '%s.',
        'isEdition' => 'Aufl(?:age)?',
        'quotes' => ['„', '“'],
        'nounsKeepCapitals' => true,
        'babel' => 'ngerman',
    ];
}
