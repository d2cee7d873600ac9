<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Style;
use Embrel\Document\Template;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Writer\Format;
use Embrel\Writer\TemplateStyles;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;

/** A draft in a document of the writer's own. */
final class TemplateTest extends TestCase
{
    use Folder;

    private const STYLES
        = '<w:style w:type="paragraph" w:styleId="berschrift1"><w:name w:val="heading 1"/><w:basedOn '
        . 'w:val="Standard"/><w:pPr><w:outlineLvl w:val="0"/></w:pPr><w:rPr><w:color w:val="AA0000"/></w:rPr></w:style>'
        . '<w:style w:type="paragraph" w:styleId="Ebene2"><w:name w:val="Eigene Ebene zwei"/><w:basedOn '
        . 'w:val="Standard"/><w:pPr><w:outlineLvl w:val="1"/></w:pPr></w:style>'
        . '<w:style w:type="paragraph" w:styleId="Zitat"><w:name w:val="Zitat"/><w:basedOn w:val="Standard"/></w:style>'
        . '<w:style w:type="paragraph" w:styleId="Caption"><w:name w:val="Something else"/><w:basedOn w:val="Standard"/></w:style>';

    private static function docx(string $body = ''): Template
    {
        $w
            = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" '
                . 'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';
        $type = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $content
            = '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" '
                . 'ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" '
                . 'ContentType="application/xml"/><Default Extension="png" ContentType="image/png"/>'
            . '<Override PartName="/word/document.xml" '
                . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.template.main+xml"/><Override '
                . 'PartName="/word/styles.xml" '
                . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.styles+xml"/><Override '
                . 'PartName="/word/header7.xml" '
                . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.header+xml"/><Override '
                . 'PartName="/word/numbering.xml" '
                . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.numbering+xml"/></Types>';
        $file = Package::docx(
            "{$body}<w:p><w:r><w:t>Replace this text.</w:t></w:r></w:p>",
            self::STYLES,
            [
                '[Content_Types].xml' => $content,
                'word/header7.xml' => "<w:hdr {$w}><w:p><w:r><w:t>{ti</w:t></w:r><w:r><w:rPr><w:b/></w:rPr><w:t>tle} by {author}</w:t></w:r></w:p></w:hdr>",
                'word/_rels/header7.xml.rels' => "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"i\" Type=\"{$type}/image\" Target=\"media/logo.png\"/></Relationships>",
                'word/media/logo.png' => Package::png(),
                'word/numbering.xml' => "<w:numbering {$w}><w:abstractNum w:abstractNumId=\"11\"><w:lvl w:ilvl=\"0\"><w:numFmt w:val=\"bullet\"/></w:lvl></w:abstractNum><w:num w:numId=\"12\"><w:abstractNumId w:val=\"11\"/></w:num></w:numbering>",
                'word/vbaProject.bin' => 'macros',
            ],
            "<Relationship Id=\"h\" Type=\"{$type}/header\" Target=\"header7.xml\"/><Relationship Id=\"n\" Type=\"{$type}/numbering\" Target=\"numbering.xml\"/><Relationship Id=\"v\" Type=\"http://schemas.microsoft.com/office/2006/relationships/vbaProject\" Target=\"vbaProject.bin\"/>",
        );
        $parts = Package::parts($file);
        $parts['word/document.xml'] = str_replace(
            '<w:sectPr>',
            '<w:sectPr><w:headerReference w:type="default" r:id="h"/>',
            $parts['word/document.xml'],
        );

        return new Template('docx', Package::zip($parts));
    }

    private static function odt(): Template
    {
        return new Template(
            'odt',
            Package::odt(
                '<text:p>Replace this text.</text:p>',
                styles: '<style:default-style style:family="paragraph"><style:text-properties style:font-name="Garamond" '
                    . 'fo:font-size="13pt"/></style:default-style><style:style style:name="Standard" '
                    . 'style:family="paragraph"/><style:style style:name="Rubrik" style:display-name="Rubrik 1" style:family="paragraph" '
                    . 'style:parent-style-name="Standard" style:default-outline-level="1"><style:text-properties '
                    . 'fo:color="#aa0000"/></style:style>',
                masters: '<office:automatic-styles><style:page-layout style:name="pm1"><style:page-layout-properties fo:margin-top="3cm" fo:margin-bottom="3cm" fo:margin-left="4cm" fo:margin-right="2cm"/><style:header-style/><style:footer-style/></style:page-layout></office:automatic-styles><office:master-styles><style:master-page style:name="Standard" style:page-layout-name="pm1"><style:header><text:p>{title} <text:span>by {author}</text:span></text:p></style:header></style:master-page></office:master-styles>',
            ),
        );
    }

