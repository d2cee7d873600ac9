<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Column;
use Embrel\Document\Element;
use Embrel\Document\Reading;
use Embrel\RichText\Flow;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** Goes through the body of a document, or through a footnote, from its start to its end. */
final class BodyReader
{
    /** Twentieths of a point that our own documents are indented by, a list level. */
    private const STEP = 360;
    private const NO_PROPERTIES = ['style' => '', 'level' => null, 'list' => null, 'indent' => 0, 'hasRule' => false];

    private readonly Wrappers $wrappers;
    private readonly Inlines $inlines;
    /** Whether topics of ours came back in it. */
    private bool $isOurs = false;
    /** Whether what is read now is the note of a quote. */
    private bool $isInQuote = false;
    private int $boxes = 0;
    /** @var list<Node> out of text boxes of the paragraph at hand */
    private array $boxed = [];
    /** How much was counted before the paragraph at hand. */
    private int $counted = 0;

    /**
     * @param array<string, string>                    $links     relationship → address
     * @param array<string, array<string, list<Node>>> $footnotes element → id → inlines
     * @param array<string, array{string, string}>     $comments  id → who said it, and what
     */
    public function __construct(
        private readonly Xml $xml,
        private readonly Reading $reading,
        private readonly StyleSheet $styles,
        private readonly ListForms $forms,
        private readonly PicturesOf $pictures,
        array $links,
        array $footnotes,
        bool $refusesRecorded = false,
        array $comments = [],
    ) {
        $this->wrappers = new Wrappers($xml, $reading);
        $this->inlines = new Inlines(
            $xml,
            $reading,
            $styles,
            $pictures,
            $links,
            $footnotes,
            $this->wrappers,
            $this->box(...),
            $refusesRecorded,
            $comments,
        );
    }

    /** The blocks within the element at hand. */
    public function blocks(?Column $cell = null): void
    {
        foreach ($this->xml->children() as $name) {
            $this->blockCalled($name, $cell);
        }
    }

    private function blockCalled(string $name, ?Column $cell): void
    {
        match ($name) {
            'p' => $this->paragraph($cell),
            'bookmarkStart' => $this->reading->name((string) $this->xml->get('w:name')),
            'tbl' => $this->table($cell ?? $this->reading->column),
            'sdt' => $this->wrappers->control(fn(string $child) => $this->blockCalled($child, $cell)),
            'ins', 'moveTo', 'smartTag', 'customXml' => $this->blocks($cell),
            'AlternateContent' => $this->wrappers->alternative(fn(string $child) => $this->blockCalled($child, $cell)),
            'del', 'moveFrom' => $this->reading->remark('Text that was deleted with changes tracked was left out.'),
            'altChunk' => $this->reading->remark('A document within the document was left out.'),
            default => null,
        };
    }

    public function end(): void
    {
        $this->inlines->end();
    }

    /** Only the runs of the paragraph at hand, such as those of a footnote. */
    public function runs(Flow $flow): void
    {
        foreach ($this->xml->children() as $name) {
            $name === 'pPr' ? null : $this->inlines->inline($name, $flow, [], null);
        }
    }

    private function paragraph(?Column $cell): void
    {
        $this->counted = $this->reading->counted();
        $this->reading->count();
        $this->inlines->begin();
        $flow = new Flow();
        $properties = ['style' => $this->styles->default()] + self::NO_PROPERTIES;
        $run = $this->styles->runOf($properties['style']);
        foreach ($this->xml->children() as $name) {
            if ($name === 'pPr') {
                $properties = $this->properties();
                $isPlain
                    = $properties['level'] === null
                    && $this->styles->level($properties['style']) === null
                    && $this->styles->role($properties['style']) === '';
                $run = $isPlain ? $this->styles->runOf($properties['style']) : [];
            } else {
                $this->inlines->inline($name, $flow, $run, null);
            }
        }
        $cell === null ? $this->place($properties, $flow) : $this->placeInCell($properties, $flow, $cell);
        $this->reading->settleHeard();
        if (!$flow->isEmpty()) {
            $this->reading->settleNames();
        }
        if ($this->boxed !== []) {
            ($cell ?? $this->reading->column)->add($this->boxed);
            $this->boxed = [];
        }
    }

    /**
     * @return array{style: string, level: int|null, list: array{string, int}|null, indent: int, hasRule: bool} level: the outline level from 0, 9 for text
     */
    private function properties(): array
    {
        $properties = ['style' => $this->styles->default()] + self::NO_PROPERTIES;
        foreach ($this->xml->children() as $name) {
            match ($name) {
                'pStyle' => ($properties['style'] = (string) $this->xml->get('w:val')),
                'outlineLvl' => ($properties['level'] = (int) $this->xml->get('w:val')),
                'numPr' => ($properties['list'] = StyleSheet::list($this->xml)),
                'ind' => ($properties['indent'] = (int) ($this->xml->get('w:left') ?? $this->xml->get('w:start'))),
                'pBdr' => ($properties['hasRule'] = \in_array('bottom', iterator_to_array($this->xml->children(), false), true)),
                default => null,
            };
        }

        return $properties;
    }

