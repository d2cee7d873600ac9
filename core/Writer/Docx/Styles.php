<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Document\Document;

/** The styles part: the names a word processor knows, so that its own panes and tools see them. */
final class Styles
{
    /** Half-points of Heading 1 to 9. */
    private const HEADING_SIZES = [32, 27, 24, 22, 22, 22, 22, 22, 22];

    /** @param int $base how many levels stand above the headings, in a branch handed over alone */
    public static function xml(Document $document, int $base): string
    {
        $language = DocxWriter::escaped($document->properties->language);
        $xml = '<w:styles xmlns:w="' . Body::W . '"><w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii="Georgia" w:hAnsi="Georgia" w:eastAsia="Georgia" w:cs="Georgia"/>'
            . "<w:sz w:val=\"22\"/><w:szCs w:val=\"22\"/><w:lang w:val=\"{$language}\" w:eastAsia=\"{$language}\" w:bidi=\"ar-SA\"/></w:rPr></w:rPrDefault>"
            . '<w:pPrDefault><w:pPr><w:spacing w:after="140" w:line="288" w:lineRule="auto"/></w:pPr></w:pPrDefault></w:docDefaults>'
            . '<w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/><w:qFormat/></w:style>'
            . '<w:style w:type="character" w:default="1" w:styleId="DefaultParagraphFont"><w:name w:val="Default Paragraph Font"/></w:style>'
            . '<w:style w:type="table" w:default="1" w:styleId="TableNormal"><w:name w:val="Normal Table"/><w:tblPr><w:tblInd w:w="0" w:type="dxa"/><w:tblCellMar><w:left w:w="108" w:type="dxa"/><w:right w:w="108" w:type="dxa"/></w:tblCellMar></w:tblPr></w:style>'
            . self::paragraph('Title', 'Title', '<w:spacing w:before="2400" w:after="120" w:line="240" w:lineRule="auto"/>', '<w:b/><w:sz w:val="48"/><w:szCs w:val="48"/>')
            . self::paragraph('Subtitle', 'Subtitle', '<w:spacing w:after="240"/>', '<w:color w:val="5E5668"/><w:sz w:val="28"/><w:szCs w:val="28"/>')
            . self::paragraph('Author', 'Author', '<w:spacing w:after="480"/>', '')
            . self::paragraph('TOCHeading', 'TOC Heading', '<w:keepNext/><w:spacing w:before="480" w:after="160"/>', '<w:b/><w:sz w:val="28"/><w:szCs w:val="28"/>');
        for ($level = 1; $level <= 9; ++$level) {
            $size = self::HEADING_SIZES[$level - 1];
            $list = $base + $level <= 9 ? '<w:numPr><w:ilvl w:val="' . ($base + $level - 1) . '"/><w:numId w:val="' . Lists::HEADINGS . '"/></w:numPr>' : '';
            $xml .= self::paragraph("Heading{$level}", "heading {$level}", '<w:keepNext/><w:keepLines/>' . $list . '<w:spacing w:before="' . ($level === 1 ? 480 : 280) . '" w:after="120" w:line="240" w:lineRule="auto"/><w:outlineLvl w:val="' . ($level - 1) . '"/>', "<w:b/><w:sz w:val=\"{$size}\"/><w:szCs w:val=\"{$size}\"/>", 'Normal');
        }
        for ($level = 1; $level <= 3; ++$level) {
            $xml .= self::paragraph("NoteHeading{$level}", "Note Heading {$level}", '<w:keepNext/><w:spacing w:before="200" w:after="80"/>', $level === 3 ? '<w:i/>' : '<w:b/>', 'Normal')
                . self::paragraph("TOC{$level}", "toc {$level}", '<w:tabs><w:tab w:val="right" w:leader="dot" w:pos="' . Body::textWidth($document) . '"/></w:tabs><w:spacing w:after="60"/><w:ind w:left="' . (($level - 1) * 280) . '"/>', '');
        }

        return $xml
            . self::paragraph('ListBullet', 'List Bullet', '<w:numPr><w:numId w:val="' . Lists::BULLETS . '"/></w:numPr><w:spacing w:after="60"/><w:contextualSpacing/>', '')
            . self::paragraph('ListNumber', 'List Number', '<w:numPr><w:numId w:val="' . Lists::NUMBERS . '"/></w:numPr><w:spacing w:after="60"/><w:contextualSpacing/>', '')
            . self::paragraph('ListContinue', 'List Continue', '<w:spacing w:after="80"/><w:ind w:left="360"/>', '')
            . self::paragraph('Quote', 'Quote', '<w:spacing w:before="80" w:after="160"/><w:ind w:left="567" w:right="567"/>', '<w:i/>', 'Normal')
            . self::paragraph('Code', 'Code', '<w:spacing w:after="140" w:line="240" w:lineRule="auto"/>', '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New" w:cs="Courier New"/><w:sz w:val="19"/>')
            . self::paragraph('Caption', 'caption', '<w:spacing w:before="60" w:after="200"/>', '<w:i/><w:sz w:val="19"/><w:szCs w:val="19"/>')
            . self::paragraph('Bibliography', 'Bibliography', '<w:spacing w:after="120"/><w:ind w:left="567" w:hanging="567"/>', '')
            . self::paragraph('FootnoteText', 'footnote text', '<w:spacing w:after="40" w:line="240" w:lineRule="auto"/>', '<w:sz w:val="18"/><w:szCs w:val="18"/>')
            . '<w:style w:type="character" w:styleId="FootnoteReference"><w:name w:val="footnote reference"/><w:basedOn w:val="DefaultParagraphFont"/><w:rPr><w:vertAlign w:val="superscript"/></w:rPr></w:style>'
            . self::paragraph('Footer', 'footer', '<w:jc w:val="right"/>', '<w:sz w:val="18"/><w:szCs w:val="18"/>')
            . '<w:style w:type="character" w:styleId="Hyperlink"><w:name w:val="Hyperlink"/><w:basedOn w:val="DefaultParagraphFont"/><w:rPr><w:color w:val="2F6690"/><w:u w:val="single"/></w:rPr></w:style>'
            . '<w:style w:type="table" w:styleId="TableGrid"><w:name w:val="Table Grid"/><w:basedOn w:val="TableNormal"/><w:tblPr><w:tblBorders>'
            . implode('', array_map(static fn(string $side): string => "<w:{$side} w:val=\"single\" w:sz=\"4\" w:space=\"0\" w:color=\"8A8494\"/>", ['top', 'left', 'bottom', 'right', 'insideH', 'insideV']))
            . '</w:tblBorders></w:tblPr></w:style></w:styles>';
    }

    private static function paragraph(string $id, string $name, string $paragraph, string $run, string $next = ''): string
    {
        return "<w:style w:type=\"paragraph\" w:styleId=\"{$id}\"><w:name w:val=\"{$name}\"/><w:basedOn w:val=\"Normal\"/>"
            . ($next === '' ? '' : "<w:next w:val=\"{$next}\"/>")
            . '<w:qFormat/><w:pPr>' . $paragraph . '</w:pPr>' . ($run === '' ? '' : "<w:rPr>{$run}</w:rPr>") . '</w:style>';
    }
}
