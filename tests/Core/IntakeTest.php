<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Plan\Plan;
use Embrel\Reader\Format;
use Embrel\Reader\Markdown\Recognition;
use Embrel\Reader\Unreadable;
use Embrel\RichText\NodeType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;

/** Documents as other programs write them, and what becomes of them. */
final class IntakeTest extends TestCase
{
    private const H1 = '<w:style w:type="paragraph" w:styleId="berschrift1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl '
        . 'w:val="0"/></w:pPr></w:style><w:style w:type="paragraph" w:styleId="Eigene2"><w:name w:val="Eigene Ebene"/><w:basedOn '
        . 'w:val="berschrift1"/><w:pPr><w:outlineLvl w:val="1"/></w:pPr></w:style><w:style w:type="paragraph" w:styleId="Titel"><w:name '
        . 'w:val="Title"/></w:style>';
    private const H = '<w:pStyle w:val="berschrift1"/>';

    private static function docx(string $body, ?Options $options = null, string $styles = self::H1, string $relations = ''): Result
    {
        return Build::intake(Format::Docx, Package::docx($body, $styles, [], $relations), $options);
    }

    private static function note(Plan $plan, string $title): string
    {
        return (string) $plan->topic($title === '' ? Plan::ROOT : Build::id($plan, $title))->note?->plainText(true);
    }

    private static function json(Plan $plan, string $title): string
    {
        return (string) $plan->topic($title === '' ? Plan::ROOT : Build::id($plan, $title))->note?->toJson();
    }

    public function testHeadingsGoByStyleAndByTheirOwnLevel(): void
    {
        $read = self::docx(
            Package::paragraph('The Harbour', '<w:pStyle w:val="Titel"/>')
                . Package::paragraph('Before it')
                . Package::paragraph('Mud', self::H)
                . Package::paragraph('Silt', '<w:pStyle w:val="Eigene2"/>')
                . Package::paragraph('Sand', '<w:outlineLvl w:val="2"/>')
                . Package::paragraph('grains'),
        );
        self::assertSame("Mud\n  Silt\n    Sand", Build::outline($read->plan));
        self::assertSame(
            ['The Harbour', 'Before it', 'grains'],
            [$read->plan->title(), self::note($read->plan, ''), self::note($read->plan, 'Sand')],
        );
        self::assertSame([], $read->repairs);
    }

    public function testWhatAProgramAddsIsLeftOutAndSaid(): void
    {
        $read = self::docx(
            Package::paragraph('Mud', self::H)
                . '<w:p>'
                . Package::field('TOC \o', '<w:r><w:t>Mud 1</w:t></w:r>')
                . '</w:p>'
                . '<w:p><w:r><w:t xml:space="preserve">Page </w:t></w:r>'
                . Package::field('PAGE', '<w:r><w:t>7</w:t></w:r>')
                . '<w:del><w:r><w:delText>gone</w:delText></w:r></w:del><w:ins><w:r><w:t>kept</w:t></w:r></w:ins><w:r><w:rPr><w:vanish/></w:rPr><w:t>hidden</w:t></w:r></w:p>'
                . '<w:p>'
                . Package::field('HYPERLINK "https://example.org/a"', '<w:r><w:t>a link</w:t></w:r>')
                . '<w:hyperlink w:anchor="x"><w:r><w:t> and another</w:t></w:r></w:hyperlink></w:p>',
        );
        self::assertSame("Page kept\na link and another", self::note($read->plan, 'Mud'));
        self::assertStringContainsString('https://example.org/a', self::json($read->plan, 'Mud'));
        self::assertSame(
            [
                'The contents list was left out: the plan makes its own.',
                'Text that was deleted with changes tracked was left out.',
                'Hidden text was left out.',
            ],
            $read->repairs,
        );
    }

