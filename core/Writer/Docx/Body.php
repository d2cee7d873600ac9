<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Citation\Exchange\CslJson;
use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Pictures;
use Embrel\Document\Remarks;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\Draft\Index;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Writer\Losses;
use Embrel\Writer\SignPicture;
use Embrel\Writer\StyleNames;

/** The main part: what stands in front, and the elements, streamed as WordprocessingML. */
final class Body
{
    public const W = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
    public const R = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
    private const FLUSH_EVERY = 200;
    /** Levels above a list that leave room for lists within it. */
    private const ROOMY = 4;

    public readonly Runs $runs;
    private \XMLWriter $xml;
    private int $bookmarks = 0;
    /** Whether an element is the first of several of its role in a row, and whether it is the last. */
    private bool $isFirst = false;
    private bool $isLast = false;
    /** @var array<string, list<string>> bookmark of a topic → the terms of the index that stand in its title */
    private array $indexed;
    /** @var array<string, string> topic → the name of its bookmark */
    private array $anchors = [];

    /**
     * @param string $section   the properties of the last section as XML, where a template has them; empty: those of the style
     * @param string $own       a text of the template's own that stands instead of our title, as XML; empty: none
     * @param int    $firstNote the number after which our footnotes begin
     */
    public function __construct(
        private readonly Document $document,
        private readonly Lists $lists,
        private readonly Losses $losses,
        ?Pictures $pictures,
        private readonly StyleNames $names = new StyleNames(),
        private readonly string $section = '',
        private readonly string $own = '',
        int $firstNote = 0,
    ) {
        $this->anchors = $document->anchors();
        $this->paragraphs = new Paragraphs($names);
        $this->indexed = Index::inTitles($document->elements);
        $this->comments = new Comments(Remarks::of($document));
        $this->runs = new Runs($document, $names, $pictures, $this->anchors, $firstNote);
        $this->pictures = $pictures;
    }

    private readonly ?Pictures $pictures;
    private readonly Paragraphs $paragraphs;
    public readonly Comments $comments;

    /** The width between the margins, in twentieths of a point. */
    public static function textWidth(Document $document): int
    {
        [, $right, , $left] = $document->style->edges();

        return (int) round(($document->style->page($document->properties->pageSize)[0] - $left - $right) * 20);
    }

    /** @param array<string, string> $namespaces prefix → namespace, where a template's section needs more */
    public function write(string $path, array $namespaces = []): void
    {
        $this->xml = new \XMLWriter();
        if (!$this->xml->openUri($path)) {
            throw new \RuntimeException('The document could not be written in the work folder.');
        }
        $this->xml->startDocument('1.0', 'UTF-8', 'yes');
        $this->xml->startElement('w:document');
        foreach (['w' => self::W, 'r' => self::R] + $namespaces as $prefix => $namespace) {
            $this->xml->writeAttribute("xmlns:{$prefix}", $namespace);
        }
        $this->xml->startElement('w:body');
        $front = new Front($this->document, $this->paragraphs, $this->anchors);
        $this->raw($front->xml($this->own, ++$this->bookmarks));
        foreach ($this->document->elements as $i => $element) {
            $this->isFirst = ($this->document->elements[$i - 1]->role ?? null) !== $element->role;
            $this->isLast = ($this->document->elements[$i + 1]->role ?? null) !== $element->role;
            $this->element($element);
            if ($i % self::FLUSH_EVERY === 0) {
                $this->xml->flush();
            }
        }
        $this->raw($this->section === '' ? $front->section() : $this->section);
        $this->xml->endElement();
        $this->xml->endElement();
        $this->xml->endDocument();
        $this->xml->flush();
    }

    private function element(Element $element): void
    {
        match ($element->role) {
            Role::Heading => $this->headingParagraph($element),
            Role::Item => $this->item($element),
            Role::Picture => $this->picture($element),
            Role::Reference => $this->reference($element),
            Role::IndexEntry => $this->indexEntry($element),
            Role::SeeAlso => $this->paragraph(
                'SeeAlso',
                $this->runs->inlines($element->block->content ?? []),
                self::indent($element->level),
            ),
            Role::Quote => $this->paragraph(
                'Quote',
                $this->marked($element, '', Runs::text($element->title)),
                ($element->inQuote ? '<w:keepNext/>' : '') . self::indent($element->level, 567),
            ),
            default => $this->bodyElement($element),
        };
    }

