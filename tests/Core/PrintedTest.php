<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Document\Pictures;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Id\CountedIds;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\RemoveTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Writer\Format;
use Embrel\Writer\Html\HtmlWriter;
use Embrel\Writer\Losses;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Citations, references to topics, footnotes and pictures of notes, as every hand-over prints them. */
final class PrintedTest extends TestCase
{
    private const PICTURE = 'a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1a1';

    public function testCitationsAndTheListAreInTheStyleOfThePlan(): void
    {
        $html = self::html(self::plan());

        self::assertStringContainsString('The wall was dear (Pell, 1994, p. 61). It stood', $html);
        self::assertStringContainsString(
            '<h2 id="_ereferences" class="draft-heading draft-heading-1">References</h2><p class="draft-reference">Pell, A. (1994). '
                . '<em>Tides and walls</em>. Creekside Press.</p>',
            $html,
        );
        self::assertStringContainsString('(Pell 61)', self::html(self::plan('mla')));
        self::assertStringContainsString('Works Cited', self::html(self::plan('mla')));
    }

    public function testInFootnotesTheNumberStandsBehindTheStop(): void
    {
        $html = self::html(self::plan('chicago-notes'));

        self::assertStringContainsString('The wall was dear.<sup><a href="#note-1" id="noted-1">1</a></sup> It stood', $html);
        self::assertStringContainsString(
            '<li id="note-1">Anna Pell, <em>Tides and Walls</em> (Harrow: Creekside Press, 1994), 61. <a',
            $html,
        );
        self::assertStringContainsString(
            '<li id="note-2">A note of my own, see Pell, 62. <a',
            str_replace('62..', '62.', $html),
            'Within a footnote the citation stands in the line.',
        );
    }

    public function testAReferenceToATopicPrintsTheNumberOfThisMoment(): void
    {
        $plan = self::plan();
        $mud = Build::id($plan, 'Mud');
        self::assertStringContainsString("See <a href=\"#_e{$mud}\">2.1 Mud</a>.", self::html($plan));

        $moved = (new MoveTopics([Build::id($plan, 'Tide')], new Place(Plan::ROOT, null)))->apply($plan);
        $moved = (new MoveTopics([$mud], new Place(Plan::ROOT, null)))->apply($moved);
        self::assertStringContainsString('1 Mud</a>.', self::html($moved));

        $gone = (new RemoveTopics([$mud]))->apply($plan);
        $losses = new Losses();
        self::assertStringContainsString('See [section missing].', (new HtmlWriter($losses))->body(Draft::of($gone, new Choices())));
        self::assertContains('References (1) name a topic that has been removed.', $losses->sentences());
    }

    public function testABranchAloneKeepsTheNumbersOfThePlanAndListsItsOwnSources(): void
    {
        $plan = self::plan();
        $html = self::html($plan, new Choices(from: Build::id($plan, 'Wall')));

        self::assertStringContainsString('See 2.1 Mud.', $html, 'Outside of the branch there is nothing to lead to.');
        self::assertStringContainsString('References', $html);
        self::assertStringNotContainsString('References', self::html($plan, new Choices(from: Build::id($plan, 'Tide'))));
    }

    public function testTheListStandsInTheSectionThatIsNamedForIt(): void
    {
        $html = self::html(self::plan(more: "\nBibliography\n  Online\nThanks"));

        self::assertSame(1, substr_count($html, 'draft-reference'));
        self::assertMatchesRegularExpression('~Bibliography</h2><p class="draft-reference">.*Online</h3>.*Thanks~s', $html);
    }

    public function testSourcesThatAreNeverCitedAreListedWhenAskedFor(): void
    {
        self::assertStringNotContainsString('Low ground', self::html(self::plan()));
        self::assertStringContainsString('Low ground', self::html(self::plan(), new Choices(allSources: true)));
    }

    public function testACitationWhoseSourceHasGoneSaysSo(): void
    {
        $losses = new Losses();
        $html = (new HtmlWriter($losses))->body(Draft::of(self::plan()->withSources([]), new Choices()));

        self::assertStringContainsString('The wall was dear [source missing].', $html);
        self::assertContains('Citations (2) name a source that the plan has no more.', $losses->sentences());
    }

    public function testTheWordProcessorGetsRealFootnotesPicturesAndTheList(): void
    {
        $file = self::written(Format::Docx, self::plan('chicago-notes'));
        $path = tempnam(sys_get_temp_dir(), 'docx');
        file_put_contents((string) $path, $file);
        $zip = new \ZipArchive();
        $zip->open((string) $path);
        $document = (string) $zip->getFromName('word/document.xml');
        $notes = (string) $zip->getFromName('word/footnotes.xml');

        self::assertStringContainsString(
            'dear.</w:t></w:r><w:r><w:rPr><w:rStyle w:val="FootnoteReference"/></w:rPr><w:footnoteReference w:id="1"/>',
            $document,
        );
        self::assertStringContainsString('<w:footnote w:id="1">', $notes);
        self::assertStringContainsString('<w:rPr><w:i/></w:rPr><w:t xml:space="preserve">Tides and Walls</w:t>', $notes);
        self::assertStringContainsString('<w:pStyle w:val="Bibliography"/>', $document);
        self::assertStringContainsString('<w:pStyle w:val="Caption"/>', $document);
        self::assertStringContainsString('<wp:extent cx="190500" cy="95250"/>', $document, '20 by 10 pixels of 9525 units.');
        self::assertNotFalse($zip->getFromName('word/media/p1.png'));
        foreach (
            ['word/document.xml', 'word/footnotes.xml', 'word/_rels/footnotes.xml.rels', '[Content_Types].xml', 'word/styles.xml'] as $part
        ) {
            self::assertTrue((new \DOMDocument())->loadXML((string) $zip->getFromName($part)), $part);
        }
        $zip->close();
        unlink((string) $path);
    }

