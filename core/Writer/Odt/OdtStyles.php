<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\Xml;
use Embrel\Document\Document;
use Embrel\Document\Style;
use Embrel\Numbering\Form;
use Embrel\Writer\ListNumbers;

/** The styles part of an OpenDocument text: named styles, numbers of the headings, page and what runs on it. */
final class OdtStyles
{
    private const NAMESPACES = [
        'office' => 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
        'style' => 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
        'text' => 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
        'table' => 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
        'draw' => 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0',
        'fo' => 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0',
        'svg' => 'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0',
        'xlink' => 'http://www.w3.org/1999/xlink',
        'dc' => 'http://purl.org/dc/elements/1.1/',
        'meta' => 'urn:oasis:names:tc:opendocument:xmlns:meta:1.0',
    ];
    private const FORMATS = [
        'decimal' => '1',
        'upperRoman' => 'I',
        'lowerRoman' => 'i',
        'upperLetter' => 'A',
        'lowerLetter' => 'a',
        'words' => 'One',
    ];
    private const BULLETS = ['•', '–', '▪'];
    private const LEVELS = 10;

    public static function namespaces(): string
    {
        $out = '';
        foreach (self::NAMESPACES as $prefix => $namespace) {
            $out .= " xmlns:{$prefix}=\"{$namespace}\"";
        }

        return $out . ' office:version="1.3"';
    }

    /** @param array<string, array<string, string>> $carried font → face → bytes, of those that the document carries */
    public static function fonts(Document $document, array $carried = []): string
    {
        $fonts = '';
        foreach (array_unique([$document->style->font, $document->style->headingFont]) as $font) {
            $name = Xml::escaped($font);
            $other = Style::SUBSTITUTES[Style::family($font)];
            $held = '';
            foreach (array_keys($carried[$font] ?? []) as $face) {
                $held .= '<svg:font-face-uri xlink:href="' . self::fontPart($font, $face) . '" xlink:type="simple">'
                    . '<svg:font-face-format svg:string="truetype"/></svg:font-face-uri>';
            }
            $fonts .= "<style:font-face style:name=\"{$name}\" svg:font-family=\"&apos;{$name}&apos;, &apos;{$other}&apos;\""
                . ($held === '' ? '/>' : "><svg:font-face-src>{$held}</svg:font-face-src></style:font-face>");
        }

        return "<office:font-face-decls>{$fonts}<style:font-face style:name=\"Courier New\" svg:font-family=\"&apos;Courier New&apos;\" style:font-pitch=\"fixed\"/></office:font-face-decls>";
    }

    /** Where in the package a font is. */
    public static function fontPart(string $font, string $face): string
    {
        return 'Fonts/' . str_replace(' ', '', $font) . "-{$face}.ttf";
    }

    /** @param string $logo as a frame; empty: none */
    /** @param array<string, array<string, string>> $carried */
    public static function xml(Document $document, ListNumbers $numbers, string $logo, array $carried = []): string
    {
        return '<office:document-styles'
            . self::namespaces()
            . '>'
            . self::fonts($document, $carried)
            . '<office:styles>'
            . self::named($document)
            . self::outline($numbers)
            . self::lists()
            . '<text:notes-configuration text:note-class="footnote" style:num-format="1" text:footnotes-position="page" '
                . 'text:start-numbering-at="document"/></office:styles>'
            . self::page($document)
            . self::masters($document, $logo)
            . '</office:document-styles>';
    }