    public function testTextBoxesFootnotesAndFormattingArrive(): void
    {
        $box
            = '<w:r><mc:AlternateContent xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006"><mc:Choice '
                . 'Requires="wps"><w:drawing><w:txbxContent>'
            . Package::paragraph('In the box')
            . '</w:txbxContent></w:drawing></mc:Choice><mc:Fallback><w:pict><w:txbxContent>'
            . Package::paragraph('In the box')
            . '</w:txbxContent></w:pict></mc:Fallback></mc:AlternateContent></w:r>';
        $read = Build::intake(
            Format::Docx,
            Package::docx(
                Package::paragraph('Mud', self::H)
                    . '<w:p><w:r><w:rPr><w:b/><w:i w:val="0"/></w:rPr><w:t>bold</w:t></w:r><w:r><w:footnoteReference w:id="2"/></w:r>'
                    . $box
                    . '</w:p>',
                self::H1,
                [
                    'word/footnotes.xml'
                        => '<w:footnotes xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:footnote '
                            . 'w:type="separator" w:id="0"><w:p/></w:footnote><w:footnote w:id="2">'
                        . Package::paragraph('one')
                        . Package::paragraph('two')
                        . '</w:footnote></w:footnotes>',
                ],
                '<Relationship Id="f" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/footnotes" '
                    . 'Target="footnotes.xml"/>',
            ),
        );
        self::assertSame("bold [one\ntwo]\nIn the box", self::note($read->plan, 'Mud'));
        self::assertStringContainsString('"text":"bold","marks":[{"type":"bold"}]', self::json($read->plan, 'Mud'));
    }

    public function testListsAndTables(): void
    {
        $numbering
            = '<w:numbering xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:abstractNum '
                . 'w:abstractNumId="7"><w:lvl w:ilvl="0"><w:start w:val="3"/><w:numFmt w:val="decimal"/></w:lvl><w:lvl '
                . 'w:ilvl="1"><w:numFmt w:val="bullet"/></w:lvl></w:abstractNum><w:num w:numId="4"><w:abstractNumId '
                . 'w:val="7"/></w:num></w:numbering>';
        $item = static fn(string $text, int $level): string => Package::paragraph(
            $text,
            "<w:numPr><w:ilvl w:val=\"{$level}\"/><w:numId w:val=\"4\"/></w:numPr>",
        );
        $cell = static fn(string $text, int $span = 1): string => '<w:tc><w:tcPr><w:gridSpan w:val="'
            . $span
            . '"/></w:tcPr>'
            . Package::paragraph($text)
            . '</w:tc>';
        $body
            = Package::paragraph('Mud', self::H)
            . $item('a', 0)
            . $item('b', 1)
            . $item('c', 1)
            . $item('d', 0)
            . "<w:tbl><w:tr><w:trPr><w:tblHeader/></w:trPr>{$cell('head', 2)}</w:tr><w:tr>{$cell('x')}{$cell('y')}</w:tr></w:tbl>";
        $relation
            = '<Relationship Id="n" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/numbering" '
                . 'Target="numbering.xml"/>';
        $file = Package::docx($body, self::H1, ['word/numbering.xml' => $numbering], $relation);
        $read = Build::intake(Format::Docx, $file);
        [$list, $table] = array_values($read->plan->topic(Build::id($read->plan, 'Mud'))->note->blocks ?? []);
        self::assertSame([NodeType::OrderedList, 3, 2], [$list->type, $list->int('start', 1), \count($list->content)]);
        self::assertSame(NodeType::BulletList, $list->content[0]->content[1]->type);
        self::assertSame([NodeType::TableHeader, 2], [$table->content[0]->content[0]->type, \count($table->content[0]->content)]);
        $points = Build::intake(Format::Docx, $file, new Options(lists: true))->plan;
        self::assertSame(
            "Mud\n  a\n    b\n    c\n  d\n  ",
            Build::outline($points),
            'The table behind the list stands in a topic of its own.',
        );
    }

