<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\CountedIds;
use Embrel\Id\Ids;
use Embrel\Operation\AddRelations;
use Embrel\Operation\AddSources;
use Embrel\Operation\AddTopics;
use Embrel\Operation\ChangeLabel;
use Embrel\Operation\ChangeRelation;
use Embrel\Operation\Compound;
use Embrel\Operation\CopyTopics;
use Embrel\Operation\DissolveTopics;
use Embrel\Operation\DivideNote;
use Embrel\Operation\EditNote;
use Embrel\Operation\EditSource;
use Embrel\Operation\FinishWork;
use Embrel\Operation\FoldAs;
use Embrel\Operation\FoldTopics;
use Embrel\Operation\JoinTopics;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\RemoveRelations;
use Embrel\Operation\RemoveSources;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Operation\SetField;
use Embrel\Operation\SetLabels;
use Embrel\Operation\SetPlan;
use Embrel\Operation\SetWork;
use Embrel\Operation\ShiftWork;
use Embrel\Operation\SortBy;
use Embrel\Operation\SortParts;
use Embrel\Operation\SplitTopic;
use Embrel\Operation\WrapTopics;
use Embrel\Plan\Again;
use Embrel\Plan\Alone;
use Embrel\Plan\Arrows;
use Embrel\Plan\Day;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Field;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Label;
use Embrel\Plan\Numbered;
use Embrel\Plan\Picture;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Size;
use Embrel\Plan\Spot;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** Plans and operations at random, the same for the same seed of mt_srand. */
final class Chance
{
    public function __construct(private readonly Ids $ids = new CountedIds()) {}

    public function plan(): Plan
    {
        $edit = new Edit(Plan::titled('Random'));
        $ids = [Plan::ROOT];
        for ($i = 0, $count = mt_rand(1, 30); $i < $count; ++$i) {
            $topic = new Topic(
                $this->ids->next(),
                'Topic ' . $i,
                mt_rand(0, 4) === 0 ? Kind::Point : Kind::Section,
                dye: mt_rand(0, 2) === 0 ? Dye::of('fern') : null,
            );
            if (mt_rand(0, 2) === 0) {
                $topic = $topic->withNote(
                    Note::of([Node::plain("Note {$i} here", $this->ids->next()), Node::plain('More', $this->ids->next())]),
                );
            }
            $edit->append($topic, mt_rand(0, 9) === 0 ? Plan::TRAY : $ids[mt_rand(0, \count($ids) - 1)]);
            $ids[] = $topic->id;
        }

        $plan = $edit->done();
        [$one, $other] = $this->some($plan, 2) + [null, null];

        return $one === null || $other === null
            ? $plan
            : $plan->withRelations([Build::ulid(1) => Relation::of(Build::ulid(1), $one, $other)]);
    }

    /** @return list<string> */
    private function some(Plan $plan, int $count): array
    {
        $live = array_values(
            array_filter(array_keys($plan->topics), static fn(string $id): bool => !Plan::isFixed($id) && $plan->isLive($id)),
        );
        shuffle($live);

        return \array_slice($live, 0, $count);
    }

    private function place(Plan $plan): Place
    {
        $parent = $this->some($plan, 1)[0] ?? Plan::ROOT;
        $parent = mt_rand(0, 3) === 0 ? Plan::ROOT : $parent;
        $parts = $plan->parts($parent);

        return new Place($parent, $parts === [] || mt_rand(0, 3) === 0 ? null : $parts[mt_rand(0, \count($parts) - 1)]);
    }

