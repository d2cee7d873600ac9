<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\Xml;
use Embrel\Citation\Exchange\CslJson;
use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Pictures;
use Embrel\Document\Remark;
use Embrel\Document\Remarks;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\Draft\Index;
use Embrel\Layout\Text\Wrapping;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Writer\ListNumbers;
use Embrel\Writer\Losses;
use Embrel\Writer\SignPicture;

/** The text of an OpenDocument text, streamed to a file of its own, as its styles of runs are known only at the end. */
final class OdtBody
{
    private const TALLEST_HEADING = 10;

    public readonly OdtRuns $runs;
    /** @var resource */
    private $out;
    private string $buffer = '';
    private int $bookmarks = 0;
    private int $tables = 0;
    private readonly Remarks $remarks;
    /** @var array<string, list<string>> bookmark of a topic → the terms of the index that stand in its title */
    private readonly array $indexed;
    /** Whether an element is the first of several of its role in a row, and whether it is the last. */
    private bool $isFirst = false;
    private bool $isLast = false;
    /** How many lists of topics are open. */
    private int $items = 0;
    /** @var array<string, string> */
    private array $anchors = [];
    /** @var array<string, string> attributes of an automatic paragraph style → its name */
    private array $paragraphs = [];

    public function __construct(
        private readonly Document $document,
        private readonly ListNumbers $numbers,
        private readonly Losses $losses,
        private readonly ?Pictures $pictures,
        private readonly ?OdtTemplate $template = null,
    ) {
        $this->anchors = $document->anchors();
        $this->remarks = Remarks::of($document);
        $this->indexed = Index::inTitles($document->elements);
        $this->runs = new OdtRuns($pictures, $this->anchors, (OdtStyles::textWidth($document) / 25.4) * 96);
    }

    /** Writes everything that stands within the element of the text. */
    public function write(string $path): void
    {
        $this->out = fopen($path, 'w') ?: throw new \RuntimeException('The document could not be written in the work folder.');
        $this->front();
        foreach ($this->document->elements as $i => $element) {
            $this->isFirst = ($this->document->elements[$i - 1]->role ?? null) !== $element->role;
            $this->isLast = ($this->document->elements[$i + 1]->role ?? null) !== $element->role;
            $this->closeItems($element->role === Role::Heading || $element->role === Role::Reference ? 0 : $element->level);
            $this->element($element);
        }
        $this->closeItems(0);
        fwrite($this->out, $this->buffer);
        fclose($this->out);
    }

    /** The styles of paragraphs and tables that the text needs beside the named ones. */
    public function styles(): string
    {
        $xml
            = '<style:style style:name="FirstTitle" style:family="paragraph" style:parent-style-name="Title" '
                . 'style:master-page-name="First_20_Page"><style:paragraph-properties/></style:style>'
            . '<style:style style:name="NewPage" style:family="paragraph" style:parent-style-name="Standard"><style:paragraph-properties '
                . 'fo:break-before="page"/></style:style>'
            . '<style:style style:name="Grid" style:family="table"><style:table-properties style:width="'
            . OdtStyles::textWidth($this->document)
            . 'mm" table:align="margins"/></style:style>'
            . '<style:style style:name="Cell" style:family="table-cell"><style:table-cell-properties fo:border="0.5pt solid ' . Style::RULE . '" '
                . 'fo:padding="1.2mm"/></style:style>'
            . '<style:style style:name="HeadCell" style:family="table-cell"><style:table-cell-properties fo:border="0.5pt solid ' . Style::RULE . '" '
                . 'fo:padding="1.2mm" fo:background-color="' . Style::GROUND . '"/></style:style>';
        foreach ($this->paragraphs as $properties => $name) {
            $xml .= "<style:style style:name=\"{$name}\" style:family=\"paragraph\" {$properties}</style:style>";
        }

        return $xml . $this->runs->styles();
    }

    private function put(string $xml): void
    {
        $this->buffer .= $xml;
        if (\strlen($this->buffer) > 65536) {
            fwrite($this->out, $this->buffer);
            $this->buffer = '';
        }
    }

    private function paragraph(string $style, string $runs): void
    {
        $style = $this->turned($this->template?->name($style) ?? $style, $runs);
        $this->put("<text:p text:style-name=\"{$style}\">{$runs}</text:p>");
    }

