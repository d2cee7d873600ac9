<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\Archive\Shelf;
use Embrel\Document\Anchor;
use Embrel\Document\Column;
use Embrel\Document\Reading;
use Embrel\Document\Role;
use Embrel\Reader\PicturePlace;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;

/** HTML as headings and blocks. */
final class HtmlBlocks
{
    /** Deeper than any page that a person made. */
    private const DEPTH = 200;

    private Flow $flow;
    private bool $endsInSpace = true;
    private int $depth = 0;
    private Footnotes $footnotes;
    private bool $isInQuoteTopic = false;
    private bool $isTitled = false;
    private bool $isLeavingOut = false;

    public function __construct(private readonly Reading $reading, private readonly Shelf $shelf, \DOMDocument $page)
    {
        $this->flow = new Flow();
        $this->footnotes = new Footnotes($page);
    }

    /** A whole page: its headings are headings. */
    public function document(\DOMElement $body): void
    {
        $this->children($body, null, []);
        $this->flush($this->reading->column);
    }

    /** A piece of a page, such as stands in Markdown. */
    public function fragment(string $html, ?Column $into): void
    {
        $body = PageText::dom("<html><body>{$html}</body></html>")
            ->getElementsByTagName('body')
            ->item(0);
        if ($body !== null) {
            $this->children($body, $into, []);
            $this->flush($into);
        }
    }

    /** @return list<Node> */
    private function inner(\DOMElement $element): array
    {
        $column = new Column();
        $this->children($element, $column, []);
        $this->flush($column);

        return $column->take();
    }

    /** @param list<Mark> $marks */
    private function children(\DOMNode $parent, ?Column $into, array $marks): void
    {
        if (++$this->depth <= self::DEPTH) {
            foreach ($parent->childNodes as $node) {
                if ($node instanceof \DOMText) {
                    $this->text($node->data, $marks);
                } elseif ($node instanceof \DOMElement) {
                    $this->element($node, strtolower($node->nodeName), $into, $marks);
                }
            }
        } else {
            $this->text($parent->textContent, $marks);
        }
        --$this->depth;
    }

    /** @param list<Mark> $marks */
    private function text(string $text, array $marks): void
    {
        $text = (string) preg_replace('/[ \t\n\r\f]+/', ' ', $text);
        $text = $this->endsInSpace ? ltrim($text, ' ') : $text;
        if ($text !== '') {
            $this->reading->count();
            $this->flow->text($text, $marks);
            $this->endsInSpace = str_ends_with($text, ' ');
        }
    }

    private function flush(?Column $into): void
    {
        $flow = $this->flow;
        $this->flow = new Flow();
        $this->endsInSpace = true;
        if (!$flow->isEmpty()) {
            $this->reading->settleNames();
            $this->reading->count();
            ($into ?? $this->reading->column)->add($flow->blocks());
        }
    }

    /** @param list<Mark> $marks */
    private function element(\DOMElement $node, string $tag, ?Column $into, array $marks): void
    {
        if (Tag::isLeftOut($tag) || $node->hasAttribute('hidden') || $this->footnotes->isNoteOrBackLink($node)) {
            return;
        }
        $this->reading->name($node->getAttribute('id'));
        $this->reading->name($tag === 'a' ? $node->getAttribute('name') : '');
        $leading = Leading::of($node, $tag);
        if ($leading !== null) {
            $this->leaveOut($node, $leading, $into);

            return;
        }
        $style = $node->getAttribute('style');
        if (InlineStyle::isHidden($style)) {
            trim($node->textContent) === '' ? null : $this->reading->remark('Hidden text was left out.');

            return;
        }
        foreach (InlineStyle::marks($style) as $mark) {
            $marks = self::with($marks, new Mark($mark));
        }
        $level = Tag::level($node, $tag);
        $mark = Tag::mark($tag);
        if ($level !== null) {
            $this->heading($node, $level, $into);
        } elseif ($mark !== null && !InlineStyle::takesBack($style, $mark)) {
            $footnote = $tag === 'sup' ? $this->footnotes->in($node) : null;
            $footnote === null
                ? $this->children($node, $into, self::with($marks, new Mark($mark)))
                : $this->footnote($footnote);
        } elseif (Tag::isContainer($tag)) {
            $this->container($node, $tag, $into, $marks);
        } else {
            $this->special($node, $tag, $into, $marks);
        }
    }

    /** @param list<Mark> $marks */
    private function special(\DOMElement $node, string $tag, ?Column $into, array $marks): void
    {
        match ($tag) {
            'br' => $this->break(),
            'img' => $this->picture($node, $marks),
            'a' => $this->link($node, $into, $marks),
            'ul', 'ol', 'menu' => $this->list($node, $tag === 'ol', $into),
            'blockquote' => $this->quotation($node, $into),
            'pre', 'xmp', 'listing' => $this->code($node, $into),
            'hr' => $this->block($into, [new Node(NodeType::HorizontalRule)]),
            'table' => $this->table($node, $into),
            'q' => $this->quoted($node, $into, $marks),
            'input' => $this->box($node, $marks),
            default => $this->children($node, $into, $marks),
        };
    }

