<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Document\Document;
use Embrel\Document\Style;
use Embrel\Document\Template;
use Embrel\Writer\TemplateFields;
use Embrel\Writer\TemplateStyles;

/** The styles, pages, heads and feet of an OpenDocument text of the writer's own, to which come the styles that it lacks. */
final class OdtTemplate
{
    private const STYLE = 'urn:oasis:names:tc:opendocument:xmlns:style:1.0';
    private const TEXT = 'urn:oasis:names:tc:opendocument:xmlns:text:1.0';
    private const FO = 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0';
    /** Our style of the word processor's kind → the same in this kind. */
    private const NAMES = [
        'Title' => 'Title', 'Subtitle' => 'Subtitle', 'Author' => 'Author', 'TOCHeading' => 'Contents_20_Heading', 'BodyText' => 'Text_20_body', 'Quote' => 'Quotations', 'ListBullet' => 'List_20_Item', 'Caption' => 'Caption',
        'Code' => 'Preformatted_20_Text', 'Bibliography' => 'Bibliography_20_1', 'FootnoteText' => 'Footnote', 'SeeAlso' => 'See_20_Also',
        'Heading1' => 'Heading_20_1', 'Heading2' => 'Heading_20_2', 'Heading3' => 'Heading_20_3', 'Heading4' => 'Heading_20_4', 'Heading5' => 'Heading_20_5', 'Heading6' => 'Heading_20_6', 'Heading7' => 'Heading_20_7', 'Heading8' => 'Heading_20_8', 'Heading9' => 'Heading_20_9',
        'TOC1' => 'Contents_20_1', 'TOC2' => 'Contents_20_2', 'TOC3' => 'Contents_20_3', 'NoteHeading1' => 'Note_20_Heading_20_1', 'NoteHeading2' => 'Note_20_Heading_20_2', 'NoteHeading3' => 'Note_20_Heading_20_3',
    ];

    /** @var array<string, string> our style in this kind → the one of the template */
    public readonly array $names;
    /** @var array<string, string> part → bytes: what goes along beside the styles */
    public readonly array $parts;

    private function __construct(private readonly \DOMDocument $styles, TemplateStyles $chosen, Package $package)
    {
        $names = [];
        foreach ($chosen->chosen() as $ours => $theirs) {
            isset(self::NAMES[$ours]) ? $names[self::NAMES[$ours]] = $theirs : null;
        }
        $this->names = $names;
        $parts = [];
        foreach ($package->names() as $name) {
            if (preg_match('/\APictures\/[^\/]+\.(?:png|jpe?g|gif|svg)\z/i', $name) === 1) {
                $parts[$name] = $package->text($name);
            }
        }
        $this->parts = $parts;
    }

    public static function open(Template $template): self
    {
        $package = Package::ofBytes($template->bytes);

        return new self(self::dom($package), TemplateStyles::of($template), $package);
    }

    private static function dom(Package $package): \DOMDocument
    {
        if (!str_starts_with($package->has('mimetype') ? $package->text('mimetype', 1024) : '', OdtWriter::MEDIA_TYPE)) {
            throw BadPackage::notZip();
        }
        $dom = new \DOMDocument();
        $errors = libxml_use_internal_errors(true);
        $isRead = $dom->loadXML($package->text('styles.xml'), \LIBXML_NONET | \LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($errors);

        return $isRead && $dom->doctype === null ? $dom : throw BadPackage::damaged();
    }

    /** @return array{array<string, array{name: string, level: int|null}>, array<string, mixed>} paragraph styles, and settings of its page and text */
    public static function styles(Package $package): array
    {
        $dom = self::dom($package);
        $known = [];
        foreach ($dom->getElementsByTagNameNS(self::STYLE, 'style') as $style) {
            if ($style->getAttributeNS(self::STYLE, 'family') === 'paragraph' && $style->parentNode?->localName === 'styles') {
                $name = $style->getAttributeNS(self::STYLE, 'name');
                $level = $style->getAttributeNS(self::STYLE, 'default-outline-level');
                $known[$name] = ['name' => $style->getAttributeNS(self::STYLE, 'display-name') ?: str_replace('_20_', ' ', $name), 'level' => $level === '' ? null : (int) $level];
            }
        }

        return [$known, self::page($dom)];
    }

    /** @return array<string, mixed> */
    private static function page(\DOMDocument $dom): array
    {
        $page = [];
        foreach ($dom->getElementsByTagNameNS(self::STYLE, 'page-layout-properties') as $layout) {
            $sides = array_map(static fn(string $side): float => round(max(5.0, min(80.0, self::millimetres($layout->getAttributeNS(self::FO, "margin-{$side}") ?: $layout->getAttributeNS(self::FO, 'margin')))), 1), ['top', 'right', 'bottom', 'left']);
            $page += ['margins' => $sides];
        }
        foreach ($dom->getElementsByTagNameNS(self::STYLE, 'default-style') as $style) {
            $properties = $style->getAttributeNS(self::STYLE, 'family') === 'paragraph' ? $style->getElementsByTagNameNS(self::STYLE, 'text-properties')->item(0) : null;
            $size = (float) $properties?->getAttributeNS(self::FO, 'font-size');
            $page += $size >= 6.0 && $size <= 36.0 ? ['size' => $size] : [];
            $font = trim((string) $properties?->getAttributeNS(self::STYLE, 'font-name'));
            $page += preg_match('/\A[\p{L}\p{N}][\p{L}\p{N} _.-]{0,59}\z/u', $font) === 1 ? ['font' => $font, 'heading_font' => $font] : [];
        }

        return $page;
    }

    private static function millimetres(string $length): float
    {
        return preg_match('/\A([\d.]+)(cm|mm|in|pt)\z/', $length, $m) === 1 ? (float) $m[1] * ['cm' => 10.0, 'mm' => 1.0, 'in' => 25.4, 'pt' => 1 / Style::POINTS][$m[2]] : 20.0;
    }

    public function name(string $ours): string
    {
        return $this->names[$ours] ?? $ours;
    }

    /** The styles part: the template's own, with those of ours that it lacks, and its fields filled. */
    public function xml(Document $document, string $ours): string
    {
        $own = new \DOMDocument();
        $own->loadXML($ours, \LIBXML_NONET);
        $theirs = $this->group($this->styles);
        $taken = [];
        foreach ($theirs->childNodes ?? [] as $style) {
            $style instanceof \DOMElement ? $taken[$style->localName . ':' . $style->getAttributeNS(self::STYLE, 'family') . ':' . $style->getAttributeNS(self::STYLE, 'name')] = true : null;
        }
        foreach ($this->group($own)->childNodes ?? [] as $style) {
            if (!$style instanceof \DOMElement || $theirs === null || !\in_array($style->localName, ['style', 'list-style'], true)) {
                continue;
            }
            $name = $style->getAttributeNS(self::STYLE, 'name');
            if (!isset($taken["{$style->localName}:{$style->getAttributeNS(self::STYLE, 'family')}:{$name}"]) && !isset($this->names[$name])) {
                $theirs->appendChild($this->styles->importNode($style, true));
            }
        }

        return TemplateFields::filled((string) $this->styles->saveXML(), self::TEXT, '', $document);
    }

    private function group(\DOMDocument $dom): ?\DOMElement
    {
        return $dom->getElementsByTagNameNS('urn:oasis:names:tc:opendocument:xmlns:office:1.0', 'styles')->item(0);
    }
}
