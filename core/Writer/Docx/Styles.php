<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Document;
use Embrel\Document\Style;
use Embrel\Writer\StyleNames;

/** The styles part: the names a word processor knows, so that its own panes and tools see them. */
final class Styles
{
    /** In twentieths of a point. */
    private const TWIPS = 20 * Style::POINTS;
    /** Everything that a style of ours may be based on or be needed by. */
    private const BASES = ['Normal', 'DefaultParagraphFont', 'TableNormal'];

    /** @param int $base how many levels stand above the headings, in a branch handed over alone */
    public static function xml(Document $document, int $base, int $headings): string
    {
        return '<w:styles xmlns:w="'
            . Body::W
            . '">'
            . self::defaults($document)
            . implode('', self::all($document, $base, $headings))
            . '</w:styles>';
    }

    private static function defaults(Document $document): string
    {
        $style = $document->style;
        $language = Xml::escaped($document->properties->language);

        return '<w:docDefaults><w:rPrDefault><w:rPr>'
            . self::fonts($style->font)
            . self::size($style->size)
            . "<w:lang w:val=\"{$language}\" w:eastAsia=\"{$language}\" w:bidi=\"ar-SA\"/></w:rPr></w:rPrDefault>"
            . '<w:pPrDefault><w:pPr><w:spacing w:after="'
            . self::twips($style->gap)
            . '" w:line="'
            . (int) round($style->line * 240)
            . '" w:lineRule="auto"/></w:pPr></w:pPrDefault></w:docDefaults>'
            . '<w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/><w:qFormat/></w:style>'
            . '<w:style w:type="character" w:default="1" w:styleId="DefaultParagraphFont"><w:name w:val="Default Paragraph '
                . 'Font"/></w:style>'
            . '<w:style w:type="table" w:default="1" w:styleId="TableNormal"><w:name w:val="Normal Table"/><w:tblPr><w:tblInd w:w="0" '
                . 'w:type="dxa"/><w:tblCellMar><w:left w:w="108" w:type="dxa"/><w:right w:w="108" '
                . 'w:type="dxa"/></w:tblCellMar></w:tblPr></w:style>';
    }

    private static function fonts(string $font): string
    {
        $font = Xml::escaped($font);

        return "<w:rFonts w:ascii=\"{$font}\" w:hAnsi=\"{$font}\" w:eastAsia=\"{$font}\" w:cs=\"{$font}\"/>";
    }

    /** As documents of this format write it. */
    public static function colour(string $colour): string
    {
        return strtoupper(substr($colour, 1));
    }

    private static function size(float $points): string
    {
        $half = (int) round($points * 2);

        return "<w:sz w:val=\"{$half}\"/><w:szCs w:val=\"{$half}\"/>";
    }

    private static function twips(float $points): int
    {
        return (int) round($points * 20);
    }

