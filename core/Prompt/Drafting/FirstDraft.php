<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

use Embrel\Citation\Cited;
use Embrel\Language\Language;
use Embrel\Language\Tongue;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Words;

/**
 * Something to rewrite: from the points and quotations of a section, with their notes and citations, whole paragraphs
 * in their order. What is said in them is the writer's; what only holds it together is marked as scaffolding.
 */
final class FirstDraft
{
    /** In words: a longer quotation stands by itself. */
    private const RUN_IN = 40;

    private Sketch $sketch;
    private ?Frames $frames;
    private Tongue $tongue;
    private string $text = '';

    private function __construct(private readonly Plan $plan, private readonly string $section)
    {
        $this->sketch = new Sketch();
        $language = $plan->properties->language;
        $this->frames = Frames::of($language);
        $this->tongue = Tongue::of($language);
    }

    /**
     * The sections of a branch, each of which has a draft of its own, in reading order.
     *
     * @return list<string>
     */
    public static function sections(Plan $plan, string $branch): array
    {
        $sections = [];
        foreach (self::printing($plan, $branch) as $id) {
            // The plan itself is no section: what stands in it are. What goes into the draft above it needs none.
            $isOne = $id !== Plan::ROOT && ($id === $branch || $plan->topics[$id]->kind === Kind::Section);
            if ($isOne && ($id === $branch || !self::goesInto($plan, $id, (string) $plan->parent($id)))) {
                $sections[] = $id;
            }
        }

        return $sections;
    }