    /** A contents list, or what leads around a site: kept aside, until it is known whether it is wanted. */
    private function leaveOut(\DOMElement $node, Leading $leading, ?Column $into): void
    {
        $this->flush($into);
        $this->isLeavingOut = true;
        $blocks = $this->inner($node);
        $this->isLeavingOut = false;
        $this->reading->leftOut($leading->value, $blocks);
    }

    private function heading(\DOMElement $node, int $level, ?Column $into): void
    {
        $this->flush($into);
        $noteLevel = OwnPage::noteLevel($node, $level);
        $anchor = Anchor::of($node->getAttribute('id'));
        $this->children($node, null, []);
        $flow = $this->flow;
        $this->flow = new Flow();
        $this->endsInSpace = true;
        if ($node->getAttribute('class') === 'doc-title' && $this->reading->title === '') {
            $this->reading->title = $flow->plainText();
            $this->isTitled = true;
        } elseif ($into !== null || $noteLevel !== null) {
            $inlines = array_values(array_filter($flow->nodes(), static fn(Node $one): bool => $one->type !== NodeType::Picture));
            $this->block(
                $into,
                $inlines === []
                    ? []
                    : [
                        new Node(
                            NodeType::Heading,
                            ['level' => min(3, $noteLevel ?? $level)],
                            $inlines,
                        ),
                    ],
            );
        } elseif ($flow->nodes() !== [] || $anchor !== null) {
            $this->isInQuoteTopic = false;
            // Our own pages keep the first level for the title.
            $this->reading->heading($this->isTitled ? max(1, $level - 1) : $level, $flow, $anchor->topic ?? '', OwnPage::titleIn($node));
        }
    }

    /** @param list<Mark> $marks */
    private function container(\DOMElement $node, string $tag, ?Column $into, array $marks): void
    {
        $this->flush($into);
        $class = $node->getAttribute('class');
        if ($class === 'draft-see' || $class === 'draft-reference') {
            $class === 'draft-see' ? $this->reading->seeAlso() : $this->reading->references();

            return;
        }
        if ($class === 'doc-subtitle' || $class === 'doc-author') {
            $class === 'doc-subtitle' ? ($this->reading->subtitle = $node->textContent) : ($this->reading->author = $node->textContent);

            return;
        }
        $figure = $tag === 'figcaption' ? Reading::line($node->textContent) : '';
        if ($figure !== '' && ($into ?? $this->reading->column)->caption($figure)) {
            return;
        }
        $this->children($node, $into, $tag === 'dt' ? self::with($marks, new Mark(MarkType::Bold)) : $marks);
        $this->flush($into);
    }

    private function break(): void
    {
        $this->flow->break();
        $this->endsInSpace = true;
    }

    /** @param list<Node> $blocks */
    private function block(?Column $into, array $blocks): void
    {
        $this->flush($into);
        $this->reading->count(\count($blocks));
        ($into ?? $this->reading->column)->add($blocks);
    }

    /**
     * @param list<Mark> $marks
     *
     * @return list<Mark> each kind once, the newest link
     */
    private static function with(array $marks, Mark $mark): array
    {
        $others = array_values(array_filter($marks, static fn(Mark $one): bool => $one->type !== $mark->type));

        return [...$others, $mark];
    }

    /** @param list<Mark> $marks */
    private function link(\DOMElement $node, ?Column $into, array $marks): void
    {
        $footnote = $this->footnotes->at($node);
        if ($footnote !== null) {
            $this->footnote($footnote);

            return;
        }
        $href = str_replace(' ', '%20', trim($node->getAttribute('href')));
        if (Tag::isPermalink($href, $node->textContent)) {
            return;
        }
        if ($href !== '' && !$this->isLeavingOut && !Schema::isSafeLink($href)) {
            $this->reading->remark('A link that is not an address of the web, mail or telephone was left out; its text stays.');
        }
        $this->children($node, $into, Schema::isSafeLink($href) ? self::with($marks, new Mark(MarkType::Link, ['href' => $href])) : $marks);
    }

    private function footnote(\DOMElement $note): void
    {
        $outer = [$this->flow, $this->endsInSpace];
        [$this->flow, $this->endsInSpace] = [new Flow(), true];
        $blocks = $this->inner($note);
        [$this->flow, $this->endsInSpace] = $outer;
        $inlines = $this->footnotes->read($note, $blocks);
        if ($inlines !== []) {
            $this->flow->put(new Node(NodeType::Footnote, [], $inlines));
            $this->endsInSpace = false;
        }
    }

    private function list(\DOMElement $list, bool $isOrdered, ?Column $into): void
    {
        $this->flush($into);
        $items = [];
        $start = preg_match('/\A\d{1,6}\z/', $list->getAttribute('start')) === 1 ? (int) $list->getAttribute('start') : 1;
        foreach ($list->childNodes as $child) {
            if (!($child instanceof \DOMElement) || Tag::isLeftOut(strtolower($child->nodeName))) {
                continue;
            }
            $anchor = $into === null ? Anchor::of($child->getAttribute('id')) : null;
            if ($anchor !== null) {
                $this->topicItem($child, $anchor);
                continue;
            }
            $blocks = $this->footnotes->isNoteOrBackLink($child) ? [] : $this->inner($child);
            $blocks === [] ? null : ($items[] = $blocks);
        }
        $this->block($into, $items === [] ? [] : [Column::list($items, $isOrdered, $start)]);
    }