    /** The word processor's own fields, each with what the template's author left in it. */
    public function testItsOwnFieldsTakeAuthorTitleAndDateOfThePlan(): void
    {
        $complex = static fn(
            string $instruction,
        ): string => '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText xml:space="preserve"> '
            . $instruction
            . ' </w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r><w:r><w:t>Tess </w:t></w:r><w:r><w:t>Template</w:t></w:r><w:r><w:fldChar w:fldCharType="end"/></w:r>';
        $docx = Package::parts(self::docx()->bytes);
        $docx['word/header7.xml'] = str_replace(
            '<w:p>',
            '<w:p><w:fldSimple w:instr=" AUTHOR \\* MERGEFORMAT "><w:r><w:t>Tess Template</w:t></w:r></w:fldSimple>'
                . $complex('TITLE')
                . $complex('SAVEDATE \\@ "yyyy"')
                . $complex('PAGE')
                . '<w:sdt><w:sdtPr><w:dataBinding w:xpath="/ns1:coreProperties[1]/ns0:creator[1]"/></w:sdtPr><w:sdtContent><w:r><w:t>Tess Template</w:t></w:r></w:sdtContent></w:sdt>',
            $docx['word/header7.xml'],
        );
        $header = self::draft(new Template('docx', Package::zip($docx)))['word/header7.xml'];
        $shown = trim(preg_replace('/\s+/', ' ', strip_tags(preg_replace('/<w:instrText.*?<\/w:instrText>/s', '', $header) ?? '')) ?? '');
        self::assertSame(
            'Ada MarshTest plan23 November 2026Tess TemplateAda MarshTest plan by Ada Marsh',
            $shown,
            'A field of another kind is left to the word processor.',
        );

        $odt = Package::parts(self::odt()->bytes);
        $odt['styles.xml'] = str_replace(
            '<text:p>{title}',
            '<text:p><text:initial-creator>Tess</text:initial-creator>, <text:title>Form 7</text:title>, <text:creation-date text:date-value="2011-02-03">2011</text:creation-date> {title}',
            $odt['styles.xml'],
        );
        $template = new Template('odt', Package::zip($odt));
        self::assertStringContainsString(
            'Ada Marsh, Test plan, 23 November 2026 Test plan by Ada Marsh',
            strip_tags(self::draft($template)['styles.xml']),
        );
        // In a document of another kind the look of its head is taken on, with the same fields.
        self::assertSame(
            ['{author}, {title}, {date} {title} by {author}', '', ''],
            TemplateStyles::of($template)->applied(Style::own(), null)[0]->header,
        );
    }

    private static function plan(): Plan
    {
        return Notes::on(Build::plan("Tide & sand\n  Mud\n  Sand\nWall\n  Stone"), 4, [
            hash('sha256', Package::png(90, 90)),
        ])->withProperties(new Properties(author: 'Ada Marsh'));
    }

    /** @return array<string, string> the parts of the draft */
    private static function draft(Template $template, ?Plan $plan = null): array
    {
        $work = sys_get_temp_dir() . '/embrel-template-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        Format::from($template->kind)
            ->writer()
            ->write(
                $plan ?? self::plan(),
                new Choices(
                    pictures: new Shelved([Package::png(90, 90)]),
                    draft: new DraftChoices(template: $template, date: '2026-11-23'),
                ),
                $out,
                $work,
            );
        rewind($out);
        exec('rm -rf ' . escapeshellarg($work));

        return Package::parts((string) stream_get_contents($out));
    }

