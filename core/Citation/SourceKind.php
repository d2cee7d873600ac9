<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** What a source is: it decides which fields it has and how a reference list sets them. All types of the standard are among them. */
enum SourceKind: string
{
    case Book = 'book';
    case Chapter = 'chapter';
    case Article = 'article';
    case Newspaper = 'newspaper';
    case Magazine = 'article-magazine';
    case WebPage = 'web';
    case BlogPost = 'post-weblog';
    case Post = 'post';
    case Report = 'report';
    case Thesis = 'thesis';
    case Conference = 'paper-conference';
    case Preprint = 'preprint';
    case Talk = 'speech';
    case Dataset = 'dataset';
    case Software = 'software';
    case Standard = 'standard';
    case Patent = 'patent';
    case Encyclopedia = 'entry-encyclopedia';
    case Dictionary = 'entry-dictionary';
    case Entry = 'entry';
    case Film = 'film';
    case Broadcast = 'broadcast';
    case Recording = 'song';
    case Score = 'musical_score';
    case Performance = 'performance';
    case Image = 'graphic';
    case Figure = 'figure';
    case Map = 'map';
    case Interview = 'interview';
    case Letter = 'personal_communication';
    case Manuscript = 'manuscript';
    case ArchiveCollection = 'collection';
    case Pamphlet = 'pamphlet';
    case Classic = 'classic';
    case Periodical = 'periodical';
    case Review = 'review';
    case BookReview = 'review-book';
    case Case = 'legal_case';
    case Statute = 'legislation';
    case Bill = 'bill';
    case Regulation = 'regulation';
    case Treaty = 'treaty';
    case Hearing = 'hearing';
    case Event = 'event';
    case Other = 'other';

    /** The standard's word for it. */
    public function type(): string
    {
        return match ($this) {
            self::Article => 'article-journal',
            self::Newspaper => 'article-newspaper',
            self::WebPage => 'webpage',
            self::Preprint => 'article',
            self::Film => 'motion_picture',
            self::Other => 'document',
            default => $this->value,
        };
    }

    public static function ofType(string $type): ?self
    {
        foreach (self::cases() as $kind) {
            if ($kind->type() === $type) {
                return $kind;
            }
        }

        return null;
    }

    /** The one of the ten kinds that the manuals of our own styles speak of, which it is printed as there. */
    public function plain(): self
    {
        return match ($this) {
            self::Book, self::Chapter, self::Article, self::Newspaper, self::WebPage, self::Report, self::Thesis, self::Film,
            self::Interview, self::Other => $this,
            self::Magazine => self::Newspaper,
            self::Review, self::BookReview => self::Article,
            self::Conference, self::Encyclopedia, self::Dictionary, self::Entry => self::Chapter,
            self::BlogPost, self::Post => self::WebPage,
            self::Broadcast => self::Film,
            self::Letter => self::Interview,
            self::Standard, self::Preprint, self::Patent => self::Report,
            self::Pamphlet, self::Classic, self::Score => self::Book,
            default => self::Other,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Book => 'Book',
            self::Chapter => 'Chapter of a book',
            self::Article => 'Article',
            self::Newspaper => 'Newspaper article',
            self::Magazine => 'Magazine article',
            self::WebPage => 'Web page',
            self::BlogPost => 'Post on a blog',
            self::Post => 'Post in a forum or network',
            self::Report => 'Report',
            self::Thesis => 'Thesis',
            self::Conference => 'Conference paper',
            self::Preprint => 'Preprint',
            self::Talk => 'Talk',
            self::Dataset => 'Dataset',
            self::Software => 'Software',
            self::Standard => 'Standard',
            self::Patent => 'Patent',
            self::Encyclopedia => 'Entry in an encyclopedia',
            self::Dictionary => 'Entry in a dictionary',
            self::Entry => 'Entry in a database',
            self::Film => 'Film',
            self::Broadcast => 'Broadcast or podcast',
            self::Recording => 'Recording',
            self::Score => 'Score',
            self::Performance => 'Performance',
            self::Image => 'Image',
            self::Figure => 'Figure',
            self::Map => 'Map',
            self::Interview => 'Interview',
            self::Letter => 'Letter or message',
            self::Manuscript => 'Manuscript',
            self::ArchiveCollection => 'Collection in an archive',
            self::Pamphlet => 'Pamphlet',
            self::Classic => 'Classical work',
            self::Periodical => 'Periodical as a whole',
            self::Review => 'Review',
            self::BookReview => 'Review of a book',
            self::Case => 'Court case',
            self::Statute => 'Statute',
            self::Bill => 'Bill',
            self::Regulation => 'Regulation',
            self::Treaty => 'Treaty',
            self::Hearing => 'Hearing',
            self::Event => 'Event',
            self::Other => 'Other',
        };
    }

