<?php

declare(strict_types=1);

namespace Embrel\Reader\Odt;

use Embrel\Archive\Package;
use Embrel\Archive\Shelf;
use Embrel\Archive\Xml;
use Embrel\Document\Anchor;
use Embrel\Document\Column;
use Embrel\Document\Reading;
use Embrel\Plan\Sign;
use Embrel\Reader\CitationFields;
use Embrel\Reader\PicturePlace;
use Embrel\Reader\RunMarks;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;

/** Goes through the text of a document from its start to its end. */
final class OdtBody
{
    private const LEFT_OUT = ['table-of-content', 'illustration-index', 'table-index', 'object-index', 'user-index', 'alphabetical-index'];

    /** @var array{anchor: Anchor, before: string}|null */
    private ?array $anchor = null;
    private bool $startsBlock = false;
    private bool $isOurs = false;
    private bool $goesOn = false;
    private bool $isInQuote = false;
    private bool $endsInSpace = true;
    /** @var list<Node> blocks out of text boxes of the paragraph at hand */
    private array $boxed = [];

    /** The name of the mark whose printed citation is passed over; empty: none. */
    private string $citing = '';
    private readonly CitationFields $citations;
    private readonly RecordedChanges $recorded;
    private readonly OdtPictures $pictures;

    public function __construct(
        private readonly Xml $xml,
        private readonly Reading $reading,
        private readonly OdtStyles $styles,
        Package $package,
        private readonly Shelf $shelf,
        bool $refusesRecorded = false,
    ) {
        $this->citations = new CitationFields($reading);
        $this->recorded = new RecordedChanges($xml, $reading, $refusesRecorded);
        $this->pictures = new OdtPictures($package, $shelf, $reading);
    }

    /** @param Column|null $into null: where headings are headings */
    public function blocks(?Column $into): void
    {
        foreach ($this->xml->children() as $name) {
            $this->block($name, $into);
        }
    }

    private function block(string $name, ?Column $into): void
    {
        match ($name) {
            'h', 'p' => $this->paragraph($name === 'h', $into),
            'list' => $this->list('', 1, $into),
            'table' => $this->table($into),
            'section' => $this->section($into),
            'index-body' => $this->blocks($into),
            'bibliography' => $this->bibliography($into),
            'tracked-changes' => $this->recorded->read(),
            'change-start', 'change-end' => $this->recorded->at($name),
            'frame' => $this->floating($into),
            default => \in_array($name, self::LEFT_OUT, true) ? $this->reading->contents() : null,
        };
    }

    private function section(?Column $into): void
    {
        $isList = CitationFields::isList((string) $this->xml->get('text:name'));
        $isList ? $this->reading->references() : $this->blocks($into);
    }

    private function bibliography(?Column $into): void
    {
        foreach ($this->xml->children() as $name) {
            $name === 'index-body' ? $this->blocks($into) : null;
        }
    }

    /** A frame that stands between paragraphs. */
    private function floating(?Column $into): void
    {
        $flow = new Flow();
        $this->frame($flow, []);
        ($into ?? $this->reading->column)->add([...$flow->blocks(), ...$this->boxed]);
        $this->boxed = [];
    }

    private function paragraph(bool $isHeading, ?Column $into): void
    {
        $style = (string) $this->xml->get('text:style-name');
        $level = $isHeading ? max(1, (int) ($this->xml->get('text:outline-level') ?? '1')) : $this->styles->level($style);
        $flow = $this->flow($level === null ? $style : '');
        $boxed = $this->boxed;
        $this->boxed = [];
        $this->place($style, $level, $flow, $into);
        $this->reading->settleHeard();
        if (!$flow->isEmpty()) {
            $this->reading->settleNames();
        }
        if ($boxed !== []) {
            ($into ?? $this->reading->column)->add($boxed);
        }
    }

    /** The runs of the paragraph at hand. */
    private function flow(string $style): Flow
    {
        $this->reading->count();
        $this->anchor = null;
        $this->startsBlock = $this->goesOn = $this->recorded->hasEmptied = false;
        $this->endsInSpace = true;
        $this->citing = '';
        $flow = new Flow();
        $this->inlines($flow, $style === '' || $this->styles->role($style) !== '' ? [] : $this->styles->runOf('paragraph', $style), null);

        return $flow;
    }