    private function front(): void
    {
        $style = $this->document->style;
        $this->paragraph(
            $style->hasTitlePage && $this->template === null ? 'FirstTitle' : 'Title',
            ($this->document->origin === null ? '' : "<text:bookmark text:name=\"{$this->document->origin->name()}\"/>")
                . OdtRuns::text($this->document->title),
        );
        foreach ($style->titleFields as $field) {
            $text = $this->document->field($field);
            $text === '' ? null : $this->paragraph($field === 'subtitle' ? 'Subtitle' : 'Author', OdtRuns::text($text));
        }
        if ($style->hasTitlePage && $this->document->hasLists()) {
            $this->paragraph('NewPage', '');
        }
        $this->contents();
        $this->figures();
        if ($this->document->startsPage()) {
            $this->paragraph('NewPage', '');
        }
    }

    private function contents(): void
    {
        if ($this->document->contents === []) {
            return;
        }
        $entry = static fn(
            int $level,
        ): string => "<text:table-of-content-entry-template text:outline-level=\"{$level}\" text:style-name=\"Contents_20_{$level}\"><text:index-entry-link-start/><text:index-entry-chapter/><text:index-entry-span> </text:index-entry-span><text:index-entry-text/><text:index-entry-tab-stop style:type=\"right\" style:leader-char=\".\"/><text:index-entry-page-number/><text:index-entry-link-end/></text:table-of-content-entry-template>";
        $title = Xml::escaped($this->document->contentsTitle());
        $this->put(
            "<text:table-of-content text:style-name=\"Index\" text:name=\"Contents1\" text:protected=\"true\"><text:table-of-content-source text:outline-level=\"{$this->document->contentsDepth}\"><text:index-title-template text:style-name=\"Contents_20_Heading\">{$title}</text:index-title-template>"
                . implode('', array_map($entry, range(1, $this->document->contentsDepth)))
                . "</text:table-of-content-source><text:index-body><text:index-title text:style-name=\"Index\" text:name=\"Contents1_Head\"><text:p text:style-name=\"Contents_20_Heading\">{$title}</text:p></text:index-title>",
        );
        foreach ($this->document->contents as ['element' => $element, 'page' => $page]) {
            $this->entry(
                "Contents_20_{$element->level}",
                $this->anchors[$element->topic] ?? '',
                trim("{$element->number} {$element->title}"),
                $page,
            );
        }
        $this->put('</text:index-body></text:table-of-content>');
    }

    private function figures(): void
    {
        if ($this->document->figures === []) {
            return;
        }
        $title = Xml::escaped($this->document->figuresTitle());
        $this->put(
            "<text:illustration-index text:style-name=\"Index\" text:name=\"Figures1\" text:protected=\"true\"><text:illustration-index-source text:use-caption=\"false\"><text:index-title-template text:style-name=\"Contents_20_Heading\">{$title}</text:index-title-template></text:illustration-index-source><text:index-body><text:index-title text:style-name=\"Index\" text:name=\"Figures1_Head\"><text:p text:style-name=\"Contents_20_Heading\">{$title}</text:p></text:index-title>",
        );
        foreach ($this->document->figures as $i => ['text' => $text, 'page' => $page]) {
            $this->entry('Illustration_20_Index_20_1', '_f' . ($i + 1), $text, $page);
        }
        $this->put('</text:index-body></text:illustration-index>');
    }

    private function entry(string $style, string $anchor, string $text, int $page): void
    {
        $this->paragraph(
            $style,
            "<text:a xlink:type=\"simple\" xlink:href=\"#{$anchor}\" text:style-name=\"Index_20_Link\" text:visited-style-name=\"Index_20_Link\">"
                . OdtRuns::text($text)
                . "<text:tab/>{$page}</text:a>",
        );
    }

    private function closeItems(int $to): void
    {
        for (; $this->items > $to; --$this->items) {
            $this->put('</text:list-item></text:list>');
        }
    }

    private function element(Element $element): void
    {
        match ($element->role) {
            Role::Heading => $this->heading($element),
            Role::Item => $this->item($element),
            Role::Picture => $this->picture($element),
            Role::Reference => $this->reference($element),
            Role::IndexEntry => $this->indexEntry($element),
            Role::SeeAlso => $this->paragraph('See_20_Also', $this->runs->inlines($element->block->content ?? [])),
            Role::Quote => $this->paragraph($element->inQuote ? $this->kept('Quotations') : 'Quotations', $this->marked($element)),
            default => $this->bodyElement($element),
        };
    }

