<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in Spanish: its words, and how dates, numbers and quotations are written. */
final class Spanish
{
    public const TABLE = [
        'words' => [
            'and' => 'y',
            'etAl' => 'et al.',
            'editor' => 'ed.',
            'editors' => 'eds.',
            'editorLong' => 'editor',
            'editorsLong' => 'editores',
            'editedBy' => 'editado por',
            'edBy' => 'ed.',
            'director' => 'director',
            'directors' => 'directores',
            'directorShort' => 'dir.',
            'directedBy' => 'Dirigida por',
            'in' => 'En',
            'inLow' => 'en',
            'noDate' => 's. f.',
            'page' => 'p.',
            'pages' => 'pp.',
            'edition' => '%s ed.',
            'volume' => 'vol.',
            'Volume' => 'Vol.',
            'issue' => 'n.º',
            'circa' => 'ca. ',
            'retrieved' => 'Recuperado el %s de',
            'accessed' => 'Consultado el %s',
            'accessedLow' => 'consultado el %s',
            'personal' => 'comunicación personal',
            'film' => 'Película',
            'interview' => 'Entrevista',
            'thesis' => 'Tesis',
            'noSource' => 'falta la fuente',
            'noTitle' => 'Sin título',
            'contents' => 'Índice',
            'figures' => 'Figuras',
            'glossary' => 'Glosario',
            'index' => 'Índice alfabético',
            'helped' => 'Algunas partes de este texto fueron esbozadas primero por un programa informático y después reescritas.',
            'references' => 'Referencias',
            'bibliography' => 'Bibliografía',
            'worksCited' => 'Obras citadas',
            'sources' => 'Referencias',
            'chapter' => 'Capítulo',
            'part' => 'Parte',
            'appendix' => 'Apéndice',
            'noSection' => 'falta la sección',
            'aboutWords' => 'unas %s palabras',
        ],
        'months' => [
            'enero', 'febrero', 'marzo', 'abril', 'mayo', 'junio',
            'julio', 'agosto', 'septiembre', 'octubre', 'noviembre', 'diciembre',
        ],
        'shortMonths' => [
            'ene.', 'feb.', 'mar.', 'abr.', 'may.', 'jun.',
            'jul.', 'ago.', 'sept.', 'oct.', 'nov.', 'dic.',
        ],
        'dates' => [
            'date' => '{day} de {month} de {year}',
            'dayFirst' => '{day} {month} {year}',
        ],
        'ordinal' => '%s.ª',
        'isEdition' => 'ed(?:ición)?',
        'quotes' => ['«', '»'],
        'babel' => 'spanish',
    ];
}