    private function reference(Element $element): void
    {
        $look = $this->document->listLook;
        $runs = ($element->number === '' ? '' : Runs::text("{$element->number}\t")) . $this->runs->inlines($element->behindNumber());
        // In twips; a line in 240ths of its height.
        $indent = (int) round($this->document->referenceIndent() * 20);
        $gap = $this->document->referenceGap();
        $space = ($gap === null ? '' : ' w:after="' . (int) round($gap * 20) . '"')
            . ($look->lines === null ? '' : ' w:line="' . $look->lines * 240 . '" w:lineRule="auto"');
        $this->paragraph(
            'Bibliography',
            $this->document->citationFields ? $this->withinField($runs) : $runs,
            $look->isUsual() ? '' : ($space === '' ? '' : "<w:spacing{$space}/>") . "<w:ind w:left=\"{$indent}\" w:hanging=\"{$indent}\"/>",
        );
    }

    /** The list is one field, from its first entry to its last: programs that know the citations make it anew. */
    private function withinField(string $runs): string
    {
        return ($this->isFirst ? Runs::beginning('ADDIN ' . CslJson::LIST) : '') . $runs . ($this->isLast ? Runs::mark('end') : '');
    }

    /**
     * Each page is a reference to the place, so that it is right wherever its pages are set; marks for an index of the
     * program's own stand there too.
     */
    private function indexEntry(Element $element): void
    {
        $runs = Runs::text($element->title);
        foreach ($element->places as $place) {
            $runs .= Runs::text(', ') . Runs::field("PAGEREF {$place['place']} \\h", (string) ($place['page'] ?? 1));
        }
        $this->paragraph('Bibliography', $runs);
    }

    private function bodyElement(Element $element): void
    {
        if ($element->anchor !== null) {
            $this->paragraph('BodyText', $this->marked($element, '', Runs::text($element->title)), self::indent($element->level));
        } elseif ($element->block !== null) {
            $this->block($element->block, $element->level, $element->inQuote ? 'Quote' : '');
        }
    }

    /** A picture in a paragraph of its own, as wide as it is shown (96 pixels to the inch), at most as wide as the text. */
    private function picture(Element $element): void
    {
        $picture = $element->picture;
        $bytes = $picture === null ? null : $this->pictures?->bytes($picture->id);
        if ($picture === null || $bytes === null) {
            $this->losses->note('topicPicture');

            return;
        }
        $this->paragraph(
            '',
            $this->startOfBlock()
                . $this->runs->drawing(
                    $picture->id,
                    $bytes,
                    $picture->shown * Style::PICTURE,
                    $picture->height / $picture->width,
                    $element->title,
                ),
            self::indent($element->level),
        );
    }

    /** A picture within a note and its caption below it. */
    private function notePicture(Node $node, int $items): void
    {
        $caption = $node->string('caption') ?? '';
        $drawing = $this->runs->ofNote($node);
        if ($drawing === null) {
            $this->losses->note('picture');
            $says = $caption === '' ? $node->string('alt') ?? '' : $caption;
            $says === '' ? null : $this->paragraph('BodyText', Runs::text($says), self::indent($items));

            return;
        }
        $this->paragraph('', $drawing, ($caption === '' ? '' : '<w:keepNext/>') . self::indent($items));
        if ($caption !== '') {
            $figure = $node->int('figure', 0);
            $id = $figure > 0 ? ++$this->bookmarks : 0;
            $this->paragraph(
                'Caption',
                $figure > 0
                    ? "<w:bookmarkStart w:id=\"{$id}\" w:name=\"_f{$figure}\"/>" . Runs::text($caption) . "<w:bookmarkEnd w:id=\"{$id}\"/>"
                    : Runs::text($caption),
                self::indent($items),
            );
        }
    }

    private function headingParagraph(Element $element): void
    {
        [$list, $number] = $this->numbering($element);
        $level = min(9, $element->level);
        $break = $this->document->style->breaks && $element->level === 1 ? '<w:pageBreakBefore/>' : '';
        $place = '';
        if ($list === null) {
            $place = '<w:numPr><w:numId w:val="0"/></w:numPr>';
        } elseif ($list[0] === $this->lists->appendices() || $this->names->isForeign("Heading{$level}")) {
            $place = "<w:numPr><w:ilvl w:val=\"{$list[1]}\"/><w:numId w:val=\"{$list[0]}\"/></w:numPr>";
        }
        $colour = $this->document->style->isDyed && $element->dye !== '' ? '<w:color w:val="' . substr($element->dye, 1) . '"/>' : '';
        $this->paragraph(
            "Heading{$level}",
            $this->marked($element, $number === '' ? '' : Runs::text($number, $colour), Runs::text($element->title, $colour)),
            $break . $place,
        );
    }

