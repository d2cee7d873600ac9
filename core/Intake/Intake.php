<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Document\Element;
use Embrel\Document\Heard;
use Embrel\Document\Manuscript;
use Embrel\Document\Role;
use Embrel\Id\Ids;
use Embrel\Limits;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\Text;

/**
 * A document as a plan: headings are topics at their level, what stands under one is its note, and
 * what stands before the first is the note of the plan. What had to be repaired is said.
 */
final class Intake
{
    private Growing $growing;
    private Links $links;
    private LeftOut $leftOut;
    /**
     * The topic whose note is being read, with the id that it had in the file, and what links call it.
     *
     * @var array{level: int, title: string, kind: Kind, picture?: Picture|null, was?: string, names?: list<string>, typed?: string, heard?: list<Heard>, isHeading?: bool}|null
     */
    private ?array $topic = null;
    /** Whether that topic is in the plan already. */
    private bool $isPut = false;
    /** @var list<Node> */
    private array $note = [];
    private bool $listsAreTopics;
    /** @var array<string, list<Heard>> topic → recorded changes and comments in its text */
    private array $heard = [];
    /** @var array<string, string> topic → what looked like its number */
    private array $typed = [];
    /** Of the first heading, where that is the plan's title. */
    private string $title = '';
    /** The level of the topic before, as the document has it. */
    private ?int $before = null;
    /** What list items become: points under headings; without any, they are the outline itself. */
    private Kind $listKind = Kind::Point;

    private function __construct(private readonly Options $options, private readonly Ids $ids, string $title)
    {
        $this->growing = new Growing($ids, $title);
        $this->links = new Links($options->references);
        $this->leftOut = new LeftOut();
        $this->listsAreTopics = $options->lists;
    }

    /** @throws TooManyTopics */
    public static function of(Manuscript $manuscript, Options $options, Ids $ids): Result
    {
        $intake = new self($options, $ids, $manuscript->title === '' ? $options->title : $manuscript->title);

        return $intake->result($manuscript);
    }

    private function result(Manuscript $manuscript): Result
    {
        [$elements, $bold] = BoldLines::seen($manuscript->elements, $this->options->boldLines);
        if ($bold['taken'] > 0) {
            $this->growing->repaired(
                "{$bold['taken']} bold lines that stand alone were taken for headings. If they are none, say so under “Bold lines are headings”.",
            );
        }
        $this->listsAreTopics = $this->options->lists || ($manuscript->isOutline && Headings::first($elements) === null);
        $this->listKind = Headings::first($elements) === null ? Kind::Section : Kind::Point;
        if (
            Headings::first($elements) === null
            && !$manuscript->isOutline
            && $elements !== []
            && Headings::areText($elements, $this->listsAreTopics)
        ) {
            $this->growing->repaired(
                'Nothing in it is marked as a heading, so it has no topics: all of it is the opening note. '
                    . 'Give its headings a heading style, or take it in as text, a line a topic.',
            );
        }
        $elements = $this->options->firstIsTitle ?? Headings::areSeveral($elements) ? $this->titled($elements) : $elements;
        foreach ($elements as $element) {
            $this->element($element);
        }
        $this->flush();
        $this->remarks($manuscript->remarks);
        $plan = $this->links->in($this->growing->done());
        $plan = $plan->withProperties(self::properties($plan->properties, $manuscript));

        $plan = $this->options->stripNumbers ? TypedNumbers::stripped($plan) : $plan;
        if ($manuscript->sources !== []) {
            $plan = Edit::notes($plan->withSources($manuscript->sources), static fn(array $blocks): array => CitedNotes::in($blocks));
            $count = \count($manuscript->sources);
            $came = $count === 1 ? 'A source' : "{$count} sources";
            $this->growing->repaired("{$came} came along with the citations of the document.");
        }

        return new Result(
            $plan,
            $this->growing->repairs(),
            $bold['seen'],
            $bold['taken'] > 0,
            $this->links->came,
            $this->leftOut->all,
            $manuscript->origin,
            $this->typed,
            array_filter([Plan::ROOT => $manuscript->heard] + $this->heard),
        );
    }