    private function place(string $style, ?int $level, Flow $flow, ?Column $into): void
    {
        $role = $this->styles->role($style);
        $column = $into ?? $this->reading->column;
        if ($this->recorded->hasEmptied && $flow->isEmpty()) {
            // All that stood in it came or went by a change that was recorded.
            return;
        }
        if ($into === null && $this->anchor !== null) {
            $this->isOurs = true;
            $this->reading->came($this->anchor['anchor'], $level, $flow, $this->anchor['before'] ?? '');
            $this->isInQuote = $level === null && $role === 'quote';
        } elseif ($level !== null && $flow->nodes() !== [] && $into === null) {
            $this->isInQuote = false;
            $this->reading->heading($level, $flow);
        } elseif ($level !== null && $flow->nodes() !== []) {
            $column->add([$this->noteHeading($flow, $level)]);
        } elseif ($role === 'toc') {
            $flow->isEmpty() ? null : $this->reading->contents();
        } elseif ($into !== null || $this->reading->level() > 0 || !$this->isFront($role, $flow)) {
            $this->body($role, $flow, $column);
        }
    }

    private function body(string $role, Flow $flow, Column $column): void
    {
        if ($role === 'caption' && $column->caption(Reading::line($flow->plainText()))) {
            return;
        }
        $nodes = $this->startsBlock && $column === $this->reading->column ? $flow->nodes() : [];
        $picture = \count($nodes) === 1 && $nodes[0]->type === NodeType::Picture ? PicturePlace::ofTopic($nodes[0], $this->shelf) : null;
        match (true) {
            $picture !== null => $this->reading->topicPicture($picture),
            $role === 'see-also' => $this->reading->seeAlso(),
            $role === 'reference' && $this->isOurs => $this->reading->references(),
            $role === 'quote' && (!$this->isInQuote || $this->startsBlock || $this->goesOn) => $column->quoted(
                $flow->blocks(),
                $this->startsBlock,
            ),
            $role === 'code' => $column->code($flow->plainText(), $this->startsBlock),
            $role === 'rule' && $flow->isEmpty() => $column->add([new Node(NodeType::HorizontalRule)]),
            str_starts_with($role, 'note-heading-') => $column->add([$this->noteHeading($flow, (int) substr($role, -1))]),
            default => $column->add($flow->blocks()),
        };
    }

    private function noteHeading(Flow $flow, int $level): Node
    {
        return new Node(
            NodeType::Heading,
            ['level' => max(1, min(3, $level))],
            array_values(array_filter($flow->nodes(), static fn(Node $node): bool => $node->type !== NodeType::Picture)),
        );
    }

    private function isFront(string $role, Flow $flow): bool
    {
        $text = trim($flow->plainText());
        if (
            $text === ''
            || !\in_array($role, ['title', 'subtitle', 'author'], true)
            || ($role !== 'author' && $this->reading->{$role} !== '')
        ) {
            return false;
        }
        $this->reading->{$role} = $text;

        return true;
    }

    /** A list; items that were topics are topics again, and headings that stand in one are headings. */
    private function list(string $style, int $level, ?Column $into): void
    {
        $style = (string) ($this->xml->get('text:style-name') ?? $style);
        [$counts, $start] = $this->styles->listAt($style, $level);
        $items = [];
        foreach ($this->xml->children() as $name) {
            if ($name !== 'list-item' && $name !== 'list-header') {
                continue;
            }
            $start = $items === [] ? max(0, (int) ($this->xml->get('text:start-value') ?? (string) $start)) : $start;
            $blocks = $this->item($style, $level, $into, $items, $counts, $start);
            $blocks === null ? null : ($items[] = $blocks === [] ? [Node::paragraph([])] : $blocks);
        }
        $this->add($into, $items, $counts, $start);
    }

    /** @param list<list<Node>> $items */
    private function add(?Column $into, array $items, bool $counts, int $start): void
    {
        if ($items !== []) {
            ($into ?? $this->reading->column)->add([Column::list($items, $counts, $start)]);
        }
    }

    /**
     * @param list<list<Node>> $items those before it, which are put down first where it is a topic
     *
     * @return list<Node>|null null: it was no item of a note
     */
    private function item(string $style, int $level, ?Column $into, array &$items, bool $counts, int $start): ?array
    {
        $column = new Column();
        $isTopic = false;
        foreach ($this->xml->children() as $name) {
            if ($into === null && !$isTopic && ($name === 'h' || $name === 'p')) {
                $own = (string) $this->xml->get('text:style-name');
                $heading = $name === 'h' ? max(1, (int) ($this->xml->get('text:outline-level') ?? '1')) : null;
                $flow = $this->flow($name === 'h' ? '' : $own);
                $isTopic = $heading !== null || $this->anchor !== null;
                if ($isTopic) {
                    $this->add(null, $items, $counts, $start);
                    $items = [];
                    $this->place($own, $heading, $flow, null);
                } else {
                    $this->place($own, null, $flow, $column);
                }
                $column->add($this->boxed);
                $this->boxed = [];
            } elseif ($name === 'list') {
                $this->list($style, $level + 1, $isTopic ? null : $column);
            } else {
                $this->block($name, $isTopic ? null : $column);
            }
        }
        if ($isTopic) {
            $this->reading->column->add($column->take());

            return null;
        }

        return $column->take();
    }

