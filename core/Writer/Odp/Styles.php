<?php

declare(strict_types=1);

namespace Embrel\Writer\Odp;

use Embrel\Archive\Xml;
use Embrel\Document\Style;
use Embrel\Writer\Slide;
use Embrel\Writer\SlideLook;

/** What all slides have from: fonts, the page, its master with the places of title, text and notes. */
final class Styles
{
    private const NAMESPACES = [
        'office' => 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
        'style' => 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
        'text' => 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
        'draw' => 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0',
        'presentation' => 'urn:oasis:names:tc:opendocument:xmlns:presentation:1.0',
        'fo' => 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0',
        'svg' => 'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0',
        'xlink' => 'http://www.w3.org/1999/xlink',
        'dc' => 'http://purl.org/dc/elements/1.1/',
        'meta' => 'urn:oasis:names:tc:opendocument:xmlns:meta:1.0',
    ];

    public static function namespaces(): string
    {
        $xml = ' office:version="1.3"';
        foreach (self::NAMESPACES as $prefix => $name) {
            $xml .= " xmlns:{$prefix}=\"{$name}\"";
        }

        return $xml;
    }

    public static function fonts(SlideLook $look): string
    {
        $xml = '';
        foreach (array_unique([$look->font, $look->titleFont]) as $font) {
            $generic = ['serif' => 'roman', 'sans' => 'swiss', 'mono' => 'modern'][Style::family($font)];
            $xml .= '<style:font-face style:name="' . Xml::escaped($font) . '" svg:font-family="&apos;' . Xml::escaped($font)
                . "&apos;\" style:font-family-generic=\"{$generic}\"/>";
        }

        return "<office:font-face-decls>{$xml}</office:font-face-decls>";
    }

    /** @param array{float, float, float, float} $box left, top, width, height in points */
    public static function place(array $box): string
    {
        return \sprintf('svg:x="%.2Fpt" svg:y="%.2Fpt" svg:width="%.2Fpt" svg:height="%.2Fpt"', ...$box);
    }

    /** @param string $more properties of the text */
    public static function text(string $font, float $size, string $colour, string $more = ''): string
    {
        $kinds = '';
        foreach (['', '-asian', '-complex'] as $kind) {
            $kinds .= \sprintf(' %s:font-size%s="%.1Fpt"', $kind === '' ? 'fo' : 'style', $kind, $size);
        }

        return '<style:text-properties style:font-name="' . Xml::escaped($font) . "\"{$kinds} fo:color=\"{$colour}\"{$more}/>";
    }

    /** The frames of a slide. */
    public static function automatic(SlideLook $look): string
    {
        $frame = 'draw:stroke="none" draw:fill="none" fo:padding="0pt" draw:auto-grow-height="false" draw:auto-grow-width="false" fo:wrap-option="wrap"';
        $presentation = static fn(string $name, string $parent, string $align): string
            => "<style:style style:name=\"{$name}\" style:family=\"presentation\" style:parent-style-name=\"{$parent}\">"
                . "<style:graphic-properties {$frame} draw:textarea-vertical-align=\"{$align}\"/></style:style>";

        return '<style:style style:name="slide" style:family="drawing-page">'
            . '<style:drawing-page-properties presentation:display-footer="false" '
                . 'presentation:display-page-number="false" presentation:display-date-time="false"/></style:style>'
            . $presentation('title', 'Slides-title', 'top')
            . $presentation('under', 'Slides-subtitle', 'top')
            . $presentation('lines', 'Slides-outline1', 'top')
            . $presentation('notes', 'Slides-notes', 'top')
            . '<style:style style:name="box" style:family="graphic">'
            . "<style:graphic-properties {$frame} draw:textarea-vertical-align=\"top\"/></style:style>"
            . '<style:style style:name="picture" style:family="graphic">'
            . '<style:graphic-properties draw:stroke="none" draw:fill="none"/></style:style>';
    }

    public static function all(SlideLook $look, string $language): string
    {
        [$tag, $country] = explode('-', $language) + [1 => ''];
        $lang = ' fo:language="' . Xml::escaped($tag) . '" fo:country="' . ($country === '' ? 'none' : Xml::escaped($country)) . '"';
        $align = $look->isCentred ? 'center' : 'start';
        $style = static fn(string $name, string $paragraph, string $text): string
            => "<style:style style:name=\"{$name}\" style:family=\"presentation\">"
                . '<style:graphic-properties draw:stroke="none" draw:fill="none"/>'
                . "<style:paragraph-properties {$paragraph}/>{$text}</style:style>";
        $levels = '';
        foreach (range(1, 9) as $n) {
            $levels .= $style(
                "Slides-outline{$n}",
                'fo:text-align="start" fo:margin-top="' . Slide::GAP . 'pt"',
                self::text($look->font, Slide::TEXT, Style::INK, $lang),
            );
        }

        return '<office:document-styles' . self::namespaces() . '>' . self::fonts($look)
            . '<office:styles>'
            . $style('Slides-title', "fo:text-align=\"{$align}\"", self::text($look->titleFont, Slide::TITLES[0], Style::INK, ' fo:font-weight="bold"' . $lang))
            . $style('Slides-subtitle', "fo:text-align=\"{$align}\"", self::text($look->font, Slide::UNDER, Style::SOFT, $lang))
            . $style('Slides-notes', 'fo:text-align="start"', self::text($look->font, 12.0, Style::INK, $lang))
            . $levels
            . '</office:styles><office:automatic-styles>'
            . self::page('wide', Slide::WIDTH, Slide::HEIGHT)
            . self::page('upright', 595.3, 841.9)
            . '<style:style style:name="ground" style:family="drawing-page">'
            . '<style:drawing-page-properties draw:fill="solid" draw:fill-color="' . SlideLook::GROUND . '"/></style:style>'
            . '</office:automatic-styles><office:master-styles>'
            . '<style:master-page style:name="Slides" style:page-layout-name="wide" draw:style-name="ground">'
            . self::holder('title', 'Slides-title', [Slide::LEFT, 60.0, 816.0, 60.0])
            . self::holder('outline', 'Slides-outline1', [Slide::LEFT, 140.0, 816.0, 360.0])
            . '<presentation:notes style:page-layout-name="upright">'
            . '<draw:page-thumbnail presentation:class="page" ' . self::place([57.0, 57.0, 480.0, 270.0]) . '/>'
            . self::holder('notes', 'Slides-notes', [57.0, 360.0, 480.0, 420.0]) . '</presentation:notes>'
            . '</style:master-page></office:master-styles></office:document-styles>';
    }

    /** @param array{float, float, float, float} $box */
    private static function holder(string $class, string $style, array $box): string
    {
        return "<draw:frame presentation:style-name=\"{$style}\" draw:layer=\"layout\" " . self::place($box)
            . " presentation:class=\"{$class}\" presentation:placeholder=\"true\"><draw:text-box/></draw:frame>";
    }

    private static function page(string $name, float $width, float $height): string
    {
        $print = $width > $height ? 'landscape' : 'portrait';

        return "<style:page-layout style:name=\"{$name}\">"
            . '<style:page-layout-properties fo:margin-top="0pt" fo:margin-bottom="0pt" fo:margin-left="0pt" fo:margin-right="0pt" '
            . "fo:page-width=\"{$width}pt\" fo:page-height=\"{$height}pt\" style:print-orientation=\"{$print}\"/></style:page-layout>";
    }
}