    private function item(Element $element): void
    {
        [$list, $number] = $this->numbering($element);
        $level = min(8, $element->level - 1);
        if ($list !== null) {
            $place = "<w:numPr><w:ilvl w:val=\"{$list[1]}\"/><w:numId w:val=\"{$list[0]}\"/></w:numPr>" . self::indent($element->level);
        } elseif ($number !== '') {
            $place = '<w:numPr><w:numId w:val="0"/></w:numPr>' . self::indent($element->level);
        } else {
            $place = "<w:numPr><w:ilvl w:val=\"{$level}\"/><w:numId w:val=\"" . $this->lists->bullets() . '"/></w:numPr>';
        }
        $this->paragraph(
            $list === null && $number === '' ? 'ListBullet' : 'ListNumber',
            $this->marked($element, $number === '' ? '' : Runs::text($number), Runs::text($element->title)),
            $place,
        );
    }

    /** @return array{array{int, int}|null, string} the list that shows the number, else the number as text */
    private function numbering(Element $element): array
    {
        $list = $this->lists->placeOf($element);
        if ($list !== null || $element->number === '') {
            return [$list, ''];
        }
        $this->losses->note('number');

        return [null, $element->number . ' '];
    }

    /** With a hidden bookmark that names its topic, behind a number that is typed: the way back, and where links lead. */
    private function marked(Element $element, string $number, string $runs): string
    {
        $name = $this->anchors[$element->topic] ?? null;
        $runs = $this->comments->onTopic($element->topic, $runs) . $this->sign($element) . $this->entries($element);
        if ($name === null) {
            return $number . $runs;
        }
        $id = ++$this->bookmarks;

        return "{$number}<w:bookmarkStart w:id=\"{$id}\" w:name=\"{$name}\"/>{$runs}<w:bookmarkEnd w:id=\"{$id}\"/>";
    }

    /** Marks of the index in a title: a word processor that makes it anew finds them there. */
    private function entries(Element $element): string
    {
        return implode('', array_map(Runs::entry(...), $this->indexed[$this->anchors[$element->topic] ?? ''] ?? []));
    }

    private function sign(Element $element): string
    {
        $sign = SignPicture::of($this->document, $element);

        return $sign === null ? '' : Runs::text(' ') . $this->runs->sign($sign);
    }

    /** A bookmark that tells where a quotation, a block of code or a picture of a topic begins. */
    private function startOfBlock(string $mark = Anchor::BLOCK): string
    {
        $id = ++$this->bookmarks;

        return $this->document->marks ? "<w:bookmarkStart w:id=\"{$id}\" w:name=\"{$mark}{$id}\"/><w:bookmarkEnd w:id=\"{$id}\"/>" : '';
    }

    private static function indent(int $items, int $base = 0): string
    {
        return $items === 0
            ? ''
            : '<w:ind w:left="' . ($base + $items * 360) . '"' . ($base > 0 ? " w:right=\"{$base}\"" : ' w:firstLine="0"') . '/>';
    }

    private function paragraph(string $style, string $runs, string $properties = ''): void
    {
        $this->raw($this->paragraphs->of($style, $runs, $properties));
    }

    private function raw(string $xml): void
    {
        $this->xml->writeRaw($xml);
    }

    /** @param int $items how many list levels it stands under */
    private function block(Node $node, int $items, string $style): void
    {
        match ($node->type) {
            NodeType::Paragraph => $this->paragraph(
                $style === '' ? 'BodyText' : $style,
                $this->comments->onBlock($node->string('id'), $this->runs->inlines($node->content)),
                self::indent($items, $style === 'Quote' ? 567 : 0),
            ),
            NodeType::Heading => $this->paragraph(
                'NoteHeading' . $node->int('level', 1),
                $this->comments->onBlock($node->string('id'), $this->runs->inlines($node->content)),
                self::indent($items),
            ),
            // A word processor has nine levels: a list deep down starts at one that leaves room for those within it.
            NodeType::BulletList, NodeType::TaskList, NodeType::OrderedList => $this->list(
                $node,
                max(0, min($items, 9 - self::height($node))),
                $items > self::ROOMY,
            ),
            NodeType::Blockquote => $this->quotation($node, $items, $style === 'Quote'),
            NodeType::CodeBlock => $this->paragraph('Code', $this->startOfBlock() . Runs::text($node->plainText()), self::indent($items)),
            NodeType::HorizontalRule => $this->paragraph(
                '',
                '',
                '<w:pBdr><w:bottom w:val="single" w:sz="6" w:space="1" w:color="' . Styles::colour(Style::RULE) . '"/></w:pBdr>' . self::indent($items),
            ),
            NodeType::Table => $this->table($node),
            NodeType::Picture => $this->notePicture($node, $items),
            default => null,
        };
    }