    private static function named(Document $document): string
    {
        $style = $document->style;
        [$language, $country] = explode('-', $document->properties->language) + [1 => 'none'];
        $font = Xml::escaped($style->font);
        $line = (int) round($style->line * 100) . '%';
        $out
            = "<style:default-style style:family=\"paragraph\"><style:paragraph-properties fo:orphans=\"2\" fo:widows=\"2\" style:tab-stop-distance=\"1cm\"/><style:text-properties style:font-name=\"{$font}\" fo:font-size=\"{$style->size}pt\" fo:language=\"{$language}\" fo:country=\"{$country}\"/></style:default-style>"
            . self::paragraph('Standard', '', "fo:line-height=\"{$line}\" fo:margin-bottom=\"{$style->gap}pt\"", '')
            . self::paragraph(
                'Text_20_body',
                'Standard',
                ($style->firstLine > 0 ? "fo:text-indent=\"{$style->firstLine}mm\" " : '')
                    . ($style->isJustified ? 'fo:text-align="justify"' : ''),
                $style->isHyphenated
                    ? 'fo:hyphenate="true" fo:hyphenation-remain-char-count="2" fo:hyphenation-push-char-count="2"'
                    : '',
            )
            . self::paragraph(
                'Heading',
                'Standard',
                'fo:keep-with-next="always" fo:line-height="100%" fo:margin-top="14pt" fo:margin-bottom="6pt"',
                'style:font-name="' . Xml::escaped($style->headingFont) . '" fo:font-weight="bold"',
            )
            . self::paragraph(
                'Title',
                'Heading',
                'fo:margin-top="'
                    . ($style->hasTitlePage ? '80mm' : '8mm')
                    . '"'
                    . ($style->isTitleCentred ? ' fo:text-align="center"' : ''),
                'fo:font-size="' . max(16.0, $style->headingSizes[0] * 1.4) . 'pt"',
            )
            . self::paragraph(
                'Subtitle',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="12pt"' . ($style->isTitleCentred ? ' fo:text-align="center"' : ''),
                'fo:color="' . Style::SOFT . '" fo:font-size="' . $style->subtitleSize() . 'pt"',
            )
            . self::paragraph(
                'Author',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="12pt"' . ($style->isTitleCentred ? ' fo:text-align="center"' : ''),
                '',
            );
        for ($level = 1; $level <= self::LEVELS; ++$level) {
            $break = $style->breaks && $level === 1 ? 'fo:break-before="page"' : '';
            $out .= self::paragraph(
                "Heading_20_{$level}",
                'Heading',
                $break,
                'fo:font-size="' . $style->headingSize($level) . 'pt"',
                " style:default-outline-level=\"{$level}\" style:next-style-name=\"Text_20_body\"",
            );
        }
        for ($level = 1; $level <= 3; ++$level) {
            $out .= self::paragraph(
                "Note_20_Heading_20_{$level}",
                'Standard',
                'fo:keep-with-next="always" fo:line-height="100%" fo:margin-top="10pt" fo:margin-bottom="4pt"',
                $level === 3 ? 'fo:font-style="italic"' : 'fo:font-weight="bold"',
            );
        }
        for ($level = 1; $level <= max(3, $document->contentsDepth); ++$level) {
            $layout = 'fo:line-height="100%" fo:margin-bottom="3pt" fo:margin-left="' . ($level - 1) * 5 . 'mm"';
            $out .= self::paragraph("Contents_20_{$level}", 'Standard', $layout, '', '', self::tabs($document, $level));
        }
        $small = $style->smallSize();

        return $out
            . self::paragraph('Contents_20_Heading', 'Heading', '', 'fo:font-size="' . $style->headingSizes[1] . 'pt"')
            . self::paragraph(
                'Illustration_20_Index_20_1',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="3pt"',
                '',
                '',
                self::tabs($document, 1),
            )
            . self::paragraph('List_20_Item', 'Standard', 'fo:margin-bottom="3pt"', '')
            . self::paragraph(
                'Quotations',
                'Standard',
                'fo:margin-left="10mm" fo:margin-right="10mm" fo:margin-bottom="' . max(4.0, $style->gap) . 'pt"',
                'fo:font-style="italic"',
            )
            . self::paragraph(
                'Preformatted_20_Text',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="7pt"',
                "style:font-name=\"Courier New\" fo:font-size=\"{$small}pt\"",
            )
            . self::paragraph(
                'Caption',
                'Standard',
                'fo:line-height="100%" fo:margin-top="3pt" fo:margin-bottom="10pt"',
                "fo:font-style=\"italic\" fo:font-size=\"{$small}pt\"",
            )
            . self::paragraph('See_20_Also', 'Standard', 'fo:line-height="100%"', 'fo:font-size="' . $style->seeAlsoSize() . 'pt"')
            . self::paragraph(
                'Bibliography_20_1',
                'Standard',
                'fo:margin-left="10mm" fo:text-indent="-10mm" fo:margin-bottom="' . max(4.0, $style->gap) . 'pt"',
                '',
            )
            . self::paragraph('Table_20_Contents', 'Standard', 'fo:line-height="100%" fo:margin-bottom="2pt"', '')
            . self::paragraph('Table_20_Heading', 'Table_20_Contents', '', 'fo:font-weight="normal"')
            . self::paragraph(
                'Horizontal_20_Line',
                'Standard',
                'fo:margin-bottom="10pt" fo:border-bottom="0.5pt solid ' . Style::RULE . '" fo:border-top="none" fo:border-left="none" '
                    . 'fo:border-right="none" fo:padding="0mm"',
                'fo:font-size="6pt"',
            )
            . self::paragraph(
                'Footnote',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="2pt"',
                'fo:font-size="' . $style->footSize() . 'pt"',
            )
            . self::paragraph(
                'Header',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="0pt"',
                'fo:font-size="' . $style->footSize() . 'pt"',
                '',
                self::thirds($document),
            )
            . self::paragraph(
                'Footer',
                'Standard',
                'fo:line-height="100%" fo:margin-bottom="0pt"',
                'fo:font-size="' . $style->footSize() . 'pt"',
                '',
                self::thirds($document),
            )
            . '<style:style style:name="Internet_20_link" style:display-name="Internet link" style:family="text"><style:text-properties '
                . 'fo:color="' . Style::LINK . '" style:text-underline-style="solid" style:text-underline-width="auto" '
                . 'style:text-underline-color="font-color"/></style:style>'
            . '<style:style style:name="Index_20_Link" style:display-name="Index Link" style:family="text"/>'
            . '<style:style style:name="Footnote_20_anchor" style:display-name="Footnote anchor" '
                . 'style:family="text"><style:text-properties style:text-position="super 58%"/></style:style>';
    }

