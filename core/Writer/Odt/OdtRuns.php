<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\Xml;
use Embrel\Document\Pictures;
use Embrel\Document\PictureType;
use Embrel\RichText\Node;

/** Runs of text, links, footnotes and pictures, the styles that they need and the pictures that the package must hold. */
final class OdtRuns
{
    private const MARKS = [
        'bold' => 'fo:font-weight="bold"',
        'italic' => 'fo:font-style="italic"',
        'underline' => 'style:text-underline-style="solid" style:text-underline-width="auto" style:text-underline-color="font-color"',
        'strike' => 'style:text-line-through-style="solid"',
        'highlight' => 'fo:background-color="#f8f4cf"',
        'superscript' => 'style:text-position="super 58%"',
        'subscript' => 'style:text-position="sub 58%"',
        'code' => 'style:font-name="Courier New"',
    ];

    /** @var array<string, string> properties → style name */
    private array $styles = [];
    /** @var array<string, string> picture → the name of its part */
    public array $media = [];
    private int $footnotes = 0;
    private int $frames = 0;

    /**
     * @param array<string, string> $anchors topic → the name of its bookmark
     * @param float                 $widest  what a picture may be wide, in pixels, 96 to the inch
     */
    public function __construct(private readonly ?Pictures $pictures, private readonly array $anchors, private readonly float $widest) {}

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

    /** @param list<Node> $nodes */
    public function inlines(array $nodes): string
    {
        $out = '';
        foreach ($nodes as $node) {
            $out .= match ($node->type) {
                'text' => $this->run($node),
                'hardBreak' => '<text:line-break/>',
                'footnote' => $this->footnote($node),
                default => '',
            };
        }

        return $out;
    }

    private function footnote(Node $node): string
    {
        $n = ++$this->footnotes;

        return "<text:note text:id=\"ftn{$n}\" text:note-class=\"footnote\"><text:note-citation>{$n}</text:note-citation><text:note-body><text:p text:style-name=\"Footnote\">"
            . $this->inlines($node->content)
            . '</text:p></text:note-body></text:note>';
    }

    private function run(Node $node): string
    {
        $text = self::text($node->text);
        if ($node->marks === []) {
            return $text;
        }
        $properties = implode(
            ' ',
            array_filter(
                array_map(
                    static fn(string $mark, string $xml): string => $node->has($mark) ? $xml : '',
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
        return Xml::escaped(str_starts_with($href, '#_e') ? '#' . ($this->anchors[substr($href, 3)] ?? substr($href, 1)) : $href);
    }

    /** A picture of a note; null where its file is not at hand. */
    public function noteFrame(Node $node): ?string
    {
        $id = $node->string('picture');
        $bytes = $id === null ? null : $this->pictures?->bytes($id);
        $size = $bytes === null ? false : @getimagesizefromstring($bytes);
        if ($id === null || $bytes === null || $size === false || $size[0] === 0) {
            return null;
        }
        $frame = $this->frame($id, $bytes, (float) $node->int('width', $size[0]), $size[1] / $size[0], $node->string('alt') ?? '');
        $href = $node->string('href');

        return $href === null ? $frame : "<draw:a xlink:type=\"simple\" xlink:href=\"{$this->address($href)}\">{$frame}</draw:a>";
    }

    /** @param float $width in pixels, 96 to the inch */
    public function frame(string $id, string $bytes, float $width, float $aspect, string $says): string
    {
        $part = $this->media[$id] ??= 'Pictures/' . substr($id, 0, 32) . '.' . PictureType::of($bytes)->value;
        $width = min($width, $this->widest);
        $n = ++$this->frames;

        return "<draw:frame draw:name=\"Picture {$n}\" text:anchor-type=\"as-char\" svg:width=\""
            . \sprintf('%.4Fin', $width / 96)
            . '" svg:height="'
            . \sprintf('%.4Fin', max(1.0, $width * $aspect) / 96)
            . '">'
            . "<draw:image xlink:href=\"{$part}\" xlink:type=\"simple\" xlink:show=\"embed\" xlink:actuate=\"onLoad\"/>"
            . ($says === '' ? '' : '<svg:desc>' . Xml::escaped($says) . '</svg:desc>')
            . '</draw:frame>';
    }
}
