<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Archive\ZipFile;
use Embrel\Document\Document;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\Writer\IndexPages;
use Embrel\Writer\ListNumbers;
use Embrel\Writer\Losses;
use Embrel\Writer\OpcPackage;
use Embrel\Writer\StyleNames;
use Embrel\Writer\TravellingFonts;
use Embrel\Writer\Writer;

/** A word-processor document (ECMA-376, WordprocessingML): the package around Body, Styles and Lists. */
final class DocxWriter implements Writer
{
    private const TYPES
        = '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">'
        . '<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>'
        . '<Default Extension="xml" ContentType="application/xml"/>'
        . '<Default Extension="odttf" ContentType="application/vnd.openxmlformats-officedocument.obfuscatedFont"/>'
        . '<Default Extension="png" ContentType="image/png"/><Default Extension="jpeg" ContentType="image/jpeg"/>'
        . '<Override PartName="/word/document.xml" '
        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/>'
        . '<Override PartName="/word/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.styles+xml"/>'
        . '<Override PartName="/word/numbering.xml" '
        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.numbering+xml"/>'
        . '<Override PartName="/word/fontTable.xml" '
        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.fontTable+xml"/>'
        . '<Override PartName="/word/settings.xml" '
        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.settings+xml"/>'
        . '<Override PartName="/word/footnotes.xml" '
        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.footnotes+xml"/>'
        . '<Override PartName="/word/header1.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.header+xml"/>'
        . '<Override PartName="/word/footer1.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.footer+xml"/>'
        . '<Override PartName="/docProps/core.xml" ContentType="application/vnd.openxmlformats-package.core-properties+xml"/>'
        . '<Override PartName="/docProps/app.xml" ContentType="application/vnd.openxmlformats-officedocument.extended-properties+xml"/>'
        . '</Types>';
    public const PACKAGE_RELATIONS = 'http://schemas.openxmlformats.org/package/2006/relationships';
    public const DECLARATION = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>' . "\n";

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        if ($choices->draft->template?->kind === 'docx') {
            return DocxTemplate::write($choices->draft->template, $plan, $choices, $out, $work);
        }
        $losses = new Losses();
        $document = IndexPages::in(Draft::of($plan, $choices), $choices->pictures);
        $lists = new Lists(new ListNumbers($document, ListNumbers::countsAbove($plan, $choices->from)));
        $body = new Body($document, $lists, $losses, $choices->pictures);
        $body->write("{$work}/document.xml");

        $fonts = new EmbeddedFonts($choices->draft->fonts ? TravellingFonts::of($document, $choices->draft->wholeFonts) : []);
        $zip = new ZipFile("{$work}/draft.docx");
        $zip->text('[Content_Types].xml', self::DECLARATION . self::types($body))
            ->text(
                '_rels/.rels',
                self::DECLARATION
                    . '<Relationships xmlns="'
                    . self::PACKAGE_RELATIONS
                    . '">'
                    . '<Relationship Id="rId1" Type="'
                    . Body::R
                    . '/officeDocument" Target="word/document.xml"/>'
                    . '<Relationship Id="rId2" '
                        . 'Type="http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties" '
                        . 'Target="docProps/core.xml"/>'
                    . '<Relationship Id="rId3" Type="'
                    . Body::R
                    . '/extended-properties" Target="docProps/app.xml"/></Relationships>',
            )
            ->text('docProps/core.xml', self::DECLARATION . OpcPackage::properties($document->title, $document->properties))
            ->text(
                'docProps/app.xml',
                self::DECLARATION
                    . '<Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/extended-properties"><Application>Embrel</Application></Properties>',
            )
            ->text('word/_rels/document.xml.rels', self::DECLARATION . $this->relations($body))
            ->text('word/footnotes.xml', self::DECLARATION . self::footnotes($body->runs, new StyleNames()))
            ->text(
                'word/_rels/footnotes.xml.rels',
                self::DECLARATION
                    . '<Relationships xmlns="'
                    . self::PACKAGE_RELATIONS
                    . '">'
                    . self::links($body->runs)
                    . '</Relationships>',
            )
            ->text('word/styles.xml', self::DECLARATION . Styles::xml($document, $lists->base(), $lists->headings()))
            ->text('word/numbering.xml', self::DECLARATION . $lists->xml())
            ->text('word/fontTable.xml', self::DECLARATION . $fonts->table($document->style))
            ->text(
                'word/settings.xml',
                self::DECLARATION
                    . '<w:settings xmlns:w="'
                    . Body::W
                    . '"><w:zoom w:percent="100"/>' . $fonts->setting() . '<w:defaultTabStop w:val="567"/>'
                    . ($document->style->isHyphenated ? '<w:autoHyphenation/>' : '')
                    . '<w:characterSpacingControl w:val="doNotCompress"/><w:footnotePr><w:footnote w:id="-1"/>'
                    . '<w:footnote w:id="0"/></w:footnotePr>'
                    . '<w:compat><w:compatSetting w:name="compatibilityMode" w:uri="http://schemas.microsoft.com/office/word" w:val="15"/></w:compat></w:settings>',
            );
        $fonts->write($zip);
        if (!$body->comments->isEmpty()) {
            $zip->text('word/comments.xml', self::DECLARATION . $body->comments->xml());
        }
        $this->running($zip, $document, $choices);
        self::media($zip, $body->runs, $choices);
        $zip->file('word/document.xml', "{$work}/document.xml")->sendTo($out);
        $losses->also($document->missing);