    public function testPicturesAreKeptWhereTheyWere(): void
    {
        $drawing
            = '<w:r><w:drawing><wp:inline xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing"><wp:extent cx="952500" cy="1"/><wp:docPr id="1" name="x" descr="The wall"/><a:graphic xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:blip r:embed="p%d"/></a:graphic></wp:inline></w:drawing></w:r>';
        $body
            = Package::paragraph('Mud', self::H)
            . '<w:p><w:r><w:t>before</w:t></w:r>'
            . \sprintf($drawing, 1)
            . '<w:r><w:t>after</w:t></w:r></w:p><w:p>'
            . \sprintf($drawing, 2)
            . '</w:p>';
        $relations
            = '<Relationship Id="p1" Type="x/image" Target="media/a.png"/><Relationship Id="p2" Type="x/image" Target="media/b.emf"/>';
        $read = Build::intake(
            Format::Docx,
            Package::docx($body, self::H1, ['word/media/a.png' => Package::png(), 'word/media/b.emf' => 'no picture at all'], $relations),
        );
        $blocks = array_values($read->plan->topic(Build::id($read->plan, 'Mud'))->note->blocks ?? []);
        self::assertSame(
            ['paragraph', 'picture', 'paragraph', 'picture'],
            array_map(static fn($block): string => $block->type->value, $blocks),
        );
        self::assertSame(
            [hash('sha256', Package::png()), 'The wall', 100],
            [$blocks[1]->string('picture'), $blocks[1]->string('alt'), $blocks[1]->int('width', 0)],
        );
        self::assertSame([null, 'The wall'], [$blocks[3]->string('picture'), $blocks[3]->string('alt')]);
        self::assertStringContainsString('left out; its description stays', $read->repairs[0]);
    }

    /** @return iterable<string, array{Options, string}> */
    public static function choices(): iterable
    {
        yield 'as it is' => [new Options(), "1. Tide\n  1.1 Mud\n    Deep\n  1.2 Sand"];
        yield 'without numbers' => [new Options(stripNumbers: true), "Tide\n  Mud\n    Deep\n  Sand"];
        yield 'two levels' => [new Options(depth: 2), "1. Tide\n  1.1 Mud\n  1.2 Sand"];
        yield 'the first heading as title' => [new Options(firstIsTitle: true), "1.1 Mud\n  Deep\n1.2 Sand"];
    }

    #[DataProvider('choices')]
    public function testChoicesRedrawTheTree(Options $options, string $outline): void
    {
        $html = '<title>T</title><h1>1. Tide</h1><p>text</p><h2>1.1 Mud</h2><h3>Deep</h3><p>down</p><h2>1.2 Sand</h2>';
        $read = Build::intake(Format::Html, $html, $options)->plan;
        self::assertSame($outline, Build::outline($read));
        if ($options->depth === 2) {
            self::assertSame("Deep\ndown", self::note($read, '1.1 Mud'));
        }
        if ($options->firstIsTitle) {
            self::assertSame(['1. Tide', 'text'], [$read->title(), self::note($read, '')]);
        }
    }

    public function testTitlesAlone(): void
    {
        foreach (
            [
                [Format::Html, '<h1>A</h1><p>text</p>'],
                [Format::Opml, '<opml version="2.0"><body><outline text="A" _note="text"/></body></opml>'],
                [Format::Csv, "level,title,note\n1,A,text"],
            ] as [$format, $file]
        ) {
            self::assertFalse(
                Build::intake($format, $file, new Options(notes: false))->plan->topic(Build::id(Build::intake($format, $file)->plan, 'A'))
                    ->noted,
                $format->value,
            );
        }
        self::assertSame(
            'A',
            Build::outline(
                Build::intake(
                    Format::Opml,
                    '<opml version="2.0"><body><outline text="A"><outline text="B"/></outline></body></opml>',
                    new Options(depth: 1),
                )->plan,
            ),
        );
    }

    public function testBoldLinesAreOfferedAsHeadings(): void
    {
        $bold
            = Package::paragraph('1 The mud', run: '<w:b/>')
            . Package::paragraph('text')
            . Package::paragraph('1.1 Below', run: '<w:b/>')
            . Package::paragraph('This sentence is bold too.', run: '<w:b/>');
        $read = self::docx($bold);
        self::assertSame("1 The mud\n  1.1 Below", Build::outline($read->plan));
        self::assertSame([2, true], [$read->boldLines, $read->boldAreTaken]);
        self::assertStringContainsString('2 bold lines', $read->repairs[0]);
        self::assertSame('', Build::outline(self::docx($bold, new Options(boldLines: false))->plan));
        self::assertSame(
            'Head',
            Build::outline(self::docx(Package::paragraph('Head', self::H) . $bold)->plan),
            'Beside real headings they stay text unless asked for.',
        );
    }

