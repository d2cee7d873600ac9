<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in Portuguese: its words, and how dates, numbers and quotations are written. */
final class Portuguese
{
    public const TABLE = [
        'words' => [
            'and' => 'e',
            'etAl' => 'et al.',
            'editor' => 'Ed.',
            'editors' => 'Eds.',
            'editorLong' => 'organizador',
            'editorsLong' => 'organizadores',
            'editedBy' => 'organizado por',
            'edBy' => 'org.',
            'director' => 'diretor',
            'directors' => 'diretores',
            'directorShort' => 'dir.',
            'directedBy' => 'Direção de',
            'in' => 'Em',
            'inLow' => 'em',
            'noDate' => 's.d.',
            'page' => 'p.',
            'pages' => 'pp.',
            'edition' => '%s ed.',
            'volume' => 'vol.',
            'Volume' => 'Vol.',
            'issue' => 'n.º',
            'circa' => 'ca. ',
            'retrieved' => 'Recuperado em %s, de',
            'accessed' => 'Acesso em %s',
            'accessedLow' => 'acesso em %s',
            'personal' => 'comunicação pessoal',
            'film' => 'Filme',
            'interview' => 'Entrevista',
            'thesis' => 'Tese',
            'noSource' => 'fonte em falta',
            'noTitle' => 'Sem título',
            'contents' => 'Índice',
            'figures' => 'Figuras',
            'glossary' => 'Glossário',
            'index' => 'Índice remissivo',
            'helped' => 'Partes deste texto foram primeiro esboçadas por um programa de computador e depois reescritas.',
            'references' => 'Referências',
            'bibliography' => 'Bibliografia',
            'worksCited' => 'Obras citadas',
            'sources' => 'Referências',
            'chapter' => 'Capítulo',
            'part' => 'Parte',
            'appendix' => 'Apêndice',
            'noSection' => 'secção em falta',
            'aboutWords' => 'cerca de %s palavras',
        ],
        'months' => [
            'janeiro', 'fevereiro', 'março', 'abril', 'maio', 'junho',
            'julho', 'agosto', 'setembro', 'outubro', 'novembro', 'dezembro',
        ],
        'shortMonths' => [
            'jan.', 'fev.', 'mar.', 'abr.', 'maio', 'jun.',
            'jul.', 'ago.', 'set.', 'out.', 'nov.', 'dez.',
        ],
        'dates' => [
            'date' => '{day} de {month} de {year}',
            'dayFirst' => '{day} {month} {year}',
        ],
        'ordinal' => '%s.ª',
        'isEdition' => 'ed(?:ição)?',
        'quotes' => ['“', '”'],
        'babel' => 'portuguese',
    ];
}
