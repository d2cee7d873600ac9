<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in Polish: its words, and how dates, numbers and quotations are written. */
final class Polish
{
    public const TABLE = [
        'words' => [
            'and' => 'i',
            'etAl' => 'i in.',
            'editor' => 'red.',
            'editors' => 'red.',
            'editorLong' => 'red.',
            'editorsLong' => 'red.',
            'editedBy' => 'pod redakcją',
            'edBy' => 'red.',
            'director' => 'reż.',
            'directors' => 'reż.',
            'directorShort' => 'reż.',
            'directedBy' => 'Reżyseria',
            'in' => 'W',
            'inLow' => 'w',
            'noDate' => 'b.d.',
            'page' => 's.',
            'pages' => 's.',
            'edition' => 'wyd. %s',
            'volume' => 't.',
            'Volume' => 'T.',
            'issue' => 'nr',
            'circa' => 'ok. ',
            'retrieved' => 'Pobrano %s z',
            'accessed' => 'Dostęp %s',
            'accessedLow' => 'dostęp %s',
            'personal' => 'komunikacja osobista',
            'film' => 'Film',
            'interview' => 'Wywiad',
            'thesis' => 'Praca dyplomowa',
            'noSource' => 'brak źródła',
            'noTitle' => 'Bez tytułu',
            'contents' => 'Spis treści',
            'figures' => 'Rysunki',
            'glossary' => 'Słowniczek',
            'index' => 'Indeks',
            'helped' => 'Części tego tekstu naszkicował najpierw program komputerowy, a potem zostały napisane na nowo.',
            'references' => 'Bibliografia',
            'bibliography' => 'Bibliografia',
            'worksCited' => 'Cytowane prace',
            'sources' => 'Bibliografia',
            'chapter' => 'Rozdział',
            'part' => 'Część',
            'appendix' => 'Aneks',
            'noSection' => 'brak rozdziału',
            'aboutWords' => 'około %s słów',
        ],
        'months' => [
            'stycznia', 'lutego', 'marca', 'kwietnia', 'maja', 'czerwca',
            'lipca', 'sierpnia', 'września', 'października', 'listopada', 'grudnia',
        ],
        'monthsAlone' => [
            'styczeń', 'luty', 'marzec', 'kwiecień', 'maj', 'czerwiec',
            'lipiec', 'sierpień', 'wrzesień', 'październik', 'listopad', 'grudzień',
        ],
        'shortMonths' => [
            'sty.', 'lut.', 'mar.', 'kwi.', 'maj', 'cze.',
            'lip.', 'sie.', 'wrz.', 'paź.', 'lis.', 'gru.',
        ],
        'ordinal' => '%s',
        'isEdition' => 'wyd(?:anie)?',
        'quotes' => ['„', '”'],
        'thousands' => ' ',
        'babel' => 'polish',
    ];
}
