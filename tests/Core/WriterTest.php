<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Source;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\OutlineChoices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Scheme;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Writer\Format;
use Embrel\Writer\Html\HtmlWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;

final class WriterTest extends TestCase
{
    use Folder;

    /** A plan with everything that a topic and a note can carry. */
    private static function rich(): Plan
    {
        $plan = Build::plan(
            "Abstract\nTide & <Wall>\n  Mud\n    Deep\n      Deeper\n  a point\n    under it\n  Pell says\n  not printed\n    nor this\nTables",
        )
            ->withProperties(new Properties(subtitle: 'Sub', author: 'Ada Marsh', language: 'en-GB', target: Target::of(900), depth: 3))
            ->withForeign(['dateCreated' => 'Mon, 06 Mar 2023 10:00:00 GMT']);
        $blocks = [
            '{"type":"paragraph","attrs":{"id":"ID1"},"content":[{"type":"text","text":"Plain, '
                . '"},{"type":"text","text":"bold","marks":[{"type":"bold"}]},{"type":"text","text":" & '
                . '<b>","marks":[{"type":"italic"},{"type":"underline"}]},{"type":"hardBreak"},{"type":"text","text":"a '
                . 'link","marks":[{"type":"link","attrs":{"href":"https://example.org/?a=1&b=\'2\'"}}]},{"type":"text","text":"struck","marks":[{"type":"strike"},{"type":"highlight"}]}]}',
            '{"type":"heading","attrs":{"id":"ID2","level":2},"content":[{"type":"text","text":"A note heading"}]}',
            '{"type":"bulletList","attrs":{"id":"ID3"},"content":[{"type":"listItem","content":[{"type":"paragraph","content":[{"type":"text","text":"one"}]},{"type":"orderedList","attrs":{"start":4},"content":[{"type":"listItem","content":[{"type":"paragraph","content":[{"type":"text","text":"four"}]}]}]}]}]}',
            '{"type":"blockquote","attrs":{"id":"ID4"},"content":[{"type":"paragraph","content":[{"type":"text","text":"quoted"}]}]}',
            '{"type":"table","attrs":{"id":"ID5"},"content":[{"type":"tableRow","content":[{"type":"tableHeader","content":[{"type":"paragraph","content":[{"type":"text","text":"cell"}]}]}]}]}',
        ];
        $note = Note::of(
            array_map(
                static fn(string $json): \Embrel\RichText\Node => Schema::block(
                    json_decode(
                        preg_replace_callback('/ID(\d)/', static fn(array $m): string => Build::ulid((int) $m[1]), $json) ?? '',
                        true,
                        512,
                        JSON_THROW_ON_ERROR,
                    ),
                ),
                $blocks,
            ),
        );
        $changes = [
            'Abstract' => ['numbered' => Numbered::None],
            'Tables' => ['numbered' => Numbered::Appendix],
            'a point' => ['kind' => Kind::Point],
            'Pell says' => ['kind' => Kind::Quote],
            'not printed' => ['kind' => Kind::Aside, 'flag' => Flag::MayGo],
            'Mud' => [
                'target' => Target::of(120),
                'dye' => Dye::of('#ab12cd'),
                'foreign' => ['url' => 'http://example.org', '{urn:x}x:y' => 'z'],
            ],
        ];
        foreach ($changes as $title => $change) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with($change));
        }
        $plan = $plan
            ->with($plan->topic(Build::id($plan, 'Mud'))->withNote($note))
            ->with($plan->topic(Build::id($plan, 'not printed'))->withNote(Build::note('secret')));

        return (new Edit($plan))->append(new Topic(Build::ulid(9), 'A loose idea'), Plan::TRAY)->done();
    }

    private function write(Format $format, Plan $plan, Choices $choices = new Choices()): string
    {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        $format->writer()->write($plan, $choices, $out, $this->folder);
        rewind($out);

        return (string) stream_get_contents($out);
    }

    public function testOurOwnOpmlComesBackWithoutLoss(): void
    {
        $plan = self::rich()->withSources([Build::ulid(8) => new Source(Build::ulid(8), 'Pell, “Tides & Walls”')]);
        $file = $this->write(Format::Opml, $plan, new Choices(outline: new OutlineChoices(loose: true)));
        $back = Build::intake(Reading::Opml, $file, ids: new CountedIds('04'));
        self::assertSame([], $back->repairs);
        self::assertSame(self::forms($plan), self::forms($back->plan));
        self::assertEquals($plan->properties, $back->plan->properties);
        self::assertSame($plan->foreign, $back->plan->foreign);
        self::assertEquals($plan->sources, $back->plan->sources);
        self::assertSame($plan->title(), $back->plan->title());
        self::assertSame($file, $this->write(Format::Opml, $back->plan, new Choices(outline: new OutlineChoices(loose: true))));
    }

    /** @return list<array<string, mixed>> each topic without its id */
    private static function forms(Plan $plan): array
    {
        $forms = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $level) {
                $forms[] = ['id' => $level] + TopicForm::toArray($plan->topic($id));
            }
        }

        return $forms;
    }

    public function testOpmlForOtherProgramsIsPlain(): void
    {
        $xml = new \SimpleXMLElement($this->write(Format::Opml, self::rich()));
        self::assertSame('2.0', (string) $xml['version']);
        self::assertStringStartsWith('Plain, bold & <b>', (string) $xml->body->outline[1]->outline[0]['_note']);
        self::assertStringNotContainsString('A loose idea', $this->write(Format::Opml, self::rich()));
        self::assertStringNotContainsString('_note', $this->write(Format::Opml, self::rich(), new Choices(
            outline: new OutlineChoices(otherNotes: false),
        )));
    }

    public function testNumberedText(): void
    {
        self::assertSame(
            "Test plan\n\nAbstract\n1 Tide & <Wall>\n  1.1 Mud\n    1.1.1 Deep\n      Deeper\n  - a point\n    under it\n  - Pell says\nA Tables\n",
            $this->write(Format::Text, self::rich(), new Choices(notes: false)),
        );
        self::assertStringContainsString(
            "  1.1 Mud\n    | Plain, bold & <b>\n    | a linkstruck\n",
            $this->write(Format::Text, self::rich()),
        );
    }

    public function testNumberedTextKeepsColumnsAndTheSignsOfLists(): void
    {
        $cell = static fn(NodeType $type, string $text): Node => new Node($type, [], [Node::plain($text)]);
        $row = static fn(NodeType $type, string ...$cells): Node => new Node(
            NodeType::TableRow,
            [],
            array_map(static fn(string $text): Node => $cell($type, $text), array_values($cells)),
        );
        $list = static fn(NodeType $type, Node ...$items): Node => new Node(
            $type,
            ['id' => Build::ulid(mt_rand(100, 999))] + ($type === NodeType::OrderedList ? ['start' => 3] : []),
            array_values($items),
        );
        $note = Note::of([
            new Node(
                NodeType::Table,
                ['id' => Build::ulid(1)],
                [$row(NodeType::TableHeader, 'Line', 'Rise'), $row(NodeType::TableCell, 'Winter storms', '4')],
            ),
            $list(
                NodeType::BulletList,
                new Node(
                    NodeType::ListItem,
                    [],
                    [Node::plain('one'), new Node(NodeType::OrderedList, [], [new Node(NodeType::ListItem, [], [Node::plain('in it')])])],
                ),
                new Node(NodeType::ListItem, [], [Node::plain('two')]),
            ),
            $list(NodeType::OrderedList, new Node(NodeType::ListItem, [], [Node::plain('third')])),
            $list(
                NodeType::TaskList,
                new Node(NodeType::TaskItem, ['checked' => true], [Node::plain('done')]),
                new Node(NodeType::TaskItem, [], [Node::plain('not yet')]),
            ),
        ]);
        $plan = Build::plan('A')->withProperties(new Properties(scheme: Scheme::None));
        $text = $this->write(Format::Text, $plan->with($plan->topic(Build::id($plan, 'A'))->withNote($note)));
        self::assertStringContainsString(
            "  | Line           Rise\n  | -------------  ----\n  | Winter storms  4\n  | - one\n  |   1. in it\n  | - two\n  | 3. third\n  | [x] done\n  | [ ] not yet\n",
            $text,
        );
    }

    public function testNumberedTextComesBackWithItsNotes(): void
    {
        $plan = Build::plan("A\n  B")->withProperties(new Properties(scheme: Scheme::None));
        $plan = $plan->with($plan->topic(Build::id($plan, 'B'))->withNote(Build::note('first', 'second')));
        $lines = explode("\n", $this->write(Format::Text, $plan), 3)[2];
        $back = Build::read($lines, new Options())->plan;
        self::assertSame("A\n  B", Build::outline($back));
        self::assertSame("first\nsecond", $back->topic(Build::id($back, 'B'))->note?->plainText());
    }

    public function testMarkdownComesBackAsWhatItWas(): void
    {
        $file = $this->write(Format::Markdown, self::rich());
        $back = Build::intake(Reading::Markdown, $file, ids: new CountedIds())->plan;
        self::assertSame(
            "Test plan\n  Abstract\n  1 Tide & <Wall>\n    1.1 Mud\n      1.1.1 Deep\n        Deeper\n  A Tables",
            Build::outline($back),
        );
        $note = (string) $back->topic(Build::id($back, '1.1 Mud'))->note?->plainText();
        self::assertStringContainsString("Plain, bold & <b>\na linkstruck", $note);
        self::assertStringContainsString("A note heading\none\nfour\nquoted\ncell", $note);
        self::assertStringNotContainsString('secret', $file);
    }

    public function testHtmlEscapesEverything(): void
    {
        $html = (new HtmlWriter())->body(Draft::of(self::rich(), new Choices(draft: new DraftChoices(headingDepth: 2))));
        self::assertStringContainsString('Tide &amp; &lt;Wall&gt;', $html);
        self::assertStringContainsString(
            '<strong>bold</strong><u><em> &amp; &lt;b&gt;</em></u><br><a href="https://example.org/?a=1&amp;b=&apos;2&apos;"',
            $html,
        );
        self::assertStringNotContainsString('secret', $html);
        $dom = new \DOMDocument();
        self::assertTrue(
            $dom->loadXML('<x>' . str_replace(['<br>', '<hr>'], ['<br/>', '<hr/>'], $html) . '</x>'),
            'Every element is closed in order.',
        );
    }

    public function testDeepSectionsBecomeListItems(): void
    {
        $roles = [];
        foreach (Draft::of(self::rich(), new Choices(notes: false, draft: new DraftChoices(headingDepth: 2)))->elements as $element) {
            $roles[$element->title] = $element->role->value . $element->level;
        }
        self::assertSame(
            [
                'Abstract' => 'heading1',
                'Tide & <Wall>' => 'heading1',
                'Mud' => 'heading2',
                'Deep' => 'item1',
                'Deeper' => 'item2',
                'a point' => 'item1',
                'under it' => 'item2',
                'Pell says' => 'quote0',
                'Tables' => 'heading1',
            ],
            $roles,
        );
    }

    /** @return array<string, \DOMXPath> the parts of a document, each of them well-formed */
    private function parts(string $docx): array
    {
        file_put_contents("{$this->folder}/test.docx", $docx);
        $zip = new \ZipArchive();
        self::assertTrue($zip->open("{$this->folder}/test.docx", \ZipArchive::CHECKCONS));
        $parts = [];
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            // A font is no XML; what is in it TravellingFontsTest looks at.
            if (str_ends_with((string) $zip->getNameIndex($i), '.odttf')) {
                continue;
            }
            $dom = new \DOMDocument();
            self::assertTrue($dom->loadXML((string) $zip->getFromIndex($i)), (string) $zip->getNameIndex($i));
            $path = new \DOMXPath($dom);
            $path->registerNamespace('w', 'http://schemas.openxmlformats.org/wordprocessingml/2006/main');
            $path->registerNamespace('r', 'http://schemas.openxmlformats.org/officeDocument/2006/relationships');
            $parts[(string) $zip->getNameIndex($i)] = $path;
        }

        return $parts;
    }

    /** @return list<string> */
    private static function values(\DOMXPath $path, string $query): array
    {
        $values = [];
        foreach ($path->query($query) ?: [] as $node) {
            $values[] = (string) $node->nodeValue;
        }

        return $values;
    }

    public function testDocxPartsHangTogether(): void
    {
        $parts = $this->parts($this->write(Format::Docx, self::rich()));
        $body = $parts['word/document.xml'];
        foreach (array_unique(self::values($body, '//w:pStyle/@w:val | //w:rStyle/@w:val | //w:tblStyle/@w:val')) as $style) {
            self::assertCount(1, self::values($parts['word/styles.xml'], "//w:style[@w:styleId='{$style}']/@w:styleId"), "Style {$style}");
        }
        foreach (array_unique(self::values($body, '//w:numId/@w:val')) as $list) {
            self::assertTrue(
                $list === '0' || self::values($parts['word/numbering.xml'], "//w:num[@w:numId='{$list}']/@w:numId") !== [],
                "List {$list}",
            );
        }
        $targets = array_map(
            static fn(\DOMNode $node): string => $node instanceof \DOMElement ? $node->getAttribute('Id') : '',
            iterator_to_array($parts['word/_rels/document.xml.rels']->query('/*/*') ?: []),
        );
        self::assertSame([], array_diff(self::values($body, '//@r:id'), $targets));
        $bookmarks = self::values($body, '//w:bookmarkStart/@w:name');
        self::assertSame([], array_diff(self::values($body, '//w:hyperlink/@w:anchor'), $bookmarks));
        self::assertCount(9, preg_grep('/\A_e/', $bookmarks) ?: [], 'Every topic that prints has a bookmark.');
        self::assertSame(
            \count(self::values($body, "//w:fldChar[@w:fldCharType='begin']")),
            \count(self::values($body, "//w:fldChar[@w:fldCharType='end']")),
        );
        self::assertStringNotContainsString('updateFields', $parts['word/settings.xml']->document->saveXML() ?: '');
        self::assertStringContainsString('TOC \o', implode(' ', self::values($body, '//w:instrText')));
        self::assertSame(['Ada Marsh'], self::values($parts['docProps/core.xml'], "//*[local-name()='creator']"));
    }

    public function testDocxNumbersAreARealListBoundToTheHeadings(): void
    {
        $parts = $this->parts($this->write(Format::Docx, self::rich()));
        $numbering = $parts['word/numbering.xml'];
        self::assertSame(
            ['%1', '%1.%2', '%1.%2.%3', ''],
            \array_slice(self::values($numbering, '//w:abstractNum[@w:abstractNumId=0]/w:lvl/w:lvlText/@w:val'), 0, 4),
        );
        self::assertSame(
            ['Heading1', 'Heading2', 'Heading3'],
            \array_slice(self::values($numbering, '//w:abstractNum[@w:abstractNumId=0]/w:lvl/w:pStyle/@w:val'), 0, 3),
        );
        self::assertSame(
            ['0', '1', '2'],
            \array_slice(
                self::values($parts['word/styles.xml'], "//w:style[starts-with(@w:styleId, 'Heading')]/w:pPr/w:outlineLvl/@w:val"),
                0,
                3,
            ),
        );
        // No number is typed before a heading that the list counts; the abstract is taken out of the list.
        $headings = self::values($parts['word/document.xml'], "//w:p[w:pPr/w:pStyle[starts-with(@w:val, 'Heading')]]");
        self::assertSame(['Abstract', 'Tide & <Wall>', 'Mud', 'Deep', 'Deeper', 'Tables'], $headings);
    }

    public function testAWordProcessorReadsTheSameDocument(): void
    {
        foreach (
            [
                [Scheme::Decimal, ['1 Tide & <Wall>', '1.1 Mud', '1.1.1 Deep']],
                [Scheme::Chapter, ["Chapter 1\u{2002} Tide & <Wall>", '1.1 Mud', '1.1.1 Deep']],
                [Scheme::Essay, ['I. Tide & <Wall>', 'A. Mud', '1. Deep']],
            ] as [$scheme, $expected]
        ) {
            $text = $this->asRead(Format::Docx, self::rich(), new Choices(scheme: $scheme, draft: new DraftChoices(contents: false)));
            $lines = array_map(trim(...), explode("\n", $text));
            foreach ([...$expected, 'A note heading', 'quoted', 'Pell says'] as $line) {
                self::assertContains($line, $lines, "{$scheme->value}:\n{$text}");
            }
            self::assertStringContainsString('4. four', $text);
            self::assertStringNotContainsString('secret', $text);
        }
    }

    /** The plain text that a word processor makes of a file of ours. */
    private function asRead(Format $format, Plan $plan, Choices $choices): string
    {
        return str_replace("\u{FEFF}", '', (string) file_get_contents($this->made('txt:Text', $this->written($plan, $format, $choices))));
    }

    /**
     * @return iterable<string, array{list<string>, bool, list<string>, list<Format>}> forms, whether the second level runs on, headings as read, in what
     *  (the reader of this test knows neither w:lvlRestart nor w:isLgl of docx)
     */
    public static function formsOfOnesOwn(): iterable
    {
        yield 'parts and chapters' => [
            ['Part {One}', 'Chapter {1}', '{1}.{1}', '{1}.{1}.{1}'],
            true,
            ['Part One A', 'Chapter 1 A1', '1.1 A1x', '1.2 A1y', '1.2.1 deep', 'Chapter 2 A2', 'Part Two B', 'Chapter 3 B1', '3.1 B1x'],
            [Format::Odt],
        ];
        yield 'a sign' => [
            ['§ {1}', '§ {1}.{1}', '({a})'],
            false,
            ['§ 1 A', '§ 1.1 A1', '(a) A1x', '(b) A1y', 'deep', '§ 1.2 A2', '§ 2 B', '§ 2.1 B1', '(a) B1x'],
            [Format::Docx, Format::Odt],
        ];
        yield 'words, and counts of two levels' => [
            ['{One}:', '{A}.', '{A}.{1}'],
            false,
            ['One: A', 'A. A1', 'A.1 A1x', 'A.2 A1y', 'deep', 'B. A2', 'Two: B', 'A. B1', 'A.1 B1x'],
            [Format::Docx, Format::Odt],
        ];
        yield 'digits below roman' => [
            ['{I}.', '{1}.{1}', '{A}/{i}'],
            false,
            ['I. A', '1.1 A1', 'A/i A1x', 'A/ii A1y', 'deep', '1.2 A2', 'II. B', '2.1 B1', 'A/i B1x'],
            [Format::Odt],
        ];
    }

    /**
     * @param list<string> $forms
     * @param list<string> $expected
     * @param list<Format> $in
     */
    #[DataProvider('formsOfOnesOwn')]
    public function testNumbersOfOnesOwnAreReadAsTheyAreWritten(array $forms, bool $runOn, array $expected, array $in): void
    {
        $plan = Build::plan("A\n  A1\n    A1x\n    A1y\n      deep\n  A2\nB\n  B1\n    B1x");
        $set = ['numbering' => 'own', 'number_forms' => $forms, 'numbering_depth' => 4, 'run_on' => $runOn];
        $plan = $plan->withProperties($plan->properties->with($set));
        foreach ($in as $format) {
            $text = $this->asRead($format, $plan, new Choices(draft: new DraftChoices(contents: false)));
            $lines = array_values(array_filter(array_map(trim(...), explode("\n", $text))));
            self::assertSame($expected, \array_slice($lines, -\count($expected)), "{$format->value}:\n{$text}");
        }
    }

    public function testNumbersOfOnesOwnAreRealLists(): void
    {
        $plan = Build::plan("A\n  A1\n    A1x");
        $set = ['numbering' => 'own', 'number_forms' => ['Part {One}', '{1}.{1}', '{1}.{1}.{a}']];
        $plan = $plan->withProperties($plan->properties->with($set));
        $parts = $this->parts($this->write(Format::Docx, $plan));
        $levels = '//w:abstractNum[@w:abstractNumId=0]/w:lvl';
        self::assertSame(
            ['Part %1', '%1.%2', '%1.%2.%3'],
            \array_slice(self::values($parts['word/numbering.xml'], "{$levels}/w:lvlText/@w:val"), 0, 3),
        );
        self::assertSame('cardinalText', self::values($parts['word/numbering.xml'], "{$levels}/w:numFmt/@w:val")[0]);
        self::assertCount(1, self::values($parts['word/numbering.xml'], "{$levels}/w:isLgl"));
        // The first two are counted by their lists; the third, which no list could write so, is typed.
        $headings = self::values($parts['word/document.xml'], "//w:p[w:pPr/w:pStyle[starts-with(@w:val, 'Heading')]]");
        self::assertSame(['A', 'A1', '1.1.a A1x'], $headings);
    }

    public function testABranchKeepsItsNumbers(): void
    {
        $plan = self::rich();
        $from = Build::id($plan, 'Tide & <Wall>');
        self::assertStringContainsString("\n1.1 Mud\n  1.1.1 Deep", $this->write(Format::Text, $plan, new Choices($from, notes: false)));
        $parts = $this->parts($this->write(Format::Docx, $plan, new Choices($from)));
        self::assertSame(
            ['Mud', 'Deep', 'Deeper'],
            self::values($parts['word/document.xml'], "//w:p[w:pPr/w:pStyle[starts-with(@w:val, 'Heading')]]"),
        );
        self::assertSame(
            ['Heading1'],
            self::values($parts['word/numbering.xml'], '//w:abstractNum[@w:abstractNumId=0]/w:lvl[@w:ilvl=1]/w:pStyle/@w:val'),
        );
    }

    public function testEveryFormatTakesAPlanOfHostileTitles(): void
    {
        $in = Build::sample('hostile/blns-first-100.opml');
        $plan = $in === null ? self::rich() : Build::intake(Reading::Opml, $in)->plan;
        foreach (Format::cases() as $format) {
            self::assertNotSame('', $this->write($format, $plan));
        }
        $this->parts($this->write(Format::Docx, $plan));
    }

    public function testWhatPlainTextCannotHoldIsSaid(): void
    {
        $plan = Build::plan("Tide\nWall");
        $marked = [
            Node::paragraph([Node::text('high', [new Mark(MarkType::Bold)])], Build::ulid(1)),
            (new Node(NodeType::Picture, ['picture' => str_repeat('a', 64)]))->withId(Build::ulid(2)),
        ];
        $plan = $plan
            ->with($plan->topic(Build::id($plan, 'Tide'))->withNote(Note::of($marked)))
            ->with($plan->topic(Build::id($plan, 'Wall'))->withNote(Build::note('plain')));
        $said = [
            'Pictures in notes (1) are handed over by their captions only.',
            'Notes with formatting, lists or tables (1) are plain lines of text.',
        ];
        foreach ([Format::Csv, Format::Text] as $format) {
            $out = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory.');
            self::assertEqualsCanonicalizing($said, $format->writer()->write($plan, new Choices(), $out, $this->folder));
            self::assertSame([], $format->writer()->write($plan, new Choices(notes: false), $out, $this->folder));
        }
    }

    public function testLatexIsSourceThatAnyEngineTakes(): void
    {
        $plan = Build::plan("Tide & 100% _mud_\n  #2 {deep} \\ ~^\$");
        $note = [
            Node::paragraph([Node::text('é 盐', [new Mark(MarkType::Highlight)]), new Node(NodeType::Footnote, [], [Node::text('a_b')])], Build::ulid(1)),
        ];
        $plan = $plan->with($plan->topic(Build::id($plan, 'Tide & 100% _mud_'))->withNote(Note::of($note)));
        $source = $this->write(Format::Latex, $plan, new Choices(draft: new DraftChoices(marks: false)));
        self::assertStringContainsString('\section{1 Tide \& 100\% \_mud\_}', $source);
        self::assertStringContainsString('\subsection{1.1 \#2 \{deep\} \textbackslash{} \textasciitilde{}\textasciicircum{}\$}', $source);
        self::assertStringContainsString('\marked{é 盐}\footnote{a\_b}', $source);
        self::assertStringContainsString('\UTFviii@undefined@err', $source, 'A sign that the older engine lacks does not stop it.');
        self::assertSame(substr_count($source, '\begin{'), substr_count($source, '\end{'));
    }
}