    /** @param array{style: string, level: int|null, list: array{string, int}|null, indent: int, hasRule: bool} $p */
    private function place(array $p, Flow $flow): void
    {
        $role = $this->styles->role($p['style']);
        if ($role === 'toc' || $role === 'contents-title') {
            $this->reading->countsAgainFrom($this->counted);
            $flow->isEmpty() ? null : $this->reading->contents();

            return;
        }
        $level = $p['level'] === null ? $this->styles->level($p['style']) : ($p['level'] <= 8 ? $p['level'] + 1 : null);
        if ($this->inlines->isEmptied && $flow->isEmpty()) {
            // All that stood in it came or went by a change that was recorded.
            return;
        }
        if ($this->inlines->anchor !== null) {
            $this->isOurs = true;
            $this->reading->came($this->inlines->anchor['anchor'], $level, $flow, $this->inlines->anchor['before'] ?? '');
            $this->isInQuote = $level === null && $role === 'quote';

            return;
        }
        if ($level !== null && $flow->nodes() !== []) {
            $this->reading->heading($level, $flow);
            $this->isInQuote = false;

            return;
        }
        if ($level === null && $this->reading->level() === 0 && $this->isFront($role, $flow)) {
            return;
        }
        $this->body($p, $role, $flow);
    }

    /** Title, subtitle and author stand before the first heading. */
    private function isFront(string $role, Flow $flow): bool
    {
        $text = trim($flow->plainText());
        if ($text === '') {
            return false;
        }
        if ($role === 'title' && $this->reading->title === '') {
            $this->reading->title = $text;
        } elseif ($role === 'subtitle' && $this->reading->subtitle === '') {
            $this->reading->subtitle = $text;
        } elseif ($role === 'author') {
            $this->reading->author = $text;
        } else {
            return false;
        }

        return true;
    }

    /** @param array{style: string, level: int|null, list: array{string, int}|null, indent: int, hasRule: bool} $p */
    private function body(array $p, string $role, Flow $flow): void
    {
        $column = $this->reading->column;
        $list = $this->listOf($p);
        $nodes = $this->inlines->startsBlock ? $flow->nodes() : [];
        $picture = \count($nodes) === 1 && $nodes[0]->type === NodeType::Picture ? $this->pictures->ofTopic($nodes[0]) : null;
        if ($picture !== null) {
            $this->reading->topicPicture($picture);
        } elseif ($role === 'reference' && $this->isOurs) {
            $this->reading->references();
        } elseif ($role === 'see-also') {
            $this->reading->seeAlso();
        } elseif ($list !== null) {
            $this->inlines->startsBlock ? $column->endList() : null;
            $column->item($list['level'], $list['list'], $list['isOrdered'], $list['start'], $flow->blocks());
        } elseif (
            $role === 'continue'
            && $p['indent'] > 0
            && $column->continue(intdiv($p['indent'], self::STEP) - 1, $this->styled($role, $p, $flow))
        ) {
            return;
        } elseif ($role === 'caption' && $column->caption(Reading::line($flow->plainText()))) {
            return;
        } elseif ($role === 'quote' && (!$this->isInQuote || $this->inlines->startsBlock || $this->inlines->goesOn)) {
            $column->quoted($flow->blocks(), $this->inlines->startsBlock);
        } elseif ($role === 'code') {
            $column->code($flow->plainText(), $this->inlines->startsBlock);
        } else {
            $column->add($this->styled($role, $p, $flow));
        }
    }

    /**
     * @param array{style: string, level: int|null, list: array{string, int}|null, indent: int, hasRule: bool} $p
     *
     * @return list<Node>
     */
    private function styled(string $role, array $p, Flow $flow): array
    {
        return match (true) {
            str_starts_with($role, 'note-heading-') => [
                new Node(
                    NodeType::Heading,
                    ['level' => (int) substr($role, -1)],
                    array_values(array_filter($flow->nodes(), static fn(Node $node): bool => $node->type !== NodeType::Picture)),
                ),
            ],
            $role === 'code' => [Column::codeBlock($flow->plainText())],
            $p['hasRule'] && $flow->isEmpty() => [new Node(NodeType::HorizontalRule)],
            default => $flow->blocks(),
        };
    }

