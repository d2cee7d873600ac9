<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Citation\Exchange\CslJson;
use Embrel\Document\Document;
use Embrel\Document\Pictures;
use Embrel\Document\PictureType;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\Writer\RunWalk;
use Embrel\Writer\SignPicture;
use Embrel\Writer\StyleNames;

/** Runs of text, links, footnotes and pictures, and what the package must hold for them. */
final class Runs extends RunWalk
{
    private const MARKS = [
        'bold' => '<w:b/>',
        'italic' => '<w:i/>',
        'strike' => '<w:strike/>',
        'highlight' => '<w:highlight w:val="yellow"/>',
        'underline' => '<w:u w:val="single"/>',
        'superscript' => '<w:vertAlign w:val="superscript"/>',
        'subscript' => '<w:vertAlign w:val="subscript"/>',
    ];
    /** Of a bookmark (ECMA-376, part 1, 17.13.6.2). */
    private const LONGEST_NAME = 40;
    private const CODE = '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New" w:cs="Courier New"/>';

    /** @var array<string, string> address → relationship id */
    public array $links = [];
    /** @var list<string> the runs of each footnote; their numbers count from 1 */
    public array $footnotes = [];
    /** @var array<string, array{relation: string, extension: string}> picture → how the document names it */
    public array $media = [];
    /** @var array<string, string> the bytes of pictures that were drawn for it, by their names among those */
    public array $drawn = [];
    private int $drawings = 0;
    private int $indexMarks = 0;
    private bool $isInFootnote = false;

    /** @param array<string, string> $anchors topic → the name of its bookmark */
    public function __construct(
        private readonly Document $document,
        private readonly StyleNames $names,
        ?Pictures $pictures,
        array $anchors,
        private readonly int $firstNote = 0,
    ) {
        parent::__construct($pictures, $anchors);
    }

    /** Runs of text; a line feed becomes a break, a tab a tab. */
    public static function text(string $text, string $properties = ''): string
    {
        $properties = $properties === '' ? '' : "<w:rPr>{$properties}</w:rPr>";
        $inner = '<w:t xml:space="preserve">' . Xml::escaped($text) . '</w:t>';
        if (strpbrk($text, "\n\t") !== false) {
            $inner = str_replace(
                ["\n", "\t"],
                ['</w:t><w:br/><w:t xml:space="preserve">', '</w:t><w:tab/><w:t xml:space="preserve">'],
                $inner,
            );
        }

        return "<w:r>{$properties}{$inner}</w:r>";
    }

    protected function footnote(Node $node): string
    {
        $this->isInFootnote = true;
        $this->footnotes[] = $this->inlines($node->content);
        $this->isInFootnote = false;

        return '<w:r><w:rPr><w:rStyle w:val="'
            . $this->names->of('FootnoteReference')
            . '"/></w:rPr><w:footnoteReference w:id="'
            . ($this->firstNote + \count($this->footnotes))
            . '"/></w:r>';
    }

    /** A field whose instruction is the citation as CSL-JSON (ECMA-376, part 1, 17.16.5.3). */
    protected function citation(Node $node): string
    {
        $instruction = 'ADDIN ' . CslJson::CITATION . ' ' . $node->string('csl');

        return self::beginning($instruction) . $this->inlines($node->content) . self::mark('end');
    }

    protected function lineBreak(): string
    {
        return '<w:r><w:br/></w:r>';
    }

    /** A mark of the index (ECMA-376, part 1, 17.16.5.79): the word processor collects them. */
    public static function entry(string $term): string
    {
        $term = Xml::escaped(str_replace(['\\', '"', ':'], ['', '”', ' '], $term));

        return self::mark('begin') . "<w:r><w:instrText xml:space=\"preserve\"> XE \"{$term}\" </w:instrText></w:r>" . self::mark('end');
    }

    /** A bookmark where a term of the index stands, and its mark. */
    private function indexed(Node $node): string
    {
        $place = $node->string('place');
        if ($place === null) {
            return '';
        }
        // Beyond the numbers of all other bookmarks.
        $id = 1_000_000 + ++$this->indexMarks;

        return "<w:bookmarkStart w:id=\"{$id}\" w:name=\"{$place}\"/><w:bookmarkEnd w:id=\"{$id}\"/>" . self::entry($node->string('term') ?? '');
    }

