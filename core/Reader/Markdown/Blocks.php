<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use Embrel\Archive\Shelf;
use Embrel\Document\Anchor;
use Embrel\Document\Column;
use Embrel\Document\Reading;
use Embrel\Reader\Html\EmbeddedPictures;
use Embrel\Reader\Html\HtmlBlocks;
use Embrel\Reader\PicturePlace;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;
use Embrel\RichText\Text;
use League\CommonMark\Extension\CommonMark\Node\Block as CommonBlock;
use League\CommonMark\Extension\CommonMark\Node\Inline as CommonInline;
use League\CommonMark\Extension\Footnote\Node\Footnote;
use League\CommonMark\Extension\Footnote\Node\FootnoteRef;
use League\CommonMark\Extension\Strikethrough\Strikethrough;
use League\CommonMark\Extension\Table;
use League\CommonMark\Extension\TaskList\TaskListItemMarker;
use League\CommonMark\Node\Block\Paragraph;
use League\CommonMark\Node\Inline\Newline;
use League\CommonMark\Node\Inline\Text as MarkdownText;
use League\CommonMark\Node\Node as MarkdownNode;
use League\CommonMark\Node\StringContainerInterface;

/** Markdown's blocks and inlines as those of a note. A picture in a line stands as a block of its own. */
final class Blocks
{
    /** Stands, while a title is read, where the anchor of its topic stood. */
    private const HERE = "\u{E000}embrel\u{E000}";
    private const MARKS = [
        CommonInline\Strong::class => MarkType::Bold,
        CommonInline\Emphasis::class => MarkType::Italic,
        Strikethrough::class => MarkType::Strike,
        CommonInline\Code::class => MarkType::Code,
    ];

    /** @var array<string, Footnote>|null label → the footnote */
    private ?array $footnotes = null;
    private bool $isInFootnote = false;
    /** The topic that an anchor in the text at hand names. */
    private ?Anchor $anchor = null;

    public function __construct(
        private readonly Reading $reading,
        private readonly Shelf $shelf,
        private readonly HtmlBlocks $html,
        private readonly MarkdownNode $document,
    ) {}

    /**
     * The text of a heading or an item; where it carries a topic, that, and its title without the number before it.
     *
     * @return array{Flow, Anchor|null, string|null}
     */
    public function title(MarkdownNode $node): array
    {
        $this->anchor = null;
        $flow = new Flow();
        $before = '';
        foreach ($this->inlines($node, []) as $inline) {
            if ($inline->isText() && $inline->text === self::HERE) {
                $before = $flow->plainText();
                continue;
            }
            $inline->isText() ? $flow->text($inline->text, $inline->marks) : $flow->put($inline);
        }
        $anchor = $this->anchor;
        $this->anchor = null;

        return [$flow, $anchor, $before === '' ? null : substr($flow->plainText(), \strlen($before))];
    }

    /** @return list<Node> */
    public function of(MarkdownNode $node): array
    {
        $this->reading->count();

        return match (true) {
            $node instanceof Paragraph => Flow::divided($this->inlines($node, [])),
            $node instanceof CommonBlock\Heading => [
                new Node(
                    NodeType::Heading,
                    ['level' => min(3, $node->getLevel())],
                    array_values(array_filter($this->inlines($node, []), static fn(Node $one): bool => $one->type !== NodeType::Picture)),
                ),
            ],
            $node instanceof CommonBlock\ListBlock => $this->listOf($node, $node->children()),
            $node instanceof CommonBlock\BlockQuote => $this->wrapped(NodeType::Blockquote, $node),
            $node instanceof CommonBlock\FencedCode, $node instanceof CommonBlock\IndentedCode => [$this->code($node->getLiteral())],
            $node instanceof CommonBlock\ThematicBreak => [new Node(NodeType::HorizontalRule)],
            $node instanceof Table\Table => $this->table($node),
            $node instanceof CommonBlock\HtmlBlock => $this->raw($node->getLiteral()),
            default => [],
        };
    }

    /** @return list<Node> */
    private function raw(string $html): array
    {
        $column = new Column();
        $this->html->fragment($html, $column);

        return $column->take();
    }

    /**
     * @param iterable<MarkdownNode> $children items of the list
     *
     * @return list<Node>
     */
    public function listOf(CommonBlock\ListBlock $list, iterable $children): array
    {
        $items = [];
        foreach ($children as $item) {
            $items[] = $this->children($item);
        }
        $isOrdered = $list->getListData()->type === CommonBlock\ListBlock::TYPE_ORDERED;

        return $items === [] ? [] : [Column::list($items, $isOrdered, (int) ($list->getListData()->start ?? 1))];
    }

    private function code(string $text): Node
    {
        $text = rtrim(Text::cleaned($text), "\n");

        return new Node(NodeType::CodeBlock, [], $text === '' ? [] : [Node::text($text)]);
    }

    /** @return list<Node> at least one block */
    private function children(MarkdownNode $node): array
    {
        $blocks = [];
        foreach ($node->children() as $child) {
            array_push($blocks, ...$this->of($child));
        }

        return $blocks === [] ? [Node::paragraph([])] : $blocks;
    }

    /** @return list<Node> */
    private function wrapped(NodeType $type, MarkdownNode $node): array
    {
        return [new Node($type, [], $this->children($node))];
    }