    public function testItsStylesAreGuessedByLevelAndByNamesInAnyLanguage(): void
    {
        $guessed = TemplateStyles::of(self::docx())->guessed;
        self::assertSame(['berschrift1', 'Ebene2', 'Zitat'], [$guessed['Heading1'], $guessed['Heading2'], $guessed['Quote']]);
        self::assertArrayNotHasKey('Caption', $guessed, 'The id of a style says nothing of what it is.');
        self::assertSame('Rubrik', TemplateStyles::of(self::odt())->guessed['Heading1']);
    }

    public function testADraftTakesOnStylesPageAndHead(): void
    {
        $template = self::docx();
        $before = Package::parts($template->bytes);
        $parts = self::draft($template);
        self::assertStringContainsString('<w:pStyle w:val="berschrift1"/>', $parts['word/document.xml']);
        self::assertStringContainsString('<w:pStyle w:val="Ebene2"/>', $parts['word/document.xml']);
        self::assertStringContainsString('w:left="1700"', $parts['word/document.xml']);
        self::assertMatchesRegularExpression('/<w:headerReference w:type="default" r:id="h"/', $parts['word/document.xml']);
        self::assertStringNotContainsString('Replace this text', $parts['word/document.xml']);
        self::assertSame('Test plan by Ada Marsh', trim(strip_tags($parts['word/header7.xml'])));
        self::assertSame($before['word/media/logo.png'], $parts['word/media/logo.png']);
        foreach (explode('</w:style>', self::STYLES) as $style) {
            self::assertStringContainsString(trim($style), $parts['word/styles.xml'], 'What it has is never altered.');
        }
        self::assertStringContainsString(
            'w:styleId="EmbrelCaption"',
            $parts['word/styles.xml'],
            'What it lacks comes along, under an id of its own where that is taken.',
        );
        self::assertArrayNotHasKey('word/vbaProject.bin', $parts);
        self::assertStringNotContainsString('vbaProject', $parts['word/_rels/document.xml.rels']);
        self::assertStringContainsString('wordprocessingml.document.main+xml', $parts['[Content_Types].xml']);
        self::assertStringContainsString('<w:abstractNum w:abstractNumId="11">', $parts['word/numbering.xml']);
    }

    public function testEverythingThatADraftNamesIsThere(): void
    {
        $parts = self::draft(self::docx());
        $path = static function (string $xml): \DOMXPath {
            $dom = new \DOMDocument();
            self::assertTrue($dom->loadXML($xml));
            $path = new \DOMXPath($dom);
            $path->registerNamespace('w', 'http://schemas.openxmlformats.org/wordprocessingml/2006/main');

            return $path;
        };
        $values = static fn(\DOMXPath $path, string $query): array => array_values(
            array_unique(
                array_map(
                    static fn(\DOMNode $node): string => (string) $node->nodeValue,
                    iterator_to_array($path->query($query) ?: [], false),
                ),
            ),
        );
        [$body, $styles, $numbering] = [
            $path($parts['word/document.xml']),
            $path($parts['word/styles.xml']),
            $path($parts['word/numbering.xml']),
        ];
        self::assertSame(
            [],
            array_diff(
                $values($body, '//w:pStyle/@w:val | //w:rStyle/@w:val | //w:tblStyle/@w:val'),
                $values($styles, '//w:style/@w:styleId'),
            ),
        );
        self::assertSame(
            [],
            array_diff($values($styles, '//w:basedOn/@w:val'), $values($styles, '//w:style/@w:styleId'), [
                'TableNormal',
                'DefaultParagraphFont',
            ]),
        );
        self::assertSame([], array_diff($values($body, '//w:numId/@w:val'), $values($numbering, '//w:num/@w:numId'), ['0']));
        self::assertSame(
            [],
            array_diff($values($numbering, '//w:num/w:abstractNumId/@w:val'), $values($numbering, '//w:abstractNum/@w:abstractNumId')),
        );
        preg_match_all('/Target="([^":]+)"(?! TargetMode)/', $parts['word/_rels/document.xml.rels'], $m);
        foreach ($m[1] as $target) {
            self::assertArrayHasKey("word/{$target}", $parts);
        }
    }

