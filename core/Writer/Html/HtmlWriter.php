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

    private Document $document;

    /** @param (\Closure(string): string)|null $address where a picture is seen, by its id; null: pictures are left out */
    public function __construct(private readonly Losses $losses = new Losses(), private readonly ?\Closure $address = null) {}

    /** The elements as a fragment, without title and contents. */
    public function body(Document $document): string
    {
        $this->document = $document;
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

        return $html . str_repeat('</li></ul>', $items);
    }

    private function element(Element $element): string
    {
        $id = ' id="_e' . $element->topic . '"';

        return match ($element->role) {
            Element::HEADING => $this->heading($element, $id),
            Element::PICTURE => $this->picture($element),
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
            'topicRef' => $this->reference($node),
            default => $this->lost($node),
        };
    }

    private function wrapped(string $tag, Node $node): string
    {
        $check = $node->type === 'taskItem' ? (($node->attrs['checked'] ?? false) === true ? '☑ ' : '☐ ') : '';
        // A list item that is one paragraph reads as one line.
        $content = $tag === 'li' && \count($node->content) === 1 && $node->content[0]->type === 'paragraph' ? $node->content[0]->content : $node->content;

        return "<{$tag}>{$check}" . $this->nodes($content) . "</{$tag}>";
    }

    private function reference(Node $node): string
    {
        foreach ($this->document->elements as $element) {
            if ($element->topic === $node->string('topic') && $element->role !== Element::BODY) {
                return $this->numbered($element);
            }
        }

        return '';
    }

    private function lost(Node $node): string
    {
        $this->losses->note($node->type);

        return match ($node->type) {
            'picture' => '<p class="draft-picture">' . self::escaped($node->string('caption') ?? $node->string('alt') ?? '') . '</p>',
            'footnote' => ' [' . $this->nodes($node->content) . ']',
            default => '',
        };
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
                ? '<a href="' . self::escaped($mark->attrs['href']) . '" rel="noopener noreferrer" target="_blank">' . $html . '</a>'
                : '<' . self::MARKS[$mark->type] . ">{$html}</" . self::MARKS[$mark->type] . '>';
        }

        return $html;
    }

    public static function escaped(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5, 'UTF-8');
    }
}