    private function reference(Element $element): void
    {
        $runs = ($element->number === '' ? '' : OdtRuns::text("{$element->number}\t")) . $this->runs->inlines($element->behindNumber());
        // The list is one section, as the citations are marks: programs that know them make it anew.
        $isSection = $this->document->citationFields;
        $isSection && $this->isFirst && $this->put('<text:section text:name="' . CslJson::LIST . '">');
        $this->paragraph($this->document->listLook->isUsual() ? 'Bibliography_20_1' : $this->listed(), $runs);
        $isSection && $this->isLast && $this->put('</text:section>');
    }

    /** The paragraphs of a list of references that its style sets in a way of its own. */
    private function listed(): string
    {
        $parent = $this->template?->name('Bibliography_20_1') ?? 'Bibliography_20_1';
        $indent = round($this->document->referenceIndent(), 2);
        $hanging = -$indent;
        $gap = $this->document->referenceGap();
        $lines = $this->document->listLook->lines;

        return $this->made(
            "style:parent-style-name=\"{$parent}\"><style:paragraph-properties fo:margin-left=\"{$indent}pt\" fo:text-indent=\"{$hanging}pt\""
            . ($gap === null ? '' : ' fo:margin-bottom="' . round($gap, 2) . 'pt"')
            . ($lines === null ? '' : ' fo:line-height="' . $lines * 100 . '%"')
            . '/>',
        );
    }

    /** All entries are one index that is filled in already; each page is a reference to the place. */
    private function indexEntry(Element $element): void
    {
        if ($this->isFirst) {
            $this->put('<text:alphabetical-index text:style-name="Index" text:name="Index1" text:protected="true"><text:alphabetical-index-source '
                . 'text:ignore-case="true" text:combine-entries="true"><text:alphabetical-index-entry-template text:outline-level="1" '
                . 'text:style-name="Bibliography_20_1"><text:index-entry-text/><text:index-entry-span>, </text:index-entry-span>'
                . '<text:index-entry-page-number/></text:alphabetical-index-entry-template></text:alphabetical-index-source><text:index-body>');
        }
        $runs = OdtRuns::text($element->title);
        foreach ($element->places as $place) {
            $page = $place['page'] ?? 1;
            $runs .= ", <text:bookmark-ref text:reference-format=\"page\" text:ref-name=\"{$place['place']}\">{$page}</text:bookmark-ref>";
        }
        $this->paragraph('Bibliography_20_1', $runs);
        $this->isLast ? $this->put('</text:index-body></text:alphabetical-index>') : null;
    }

    private function bodyElement(Element $element): void
    {
        if ($element->anchor !== null) {
            $this->paragraph('Text_20_body', $this->marked($element));
        } elseif ($element->block !== null) {
            $this->block($element->block, $element->inQuote ? 'Quotations' : 'Text_20_body');
        }
    }

    private function heading(Element $element): void
    {
        $level = min(self::TALLEST_HEADING, $element->level);
        $place = $this->numbers->placeOf($element);
        $isCounted = $this->template === null
            && $place !== null
            && $place[0] === ListNumbers::HEADINGS
            && $this->numbers->base() === 0
            && $this->numbers->isPlain($place[1] + 1);
        $number = $isCounted || $element->number === '' ? '' : OdtRuns::text("{$element->number} ");
        $number === '' ? null : $this->losses->note('number');
        $colour
            = $this->document->style->isDyed && $element->dye !== ''
                ? $this->coloured($this->template?->name("Heading_20_{$level}") ?? "Heading_20_{$level}", $element->dye)
                : $this->template?->name("Heading_20_{$level}") ?? "Heading_20_{$level}";
        $marked = $this->marked($element);
        $colour = $this->turned($colour, $marked);
        $this->put(
            "<text:h text:style-name=\"{$colour}\" text:outline-level=\"{$level}\""
                . ($isCounted ? '' : ' text:is-list-header="true"')
                . ">{$number}{$marked}</text:h>",
        );
    }

    private function coloured(string $parent, string $colour): string
    {
        return $this->made("style:parent-style-name=\"{$parent}\"><style:text-properties fo:color=\"" . strtolower($colour) . '"/>');
    }

