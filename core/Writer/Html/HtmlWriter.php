<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\RichText\Node;
use Embrel\Writer\Losses;

/** A document as HTML of our own making: every text is escaped, every link was checked by the schema. */
final class HtmlWriter
{
    private const TAGS = [
        'paragraph' => 'p', 'bulletList' => 'ul', 'taskList' => 'ul', 'listItem' => 'li', 'taskItem' => 'li', 'blockquote' => 'blockquote',
        'table' => 'table', 'tableRow' => 'tr', 'tableCell' => 'td', 'tableHeader' => 'th',
    ];
    private const MARKS = [
        'bold' => 'strong', 'italic' => 'em', 'underline' => 'u', 'strike' => 's', 'highlight' => 'mark',
        'superscript' => 'sup', 'subscript' => 'sub', 'code' => 'code',
    ];

    /** @var list<string> */
    private array $footnotes = [];

    /** @param (\Closure(string): string)|null $address where a picture is seen, by its id; null: pictures are left out */
    public function __construct(private readonly Losses $losses = new Losses(), private readonly ?\Closure $address = null) {}

    /** The elements as a fragment, without title and contents. */
    public function body(Document $document): string
    {
        $this->losses->also($document->missing);
        $html = '';
        $items = 0;
        foreach ($document->elements as $element) {
            for (; $items > ($element->role === Element::HEADING ? 0 : $element->level); --$items) {
                $html .= '</li></ul>';
            }
            if ($element->role === Element::ITEM) {
                $html .= $items === $element->level ? '</li>' : '';
                for (; $items < $element->level; ++$items) {
                    $html .= '<ul class="draft-items">' . ($items + 1 < $element->level ? '<li>' : '');
                }
            }
            $html .= $this->element($element);
        }

        return $html . str_repeat('</li></ul>', $items) . $this->footnotes();
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

    private function element(Element $element): string
    {
        $id = ' id="_e' . $element->topic . '"';

        return match ($element->role) {
            Element::HEADING => $this->heading($element, $id),
            Element::PICTURE => $this->picture($element),
            Element::REFERENCE => '<p class="draft-reference">' . $this->nodes($element->block->content ?? []) . '</p>',
            Element::ITEM => "<li{$id}>" . $this->numbered($element),
            Element::QUOTE => "<blockquote{$id}><p>" . self::escaped($element->title) . '</p></blockquote>',
            default => $this->bodyBlock($element),
        };
    }

    private function picture(Element $element): string
    {
        if ($element->picture === null || $this->address === null) {
            $this->losses->note('topicPicture');

            return '';
        }

        return '<figure class="draft-picture"><img src="' . self::escaped(($this->address)($element->picture->id)) . '" width="' . (int) ($element->picture->shown * 1.5) . '" alt="' . self::escaped($element->title) . '"></figure>';
    }

    private function bodyBlock(Element $element): string
    {
        $html = $element->block === null ? '' : $this->node($element->block);

        return $element->inQuote ? "<blockquote>{$html}</blockquote>" : $html;
    }

    private function heading(Element $element, string $id): string
    {
        $tag = 'h' . min(6, $element->level + 1);

        return "<{$tag}{$id} class=\"draft-heading draft-heading-{$element->level}\">" . $this->numbered($element) . "</{$tag}>";
    }

    private function numbered(Element $element): string
    {
        $number = $element->number === '' ? '' : '<span class="draft-number">' . self::escaped($element->number) . '</span> ';

        return $number . self::escaped($element->title);
    }

    private function node(Node $node): string
    {
        if (isset(self::TAGS[$node->type])) {
            return $this->wrapped(self::TAGS[$node->type], $node);
        }

        return match ($node->type) {
            'text' => $this->run($node),
            'hardBreak' => '<br>',
            'heading' => '<p class="note-heading note-heading-' . $node->int('level', 1) . '">' . $this->nodes($node->content) . '</p>',
            'orderedList' => '<ol start="' . $node->int('start', 1) . '">' . $this->nodes($node->content) . '</ol>',
            'codeBlock' => '<pre><code>' . $this->nodes($node->content) . '</code></pre>',
            'horizontalRule' => '<hr>',
            'footnote' => $this->footnote($node),
            'picture' => $this->notePicture($node),
            default => '',
        };
    }

    private function wrapped(string $tag, Node $node): string
    {
        $check = $node->type === 'taskItem' ? (($node->attrs['checked'] ?? false) === true ? '☑ ' : '☐ ') : '';
        // A list item that is one paragraph reads as one line.
        $content = $tag === 'li' && \count($node->content) === 1 && $node->content[0]->type === 'paragraph' ? $node->content[0]->content : $node->content;

        return "<{$tag}>{$check}" . $this->nodes($content) . "</{$tag}>";
    }

    /** A raised number that leads to the note at the end. */
    private function footnote(Node $node): string
    {
        $n = \count($this->footnotes) + 1;
        $this->footnotes[] = $this->nodes($node->content);

        return "<sup><a href=\"#note-{$n}\" id=\"noted-{$n}\">{$n}</a></sup>";
    }

    private function footnotes(): string
    {
        $html = '';
        foreach ($this->footnotes as $i => $text) {
            $n = $i + 1;
            $html .= "<li id=\"note-{$n}\">{$text} <a href=\"#noted-{$n}\" aria-label=\"Back to the text\">↩</a></li>";
        }

        return $html === '' ? '' : "<ol class=\"draft-footnotes\">{$html}</ol>";
    }

    private function notePicture(Node $node): string
    {
        $caption = self::escaped($node->string('caption') ?? '');
        $alt = self::escaped($node->string('alt') ?? '');
        $id = $node->string('picture');
        if ($id === null || $this->address === null) {
            $this->losses->note('picture');

            return '<p class="draft-picture">' . ($caption === '' ? $alt : $caption) . '</p>';
        }
        $width = $node->int('width', 0);

        return '<figure class="draft-picture"><img src="' . self::escaped(($this->address)($id)) . '"' . ($width > 0 ? " width=\"{$width}\"" : '') . " alt=\"{$alt}\">" . ($caption === '' ? '' : "<figcaption>{$caption}</figcaption>") . '</figure>';
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
            $html = $mark->type === 'link'
                ? '<a href="' . self::escaped($mark->attrs['href']) . '"' . ($mark->attrs['href'][0] === '#' ? '' : ' rel="noopener noreferrer" target="_blank"') . ">{$html}</a>"
                : '<' . self::MARKS[$mark->type] . ">{$html}</" . self::MARKS[$mark->type] . '>';
        }

        return $html;
    }

    public static function escaped(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5, 'UTF-8');
    }
}
