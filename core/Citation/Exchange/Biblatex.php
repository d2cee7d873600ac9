<?php

declare(strict_types=1);

namespace Embrel\Citation\Exchange;

use Embrel\Citation\Contributor;
use Embrel\Citation\Detail;
use Embrel\Citation\SourceKind;

/** The names of BibTeX and BibLaTeX: those of BibLaTeX’s manual, and of BibTeX where it has its own. */
final class Biblatex
{
    /** Type of an entry → kind. The first of a kind is written in BibLaTeX. */
    public const KINDS = [
        'book' => SourceKind::Book,
        'mvbook' => SourceKind::Book,
        'collection' => SourceKind::Book,
        'mvcollection' => SourceKind::Book,
        'proceedings' => SourceKind::Book,
        'reference' => SourceKind::Book,
        'booklet' => SourceKind::Pamphlet,
        'incollection' => SourceKind::Chapter,
        'inbook' => SourceKind::Chapter,
        'suppbook' => SourceKind::Chapter,
        'inreference' => SourceKind::Encyclopedia,
        'inproceedings' => SourceKind::Conference,
        'conference' => SourceKind::Conference,
        'article' => SourceKind::Article,
        'suppperiodical' => SourceKind::Article,
        'periodical' => SourceKind::Periodical,
        'review' => SourceKind::Review,
        'online' => SourceKind::WebPage,
        'electronic' => SourceKind::WebPage,
        'www' => SourceKind::WebPage,
        'report' => SourceKind::Report,
        'techreport' => SourceKind::Report,
        'manual' => SourceKind::Report,
        'thesis' => SourceKind::Thesis,
        'phdthesis' => SourceKind::Thesis,
        'mastersthesis' => SourceKind::Thesis,
        'movie' => SourceKind::Film,
        'video' => SourceKind::Film,
        'audio' => SourceKind::Recording,
        'music' => SourceKind::Score,
        'performance' => SourceKind::Performance,
        'artwork' => SourceKind::Image,
        'image' => SourceKind::Figure,
        'dataset' => SourceKind::Dataset,
        'software' => SourceKind::Software,
        'patent' => SourceKind::Patent,
        'standard' => SourceKind::Standard,
        'letter' => SourceKind::Letter,
        'unpublished' => SourceKind::Manuscript,
        'jurisdiction' => SourceKind::Case,
        'legislation' => SourceKind::Statute,
        'legal' => SourceKind::Treaty,
    ];
    /** Kinds that are written as another type, with what they are in `entrysubtype`. */
    public const WITHIN = [
        'article' => [SourceKind::Newspaper, SourceKind::Magazine],
        'online' => [SourceKind::BlogPost, SourceKind::Post, SourceKind::Preprint],
        'inreference' => [SourceKind::Dictionary, SourceKind::Entry],
        'review' => [SourceKind::BookReview],
        'legislation' => [SourceKind::Bill, SourceKind::Regulation, SourceKind::Hearing],
        'book' => [SourceKind::Classic],
    ];
    public const SUBTYPE = 'entrysubtype';
    public const DETAILS = [
        'shorttitle' => Detail::ShortTitle,
        'shortjournal' => Detail::ShortContainer,
        'series' => Detail::Series,
        'volumes' => Detail::Volumes,
        'part' => Detail::Part,
        'chapter' => Detail::Chapter,
        'pagetotal' => Detail::PageCount,
        'version' => Detail::Version,
        'type' => Detail::Genre,
        // Beside “number”, which of an article is its issue.
        'docnumber' => Detail::Number,
        'eventtitle' => Detail::Event,
        'venue' => Detail::EventPlace,
        'eventdate' => Detail::EventDate,
        'origtitle' => Detail::OriginalTitle,
        'origdate' => Detail::OriginalDate,
        'origpublisher' => Detail::OriginalPublisher,
        'origlocation' => Detail::OriginalPlace,
        'library' => Detail::Archive,
        'pubstate' => Detail::Status,
        'issn' => Detail::Issn,
        'keywords' => Detail::Keywords,
        'abstract' => Detail::Abstract,
        'annotation' => Detail::Note,
    ];
    public const CONTRIBUTORS = [
        'translator' => Contributor::Translator,
        'bookauthor' => Contributor::ContainerAuthor,
    ];

    /** @return array<string, Detail> those for which there is no name keep that of the Citation Style Language */
    public static function details(): array
    {
        $own = array_map(static fn(Detail $one): string => $one->value, self::DETAILS);
        $rest = array_filter(Detail::cases(), static fn(Detail $one): bool => !\in_array($one->value, $own, true));

        return self::DETAILS + array_combine(array_map(static fn(Detail $one): string => strtolower($one->value), $rest), $rest);
    }

    /** @return array<string, Contributor> */
    public static function contributors(): array
    {
        $own = array_map(static fn(Contributor $one): string => $one->value, self::CONTRIBUTORS);
        $rest = array_filter(Contributor::cases(), static fn(Contributor $one): bool => !\in_array($one->value, $own, true));

        return self::CONTRIBUTORS + array_combine(array_map(static fn(Contributor $one): string => $one->value, $rest), $rest);
    }
}
