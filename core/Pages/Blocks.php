<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Pictures;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\Fonts\Typefaces;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** The elements of a draft and the blocks of its notes as lines, each group of which flows on by itself. */
final class Blocks
{
    /** How far a list level is set in, and the label stands before it. */
    /** What the sign of a topic takes of a line, in sizes of its type: itself, and the space before it. */
    private const SIGN = 1.35;
    private const STEP = 18.0;
    private const LABEL = 14.0;
    private const QUOTE = 28.0;
    private const BULLETS = ['•', '–', '▪'];

    private readonly Setting $text;
    private readonly float $width;
    private readonly Figures $figures;
    /** The tag under which what comes stands. */
    private int $parent;
    /** @var array<int, array{list: int, body: int}> level → the list that is open there, and the body of its last item */
    private array $lists = [];

    public function __construct(
        private readonly Document $document,
        private readonly Paragraphs $paragraphs,
        private readonly Typefaces $faces,
        ?Pictures $pictures,
        private readonly Structure $structure,
        private readonly int $root,
    ) {
        $this->parent = $root;
        $style = $document->style;
        [$width, $height] = $style->page($document->properties->pageSize);
        [$top, $right, $bottom, $left] = $style->edges();
        $this->width = $width - $left - $right;
        $this->text = new Setting(
            Style::family($style->font),
            $style->size,
            $style->line,
            firstLine: $style->firstLine * Style::POINTS,
            align: $style->isJustified ? 'justify' : 'left',
            divides: $style->isHyphenated,
        );
        $small = $this->text->with([
            'firstLine' => 0.0,
            'size' => $style->smallSize(),
            'spacing' => 1.0,
            'italic' => true,
            'align' => 'left',
            'colour' => Style::SOFT,
        ]);
        $this->figures = new Figures($paragraphs, $pictures, $structure, $small, $this->width, $height - $top - $bottom);
    }

    public function text(): Setting
    {
        return $this->text;
    }

    /**
     * @param array<string, int> $pages of an index: place → page
     *
     * @return list<Group>
     */
    public function of(Element $element, array $pages = []): array
    {
        $level = $element->role === Role::Heading ? 0 : $element->level;
        $indent = $level * self::STEP;
        $open = $level - ($element->role === Role::Item ? 1 : 0);
        $this->lists = array_filter($this->lists, static fn(int $at): bool => $at <= $level, ARRAY_FILTER_USE_KEY);
        $this->parent = $this->lists[$open]['body'] ?? $this->root;

        return match ($element->role) {
            Role::Heading => [$this->heading($element)],
            Role::Item => [$this->item($element)],
            Role::Picture => $this->figures->ofTopic($element, $indent, $this->parent),
            Role::Reference => [$this->reference($element)],
            Role::IndexEntry => [$this->indexEntry($element, $pages)],
            Role::SeeAlso => [
                $this->paragraph(
                    $element->block->content ?? [],
                    $this->text->with([
                        'indent' => $indent,
                        'firstLine' => 0.0,
                        'size' => $this->document->style->seeAlsoSize(),
                        'spacing' => 1.0,
                    ]),
                    7.0,
                ),
            ],
            Role::Quote => [$this->anchored($this->quoteTitle($element, $indent), $element)],
            default => $this->body($element, $indent),
        };
    }

    private function reference(Element $element): Group
    {
        $label = $element->number;
        $lines = $this->document->listLook->lines;
        $indent = $this->document->referenceIndent();
        $setting = $this->text->with(['indent' => $indent, 'firstLine' => $label === '' ? -$indent : 0.0, 'align' => 'left']
            + ($lines === null ? [] : ['spacing' => (float) $lines]));
        $gap = $this->document->referenceGap() ?? max(4.0, $this->document->style->gap);
        $group = $this->paragraph($element->behindNumber(), $label === '' ? $setting : $this->behind($label, $setting), $gap);
        $first = $group->lines[0] ?? null;
        if ($label !== '' && $first !== null) {
            $this->label($first, $label, $setting->with(['indent' => 0.0]), $first->tag);
        }

        return $group;
    }

    /** @param array<string, int> $pages */
    private function indexEntry(Element $element, array $pages): Group
    {
        $runs = [Node::text($element->title)];
        $seen = [];
        foreach ($element->places as ['place' => $place]) {
            $page = $pages[$place] ?? null;
            if ($page !== null && !isset($seen[$page])) {
                $seen[$page] = true;
                array_push($runs, Node::text(', '), Node::text((string) $page, [new Mark(MarkType::Link, ['href' => "#{$place}"])]));
            }
        }

        return $this->paragraph(
            $runs,
            $this->text->with(['indent' => self::QUOTE, 'firstLine' => -self::QUOTE, 'align' => 'left', 'spacing' => 1.1]),
            2.0,
        );
    }

