<?php

declare(strict_types=1);

namespace Embrel\RichText;

/**
 * A block or an inline of a note. Made by Schema, which has checked it, or by the builders here,
 * which can only make what the schema allows.
 */
final readonly class Node
{
    /**
     * @param array<string, mixed> $attrs   plain values, as the schema lists them
     * @param list<Node>           $content
     * @param list<Mark>           $marks   of a text run only
     */
    public function __construct(
        public NodeType $type,
        public array $attrs = [],
        public array $content = [],
        public string $text = '',
        public array $marks = [],
    ) {}

    /** @param list<Mark> $marks */
    public static function text(string $text, array $marks = []): self
    {
        return new self(NodeType::Text, text: $text, marks: $marks);
    }

    /** @param list<Node> $inlines */
    public static function paragraph(array $inlines, ?string $id = null): self
    {
        return new self(NodeType::Paragraph, $id === null ? [] : ['id' => $id], $inlines);
    }

    /** A paragraph of plain text; line feeds become line breaks. */
    public static function plain(string $text, ?string $id = null): self
    {
        $inlines = [];
        foreach (explode("\n", $text) as $i => $line) {
            if ($i > 0) {
                $inlines[] = new self(NodeType::HardBreak);
            }
            if ($line !== '') {
                $inlines[] = self::text($line);
            }
        }

        return self::paragraph($inlines, $id);
    }

    /** @param list<Node> $blocks where there are none, a cell is an empty paragraph */
    public static function cell(bool $isHead, array $blocks): self
    {
        return new self($isHead ? NodeType::TableHeader : NodeType::TableCell, [], $blocks === [] ? [self::paragraph([])] : $blocks);
    }

    public function isText(): bool
    {
        return $this->type === NodeType::Text;
    }

    public function id(): ?string
    {
        $id = $this->attrs['id'] ?? null;

        return \is_string($id) ? $id : null;
    }

    public function string(string $attr): ?string
    {
        $value = $this->attrs[$attr] ?? null;

        return \is_string($value) ? $value : null;
    }

    public function int(string $attr, int $default): int
    {
        $value = $this->attrs[$attr] ?? null;

        return \is_int($value) ? $value : $default;
    }

    public function link(): ?string
    {
        foreach ($this->marks as $mark) {
            if ($mark->type === MarkType::Link) {
                return $mark->attrs['href'];
            }
        }

        return null;
    }

    public function has(MarkType $mark): bool
    {
        foreach ($this->marks as $own) {
            if ($own->type === $mark) {
                return true;
            }
        }

        return false;
    }

    public function withId(string $id): self
    {
        return new self($this->type, ['id' => $id] + $this->attrs, $this->content, $this->text, $this->marks);
    }

    /** @return \Generator<int, self> itself and every node within, in reading order */
    public function all(): \Generator
    {
        yield $this;
        foreach ($this->content as $node) {
            yield from $node->all();
        }
    }

    /** How many levels are within it; of a text or an empty block, none. */
    public function depth(): int
    {
        $depth = 0;
        foreach ($this->content as $node) {
            $depth = max($depth, 1 + $node->depth());
        }

        return $depth;
    }

    /**
     * With no more levels within it than a note may have: what is deeper stands at the deepest that it may, its
     * paragraphs one after the other.
     */
    public function within(int $levels): self
    {
        if ($this->depth() <= $levels) {
            return $this;
        }
        $content = [];
        foreach ($this->content as $child) {
            // A list or a table holds items or rows alone; anything else may hold what is left of a deeper block.
            $isPart = \in_array($child->type, [NodeType::ListItem, NodeType::TableRow, NodeType::TableCell, NodeType::TableHeader], true);
            array_push(
                $content,
                ...$isPart || $levels > 6 || $child->depth() < $levels
                    ? [$child->within($levels - 1)]
                    : iterator_to_array($child->leaves(), false),
            );
        }

        return new self($this->type, $this->attrs, $content, $this->text, $this->marks);
    }

    /** @return \Generator<int, self> the paragraphs and the like in it, in reading order */
    private function leaves(): \Generator
    {
        if ($this->content === [] || Schema::isInline($this->content[0]->type)) {
            yield new self($this->type, array_diff_key($this->attrs, ['id' => 1]), $this->content, $this->text, $this->marks);

            return;
        }
        foreach ($this->content as $child) {
            yield from $child->leaves();
        }
    }

    /** What of it can print: itself where all can, null where nothing is left of it. */
    public function printing(): ?self
    {
        if ($this->type === NodeType::Question || ($this->marks !== [] && $this->has(MarkType::Scaffold))) {
            return null;
        }
        if ($this->content === [] || !$this->holdsScaffold()) {
            return $this;
        }
        $content = array_values(array_filter(
            array_map(static fn(self $node): ?self => $node->printing(), $this->content),
            static fn(?self $node): bool => $node !== null,
        ));
        $isCell = $this->type === NodeType::TableCell || $this->type === NodeType::TableHeader;

        return $content === [] && !$isCell
            ? null
            : new self($this->type, $this->attrs, $content === [] ? [self::paragraph([])] : $content, $this->text, $this->marks);
    }

    public function holdsScaffold(): bool
    {
        foreach ($this->content as $node) {
            if (($node->marks !== [] && $node->has(MarkType::Scaffold)) || ($node->content !== [] && $node->holdsScaffold())) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, string> $topics see Note::retargeted() */
    public function retargeted(array $topics): self
    {
        if ($this->type === NodeType::TopicRef) {
            $now = $topics[(string) $this->string('topic')] ?? null;

            return $now === null ? $this : new self($this->type, ['topic' => $now] + $this->attrs);
        }
        $href = $this->type === NodeType::Text ? (string) $this->link() : '';
        $now = $topics[TopicLink::of($href) ?? ''] ?? null;
        if ($now !== null) {
            $link = TopicLink::to($now);
            $led = static fn(Mark $mark): Mark => $mark->type === MarkType::Link ? $link : $mark;

            return new self(NodeType::Text, text: $this->text, marks: array_map($led, $this->marks));
        }
        $content = array_map(static fn(self $node): self => $node->retargeted($topics), $this->content);

        return $content === $this->content ? $this : new self($this->type, $this->attrs, $content, $this->text, $this->marks);
    }

    /**
     * The text in reading order: blocks one a line, line breaks as line feeds.
     *
     * @param bool $withFootnotes in brackets, where they stand
     */
    public function plainText(bool $withFootnotes = false): string
    {
        return match ($this->type) {
            NodeType::Text => $this->text,
            NodeType::HardBreak => "\n",
            NodeType::Picture => $this->string('caption') ?? '',
            NodeType::Footnote => $withFootnotes ? " [{$this->joined()}]" : '',
            NodeType::Citation, NodeType::TopicRef, NodeType::HorizontalRule => '',
            default => $this->joined($withFootnotes),
        };
    }

    private function joined(bool $withFootnotes = false): string
    {
        $glue = $this->content !== [] && Schema::isInline($this->content[0]->type) ? '' : "\n";

        return implode($glue, array_map(static fn(self $node): string => $node->plainText($withFootnotes), $this->content));
    }

    /**
     * Inlines with what is set alike as one text; texts that are empty go.
     *
     * @param list<self> $inlines
     *
     * @return list<self>
     */
    public static function runs(array $inlines): array
    {
        $runs = [];
        $last = -1;
        foreach ($inlines as $node) {
            if ($node->isText() && $last >= 0 && $runs[$last]->isText() && $runs[$last]->marks == $node->marks) {
                $runs[$last] = self::text($runs[$last]->text . $node->text, $node->marks);
            } elseif (!$node->isText() || $node->text !== '') {
                $runs[++$last] = $node;
            }
        }

        return array_values($runs);
    }

    /** @return array<string, mixed> the stored form; see docs/note-schema.md */
    public function toArray(): array
    {
        $out = ['type' => $this->type->value];
        if ($this->attrs !== []) {
            $out['attrs'] = $this->attrs;
        }
        if ($this->content !== []) {
            $out['content'] = array_map(static fn(self $node): array => $node->toArray(), $this->content);
        }
        if ($this->type === NodeType::Text) {
            $out['text'] = $this->text;
        }
        if ($this->marks !== []) {
            $out['marks'] = array_map(
                static fn(Mark $mark): array => $mark->attrs === []
                    ? ['type' => $mark->type->value]
                    : ['type' => $mark->type->value, 'attrs' => $mark->attrs],
                $this->marks,
            );
        }

        return $out;
    }
}
