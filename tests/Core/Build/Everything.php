<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Sign;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** A small plan that holds everything the schema knows: each field of a topic, each block, inline and mark of a note. */
final class Everything
{
    private const LINES = <<<'TEXT'
        Why the mudflats matter
        The flats before the wall
          What was there
            Plants
              Sea lavender
          Rich in birds
            Waders
            Ducks
          Pell says
          Ask the harbour office
        Breaching & <widening>
        Tables
        TEXT;

    private int $blocks = 100;

    private function __construct(private readonly Shelved $shelf) {}

    public static function plan(Shelved $shelf): Plan
    {
        $made = new self($shelf);
        $source = new Source(
            Build::ulid(80),
            'Tides of the north shore',
            SourceKind::Book,
            [new Person('Pell', 'Ada'), new Person('Rook', 'Ben')],
            date: PartialDate::of('1994'),
        );
        $plan = Build::plan(self::LINES);
        $id = static fn(string $title): string => Build::id($plan, $title);
        [$picture] = $shelf->ids();
        $changes = [
            'Why the mudflats matter' => ['numbered' => Numbered::None],
            'Tables' => ['numbered' => Numbered::Appendix],
            'What was there' => ['flag' => Flag::Key, 'labels' => ['archive', 'field'], 'target' => Target::of(120)],
            'Plants' => ['dye' => Dye::of('#ab12cd'), 'picture' => Picture::of("{$picture}:60x40@80")],
            'Rich in birds' => ['dye' => Dye::of('fern'), 'sign' => Sign::of('bird')],
            'Waders' => ['kind' => Kind::Point],
            'Ducks' => ['kind' => Kind::Point],
            'Pell says' => ['kind' => Kind::Quote],
            'Ask the harbour office' => ['kind' => Kind::Aside, 'flag' => Flag::Waiting],
        ];
        $edit = new Edit($plan);
        foreach ($changes as $title => $change) {
            $edit->put($plan->topic($id($title))->with($change));
        }
        $edit->append(new Topic(Build::ulid(90), 'A loose idea'), Plan::TRAY);
        $plan = $edit->done()->withSources([$source->id => $source]);
        $to = static fn(string $title): Node => new Node(NodeType::TopicRef, ['topic' => Build::id($plan, $title)]);
        $notes = [
            'What was there' => $made->text($source->id, $to('Tables')),
            'Plants' => $made->lists(),
            'Pell says' => Note::of([$made->line('It was mud as far as the eye could see.'), $made->line('Then came the wall.')]),
            'Breaching & <widening>' => $made->blocks($picture),
            'Ask the harbour office' => Note::of([$made->line('By letter.')]),
        ];
        foreach ($notes as $title => $note) {
            $plan = $plan->with($plan->topic($id($title))->withNote($note));
        }
        $relation = Relation::of(Build::ulid(95), $id('Plants'), $id('Tables'), 'see the counts');

        return $plan->withRelations([$relation->id => $relation])->withProperties(
            $plan->properties->with([
                'subtitle' => 'A report',
                'author' => 'Ada Marsh',
                'subject' => 'Tides',
                'language' => 'en-GB',
                'target' => 900,
                'labels' => [['archive', 'fern'], ['field', 'slate']],
            ]),
        );
    }

    private function id(): string
    {
        return Build::ulid(++$this->blocks);
    }

    private function line(string $text): Node
    {
        return Node::plain($text, $this->id());
    }

    private function text(string $source, Node $to): Note
    {
        $marked = [];
        foreach (array_diff_key(MarkType::cases(), [8 => 'a link has an address', 9 => 'scaffolding stands below']) as $mark) {
            array_push($marked, Node::text($mark->value, [new Mark($mark)]), Node::text(' '));
        }
        $link = Node::text('a link', [new Mark(MarkType::Link, ['href' => "https://example.org/?a=1&b='2'"])]);
        $cited = static fn(array $item): Node => new Node(NodeType::Citation, ['items' => [['source' => $source] + $item]]);

        return Note::of([
            Node::paragraph([...$marked, $link, new Node(NodeType::HardBreak), Node::text('after a break')], $this->id()),
            Node::paragraph(
                [
                    Node::text('A word'),
                    new Node(NodeType::Footnote, [], [Node::text('With a '), Node::text('note', [new Mark(MarkType::Italic)])]),
                    Node::text(', cited '),
                    $cited(['pages' => '12–14', 'prefix' => 'see']),
                    Node::text(', as '),
                    $cited(['withoutAuthor' => true]),
                    Node::text(' says; compare '),
                    $to,
                    Node::text('.'),
                ],
                $this->id(),
            ),
            new Node(NodeType::Heading, ['level' => 2, 'id' => $this->id()], [Node::text('A heading in a note')]),
            Node::paragraph([Node::text('What never prints', [new Mark(MarkType::Scaffold)])], Build::ulid(9_000)),
        ]);
    }

    private function lists(): Note
    {
        $item = static fn(string $text, Node ...$more): Node => new Node(NodeType::ListItem, [], [Node::plain($text), ...$more]);
        $task = static fn(string $text, bool $done): Node => new Node(
            NodeType::TaskItem,
            $done ? ['checked' => true] : [],
            [Node::plain($text)],
        );

        return Note::of([
            new Node(NodeType::BulletList, ['id' => $this->id()], [
                $item('one', new Node(NodeType::OrderedList, ['start' => 4], [$item('four'), $item('five')])),
                $item('two'),
            ]),
            new Node(NodeType::TaskList, ['id' => $this->id()], [$task('to do', false), $task('done', true)]),
        ]);
    }

    private function blocks(string $picture): Note
    {
        $cell = static fn(NodeType $type, string $text): Node => new Node($type, [], [Node::plain($text)]);

        return Note::of([
            new Node(NodeType::Blockquote, ['id' => $this->id()], [Node::plain('Quoted.'), Node::plain('And more.')]),
            new Node(NodeType::CodeBlock, ['id' => $this->id()], [Node::text("if (a < b) {\n    print('&');\n}")]),
            new Node(NodeType::HorizontalRule, ['id' => $this->id()]),
            new Node(NodeType::Table, ['id' => $this->id()], [
                new Node(NodeType::TableRow, [], [$cell(NodeType::TableHeader, 'Year'), $cell(NodeType::TableHeader, 'Birds')]),
                new Node(NodeType::TableRow, [], [$cell(NodeType::TableCell, '1994'), $cell(NodeType::TableCell, '1,200')]),
            ]),
            new Node(
                NodeType::Picture,
                ['id' => $this->id(), 'picture' => $picture, 'width' => 90, 'caption' => 'The wall', 'alt' => 'A wall by the sea'],
            ),
        ]);
    }
}