    /** The style, and of a text that is read from right to left the same the other way round. */
    private function turned(string $style, string $runs): string
    {
        if (!Wrapping::isRightToLeft(strip_tags($runs))) {
            return $style;
        }
        // What is made for one paragraph can be the parent of none.
        $made = (string) array_search($style, $this->paragraphs, true);
        [$open, $rest] = explode('>', $made === '' ? "style:parent-style-name=\"{$style}\">" : $made, 2);
        $way = '<style:paragraph-properties style:writing-mode="rl-tb"'
            . ($this->document->style->isJustified ? '' : ' fo:text-align="right"');
        $key = str_starts_with($rest, '<style:paragraph-properties')
            ? "{$open}>{$way}" . substr($rest, \strlen('<style:paragraph-properties'))
            : "{$open}>{$way}/>{$rest}";

        return $this->made($key);
    }

    /** A style that stays on one page with what follows. */
    private function kept(string $parent): string
    {
        $parent = $this->template?->name($parent) ?? $parent;

        return $this->made("style:parent-style-name=\"{$parent}\"><style:paragraph-properties fo:keep-with-next=\"always\"/>");
    }

    /**
     * A style that paragraphs of this document have beside those of all.
     *
     * @param string $says what is written within <style:style>, with its own attributes first
     *
     * @return string its name
     */
    private function made(string $says): string
    {
        return $this->paragraphs[$says] ??= 'P' . (\count($this->paragraphs) + 1);
    }

    private function item(Element $element): void
    {
        if ($this->items === $element->level) {
            $this->put('</text:list-item><text:list-item>');
        }
        for (; $this->items < $element->level; ++$this->items) {
            $this->put('<text:list text:style-name="Bullets"><text:list-item>');
        }
        $number = $element->number === '' ? '' : OdtRuns::text("{$element->number} ");
        $this->paragraph('List_20_Item', $number . $this->marked($element));
    }

    /** With a bookmark that names its topic, behind a number that is typed. */
    private function marked(Element $element): string
    {
        $name = $this->anchors[$element->topic] ?? null;
        $text = self::annotated($this->remarks->at($element->topic), OdtRuns::text($element->title)) . $this->sign($element)
            . implode('', array_map(OdtRuns::entry(...), $this->indexed[$name ?? ''] ?? []));

        return $name === null ? $text : "<text:bookmark-start text:name=\"{$name}\"/>{$text}<text:bookmark-end text:name=\"{$name}\"/>";
    }

    private function sign(Element $element): string
    {
        $sign = SignPicture::of($this->document, $element);

        return $sign === null ? '' : ' ' . $this->runs->sign($sign);
    }

    /** The runs of a block, with what was said about it. */
    private function said(Node $block): string
    {
        return self::annotated($this->remarks->on($block->string('id')), $this->runs->inlines($block->content));
    }

    /**
     * Remarks as annotations (OpenDocument 1.3, 14.1).
     *
     * @param array<int, Remark> $remarks
     */
    private static function annotated(array $remarks, string $runs): string
    {
        $starts = $ends = '';
        foreach ($remarks as $id => $remark) {
            $text = array_map(static fn(string $one): string => '<text:p>' . OdtRuns::text($one) . '</text:p>', $remark->paragraphs());
            $starts .= "<office:annotation office:name=\"r{$id}\"><dc:creator xmlns:dc=\"http://purl.org/dc/elements/1.1/\">"
                . Xml::escaped($remark->who) . '</dc:creator><dc:date xmlns:dc="http://purl.org/dc/elements/1.1/">' . $remark->at . '</dc:date>'
                . implode('', $text) . '</office:annotation>';
            $ends .= "<office:annotation-end office:name=\"r{$id}\"/>";
        }

        return $starts . $runs . $ends;
    }

    private function startOfBlock(string $mark = Anchor::BLOCK): string
    {
        return $this->document->marks ? "<text:bookmark text:name=\"{$mark}" . ++$this->bookmarks . '"/>' : '';
    }

    private function picture(Element $element): void
    {
        $picture = $element->picture;
        $bytes = $picture === null ? null : $this->pictures?->bytes($picture->id);
        if ($picture === null || $bytes === null) {
            $this->losses->note('topicPicture');

            return;
        }
        $this->paragraph(
            'Standard',
            $this->startOfBlock()
                . $this->runs->drawing($picture->id, $bytes, $picture->shown * Style::PICTURE, $picture->height / $picture->width, $element->title),
        );
    }