    /** With which others it is offered. */
    public function group(): string
    {
        return match ($this) {
            self::Book, self::Chapter, self::Encyclopedia, self::Dictionary, self::Entry, self::Pamphlet, self::Classic => 'Books',
            self::Article, self::Newspaper, self::Magazine, self::Review, self::BookReview, self::Periodical => 'Periodicals',
            self::WebPage, self::BlogPost, self::Post => 'The web',
            self::Report, self::Thesis, self::Conference, self::Preprint, self::Talk, self::Dataset, self::Software, self::Standard,
            self::Patent => 'Research',
            self::Film, self::Broadcast, self::Recording, self::Score, self::Performance, self::Image, self::Figure,
            self::Map => 'Sound and picture',
            self::Interview, self::Letter, self::Manuscript, self::ArchiveCollection => 'People and archives',
            self::Case, self::Statute, self::Bill, self::Regulation, self::Treaty, self::Hearing => 'Law',
            self::Event, self::Other => 'Other',
        };
    }

    /** Whether it stands within something larger, so that its title is quoted and the larger one's italic. */
    public function isPart(): bool
    {
        return match ($this->plain()) {
            self::Chapter, self::Article, self::Newspaper => true,
            default => false,
        };
    }

    /** @return list<string> the fields of Source that a writer is offered for it, beside title, people and date */
    public function fields(): array
    {
        $own = match ($this) {
            self::Book, self::Pamphlet, self::Classic, self::Score => ['editors', 'publisher', 'place', 'edition', 'volume', 'isbn'],
            self::Chapter, self::Conference, self::Encyclopedia, self::Dictionary
                => ['editors', 'container', 'pages', 'publisher', 'place', 'edition', 'volume', 'isbn'],
            self::Article, self::Review, self::BookReview => ['container', 'volume', 'issue', 'pages'],
            self::Newspaper => ['container', 'pages', 'edition'],
            self::Magazine => ['container', 'volume', 'issue', 'pages'],
            self::WebPage, self::BlogPost, self::Post => ['container', 'publisher'],
            self::Report => ['editors', 'publisher', 'place', 'issue'],
            self::Thesis, self::Film => ['publisher', 'place'],
            self::Interview => ['container', 'publisher'],
            self::Letter, self::Event => ['place'],
            self::Broadcast, self::Recording => ['container', 'publisher', 'place', 'volume', 'issue'],
            self::Dataset, self::Software, self::Preprint, self::Entry, self::Standard, self::Talk => ['container', 'publisher', 'place'],
            self::Case => ['container', 'volume', 'pages'],
            self::Statute, self::Bill, self::Regulation, self::Treaty, self::Hearing => ['container', 'volume', 'pages', 'publisher'],
            self::Periodical => ['editors', 'publisher', 'place', 'volume', 'issue'],
            self::Patent, self::Map, self::Image, self::Figure, self::Manuscript, self::ArchiveCollection, self::Performance
                => ['container', 'publisher', 'place'],
            self::Other => ['editors', 'container', 'publisher', 'place', 'edition', 'volume', 'issue', 'pages', 'isbn'],
        };

        return [...$own, 'url', 'accessed', 'doi', 'language', 'capitals', 'remark'];
    }

