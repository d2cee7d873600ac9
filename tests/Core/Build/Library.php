<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** A plan that cites a source of each kind. */
final class Library
{
    /** @return array<string, Source> */
    public static function sources(): array
    {
        $rows = [
            [SourceKind::Book, 'Tides and Walls', 'Pell, Anna', '1994', [
                'publisher' => 'Creekside Press', 'place' => 'Harrow', 'edition' => '2',
            ]],
            [SourceKind::Article, 'How samphire holds the mud', 'Brent, Tom; Moor, Ada; Vane, Ed; Orchard, Lil', '2019-05', [
                'container' => 'Journal of Low Shores', 'volume' => '12', 'issue' => '3', 'pages' => '201-219', 'doi' => '10.5555/jls.12.3',
            ]],
            [SourceKind::Chapter, 'Who owns the mud', 'Meer, Jan van der', '2004', [
                'container' => 'Commons of the Shore', 'pages' => '88-104', 'publisher' => 'Saltworks', 'place' => 'Tamm',
            ]],
            [SourceKind::WebPage, 'The wall at Harrow Creek', 'Harrow Shore Trust', '2023-05-14', [
                'container' => 'Harrow Shore', 'url' => 'https://harrow-shore.example/wall', 'accessed' => PartialDate::of('2024-02-01'),
            ]],
            [SourceKind::Report, 'Surge of the fifth of December', 'Harrow Council', '2014', [
                'publisher' => 'Harrow Council', 'issue' => '7',
            ]],
            [SourceKind::Thesis, 'Crabs of the upper marsh', 'Tamm, Jory', '2011', ['publisher' => 'University of Tamm']],
            [SourceKind::Newspaper, 'Wall may go', 'Rook, Bea', '2021-03-02', ['container' => 'The Harrow Messenger', 'pages' => '4']],
            [SourceKind::Film, 'Low Water', 'Vane, Ed', '1998', ['publisher' => 'Shoreline Films']],
        ];
        $sources = [];
        foreach ($rows as $n => [$kind, $title, $who, $date, $more]) {
            $people = array_map(Person::typed(...), explode('; ', $who));
            $source = (new Source(Build::ulid(40 + $n), $title, $kind, $people, date: PartialDate::of($date)))->with($more);
            $sources[$source->id] = $source;
        }

        return $sources;
    }

    public static function plan(string $style, string $language = 'en'): Plan
    {
        $plan = Build::plan("The wall\nThe mud\nReferences");
        $properties = $plan->properties->with(['citation_style' => $style, 'language' => $language]);
        $plan = $plan->withProperties($properties)->withSources(self::sources());
        $edit = new Edit($plan);
        $sources = array_values($plan->sources);
        foreach (['The wall' => [0, 1, 2, 3], 'The mud' => [4, 5, 6, 7]] as $title => $which) {
            $blocks = [];
            foreach ($which as $n) {
                $cite = static fn(array ...$items): Node => new Node(NodeType::Citation, ['items' => $items]);
                $blocks[] = Node::paragraph([
                    Node::text('The wall was raised twice, and each time the mud in front of it went lower '),
                    $cite(['source' => $sources[$n]->id, 'pages' => (string) (90 + $n)]),
                    Node::text('; nobody had asked why '),
                    $cite(['source' => $sources[$n]->id], ['source' => $sources[($n + 3) % 8]->id]),
                    Node::text('.'),
                ], Build::ulid(60 + $n));
            }
            $topic = $plan->topic(Build::id($plan, $title));
            $edit->put($topic->withNote(Note::of($blocks)));
        }

        return $edit->done();
    }
}
