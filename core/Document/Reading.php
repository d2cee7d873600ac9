<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Citation\Source;
use Embrel\Limits;
use Embrel\Numbering\Written;
use Embrel\Plan\Picture;
use Embrel\RichText\Flow;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** A document while it is read, element after element. */
final class Reading
{
    public const NO_CONTENTS = 'The contents list was left out: the plan makes its own.';

    /** A level beyond this is no level that anyone meant. */
    private const DEEPEST = 1_000;

    public string $title = '';
    public string $subtitle = '';
    public string $author = '';
    public string $language = '';
    public bool $isOutline = false;
    public ?Origin $origin = null;
    public readonly Column $column;
    /** @var array<string, Source> by id: what citations carry along */
    public array $sources = [];

    /** @var list<Element> */
    private array $elements = [];
    /** @var array<string, int> */
    private array $remarks = [];
    private int $pieces = 0;
    private int $level = 0;
    /** @var list<Heard> of the paragraph at hand */
    private array $waitingHeard = [];
    /** @var array<int, list<Heard>> element of the topic in whose text it stands, -1 before the first → what was heard there */
    private array $heard = [];
    /** The element of the topic at hand; null before the first. */
    private ?int $topicAt = null;
    /** @var list<string> names that were met, until it is known whether a title follows them */
    private array $waiting = [];
    /** @var array<string, int> name → the element of the topic that it leads to */
    private array $names = [];

    public function __construct()
    {
        $this->column = new Column();
    }

    /** How deep the last heading stands; 0 before the first. */
    public function level(): int
    {
        return $this->level;
    }

    /** @param string $topic the id of its topic, where the document carries it */
    public function heading(int $level, Flow $flow, string $topic = '', ?string $title = null): void
    {
        if ($topic === 'references') {
            $this->references();
            $this->endNote();

            return;
        }
        $this->level = max(1, min(self::DEEPEST, $level));
        $this->topic(Role::Heading, $this->level, $flow, $topic, $title);
    }

    /**
     * A topic that is no heading of the document.
     *
     * @param Role $role  Role::Item or Role::Quote
     * @param int    $below how many levels below the last heading
     */
    public function under(Role $role, int $below, Flow $flow, string $topic, ?string $title = null): void
    {
        $this->topic($role, max(1, $this->level + $below), $flow, $topic, $title, $role === Role::Heading);
    }

    /**
     * A topic of ours that came back: what it is and how deep it stands says its bookmark, and the level of a heading.
     *
     * @param string $before what stood in the paragraph before the bookmark: a number that was typed
     */
    public function came(Anchor $anchor, ?int $level, Flow $flow, string $before): void
    {
        $text = $flow->plainText();
        $title = $before !== '' && str_starts_with($text, $before) ? substr($text, \strlen($before)) : null;
        if ($level !== null) {
            $this->heading($level, $flow, $anchor->topic, $title);
        } else {
            $role = ['s' => Role::Heading, 'q' => Role::Quote][$anchor->kind] ?? Role::Item;
            $this->topic($role, max(1, $this->level + $anchor->below), $flow, $anchor->topic, $title, $role === Role::Heading);
        }
    }

    private function topic(Role $role, int $level, Flow $flow, string $topic, ?string $title, bool $isDeep = false): void
    {
        $this->endNote();
        $pictures = $notes = [];
        $described = '';
        foreach ($flow->nodes() as $node) {
            if ($node->type === NodeType::Picture) {
                $pictures[] = $node;
                $described .= ' ' . $node->string('alt');
            } elseif ($node->type === NodeType::Footnote) {
                $notes[] = Node::paragraph($node->content);
                $this->remark('A footnote on a title is in the note of its topic.');
            }
        }
        // What stands before a title is its number, or words of it.
        $text = $flow->plainText();
        $before = $title !== null && $title !== '' && str_ends_with($text, $title) ? substr($text, 0, -\strlen($title)) : '';
        $isNumber = Written::isNumber($before);
        $title = $title === null || ($before !== '' && !$isNumber) ? $text : $title;
        $title = self::line($title) === '' ? self::line($described) : self::line($title);
        $this->topicAt = \count($this->elements);
        $this->elements[] = new Element(
            $role,
            $level,
            title: $title,
            topic: $topic,
            typed: $isNumber ? trim($before) : '',
            isDeep: $isDeep,
        );
        $this->settleNames();
        $this->count();
        $this->column->add([...$pictures, ...$notes]);
    }

