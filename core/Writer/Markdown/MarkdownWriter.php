<?php

declare(strict_types=1);

namespace Embrel\Writer\Markdown;

use Embrel\Archive\Xml;
use Embrel\Document\Anchor;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\TopicLink;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** Markdown (CommonMark with tables and strikethrough): the title at level 1, main sections at level 2. */
final class MarkdownWriter implements Writer
{
    private const LEVELS = 5;
    private const SIGNS = [
        'bold' => ['**', '**'],
        'italic' => ['*', '*'],
        'strike' => ['~~', '~~'],
        'underline' => ['<u>', '</u>'],
        'highlight' => ['<mark>', '</mark>'],
        'superscript' => ['<sup>', '</sup>'],
        'subscript' => ['<sub>', '</sub>'],
    ];

    private Losses $losses;
    /** @var list<string> */
    private array $footnotes = [];

    private bool $isMarked = false;
    private bool $isInTable = false;
    /** Whether the list at hand has the other of two signs: lists with the same one, right after each other, are one. */
    private bool $isOther = false;

    /** @param (\Closure(string): (string|null))|null $address the file of a picture, by its id; null: pictures are left out */
    public function __construct(private readonly ?\Closure $address = null) {}

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $this->losses = new Losses();
        $depth = min($choices->draft->headingDepth, self::LEVELS);
        $document = Draft::of($plan, $choices->drafted(['headingDepth' => $depth, 'contents' => false]));
        $this->isMarked = $choices->draft->marks ?? false;
        $origin = $this->isMarked && $document->origin !== null ? "<a id=\"{$document->origin->name()}\"></a>" : '';
        fwrite($out, "# {$origin}" . self::escaped($document->title) . "\n");
        $before = null;
        foreach ($document->elements as $element) {
            $this->isOther = self::areLists($before?->block, $element->block) && !$this->isOther;
            $tight = $element->role === Role::Item && $before?->role === Role::Item;
            fwrite($out, ($tight ? '' : "\n") . $this->element($element));
            $before = $element;
        }

        foreach ($this->footnotes as $i => $text) {
            fwrite($out, "\n[^" . ($i + 1) . "]: {$text}\n");
        }
        $this->losses->also($document->missing);

