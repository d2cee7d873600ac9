<?php

declare(strict_types=1);

namespace Embrel\Citation\Exchange;

use Embrel\Citation\Contributor;
use Embrel\Citation\Detail;
use Embrel\Citation\SourceKind;

/** The names of RIS. */
final class Ris
{
    /** TY → kind. The first of a kind is written; what has none is GEN, with its kind in C8. */
    public const KINDS = [
        'BOOK' => SourceKind::Book,
        'EDBOOK' => SourceKind::Book,
        'EBOOK' => SourceKind::Book,
        'CHAP' => SourceKind::Chapter,
        'ECHAP' => SourceKind::Chapter,
        'CPAPER' => SourceKind::Conference,
        'CONF' => SourceKind::Conference,
        'JOUR' => SourceKind::Article,
        'EJOUR' => SourceKind::Article,
        'INPR' => SourceKind::Article,
        'MGZN' => SourceKind::Magazine,
        'JFULL' => SourceKind::Periodical,
        'SER' => SourceKind::Periodical,
        'NEWS' => SourceKind::Newspaper,
        'ELEC' => SourceKind::WebPage,
        'WEB' => SourceKind::WebPage,
        'ICOMM' => SourceKind::WebPage,
        'BLOG' => SourceKind::BlogPost,
        'RPRT' => SourceKind::Report,
        'GOVDOC' => SourceKind::Report,
        'STAND' => SourceKind::Standard,
        'THES' => SourceKind::Thesis,
        'MPCT' => SourceKind::Film,
        'VIDEO' => SourceKind::Film,
        'ADVS' => SourceKind::Film,
        'SOUND' => SourceKind::Recording,
        'MUSIC' => SourceKind::Score,
        'DATA' => SourceKind::Dataset,
        'COMP' => SourceKind::Software,
        'PAT' => SourceKind::Patent,
        'ENCYC' => SourceKind::Encyclopedia,
        'DICT' => SourceKind::Dictionary,
        'DBASE' => SourceKind::Entry,
        'MAP' => SourceKind::Map,
        'ART' => SourceKind::Image,
        'FIGURE' => SourceKind::Figure,
        'SLIDE' => SourceKind::Talk,
        'PCOMM' => SourceKind::Letter,
        'MANSCPT' => SourceKind::Manuscript,
        'UNPB' => SourceKind::Manuscript,
        'PAMP' => SourceKind::Pamphlet,
        'CLSWK' => SourceKind::Classic,
        'ANCIENT' => SourceKind::Classic,
        'CASE' => SourceKind::Case,
        'STAT' => SourceKind::Statute,
        'BILL' => SourceKind::Bill,
        'LEGAL' => SourceKind::Regulation,
        'HEAR' => SourceKind::Hearing,
    ];
    public const KIND = 'C8';
    public const DETAILS = [
        'ST' => Detail::ShortTitle,
        'J2' => Detail::ShortContainer,
        'T3' => Detail::Series,
        'NV' => Detail::Volumes,
        'SE' => Detail::Section,
        'M3' => Detail::Genre,
        'RI' => Detail::ReviewedTitle,
        'CN' => Detail::CallNumber,
        'AV' => Detail::ArchiveLocation,
        'DP' => Detail::Archive,
        'DB' => Detail::Database,
        'KW' => Detail::Keywords,
        'AB' => Detail::Abstract,
        'N2' => Detail::Abstract,
        'C1' => Detail::Number,
        'C2' => Detail::Pmcid,
        'C3' => Detail::Event,
        'C4' => Detail::EventPlace,
        'C5' => Detail::Medium,
        'C6' => Detail::Authority,
        'C7' => Detail::SeriesNumber,
        'AN' => Detail::Pmid,
        'OP' => Detail::OriginalTitle,
    ];
    public const CONTRIBUTORS = [
        'A3' => Contributor::CollectionEditor,
        'A4' => Contributor::Translator,
        'TA' => Contributor::Translator,
    ];
}
