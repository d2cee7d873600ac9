<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** The styles that ship: their keys, which are the names of their files (resources/csl/styles), and how they are called. */
final class StyleTable
{
    /** Key → how it is called, what citations look like; ours first, then in the order of their names. */
    public const ALL = [
        'apa' => ['APA, 7th edition', CitedAs::AuthorDate],
        'mla' => ['MLA, 9th edition', CitedAs::Author],
        'chicago-dates' => ['Chicago, author and date', CitedAs::AuthorDate],
        'chicago-notes' => ['Chicago, footnotes', CitedAs::Notes],
        'numbered' => ['Numbers in brackets', CitedAs::Numbers],
        'associacao-brasileira-de-normas-tecnicas' => ['ABNT', CitedAs::AuthorDate],
        'academy-of-management-review' => ['Academy of Management', CitedAs::AuthorDate],
        'american-anthropological-association' => ['American Anthropological Association', CitedAs::AuthorDate],
        'american-chemical-society' => ['American Chemical Society', CitedAs::Numbers],
        'american-geophysical-union' => ['American Geophysical Union', CitedAs::AuthorDate],
        'american-institute-of-physics' => ['American Institute of Physics', CitedAs::Numbers],
        'american-journal-of-archaeology' => ['American Journal of Archaeology', CitedAs::Notes],
        'american-marketing-association' => ['American Marketing Association', CitedAs::AuthorDate],
        'american-medical-association' => ['American Medical Association', CitedAs::Numbers],
        'american-meteorological-society' => ['American Meteorological Society', CitedAs::AuthorDate],
        'american-physics-society' => ['American Physical Society', CitedAs::Numbers],
        'american-political-science-association' => ['American Political Science Association', CitedAs::AuthorDate],
        'american-society-of-civil-engineers' => ['American Society of Civil Engineers', CitedAs::AuthorDate],
        'american-society-of-mechanical-engineers' => ['American Society of Mechanical Engineers', CitedAs::Numbers],
        'american-sociological-association' => ['American Sociological Association', CitedAs::AuthorDate],
        'annual-reviews' => ['Annual Reviews', CitedAs::Numbers],
        'apa-6th-edition' => ['APA, 6th edition', CitedAs::AuthorDate],
        'association-for-computing-machinery' => ['Association for Computing Machinery', CitedAs::Numbers],
        'biomed-central' => ['BioMed Central', CitedAs::Numbers],
        'bluebook-law-review' => ['Bluebook, law reviews', CitedAs::Notes],
        'bmj' => ['BMJ', CitedAs::Numbers],
        'cambridge-university-press-author-date' => ['Cambridge University Press, author and date', CitedAs::AuthorDate],
        'cell' => ['Cell', CitedAs::Numbers],
        'chicago-fullnote-bibliography' => ['Chicago, full footnotes', CitedAs::Notes],
        'copernicus-publications' => ['Copernicus', CitedAs::AuthorDate],
        'council-of-science-editors-author-date' => ['Council of Science Editors, author and date', CitedAs::AuthorDate],
        'council-of-science-editors' => ['Council of Science Editors, numbers', CitedAs::Numbers],
        'deutsche-gesellschaft-fur-psychologie' => ['Deutsche Gesellschaft für Psychologie', CitedAs::AuthorDate],
        'din-1505-2' => ['DIN 1505-2', CitedAs::AuthorDate],
        'din-1505-2-alphanumeric' => ['DIN 1505-2, letters and years', CitedAs::Labels],
        'ecology' => ['Ecological Society of America', CitedAs::AuthorDate],
        'elsevier-harvard' => ['Elsevier, Harvard', CitedAs::AuthorDate],
        'elsevier-with-titles' => ['Elsevier, numbers with titles', CitedAs::Numbers],
        'elsevier-vancouver' => ['Elsevier, Vancouver', CitedAs::Numbers],
        'estuaries-and-coasts' => ['Estuaries and Coasts', CitedAs::AuthorDate],
        'frontiers' => ['Frontiers', CitedAs::AuthorDate],
        'generic-style-rules-for-linguistics' => ['Generic Style Rules for Linguistics', CitedAs::AuthorDate],
        'harvard-cite-them-right' => ['Harvard, Cite Them Right', CitedAs::AuthorDate],
        'harvard-imperial-college-london' => ['Harvard, Imperial College London', CitedAs::AuthorDate],
        'ieee' => ['IEEE', CitedAs::Numbers],
        'institute-of-physics-numeric' => ['Institute of Physics', CitedAs::Numbers],
        'iso690-author-date-fr' => ['ISO 690, auteur et date', CitedAs::AuthorDate],
        'iso690-author-date-en' => ['ISO 690, author and date', CitedAs::AuthorDate],
        'iso690-author-date-es' => ['ISO 690, autor y fecha', CitedAs::AuthorDate],
        'iso690-note-fr' => ['ISO 690, notes en bas de page', CitedAs::Notes],
        'iso690-numeric-en' => ['ISO 690, numbers', CitedAs::Numbers],
        'mcgill-en' => ['McGill Guide', CitedAs::Notes],
        'multidisciplinary-digital-publishing-institute' => ['MDPI', CitedAs::Numbers],
        'modern-humanities-research-association-author-date' => ['MHRA, author and date', CitedAs::AuthorDate],
        'modern-humanities-research-association' => ['MHRA, footnotes', CitedAs::Notes],
        'modern-language-association-8th-edition' => ['MLA, 8th edition', CitedAs::Author],
        'nature' => ['Nature', CitedAs::Numbers],
        'new-harts-rules-the-oxford-style-guide' => ['New Hart’s Rules', CitedAs::Notes],
        'norma-portuguesa-405' => ['Norma Portuguesa 405', CitedAs::AuthorDate],
        'oscola' => ['OSCOLA', CitedAs::Notes],
        'plos' => ['PLOS', CitedAs::Numbers],
        'pnas' => ['PNAS', CitedAs::Numbers],
        'royal-society-of-chemistry' => ['Royal Society of Chemistry', CitedAs::Numbers],
        'sage-harvard' => ['Sage, Harvard', CitedAs::AuthorDate],
        'sage-vancouver' => ['Sage, Vancouver', CitedAs::Numbers],
        'science' => ['Science', CitedAs::Numbers],
        'society-of-biblical-literature-fullnote-bibliography' => ['Society of Biblical Literature', CitedAs::Notes],
        'springer-basic-author-date' => ['Springer, author and date', CitedAs::AuthorDate],
        'springer-humanities-author-date' => ['Springer, humanities', CitedAs::AuthorDate],
        'springer-mathphys-brackets' => ['Springer, mathematics and physics', CitedAs::Numbers],
        'springer-basic-brackets' => ['Springer, numbers', CitedAs::Numbers],
        'springer-socpsych-author-date' => ['Springer, social sciences', CitedAs::AuthorDate],
        'springer-vancouver-brackets' => ['Springer, Vancouver', CitedAs::Numbers],
        'taylor-and-francis-chicago-author-date' => ['Taylor & Francis, author and date', CitedAs::AuthorDate],
        'taylor-and-francis-national-library-of-medicine' => ['Taylor & Francis, National Library of Medicine', CitedAs::Numbers],
        'the-lancet' => ['The Lancet', CitedAs::Numbers],
        'turabian-author-date' => ['Turabian, author and date', CitedAs::AuthorDate],
        'turabian-fullnote-bibliography' => ['Turabian, footnotes', CitedAs::Notes],
        'universita-di-bologna-lettere' => ['Università di Bologna, Lettere', CitedAs::Notes],
        'vancouver' => ['Vancouver', CitedAs::Numbers],
        'vancouver-superscript' => ['Vancouver, raised numbers', CitedAs::Numbers],
        'zeitschrift-fur-soziologie' => ['Zeitschrift für Soziologie', CitedAs::AuthorDate],
    ];
    /** The last part of an id in the standard's collection → the style of ours that stands for it. */
    private const STAND_FOR = [
        'modern-language-association' => 'mla',
        'chicago-author-date' => 'chicago-dates',
        'chicago-note-bibliography' => 'chicago-notes',
    ];

    /** The style that a dependent one names as what it follows; null: it does not ship. */
    public static function named(string $id): ?string
    {
        $name = substr((string) strrchr("/{$id}", '/'), 1);
        $key = self::STAND_FOR[$name] ?? $name;

        return isset(self::ALL[$key]) && $key !== Manual::Numbered->value ? $key : null;
    }
}
