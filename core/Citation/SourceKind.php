<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** What a source is: it decides which fields it has and how a reference list sets them. */
enum SourceKind: string
{
    case Book = 'book';
    case Chapter = 'chapter';
    case Article = 'article';
    case Newspaper = 'newspaper';
    case WebPage = 'web';
    case Report = 'report';
    case Thesis = 'thesis';
    case Film = 'film';
    case Interview = 'interview';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Book => 'Book',
            self::Chapter => 'Chapter of a book',
            self::Article => 'Article',
            self::Newspaper => 'Newspaper article',
            self::WebPage => 'Web page',
            self::Report => 'Report',
            self::Thesis => 'Thesis',
            self::Film => 'Film',
            self::Interview => 'Interview',
            self::Other => 'Other',
        };
    }

    /** Whether it stands within something larger, so that its title is quoted and the larger one's italic. */
    public function isPart(): bool
    {
        return match ($this) {
            self::Chapter, self::Article, self::Newspaper => true,
            default => false,
        };
    }

    /** @return list<string> the fields of Source that a writer is offered for it, beside title, people and date */
    public function fields(): array
    {
        $own = match ($this) {
            self::Book => ['editors', 'publisher', 'place', 'edition', 'volume', 'isbn'],
            self::Chapter => ['editors', 'container', 'pages', 'publisher', 'place', 'edition', 'volume', 'isbn'],
            self::Article => ['container', 'volume', 'issue', 'pages'],
            self::Newspaper => ['container', 'pages', 'edition'],
            self::WebPage => ['container', 'publisher'],
            self::Report => ['editors', 'publisher', 'place', 'issue'],
            self::Thesis, self::Film => ['publisher', 'place'],
            self::Interview => ['container', 'publisher'],
            self::Other => ['editors', 'container', 'publisher', 'place', 'edition', 'volume', 'issue', 'pages', 'isbn'],
        };

        return [...$own, 'url', 'accessed', 'doi', 'language', 'capitals', 'remark'];
    }
}