    private function quoteTitle(Element $element, float $indent): Group
    {
        $title = Node::text($element->title === '' ? ' ' : $element->title);
        $group = $this->within(
            'BlockQuote',
            fn(): Group => $this->paragraph([$title], $this->quotation($indent), max(4.0, $this->document->style->gap)),
        );

        return new Group($group->lines, $group->before, $group->after, keepsNext: $element->inQuote);
    }

    /** @return list<Group> */
    private function body(Element $element, float $indent): array
    {
        if ($element->block === null) {
            return [];
        }
        $block = $element->block;
        $groups = $element->inQuote
            ? $this->within('BlockQuote', fn(): array => $this->block($block, $indent, true))
            : $this->block($block, $indent);
        if ($element->anchor !== null && $groups !== []) {
            $this->anchored($groups[0], $element);
        }

        return $groups;
    }

    private function anchored(Group $group, Element $element): Group
    {
        if ($group->lines !== []) {
            $group->lines[0]->anchors[] = (new Anchor($element->topic))->name();
        }

        return $group;
    }

    private function heading(Element $element): Group
    {
        $style = $this->document->style;
        $size = $style->headingSize($element->level);
        $colour = $style->isDyed && $element->dye !== '' ? $element->dye : $this->text->colour;
        $setting = new Setting(Style::family($style->headingFont), $size, 1.08, true, colour: $colour);
        $title = trim("{$element->number} {$element->title}");
        $lines = $this->paragraphs->text($title, $setting, $this->width - self::roomOfSign($element, $size));
        self::sign($lines, $element, $size, $colour);
        Structure::tag($lines, $this->structure->add('H' . min(6, $element->level), $this->root));
        $lines[0]->heading = [$title, $element->level, $colour];
        if ($lines[0]->pieces !== []) {
            $lines[0]->pieces[0] = $lines[0]->pieces[0]->heading($title, $element->level);
        }
        $group = new Group(
            $lines,
            $element->level === 1 ? 20.0 : 13.0,
            5.0,
            keepsNext: true,
            startsPage: $style->breaks && $element->level === 1,
        );

        return $this->anchored($group, $element);
    }

    private function item(Element $element): Group
    {
        $setting = $this->text->with(['indent' => $element->level * self::STEP, 'firstLine' => 0.0, 'align' => 'left']);
        $label = $element->number === '' ? self::BULLETS[max(0, $element->level - 1) % 3] : $element->number;
        $room = self::roomOfSign($element, $setting->size);
        $lines = $this->paragraphs->text($element->title, $this->behind($label, $setting), $this->width - $room);
        $colour = $this->document->style->isDyed && $element->dye !== '' ? $element->dye : $setting->colour;
        self::sign($lines, $element, $setting->size, $colour);
        $list = $this->lists[$element->level]['list'] ?? $this->structure->add('L', $this->parent);
        [$mark, $body] = $this->listItem($list);
        $this->lists[$element->level] = ['list' => $list, 'body' => $body];
        $this->label($lines[0], $label, $setting, $mark);
        Structure::tag($lines, $body);

        return $this->anchored(new Group($lines, 0.0, 3.0), $element);
    }

    private static function roomOfSign(Element $element, float $size): float
    {
        return $element->sign === null ? 0.0 : $size * self::SIGN;
    }

    /**
     * Sets the sign of a topic after the last line of its title, as high as letters are.
     *
     * @param list<Line> $lines
     */
    private static function sign(array $lines, Element $element, float $size, string $colour): void
    {
        $last = $lines === [] ? null : $lines[\count($lines) - 1];
        if ($element->sign === null || $last === null) {
            return;
        }
        $ends = array_map(static fn(Piece $piece): float => $piece->x + $piece->width, $last->pieces);
        $x = ($ends === [] ? 0.0 : max($ends)) + $size * (self::SIGN - 1.0);
        $last->pieces[] = new Piece(Piece::SIGN, $x, $last->ascent - $size * 0.86, $size, $size, $element->sign->name, colour: $colour);
    }

