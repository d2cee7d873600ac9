<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in Italian: its words, and how dates, numbers and quotations are written. */
final class Italian
{
    public const TABLE = [
        'words' => [
            'and' => 'e',
            'etAl' => 'et al.',
            'editor' => 'a cura di',
            'editors' => 'a cura di',
            'editorLong' => 'a cura di',
            'editorsLong' => 'a cura di',
            'editedBy' => 'a cura di',
            'edBy' => 'a cura di',
            'director' => 'regista',
            'directors' => 'registi',
            'directorShort' => 'regia di',
            'directedBy' => 'Regia di',
            'in' => 'In',
            'inLow' => 'in',
            'noDate' => 's.d.',
            'page' => 'p.',
            'pages' => 'pp.',
            'edition' => '%s ed.',
            'volume' => 'vol.',
            'Volume' => 'Vol.',
            'issue' => 'n.',
            'circa' => 'ca. ',
            'retrieved' => 'Consultato il %s, da',
            'accessed' => 'Consultato il %s',
            'accessedLow' => 'consultato il %s',
            'personal' => 'comunicazione personale',
            'film' => 'Film',
            'interview' => 'Intervista',
            'thesis' => 'Tesi',
            'noSource' => 'fonte mancante',
            'noTitle' => 'Senza titolo',
            'contents' => 'Indice',
            'figures' => 'Figure',
            'glossary' => 'Glossario',
            'index' => 'Indice analitico',
            'helped' => 'Alcune parti di questo testo sono state abbozzate da un programma informatico e poi riscritte.',
            'references' => 'Riferimenti bibliografici',
            'bibliography' => 'Bibliografia',
            'worksCited' => 'Opere citate',
            'sources' => 'Riferimenti bibliografici',
            'chapter' => 'Capitolo',
            'part' => 'Parte',
            'appendix' => 'Appendice',
            'noSection' => 'sezione mancante',
            'aboutWords' => 'circa %s parole',
        ],
        'months' => [
            'gennaio', 'febbraio', 'marzo', 'aprile', 'maggio', 'giugno',
            'luglio', 'agosto', 'settembre', 'ottobre', 'novembre', 'dicembre',
        ],
        'shortMonths' => [
            'gen.', 'feb.', 'mar.', 'apr.', 'mag.', 'giu.',
            'lug.', 'ago.', 'set.', 'ott.', 'nov.', 'dic.',
        ],
        'first' => '1º',
        'ordinal' => '%sª',
        'isEdition' => 'ed(?:izione)?',
        'quotes' => ['«', '»'],
        'babel' => 'italian',
    ];
}
