<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\TopicLink;
use Embrel\Writer\Losses;

/** A document as HTML of our own making: every text is escaped, every link was checked by the schema. */
final class HtmlWriter
{
    private const TAGS = [
        'paragraph' => 'p',
        'bulletList' => 'ul',
        'taskList' => 'ul',
        'listItem' => 'li',
        'taskItem' => 'li',
        'blockquote' => 'blockquote',
        'table' => 'table',
        'tableRow' => 'tr',
        'tableCell' => 'td',
        'tableHeader' => 'th',
    ];
    private const MARKS = [
        'bold' => 'strong',
        'italic' => 'em',
        'underline' => 'u',
        'strike' => 's',
        'highlight' => 'mark',
        'superscript' => 'sup',
        'subscript' => 'sub',
        'code' => 'code',
    ];

    /** @var list<string> */
    private array $footnotes = [];

    /** @var array<string, string> topic → where it is found: the page, if it is another, and its name there */
    private array $places = [];
    /** @var array<int, string> */
    private array $marks = [];
    private readonly string $end;

    /**
     * @param (\Closure(string): (string|null))|null $address where a picture is seen, by its id; null: pictures are left out
     * @param bool                                   $isXml   whether it must be XML too
     * @param bool                                   $isFile  whether it leaves the application: then links stay in their window
     */
    public function __construct(
        private readonly Losses $losses = new Losses(),
        private readonly ?\Closure $address = null,
        bool $isXml = false,
        private readonly bool $isFile = false,
    ) {
        $this->end = $isXml ? '/>' : '>';
    }

    /**
     * @param array<string, string> $places topic → address, for a document that is divided into pages
     */
    public function withPlaces(array $places): self
    {
        $this->places = $places;

        return $this;
    }

    /** @param array<int, string> $marks what stands before an element, by the number of the object (spl_object_id) */
    public function withMarks(array $marks): self
    {
        $this->marks = $marks;

        return $this;
    }

    /** The elements as a fragment, without title and contents. */
    public function body(Document $document): string
    {
        $this->losses->also($document->missing);
        foreach ($document->elements as $element) {
            $this->places[$element->topic] ??=
                $element->anchor === null && $element->role !== Role::Heading
                    ? ''
                    : '#' . ($element->anchor ?? new Anchor($element->topic))->name();
        }

        return $this->elements($document->elements);
    }

    /** @param list<Element> $elements */
    public function elements(array $elements): string
    {
        $html = '';
        $items = 0;
        foreach ($elements as $element) {
            for (; $items > ($element->role === Role::Heading ? 0 : $element->level); --$items) {
                $html .= '</li></ul>';
            }
            if ($element->role === Role::Item) {
                $html .= $items === $element->level ? '</li>' : '';
                for (; $items < $element->level; ++$items) {
                    $html .= '<ul class="draft-items">' . ($items + 1 < $element->level ? '<li>' : '');
                }
            }
            $html .= ($this->marks[spl_object_id($element)] ?? '') . $this->element($element);
        }

        $html .= str_repeat('</li></ul>', $items) . $this->footnotes();
        $this->footnotes = [];

        return $html;
    }

    /** @param iterable<Node> $blocks */
    public function blocks(iterable $blocks): string
    {
        $this->footnotes = [];
        $html = '';
        foreach ($blocks as $block) {
            $html .= $this->node($block);
        }

        return $html . $this->footnotes();
    }

    /** @param list<Node> $inlines */
    public function inlines(array $inlines): string
    {
        return $this->nodes($inlines);
    }

    private function reference(Element $element): string
    {
        $label = $element->number === '' ? '' : '<span class="draft-label">' . self::escaped($element->number) . '</span> ';

        return "<p class=\"draft-reference\">{$label}" . $this->nodes($element->behindNumber()) . '</p>';
    }