    /**
     * @param array{style: string, level: int|null, list: array{string, int}|null, indent: int, hasRule: bool} $p
     *
     * @return array{level: int, list: string, isOrdered: bool, start: int}|null
     */
    private function listOf(array $p): ?array
    {
        $own = $p['list'];
        $styled = $own === null || $own[0] === '' ? $this->styles->listOf($p['style']) : null;
        [$number, $level] = [($own[0] ?? '') === '' ? $styled[0] ?? '' : $own[0], $own[1] ?? ($styled[1] ?? 0)];
        if ($number === '' || $number === '0') {
            return null;
        }
        $form = $this->forms->of($number, $level);

        return $form === null
            ? null
            : ['level' => $level, 'list' => $this->forms->running($number, $level), 'isOrdered' => $form[0], 'start' => $form[1]];
    }

    /** @param array{style: string, level: int|null, list: array{string, int}|null, indent: int, hasRule: bool} $p */
    private function placeInCell(array $p, Flow $flow, Column $cell): void
    {
        $list = $this->listOf($p);
        $level = $p['level'] ?? (($own = $this->styles->level($p['style'])) === null ? null : $own - 1);
        if ($list !== null && $level === null) {
            $cell->item($list['level'], $list['list'], $list['isOrdered'], $list['start'], $flow->blocks());
        } elseif ($level !== null && $level <= 8 && trim($flow->plainText()) !== '') {
            $cell->add([
                new Node(
                    NodeType::Heading,
                    ['level' => min(3, $level + 1)],
                    array_values(array_filter($flow->nodes(), static fn(Node $node): bool => $node->type !== NodeType::Picture)),
                ),
            ]);
        } else {
            $cell->add($this->styled($this->styles->role($p['style']), $p, $flow));
        }
    }

    private function table(Column $into): void
    {
        $rows = [];
        $spans = false;
        foreach ($this->rows() as [$cells, $isHead]) {
            $row = [];
            foreach ($cells as [$blocks, $span]) {
                $spans = $spans || $span > 1;
                $this->reading->count(1 + $span);
                $row[] = Node::cell($isHead, $blocks);
                for (; $span > 1; --$span) {
                    $row[] = Node::cell($isHead, []);
                }
            }
            $row === [] ? null : ($rows[] = new Node(NodeType::TableRow, [], $row));
        }
        if ($spans) {
            $this->reading->remark('Cells of a table that span several columns were divided.');
        }
        $into->add($rows === [] ? [] : [new Node(NodeType::Table, [], $rows)]);
    }

    /**
     * @return \Generator<int, array{list<array{list<Node>, int}>, bool}> the cells of each row with how many columns they span, and whether it is a head
     */
    private function rows(): \Generator
    {
        foreach ($this->xml->children() as $name) {
            if ($name === 'tr') {
                $cells = [];
                $isHead = false;
                foreach ($this->xml->children() as $part) {
                    if ($part === 'trPr') {
                        foreach ($this->xml->children() as $property) {
                            $isHead
                                = $isHead
                        || ($property === 'tblHeader' && !\in_array($this->xml->get('w:val'), ['0', 'false', 'off'], true));
                        }
                    } else {
                        array_push($cells, ...$this->cells($part));
                    }
                }
                yield [$cells, $isHead];
            } elseif (\in_array($name, ['sdt', 'sdtContent', 'ins', 'customXml'], true)) {
                yield from $this->rows();
            }
        }
    }

    /** @return list<array{list<Node>, int}> */
    private function cells(string $part): array
    {
        if ($part === 'tc') {
            $column = new Column();
            $span = 1;
            foreach ($this->xml->children() as $name) {
                if ($name === 'tcPr') {
                    foreach ($this->xml->children() as $property) {
                        $span = $property === 'gridSpan' ? max(1, min(63, (int) $this->xml->get('w:val'))) : $span;
                    }
                } else {
                    $this->blockCalled($name, $column);
                }
            }

            return [[$column->take(), $span]];
        }
        $cells = [];
        foreach (\in_array($part, ['sdt', 'sdtContent', 'ins', 'customXml'], true) ? $this->xml->children() : [] as $inner) {
            array_push($cells, ...$this->cells($inner));
        }

        return $cells;
    }

    /** The text of a text box, which stands behind the paragraph that it is tied to. */
    private function box(): void
    {
        if ($this->boxes > 3) {
            return;
        }
        ++$this->boxes;
        $column = new Column();
        $anchor = [$this->inlines->anchor, $this->inlines->startsBlock];
        $this->blocks($column);
        [$this->inlines->anchor, $this->inlines->startsBlock] = $anchor;
        --$this->boxes;
        array_push($this->boxed, ...$column->take());
    }
}