    private function quotation(Node $quotation, int $items, bool $isInQuote): void
    {
        foreach ($quotation->content as $i => $node) {
            if ($node->type === NodeType::Paragraph) {
                $this->paragraph(
                    'Quote',
                    ($i === 0 ? $this->startOfBlock() : ($isInQuote ? $this->startOfBlock(Anchor::MORE) : ''))
                        . $this->runs->inlines($node->content),
                    self::indent($items, 567),
                );
            } else {
                $this->losses->note('inQuotation');
                $this->block($node, $items, 'Quote');
            }
        }
    }

    private static function height(Node $node): int
    {
        $height = 0;
        foreach ($node->content as $child) {
            $height = $child->isText() ? $height : max($height, self::height($child));
        }

        return $height + ($node->type->isList() ? 1 : 0);
    }

    /** @param bool $isDeep whether its level may have had to be lowered, so that only a mark tells it from the list before it */
    private function list(Node $list, int $items, bool $isDeep = false): void
    {
        $isOrdered = $list->type === NodeType::OrderedList;
        $number = $isOrdered ? $this->lists->numbered($list->int('start', 1)) : $this->lists->bulleted();
        $style = $isOrdered ? 'ListNumber' : 'ListBullet';
        foreach ($list->content as $item) {
            $check = $item->type === NodeType::TaskItem ? Runs::text(($item->attrs['checked'] ?? false) === true ? '☑ ' : '☐ ') : '';
            $start = $isDeep && $item === $list->content[0] ? $this->startOfBlock() : '';
            foreach ($item->content as $i => $node) {
                if ($i === 0) {
                    $isText = $node->type === NodeType::Paragraph;
                    $this->paragraph(
                        $style,
                        $start . $check . ($isText ? $this->runs->inlines($node->content) : ''),
                        '<w:numPr><w:ilvl w:val="' . min(8, $items) . "\"/><w:numId w:val=\"{$number}\"/></w:numPr>",
                    );
                    $isText ? null : $this->block($node, $items + 1, '');
                } elseif ($node->type->isList()) {
                    $this->list($node, $items + 1);
                } else {
                    $node->type === NodeType::Paragraph ? null : $this->losses->note('inItem');
                    $this->block($node, $items + 1, $node->type === NodeType::Paragraph ? 'ListContinue' : '');
                }
            }
        }
    }

    private function table(Node $table): void
    {
        $columns = max([1, ...array_map(static fn(Node $row): int => count($row->content), $table->content)]);
        $width = intdiv(self::textWidth($this->document), $columns);
        $this->raw(
            '<w:tbl><w:tblPr><w:tblStyle w:val="'
                . $this->names->of('TableGrid')
                . '"/><w:tblW w:w="0" w:type="auto"/></w:tblPr><w:tblGrid>'
                . str_repeat("<w:gridCol w:w=\"{$width}\"/>", $columns)
                . '</w:tblGrid>',
        );
        foreach ($table->content as $row) {
            $isHead
                = $row->content !== []
                && !\in_array(NodeType::TableCell, array_map(static fn(Node $cell): NodeType => $cell->type, $row->content), true);
            $this->raw('<w:tr>' . ($isHead ? '<w:trPr><w:tblHeader/></w:trPr>' : ''));
            foreach (array_pad($row->content, $columns, new Node(NodeType::TableCell)) as $cell) {
                $this->raw(
                    "<w:tc><w:tcPr><w:tcW w:w=\"{$width}\" w:type=\"dxa\"/>"
                        . ($isHead ? '<w:shd w:val="clear" w:color="auto" w:fill="' . Styles::colour(Style::GROUND) . '"/>' : '')
                        . '</w:tcPr>',
                );
                foreach ($cell->content as $node) {
                    $this->block($node, 0, $node->type === NodeType::Paragraph ? 'TableText' : '');
                }
                // A cell must end with a paragraph.
                $last = $cell->content === [] ? null : $cell->content[\count($cell->content) - 1];
                $this->raw($last === null || $last->type === NodeType::Table ? '<w:p/></w:tc>' : '</w:tc>');
            }
            $this->raw('</w:tr>');
        }
        $this->raw('</w:tbl><w:p><w:pPr><w:spacing w:after="0" w:line="120" w:lineRule="exact"/></w:pPr></w:p>');
    }
}
