<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in Dutch: its words, and how dates, numbers and quotations are written. */
final class Dutch
{
    public const TABLE = [
        'words' => [
            'and' => 'en',
            'etAl' => 'et al.',
            'editor' => 'red.',
            'editors' => 'red.',
            'editorLong' => 'red.',
            'editorsLong' => 'red.',
            'editedBy' => 'onder redactie van',
            'edBy' => 'red.',
            'director' => 'regisseur',
            'directors' => 'regisseurs',
            'directorShort' => 'reg.',
            'directedBy' => 'Geregisseerd door',
            'in' => 'In',
            'inLow' => 'in',
            'noDate' => 'z.d.',
            'page' => 'p.',
            'pages' => 'pp.',
            'edition' => '%s druk',
            'volume' => 'jrg.',
            'Volume' => 'Jrg.',
            'issue' => 'nr.',
            'circa' => 'ca. ',
            'retrieved' => 'Geraadpleegd op %s, van',
            'accessed' => 'Geraadpleegd op %s',
            'accessedLow' => 'geraadpleegd op %s',
            'personal' => 'persoonlijke mededeling',
            'film' => 'Film',
            'interview' => 'Interview',
            'thesis' => 'Proefschrift',
            'noSource' => 'bron ontbreekt',
            'noTitle' => 'Zonder titel',
            'contents' => 'Inhoud',
            'figures' => 'Figuren',
            'glossary' => 'Woordenlijst',
            'index' => 'Register',
            'helped' => 'Delen van deze tekst zijn eerst door een computerprogramma geschetst en daarna herschreven.',
            'references' => 'Referenties',
            'bibliography' => 'Bibliografie',
            'worksCited' => 'Geciteerde werken',
            'sources' => 'Referenties',
            'chapter' => 'Hoofdstuk',
            'part' => 'Deel',
            'appendix' => 'Bijlage',
            'noSection' => 'paragraaf ontbreekt',
            'aboutWords' => 'ongeveer %s woorden',
        ],
        'months' => [
            'januari', 'februari', 'maart', 'april', 'mei', 'juni',
            'juli', 'augustus', 'september', 'oktober', 'november', 'december',
        ],
        'shortMonths' => [
            'jan.', 'feb.', 'mrt.', 'apr.', 'mei', 'juni',
            'juli', 'aug.', 'sept.', 'okt.', 'nov.', 'dec.',
        ],
        'ordinal' => '%se',
        'isEdition' => 'dr(?:uk)?',
        'quotes' => ['“', '”'],
        'babel' => 'dutch',
    ];
}