    private static function paragraph(
        string $name,
        string $parent,
        string $paragraph,
        string $text,
        string $attributes = '',
        string $children = '',
    ): string {
        $display = str_replace('_20_', ' ', $name);

        return "<style:style style:name=\"{$name}\""
            . ($display === $name ? '' : " style:display-name=\"{$display}\"")
            . ' style:family="paragraph"'
            . ($parent === '' ? '' : " style:parent-style-name=\"{$parent}\"")
            . "{$attributes}>"
            . "<style:paragraph-properties {$paragraph}>{$children}</style:paragraph-properties>"
            . ($text === '' ? '' : "<style:text-properties {$text}/>")
            . '</style:style>';
    }

    /** The width between the margins, in millimetres. */
    public static function textWidth(Document $document): float
    {
        return round(
            $document->style->page($document->properties->pageSize)[0] / Style::POINTS
                - $document->style->margins[1]
                - $document->style->margins[3],
            2,
        );
    }

    private static function tabs(Document $document, int $level): string
    {
        return '<style:tab-stops><style:tab-stop style:position="'
            . (self::textWidth($document) - ($level - 1) * 5)
            . 'mm" style:type="right" style:leader-style="dotted" style:leader-text="."/></style:tab-stops>';
    }

    private static function thirds(Document $document): string
    {
        $width = self::textWidth($document);

        return '<style:tab-stops><style:tab-stop style:position="'
            . round($width / 2, 2)
            . "mm\" style:type=\"center\"/><style:tab-stop style:position=\"{$width}mm\" style:type=\"right\"/></style:tab-stops>";
    }

    /** How the headings are numbered. */
    private static function outline(ListNumbers $numbers): string
    {
        $levels = '';
        for ($level = 1; $level <= self::LEVELS; ++$level) {
            $above = $numbers->base();
            $form = $level + $above <= ListNumbers::LEVELS ? $numbers->form(ListNumbers::HEADINGS, $level + $above) : null;
            // A branch alone counts from the numbers of those above it, which an outline cannot: its numbers are typed.
            $isPlain = $form !== null && $above === 0 && $numbers->isPlain($level);
            $format = !$isPlain ? '' : self::FORMATS[lcfirst($form->counter->name)] ?? '1';
            $display = $format === '' ? 1 : $numbers->levels($level);
            $levels
                .= "<text:outline-level-style text:level=\"{$level}\" style:num-format=\"{$format}\""
                . ($format === '' ? '' : self::around($form))
                . ($display > 1 ? " text:display-levels=\"{$display}\"" : '')
                . '><style:list-level-properties '
                    . 'text:list-level-position-and-space-mode="label-alignment"><style:list-level-label-alignment '
                    . 'text:label-followed-by="'
                . ($format === '' ? 'nothing' : 'space')
                . '"/></style:list-level-properties></text:outline-level-style>';
        }

        return "<text:outline-style style:name=\"Outline\">{$levels}</text:outline-style>";
    }

    private static function around(?Form $form): string
    {
        return $form === null
            ? ''
            : ' style:num-prefix="'
                    . Xml::escaped($form->before)
                    . '" style:num-suffix="'
                    . Xml::escaped($form->after . ($form->own === null && str_ends_with($form->before, ' ') ? "\u{2002}" : ''))
                    . '"';
    }