    /** The first line begins further in where a label would not fit before it. */
    private function behind(string $label, Setting $setting): Setting
    {
        $over = $this->faces->width($label, $setting->face(), $setting->size) + 4.0 - $setting->indent;

        return $over <= 0.0 ? $setting : $setting->with(['firstLine' => $over]);
    }

    /** @return array{int, int} the tags of its label and of its body */
    private function listItem(int $list): array
    {
        $item = $this->structure->add('LI', $list);

        return [$this->structure->add('Lbl', $item), $this->structure->add('LBody', $item)];
    }

    /**
     * Makes something that stands under a tag of its own.
     *
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return T
     */
    private function within(string|int $tag, \Closure $make): mixed
    {
        $before = $this->parent;
        $this->parent = \is_int($tag) ? $tag : $this->structure->add($tag, $before);
        $made = $make();
        $this->parent = $before;

        return $made;
    }

    private function label(Line $line, string $label, Setting $setting, int $tag): void
    {
        $width = $this->faces->width($label, $setting->face(), $setting->size);
        array_unshift(
            $line->pieces,
            new Piece(
                Piece::TEXT,
                max(0.0, $setting->indent - max(self::LABEL, $width + 4.0)),
                $line->ascent,
                $width,
                0.0,
                $label,
                $setting->face(),
                $setting->size,
                $setting->colour,
                tag: $tag,
            ),
        );
    }

    private function quotation(float $indent): Setting
    {
        return $this->text->with(['indent' => $indent + self::QUOTE, 'firstLine' => 0.0, 'italic' => true]);
    }

    /** @param list<Node> $inlines */
    private function paragraph(array $inlines, Setting $setting, float $gap, ?float $width = null): Group
    {
        $tag = $this->structure->add('P', $this->parent);
        $lines = $this->within($tag, fn(): array => $this->paragraphs->lines(
            $inlines,
            $setting,
            ($width ?? $this->width) - ($setting->italic && $setting->indent >= self::QUOTE ? self::QUOTE : 0.0),
            $this->footnote(...),
        ));
        foreach ($lines as $line) {
            // A quotation is narrower at both sides.
            $line->mirror = $line->mirror === null ? null : $width ?? $this->width;
        }

        return new Group(Structure::tag($lines, $tag), 0.0, $gap);
    }

    /** @return list<Line> */
    private function footnote(Node $node, string $number): array
    {
        $small = $this->document->style->footSize();
        $setting = $this->text->with(['size' => $small, 'spacing' => 1.0, 'firstLine' => 0.0, 'align' => 'left']);

        $lines = $this->paragraphs->lines([Node::text("{$number} "), ...$node->content], $setting, $this->width);

        return Structure::tag($lines, $this->structure->add('Note', $this->parent));
    }

    /**
     * @param float|null $width of a cell; null: of the page
     *
     * @return list<Group>
     */
    public function block(Node $node, float $indent, bool $isQuoted = false, ?float $width = null): array
    {
        $setting = $isQuoted
            ? $this->quotation($indent)
            : $this->text->with(['indent' => $indent, 'firstLine' => $indent > 0 ? 0.0 : $this->text->firstLine]);
        $gap = $this->document->style->gap;

        return match ($node->type) {
            NodeType::Paragraph => [$this->paragraph($node->content, $setting, $isQuoted ? max(4.0, $gap) : $gap, $width)],
            NodeType::Heading => [
                new Group(
                    Structure::tag($this->paragraphs->lines(
                        $node->content,
                        $setting->with([
                            'firstLine' => 0.0,
                            'bold' => $node->int('level', 1) < 3,
                            'italic' => $node->int('level', 1) === 3,
                            'spacing' => 1.0,
                        ]),
                        $width ?? $this->width,
                        $this->footnote(...),
                    ), $this->structure->add('P', $this->parent)),
                    8.0,
                    3.0,
                    keepsNext: true,
                ),
            ],
            NodeType::BulletList, NodeType::TaskList, NodeType::OrderedList => $this->list($node, $indent, 0, $width),
            NodeType::Blockquote => $this->within('BlockQuote', fn(): array => array_merge(
                [],
                ...array_map(fn(Node $child): array => $this->block($child, $indent, true, $width), $node->content),
            )),
            NodeType::CodeBlock => [$this->code($node, $indent, $width)],
            NodeType::HorizontalRule => [
                new Group(
                    [
                        new Line(12.0, 0.0, [
                            new Piece(Piece::RULE, $indent, 6.0, ($width ?? $this->width) - $indent, 0.5, colour: Style::RULE),
                        ]),
                    ],
                    0.0,
                    4.0,
                ),
            ],
            NodeType::Table => $width === null ? [$this->table($node, $indent)] : $this->flattened($node, $indent, $width),
            NodeType::Picture => $this->figures->ofNote($node, $indent, $width ?? $this->width, $this->parent),
            default => [],
        };
    }