        return $this->losses->sentences();
    }

    private function element(Element $element): string
    {
        $title = self::ended($this->titled($element));

        return match ($element->role) {
            Role::Heading => str_repeat('#', $element->level + 1) . " {$title}\n",
            Role::Item => str_repeat('  ', $element->level - 1) . "- {$title}\n",
            Role::Quote => $this->indented('> ' . $title, $element->level),
            Role::Picture => $this->topicPicture($element),
            default => $this->body($element),
        };
    }

    /** Number and title, between them the anchor by which a topic is found again. */
    private function titled(Element $element): string
    {
        $number = $element->number === '' ? '' : self::escaped($element->number) . ' ';
        $anchor
            = $this->isMarked && ($element->anchor !== null || $element->role === Role::Heading)
                ? '<a id="' . ($element->anchor ?? new Anchor($element->topic))->name() . '"></a>'
                : '';
        if ($anchor !== '') {
            return self::unlisted($number) . $anchor . self::escaped($element->title);
        }

        return self::unlisted($number . self::escaped($element->title));
    }

    /** What begins like a list, a heading or a quotation and is none. */
    private static function unlisted(string $text): string
    {
        return preg_replace(
            ['/\A(\d+)([.)])(?=\s|\z)/', '/\A([-+#])(?=\s|\z)/', '/\A([-=]+\s*)\z/'],
            ['$1\\\\$2', '\\\\$1', '\\\\$1'],
            $text,
        ) ?? $text;
    }

    /** Signs at the end of a heading that would be taken for its end. */
    private static function ended(string $text): string
    {
        return preg_replace('/(#+)(\s*)\z/', '\\\\$1$2', $text) ?? $text;
    }

    private function topicPicture(Element $element): string
    {
        $file = $element->picture === null || $this->address === null ? null : ($this->address)($element->picture->id);
        if ($file === null) {
            $this->losses->note('topicPicture');

            return '';
        }

        return $this->indented('![' . self::escaped($element->title) . "](<{$file}>)", $element->level);
    }

    private function body(Element $element): string
    {
        $text = $element->block === null ? '' : $this->block($element->block);

        return $this->indented($element->inQuote ? self::prefixed('> ', $text) : $text, $element->level);
    }

    private function indented(string $text, int $items): string
    {
        return self::prefixed(str_repeat('  ', $items), $text) . "\n";
    }

    private static function prefixed(string $prefix, string $text): string
    {
        return $prefix . str_replace("\n", "\n" . $prefix, $text);
    }

    private function block(Node $node): string
    {
        return match ($node->type) {
            NodeType::Paragraph => self::plain($this->inlines($node->content)),
            // Not a heading of the document: it would be read as a topic.
            NodeType::Heading => $this->boldLine($node),
            NodeType::BulletList, NodeType::TaskList => $this->items($node, fn(int $i): string => $this->isOther ? '* ' : '- '),
            NodeType::OrderedList => $this->items(
                $node,
                fn(int $i): string => $node->int('start', 1) + $i . ($this->isOther ? ') ' : '. '),
            ),
            NodeType::Blockquote => self::prefixed('> ', $this->blocks($node->content)),
            NodeType::CodeBlock => "```\n" . $node->plainText() . "\n```",
            NodeType::HorizontalRule => '---',
            NodeType::Table => $this->table($node),
            NodeType::Picture => $this->picture($node),
            default => '',
        };
    }

    /** A paragraph, none of whose lines is taken for anything else. */
    private static function plain(string $text): string
    {
        $text = preg_replace('/^(\s*)(\d+)([.)])(?=\s|$)/m', '$1$2\\\\$3', $text) ?? $text;

        return preg_replace('/^(\s*)([-+*#>=]|#{2,6}|[-=]{2,})(?=\s|$)/m', '$1\\\\$2', $text) ?? $text;
    }

    private function boldLine(Node $heading): string
    {
        $this->losses->note('noteHeading');
        $runs = array_map(
            static fn(Node $run): Node => $run->isText() && !$run->has(MarkType::Code)
                ? Node::text(
                    $run->text,
                    [...array_filter($run->marks, static fn($mark): bool => $mark->type !== MarkType::Bold), new Mark(MarkType::Bold)],
                )
                : $run,
            $heading->content,
        );

        return $this->inlines($runs);
    }

    /** @param list<Node> $nodes */
    private function blocks(array $nodes): string
    {
        $text = '';
        foreach ($nodes as $i => $node) {
            // A numbered list that does not start with 1 must not touch the paragraph above it.
            $isList
                = in_array($node->type, [NodeType::BulletList, NodeType::TaskList], true)
                    || ($node->type === NodeType::OrderedList && $node->int('start', 1) === 1);
            $tight = $i > 0 && $isList && $nodes[$i - 1]->type === NodeType::Paragraph;
            $this->isOther = self::areLists($nodes[$i - 1] ?? null, $node) && !$this->isOther;
            $text .= ($i === 0 ? '' : ($tight ? "\n" : "\n\n")) . $this->block($node);
        }

        return $text;
    }

    private static function areLists(?Node $one, ?Node $other): bool
    {
        return $one?->type->isList() === true && $other?->type->isList() === true;
    }

    /** @param \Closure(int): string $sign */
    private function items(Node $list, \Closure $sign): string
    {
        $lines = [];
        $isOther = $this->isOther;
        foreach ($list->content as $i => $item) {
            $this->isOther = $isOther;
            $mark = $sign($i);
            $check = $item->type === NodeType::TaskItem ? (($item->attrs['checked'] ?? false) === true ? '[x] ' : '[ ] ') : '';
            $lines[] = $mark . str_replace("\n", "\n" . str_repeat(' ', \strlen($mark)), $check . $this->blocks($item->content));
        }

        $this->isOther = $isOther;

        return implode("\n", $lines);
    }

    private function table(Node $table): string
    {
        $lines = [];
        $this->isInTable = true;
        foreach ($table->content as $i => $row) {
            $cells = array_map(fn(Node $cell): string => str_replace("\n", ' ', $this->blocks($cell->content)), $row->content);
            $lines[] = '| ' . implode(' | ', $cells) . ' |';
            if ($i === 0) {
                $lines[] = '|' . str_repeat(' --- |', \count($cells));
            }
        }

        $this->isInTable = false;

        return implode("\n", $lines);
    }

    private function picture(Node $node): string
    {
        $alt = self::escaped($node->string('alt') ?? ($node->string('caption') ?? ''));
        if ($node->string('src') !== null) {
            return "![{$alt}](<" . $node->string('src') . '>)';
        }
        $id = $node->string('picture');
        $file = $id === null || $this->address === null ? null : ($this->address)($id);
        if ($file === null) {
            $this->losses->note('picture');

            return self::escaped($node->string('caption') ?? '') ?: $alt;
        }
        $caption = $node->string('caption');
        $alt = self::escaped($node->string('alt') ?? '');
        $width = $node->int('width', 0);
        // Markdown has no width: HTML has.
        $image
            = $width > 0
                ? "<img src=\"{$file}\" alt=\""
                    . Xml::escaped($node->string('alt') ?? '')
                    . "\" width=\"{$width}\""
                    . ($caption === null ? '' : ' title="' . Xml::escaped($caption) . '"')
                    . '>'
                : "![{$alt}](<{$file}>" . ($caption === null ? '' : ' "' . str_replace(['\\', '"'], ['\\\\', '\"'], $caption) . '"') . ')';

        return $node->string('href') === null ? $image : "[{$image}](<{$node->string('href')}>)";
    }

    /** @param list<Node> $nodes */
    private function inlines(array $nodes): string
    {
        return implode(
            '',
            array_map(
                fn(Node $node): string => match ($node->type) {
                    NodeType::Text => $this->run($node),
                    NodeType::HardBreak => "\\\n",
                    NodeType::Footnote => $this->footnote($node),
                    default => '',
                },
                $nodes,
            ),
        );
    }

    /** As most readers of Markdown know it: a sign in the text, the words at the end. */
    private function footnote(Node $node): string
    {
        $this->footnotes[] = str_replace("\n", ' ', $this->inlines($node->content));

        return '[^' . \count($this->footnotes) . ']';
    }

    private function run(Node $node): string
    {
        if ($node->has(MarkType::Code)) {
            $fence = str_repeat('`', 1 + max([0, ...array_map(\strlen(...), preg_match_all('/`+/', $node->text, $m) > 0 ? $m[0] : [])]));
            $space = str_starts_with($node->text, '`') || str_ends_with($node->text, '`') ? ' ' : '';
        }
        // Signs must touch the words: white space at the ends moves outside.
        preg_match('/\A(\s*)(.*?)(\s*)\z/su', $node->text, $m);
        [, $before, $inner, $after] = $m + ['', '', $node->text, ''];
        $inner
            = $inner === ''
                ? ''
                : (isset($fence, $space)
                    ? $fence . $space . ($this->isInTable ? str_replace('|', '\|', $inner) : $inner) . $space . $fence
                    : self::escaped($inner));
        foreach ($inner === '' ? [] : $node->marks as $mark) {
            if ($mark->type === MarkType::Link) {
                $href = $mark->attrs['href'];
                // Without anchors a reference is its words.
                $inner = TopicLink::of($href) !== null && !$this->isMarked ? $inner : "[{$inner}](<{$href}>)";
            } elseif (isset(self::SIGNS[$mark->type->value])) {
                [$open, $close] = $this->signs($mark->type->value, $m[2] ?? '');
                $inner = $open . $inner . $close;
            }
        }

        return $before . $inner . $after;
    }

    /**
     * @return array{string, string} as tags where the text begins or ends with a mark, beside which signs do not count (CommonMark 0.31, 6.2)
     */
    private function signs(string $mark, string $text): array
    {
        $tags = ['bold' => ['<b>', '</b>'], 'italic' => ['<i>', '</i>'], 'strike' => ['<s>', '</s>']];
        $isWord = preg_match('/\A[\p{L}\p{N}].*[\p{L}\p{N}]\z|\A[\p{L}\p{N}]\z/su', $text) === 1;

        return isset($tags[$mark]) && !$isWord ? $tags[$mark] : self::SIGNS[$mark];
    }

    private static function escaped(string $text): string
    {
        return preg_replace('/([\\\\`*_\[\]<>~|])|(&)(?=[#a-z])/iu', '\\\\$1$2', $text) ?? $text;
    }
}