    private function table(?Column $into): void
    {
        $rows = [];
        $this->rows($rows, false);
        ($into ?? $this->reading->column)->add($rows === [] ? [] : [new Node(NodeType::Table, [], $rows)]);
    }

    /** @param list<Node> $rows */
    private function rows(array &$rows, bool $isHead): void
    {
        foreach ($this->xml->children() as $name) {
            if ($name === 'table-row') {
                $cells = $this->cells($isHead);
                $cells === [] ? null : ($rows[] = new Node(NodeType::TableRow, [], $cells));
            } elseif (\in_array($name, ['table-header-rows', 'table-rows', 'table-row-group'], true)) {
                $this->rows($rows, $isHead || $name === 'table-header-rows');
            }
        }
    }

    /** @return list<Node> */
    private function cells(bool $isHead): array
    {
        $cells = [];
        foreach ($this->xml->children() as $name) {
            if ($name !== 'table-cell' && $name !== 'covered-table-cell') {
                continue;
            }
            $times = max(1, (int) ($this->xml->get('table:number-columns-repeated') ?? '1'));
            $this->reading->count(2 * $times);
            if ((int) ($this->xml->get('table:number-columns-spanned') ?? '1') > 1) {
                $this->reading->remark('Cells of a table that span several columns were divided.');
            }
            $column = new Column();
            $this->blocks($column);
            $blocks = $column->take();
            for (; $times > 0; --$times) {
                $cells[] = Node::cell($isHead, $blocks);
            }
        }

        return $cells;
    }

    /** @param array<string, bool> $run */
    private function inlines(Flow $flow, array $run, ?Mark $link): void
    {
        $marks = RunMarks::of($run, $link);
        foreach ($this->xml->nodes() as $name => $text) {
            if ($text !== null) {
                $this->text($flow, $text, $marks, $run['hidden'] ?? false);
            } else {
                $this->inline($name, $flow, $run, $link, $marks);
            }
        }
    }

    /** @param list<Mark> $marks White space runs together, as the standard has it (part 3, 6.1.2). */
    private function text(Flow $flow, string $text, array $marks, bool $isHidden): void
    {
        $text = (string) preg_replace('/[ \t\n\r]+/', ' ', $text);
        $text = $this->endsInSpace ? ltrim($text, ' ') : $text;
        if ($this->citing !== '' || !$this->recorded->keeps($text)) {
            return;
        }
        if ($text === '' || $isHidden) {
            $isHidden ? $this->reading->remark('Hidden text was left out.') : null;

            return;
        }
        $this->reading->count();
        $flow->text($text, $marks);
        $this->endsInSpace = str_ends_with($text, ' ');
    }

    /**
     * @param array<string, bool> $run
     * @param list<Mark>          $marks
     */
    private function inline(string $name, Flow $flow, array $run, ?Mark $link, array $marks): void
    {
        switch ($name) {
            case 'span':
                $this->inlines($flow, $this->styles->runOf('text', (string) $this->xml->get('text:style-name')) + $run, $link);
                break;
            case 'a':
                $this->inlines($flow, $run, $this->link((string) $this->xml->get('xlink:href')) ?? $link);
                break;
            case 's':
                $flow->text(str_repeat(' ', max(1, min(1000, (int) ($this->xml->get('text:c') ?? '1')))), $marks);
                $this->endsInSpace = false;
                break;
            case 'tab':
                $flow->text("\t", $marks);
                $this->endsInSpace = false;
                break;
            case 'line-break':
                $flow->break();
                $this->endsInSpace = true;
                break;
            case 'note':
                $this->note($flow);
                break;
            case 'reference-mark-start':
                $this->cited((string) $this->xml->get('text:name'), $flow);
                break;
            case 'reference-mark-end':
                $this->citing = $this->citing === (string) $this->xml->get('text:name') ? '' : $this->citing;
                break;
            case 'bookmark':
            case 'bookmark-start':
                $this->bookmark((string) $this->xml->get('text:name'), $flow);
                break;
            case 'frame':
                $this->frame($flow, []);
                break;
            case 'annotation':
                $this->reading->remark('A comment was left out.');
                $this->recorded->comment();
                break;
            case 'change':
            case 'change-start':
            case 'change-end':
                $text = $this->recorded->at($name);
                $text === '' ? null : $flow->text($text, []);
                $this->endsInSpace = $text === '' ? $this->endsInSpace : str_ends_with($text, ' ');
                break;
            default:
                $this->other($name, $flow, $run, $link);
        }
    }

