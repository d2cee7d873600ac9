<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Xml;
use Embrel\Document\Document;
use Embrel\Document\Template;
use Embrel\Writer\TemplateFields;
use Embrel\Writer\TemplateStyles;

/** The styles, pages, heads and feet of an OpenDocument text of the writer's own, to which come the styles that it lacks. */
final class OdtTemplate
{
    private const STYLE = 'urn:oasis:names:tc:opendocument:xmlns:style:1.0';
    private const TEXT = 'urn:oasis:names:tc:opendocument:xmlns:text:1.0';
    /** Our style of the word processor's kind → the same in this kind. */
    private const NAMES = [
        'Title' => 'Title',
        'Subtitle' => 'Subtitle',
        'Author' => 'Author',
        'TOCHeading' => 'Contents_20_Heading',
        'BodyText' => 'Text_20_body',
        'Quote' => 'Quotations',
        'ListBullet' => 'List_20_Item',
        'Caption' => 'Caption',
        'Code' => 'Preformatted_20_Text',
        'Bibliography' => 'Bibliography_20_1',
        'FootnoteText' => 'Footnote',
        'SeeAlso' => 'See_20_Also',
        'Heading1' => 'Heading_20_1',
        'Heading2' => 'Heading_20_2',
        'Heading3' => 'Heading_20_3',
        'Heading4' => 'Heading_20_4',
        'Heading5' => 'Heading_20_5',
        'Heading6' => 'Heading_20_6',
        'Heading7' => 'Heading_20_7',
        'Heading8' => 'Heading_20_8',
        'Heading9' => 'Heading_20_9',
        'TOC1' => 'Contents_20_1',
        'TOC2' => 'Contents_20_2',
        'TOC3' => 'Contents_20_3',
        'TOC4' => 'Contents_20_4',
        'TOC5' => 'Contents_20_5',
        'TOC6' => 'Contents_20_6',
        'TOC7' => 'Contents_20_7',
        'TOC8' => 'Contents_20_8',
        'TOC9' => 'Contents_20_9',
        'NoteHeading1' => 'Note_20_Heading_20_1',
        'NoteHeading2' => 'Note_20_Heading_20_2',
        'NoteHeading3' => 'Note_20_Heading_20_3',
    ];

    /** @var array<string, string> our style in this kind → the one of the template */
    public readonly array $names;
    /** @var array<string, string> part → bytes: what goes along beside the styles */
    public readonly array $parts;

    private function __construct(private readonly \DOMDocument $styles, TemplateStyles $chosen, Package $package)
    {
        $names = [];
        foreach ($chosen->chosen() as $ours => $theirs) {
            isset(self::NAMES[$ours]) ? ($names[self::NAMES[$ours]] = $theirs) : null;
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

        return Xml::dom($package->text('styles.xml'));
    }

    /**
     * @return array<string, array{name: string, level: int|null}> paragraph style by name → what it is called and its heading level from 1
     */
    public static function styles(Package $package): array
    {
        $known = [];
        foreach (self::dom($package)->getElementsByTagNameNS(self::STYLE, 'style') as $style) {
            if ($style->getAttributeNS(self::STYLE, 'family') === 'paragraph' && $style->parentNode?->localName === 'styles') {
                $name = $style->getAttributeNS(self::STYLE, 'name');
                $level = $style->getAttributeNS(self::STYLE, 'default-outline-level');
                $known[$name] = [
                    'name' => $style->getAttributeNS(self::STYLE, 'display-name') ?: str_replace('_20_', ' ', $name),
                    'level' => $level === '' ? null : (int) $level,
                ];
            }
        }

        return $known;
    }

    /**
     * @param array<string, string> $chosen our style → the one of the template
     *
     * @return array{array<string, mixed>, string|null} settings of Style, and the picture in its head or foot
     */
    public static function look(Package $package, array $chosen): array
    {
        $look = new TemplateLook(TemplateFields::named(self::dom($package), self::TEXT, ''));
        $logo = $look->logo();

        return [$look->text($chosen) + $look->page(), $logo !== null && $package->has($logo) ? $package->text($logo) : null];
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
            $style instanceof \DOMElement
                ? ($taken[
                    $style->localName
                        . ':'
                        . $style->getAttributeNS(self::STYLE, 'family')
                        . ':'
                        . $style->getAttributeNS(self::STYLE, 'name')
                ] = true)
                : null;
        }
        foreach ($this->group($own)->childNodes ?? [] as $style) {
            if (!($style instanceof \DOMElement) || $theirs === null || !\in_array($style->localName, ['style', 'list-style'], true)) {
                continue;
            }
            $name = $style->getAttributeNS(self::STYLE, 'name');
            if (
                !isset($taken["{$style->localName}:{$style->getAttributeNS(self::STYLE, 'family')}:{$name}"])
                && !isset($this->names[$name])
            ) {
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