        return $losses->sentences();
    }

    private static function types(Body $body): string
    {
        return $body->comments->isEmpty() ? self::TYPES : str_replace('</Types>', Comments::TYPE . '</Types>', self::TYPES);
    }

    /** The head and the foot of the pages, with the logo where one of them shows it. */
    private function running(ZipFile $zip, Document $document, Choices $choices): void
    {
        $logo = $document->style->logo === null ? null : $choices->pictures?->bytes($document->style->logo);
        $size = $logo === null ? false : @getimagesizefromstring($logo);
        $aspect = $size === false || $size[0] === 0 || $size[1] === 0 ? null : $size[1] / $size[0];
        foreach (['header' => 'hdr', 'footer' => 'ftr'] as $part => $element) {
            $thirds = $part === 'header' ? $document->style->header : $document->style->footer;
            $zip->text("word/{$part}1.xml", self::DECLARATION . RunningLine::xml($element, $thirds, $document, ucfirst($part), $aspect));
            if ($aspect !== null && $logo !== null && str_contains(implode('', $thirds), '{logo}')) {
                $extension = \Embrel\Document\PictureType::of($logo)->value;
                $zip->text("word/media/logo-{$part}.{$extension}", $logo);
                $zip->text(
                    "word/_rels/{$part}1.xml.rels",
                    self::DECLARATION
                        . '<Relationships xmlns="'
                        . self::PACKAGE_RELATIONS
                        . '"><Relationship Id="logo" Type="'
                        . Body::R
                        . "/image\" Target=\"media/logo-{$part}.{$extension}\"/></Relationships>",
                );
            }
        }
    }

    public static function media(ZipFile $zip, Runs $runs, Choices $choices, string $folder = 'word'): void
    {
        foreach ($runs->media as $id => ['relation' => $name, 'extension' => $extension]) {
            $zip->text("{$folder}/media/{$name}.{$extension}", (string) ($runs->drawn[$id] ?? $choices->pictures?->bytes((string) $id)));
        }
    }

    private function relations(Body $body): string
    {
        $xml = '<Relationships xmlns="' . self::PACKAGE_RELATIONS . '">';
        foreach (['styles', 'numbering', 'settings', 'fontTable', 'footnotes', 'header', 'footer'] as $part) {
            $xml
                .= "<Relationship Id=\"{$part}\" Type=\""
                . Body::R
                . "/{$part}\" Target=\"{$part}"
                . ($part === 'header' || $part === 'footer' ? '1' : '')
                . '.xml"/>';
        }

        if (!$body->comments->isEmpty()) {
            $xml .= '<Relationship Id="comments" Type="' . Body::R . '/comments" Target="comments.xml"/>';
        }

        return $xml . self::links($body->runs) . self::mediaRelations($body->runs) . '</Relationships>';
    }

    public static function mediaRelations(Runs $runs): string
    {
        $xml = '';
        foreach ($runs->media as ['relation' => $name, 'extension' => $extension]) {
            $xml .= "<Relationship Id=\"{$name}\" Type=\"" . Body::R . "/image\" Target=\"media/{$name}.{$extension}\"/>";
        }

        return $xml;
    }

    public static function links(Runs $runs): string
    {
        $xml = '';
        foreach ($runs->links as $href => $id) {
            $xml
                .= "<Relationship Id=\"{$id}\" Type=\""
                . Body::R
                . '/hyperlink" Target="'
                . Xml::escaped((string) $href)
                . '" TargetMode="External"/>';
        }

        return $xml;
    }

    /** The two separators that every footnotes part has, and the notes. */
    public static function footnotes(Runs $runs, StyleNames $names, string $separators = '', int $first = 0): string
    {
        $xml
            = '<w:footnotes xmlns:w="'
            . Body::W
            . '" xmlns:r="'
            . Body::R
            . '">'
            . ($separators !== ''
                ? $separators
                : '<w:footnote w:type="separator" w:id="-1"><w:p><w:r><w:separator/></w:r></w:p></w:footnote><w:footnote w:type="continuationSeparator" w:id="0"><w:p><w:r><w:continuationSeparator/></w:r></w:p></w:footnote>');
        foreach ($runs->footnotes as $i => $text) {
            $xml
                .= '<w:footnote w:id="'
                . ($first + $i + 1)
                . '"><w:p><w:pPr><w:pStyle w:val="'
                . $names->of('FootnoteText')
                . '"/></w:pPr><w:r><w:rPr><w:rStyle w:val="'
                . $names->of('FootnoteReference')
                . '"/></w:rPr><w:footnoteRef/></w:r><w:r><w:t xml:space="preserve"> </w:t></w:r>'
                . $text
                . '</w:p></w:footnote>';
        }

        return "{$xml}</w:footnotes>";
    }
}
