<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** What is said of a source beside the fields that most have; the value is the standard's name of it. */
enum Detail: string
{
    case ShortTitle = 'title-short';
    case ShortContainer = 'container-title-short';
    case Series = 'collection-title';
    case SeriesNumber = 'collection-number';
    case Volumes = 'number-of-volumes';
    case VolumeTitle = 'volume-title';
    case Part = 'part-number';
    case PartTitle = 'part-title';
    case Chapter = 'chapter-number';
    case Section = 'section';
    case Supplement = 'supplement-number';
    case Printing = 'printing-number';
    case PageCount = 'number-of-pages';
    case Number = 'number';
    case Version = 'version';
    case Genre = 'genre';
    case Medium = 'medium';
    case Event = 'event-title';
    case EventPlace = 'event-place';
    case EventDate = 'event-date';
    case OriginalTitle = 'original-title';
    case OriginalDate = 'original-date';
    case OriginalPublisher = 'original-publisher';
    case OriginalPlace = 'original-publisher-place';
    case ReviewedTitle = 'reviewed-title';
    case ReviewedGenre = 'reviewed-genre';
    case Archive = 'archive';
    case ArchiveCollection = 'archive_collection';
    case ArchiveLocation = 'archive_location';
    case ArchivePlace = 'archive-place';
    case CallNumber = 'call-number';
    case Authority = 'authority';
    case Jurisdiction = 'jurisdiction';
    case Division = 'division';
    case References = 'references';
    case Status = 'status';
    case Submitted = 'submitted';
    case Available = 'available-date';
    case Scale = 'scale';
    case Dimensions = 'dimensions';
    case Database = 'source';
    case Issn = 'ISSN';
    case Pmid = 'PMID';
    case Pmcid = 'PMCID';
    case Keywords = 'keyword';
    case Abstract = 'abstract';
    case Note = 'annote';
    case CitationKey = 'citation-key';
    case CitationLabel = 'citation-label';

    public function isDate(): bool
    {
        return match ($this) {
            self::EventDate, self::OriginalDate, self::Submitted, self::Available => true,
            default => false,
        };
    }

    /** Whether it may have lines. */
    public function isLong(): bool
    {
        return $this === self::Abstract || $this === self::Note;
    }

    public function label(): string
    {
        return match ($this) {
            self::ShortTitle => 'Short title',
            self::ShortContainer => 'Short title of the whole',
            self::Series => 'Series',
            self::SeriesNumber => 'Number in the series',
            self::Volumes => 'Number of volumes',
            self::VolumeTitle => 'Title of the volume',
            self::Part => 'Part',
            self::PartTitle => 'Title of the part',
            self::Chapter => 'Chapter',
            self::Section => 'Section',
            self::Supplement => 'Supplement',
            self::Printing => 'Printing',
            self::PageCount => 'Number of pages',
            self::Number => 'Number',
            self::Version => 'Version',
            self::Genre => 'What it is',
            self::Medium => 'Medium',
            self::Event => 'Event',
            self::EventPlace => 'Place of the event',
            self::EventDate => 'Held on',
            self::OriginalTitle => 'Original title',
            self::OriginalDate => 'First published',
            self::OriginalPublisher => 'Publisher of the original',
            self::OriginalPlace => 'Place of the original',
            self::ReviewedTitle => 'Title of what is reviewed',
            self::ReviewedGenre => 'What is reviewed',
            self::Archive => 'Archive',
            self::ArchiveCollection => 'Collection in the archive',
            self::ArchiveLocation => 'Place in the archive',
            self::ArchivePlace => 'Place of the archive',
            self::CallNumber => 'Call number',
            self::Authority => 'Court or authority',
            self::Jurisdiction => 'Jurisdiction',
            self::Division => 'Division',
            self::References => 'Related documents',
            self::Status => 'Status',
            self::Submitted => 'Submitted on',
            self::Available => 'Available from',
            self::Scale => 'Scale',
            self::Dimensions => 'Length or size',
            self::Database => 'Database or catalogue',
            self::Issn => 'ISSN',
            self::Pmid => 'PubMed number',
            self::Pmcid => 'PubMed Central number',
            self::Keywords => 'Keywords',
            self::Abstract => 'Abstract',
            self::Note => 'Comment for the list',
            self::CitationKey => 'Key in other programs',
            self::CitationLabel => 'Label',
        };
    }

    public function hint(): string
    {
        return match ($this) {
            self::Genre => 'doctoral thesis, podcast, white paper',
            self::Medium => 'DVD, oil on canvas',
            self::Dimensions => '1 h 20 min, 30 × 40 cm',
            self::Scale => '1:25 000',
            self::OriginalDate, self::EventDate, self::Submitted, self::Available => '1994, c. 1890, 3 May 2024',
            default => '',
        };
    }
}