    private function element(Element $element): string
    {
        $id
            = $element->anchor === null && $element->role !== Role::Heading
                ? ''
                : ' id="' . ($element->anchor ?? new Anchor($element->topic))->name() . '"';

        return match ($element->role) {
            Role::Heading => $this->heading($element, $id),
            Role::Picture => $this->picture($element),
            Role::Reference => $this->reference($element),
            Role::SeeAlso => '<p class="draft-see">' . $this->nodes($element->block->content ?? []) . '</p>',
            Role::Item => "<li{$id}>" . $this->numbered($element),
            Role::Quote => "<blockquote{$id}"
                . ($element->inQuote ? ' class="draft-quote"' : '')
                . '><p>'
                . self::escaped($element->title)
                . '</p></blockquote>',
            default => $element->anchor !== null ? "<p{$id}>" . self::escaped($element->title) . '</p>' : $this->bodyBlock($element),
        };
    }

    private function picture(Element $element): string
    {
        $address = $element->picture === null || $this->address === null ? null : ($this->address)($element->picture->id);
        if ($element->picture === null || $address === null) {
            $this->losses->note('topicPicture');

            return '';
        }

        return '<figure class="draft-picture" data-topic=""><img src="'
            . self::escaped($address)
            . '" width="'
            . (int) ($element->picture->shown * Style::PICTURE)
            . '" alt="'
            . self::escaped($element->title)
            . "\"{$this->end}</figure>";
    }

    private function bodyBlock(Element $element): string
    {
        $html = $element->block === null ? '' : $this->node($element->block);

        return $element->inQuote ? "<blockquote class=\"draft-quoted\">{$html}</blockquote>" : $html;
    }

    private function heading(Element $element, string $id): string
    {
        // HTML has six levels, the first of which is the title's.
        $tag = $element->level > 5 ? 'div' : 'h' . ($element->level + 1);
        $deep = $element->level > 5 ? ' role="heading" aria-level="' . ($element->level + 1) . '"' : '';
        $colour = $this->isFile && $element->dye !== '' ? " data-dye=\"{$element->dye}\"" : '';

        return "<{$tag}{$id}{$deep}{$colour} class=\"draft-heading draft-heading-{$element->level}\">"
            . $this->numbered($element)
            . "</{$tag}>";
    }

    /** A drawing that says nothing by itself; in the colour of its text, or of its section where that is dyed. */
    private static function sign(Element $element): string
    {
        return $element->sign === null
            ? ''
            : ' <svg xmlns="http://www.w3.org/2000/svg" class="draft-sign" viewBox="0 0 24 24" width="20" height="20" aria-hidden="true" '
                . 'fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">'
                . "<path d=\"{$element->sign->form()}\"/></svg>";
    }

    private function numbered(Element $element): string
    {
        $number = $element->number === '' ? '' : '<span class="draft-number">' . self::escaped($element->number) . '</span> ';

        return $number
            . (!$this->isFile ? self::escaped($element->title) : '<span class="draft-title">' . self::escaped($element->title) . '</span>')
            . self::sign($element);
    }

    private function node(Node $node): string
    {
        $tag = self::TAGS[$node->type->value] ?? null;
        if ($tag !== null) {
            return $this->wrapped($tag, $node);
        }

        return match ($node->type) {
            NodeType::Text => $this->run($node),
            NodeType::HardBreak => "<br{$this->end}",
            NodeType::Heading => '<p class="note-heading note-heading-'
                . $node->int('level', 1)
                . ($this->isFile
                    ? '" role="heading" aria-level="' . ($node->int('level', 1) + 3) . '" data-level="' . $node->int('level', 1)
                    : '')
                . '">'
                . $this->nodes($node->content)
                . '</p>',
            NodeType::OrderedList => '<ol start="' . $node->int('start', 1) . '">' . $this->nodes($node->content) . '</ol>',
            NodeType::CodeBlock => '<pre class="code"><code>' . $this->nodes($node->content) . '</code></pre>',
            NodeType::HorizontalRule => "<hr{$this->end}",
            // In what the writer sees alone: nothing that is handed over has one.
            NodeType::Question => '<p class="question">' . $this->nodes($node->content) . '</p>',
            NodeType::Footnote => $this->footnote($node),
            NodeType::Picture => $this->notePicture($node),
            default => '',
        };
    }