    private static function properties(Properties $properties, Manuscript $manuscript): Properties
    {
        $given = array_filter(
            [
                'subtitle' => mb_substr($manuscript->subtitle, 0, 300),
                'author' => mb_substr($manuscript->author, 0, 300),
                'language'
                    => preg_match('/\A[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*\z/', $manuscript->language) === 1 ? $manuscript->language : '',
            ],
            static fn(string $one): bool => $one !== '',
        );

        return $properties->with($given);
    }

    /** @param array<string, int> $remarks */
    private function remarks(array $remarks): void
    {
        foreach ($remarks as $sentence => $count) {
            for ($i = 0; $i < $count; ++$i) {
                $this->growing->repaired((string) $sentence);
            }
        }
    }

    /**
     * The first heading as the title, where it stands alone at its level above all others.
     *
     * @param list<Element> $elements
     *
     * @return list<Element>
     */
    private function titled(array $elements): array
    {
        $at = Headings::aboveAll($elements);
        if ($at === null) {
            return $elements;
        }
        $this->title = $elements[$at]->title;
        array_splice($elements, $at, 1);

        return $elements;
    }

    private function element(Element $element): void
    {
        $kind = match ($element->role) {
            Role::Heading => Kind::Section,
            Role::Item => Kind::Point,
            Role::Quote => Kind::Quote,
            default => null,
        };
        if ($element->role === Role::LeftOut && $element->block !== null && !$this->options->keepsLeftOut) {
            $said = $this->leftOut->add($element->title, $this->topic['title'] ?? '', $element->block->plainText());
            $said === null ? null : $this->growing->repaired($said);
        } elseif ($kind === null) {
            $element->block === null || !$this->options->notes ? null : $this->block($element->block);
        } elseif ($this->depth($element->level) > $this->options->depth) {
            $this->deep($element, $kind);
        } else {
            $this->topic($element->level, $element->title, $kind, $element);
        }
    }

    /** How deep a topic of a level would stand, the one that is being read counted in. */
    private function depth(int $level): int
    {
        if ($this->topic === null || $this->isPut) {
            return $this->growing->depthAt($level);
        }

        return $this->growing->depthAt(min($level, $this->topic['level'])) + ($this->topic['level'] < $level ? 1 : 0);
    }

    /** What stands deeper than topics are wanted is written in the note of the topic above. */
    private function deep(Element $element, Kind $kind): void
    {
        if ($this->topic !== null && !$this->isPut) {
            $this->topic['names'] = [...$this->topic['names'] ?? [], ...$element->names];
        } else {
            $this->links->inText($element->names);
        }
        if ($this->options->notes) {
            $this->note[]
                = $kind === Kind::Section
                    ? new Node(
                        NodeType::Heading,
                        ['level' => max(1, min(3, $element->level - $this->options->depth))],
                        $element->title === '' ? [] : [Node::text($element->title)],
                    )
                    : Node::plain($element->title);
        }
        $this->growing->repaired('A heading below the chosen depth is in the note of the section above it.');
    }

    private function topic(int $level, string $title, Kind $kind, Element $element): void
    {
        $this->flush();
        $came = [
            'picture' => $element->picture,
            'was' => $element->topic,
            'names' => $element->names,
            'typed' => $element->typed,
            'heard' => $element->heard,
            'isHeading' => $element->role === Role::Heading && !$element->isDeep,
        ];
        $this->topic = ['level' => $level, 'title' => $title, 'kind' => $kind] + $came;
        $this->isPut = false;
        if ($this->before !== null && $level > $this->before + 1) {
            $this->growing->repaired('A heading skipped a level; it was put right below the one above it.');
        }
        $this->before = $level;
    }

    private function block(Node $block): void
    {
        $isList = $block->type->isList();
        if ($isList && $this->listsAreTopics && $this->depth(($this->topic['level'] ?? 0) + 1) <= $this->options->depth) {
            $this->flush();
            $this->points($block, ($this->topic['level'] ?? 0) + 1);
        } else {
            $this->note[] = $block;
        }
    }