    public function operation(Plan $plan, int $nested = 0): Operation
    {
        $some = $this->some($plan, mt_rand(1, 4));
        if ($some === []) {
            return AddTopics::one(new Topic($this->ids->next(), 'Alone'), new Place(Plan::ROOT));
        }
        [$one] = $some;

        return match (mt_rand(0, 38)) {
            0 => $this->randomAdd($plan),
            1 => new RemoveTopics($some),
            2 => new MoveTopics($some, $this->place($plan)),
            3 => new SplitTopic($one, $this->ids->next(), mt_rand(0, mb_strlen($plan->topic($one)->title))),
            4 => new JoinTopics($one, $some[\count($some) - 1]),
            5 => new Retitle(mt_rand(0, 5) === 0 ? Plan::ROOT : $one, 'Änderung ' . mt_rand()),
            6 => new SetField(Field::Kind, $some, Kind::cases()[mt_rand(0, 3)]),
            7 => new SetField(Field::Dye, $some, mt_rand(0, 2) === 0 ? null : Dye::of(mt_rand(0, 1) === 0 ? 'woad' : '#AB12cd')),
            8 => new SetField(Field::Flag, $some, mt_rand(0, 2) === 0 ? null : Flag::Question),
            9 => new SetField(Field::Target, $some, mt_rand(0, 2) === 0 ? null : Target::of(mt_rand(1, 5000))),
            10 => new SetField(Field::Numbered, $some, Numbered::cases()[mt_rand(0, 2)]),
            19 => new SetField(Field::Size, $some, mt_rand(0, 2) === 0 ? null : Size::Large),
            20 => new SetField(Field::Alone, $some, mt_rand(0, 2) === 0 ? null : Alone::Both),
            21 => new SetField(Field::Spot, $some, mt_rand(0, 2) === 0 ? null : Spot::of(mt_rand(-500, 500) . ',7')),
            22 => new SetField(
                Field::Picture,
                $some,
                mt_rand(0, 2) === 0 ? null : Picture::of(str_repeat('a1', 32) . ':120x80@' . mt_rand(30, 90)),
            ),
            11 => $this->randomNote($plan, $one),
            12 => new SetPlan([
                'numbering' => ['decimal', 'essay', 'chapter', 'none', 'own'][mt_rand(0, 4)],
                'number_forms' => [[], ['{I}.', '{1}.{1}', '{a})'], ['Part {One}', 'Chapter {1}', '{1}.{1}', '{1}.{1}.{1}']][mt_rand(0, 2)],
                'subtitle' => 'S' . mt_rand(0, 9),
                'numbering_depth' => mt_rand(1, 9),
                'target' => mt_rand(0, 1) === 0 ? null : 900,
            ]),
            13 => new WrapTopics($some, $this->ids->next(), 'Around'),
            14 => new DissolveTopics($some),
            15 => new SortParts(
                mt_rand(0, 2) === 0 ? Plan::ROOT : (string) $plan->parent($one),
                SortBy::cases()[mt_rand(0, 2)],
                mt_rand(0, 1) === 0,
            ),
            16 => new CopyTopics($this->copies($plan, $one), $this->place($plan)),
            17, 26, 35, 36 => $this->randomSource($plan),
            23 => new FoldTopics(
                $some,
                mt_rand(0, 1) === 0 ? null : $this->place($plan)->parent,
                FoldAs::cases()[mt_rand(0, 2)],
                $this->ids->next(),
                [$one => new Node(NodeType::Citation, ['items' => [['source' => $this->ids->next()]]])],
            ),
            28 => new SetLabels(
                $some,
                mt_rand(0, 2) === 0 ? [] : Label::names([self::label(), self::label()]),
                mt_rand(0, 1) === 0 ? [] : [self::label()],
            ),
            29, 31, 32 => $this->randomLabel($plan, $one),
            24, 27 => $this->randomDivision($plan, $one),
            33, 34 => self::randomWork($some),
            18, 37, 38 => $this->randomRelation($plan, $one, $some[\count($some) - 1]),
            default => $nested > 0
                ? new Retitle($one, 'Within ' . mt_rand())
                : new Compound([$this->operation($plan, 1), $this->operation($plan, 1)]),
        };
    }

    /** @param list<string> $some */
    private static function randomWork(array $some): Operation
    {
        $day = static fn(): ?string => mt_rand(0, 3) === 0 ? null : Day::after('2026-11-30', mt_rand(-40, 40));

        return match (mt_rand(0, 3)) {
            0 => new FinishWork($some, '2026-11-30'),
            1 => new ShiftWork($some, mt_rand(-30, 30)),
            2 => new SetField([Field::Begins, Field::Due, Field::Done][mt_rand(0, 2)], $some, $day()),
            default => new SetWork($some, [
                'who' => ['', 'Jo Tern', 'Ola'][mt_rand(0, 2)],
                'due' => $day(),
                'again' => [null, ...Again::cases()][mt_rand(0, 2)],
            ]),
        };
    }

    /** Of a note that has headings or a list; where none has, one is written. */
    private function randomDivision(Plan $plan, string $one): Operation
    {
        foreach ($plan->standing() as $id) {
            foreach ($plan->topic($id)->note->blocks ?? [] as $block) {
                if (\in_array($block->type, [NodeType::Heading, NodeType::BulletList], true)) {
                    return new DivideNote(
                        $id,
                        $block->type === NodeType::Heading ? DivideNote::AT_HEADINGS : DivideNote::AT_ITEMS,
                        $this->ids->next(),
                    );
                }
            }
        }

        return new EditNote($one, [
            new Node(NodeType::Heading, ['id' => $this->ids->next(), 'level' => 2], [Node::text('Heading')]),
            Node::plain('Under it', $this->ids->next()),
        ]);
    }

