<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Citation\Manual;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/**
 * Reports as people write them, the same for the same seed: sections with text, citations, references,
 * footnotes, lists, tables and quotations.
 */
final class Reports
{
    private const WORDS = [
        'water',
        'tide',
        'wall',
        'harbour',
        'salt',
        'grass',
        'winter',
        'channel',
        'boat',
        'stone',
        'gate',
        'parish',
        'moon',
        'silt',
        'shore',
        'keeper',
        'rises',
        'falls',
        'holds',
        'counts',
        'brings',
        'takes',
        'over',
        'under',
        'behind',
        'the',
        'a',
        'every',
        'slow',
        'grey',
        'old',
        'quiet',
    ];

    private int $ids = 0;
    private int $blocks = 5_000;
    /** @var list<string> */
    private array $topics = [];

    private function __construct() {}

    public static function random(int $seed, int $sections = 18): Plan
    {
        mt_srand($seed);
        $report = new self();
        $sources = [];
        foreach (['Ward', 'Moor', 'Brent', 'Quay', 'Sands'] as $i => $name) {
            $id = Build::ulid(900 + $i);
            $sources[$id] = new Source(
                $id,
                "The {$name} book",
                SourceKind::Book,
                [Person::of($name)],
                date: PartialDate::of((string) (1880 + 20 * $i)),
            );
        }
        $plan = Plan::titled('A report on the wall')->withSources($sources);
        $plan = $plan->withProperties(
            $plan->properties->with(['citation_style' => (mt_rand(0, 4) === 0 ? Manual::ChicagoNotes : Manual::Apa)->value]),
        );
        $edit = new Edit($plan);
        $open = [Plan::ROOT];
        for ($n = 0; $n < $sections; ++$n) {
            $depth = max(1, min(\count($open), 3, mt_rand(1, \count($open))));
            $open = \array_slice($open, 0, $depth);
            $edit->append($topic = new Topic($report->id(), ucfirst($report->words(mt_rand(2, 4))) . " {$n}"), $open[$depth - 1]);
            $open[] = $report->topics[] = $topic->id;
            if (mt_rand(0, 4) === 0) {
                $edit->append((new Topic($report->id(), ucfirst($report->words(5))))->with(['kind' => Kind::Point]), $topic->id);
            }
            if (mt_rand(0, 6) === 0) {
                $edit->append((new Topic($report->id(), ucfirst($report->words(8))))->with(['kind' => Kind::Quote]), $topic->id);
            }
        }
        $plan = $edit->done();
        foreach ($report->topics as $id) {
            $plan = $plan->with($plan->topic($id)->withNote($report->note(array_keys($sources))));
        }

        return $plan;
    }

    private function id(): string
    {
        return Build::ulid(++$this->ids);
    }

    private function words(int $count): string
    {
        return implode(' ', array_map(static fn(): string => self::WORDS[mt_rand(0, \count(self::WORDS) - 1)], range(1, $count)));
    }

    /** @param list<string> $sources */
    private function note(array $sources): Note
    {
        $blocks = [];
        for ($i = mt_rand(1, 3); $i > 0; --$i) {
            $inlines = [Node::text(ucfirst($this->words(mt_rand(5, 14))) . ' ')];
            $kind = mt_rand(0, 5);
            if ($kind < 2) {
                $inlines[] = new Node(NodeType::Citation, [
                    'items' => [
                        ['source' => $sources[mt_rand(0, \count($sources) - 1)]]
                        + (mt_rand(0, 1) === 0 ? ['pages' => (string) mt_rand(1, 90)] : []),
                    ],
                ]);
                $inlines[] = Node::text(', ' . $this->words(4));
            } elseif ($kind === 2) {
                $inlines[] = new Node(NodeType::TopicRef, ['topic' => $this->topics[mt_rand(0, \count($this->topics) - 1)]]);
                $inlines[] = Node::text(' ' . $this->words(4));
            } elseif ($kind === 3) {
                $inlines[] = Node::text($this->words(2));
                $inlines[] = new Node(NodeType::Footnote, content: [Node::text(ucfirst($this->words(6)) . '.')]);
            }
            $inlines[] = Node::text(' ' . $this->words(3) . '.');
            $blocks[] = Node::paragraph($inlines, $this->blockId());
        }
        $paragraph = fn(int $words): Node => Node::plain(ucfirst($this->words($words)));
        match (mt_rand(0, 7)) {
            0 => ($blocks[] = new Node(
                NodeType::BulletList,
                ['id' => $this->blockId()],
                array_map(fn(): Node => new Node(NodeType::ListItem, content: [$paragraph(5)]), range(1, 3)),
            )),
            1 => ($blocks[] = new Node(
                NodeType::Table,
                ['id' => $this->blockId()],
                array_map(
                    fn(): Node => new Node(
                        NodeType::TableRow,
                        content: array_map(fn(): Node => new Node(NodeType::TableCell, content: [$paragraph(2)]), range(1, 2)),
                    ),
                    range(1, 3),
                ),
            )),
            2 => ($blocks[] = new Node(NodeType::Blockquote, ['id' => $this->blockId()], [$paragraph(12)])),
            default => null,
        };

        return Note::of($blocks);
    }

    private function blockId(): string
    {
        return Build::ulid(++$this->blocks);
    }
}