    public function testOpenDocumentByHand(): void
    {
        $file = Package::odt(
            '<text:tracked-changes><text:changed-region><text:deletion><text:p>gone</text:p></text:deletion></text:changed-region></text:tracked-changes>'
                . '<text:table-of-content><text:index-body><text:p>Mud 1</text:p></text:index-body></text:table-of-content>'
                . "<text:h text:outline-level=\"1\">Mud</text:h><text:p>\n  one<text:s text:c=\"2\"/>two <text:span text:style-name=\"T1\">bold</text:span><text:note text:note-class=\"footnote\"><text:note-citation>1</text:note-citation><text:note-body><text:p>below</text:p></text:note-body></text:note></text:p>"
                . '<text:list text:style-name="L1"><text:list-item><text:p>a</text:p><text:list><text:list-item><text:p>b</text:p></text:list-item></text:list></text:list-item></text:list>'
                . '<text:list><text:list-item><text:h text:outline-level="2">Numbered heading</text:h></text:list-item></text:list>'
                . '<table:table><table:table-row><table:table-cell table:number-columns-repeated="3"><text:p>x</text:p></table:table-cell></table:table-row></table:table>'
                . '<text:p><draw:frame svg:width="2cm" xmlns:svg="urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0"><draw:image xlink:href="Pictures/a.png"/><svg:desc>The wall</svg:desc></draw:frame></text:p>',
            '<style:style style:name="T1" style:family="text"><style:text-properties fo:font-weight="bold"/></style:style><text:list-style style:name="L1"><text:list-level-style-number text:level="1" style:num-format="1"/><text:list-level-style-bullet text:level="2" text:bullet-char="•"/></text:list-style>',
            parts: ['Pictures/a.png' => Package::png()],
        );
        $read = Build::intake(Format::Odt, $file);
        self::assertSame("Mud\n  Numbered heading", Build::outline($read->plan));
        self::assertStringStartsWith('one  two bold [below]', self::note($read->plan, 'Mud'));
        $blocks = array_values($read->plan->topic(Build::id($read->plan, 'Mud'))->note->blocks ?? []);
        self::assertSame([NodeType::OrderedList, NodeType::BulletList], [$blocks[1]->type, $blocks[1]->content[0]->content[1]->type]);
        $below = array_values($read->plan->topic(Build::id($read->plan, 'Numbered heading'))->note->blocks ?? []);
        self::assertSame([3, 76], [\count($below[0]->content[0]->content), $below[1]->int('width', 0)]);
        self::assertSame(
            ['Text that was deleted with changes tracked was left out.', 'The contents list was left out: the plan makes its own.'],
            $read->repairs,
        );
    }

    public function testMarkdownHasCheckListsAndFootnotes(): void
    {
        $plan = Build::intake(Format::Markdown, "# A\n\ntext[^1] end\n\n- [x] done\n- [ ] not\n\n[^1]: The *note*.\n")->plan;
        self::assertSame("text [The note.] end\ndone\nnot", self::note($plan, 'A'));
        self::assertStringContainsString('"taskItem","attrs":{"checked":true}', self::json($plan, 'A'));
    }