    /** The picture of the topic at hand, which stands between its title and its note. */
    public function topicPicture(Picture $picture): void
    {
        $last = \count($this->elements) - 1;
        if ($last >= 0 && $this->elements[$last]->role !== Role::Body) {
            $topic = array_pop($this->elements);
            $topic === null ? null : ($this->elements[] = $topic->with(['picture' => $picture]));
        }
    }

    public function seeAlso(): void
    {
        $this->remarks['Lines that name related sections were left out: relations make them.'] = 1;
    }

    /** Said once, however many lines it had. */
    public function contents(): void
    {
        $this->remarks[self::NO_CONTENTS] = 1;
    }

    /**
     * What is not taken in unless the person wants it, kept until that is known.
     *
     * @param list<Node> $blocks
     */
    public function leftOut(string $what, array $blocks): void
    {
        $this->endNote();
        foreach ($blocks as $block) {
            $this->elements[] = new Element(Role::LeftOut, 0, title: $what, block: $block);
        }
    }

    /** A name to which links in the document lead: that of the title that comes next, or a place in the text at hand. */
    public function name(string $name): void
    {
        $this->origin ??= Origin::of($name);
        if ($name !== '') {
            $this->waiting[] = $name;
        }
    }

    /** Names that were met stand in the text at hand. */
    public function settleNames(): void
    {
        if ($this->topicAt !== null) {
            foreach ($this->waiting as $name) {
                $this->names[$name] ??= $this->topicAt;
            }
        }
        $this->waiting = [];
    }

    /** A recorded change or a comment in the paragraph at hand. */
    public function hears(string $kind, string $who, string $text): void
    {
        $text = self::line($text);
        $text === '' ? null : ($this->waitingHeard[] = new Heard($kind, self::line($who), $text));
    }

    /** The paragraph at hand has its place. */
    public function settleHeard(): void
    {
        foreach ($this->waitingHeard as $one) {
            $this->heard[$this->topicAt ?? -1][] = $one;
        }
        $this->waitingHeard = [];
    }

    /** A list of references of ours: the plan makes it anew of its sources. */
    public function references(): void
    {
        $this->remarks['The list of references was left out: the plan makes it of its sources.'] = 1;
    }

    /** Ends what is written under a title. */
    public function endNote(): void
    {
        foreach ($this->column->take() as $block) {
            $this->elements[] = new Element(Role::Body, 0, block: $block);
        }
    }

    public static function line(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    public function remark(string $sentence): void
    {
        $this->remarks[$sentence] = ($this->remarks[$sentence] ?? 0) + 1;
    }

    /**
     * Counts what takes memory: runs, paragraphs, cells.
     *
     * @throws TooManyPieces
     */
    public function count(int $pieces = 1): void
    {
        $this->pieces += $pieces;
        if ($this->pieces > Limits::PIECES) {
            throw new TooManyPieces();
        }
    }

    public function counted(): int
    {
        return $this->pieces;
    }

    /** What has been read since is not kept. */
    public function countsAgainFrom(int $pieces): void
    {
        $this->pieces = $pieces;
    }

    public function done(): Manuscript
    {
        $this->settleNames();
        $this->settleHeard();
        $this->endNote();
        $names = [];
        foreach ($this->names as $name => $at) {
            $names[$at][] = (string) $name;
        }
        $elements = [];
        foreach ($this->elements as $at => $element) {
            $more = array_filter(['names' => $names[$at] ?? [], 'heard' => $this->heard[$at] ?? []]);
            $elements[] = $more === [] ? $element : $element->with($more);
        }

        return new Manuscript(
            self::line($this->title),
            self::line($this->subtitle),
            self::line($this->author),
            $this->language,
            $elements,
            $this->remarks,
            $this->isOutline,
            $this->origin,
            $this->heard[-1] ?? [],
            $this->sources,
        );
    }
}