    private function notePicture(Node $node): void
    {
        $caption = $node->string('caption') ?? '';
        $frame = $this->runs->ofNote($node);
        if ($frame === null) {
            $this->losses->note('picture');
            $says = $caption === '' ? $node->string('alt') ?? '' : $caption;
            $says === '' ? null : $this->paragraph('Text_20_body', OdtRuns::text($says));

            return;
        }
        $this->paragraph('Standard', $frame);
        if ($caption !== '') {
            $figure = $node->int('figure', 0);
            $this->paragraph('Caption', ($figure > 0 ? "<text:bookmark text:name=\"_f{$figure}\"/>" : '') . OdtRuns::text($caption));
        }
    }

    private function block(Node $node, string $style): void
    {
        match ($node->type) {
            NodeType::Paragraph => $this->paragraph($style, $this->said($node)),
            NodeType::Heading => $this->paragraph('Note_20_Heading_20_' . $node->int('level', 1), $this->said($node)),
            NodeType::BulletList, NodeType::TaskList, NodeType::OrderedList => $this->list($node),
            NodeType::Blockquote => $this->quotation($node, $style === 'Quotations'),
            NodeType::CodeBlock => $this->paragraph('Preformatted_20_Text', $this->startOfBlock() . OdtRuns::text($node->plainText())),
            NodeType::HorizontalRule => $this->paragraph('Horizontal_20_Line', ''),
            NodeType::Table => $this->table($node),
            NodeType::Picture => $this->notePicture($node),
            default => null,
        };
    }

    private function quotation(Node $quotation, bool $isInQuote): void
    {
        foreach ($quotation->content as $i => $node) {
            if ($node->type === NodeType::Paragraph) {
                $this->paragraph(
                    'Quotations',
                    ($i === 0 ? $this->startOfBlock() : ($isInQuote ? $this->startOfBlock(Anchor::MORE) : ''))
                        . $this->runs->inlines($node->content),
                );
            } else {
                $this->losses->note('inQuotation');
                $this->block($node, 'Quotations');
            }
        }
    }

    private function list(Node $list): void
    {
        $style = match ($list->type) {
            NodeType::OrderedList => 'Numbers',
            NodeType::TaskList => 'Boxes',
            default => 'Bullets',
        };
        $this->put("<text:list text:style-name=\"{$style}\">");
        foreach ($list->content as $i => $item) {
            $start = $i === 0 && $list->type === NodeType::OrderedList ? ' text:start-value="' . $list->int('start', 1) . '"' : '';
            $this->put("<text:list-item{$start}>");
            $check = $item->type === NodeType::TaskItem ? (($item->attrs['checked'] ?? false) === true ? '☑ ' : '☐ ') : '';
            foreach ($item->content as $k => $node) {
                if ($k === 0 && $node->type === NodeType::Paragraph) {
                    $this->paragraph('List_20_Item', $check . $this->runs->inlines($node->content));
                } else {
                    $this->block($node, 'List_20_Item');
                }
            }
            $this->put('</text:list-item>');
        }
        $this->put('</text:list>');
    }

    private function table(Node $table): void
    {
        $columns = max([1, ...array_map(static fn(Node $row): int => \count($row->content), $table->content)]);
        $this->put(
            '<table:table table:name="Table'
                . ++$this->tables
                . "\" table:style-name=\"Grid\"><table:table-column table:number-columns-repeated=\"{$columns}\"/>",
        );
        $isHead = false;
        foreach ($table->content as $i => $row) {
            $wasHead = $isHead;
            $isHead
                = ($i === 0 || $wasHead)
                && !\in_array(NodeType::TableCell, array_map(static fn(Node $cell): NodeType => $cell->type, $row->content), true);
            $this->put(
                ($wasHead && !$isHead ? '</table:table-header-rows>' : '')
                    . ($isHead && !$wasHead ? '<table:table-header-rows>' : '')
                    . '<table:table-row>',
            );
            foreach (array_pad($row->content, $columns, new Node(NodeType::TableCell)) as $cell) {
                $this->put('<table:table-cell table:style-name="' . ($isHead ? 'HeadCell' : 'Cell') . '" office:value-type="string">');
                foreach ($cell->content === [] ? [Node::paragraph([])] : $cell->content as $node) {
                    $this->block($node, $isHead ? 'Table_20_Heading' : 'Table_20_Contents');
                }
                $this->put('</table:table-cell>');
            }
            $this->put('</table:table-row>');
        }
        $this->put(($isHead ? '</table:table-header-rows>' : '') . '</table:table>');
    }
}
