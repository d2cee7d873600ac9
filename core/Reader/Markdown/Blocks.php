<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use Embrel\Intake\Growing;
use Embrel\RichText\Mark;
use Embrel\RichText\Node;
use Embrel\RichText\Schema;
use Embrel\RichText\Text;
use League\CommonMark\Extension\CommonMark\Node\Block as CommonBlock;
use League\CommonMark\Extension\CommonMark\Node\Inline as CommonInline;
use League\CommonMark\Extension\Strikethrough\Strikethrough;
use League\CommonMark\Extension\Table;
use League\CommonMark\Node\Block\Paragraph;
use League\CommonMark\Node\Inline\Newline;
use League\CommonMark\Node\Inline\Text as MarkdownText;
use League\CommonMark\Node\Node as MarkdownNode;
use League\CommonMark\Node\StringContainerInterface;

/** Markdown's blocks and inlines as those of a note. A picture in a line stands as a block of its own. */
final class Blocks
{
    private const MARKS = [CommonInline\Strong::class => 'bold', CommonInline\Emphasis::class => 'italic', Strikethrough::class => 'strike', CommonInline\Code::class => 'code'];

    public function __construct(private readonly Growing $growing) {}

    /**
     * A heading: its text without signs and raw HTML, and the pictures that stood in it, which are
     * for its note. Where there is nothing but pictures, their descriptions are the text.
     *
     * @return array{string, list<Node>}
     */
    public function title(MarkdownNode $node): array
    {
        $text = $described = '';
        $pictures = [];
        foreach ($this->inlines($node, []) as $inline) {
            if ($inline->type === 'picture') {
                $pictures[] = $inline;
                $described .= ' ' . $inline->string('alt');
            } else {
                $text .= $inline->plainText();
            }
        }

        return [self::oneLine(trim($text) === '' ? $described : $text), $pictures];
    }

    private static function oneLine(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    /** @return list<Node> */
    public function of(MarkdownNode $node): array
    {
        return match (true) {
            $node instanceof Paragraph => $this->paragraphs($this->inlines($node, [])),
            $node instanceof CommonBlock\Heading => [new Node('heading', ['level' => min(3, $node->getLevel())], array_values(array_filter($this->inlines($node, []), static fn(Node $one): bool => $one->type !== 'picture')))],
            $node instanceof CommonBlock\ListBlock => $this->list($node),
            $node instanceof CommonBlock\BlockQuote => $this->wrapped('blockquote', $node),
            $node instanceof CommonBlock\FencedCode, $node instanceof CommonBlock\IndentedCode => [$this->code($node->getLiteral())],
            $node instanceof CommonBlock\ThematicBreak => [new Node('horizontalRule')],
            $node instanceof Table\Table => $this->table($node),
            default => $this->other($node),
        };
    }

    private function code(string $text): Node
    {
        $text = rtrim(Text::cleaned($text), "\n");

        return new Node('codeBlock', [], $text === '' ? [] : [Node::text($text)]);
    }

    /** @return list<Node> */
    private function other(MarkdownNode $node): array
    {
        $blocks = [];
        foreach (Html::parts($node) ?? [] as $part) {
            $blocks[] = $part instanceof Node ? $part : new Node('heading', ['level' => min(3, $part['level'])], $part['title'] === '' ? [] : [Node::text($part['title'])]);
        }

        return $blocks;
    }

    /** @return list<Node> */
    private function list(CommonBlock\ListBlock $list): array
    {
        $items = [];
        foreach ($list->children() as $item) {
            $items[] = new Node('listItem', [], $this->children($item));
        }
        $ordered = $list->getListData()->type === CommonBlock\ListBlock::TYPE_ORDERED;

        return $items === [] ? [] : [new Node($ordered ? 'orderedList' : 'bulletList', $ordered ? ['start' => max(0, min(1_000_000, (int) $list->getListData()->start))] : [], $items)];
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
    private function wrapped(string $type, MarkdownNode $node): array
    {
        return [new Node($type, [], $this->children($node))];
    }

    /** @return list<Node> */
    private function table(Table\Table $table): array
    {
        $rows = [];
        foreach ($table->iterator() as $row) {
            if (!$row instanceof Table\TableRow) {
                continue;
            }
            $cells = [];
            foreach ($row->children() as $cell) {
                $header = $cell instanceof Table\TableCell && $cell->getType() === Table\TableCell::TYPE_HEADER;
                $blocks = $this->paragraphs($this->inlines($cell, []));
                $cells[] = new Node($header ? 'tableHeader' : 'tableCell', [], $blocks === [] ? [Node::paragraph([])] : $blocks);
            }
            if ($cells !== []) {
                $rows[] = new Node('tableRow', [], $cells);
            }
        }

        return $rows === [] ? [] : [new Node('table', [], $rows)];
    }

    /**
     * @param list<Node> $inlines pictures among them
     *
     * @return list<Node> paragraphs, and pictures between them
     */
    private function paragraphs(array $inlines): array
    {
        $blocks = [];
        $run = [];
        foreach ([...$inlines, null] as $inline) {
            if ($inline !== null && $inline->type !== 'picture') {
                $run[] = $inline;
                continue;
            }
            if (trim(implode('', array_map(static fn(Node $one): string => $one->plainText(), $run))) !== '') {
                $blocks[] = Node::paragraph($run);
            }
            if ($inline !== null) {
                $blocks[] = $inline;
            }
            $run = [];
        }

        return $blocks;
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
                array_push($out, ...$html->made());
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
            $node instanceof Newline => $node->getType() === Newline::HARDBREAK ? [new Node('hardBreak')] : [Node::text(' ', $marks)],
            $node instanceof CommonInline\Link => $this->link($node, $marks),
            $node instanceof CommonInline\Image => [$this->picture($node, $marks)],
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
            $out[$mark->type] ??= $mark;
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
            return $this->inlines($link, [...$marks, new Mark('link', ['href' => $href])]);
        }
        $this->growing->repaired('A link that is not an address of the web, mail or telephone was left out; its text stays.');

        return $this->inlines($link, $marks);
    }

    /** @param list<Mark> $marks */
    private function picture(CommonInline\Image $image, array $marks): Node
    {
        $alt = trim(implode('', array_map(static fn(Node $one): string => $one->plainText(), $this->inlines($image, []))));
        $this->growing->repaired('A picture stays where it is on the web; the note keeps its address and description.');

        return self::pictureAt($image->getUrl(), $alt, $marks);
    }

    /** @param list<Mark> $marks around it: a link becomes the picture's own */
    public static function pictureAt(string $src, string $alt, array $marks = []): Node
    {
        $href = null;
        foreach ($marks as $mark) {
            $href = $mark->type === 'link' ? $mark->attrs['href'] : $href;
        }

        return new Node('picture', array_filter([
            'src' => Schema::isSafeLink($src) ? $src : null,
            'href' => $href,
            'alt' => $alt === '' ? null : mb_strcut($alt, 0, 4000),
        ], static fn(?string $value): bool => $value !== null));
    }
}
