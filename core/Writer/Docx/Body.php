<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Pictures;
use Embrel\Document\PictureType;
use Embrel\RichText\Node;
use Embrel\Writer\Losses;

/** The main part: title, contents field and elements, streamed as WordprocessingML. */
final class Body
{
    public const W = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
    private const R = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
    /** Twentieths of a point: width, height, and 2.5 cm or 1 inch of margin. */
    private const PAGES = ['a4' => [11906, 16838, 1418], 'letter' => [12240, 15840, 1440]];
    private const MARKS = [
        'bold' => '<w:b/>', 'italic' => '<w:i/>', 'strike' => '<w:strike/>', 'highlight' => '<w:highlight w:val="yellow"/>',
        'underline' => '<w:u w:val="single"/>', 'superscript' => '<w:vertAlign w:val="superscript"/>', 'subscript' => '<w:vertAlign w:val="subscript"/>',
    ];
    private const CODE = '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New" w:cs="Courier New"/>';
    private const FLUSH_EVERY = 200;

    private \XMLWriter $xml;
    /** @var array<string, string> address → relationship id */
    private array $links = [];
    /** @var list<string> the runs of each footnote; their numbers count from 1 */
    private array $footnotes = [];
    private int $bookmarks = 0;
    private int $drawings = 0;
    /** @var array<string, array{relation: string, extension: string}> picture → how the document names it */
    private array $media = [];

    public function __construct(private readonly Document $document, private readonly Lists $lists, private readonly Losses $losses, private readonly ?Pictures $pictures = null) {}

    /** The width between the margins, in twentieths of a point. */
    public static function textWidth(Document $document): int
    {
        [$width, , $margin] = self::PAGES[$document->properties->pageSize] ?? self::PAGES['a4'];

        return $width - 2 * $margin;
    }

    /** @return array<string, array{relation: string, extension: string}> */
    public function media(): array
    {
        return $this->media;
    }

    /** @return list<string> */
    public function footnotes(): array
    {
        return $this->footnotes;
    }

    /** @return array<string, string> */
    public function links(): array
    {
        return $this->links;
    }

    public function write(string $path): void
    {
        $this->xml = new \XMLWriter();
        if (!$this->xml->openUri($path)) {
            throw new \RuntimeException('The document could not be written in the work folder.');
        }
        $this->xml->startDocument('1.0', 'UTF-8', 'yes');
        $this->xml->startElement('w:document');
        $this->xml->writeAttribute('xmlns:w', self::W);
        $this->xml->writeAttribute('xmlns:r', self::R);
        $this->xml->startElement('w:body');
        $this->front();
        foreach ($this->document->elements as $i => $element) {
            $this->element($element);
            if ($i % self::FLUSH_EVERY === 0) {
                $this->xml->flush();
            }
        }
        [$width, $height, $margin] = self::PAGES[$this->document->properties->pageSize] ?? self::PAGES['a4'];
        $this->raw("<w:sectPr><w:footerReference w:type=\"default\" r:id=\"footer\"/><w:pgSz w:w=\"{$width}\" w:h=\"{$height}\"/>"
            . "<w:pgMar w:top=\"{$margin}\" w:right=\"{$margin}\" w:bottom=\"{$margin}\" w:left=\"{$margin}\" w:header=\"709\" w:footer=\"709\" w:gutter=\"0\"/><w:titlePg/></w:sectPr>");
        $this->xml->endElement();
        $this->xml->endElement();
        $this->xml->endDocument();
        $this->xml->flush();
    }

    private function front(): void
    {
        $properties = $this->document->properties;
        $this->paragraph('Title', $this->text($this->document->title));
        if ($properties->subtitle !== '') {
            $this->paragraph('Subtitle', $this->text($properties->subtitle));
        }
        if ($properties->author !== '') {
            $this->paragraph('Author', $this->text($properties->author));
        }
        if ($this->document->contents !== []) {
            $this->contents();
        }
    }

