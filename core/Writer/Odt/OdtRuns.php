<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\Xml;
use Embrel\Citation\Exchange\CslJson;
use Embrel\Document\Pictures;
use Embrel\Document\PictureType;
use Embrel\Document\Style;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\Writer\RunWalk;
use Embrel\Writer\SignPicture;

/** Runs of text, links, footnotes and pictures, the styles that they need and the pictures that the package must hold. */
final class OdtRuns extends RunWalk
{
    private const MARKS = [
        'bold' => 'fo:font-weight="bold"',
        'italic' => 'fo:font-style="italic"',
        'underline' => 'style:text-underline-style="solid" style:text-underline-width="auto" style:text-underline-color="font-color"',
        'strike' => 'style:text-line-through-style="solid"',
        'highlight' => 'fo:background-color="' . Style::HIGHLIGHT . '"',
        'superscript' => 'style:text-position="super 58%"',
        'subscript' => 'style:text-position="sub 58%"',
        'code' => 'style:font-name="Courier New"',
    ];

    /** @var array<string, string> properties → style name */
    private array $styles = [];
    /** @var array<string, string> picture → the name of its part */
    public array $media = [];
    /** @var array<string, string> the bytes of pictures that were drawn for it, by their names among those */
    public array $drawn = [];
    private int $footnotes = 0;
    private int $citations = 0;
    private int $frames = 0;

    /**
     * @param array<string, string> $anchors topic → the name of its bookmark
     * @param float                 $widest  what a picture may be wide, in pixels, 96 to the inch
     */
    public function __construct(?Pictures $pictures, array $anchors, private readonly float $widest)
    {
        parent::__construct($pictures, $anchors);
    }

    /** Text with its breaks, tabs and runs of spaces (OpenDocument 1.3, part 3, 6.1). */
    public static function text(string $text): string
    {
        $xml = Xml::escaped($text);
        if (preg_match('/[\n\t]|  |\A | \z/', $xml) !== 1) {
            return $xml;
        }
        $xml = str_replace(["\n", "\t"], ['<text:line-break/>', '<text:tab/>'], $xml);

        return preg_replace_callback(
            '/\A +| {2,}| +\z/',
            static fn(array $m): string => '<text:s text:c="' . \strlen($m[0]) . '"/>',
            $xml,
        ) ?? $xml;
    }

    /** The styles of runs that were used. */
    public function styles(): string
    {
        $xml = '';
        foreach ($this->styles as $properties => $name) {
            $xml .= "<style:style style:name=\"{$name}\" style:family=\"text\"><style:text-properties {$properties}/></style:style>";
        }

        return $xml;
    }

    public function styleOf(string $properties): string
    {
        return $this->styles[$properties] ??= 'T' . (\count($this->styles) + 1);
    }

    protected function footnote(Node $node): string
    {
        $n = ++$this->footnotes;

        return "<text:note text:id=\"ftn{$n}\" text:note-class=\"footnote\"><text:note-citation>{$n}</text:note-citation><text:note-body><text:p text:style-name=\"Footnote\">"
            . $this->inlines($node->content)
            . '</text:p></text:note-body></text:note>';
    }

    /** Between two marks, whose name is the citation as CSL-JSON. */
    protected function citation(Node $node): string
    {
        $name = Xml::escaped(CslJson::CITATION . ' ' . $node->string('csl') . ' ' . ++$this->citations);

        return "<text:reference-mark-start text:name=\"{$name}\"/>"
            . $this->inlines($node->content)
            . "<text:reference-mark-end text:name=\"{$name}\"/>";
    }

    protected function lineBreak(): string
    {
        return '<text:line-break/>';
    }

    /** The mark of a term of the index, and a bookmark that its page is had from. */
    public static function entry(string $term, string $place = ''): string
    {
        $term = Xml::escaped($term);

        return ($place === '' ? '' : "<text:bookmark text:name=\"{$place}\"/>") . "<text:alphabetical-index-mark text:string-value=\"{$term}\"/>";
    }

    protected function run(Node $node): string
    {
        $place = $node->attrs === [] ? null : $node->string('place');

        return ($place === null ? '' : self::entry($node->string('term') ?? '', $place)) . $this->plain($node);
    }

    private function plain(Node $node): string
    {
        $text = self::text($node->text);
        if ($node->marks === []) {
            return $text;
        }
        $properties = implode(
            ' ',
            array_filter(
                array_map(
                    static fn(string $mark, string $xml): string => $node->has(MarkType::from($mark)) ? $xml : '',
                    array_keys(self::MARKS),
                    self::MARKS,
                ),
            ),
        );
        $text = $properties === '' ? $text : '<text:span text:style-name="' . $this->styleOf($properties) . "\">{$text}</text:span>";
        $href = $node->link();

        return $href === null
            ? $text
            : "<text:a xlink:type=\"simple\" xlink:href=\"{$this->address($href)}\" text:style-name=\"Internet_20_link\">{$text}</text:a>";
    }

    private function address(string $href): string
    {
        $place = $this->place($href);

        return Xml::escaped($place === null ? $href : "#{$place}");
    }

    protected function linked(string $href, string $drawing): string
    {
        return "<draw:a xlink:type=\"simple\" xlink:href=\"{$this->address($href)}\">{$drawing}</draw:a>";
    }

    public function drawing(string $picture, string $bytes, float $width, float $aspect, string $says): string
    {
        $part = $this->media[$picture] ??= 'Pictures/' . substr($picture, 0, 32) . '.' . PictureType::of($bytes)->value;
        $width = min($width, $this->widest);

        return self::frame($part, 'Picture ' . ++$this->frames, $width, $width * $aspect, $says);
    }

    public function sign(SignPicture $sign): string
    {
        $this->drawn[$sign->id()] ??= $sign->png();
        $part = $this->media[$sign->id()] ??= "Pictures/{$sign->id()}.png";

        return self::frame($part, $sign->name(), $sign->size, $sign->size, '');
    }

    /** @param float $width in pixels, as the height */
    private static function frame(string $part, string $name, float $width, float $height, string $says): string
    {
        return '<draw:frame draw:name="' . Xml::escaped($name) . '" text:anchor-type="as-char" svg:width="'
            . \sprintf('%.4Fin', $width / 96)
            . '" svg:height="'
            . \sprintf('%.4Fin', max(1.0, $height) / 96)
            . '">'
            . "<draw:image xlink:href=\"{$part}\" xlink:type=\"simple\" xlink:show=\"embed\" xlink:actuate=\"onLoad\"/>"
            . ($says === '' ? '' : '<svg:desc>' . Xml::escaped($says) . '</svg:desc>')
            . '</draw:frame>';
    }
}