    /** @return list<Contributor> whom a writer is offered for it, beside authors and editors */
    public function contributors(): array
    {
        return match ($this) {
            self::Book, self::Pamphlet, self::Classic => [Contributor::Translator, Contributor::Illustrator, Contributor::CollectionEditor],
            self::Chapter => [Contributor::Translator, Contributor::ContainerAuthor, Contributor::CollectionEditor],
            self::Encyclopedia, self::Dictionary => [Contributor::Translator],
            self::Article => [Contributor::Translator],
            self::Review, self::BookReview => [Contributor::ReviewedAuthor],
            self::Conference, self::Event => [Contributor::Chair, Contributor::Organizer],
            self::Interview => [Contributor::Interviewer],
            self::Letter => [Contributor::Recipient],
            self::Film => [Contributor::ScriptWriter, Contributor::Producer, Contributor::Performer],
            self::Broadcast => [Contributor::Host, Contributor::Guest, Contributor::Producer, Contributor::SeriesCreator],
            self::Recording, self::Performance, self::Score => [Contributor::Composer, Contributor::Performer],
            self::ArchiveCollection, self::Image => [Contributor::Curator],
            self::Other => [Contributor::Translator, Contributor::Contributor],
            default => [],
        };
    }

    /** @return list<Detail> what a writer is offered to say of it more than most sources have */
    public function details(): array
    {
        $original = [Detail::OriginalTitle, Detail::OriginalDate];
        $archive = [Detail::Archive, Detail::ArchiveLocation, Detail::ArchivePlace];

        return match ($this) {
            self::Book, self::Pamphlet, self::Classic, self::Score => [Detail::Series, Detail::SeriesNumber, Detail::Volumes, ...$original],
            self::Chapter => [Detail::Series, Detail::SeriesNumber, Detail::Chapter, Detail::OriginalDate],
            self::Article, self::Magazine => [Detail::ShortContainer, Detail::Issn, Detail::Pmid],
            self::Review, self::BookReview => [Detail::ReviewedTitle],
            self::Report => [Detail::Genre, Detail::Series, Detail::SeriesNumber],
            self::Thesis => [Detail::Genre, Detail::Archive],
            self::Conference, self::Talk, self::Performance => [Detail::Event, Detail::EventPlace, Detail::EventDate, Detail::Genre],
            self::Preprint => [Detail::Number, Detail::Genre],
            self::Dataset, self::Software => [Detail::Version, Detail::Medium, Detail::Genre],
            self::Standard, self::Patent => [Detail::Number, Detail::Authority, Detail::Jurisdiction, Detail::Submitted, Detail::Status],
            self::Film => [Detail::Medium, Detail::Dimensions, Detail::Genre],
            self::Broadcast, self::Recording => [Detail::Number, Detail::Medium, Detail::Dimensions, Detail::Genre],
            self::Image, self::Figure => [Detail::Medium, Detail::Dimensions, ...$archive],
            self::Map => [Detail::Scale, Detail::Genre, ...$archive],
            self::Letter, self::Manuscript, self::ArchiveCollection => [Detail::Genre, Detail::ArchiveCollection, ...$archive],
            self::Interview => [Detail::Medium],
            self::BlogPost, self::Post, self::WebPage => [Detail::Genre],
            self::Case => [Detail::Authority, Detail::Number, Detail::Jurisdiction, Detail::References],
            self::Statute, self::Bill, self::Regulation, self::Treaty
                => [Detail::Number, Detail::Section, Detail::Authority, Detail::References],
            self::Hearing => [Detail::Number, Detail::Authority, Detail::EventDate],
            self::Event => [Detail::EventPlace, Detail::EventDate],
            self::Periodical => [Detail::Issn],
            default => [],
        };
    }
}