    /** @return iterable<string, array{string, string}> what stands under a heading → the words that arrive */
    public static function inWordProcessors(): iterable
    {
        $p = Package::paragraph(...);
        yield 'content controls' => [
            "<w:sdt><w:sdtContent>{$p(
                'whole',
            )}</w:sdtContent></w:sdt><w:p><w:sdt><w:sdtContent><w:r><w:t>within</w:t></w:r></w:sdtContent></w:sdt></w:p>",
            "whole\nwithin",
        ];
        yield 'a contents list in a control' => [
            "<w:sdt><w:sdtPr><w:docPartObj><w:docPartGallery w:val=\"Table of Contents\"/></w:docPartObj></w:sdtPr><w:sdtContent>{$p(
                'A 1',
            )}</w:sdtContent></w:sdt>{$p('after')}",
            'after',
        ];
        yield 'what was moved with changes tracked' => [
            '<w:p><w:moveFrom><w:r><w:t>from</w:t></w:r></w:moveFrom><w:moveTo><w:r><w:t>to</w:t></w:r></w:moveTo></w:p>',
            'to',
        ];
        yield 'breaks and signs' => [
            '<w:p><w:r><w:t>a</w:t><w:br/><w:t>b</w:t><w:br w:type="page"/><w:t>c</w:t><w:noBreakHyphen/><w:t>d</w:t><w:softHyphen/><w:t>e</w:t></w:r></w:p>',
            "a\nb c\u{2011}de",
        ];
        yield 'a text box said twice, for old programs too' => [
            "<w:p><w:r><mc:AlternateContent xmlns:mc=\"http://schemas.openxmlformats.org/markup-compatibility/2006\"><mc:Choice Requires=\"wps\"><w:drawing><w:txbxContent>{$p(
                'boxed',
            )}</w:txbxContent></w:drawing></mc:Choice><mc:Fallback><w:pict><w:txbxContent>{$p(
                'boxed',
            )}</w:txbxContent></w:pict></mc:Fallback></mc:AlternateContent></w:r></w:p>",
            'boxed',
        ];
        yield 'a table in a table' => [
            "<w:tbl><w:tr><w:tc>{$p('outer')}<w:tbl><w:tr><w:tc>{$p('inner')}</w:tc></w:tr></w:tbl><w:p/></w:tc></w:tr></w:tbl>",
            "outer\ninner",
        ];
        yield 'a formula' => [
            '<w:p><m:oMath xmlns:m="http://schemas.openxmlformats.org/officeDocument/2006/math"><m:r><m:t>x+1</m:t></m:r></m:oMath></w:p>',
            'x+1',
        ];
        yield 'fields show their last result' => [
            '<w:p>'
            . Package::field('REF mark \h', '<w:r><w:t>1.2</w:t></w:r>')
            . Package::field('DATE', '<w:r><w:t> today</w:t></w:r>')
            . '</w:p>',
            '1.2 today',
        ];
        yield 'the level that means text' => [$p('words', '<w:outlineLvl w:val="9"/>'), 'words'];
        yield 'how a word is said, above it' => [
            '<w:p><w:r><w:ruby><w:rt><w:r><w:t>kan</w:t></w:r></w:rt><w:rubyBase><w:r><w:t>漢</w:t></w:r></w:rubyBase></w:ruby></w:r></w:p>',
            '漢',
        ];
    }

    #[DataProvider('inWordProcessors')]
    public function testWhatWordProcessorsWrite(string $body, string $words): void
    {
        $plan = self::docx(Package::paragraph('Head', self::H) . $body)->plan;
        self::assertSame('Head', Build::outline($plan));
        self::assertSame($words, self::note($plan, 'Head'));
    }

    public function testALevelThatNobodyMeantIsALevelAllTheSame(): void
    {
        $file = Package::odt(
            '<text:h text:outline-level="99999999999999999999">Deep</text:h><text:h text:outline-level="-1">High</text:h><text:h text:outline-level="2">Below</text:h>',
        );
        self::assertSame("Deep\nHigh\n  Below", Build::outline(Build::intake(Format::Odt, $file)->plan));
    }

    public function testTablesOfTopics(): void
    {
        $csv = "Ebene;Titel;Notiz\r\n1;Tide;\"one\n\ntwo\"\r\n2;\"Mud; and silt\";\r\n1;Wall;\r\n";
        $plan = Build::intake(Format::Csv, $csv)->plan;
        self::assertSame("Tide\n  Mud; and silt\nWall", Build::outline($plan));
        self::assertSame("one\ntwo", self::note($plan, 'Tide'));
        self::assertSame("A\n  B", Build::outline(Build::intake(Format::Csv, "1\tA\n1.1\tB\n")->plan));
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage('no column of levels');
        Build::intake(Format::Csv, "name,price\nA,3\n");
    }

    /** @return iterable<string, array{Format, \Closure(): string, string}> */
    public static function hostile(): iterable
    {
        $xml = static fn(string $inner): string => '<?xml version="1.0"?>' . $inner;
        yield 'a document type in a part' => [
            Format::Docx,
            static fn(): string => Package::docx('', '', [
                'word/document.xml' => $xml(
                    '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><w:document xmlns:w="x">&e;</w:document>',
                ),
            ]),
            'DTD',
        ];
        yield 'not a package' => [Format::Odt, static fn(): string => 'plain text', 'not a package'];
        yield 'an old document' => [
            Format::Docx,
            static fn(): string => "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1" . str_repeat('x', 600),
            'password',
        ];
        yield 'cut off' => [Format::Docx, static fn(): string => substr(Package::docx(Package::paragraph('A')), 0, -300), 'damaged'];
        yield 'XML cut off' => [
            Format::Docx,
            static fn(): string => Package::docx('', '', [
                'word/document.xml' => $xml(
                    '<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body><w:p>',
                ),
            ]),
            'not well-formed',
        ];
        yield 'no text in it' => [Format::Docx, static fn(): string => Package::zip(['a.txt' => 'x']), 'no part'];
        yield 'another kind' => [
            Format::Odt,
            static fn(): string => Package::odt('', parts: ['mimetype' => 'application/vnd.oasis.opendocument.spreadsheet']),
            'another kind',
        ];
        yield 'encrypted' => [
            Format::Odt,
            static fn(): string => Package::odt('', parts: ['META-INF/manifest.xml' => '<manifest:encryption-data/>']),
            'password',
        ];
        yield 'packed too well' => [
            Format::Docx,
            static fn(): string => Package::docx('', '', ['word/document.xml' => $xml('<a>' . str_repeat(' ', 30 << 20) . '</a>')]),
            'size limit',
        ];
        yield 'too many entries' => [
            Format::Docx,
            static fn(): string => Package::zip(array_fill_keys(array_map(static fn(int $i): string => "e{$i}", range(1, 5001)), '')),
            '5,000 entries',
        ];
        yield 'a million cells' => [
            Format::Odt,
            static fn(): string => Package::odt(
                '<table:table><table:table-row><table:table-cell table:number-columns-repeated="1000000"/></table:table-row></table:table>',
            ),
            'size limit',
        ];
        yield 'a million cells in a page' => [
            Format::Html,
            static fn(): string => '<table>' . str_repeat('<tr>' . str_repeat('<td>', 500) . '</tr>', 700) . '</table>',
            'size limit',
        ];
        yield 'a paragraph of 3 MB' => [Format::Html, static fn(): string => '<h1>A</h1><p>' . str_repeat('word ', 600_000), 'size limit'];
    }

    /** @param \Closure(): string $file */
    #[DataProvider('hostile')]
    public function testWhatIsHostileIsNamedInBoundedMemory(Format $format, \Closure $file, string $says): void
    {
        $bytes = $file();
        $before = memory_get_usage();
        memory_reset_peak_usage();
        try {
            Build::intake($format, $bytes);
            self::fail('It was read.');
        } catch (Unreadable $why) {
            self::assertStringContainsString($says, $why->getMessage());
            self::assertStringNotContainsString('root:', $why->getMessage());
        }
        self::assertLessThan(256 << 20, memory_get_peak_usage() - $before);
    }

    public function testWhatIsNestedTooDeepStaysInTheNoteAbove(): void
    {
        $deep = implode('', array_map(static fn(int $i): string => '<div role="heading" aria-level="' . $i . '">x</div>', range(1, 60)));
        $read = Build::intake(Format::Html, $deep . '<ul><li id="_e0000000000000000000000000As1"><span class="draft-title">z</span></ul>');
        self::assertSame(60, $read->plan->height(Plan::ROOT) - 1);
        self::assertSame(['A heading below the chosen depth is in the note of the section above it.'], $read->repairs);
        $lists = Build::intake(Format::Html, $deep . '<ul><li>a<ul><li>b</ul></ul>', new Options(lists: true));
        self::assertSame(60, $lists->plan->height(Plan::ROOT) - 1);
    }

    public function testMacrosAreDroppedAndALongTextGoesOn(): void
    {
        $read = Build::intake(
            Format::Docx,
            Package::docx(Package::paragraph('A', self::H) . Package::paragraph('text'), self::H1, [
                'word/vbaProject.bin' => 'Sub AutoOpen()',
            ]),
        );
        self::assertSame(['The document holds macros. They were left out.'], $read->repairs);
        $long = Build::intake(Format::Html, '<h1>A</h1>' . str_repeat('<p>' . str_repeat('word ', 20_000) . '</p>', 25));
        self::assertSame("A\nA (2)", Build::outline($long->plan));
        self::assertStringContainsString('goes on in a section of its own', $long->repairs[0]);
    }

    /** @return iterable<string, array{string, Options, string, string}> pasted text → the plan's title, its tree */
    public static function pasted(): iterable
    {
        $maybe = new Options('Untitled', firstIsTitle: null);
        yield 'one first line that holds the rest' => ["Tide\n  Mud\n  Wall", $maybe, 'Tide', "Mud\nWall"];
        yield 'unless the person says no' => [
            "Tide\n  Mud\n  Wall",
            new Options('Untitled', firstIsTitle: false),
            'Untitled',
            "Tide\n  Mud\n  Wall",
        ];
        yield 'two first lines' => ["Tide\n  Mud\nWall", $maybe, 'Untitled', "Tide\n  Mud\nWall"];
        yield 'one line alone' => ['Tide', $maybe, 'Untitled', 'Tide'];
        yield 'one sign among lines without' => ["Mud\n* not a list\nWall", $maybe, 'Untitled', "Mud\n* not a list\nWall"];
        yield 'a list' => ["- Mud\n- Wall", $maybe, 'Untitled', "Mud\nWall"];
    }

    #[DataProvider('pasted')]
    public function testAPastedOutline(string $text, Options $options, string $title, string $outline): void
    {
        $plan = Build::intake(Format::Text, $text, $options)->plan;
        self::assertSame([$title, $outline], [$plan->title(), Build::outline($plan)]);
        self::assertNotContains(
            null,
            array_map(static fn(string $id): ?string => $plan->topic($id)->dye?->value, $plan->parts(Plan::ROOT)),
            'Every main section has its dye.',
        );
    }

    public function testMarkdownIsRecognised(): void
    {
        foreach (
            [
                "# Tide\n\nThe *mud* is deep.\n\n## Wall\n\nIt holds.",
                "Intro\n\n## Head\n\n- **bold** point\n\n## Head\n\ntext",
                "Tide\n====\n\ntext\n\nWall\n----\n\ntext",
            ] as $markdown
        ) {
            self::assertTrue(Recognition::isMarkdown($markdown), $markdown);
        }
        $these = [
            "Mud\n  Silt\n  Sand",
            "1. Mud\n2. Sand",
            "Mud\n# 3 is the third",
            "- Mud\n- Sand\n  - Silt",
            "Tide\n| its note\n* a sign",
        ];
        foreach ($these as $text) {
            self::assertFalse(Recognition::isMarkdown($text), $text);
        }
    }

    public function testADocumentWithoutAListOfStyles(): void
    {
        $bare = static fn(string $body): Result => Build::intake(
            Format::Docx,
            Package::docx($body, '', [
                'word/styles.xml' => '<w:styles xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"/>',
                'word/_rels/document.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"/>',
            ]),
        );
        $read = $bare(
            Package::paragraph('The Harbour', '<w:pStyle w:val="Title"/>')
                . Package::paragraph('Mud', '<w:pStyle w:val="Heading1"/>')
                . Package::paragraph('Silt', '<w:pStyle w:val="Heading2"/>')
                . Package::paragraph('grains'),
        );
        self::assertSame(["Mud\n  Silt", 'The Harbour', []], [Build::outline($read->plan), $read->plan->title(), $read->repairs]);
        self::assertStringContainsString(
            'Nothing in it is marked as a heading',
            $bare(Package::paragraph('A long line of text that nobody marked.'))->repairs[0],
        );
    }
}