    /** A point of ours, or a section deep down, with what stands under it. */
    private function topicItem(\DOMElement $item, Anchor $anchor): void
    {
        $title = OwnPage::titleIn($item);
        $this->reading->under(OwnPage::role($anchor->kind, Role::Item), $anchor->below, new Flow(), $anchor->topic, $title ?? '');
        $this->isInQuoteTopic = false;
        foreach ($item->childNodes as $child) {
            if ($child instanceof \DOMElement && !\in_array($child->getAttribute('class'), ['draft-title', 'draft-number'], true)) {
                $this->element($child, strtolower($child->nodeName), null, []);
            } elseif ($child instanceof \DOMText) {
                $this->text($child->data, []);
            }
        }
        $this->flush(null);
    }

    private function quotation(\DOMElement $node, ?Column $into): void
    {
        $this->flush($into);
        $anchor = $into === null ? Anchor::of($node->getAttribute('id')) : null;
        if ($anchor !== null) {
            $this->reading->under(
                OwnPage::role($anchor->kind, Role::Quote),
                $anchor->below,
                new Flow(),
                $anchor->topic,
                Reading::line($node->textContent),
            );
            $this->isInQuoteTopic = true;
        } elseif ($this->isInQuoteTopic && $node->getAttribute('class') === 'draft-quoted') {
            // The note of a quote, which is set as one.
            $this->children($node, $into, []);
            $this->flush($into);
        } else {
            $blocks = $this->inner($node);
            $this->block($into, $blocks === [] ? [] : [new Node(NodeType::Blockquote, [], $blocks)]);
        }
    }

    private function code(\DOMElement $node, ?Column $into): void
    {
        $this->block(
            $into,
            trim($node->textContent) === '' && $node->getAttribute('class') !== 'code'
                ? []
                : [Column::codeBlock(\Embrel\RichText\Text::cleaned(preg_replace('/\A\n/', '', $node->textContent) ?? ''))],
        );
    }

    /** @param list<Mark> $marks */
    private function quoted(\DOMElement $node, ?Column $into, array $marks): void
    {
        $this->text('“', $marks);
        $this->children($node, $into, $marks);
        $this->text('”', $marks);
    }

    /** @param list<Mark> $marks */
    private function box(\DOMElement $node, array $marks): void
    {
        if (strtolower($node->getAttribute('type')) === 'checkbox') {
            $this->text($node->hasAttribute('checked') ? '☑ ' : '☐ ', $marks);
        }
    }

    private function table(\DOMElement $table, ?Column $into): void
    {
        $this->flush($into);
        $rows = [];
        $spans = false;
        foreach ($this->rows($table, $into) as $row) {
            $cells = [];
            foreach ($row->childNodes as $cell) {
                $tag = $cell instanceof \DOMElement ? strtolower($cell->nodeName) : '';
                if (!($cell instanceof \DOMElement) || ($tag !== 'td' && $tag !== 'th')) {
                    continue;
                }
                $blocks = $this->inner($cell);
                $span = max(1, min(63, (int) $cell->getAttribute('colspan')));
                $spans = $spans || $span > 1;
                $this->reading->count(1 + $span);
                for ($i = 0; $i < $span; ++$i) {
                    $cells[] = Node::cell($tag === 'th', $i > 0 ? [] : $blocks);
                }
            }
            $cells === [] ? null : ($rows[] = new Node(NodeType::TableRow, [], $cells));
        }
        if ($spans) {
            $this->reading->remark('Cells of a table that span several columns were divided.');
        }
        $this->block($into, $rows === [] ? [] : [new Node(NodeType::Table, [], $rows)]);
    }

    /** @return \Generator<int, \DOMElement> its rows; a caption goes before the table */
    private function rows(\DOMElement $table, ?Column $into): \Generator
    {
        foreach ($table->childNodes as $child) {
            $tag = $child instanceof \DOMElement ? strtolower($child->nodeName) : '';
            if (!($child instanceof \DOMElement)) {
                continue;
            }
            if ($tag === 'tr') {
                yield $child;
            } elseif (\in_array($tag, ['thead', 'tbody', 'tfoot'], true)) {
                yield from $this->rows($child, $into);
            } elseif ($tag === 'caption') {
                $this->container($child, $tag, $into, []);
            }
        }
    }

    /** @param list<Mark> $marks */
    private function picture(\DOMElement $img, array $marks): void
    {
        $picture = PictureElement::read($img, $marks, $this->shelf, $this->reading);
        $onTopic = $picture === null || !PictureElement::isOfTopic($img) ? null : PicturePlace::ofTopic($picture, $this->shelf);
        if ($onTopic !== null) {
            $this->reading->topicPicture($onTopic);
        } elseif ($picture !== null) {
            $this->flow->put($picture);
        }
    }
}