    /** @return list<Node> */
    private function table(Table\Table $table): array
    {
        $rows = [];
        foreach ($table->iterator() as $row) {
            if (!($row instanceof Table\TableRow)) {
                continue;
            }
            $cells = [];
            foreach ($row->children() as $cell) {
                $header = $cell instanceof Table\TableCell && $cell->getType() === Table\TableCell::TYPE_HEADER;
                $blocks = Flow::divided($this->inlines($cell, []));
                $this->reading->count(2);
                $cells[] = Node::cell($header, $blocks);
            }
            if ($cells !== []) {
                $rows[] = new Node(NodeType::TableRow, [], $cells);
            }
        }

        return $rows === [] ? [] : [new Node(NodeType::Table, [], $rows)];
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Node>
     */
    private function inlines(MarkdownNode $parent, array $marks): array
    {
        $out = [];
        $html = new InlineHtml();
        foreach ($parent->children() as $node) {
            if ($node instanceof CommonInline\HtmlInline) {
                $html->tag($node->getLiteral());
                array_map($this->reading->name(...), $html->names());
                array_push($out, ...$this->made($html));
                continue;
            }
            if (!$html->isHidden()) {
                array_push($out, ...$this->inline($node, [...$marks, ...$html->marks()]));
            }
        }

        return $out;
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Node>
     */
    private function inline(MarkdownNode $node, array $marks): array
    {
        $mark = self::MARKS[$node::class] ?? null;
        if ($mark !== null) {
            $marks[] = new Mark($mark);
        }

        return match (true) {
            $node instanceof Newline => [
                $node->getType() === Newline::HARDBREAK ? new Node(NodeType::HardBreak) : Node::text(' ', $marks),
            ],
            $node instanceof TaskListItemMarker => [Node::text($node->isChecked() ? '☑ ' : '☐ ')],
            $node instanceof FootnoteRef => $this->footnote($node),
            $node instanceof CommonInline\Link => $this->link($node, $marks),
            $node instanceof CommonInline\Image => $this->picture($node, $marks),
            $node instanceof MarkdownText, $node instanceof CommonInline\Code => $this->text($node, $marks),
            default => $this->inlines($node, $marks),
        };
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Node>
     */
    private function text(StringContainerInterface $node, array $marks): array
    {
        $text = Text::cleaned($node->getLiteral());

        return $text === '' ? [] : [Node::text($text, self::once($marks))];
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Mark> each kind once
     */
    private static function once(array $marks): array
    {
        $out = [];
        foreach ($marks as $mark) {
            $out[$mark->type->value] ??= $mark;
        }

        return array_values($out);
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Node>
     */
    private function link(CommonInline\Link $link, array $marks): array
    {
        $href = $link->getUrl();
        if (Schema::isSafeLink($href)) {
            return $this->inlines($link, [...$marks, new Mark(MarkType::Link, ['href' => $href])]);
        }
        $this->reading->remark('A link that is not an address of the web, mail or telephone was left out; its text stays.');

        return $this->inlines($link, $marks);
    }

    /**
     * Its words stand where its sign is.
     *
     * @return list<Node>
     */
    private function footnote(FootnoteRef $sign): array
    {
        if ($this->footnotes === null) {
            $this->footnotes = [];
            foreach ($this->document->iterator() as $node) {
                $node instanceof Footnote ? ($this->footnotes[$node->getReference()->getLabel()] = $node) : null;
            }
        }
        $note = $this->footnotes[$sign->getReference()->getLabel()] ?? null;
        if ($note === null || $this->isInFootnote) {
            return [];
        }
        $this->isInFootnote = true;
        $inlines = [];
        foreach ($note->children() as $child) {
            $inlines = [
                ...$inlines,
                ...$inlines === [] ? [] : [new Node(NodeType::HardBreak)],
                ...array_values(
                    array_filter(
                        $this->inlines($child, []),
                        static fn(Node $one): bool => $one->type !== NodeType::Picture && $one->type !== NodeType::Footnote,
                    ),
                ),
            ];
        }
        $this->isInFootnote = false;
        $flow = new Flow();
        foreach ($inlines as $one) {
            $one->isText() ? $flow->text($one->text, $one->marks) : $flow->put($one);
        }

        return $flow->nodes() === [] ? [] : [new Node(NodeType::Footnote, [], $flow->nodes())];
    }

    /** @return list<Node> what the tags since the last call stand for; an anchor of a topic leaves a sign of where it stood */
    private function made(InlineHtml $html): array
    {
        $made = [];
        foreach ($html->made() as $one) {
            if (\is_array($one)) {
                array_push($made, ...$this->pictureAt($one['src'], $one['alt'], $one['marks'], $one['width'], $one['caption']));
            } elseif ($one instanceof Anchor) {
                $this->anchor = $one;
                $made[] = Node::text(self::HERE);
            } else {
                $made[] = $one;
            }
        }

        return $made;
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Node>
     */
    private function picture(CommonInline\Image $image, array $marks): array
    {
        $alt = trim(implode('', array_map(static fn(Node $one): string => $one->plainText(), $this->inlines($image, []))));

        return $this->pictureAt($image->getUrl(), $alt, $marks, 0, (string) $image->getTitle());
    }

    /**
     * @param list<Mark> $marks around it: a link becomes the picture's own
     *
     * @return list<Node>
     */
    private function pictureAt(string $src, string $alt, array $marks, int $width, string $caption = ''): array
    {
        $attrs = array_filter(
            ['alt' => mb_strcut($alt, 0, 4000), 'caption' => mb_strcut($caption, 0, 8000)],
            static fn(string $one): bool => $one !== '',
        );
        foreach ($marks as $mark) {
            $attrs += $mark->type === MarkType::Link ? ['href' => $mark->attrs['href']] : [];
        }
        $id = str_starts_with($src, EmbeddedPictures::SCHEME) ? substr($src, \strlen(EmbeddedPictures::SCHEME)) : null;
        $picture
            = $id === null
                ? PicturePlace::onTheWeb($src, $attrs, $this->reading)
                : PicturePlace::of($id, $width, $attrs, $this->shelf, $this->reading);

        return $picture === null ? [] : [$picture];
    }
}