    private function randomLabel(Plan $plan, string $one): Operation
    {
        $label = array_key_last($plan->properties->labels);

        return $label === null
            ? new SetLabels([$one], [self::label()])
            : new ChangeLabel(
                (string) $label,
                mt_rand(0, 3) === 0 ? null : self::label(),
                mt_rand(0, 2) === 0 ? Dye::of('orchil') : null,
            );
    }

    private static function label(): string
    {
        return ['field', 'Field', 'archive', '2024', 'Sea wall', 'ask Pell'][mt_rand(0, 5)];
    }

    private function randomSource(Plan $plan): Operation
    {
        $id = array_key_last($plan->sources);
        if ($id === null || mt_rand(0, 5) === 0) {
            return new AddSources([new Source($this->ids->next(), 'Pell, Tides and Walls')]);
        }

        return mt_rand(0, 5) === 0
            ? new RemoveSources([$id])
            : new EditSource(
                $plan->sources[$id]->with([
                    'kind' => SourceKind::Book,
                    'title' => 'T' . mt_rand(),
                    'authors' => [new Person('Pell', 'Anna')],
                    'date' => PartialDate::of('1994~'),
                ]),
            );
    }

    private function randomRelation(Plan $plan, string $one, string $other): Operation
    {
        $id = array_key_last($plan->relations);
        if ($one !== $other && ($id === null || mt_rand(0, 1) === 0)) {
            return new AddRelations([
                Relation::of($this->ids->next(), $one, $other, 'leads to', Dye::of('fern'), Arrows::cases()[mt_rand(0, 3)]),
            ]);
        }
        if ($id === null) {
            return new Retitle($one, 'No relation yet ' . mt_rand());
        }

        return mt_rand(0, 3) === 0
            ? new RemoveRelations([$id])
            : new ChangeRelation(
                $id,
                [
                    ['label' => 'L' . mt_rand(0, 9)],
                    ['bend' => [mt_rand(-90, 90), 7]],
                    ['bend' => null],
                    ['dye' => null, 'arrows' => 'both'],
                ][mt_rand(0, 3)],
            );
    }

    /** @return array<string, string> */
    private function copies(Plan $plan, string $id): array
    {
        return array_map(fn(): string => $this->ids->next(), array_flip($plan->branch($id)));
    }

    private function randomAdd(Plan $plan): AddTopics
    {
        $head = new Topic($this->ids->next(), 'Added');
        $part = (new Topic($this->ids->next(), 'Part', Kind::Quote))->withNote(Build::note('A note of its own'));

        return new AddTopics($this->place($plan), [['topic' => $head, 'parent' => null], ['topic' => $part, 'parent' => $head->id]]);
    }

    private function randomNote(Plan $plan, string $id): EditNote
    {
        $blocks = ($plan->topic($id)->note ?? Note::empty())->blocks;
        $put = [
            match (mt_rand(0, 3)) {
                0 => new Node(
                    NodeType::Heading,
                    ['id' => $this->ids->next(), 'level' => mt_rand(1, 3)],
                    [Node::text('Heading', [new Mark(MarkType::Bold)])],
                ),
                1 => new Node(
                    NodeType::BulletList,
                    ['id' => $this->ids->next()],
                    [
                        new Node(
                            NodeType::ListItem,
                            content: [
                                Node::plain('One'),
                                new Node(NodeType::OrderedList, content: [new Node(NodeType::ListItem, content: [Node::plain('Within')])]),
                            ],
                        ),
                        new Node(NodeType::ListItem, content: [new Node(NodeType::HorizontalRule)]),
                    ],
                ),
                default => Node::plain('New ' . mt_rand(), $this->ids->next()),
            },
        ];
        $remove = [];
        foreach ($blocks as $block => $_) {
            if (mt_rand(0, 2) === 0) {
                $remove[] = $block;
            } elseif (mt_rand(0, 1) === 0) {
                $put[] = Node::plain('Changed ' . mt_rand(), $block);
            }
        }
        $order = array_keys(array_diff_key($blocks, array_flip($remove)));
        $order[] = (string) $put[0]->id();
        shuffle($order);

        return new EditNote($id, $put, $remove, $order, array_map(EditNote::fingerprint(...), $blocks));
    }
}