    /** A mark that is a citation: what stands up to its end is what was printed for it. */
    private function cited(string $name, Flow $flow): void
    {
        $json = $this->citing === '' ? CitationFields::in($name) : null;
        $citation = $json === null ? null : $this->citations->citation($json);
        if ($citation !== null) {
            $flow->put($citation);
            [$this->citing, $this->endsInSpace] = [$name, false];
        }
    }

    /** @param array<string, bool> $run */
    private function other(string $name, Flow $flow, array $run, ?Mark $link): void
    {
        if ($this->xml->at->namespaceURI === 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0') {
            if ($name === 'a') {
                foreach ($this->xml->children() as $child) {
                    $child === 'frame' ? $this->frame($flow, $link === null ? [] : ['href' => $link->attrs['href']]) : null;
                }
            }

            return;
        }
        if (!\in_array($name, ['page-number', 'page-count', 'ruby-text', 'script', 'soft-page-break', 'annotation-end'], true)) {
            $this->inlines($flow, $run, $link);
        }
    }

    private function bookmark(string $name, Flow $flow): void
    {
        $this->reading->name($name);
        $anchor = Anchor::of($name);
        if ($anchor !== null) {
            $this->anchor = ['anchor' => $anchor, 'before' => $flow->plainText()];
        }
        $this->startsBlock = $this->startsBlock || str_starts_with($name, Anchor::BLOCK);
        $this->goesOn = $this->goesOn || str_starts_with($name, Anchor::MORE);
    }

    private function link(string $address): ?Mark
    {
        $address = str_replace(' ', '%20', trim((string) preg_replace('/\|(?:outline|region|table|frame|graphic|ole)\z/', '', $address)));
        if (Schema::isSafeLink($address)) {
            return new Mark(MarkType::Link, ['href' => $address]);
        }
        if ($address !== '') {
            $this->reading->remark('A link that is not an address of the web, mail or telephone was left out; its text stays.');
        }

        return null;
    }

    private function note(Flow $flow): void
    {
        $inner = new Flow();
        $before = $this->endsInSpace;
        foreach ($this->xml->children() as $name) {
            if ($name !== 'note-body') {
                continue;
            }
            foreach ($this->xml->children() as $child) {
                if ($child === 'p' || $child === 'h') {
                    $inner->isEmpty() ? null : $inner->break();
                    $this->endsInSpace = true;
                    $this->inlines($inner, [], null);
                }
            }
        }
        $this->endsInSpace = $before;
        $inlines = array_values(
            array_filter(
                $inner->nodes(),
                static fn(Node $node): bool => $node->type !== NodeType::Picture && $node->type !== NodeType::Footnote,
            ),
        );
        if ($inlines !== []) {
            $flow->put(new Node(NodeType::Footnote, [], $inlines));
            $this->endsInSpace = false;
        }
    }

    /**
     * A frame: a picture, or the text of a text box, which stands behind its paragraph.
     *
     * @param array<string, mixed> $attrs of the picture
     */
    private function frame(Flow $flow, array $attrs): void
    {
        $width = OdtPictures::pixels((string) $this->xml->get('svg:width'));
        // A sign that Embrel drew beside a title is no picture of it.
        $isSign = str_starts_with((string) $this->xml->get('draw:name'), Sign::DRAWN);
        $target = null;
        foreach ($this->xml->children() as $name) {
            if ($name === 'image') {
                $target ??= (string) $this->xml->get('xlink:href');
            } elseif (($name === 'title' || $name === 'desc') && ($says = trim($this->xml->text())) !== '') {
                $attrs = ['alt' => mb_strcut($says, 0, 4000)] + $attrs;
            } elseif ($name === 'text-box') {
                $column = new Column();
                $kept = [$this->anchor, $this->startsBlock, $this->endsInSpace];
                $this->blocks($column);
                [$this->anchor, $this->startsBlock, $this->endsInSpace] = $kept;
                array_push($this->boxed, ...$column->take());
            } elseif ($name === 'object') {
                $this->reading->remark('An object of another program, such as a formula or a chart, was left out.');
            }
        }
        if ($target !== null && $target !== '' && !$isSign) {
            $picture = $this->pictures->at($target, $width, $attrs);
            $picture === null ? null : $flow->put($picture);
        }
    }
}
