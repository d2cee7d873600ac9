<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * What an entry in a list of references cannot do without, by the manuals of the styles: who (or who stands in for them),
 * when, what it is called, and in what it stands.
 */
final class Completeness
{
    /** @return list<string> what is missing, in words; empty: it is complete */
    public static function missing(Source $source, CitationStyle $style): array
    {
        // A talk of the writer's own is named in the text alone: by whom and when.
        $needs = [
            'its title' => $source->title === '' && !$source->isPersonal(),
            'who wrote it' => $source->people() === [] && self::needsPeople($source),
            'its date' => $source->date === null && self::needsDate($source, $style),
            'what it stands in' => $source->container === '' && $source->kind->isPart(),
            'its address' => $source->kind->plain() === SourceKind::WebPage && $source->url === '' && $source->doi === '',
            'its publisher' => $source->publisher === '' && self::needsPublisher($source),
            'the pages that it fills' => $source->pages === '' && $source->kind === SourceKind::Chapter,
        ];

        return array_keys(array_filter($needs));
    }

    /** Newspapers, pages and reports are often by nobody: then what publishes them stands first. */
    private static function needsPeople(Source $source): bool
    {
        return match ($source->kind->plain()) {
            SourceKind::Newspaper => $source->container === '',
            SourceKind::WebPage, SourceKind::Report, SourceKind::Other => $source->publisher === '' && $source->container === '',
            default => true,
        };
    }

    /** MLA has no place for what is not known, and a page that was read has the day on which that was. */
    private static function needsDate(Source $source, CitationStyle $style): bool
    {
        return match (true) {
            $source->kind->plain() === SourceKind::WebPage => $source->accessed === null,
            default => $style->manual() !== Manual::Mla || $source->kind->plain() !== SourceKind::Other,
        };
    }

    private static function needsPublisher(Source $source): bool
    {
        return match ($source->kind->plain()) {
            SourceKind::Book, SourceKind::Chapter, SourceKind::Thesis => true,
            default => false,
        };
    }
}