    public function testATitlePageOfItsOwnIsKeptAndFilled(): void
    {
        $parts = self::draft(self::docx('<w:p><w:r><w:t>Report: {title}</w:t></w:r></w:p><w:p><w:r><w:t>{date}</w:t></w:r></w:p>'));
        $text = strip_tags(str_replace('</w:p>', "\n", $parts['word/document.xml']));
        self::assertStringContainsString("Report: Test plan\n23 November 2026\nReplace this text.\n", $text);
        self::assertStringNotContainsString('"Title"', $parts['word/document.xml'], 'Its title page stands instead of ours.');
    }

    public function testTheWriterDecidesOtherwise(): void
    {
        $template = self::docx();
        $chosen = new Template('docx', $template->bytes, ['Heading1' => 'Ebene2', 'Quote' => 'NoSuchStyle']);
        self::assertSame(
            ['Ebene2', 'Zitat'],
            [TemplateStyles::of($chosen)->chosen()['Heading1'], TemplateStyles::of($chosen)->chosen()['Quote']],
        );
        self::assertStringNotContainsString('<w:pStyle w:val="berschrift1"/>', self::draft($chosen)['word/document.xml']);
    }

    public function testOpenDocumentTemplates(): void
    {
        $parts = self::draft(self::odt());
        self::assertStringContainsString('text:style-name="Rubrik"', $parts['content.xml']);
        self::assertStringContainsString('fo:color="#aa0000"', $parts['styles.xml']);
        self::assertStringContainsString('style:name="Quotations"', $parts['styles.xml']);
        self::assertMatchesRegularExpression('/<style:header><text:p>Test plan <text:span>by Ada Marsh/', $parts['styles.xml']);
        [$look] = TemplateStyles::of(self::odt())->applied(Style::own(), null);
        self::assertSame(
            [[30.0, 20.0, 30.0, 40.0], 13.0, 'Garamond', ['{title} by {author}', '', '']],
            [$look->margins, $look->size, $look->font, $look->header],
        );
    }