    private function wrapped(string $tag, Node $node): string
    {
        if ($node->type === NodeType::TaskItem) {
            return $this->wrapped($tag, new Node(NodeType::ListItem, [], self::checked($node)));
        }
        // A list item that is one paragraph reads as one line.
        $content
            = $tag === 'li' && \count($node->content) === 1 && $node->content[0]->type === NodeType::Paragraph
                ? $node->content[0]->content
                : $node->content;

        return "<{$tag}>" . $this->nodes($content) . "</{$tag}>";
    }

    /** @return list<Node> the blocks of a check list's item, with its box before the first words */
    private static function checked(Node $item): array
    {
        $box = Node::text(($item->attrs['checked'] ?? false) === true ? '☑ ' : '☐ ');
        $first = $item->content[0] ?? null;

        return $first?->type === NodeType::Paragraph
            ? [Node::paragraph([$box, ...$first->content]), ...\array_slice($item->content, 1)]
            : [Node::paragraph([$box]), ...$item->content];
    }

    /** A raised number that leads to the note at the end. */
    private function footnote(Node $node): string
    {
        $n = \count($this->footnotes) + 1;
        $this->footnotes[] = $this->nodes($node->content);

        return "<sup><a{$this->role('noteref')} href=\"#note-{$n}\" id=\"noted-{$n}\">{$n}</a></sup>";
    }

    /** What it is by the roles of digital publishing (DPUB-ARIA 1.1), in a page of its own. */
    private function role(string $name): string
    {
        return $this->isFile ? " role=\"doc-{$name}\"" : '';
    }

    private function footnotes(): string
    {
        $html = '';
        foreach ($this->footnotes as $i => $text) {
            $n = $i + 1;
            $html .= "<li id=\"note-{$n}\">{$text} <a{$this->role(
                'backlink',
            )} href=\"#noted-{$n}\" aria-label=\"Back to the text\">↩</a></li>";
        }

        return $html === '' ? '' : "<section class=\"draft-footnotes\"{$this->role('endnotes')}><ol>{$html}</ol></section>";
    }

    private function notePicture(Node $node): string
    {
        $caption = self::escaped($node->string('caption') ?? '');
        $alt = self::escaped($node->string('alt') ?? '');
        $id = $node->string('picture');
        $address = $id === null || $this->address === null ? null : ($this->address)($id);
        if ($address === null) {
            $this->losses->note('picture');

            return '<p class="draft-picture">' . ($caption === '' ? $alt : $caption) . '</p>';
        }
        $width = $node->int('width', 0);

        return '<figure class="draft-picture">'
            . $this->linked(
                $node,
                '<img src="' . self::escaped($address) . '"' . ($width > 0 ? " width=\"{$width}\"" : '') . " alt=\"{$alt}\"{$this->end}",
            )
            . ($caption === '' ? '' : "<figcaption>{$caption}</figcaption>")
            . '</figure>';
    }

    private function linked(Node $picture, string $img): string
    {
        $href = $picture->string('href');

        return $href === null ? $img : '<a href="' . self::escaped($href) . "\">{$img}</a>";
    }

    /** @param list<Node> $nodes */
    private function nodes(array $nodes): string
    {
        return implode('', array_map($this->node(...), $nodes));
    }

    private function run(Node $node): string
    {
        $html = self::escaped($node->text);
        foreach ($node->marks as $mark) {
            $html
                = $mark->type === MarkType::Link
                    ? '<a href="'
                        . self::escaped($this->place($mark->attrs['href']))
                        . '"'
                        . ($this->isFile || $mark->attrs['href'][0] === '#' ? '' : ' rel="noopener noreferrer" target="_blank"')
                        . ">{$html}</a>"
                    : self::marked($mark->type, $html);
        }

        return $html;
    }

    private static function marked(MarkType $mark, string $html): string
    {
        $tag = self::MARKS[$mark->value] ?? null;

        return $tag === null ? "<span class=\"scaffold\">{$html}</span>" : "<{$tag}>{$html}</{$tag}>";
    }

    private function place(string $href): string
    {
        $topic = TopicLink::of($href);

        return $topic === null ? $href : ($this->places[$topic] ?? '' ?: $href);
    }

    public static function escaped(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5, 'UTF-8');
    }
}
