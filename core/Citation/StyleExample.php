<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Id\Ulid;
use Embrel\RichText\Node;

/** What a style looks like: a few sources, cited and listed in it. */
final readonly class StyleExample
{
    private const MOST = 4;
    private const PAGES = '61-63';

    /**
     * @param list<list<Node>> $citations as they stand in the text, or in notes
     * @param list<list<Node>> $entries
     */
    private function __construct(public bool $isInNotes, public string $heading, public array $citations, public array $entries) {}

    /**
     * @param array<string, Source> $sources of the plan: one of each kind; where there are none, made-up ones
     */
    public static function of(CitationStyle $style, string $language, array $sources): self
    {
        $chosen = [];
        foreach ($sources === [] ? self::madeUp() : $sources as $source) {
            if (!$source->isPersonal()) {
                $chosen[$source->kind->value] ??= $source;
            }
        }
        $chosen = array_column(\array_slice($chosen, 0, self::MOST), null, 'id');
        $cited = array_map(static fn(Source $source): array => [new Cited($source->id)], array_values($chosen));
        $first = array_key_first($chosen);
        if ($first !== null) {
            // Once with pages, and once more, as a later citation may be shorter.
            $cited[0] = [new Cited((string) $first, self::PAGES)];
            $cited[] = [new Cited((string) $first)];
        }
        $printed = References::of($style, $language, $chosen, $cited);

        return new self($printed->isInNotes, $printed->heading, $printed->citations, array_column($printed->list, 'runs'));
    }

    /** @return list<Source> */
    private static function madeUp(): array
    {
        return [
            new Source(
                Ulid::derived('example 1'),
                'Tides and Walls',
                SourceKind::Book,
                [new Person('Pell', 'Anna')],
                date: PartialDate::of('1994'),
                publisher: 'Creekside Press',
                place: 'Harrow',
            ),
            new Source(
                Ulid::derived('example 2'),
                'How Samphire Holds the Mud',
                SourceKind::Article,
                [new Person('Brent', 'Tom'), new Person('Moor', 'Ada')],
                date: PartialDate::of('2019'),
                container: 'Journal of Low Shores',
                volume: '12',
                issue: '3',
                pages: '201-219',
            ),
            new Source(
                Ulid::derived('example 3'),
                'The Wall at Harrow Creek',
                SourceKind::WebPage,
                [new Person('Harrow Shore Trust')],
                date: PartialDate::of('2023-05-14'),
                accessed: PartialDate::of('2024-02-01'),
                container: 'Harrow Shore',
                url: 'https://harrow-shore.example/wall',
            ),
        ];
    }
}