    /** The contents as a field that is filled in already: nothing has to be asked on opening. */
    private function contents(): void
    {
        $this->paragraph('TOCHeading', $this->text($this->heading()));
        $last = \count($this->document->contents) - 1;
        foreach ($this->document->contents as $i => ['element' => $element, 'page' => $page]) {
            $anchor = '_e' . $element->topic;
            $begin = $i > 0 ? '' : self::field('begin') . self::instruction('TOC \o "1-3" \h \z \u') . self::field('separate');
            $entry = '<w:hyperlink w:anchor="' . $anchor . '" w:history="1">'
                . $this->text(($element->number === '' ? '' : $element->number . ' ') . $element->title) . '<w:r><w:tab/></w:r>'
                . self::field('begin') . self::instruction("PAGEREF {$anchor} \\h") . self::field('separate') . $this->text((string) $page) . self::field('end') . '</w:hyperlink>';
            $this->paragraph('TOC' . $element->level, $begin . $entry . ($i === $last ? self::field('end') : ''));
        }
        $this->paragraph('', '<w:r><w:br w:type="page"/></w:r>');
    }

    private function heading(): string
    {
        return str_starts_with($this->document->properties->language, 'de') ? 'Inhalt' : 'Contents';
    }

    private static function field(string $kind): string
    {
        return "<w:r><w:fldChar w:fldCharType=\"{$kind}\"/></w:r>";
    }

    private static function instruction(string $text): string
    {
        return '<w:r><w:instrText xml:space="preserve"> ' . DocxWriter::escaped($text) . ' </w:instrText></w:r>';
    }

    private function element(Element $element): void
    {
        match ($element->role) {
            Element::HEADING => $this->headingParagraph($element),
            Element::ITEM => $this->item($element),
            Element::PICTURE => $this->picture($element),
            Element::REFERENCE => $this->paragraph('Bibliography', $this->inlines($element->block->content ?? [])),
            Element::QUOTE => $this->paragraph('Quote', $this->marked($element, $this->text($element->title)), self::indent($element->level, 567)),
            default => $element->block === null ? null : $this->block($element->block, $element->level, $element->inQuote ? 'Quote' : ''),
        };
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
        $this->paragraph('', $this->drawing($picture->id, $bytes, $picture->shown * 1.5, $picture->height / $picture->width, $element->title), self::indent($element->level));
    }

    /** A picture within a note, in its own size or as wide as it was set, and its caption below it. */
    private function notePicture(Node $node, int $items): void
    {
        $id = $node->string('picture');
        $bytes = $id === null ? null : $this->pictures?->bytes($id);
        $size = $bytes === null ? false : getimagesizefromstring($bytes);
        $caption = $node->string('caption') ?? '';
        if ($id === null || $bytes === null || $size === false || $size[0] === 0) {
            $this->losses->note('picture');
            $this->paragraph('', $this->text($caption === '' ? $node->string('alt') ?? '' : $caption), self::indent($items));

            return;
        }
        $this->paragraph('', $this->drawing($id, $bytes, (float) $node->int('width', $size[0]), $size[1] / $size[0], $node->string('alt') ?? ''), ($caption === '' ? '' : '<w:keepNext/>') . self::indent($items));
        if ($caption !== '') {
            $this->paragraph('Caption', $this->text($caption), self::indent($items));
        }
    }

    /**
     * @param float $width  in pixels, 96 to the inch
     * @param float $aspect height by width
     */
    private function drawing(string $picture, string $bytes, float $width, float $aspect, string $says): string
    {
        $this->media[$picture] ??= ['relation' => 'p' . (\count($this->media) + 1), 'extension' => PictureType::of($bytes)->value];
        // English Metric Units: 9525 to a pixel, 635 to a twentieth of a point.
        $width = min($width * 9525, self::textWidth($this->document) * 635);
        $size = 'cx="' . (int) $width . '" cy="' . (int) ($width * $aspect) . '"';
        $id = ++$this->drawings;
        $name = DocxWriter::escaped($says === '' ? 'Picture' : $says);

        return '<w:r><w:drawing><wp:inline xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" distT="0" distB="0" distL="0" distR="0"><wp:extent ' . $size . "/><wp:docPr id=\"{$id}\" name=\"Picture {$id}\" descr=\"{$name}\"/>"
            . '<a:graphic xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:pic xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture">'
            . "<pic:nvPicPr><pic:cNvPr id=\"{$id}\" name=\"{$name}\"/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip r:embed=\"{$this->media[$picture]['relation']}\"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill>"
            . '<pic:spPr><a:xfrm><a:off x="0" y="0"/><a:ext ' . $size . '/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></pic:spPr></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r>';
    }