    public function testMarkdownAndTextSayItInTheirOwnWay(): void
    {
        $markdown = self::written(Format::Markdown, self::plan('chicago-notes'));
        self::assertStringContainsString('The wall was dear.[^1] It stood', $markdown);
        self::assertStringContainsString("\n[^1]: Anna Pell, *Tides and Walls* (Harrow: Creekside Press, 1994), 61.\n", $markdown);
        self::assertStringContainsString('See 2.1 Mud.', $markdown);

        $text = self::written(Format::Text, self::plan());
        self::assertStringContainsString('The wall was dear (Pell, 1994, p. 61).', $text);
        self::assertStringContainsString(' [A note of my own, see (Pell, 1994, p. 62).]', $text);
        self::assertStringContainsString("\nReferences\nPell, A. (1994). Tides and walls. Creekside Press.\n", $text);
    }

    public function testOurOwnOutlineFileKeepsCitationsSourcesAndWhatRefersToTopics(): void
    {
        $plan = self::plan();
        $file = self::written(Format::Opml, $plan);
        $back = Build::intake(Reading::Opml, $file, ids: new CountedIds('06'))->plan;

        self::assertEquals($plan->sources, $back->sources);
        self::assertSame(
            str_replace(
                [Build::id($plan, 'Mud'), Build::id($plan, 'Wall'), Build::id($plan, 'Tide')],
                [Build::id($back, 'Mud'), Build::id($back, 'Wall'), Build::id($back, 'Tide')],
                self::html($plan),
            ),
            self::html($back),
        );
        self::assertStringContainsString('dear (Pell, 1994, p. 61)', (string) (new \SimpleXMLElement($file))->body->outline[0]['_note']);
        $branch = self::written(Format::Opml, $plan, new Choices(from: Build::id($plan, 'Wall')));
        self::assertCount(
            1,
            Build::intake(Reading::Opml, $branch, ids: new CountedIds('07'))->plan->sources,
            'A branch takes along what it cites.',
        );
    }

    private static function plan(string $style = 'apa', string $more = ''): Plan
    {
        $plan = Build::plan("Wall\nTide\n  Mud" . $more);
        $plan = $plan->withProperties($plan->properties->with(['citation_style' => $style]));
        $cite = static fn(string $pages): Node => new Node(
            NodeType::Citation,
            ['items' => [['source' => Build::ulid(8), 'pages' => $pages]]],
        );
        $note = Note::of([
            Node::paragraph(
                [
                    Node::text('The wall was dear '),
                    $cite('61'),
                    Node::text('. It stood. See '),
                    new Node(NodeType::TopicRef, ['topic' => Build::id($plan, 'Mud')]),
                    Node::text('.'),
                ],
                Build::ulid(20),
            ),
            Node::paragraph(
                [
                    Node::text('Own words'),
                    new Node(NodeType::Footnote, content: [Node::text('A note of my own, see '), $cite('62'), Node::text('.')]),
                ],
                Build::ulid(21),
            ),
            new Node(
                NodeType::Picture,
                ['id' => Build::ulid(22), 'picture' => self::PICTURE, 'caption' => 'The wall in 1890', 'alt' => 'A wall'],
            ),
        ]);

        return $plan->with($plan->topic(Build::id($plan, 'Wall'))->withNote($note))->withSources([
            Build::ulid(8) => new Source(
                Build::ulid(8),
                'Tides and Walls',
                SourceKind::Book,
                [new Person('Pell', 'Anna')],
                date: PartialDate::of('1994'),
                publisher: 'Creekside Press',
                place: 'Harrow',
            ),
            Build::ulid(9) => new Source(
                Build::ulid(9),
                'Low Ground',
                SourceKind::Book,
                [new Person('Pell', 'Anna')],
                date: PartialDate::of('1999'),
            ),
        ]);
    }

    private static function html(Plan $plan, Choices $choices = new Choices()): string
    {
        return (new HtmlWriter())->body(Draft::of($plan, $choices));
    }

    private static function written(Format $format, Plan $plan, ?Choices $choices = null): string
    {
        $pictures = new class implements Pictures {
            public function bytes(string $id): string
            {
                $image = imagecreatetruecolor(20, 10);
                ob_start();
                imagepng($image);

                return (string) ob_get_clean();
            }
        };
        $folder = sys_get_temp_dir() . '/embrel-' . bin2hex(random_bytes(6));
        mkdir($folder);
        try {
            $out = Build::stream('');
            $format->writer()->write($plan, $choices ?? new Choices(pictures: $pictures), $out, $folder);
            rewind($out);

            return (string) stream_get_contents($out);
        } finally {
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    }
}