    /**
     * Whether a topic is something to write its section from: a point, a quotation; and a section without sections
     * of its own, where all of them are so and nothing is written above them.
     */
    private static function goesInto(Plan $plan, string $id, string $section): bool
    {
        $topic = $plan->topics[$id];
        if ($topic->kind !== Kind::Section) {
            return $topic->kind !== Kind::Aside;
        }
        if ($section === Plan::ROOT || $plan->topics[$section]->words > 0) {
            return false;
        }
        foreach ($plan->parts($section) as $part) {
            foreach ($plan->topics[$part]->kind === Kind::Section ? $plan->parts($part) : [] as $below) {
                if ($plan->topics[$below]->kind === Kind::Section) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param Plan   $plan    with the notes of the section's points and quotations, its sources and its relations
     * @param string $section the topic whose note the draft is for
     */
    public static function of(Plan $plan, string $section): Sketch
    {
        $self = new self($plan, $section);
        $points = $self->points($section);
        foreach ($points as $id) {
            $self->read($id);
        }
        $self->open();
        $self->parts($points);
        $self->close(\count($points));

        return $self->sketch;
    }

    /** @return list<string> a branch without what stands under an aside */
    private static function printing(Plan $plan, string $from): array
    {
        $topics = [$from];
        $aside = PHP_INT_MAX;
        foreach ($plan->walk($from) as $id => $level) {
            if ($level <= $aside) {
                $isAside = $plan->topics[$id]->kind === Kind::Aside;
                $aside = $isAside ? $level : PHP_INT_MAX;
                $isAside ? null : $topics[] = $id;
            }
        }

        return $topics;
    }

    /** @return list<string> what stands directly under a topic, to write from */
    private function points(string $id): array
    {
        return array_values(array_filter($this->plan->parts($id), fn(string $part): bool => self::goesInto($this->plan, $part, $id)));
    }

    /** What the branch says, to tell a name from a word that begins a title. */
    private function read(string $id): void
    {
        $this->text .= ' ' . ($this->plan->topic($id)->note?->printing()->plainText() ?? '');
        foreach ($this->points($id) as $part) {
            $this->read($part);
        }
    }

    /** @param array<string, string> $with see Frames::say() */
    private function scaffold(string $what, string $from, array $with = []): void
    {
        if ($this->frames !== null) {
            $this->sketch->add(Piece::scaffold($this->frames->say($what, $with), $from));
        }
    }

    /** A sentence from the title; then the sections below it by name. What is written already needs no opening. */
    private function open(): void
    {
        $topic = $this->plan->topic($this->section);
        if ($topic->title === '' || $topic->words > 0) {
            return;
        }
        $kind = Titled::of($topic->title, $this->plan->properties->language);
        $this->scaffold($kind->value, $this->section, ['{t}' => $this->put($topic->title, $kind)]);
        $sections = array_filter(
            $this->plan->parts($this->section),
            fn(string $id): bool => $this->plan->topics[$id]->kind === Kind::Section
                && $this->plan->topics[$id]->title !== ''
                && !self::goesInto($this->plan, $id, $this->section),
        );
        $names = array_map(
            fn(string $id): string => rtrim(Titled::within($this->plan->topics[$id]->title, $this->tongue, $this->text), '.?!'),
            array_values($sections),
        );
        if (\count($names) > 1 && $this->frames !== null) {
            $last = array_pop($names);
            $this->scaffold('parts', $this->section, ['{s}' => implode(', ', $names) . " {$this->frames->say('and')} {$last}"]);
        }
        $this->sketch->paragraph();
    }

    private function put(string $title, Titled $kind): string
    {
        return $kind === Titled::Name ? Titled::within($title, $this->tongue, $this->text) : Titled::sentence($title);
    }

    private function close(int $points): void
    {
        $topic = $this->plan->topic($this->section);
        if ($points > 1 && $topic->title !== '') {
            $kind = Titled::of($topic->title, $this->plan->properties->language);
            $this->sketch->paragraph();
            $this->scaffold("back {$kind->value}", $this->section, ['{t}' => $this->put($topic->title, $kind)]);
        }
    }

    /** @param list<string> $points */
    private function parts(array $points): void
    {
        $before = null;
        foreach ($points as $i => $id) {
            $tie = Tie::of($this->plan, $before, $id, $i > 1 && $i === \count($points) - 1);
            if ($this->plan->topics[$id]->kind === Kind::Quote) {
                $this->quotation($id);
                $this->parts($this->points($id));
            } else {
                $this->point($id, $tie);
            }
            $before = $id;
        }
    }

    /** A point begins a paragraph where it has more to say than its title. */
    private function point(string $id, Tie $tie): void
    {
        $topic = $this->plan->topic($id);
        $parts = $this->points($id);
        $isLong = ($topic->note !== null && !$topic->note->isEmpty()) || $parts !== [];
        $isLong ? $this->sketch->paragraph() : null;
        $kind = Titled::of($topic->title, $this->plan->properties->language);
        $isOwn = $kind !== Titled::Name || $this->frames === null;
        if ($topic->title !== '' && !$isOwn) {
            $this->named($id, $tie, Titled::within($topic->title, $this->tongue, $this->text));
        } elseif ($topic->title !== '') {
            // A sentence goes on by itself where nothing but its place ties it; and nothing is added to a question.
            $isTied = $tie !== Tie::First
                && !Tie::isSaidBy($topic->title)
                && ($kind === Titled::Statement || !\in_array($tie, [Tie::Addition, Tie::Last], true));
            $isTied ? $this->scaffold($tie->value, $id) : null;
            $this->sketch->add(new Piece(Piece::TITLE, [Node::text(Titled::sentence($topic->title))], $id));
        }
        $this->note($id, $topic->note ?? Note::empty());
        $this->parts($parts);
        $isLong ? $this->sketch->paragraph() : null;
    }

    /** What something is called is no sentence yet: it waits to be made one. */
    private function named(string $id, Tie $tie, string $title): void
    {
        $sentence = Titled::sentence($title);
        $text = Tie::isSaidBy($title)
            ? mb_strtoupper(mb_substr($sentence, 0, 1)) . mb_substr($sentence, 1)
            : "{$this->frames?->say($tie->value)} {$sentence}";
        $this->sketch->add(Piece::scaffold($text, $id));
    }

    /** What is in a note: the first paragraph goes on where the title ended, others are their own, and so is all that is no prose. */
    private function note(string $id, Note $note): void
    {
        $isFirst = true;
        foreach ($note->printing()->blocks as $block) {
            if ($block->type === NodeType::Paragraph) {
                $isFirst ? null : $this->sketch->paragraph();
                $this->sketch->add(new Piece(Piece::NOTE, $block->content, $id));
            } else {
                if ($block->type === NodeType::Blockquote) {
                    $this->introduce($id, [$block]);
                }
                $this->sketch->block($block, $id);
            }
            $isFirst = false;
        }
    }

    /** A short one stands in its sentence, in quotation marks; a longer one by itself. */
    private function quotation(string $id): void
    {
        $topic = $this->plan->topic($id);
        $blocks = array_values(($topic->note ?? Note::empty())->printing()->blocks);
        $words = Words::in($topic->title) + (int) array_sum(
            array_map(static fn(Node $block): int => Words::in($block->plainText()), $blocks),
        );
        // Where the note holds the words in their marks, the title only says what they are.
        $title = preg_match('/\A\s*["“„«»‘]/u', $blocks === [] ? '' : $blocks[0]->plainText()) === 1 ? '' : $topic->title;
        $isProse = array_filter($blocks, static fn(Node $block): bool => $block->type !== NodeType::Paragraph) === [];
        if ($topic->title === '' && $blocks === []) {
            return;
        }
        $this->introduce($id, $blocks);
        if ($isProse && \count($blocks) < 2 && $words <= self::RUN_IN) {
            $this->runIn($id, $title, $blocks[0]->content ?? []);

            return;
        }
        $body = $title === '' ? $blocks : [Node::plain($title), ...$blocks];
        $this->sketch->block(new Node(NodeType::Blockquote, [], array_map(self::unnamed(...), $body)), $id);
    }

    /** Only blocks at the top of a note have ids. */
    private static function unnamed(Node $block): Node
    {
        return new Node($block->type, array_diff_key($block->attrs, ['id' => 1]), $block->content, $block->text, $block->marks);
    }

    /** @param list<Node> $inlines of its note: more of its words, and what it cites, which stands behind the marks */
    private function runIn(string $id, string $title, array $inlines): void
    {
        $said = $inlines;
        $cites = [];
        while ($said !== [] && trim($said[\count($said) - 1]->text) === '' && $said[\count($said) - 1]->type !== NodeType::HardBreak) {
            array_unshift($cites, array_pop($said));
        }
        $cites = array_values(array_filter($cites, static fn(Node $node): bool => !$node->isText()));
        [$open, $close] = Language::of($this->plan->properties->language)->quotes();
        $title = trim($title, " \u{201C}\u{201D}\u{201E}\u{AB}\u{BB}\"");
        if ($title === '') {
            // The words stand in marks of their own.
            [$open, $close] = ['', ''];
        }
        $this->sketch->add(new Piece(Piece::QUOTATION, array_values(array_filter([
            Node::text($open . $title . ($title === '' || $said === [] ? '' : ' ')),
            ...$said,
            Node::text($close . ($cites === [] ? '' : ' ')),
            ...$cites,
        ], static fn(Node $node): bool => !$node->isText() || $node->text !== '')), $id));
    }

    /** @param list<Node> $blocks */
    private function introduce(string $id, array $blocks): void
    {
        $author = $this->author($blocks);
        $this->scaffold($author === '' ? 'quoted by nobody' : 'quoted', $id, ['{a}' => $author]);
    }

    /** @param list<Node> $blocks */
    private function author(array $blocks): string
    {
        foreach ($blocks as $block) {
            foreach ($block->all() as $node) {
                foreach ($node->type === NodeType::Citation ? Cited::of($node) : [] as $cited) {
                    $source = $this->plan->sources[$cited->source] ?? null;
                    $person = $source?->people()[0] ?? null;
                    if ($person !== null) {
                        return trim("{$person->given} {$person->family}");
                    }
                    if ($source !== null && $source->title !== '') {
                        return $source->title;
                    }
                }
            }
        }

        return '';
    }
}