    private static function lists(): string
    {
        $out = '';
        foreach (['Bullets', 'Numbers', 'Boxes'] as $name) {
            $out .= "<text:list-style style:name=\"{$name}\">";
            for ($level = 1; $level <= self::LEVELS; ++$level) {
                $place
                    = '<style:list-level-properties '
                        . 'text:list-level-position-and-space-mode="label-alignment"><style:list-level-label-alignment '
                        . 'text:label-followed-by="listtab" text:list-tab-stop-position="'
                    . $level * 6.3
                    . 'mm" fo:text-indent="-6.3mm" fo:margin-left="'
                    . $level * 6.3
                    . 'mm"/></style:list-level-properties>';
                $out .= match ($name) {
                    'Numbers'
                        => "<text:list-level-style-number text:level=\"{$level}\" style:num-format=\"1\" style:num-suffix=\".\">{$place}</text:list-level-style-number>",
                    'Boxes'
                        => "<text:list-level-style-number text:level=\"{$level}\" style:num-format=\"\">{$place}</text:list-level-style-number>",
                    default => "<text:list-level-style-bullet text:level=\"{$level}\" text:bullet-char=\""
                        . self::BULLETS[($level - 1) % 3]
                        . "\">{$place}</text:list-level-style-bullet>",
                };
            }
            $out .= '</text:list-style>';
        }

        return $out;
    }

    private static function page(Document $document): string
    {
        $style = $document->style;
        [$width, $height] = array_map(
            static fn(float $one): float => round($one / Style::POINTS, 2),
            $style->page($document->properties->pageSize),
        );
        [$top, $right, $bottom, $left] = $style->margins + [0.0, 0.0, 0.0, 0.0];
        $size = "fo:page-width=\"{$width}mm\" fo:page-height=\"{$height}mm\" style:print-orientation=\"portrait\" fo:margin-left=\"{$left}mm\" fo:margin-right=\"{$right}mm\"";
        // What runs at the head stands within the margin.
        $half = static fn(float $margin): float => round($margin / 2, 2);
        $header = $style->hasHeader()
            ? '<style:header-style><style:header-footer-properties fo:min-height="'
                . $half($top)
                . 'mm" fo:margin-bottom="3mm" style:dynamic-spacing="true"/></style:header-style>'
            : '<style:header-style/>';
        $footer = $style->hasFooter()
            ? '<style:footer-style><style:header-footer-properties fo:min-height="'
                . $half($bottom)
                . 'mm" fo:margin-top="3mm" style:dynamic-spacing="true"/></style:footer-style>'
            : '<style:footer-style/>';
        $margins
            = 'fo:margin-top="'
            . ($style->hasHeader() ? $half($top) : $top)
            . 'mm" fo:margin-bottom="'
            . ($style->hasFooter() ? $half($bottom) : $bottom)
            . 'mm"';

        return "<office:automatic-styles><style:page-layout style:name=\"Pages\"><style:page-layout-properties {$size} {$margins}/>{$header}{$footer}</style:page-layout>"
            . "<style:page-layout style:name=\"TitlePage\"><style:page-layout-properties {$size} fo:margin-top=\"{$top}mm\" fo:margin-bottom=\"{$bottom}mm\"/><style:header-style/><style:footer-style/></style:page-layout></office:automatic-styles>";
    }

    private static function masters(Document $document, string $logo): string
    {
        $style = $document->style;
        $lines
            = ($style->hasHeader() ? '<style:header>' . self::running('Header', $style->header, $document, $logo) . '</style:header>' : '')
            . ($style->hasFooter() ? '<style:footer>' . self::running('Footer', $style->footer, $document, $logo) . '</style:footer>' : '');

        return "<office:master-styles><style:master-page style:name=\"Standard\" style:page-layout-name=\"Pages\">{$lines}</style:master-page><style:master-page style:name=\"First_20_Page\" style:display-name=\"First Page\" style:page-layout-name=\"TitlePage\" style:next-style-name=\"Standard\"/></office:master-styles>";
    }

    /** @param list<string> $thirds */
    private static function running(string $paragraph, array $thirds, Document $document, string $logo): string
    {
        $runs = '';
        foreach ($thirds as $i => $third) {
            $runs .= $i === 0 ? '' : '<text:tab/>';
            foreach (Style::pieces($third) as [$piece, $isField]) {
                $runs .= !$isField
                    ? OdtRuns::text($piece)
                    : match ($piece) {
                        'page' => '<text:page-number text:select-page="current">1</text:page-number>',
                        'pages' => '<text:page-count>1</text:page-count>',
                        'section' => '<text:chapter text:display="number-and-name" text:outline-level="1"/>',
                        'logo' => $logo,
                        default => OdtRuns::text($document->field($piece)),
                    };
            }
        }

        return "<text:p text:style-name=\"{$paragraph}\">{$runs}</text:p>";
    }
}
