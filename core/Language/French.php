<?php

declare(strict_types=1);

namespace Embrel\Language;

/** What is handed over in French: its words, and how dates, numbers and quotations are written. */
final class French
{
    public const TABLE = [
        'words' => [
            'and' => 'et',
            'etAl' => 'et al.',
            'editor' => 'éd.',
            'editors' => 'éds.',
            'editorLong' => 'éd.',
            'editorsLong' => 'éds.',
            'editedBy' => 'édité par',
            'edBy' => 'éd.',
            'director' => 'réal.',
            'directors' => 'réal.',
            'directorShort' => 'réal.',
            'directedBy' => 'Réalisé par',
            'in' => 'Dans',
            'inLow' => 'dans',
            'noDate' => 's. d.',
            'page' => 'p.',
            'pages' => 'p.',
            'edition' => '%s éd.',
            'volume' => 'vol.',
            'Volume' => 'Vol.',
            'issue' => 'nᵒ',
            'circa' => 'ca ',
            'retrieved' => 'Consulté le %s, à l’adresse',
            'accessed' => 'Consulté le %s',
            'accessedLow' => 'consulté le %s',
            'personal' => 'communication personnelle',
            'film' => 'Film',
            'interview' => 'Entretien',
            'thesis' => 'Thèse',
            'noSource' => 'source manquante',
            'noTitle' => 'Sans titre',
            'contents' => 'Table des matières',
            'figures' => 'Figures',
            'glossary' => 'Glossaire',
            'index' => 'Index',
            'helped' => 'Certaines parties de ce texte ont d’abord été ébauchées par un programme informatique, puis réécrites.',
            'references' => 'Références',
            'bibliography' => 'Bibliographie',
            'worksCited' => 'Ouvrages cités',
            'sources' => 'Références',
            'chapter' => 'Chapitre',
            'part' => 'Partie',
            'appendix' => 'Annexe',
            'noSection' => 'section manquante',
            'aboutWords' => 'environ %s mots',
        ],
        'months' => [
            'janvier', 'février', 'mars', 'avril', 'mai', 'juin',
            'juillet', 'août', 'septembre', 'octobre', 'novembre', 'décembre',
        ],
        'shortMonths' => [
            'janv.', 'févr.', 'mars', 'avr.', 'mai', 'juin',
            'juill.', 'août', 'sept.', 'oct.', 'nov.', 'déc.',
        ],
        'first' => '1er',
        'ordinal' => '%se',
        'isEdition' => 'éd(?:ition)?',
        'quotes' => ['« ', ' »'],
        'thousands' => ' ',
        'babel' => 'french',
    ];
}