    private function headingParagraph(Element $element): void
    {
        [$list, $number] = $this->numbering($element);
        $level = min(9, $element->level);
        $place = '';
        if ($list === null) {
            $place = '<w:numPr><w:numId w:val="0"/></w:numPr>';
        } elseif ($list[0] === Lists::APPENDICES) {
            $place = "<w:numPr><w:ilvl w:val=\"{$list[1]}\"/><w:numId w:val=\"{$list[0]}\"/></w:numPr>";
        }
        $this->paragraph("Heading{$level}", $this->marked($element, $this->text($number . $element->title)), $place);
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
            $place = "<w:numPr><w:ilvl w:val=\"{$level}\"/><w:numId w:val=\"" . Lists::BULLETS . '"/></w:numPr>';
        }
        $this->paragraph($list === null && $number === '' ? 'ListBullet' : 'ListNumber', $this->marked($element, $this->text($number . $element->title)), $place);
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

    /** With a hidden bookmark that names its topic: the way back, and where links lead. */
    private function marked(Element $element, string $runs): string
    {
        $id = ++$this->bookmarks;

        return "<w:bookmarkStart w:id=\"{$id}\" w:name=\"_e{$element->topic}\"/>{$runs}<w:bookmarkEnd w:id=\"{$id}\"/>";
    }

    private static function indent(int $items, int $base = 0): string
    {
        return $items === 0 ? '' : '<w:ind w:left="' . ($base + $items * 360) . '"' . ($base > 0 ? " w:right=\"{$base}\"" : '') . '/>';
    }

    private function paragraph(string $style, string $runs, string $properties = ''): void
    {
        $style = $style === '' ? '' : "<w:pStyle w:val=\"{$style}\"/>";
        $properties = $style . $properties;
        $this->raw('<w:p>' . ($properties === '' ? '' : "<w:pPr>{$properties}</w:pPr>") . $runs . '</w:p>');
    }

    private function raw(string $xml): void
    {
        $this->xml->writeRaw($xml);
    }

    /** @param int $items how many list levels it stands under */
    private function block(Node $node, int $items, string $style): void
    {
        match ($node->type) {
            'paragraph' => $this->paragraph($style, $this->inlines($node->content), self::indent($items, $style === 'Quote' ? 567 : 0)),
            'heading' => $this->paragraph('NoteHeading' . $node->int('level', 1), $this->inlines($node->content), self::indent($items)),
            'bulletList', 'taskList', 'orderedList' => $this->list($node, $items),
            'blockquote' => $this->blocks($node->content, $items, 'Quote'),
            'codeBlock' => $this->paragraph('Code', $this->text($node->plainText()), self::indent($items)),
            'horizontalRule' => $this->paragraph('', '', '<w:pBdr><w:bottom w:val="single" w:sz="6" w:space="1" w:color="8A8494"/></w:pBdr>'),
            'table' => $this->table($node),
            'picture' => $this->notePicture($node, $items),
            default => null,
        };
    }

    /** @param list<Node> $nodes */
    private function blocks(array $nodes, int $items, string $style): void
    {
        foreach ($nodes as $node) {
            $this->block($node, $items, $style);
        }
    }