    /**
     * A block of a cell.
     *
     * @param int $tag of the cell
     *
     * @return list<Group>
     */
    public function inCell(Node $node, float $width, int $tag): array
    {
        return $this->within($tag, fn(): array => $this->block($node, 0.0, false, $width));
    }

    /** @return list<Group> */
    private function list(Node $list, float $indent, int $depth, ?float $width): array
    {
        $groups = [];
        $tag = $this->structure->add('L', $this->parent, more: $list->type === NodeType::OrderedList ? 'Decimal' : 'Disc');
        $inner = $indent + self::STEP;
        $setting = $this->text->with(['indent' => $inner, 'firstLine' => 0.0, 'align' => 'left']);
        foreach ($list->content as $i => $item) {
            $label = match ($list->type) {
                NodeType::OrderedList => $list->int('start', 1) + $i . '.',
                NodeType::TaskList => '',
                default => self::BULLETS[$depth % 3],
            };
            [$mark, $body] = $this->listItem($tag);
            foreach ($item->content as $k => $node) {
                if ($node->type->isList()) {
                    array_push($groups, ...$this->within($body, fn(): array => $this->list($node, $inner, $depth + 1, $width)));
                    continue;
                }
                $made
                    = $this->within($body, fn(): array => $node->type === NodeType::Paragraph
                        ? [$this->paragraph($node->content, $k === 0 ? $this->behind($label, $setting) : $setting, 3.0, $width)]
                        : $this->block($node, $inner, false, $width));
                if ($k === 0 && $made !== [] && $made[0]->lines !== []) {
                    $list->type === NodeType::TaskList
                        ? $this->box($made[0]->lines[0], $setting, ($item->attrs['checked'] ?? false) === true)
                        : $this->label($made[0]->lines[0], $label, $setting, $mark);
                }
                array_push($groups, ...$made);
            }
        }
        if ($groups !== [] && $depth === 0) {
            $groups[\count($groups) - 1]->after = max(3.0, $this->document->style->gap);
        }

        return $groups;
    }

    /** The box of a check list, drawn, as few fonts hold one. */
    private function box(Line $line, Setting $setting, bool $isChecked): void
    {
        $side = $setting->size * 0.72;
        [$x, $y] = [$setting->indent - self::LABEL, $line->ascent - $side];
        $these = [[$x, $y, $side, 0.0], [$x, $y + $side, $side, 0.0], [$x, $y, 0.0, $side], [$x + $side, $y, 0.0, $side]];
        foreach ($these as [$left, $top, $wide, $high]) {
            $line->pieces[] = new Piece(Piece::BOX, $left, $top, max(0.6, $wide), max(0.6, $high), colour: $setting->colour);
        }
        if ($isChecked) {
            $line->pieces[] = new Piece(
                Piece::BOX,
                $x + $side * 0.25,
                $y + $side * 0.25,
                $side * 0.55,
                $side * 0.55,
                colour: $setting->colour,
            );
        }
    }

    private function code(Node $node, float $indent, ?float $width): Group
    {
        $setting = new Setting('mono', $this->document->style->smallSize(), 1.05, indent: $indent + 6.0, ground: Style::GROUND);
        $lines = [];
        foreach (explode("\n", $node->plainText()) as $line) {
            array_push($lines, ...$this->paragraphs->text($line, $setting, ($width ?? $this->width) - 6.0));
        }

        return new Group(Structure::tag($lines, $this->structure->add('P', $this->parent)), 2.0, 8.0);
    }

    private function table(Node $table, float $indent): Group
    {
        return (new Tables($this, $this->faces, $this->text, $this->structure))->of($table, $indent, $this->width, $this->parent);
    }

    /**
     * A table within a cell: its cells one after the other.
     *
     * @return list<Group>
     */
    private function flattened(Node $table, float $indent, float $width): array
    {
        $groups = [];
        foreach ($table->content as $row) {
            foreach ($row->content as $cell) {
                foreach ($cell->content as $node) {
                    array_push($groups, ...$this->block($node, $indent, false, $width));
                }
            }
        }

        return $groups;
    }
}