    protected function run(Node $node): string
    {
        return $node->attrs === [] ? $this->plain($node) : $this->indexed($node) . $this->plain($node);
    }

    private function plain(Node $node): string
    {
        if ($node->marks === []) {
            return self::text($node->text);
        }
        $properties = $node->has(MarkType::Code) ? self::CODE : '';
        foreach (self::MARKS as $mark => $xml) {
            $properties .= $node->has(MarkType::from($mark)) ? $xml : '';
        }
        $href = $node->link();
        if ($href === null) {
            return self::text($node->text, $properties);
        }
        $place = $this->place($href);
        if ($place !== null) {
            $anchor = mb_substr($place, 0, self::LONGEST_NAME);

            return '<w:hyperlink w:anchor="' . Xml::escaped($anchor) . '">' . self::text($node->text, $properties) . '</w:hyperlink>';
        }

        return $this->out($href, self::text($node->text, '<w:rStyle w:val="' . $this->names->of('Hyperlink') . '"/>' . $properties));
    }

    protected function linked(string $href, string $drawing): string
    {
        return $href[0] === '#' ? $drawing : $this->out($href, $drawing);
    }

    private function out(string $href, string $runs): string
    {
        $id = $this->links[$href] ??= 'link' . (\count($this->links) + 1);

        return "<w:hyperlink r:id=\"{$id}\">{$runs}</w:hyperlink>";
    }

    public function drawing(string $picture, string $bytes, float $width, float $aspect, string $says): string
    {
        $this->media[$picture] ??= ['relation' => 'p' . (\count($this->media) + 1), 'extension' => PictureType::of($bytes)->value];

        return self::pictureXml(
            $this->media[$picture]['relation'],
            ++$this->drawings,
            min($width * 9525, Body::textWidth($this->document) * 635),
            $aspect,
            $says,
        );
    }

    public function sign(SignPicture $sign): string
    {
        $this->drawn[$sign->id()] ??= $sign->png();
        $this->media[$sign->id()] ??= ['relation' => 'p' . (\count($this->media) + 1), 'extension' => 'png'];

        return self::pictureXml($this->media[$sign->id()]['relation'], ++$this->drawings, $sign->size * 9525, 1.0, '', $sign->name());
    }

    /** @param float $width in English Metric Units: 9525 to a pixel, 635 to a twentieth of a point */
    public static function pictureXml(string $relation, int $id, float $width, float $aspect, string $says, string $called = ''): string
    {
        $size = 'cx="' . (int) $width . '" cy="' . max(1, (int) ($width * $aspect)) . '"';
        $name = Xml::escaped($says);
        $called = $called === '' ? "Picture {$id}" : Xml::escaped($called);

        return '<w:r><w:drawing><wp:inline xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" distT="0" '
            . 'distB="0" distL="0" distR="0"><wp:extent '
            . $size
            . "/><wp:docPr id=\"{$id}\" name=\"{$called}\" descr=\"{$name}\"/>"
            . '<a:graphic xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:graphicData '
                . 'uri="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:pic '
                . 'xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture">'
            . "<pic:nvPicPr><pic:cNvPr id=\"{$id}\" name=\"{$called}\"/><pic:cNvPicPr/></pic:nvPicPr>"
            . "<pic:blipFill><a:blip r:embed=\"{$relation}\"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill>"
            . '<pic:spPr><a:xfrm><a:off x="0" y="0"/><a:ext '
            . $size
            . '/></a:xfrm><a:prstGeom '
                . 'prst="rect"><a:avLst/></a:prstGeom></pic:spPr></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r>';
    }

    public function isInFootnote(): bool
    {
        return $this->isInFootnote;
    }

    public static function field(string $instruction, string $shows): string
    {
        return self::beginning($instruction) . self::text($shows) . self::mark('end');
    }

    /** What stands before what a field shows (ECMA-376, part 1, 17.16.18). */
    public static function beginning(string $instruction): string
    {
        return self::mark('begin')
            . '<w:r><w:instrText xml:space="preserve"> '
            . Xml::escaped($instruction)
            . ' </w:instrText></w:r>'
            . self::mark('separate');
    }

    public static function mark(string $kind): string
    {
        return "<w:r><w:fldChar w:fldCharType=\"{$kind}\"/></w:r>";
    }
}