    private function list(Node $list, int $items): void
    {
        $number = $list->type === 'orderedList' ? $this->lists->numbered($list->int('start', 1)) : Lists::BULLETS;
        $style = $list->type === 'orderedList' ? 'ListNumber' : 'ListBullet';
        foreach ($list->content as $item) {
            $check = $item->type === 'taskItem' ? $this->text(($item->attrs['checked'] ?? false) === true ? '☑ ' : '☐ ') : '';
            foreach ($item->content as $i => $node) {
                if ($i === 0 && $node->type === 'paragraph') {
                    $this->paragraph($style, $check . $this->inlines($node->content), '<w:numPr><w:ilvl w:val="' . min(8, $items) . "\"/><w:numId w:val=\"{$number}\"/></w:numPr>");
                } else {
                    $this->block($node, $items + 1, $node->type === 'paragraph' ? 'ListContinue' : '');
                }
            }
        }
    }

    private function table(Node $table): void
    {
        $columns = max([1, ...array_map(static fn(Node $row): int => count($row->content), $table->content)]);
        $width = intdiv(self::textWidth($this->document), $columns);
        $this->raw('<w:tbl><w:tblPr><w:tblStyle w:val="TableGrid"/><w:tblW w:w="0" w:type="auto"/></w:tblPr><w:tblGrid>' . str_repeat("<w:gridCol w:w=\"{$width}\"/>", $columns) . '</w:tblGrid>');
        foreach ($table->content as $row) {
            $this->raw('<w:tr>');
            foreach (array_pad($row->content, $columns, new Node('tableCell')) as $cell) {
                $this->raw("<w:tc><w:tcPr><w:tcW w:w=\"{$width}\" w:type=\"dxa\"/></w:tcPr>");
                $this->blocks($cell->content, 0, '');
                // A cell must end with a paragraph.
                $last = $cell->content === [] ? null : $cell->content[\count($cell->content) - 1];
                $this->raw($last === null || $last->type === 'table' ? '<w:p/></w:tc>' : '</w:tc>');
            }
            $this->raw('</w:tr>');
        }
        $this->raw('</w:tbl><w:p/>');
    }

    /** @param list<Node> $nodes */
    private function inlines(array $nodes): string
    {
        $out = '';
        foreach ($nodes as $node) {
            $out .= match ($node->type) {
                'text' => $this->run($node),
                'hardBreak' => '<w:r><w:br/></w:r>',
                'footnote' => $this->footnote($node),
                default => '',
            };
        }

        return $out;
    }

    /** A real footnote: its sign here, its words in a part of their own. */
    private function footnote(Node $node): string
    {
        $this->footnotes[] = $this->inlines($node->content);

        return '<w:r><w:rPr><w:rStyle w:val="FootnoteReference"/></w:rPr><w:footnoteReference w:id="' . \count($this->footnotes) . '"/></w:r>';
    }

    private function run(Node $node): string
    {
        $properties = $node->has('code') ? self::CODE : '';
        foreach (self::MARKS as $mark => $xml) {
            $properties .= $node->has($mark) ? $xml : '';
        }
        $href = $node->link();
        if ($href === null) {
            return $this->text($node->text, $properties);
        }
        if ($href[0] === '#') {
            return '<w:hyperlink w:anchor="' . DocxWriter::escaped(mb_substr($href, 1, 40)) . '">' . $this->text($node->text, $properties) . '</w:hyperlink>';
        }
        $id = $this->links[$href] ??= 'link' . (\count($this->links) + 1);

        return "<w:hyperlink r:id=\"{$id}\">" . $this->text($node->text, '<w:rStyle w:val="Hyperlink"/>' . $properties) . '</w:hyperlink>';
    }

    /** Runs of text; a line feed becomes a break, a tab a tab. */
    private function text(string $text, string $properties = ''): string
    {
        $properties = $properties === '' ? '' : "<w:rPr>{$properties}</w:rPr>";
        $inner = '<w:t xml:space="preserve">' . DocxWriter::escaped($text) . '</w:t>';
        if (strpbrk($text, "\n\t") !== false) {
            $inner = str_replace(["\n", "\t"], ['</w:t><w:br/><w:t xml:space="preserve">', '</w:t><w:tab/><w:t xml:space="preserve">'], $inner);
        }

        return "<w:r>{$properties}{$inner}</w:r>";
    }
}
