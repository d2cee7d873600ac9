<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Id\CountedIds;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** Notes at random, the same for the same seed, with all that documents can hold. */
final class Notes
{
    private const WORDS = [
        'tide',
        'Wattenmeer',
        'é',
        '盐沼',
        'a&b',
        '<wall>',
        '“said”',
        '100',
        '—',
        '*star*',
        '_under_',
        '#one',
        '1.',
        '- dash',
        '`tick`',
        'x|y',
        'ends.',
        '\\back',
        '~~',
        '[link]',
        '$5',
        '{brace}',
        '%',
        '^',
    ];

    private CountedIds $ids;

    /** @param list<string> $pictures ids of pictures that are at hand */
    private function __construct(private readonly array $pictures)
    {
        $this->ids = new CountedIds('05');
    }

    /**
     * A plan like another one, with notes on its topics.
     *
     * @param list<string> $pictures
     */
    public static function on(Plan $plan, int $seed, array $pictures): Plan
    {
        mt_srand($seed);
        $notes = new self($pictures);
        $edit = new Edit($plan);
        foreach ([Plan::ROOT, ...array_keys(iterator_to_array($plan->walk()))] as $id) {
            $topic = $plan->topic($id)->with(['noted' => false, 'words' => 0, 'note' => null, 'picture' => null]);
            $edit->put(mt_rand(0, 2) === 0 ? $topic->withNote(Note::of($notes->blocks(mt_rand(1, 5)))) : $topic);
        }

        return $edit->done();
    }

    /** @return list<Node> */
    private function blocks(int $count): array
    {
        $blocks = [];
        for ($i = 0; $i < $count; ++$i) {
            $blocks[] = $this->block()->withId($this->ids->next());
        }

        return $blocks;
    }

    private function block(): Node
    {
        return match (mt_rand(0, 10)) {
            0 => new Node(NodeType::Heading, ['level' => mt_rand(1, 3)], $this->runs(2, false)),
            1 => $this->list(NodeType::BulletList, NodeType::ListItem, 3),
            2 => $this->list(NodeType::OrderedList, NodeType::ListItem, 3),
            3 => $this->list(NodeType::TaskList, NodeType::TaskItem, 1),
            4 => new Node(NodeType::Blockquote, [], array_map(fn(): Node => $this->paragraph(), range(1, mt_rand(1, 2)))),
            5 => $this->picture(),
            6 => $this->table(),
            7 => new Node(NodeType::CodeBlock, [], [Node::text("if (a < b) {\n    print('&');\n}")]),
            8 => new Node(NodeType::HorizontalRule),
            default => $this->paragraph(),
        };
    }

    private function paragraph(): Node
    {
        return Node::paragraph($this->runs(mt_rand(1, 5), true));
    }

    /** @return list<Node> */
    private function runs(int $count, bool $withFootnotes): array
    {
        $flow = new Flow();
        for ($i = 0; $i < $count; ++$i) {
            $text = '';
            for ($w = mt_rand(1, 4); $w > 0; --$w) {
                $text .= self::WORDS[mt_rand(0, \count(self::WORDS) - 1)] . ' ';
            }
            // White space at the end of a marked run means nothing, and is not kept by every format.
            $flow->text(rtrim($text), $this->marks());
            $flow->text(' ');
            // A footnote stands behind a word, a break between two.
            $more = $withFootnotes ? mt_rand(0, 12) : 9;
            if ($more === 0) {
                $flow->text('word');
                $flow->put(
                    new Node(NodeType::Footnote, [], [Node::text('See the '), Node::text('minute book', [new Mark(MarkType::Italic)])]),
                );
                $flow->text(' and ');
            } elseif ($more === 1 && $i + 1 < $count) {
                $flow->text('end');
                $flow->break();
                $flow->text('next ');
            }
        }
        $flow->text('last');

        return $flow->nodes();
    }

    /** @return list<Mark> */
    private function marks(): array
    {
        if (mt_rand(0, 2) > 0) {
            return [];
        }
        $marks = [new Mark(MarkType::cases()[mt_rand(0, 7)])];
        if ($marks[0]->type !== MarkType::Underline && mt_rand(0, 3) === 0) {
            $marks[] = new Mark(MarkType::Link, ['href' => 'https://example.org/?a=1&b=2']);
        }

        return $marks;
    }

    private function list(NodeType $type, NodeType $item, int $deep): Node
    {
        $items = [];
        for ($i = mt_rand(1, 3); $i > 0; --$i) {
            $content = [$this->paragraph()];
            if ($deep > 1 && mt_rand(0, 2) === 0) {
                $content[] = $this->list([NodeType::BulletList, NodeType::OrderedList][mt_rand(0, 1)], NodeType::ListItem, $deep - 1);
            }
            $items[] = new Node($item, $item === NodeType::TaskItem && mt_rand(0, 1) === 0 ? ['checked' => true] : [], $content);
        }

        return new Node($type, $type === NodeType::OrderedList && mt_rand(0, 1) === 0 ? ['start' => mt_rand(2, 9)] : [], $items);
    }

    private function table(): Node
    {
        $rows = [];
        $columns = mt_rand(1, 3);
        for ($r = 0, $count = mt_rand(2, 3); $r < $count; ++$r) {
            $rows[] = new Node(
                NodeType::TableRow,
                [],
                array_map(
                    fn(): Node => new Node(
                        $r === 0 ? NodeType::TableHeader : NodeType::TableCell,
                        [],
                        [Node::paragraph($this->runs(1, false))],
                    ),
                    range(1, $columns),
                ),
            );
        }

        return new Node(NodeType::Table, [], $rows);
    }

    private function picture(): Node
    {
        $attrs = ['picture' => $this->pictures[mt_rand(0, \count($this->pictures) - 1)], 'alt' => 'The wall & the “creek”'];

        return new Node(
            NodeType::Picture,
            $attrs
                + (mt_rand(0, 1) === 0 ? ['width' => mt_rand(40, 400)] : [])
                + (mt_rand(0, 1) === 0 ? ['caption' => 'The wall in 1887'] : []),
        );
    }
}