    /** A docx whose text, headings, page, head and foot are set in every way that is read. */
    private static function looking(): Template
    {
        $w
            = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';
        $type = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $field = static fn(string $instruction): string => Package::field($instruction, '7');
        $parts = Package::parts(
            Package::docx(
                '<w:p/>',
                '<w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:asciiTheme="minorHAnsi"/><w:sz w:val="23"/></w:rPr></w:rPrDefault></w:docDefaults>'
                    . '<w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/><w:pPr><w:spacing w:after="160" w:line="360" w:lineRule="auto"/></w:pPr></w:style>'
                    . '<w:style w:type="paragraph" w:styleId="Text"><w:name w:val="Body Text"/><w:basedOn w:val="Normal"/><w:pPr><w:ind w:firstLine="567"/><w:jc w:val="both"/></w:pPr></w:style>'
                    . '<w:style w:type="paragraph" w:styleId="H1"><w:name w:val="heading 1"/><w:basedOn w:val="Normal"/><w:pPr><w:outlineLvl w:val="0"/></w:pPr><w:rPr><w:rFonts w:ascii="Gill Sans"/><w:sz w:val="40"/></w:rPr></w:style>',
                [
                    'word/theme/theme1.xml'
                        => '<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:themeElements><a:fontScheme name="x"><a:majorFont><a:latin typeface="Cambria"/></a:majorFont><a:minorFont><a:latin typeface="Candara"/></a:minorFont></a:fontScheme></a:themeElements></a:theme>',
                    'word/header1.xml' => "<w:hdr {$w} xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\"><w:p><w:r><w:drawing><a:blip r:embed=\"i\"/></w:drawing></w:r><w:r><w:tab/><w:t>Harrow School</w:t></w:r></w:p><w:p><w:pPr><w:jc w:val=\"right\"/></w:pPr><w:r><w:t>{title}</w:t></w:r></w:p></w:hdr>",
                    'word/_rels/header1.xml.rels' => "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"i\" Type=\"{$type}/image\" Target=\"media/logo.png\"/></Relationships>",
                    'word/media/logo.png' => Package::png(60, 20),
                    'word/footer1.xml' => "<w:ftr {$w}><w:p><w:pPr><w:jc w:val=\"center\"/></w:pPr><w:r><w:t xml:space=\"preserve\">page </w:t></w:r>{$field(
                        'PAGE',
                    )}<w:r><w:t xml:space=\"preserve\"> of </w:t></w:r><w:fldSimple w:instr=\" NUMPAGES \"><w:r><w:t>9</w:t></w:r></w:fldSimple></w:p></w:ftr>",
                ],
                "<Relationship Id=\"h\" Type=\"{$type}/header\" Target=\"header1.xml\"/><Relationship Id=\"f\" Type=\"{$type}/footer\" Target=\"footer1.xml\"/><Relationship Id=\"t\" Type=\"{$type}/theme\" Target=\"theme/theme1.xml\"/>",
            ),
        );
        $parts['word/document.xml']
            = preg_replace(
                '/<w:sectPr>.*<\/w:sectPr>/s',
                '<w:sectPr><w:headerReference w:type="default" r:id="h"/><w:footerReference w:type="default" r:id="f"/><w:pgSz w:w="12240" w:h="15840"/><w:pgMar w:top="1440" w:right="1134" w:bottom="1440" w:left="1701"/></w:sectPr>',
                $parts['word/document.xml'],
            ) ?? '';

        return new Template('docx', Package::zip($parts));
    }

    public function testADocumentOfAnotherKindTakesOnItsLook(): void
    {
        [$style, $pictures] = TemplateStyles::of(self::looking())->applied(Style::own(), null);
        self::assertSame(
            ['Candara', 'Gill Sans', 11.5, [20.0, 20.0, 20.0]],
            [$style->font, $style->headingFont, $style->size, $style->headingSizes],
        );
        self::assertSame([1.5, 8.0, 10.0, true], [$style->line, $style->gap, $style->firstLine, $style->isJustified]);
        self::assertSame(['letter', [25.4, 20.0, 25.4, 30.0]], [$style->paper, $style->margins]);
        self::assertSame([['{logo}', 'Harrow School', '{title}'], ['', 'page {page} of {pages}', '']], [$style->header, $style->footer]);
        self::assertSame(Package::png(60, 20), $pictures?->bytes((string) $style->logo));

        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        $work = sys_get_temp_dir() . '/embrel-template-' . bin2hex(random_bytes(6));
        mkdir($work);
        Format::Odt->writer()->write(self::plan(), new Choices(
            pictures: $pictures,
            draft: new DraftChoices(style: $style, template: self::looking()),
        ), $out, $work);
        rewind($out);
        $styles = Package::parts((string) stream_get_contents($out))['styles.xml'];
        exec('rm -rf ' . escapeshellarg($work));
        self::assertStringContainsString('Harrow School', $styles);
        self::assertStringContainsString('fo:page-width="215.9mm"', $styles);
        self::assertMatchesRegularExpression('/draw:image [^>]*Pictures\//', $styles);
    }

    public function testAPictureThatIsNoneIsNoLogo(): void
    {
        $parts = Package::parts(self::looking()->bytes);
        $parts['word/media/logo.png'] = "\x89PNG and nothing more";
        [$style, $pictures] = TemplateStyles::of(new Template('docx', Package::zip($parts)))->applied(Style::own(), null);
        self::assertNull($style->logo);
        self::assertNull($pictures);
    }

    public function testAWordProcessorOpensTheDraft(): void
    {
        foreach ([self::docx(), self::odt()] as $template) {
            $path = "{$this->folder}/draft.{$template->kind}";
            file_put_contents($path, Package::zip(self::draft($template)));
            $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($this->made('pdf', $path)) . ' - 2>/dev/null');
            self::assertStringContainsString('Test plan by Ada Marsh', $text, $template->kind);
            self::assertMatchesRegularExpression('/^ *1 +Tide & sand/m', $text, $template->kind);
            self::assertMatchesRegularExpression('/^ *2\.1 +Stone/m', $text, $template->kind);
        }
    }

    public function testWhatIsNoTemplateIsRefused(): void
    {
        $zip = Package::zip(['a' => 'b']);
        $these = [new Template('docx', 'plain text'), new Template('odt', Package::docx('')), new Template('docx', $zip)];
        foreach ($these as $template) {
            try {
                TemplateStyles::of($template);
                self::fail('It was taken.');
            } catch (\DomainException $why) {
                self::assertStringStartsWith('This template cannot be used', $why->getMessage());
            }
        }
    }
}