    /** List items as points: the first paragraph is the title, what else they hold the note. */
    private function points(Node $list, int $level): void
    {
        $heading = $this->topic;
        $goesDeeper = $this->growing->depthAt($level) < $this->options->depth;
        foreach ($list->content as $item) {
            $first = $item->content[0] ?? null;
            $isTitled = $first?->type === NodeType::Paragraph;
            [$note, $below] = [[], []];
            foreach (\array_slice($item->content, $isTitled ? 1 : 0) as $node) {
                $goesDeeper && $node->type->isList()
                    ? ($below[] = $node)
                    : ($note[] = $node);
            }
            // Formatting, links and footnotes cannot stand in a title.
            if ($isTitled && self::isMore($first->content)) {
                array_unshift($note, $first);
            }
            $this->topic = ['level' => $level, 'title' => $isTitled ? Text::line($first->plainText()) : '', 'kind' => $this->listKind];
            $this->isPut = false;
            $this->note = $this->options->notes ? $note : [];
            $this->flush();
            foreach ($below as $deeper) {
                $this->points($deeper, $level + 1);
            }
        }
        // What follows a list belongs to its heading again, which has its note already.
        $this->topic = $heading ?? ['level' => 0, 'title' => '', 'kind' => Kind::Section];
        $this->isPut = true;
    }

    /** @param list<Node> $inlines */
    private static function isMore(array $inlines): bool
    {
        foreach ($inlines as $node) {
            if ($node->type === NodeType::Footnote || $node->link() !== null) {
                return true;
            }
        }

        return false;
    }

    /** Puts the topic that was being read into the plan, with its note. */
    private function flush(): void
    {
        if ($this->topic === null) {
            $this->opening();
        } elseif ($this->isPut) {
            $this->later($this->topic['level'] + 1);
        } else {
            ['level' => $level, 'title' => $title, 'kind' => $kind] = $topic = $this->topic;
            $topic['isHeading'] ?? false ? $this->growing->endItems() : null;
            $this->put(
                $level,
                $title,
                $kind,
                $topic['picture'] ?? null,
                $topic['was'] ?? '',
                $topic['names'] ?? [],
                $topic['typed'] ?? '',
                $topic['heard'] ?? [],
            );
            $this->isPut = true;
        }
        $this->note = [];
    }

    private function opening(): void
    {
        [$note, $rest] = Fitting::of($this->note);
        if ($note !== [] || $this->title !== '') {
            $this->growing->opening($note, $this->title);
        }
        if ($rest !== []) {
            $this->continued(1, 'Opening', $rest);
        }
    }

    /** Text behind a list that became points: a topic without a title holds it, at its place. */
    private function later(int $level): void
    {
        if ($this->note === []) {
            return;
        }
        [$note, $rest] = Fitting::of($this->note);
        $this->add($level, '', Kind::Section, $note);
        $this->growing->repaired('Text that stood behind a list of points is in the note of a topic without a title.');
        $this->continued($level, '', $rest);
    }

    /**
     * @param list<string> $names
     * @param list<Heard>  $heard
     */
    private function put(
        int $level,
        string $title,
        Kind $kind,
        ?Picture $picture,
        string $was,
        array $names,
        string $typed,
        array $heard,
    ): void {
        [$note, $rest] = Fitting::of($this->note);
        $id = $this->add($level, $title, $kind, $note, $picture);
        $this->links->topic($id, $was, $names);
        $typed === '' ? null : ($this->typed[$id] = $typed);
        $heard === [] ? null : ($this->heard[$id] = $heard);
        $this->continued($level, $title, $rest);
    }

    /** @param list<Node> $rest */
    private function continued(int $level, string $title, array $rest): void
    {
        for ($n = 2; $rest !== []; ++$n) {
            [$note, $rest] = Fitting::of($rest);
            $this->add($level, trim("{$title} ({$n})"), Kind::Section, $note);
            $this->growing->repaired(
                'The text of a section was longer than '
                    . intdiv(Limits::NOTE, 1024 * 1024)
                    . ' MB, the most for one note; it goes on in a section of its own.',
            );
        }
    }

    /** @param list<Node> $note */
    private function add(int $level, string $title, Kind $kind, array $note, ?Picture $picture = null): string
    {
        if ($this->growing->isFull()) {
            throw new TooManyTopics('it holds more than ' . number_format(Limits::TOPICS) . ' topics, the most that a plan can hold');
        }
        $picture = $this->options->notes ? $picture : null;

        return $this->growing->add(
            $level,
            $title,
            $note,
            $kind === Kind::Section && $picture === null
                ? null
                : static fn(Topic $topic): Topic => $topic->with(['kind' => $kind, 'picture' => $picture]),
        );
    }
}
