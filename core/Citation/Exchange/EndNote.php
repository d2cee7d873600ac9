<?php

declare(strict_types=1);

namespace Embrel\Citation\Exchange;

use Embrel\Citation\Contributor;
use Embrel\Citation\Detail;
use Embrel\Citation\SourceKind;

/** The names of EndNote XML. */
final class EndNote
{
    /** Name of a kind of record → its number, our kind. The first of a kind is written; what has none is generic: custom8 says what. */
    public const KINDS = [
        'Book' => [6, SourceKind::Book],
        'Edited Book' => [28, SourceKind::Book],
        'Electronic Book' => [44, SourceKind::Book],
        'Book Section' => [5, SourceKind::Chapter],
        'Electronic Book Section' => [60, SourceKind::Chapter],
        'Conference Paper' => [47, SourceKind::Conference],
        'Conference Proceedings' => [10, SourceKind::Conference],
        'Journal Article' => [17, SourceKind::Article],
        'Electronic Article' => [43, SourceKind::Article],
        'Magazine Article' => [19, SourceKind::Magazine],
        'Newspaper Article' => [23, SourceKind::Newspaper],
        'Serial' => [57, SourceKind::Periodical],
        'Web Page' => [12, SourceKind::WebPage],
        'Blog' => [56, SourceKind::BlogPost],
        'Discussion Forum' => [65, SourceKind::Post],
        'Report' => [27, SourceKind::Report],
        'Government Document' => [46, SourceKind::Report],
        'Standard' => [58, SourceKind::Standard],
        'Thesis' => [32, SourceKind::Thesis],
        'Film or Broadcast' => [21, SourceKind::Film],
        'Audiovisual Material' => [3, SourceKind::Film],
        'Podcast' => [63, SourceKind::Broadcast],
        'Music' => [61, SourceKind::Score],
        'Computer Program' => [9, SourceKind::Software],
        'Dataset' => [59, SourceKind::Dataset],
        'Patent' => [25, SourceKind::Patent],
        'Encyclopedia' => [53, SourceKind::Encyclopedia],
        'Dictionary' => [52, SourceKind::Dictionary],
        'Online Database' => [45, SourceKind::Entry],
        'Map' => [20, SourceKind::Map],
        'Artwork' => [2, SourceKind::Image],
        'Figure' => [37, SourceKind::Figure],
        'Interview' => [64, SourceKind::Interview],
        'Personal Communication' => [26, SourceKind::Letter],
        'Manuscript' => [36, SourceKind::Manuscript],
        'Unpublished Work' => [34, SourceKind::Manuscript],
        'Pamphlet' => [24, SourceKind::Pamphlet],
        'Classical Work' => [49, SourceKind::Classic],
        'Ancient Text' => [51, SourceKind::Classic],
        'Case' => [7, SourceKind::Case],
        'Statute' => [31, SourceKind::Statute],
        'Bill' => [4, SourceKind::Bill],
        'Legal Rule or Regulation' => [50, SourceKind::Regulation],
        'Hearing' => [18, SourceKind::Hearing],
        'Generic' => [13, SourceKind::Other],
    ];
    public const KIND = 'custom8';
    /** Path of an element → field of a source. */
    public const FIELDS = [
        'titles/title' => 'title',
        'titles/secondary-title' => 'container',
        'periodical/full-title' => 'container',
        'pages' => 'pages',
        'volume' => 'volume',
        'number' => 'issue',
        'edition' => 'edition',
        'pub-location' => 'place',
        'publisher' => 'publisher',
        'isbn' => 'isbn',
        'electronic-resource-num' => 'doi',
        'urls/related-urls/url' => 'url',
        'urls/web-urls/url' => 'url',
        'language' => 'language',
        'notes' => 'remark',
    ];
    public const DETAILS = [
        'titles/short-title' => Detail::ShortTitle,
        'titles/alt-title' => Detail::ShortContainer,
        'periodical/abbr-1' => Detail::ShortContainer,
        'titles/tertiary-title' => Detail::Series,
        'num-vols' => Detail::Volumes,
        'section' => Detail::Section,
        'work-type' => Detail::Genre,
        'reviewed-item' => Detail::ReviewedTitle,
        'orig-pub' => Detail::OriginalTitle,
        'call-num' => Detail::CallNumber,
        'remote-database-name' => Detail::Database,
        'remote-database-provider' => Detail::Archive,
        'accession-num' => Detail::Pmid,
        'abstract' => Detail::Abstract,
        'research-notes' => Detail::Note,
        'keywords/keyword' => Detail::Keywords,
        'label' => Detail::CitationLabel,
        'custom1' => Detail::Number,
        'custom2' => Detail::Pmcid,
        'custom3' => Detail::Event,
        'custom4' => Detail::EventPlace,
        'custom5' => Detail::Medium,
        'custom6' => Detail::Authority,
        'custom7' => Detail::SeriesNumber,
    ];
    public const CONTRIBUTORS = [
        'tertiary-authors' => Contributor::CollectionEditor,
        'subsidiary-authors' => Contributor::Contributor,
        'translated-authors' => Contributor::Translator,
    ];
}