    /**
     * @param int $headings the list that numbers the headings
     *
     * @return array<string, string> our id → the style as XML
     */
    public static function all(Document $document, int $base, int $headings): array
    {
        $style = $document->style;
        $gap = self::twips($style->gap);
        $single = ' w:line="240" w:lineRule="auto"';
        $centred = $style->isTitleCentred ? '<w:jc w:val="center"/>' : '';
        $first = $style->firstLine > 0 ? '<w:ind w:firstLine="' . (int) round($style->firstLine * self::TWIPS) . '"/>' : '';
        $head = self::fonts($style->headingFont);
        $styles = [
            'Title' => self::paragraph(
                'Title',
                '<w:spacing w:before="' . ($style->hasTitlePage ? 4800 : 480) . "\" w:after=\"120\"{$single}/>{$centred}",
                $head . '<w:b/>' . self::size(max(16.0, $style->headingSizes[0] * 1.4)),
            ),
            'Subtitle' => self::paragraph(
                'Subtitle',
                "<w:spacing w:after=\"240\"{$single}/>{$centred}",
                '<w:color w:val="' . self::colour(Style::SOFT) . '"/>' . self::size($style->subtitleSize()),
            ),
            'Author' => self::paragraph('Author', "<w:spacing w:after=\"240\"{$single}/>{$centred}", ''),
            'TOCHeading' => self::paragraph(
                'TOCHeading',
                '<w:keepNext/><w:spacing w:before="480" w:after="160"' . $single . '/>',
                $head . '<w:b/>' . self::size($style->headingSizes[1]),
            ),
            'BodyText' => self::paragraph('BodyText', $first . ($style->isJustified ? '<w:jc w:val="both"/>' : ''), ''),
            'TableText'
                => '<w:style w:type="paragraph" w:styleId="TableText"><w:name w:val="Table Text"/><w:basedOn '
                    . 'w:val="Normal"/><w:pPr><w:spacing w:after="40"'
                . $single
                . '/></w:pPr></w:style>',
        ];
        for ($level = 1; $level <= 9; ++$level) {
            $list
                = $base + $level <= 9
                    ? '<w:numPr><w:ilvl w:val="' . ($base + $level - 1) . "\"/><w:numId w:val=\"{$headings}\"/></w:numPr>"
                    : '';
            $styles["Heading{$level}"] = self::paragraph(
                "Heading{$level}",
                '<w:keepNext/><w:keepLines/>'
                    . $list
                    . ($style->isHyphenated ? '<w:suppressAutoHyphens/>' : '')
                    . '<w:spacing w:before="'
                    . ($level === 1 ? 480 : 280)
                    . "\" w:after=\"120\"{$single}/>"
                    . '<w:outlineLvl w:val="'
                    . ($level - 1)
                    . '"/>',
                $head . '<w:b/>' . self::size($style->headingSize($level)),
                'BodyText',
            );
        }
        for ($level = 1; $level <= max(3, $document->contentsDepth); ++$level) {
            $indent = '<w:ind w:left="' . ($level - 1) * 280 . '"/>';
            $styles["TOC{$level}"] = self::paragraph(
                "TOC{$level}",
                self::leader($document) . "<w:spacing w:after=\"60\"{$single}/>{$indent}",
                '',
            );
        }
        for ($level = 1; $level <= 3; ++$level) {
            $styles["NoteHeading{$level}"] = self::paragraph(
                "NoteHeading{$level}",
                "<w:keepNext/><w:spacing w:before=\"200\" w:after=\"80\"{$single}/>",
                $level === 3 ? '<w:i/>' : '<w:b/>',
                'BodyText',
            );
        }

        return $styles + [
            'TableofFigures' => self::paragraph('TableofFigures', self::leader($document) . "<w:spacing w:after=\"60\"{$single}/>", ''),
            'ListBullet' => self::paragraph(
                'ListBullet',
                '<w:numPr><w:numId w:val="' . Lists::BULLETS . '"/></w:numPr><w:spacing w:after="60"/><w:contextualSpacing/>',
                '',
            ),
            'ListNumber' => self::paragraph(
                'ListNumber',
                '<w:numPr><w:numId w:val="' . Lists::NUMBERS . '"/></w:numPr><w:spacing w:after="60"/><w:contextualSpacing/>',
                '',
            ),
            'ListContinue' => self::paragraph('ListContinue', '<w:spacing w:after="80"/><w:ind w:left="360"/>', ''),
            'Quote' => self::paragraph(
                'Quote',
                '<w:spacing w:before="80" w:after="' . max(80, $gap) . '"/><w:ind w:left="567" w:right="567"/>',
                '<w:i/>',
                'BodyText',
            ),
            'Code' => self::paragraph(
                'Code',
                "<w:spacing w:after=\"140\"{$single}/>",
                self::fonts('Courier New') . self::size($style->smallSize()),
            ),
            'Caption' => self::paragraph(
                'Caption',
                "<w:spacing w:before=\"60\" w:after=\"200\"{$single}/>",
                '<w:i/>' . self::size($style->smallSize()),
            ),
            'SeeAlso' => self::paragraph('SeeAlso', "<w:spacing w:after=\"140\"{$single}/>", self::size($style->seeAlsoSize())),
            'Bibliography' => self::paragraph(
                'Bibliography',
                '<w:spacing w:after="' . max(80, $gap) . '"/><w:ind w:left="567" w:hanging="567"/>',
                '',
            ),
            'FootnoteText' => self::paragraph('FootnoteText', "<w:spacing w:after=\"40\"{$single}/>", self::size($style->footSize())),
            'FootnoteReference'
                => '<w:style w:type="character" w:styleId="FootnoteReference"><w:name w:val="footnote reference"/><w:basedOn '
                    . 'w:val="DefaultParagraphFont"/><w:rPr><w:vertAlign w:val="superscript"/></w:rPr></w:style>',
            'Header' => self::paragraph(
                'Header',
                self::thirds($document) . "<w:spacing w:after=\"0\"{$single}/>",
                self::size($style->footSize()),
            ),
            'Footer' => self::paragraph(
                'Footer',
                self::thirds($document) . "<w:spacing w:after=\"0\"{$single}/>",
                self::size($style->footSize()),
            ),
            'Hyperlink'
                => '<w:style w:type="character" w:styleId="Hyperlink"><w:name w:val="Hyperlink"/><w:basedOn '
                    . 'w:val="DefaultParagraphFont"/><w:rPr><w:color w:val="' . self::colour(Style::LINK) . '"/><w:u w:val="single"/></w:rPr></w:style>',
            'TableGrid'
                => '<w:style w:type="table" w:styleId="TableGrid"><w:name w:val="Table Grid"/><w:basedOn '
                    . 'w:val="TableNormal"/><w:tblPr><w:tblBorders>'
                . implode(
                    '',
                    array_map(
                        static fn(string $side): string
                            => "<w:{$side} w:val=\"single\" w:sz=\"4\" w:space=\"0\" w:color=\"" . self::colour(Style::RULE) . '"/>',
                        ['top', 'left', 'bottom', 'right', 'insideH', 'insideV'],
                    ),
                )
                . '</w:tblBorders></w:tblPr></w:style>',
        ];
    }

    private static function leader(Document $document): string
    {
        return '<w:tabs><w:tab w:val="right" w:leader="dot" w:pos="' . Body::textWidth($document) . '"/></w:tabs>';
    }

    private static function thirds(Document $document): string
    {
        $width = Body::textWidth($document);

        return '<w:tabs><w:tab w:val="center" w:pos="' . intdiv($width, 2) . "\"/><w:tab w:val=\"right\" w:pos=\"{$width}\"/></w:tabs>";
    }

    private static function paragraph(string $id, string $paragraph, string $run, string $next = ''): string
    {
        return "<w:style w:type=\"paragraph\" w:styleId=\"{$id}\"><w:name w:val=\""
            . StyleNames::OURS[$id]
            . '"/><w:basedOn w:val="'
            . self::BASES[0]
            . '"/>'
            . ($next === '' ? '' : "<w:next w:val=\"{$next}\"/>")
            . '<w:qFormat/>'
            . ($paragraph === '' ? '' : "<w:pPr>{$paragraph}</w:pPr>")
            . ($run === '' ? '' : "<w:rPr>{$run}</w:rPr>")
            . '</w:style>';
    }
}
