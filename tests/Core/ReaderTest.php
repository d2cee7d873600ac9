<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Cli\Facts;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class ReaderTest extends TestCase
{
    private static function read(Format $format, string $content, ?Options $options = null): Result
    {
        return Build::intake($format, $content, $options);
    }

    /** @return iterable<string, array{string, string, 2?: bool}> text → outline, and whether a repair is told */
    public static function texts(): iterable
    {
        yield 'tabs' => ["A\n\tB\n\t\tC\nD", "A\n  B\n    C\nD"];
        yield 'two spaces' => ["A\n  B\n    C\n  D", "A\n  B\n    C\n  D"];
        yield 'three spaces, then back between levels' => ["A\n   B\n      C\n  D", "A\n  B\n    C\n  D"];
        yield 'skipped levels close up' => ["A\n\t\t\tB\n\tC", "A\n  B\n  C", true];
        yield 'tabs and spaces mixed' => ["A\n\tB\n    C\n \t D", "A\n  B\n  C\n    D", true];
        yield 'list signs come off once' => ["- A\n  * B\n  • - C", "A\n  B\n  - C"];
        yield 'first line indented' => ["    A\n      B", "A\n  B", true];
        yield 'line ends of three systems' => ["A\r\nB\rC\n", "A\nB\nC"];
        yield 'byte order mark' => ["\xEF\xBB\xBFA\nB", "A\nB"];
        yield 'UTF-16' => ["\xFF\xFE" . mb_convert_encoding("Ä\n\tB", 'UTF-16LE', 'UTF-8'), "Ä\n  B"];
        yield 'blank lines and white space at the ends' => ["A\n\n \t \nB\u{00A0} ", "A\nB"];
        yield 'control characters' => ["A\x00\x07B", 'AB', true];
    }

    #[DataProvider('texts')]
    public function testIndentedText(string $text, string $outline, bool $repaired = false): void
    {
        $result = self::read(Format::Text, $text);
        self::assertSame($outline, Build::outline($result->plan));
        self::assertSame($repaired, $result->repairs !== []);
    }

    public function testATitleThatIsTooLongRunsOnInTheNote(): void
    {
        $result = self::read(Format::Text, str_repeat('é', 100_000));
        $topic = $result->plan->topic($result->plan->parts(Plan::ROOT)[0]);
        self::assertSame(1000, mb_strlen($topic->title));
        self::assertSame(99_000, mb_strlen((string) $topic->note?->plainText()));
        self::assertStringContainsString('rest of it is in the note', $result->repairs[0]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function numbers(): iterable
    {
        yield 'decimal in sequence' => ["1. Tide\n  1.1 Mud\n  1.2 Sand\n2. Wall", "Tide\n  Mud\n  Sand\nWall"];
        yield 'Roman and letters' => ["I. Tide\n  A. Mud\n  B. Sand\nII. Wall", "Tide\n  Mud\n  Sand\nWall"];
        yield 'chapters' => ["Chapter 3. Tide\n  3.1. Mud", "Tide\n  Mud"];
        yield 'out of sequence stays' => ["1. Tide\n5. Wall", "1. Tide\n5. Wall"];
        yield 'a year is no number' => ["1887 and after\n1888 and after", "1887 and after\n1888 and after"];
        yield 'no letter after it' => ["1. 200 birds\n2. 300 fish", "1. 200 birds\n2. 300 fish"];
        yield 'words that look like letters' => ["A buffer\nI think", "A buffer\nI think"];
        yield 'one number alone stays' => ["3 reasons to stay\nMore", "3 reasons to stay\nMore"];
    }

    #[DataProvider('numbers')]
    public function testTypedNumbersComeOffOnRequestOnly(string $text, string $stripped): void
    {
        self::assertSame(str_replace("\t", '  ', $text), Build::outline(self::read(Format::Text, $text)->plan));
        self::assertSame($stripped, Build::outline(self::read(Format::Text, $text, new Options(stripNumbers: true))->plan));
    }

    public function testOpmlKeepsNotesAndWhatItDoesNotKnow(): void
    {
        $xml
            = '<opml version="1.1"><head><title>T</title><ownerName>O</ownerName><windowTop>5</windowTop></head><body>'
            . '<outline text="A" _note="one&#10;two" url="http://example.org" x:y="z" xmlns:x="urn:x"><outline title="only a title" '
                . 'description="d"/></outline></body></opml>';
        $plan = self::read(Format::Opml, $xml)->plan;
        self::assertSame("A\n  only a title", Build::outline($plan));
        self::assertSame('O', $plan->properties->author);
        self::assertSame(['windowTop' => '5'], $plan->foreign);
        $a = $plan->topic(Build::id($plan, 'A'));
        self::assertSame("one\ntwo", $a->note?->plainText());
        self::assertSame(['url' => 'http://example.org', '{urn:x}x:y' => 'z'], $a->foreign);
        self::assertFalse($plan->topic(Build::id($plan, 'only a title'))->noted);
        $with = self::read(Format::Opml, $xml, new Options(descriptions: true))->plan;
        self::assertSame('d', $with->topic(Build::id($with, 'only a title'))->note?->plainText());
    }

    /** @return iterable<string, array{Format, string, string}> what must be in the message */
    public static function unreadable(): iterable
    {
        yield 'DTD' => [
            Format::Opml,
            "<?xml version='1.0'?>\n<!DOCTYPE opml SYSTEM 'file:///etc/passwd'>\n<opml><body/></opml>",
            'DTD (line 2)',
        ];
        yield 'wrong root' => [Format::Opml, '<rss/>', 'not an OPML file'];
        yield 'no body' => [Format::Opml, '<opml><head/></opml>', 'no body'];
        yield 'truncated' => [Format::Opml, "<opml><body>\n<outline text='a'>", 'line 2'];
        yield 'not XML' => [Format::Opml, 'hello', 'line 1'];
        yield 'nested 10,000 deep' => [
            Format::Opml,
            '<opml><body>' . str_repeat('<outline text="x">', 10_000) . str_repeat('</outline>', 10_000) . '</body></opml>',
            '60 levels',
        ];
        yield 'invalid UTF-8' => [
            Format::Opml,
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?><opml><body><outline text=\"\xC3\x28\"/></body></opml>",
            'encoding',
        ];
        yield 'one attribute of 20 MB' => [
            Format::Opml,
            '<opml><body><outline text="' . str_repeat('y', 20 << 20) . '"/></body></opml>',
            'size limit',
        ];
        yield 'empty' => [Format::Text, '', 'empty'];
        yield 'blank' => [Format::Text, " \n\t\n", 'nothing to take in'];
        yield 'text that is not UTF-8' => [Format::Text, "good\n\xFF\xC0bad", 'line 2'];
        yield 'a line of 20 MB' => [Format::Text, str_repeat('x', 20 << 20), 'Line 1'];
        yield '60 levels and one' => [
            Format::Text,
            implode("\n", array_map(static fn(int $i): string => str_repeat(' ', $i) . 'x', range(0, 60))),
            '60 levels',
        ];
        yield '50,001 topics' => [Format::Text, str_repeat("x\n", 50_001), '50,000'];
        yield 'Markdown, 20 MB' => [Format::Markdown, str_repeat('word ', 4 << 20), 'size limit'];
        yield 'Markdown, a very long line' => [Format::Markdown, str_repeat('word ', 100_000), 'longer than'];
        yield 'Markdown, empty' => [Format::Markdown, '', 'empty'];
    }

    #[DataProvider('unreadable')]
    public function testWhatCannotBeReadIsNamed(Format $format, string $content, string $message): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessageMatches('/' . preg_quote($message, '/') . '/');
        self::read($format, $content);
    }

    public function testMarkdownHeadingsAreTopicsAndTheRestTheirNotes(): void
    {
        $plan = self::read(Format::Markdown, "before\n\n# A *b*\n\ntext **bold** [l](https://example.org)\n\n- x\n  1. y\n\n### C\n\n> q\n")
            ->plan;
        self::assertSame("A b\n  C", Build::outline($plan));
        self::assertSame('before', $plan->topic(Plan::ROOT)->note?->plainText());
        self::assertSame("text bold l\nx\ny", $plan->topic(Build::id($plan, 'A b'))->note?->plainText());
        self::assertSame(NodeType::Blockquote, array_values($plan->topic(Build::id($plan, 'C'))->note->blocks ?? [])[0]->type);
    }

    public function testMarkdownListsAreTopicsWithoutHeadingsOrOnRequest(): void
    {
        self::assertSame("a\n  b\nc", Build::outline(self::read(Format::Markdown, "- a\n  - b\n- c")->plan));
        self::assertSame('H', Build::outline(self::read(Format::Markdown, "# H\n\n- a")->plan));
        self::assertSame("H\n  a", Build::outline(self::read(Format::Markdown, "# H\n\n- a", new Options(lists: true))->plan));
    }

    public function testMarkdownHtmlCannotRun(): void
    {
        $plan = self::read(
            Format::Markdown,
            "# T <script>x()</script>\n\n<img src=x onerror=y()> [a](javascript:z()) <div onclick=q()>kept</div>\n\n<script>gone()</script>\n",
        )->plan;
        self::assertSame('T', Build::outline($plan));
        $json = (string) $plan->topic(Build::id($plan, 'T'))->note?->toJson();
        self::assertStringContainsString('kept', $json);
        foreach (['script', 'onerror', 'javascript', 'onclick', 'gone'] as $danger) {
            self::assertStringNotContainsString($danger, $json);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function samples(): iterable
    {
        $folder = getenv('EMBREL_SAMPLES');
        foreach ($folder === false ? [] : (glob($folder . '/{opml,text,markdown,docx,odt,html}/*.facts.json', GLOB_BRACE) ?: []) as $path) {
            yield basename($path, '.facts.json') => [substr($path, 0, -11)];
        }
        if ($folder === false) {
            yield 'none at hand' => [''];
        }
    }

    #[DataProvider('samples')]
    public function testRealFilesAgreeWithWhatWasCountedByOtherMeans(string $path): void
    {
        if ($path === '') {
            self::markTestSkipped('EMBREL_SAMPLES is not set.');
        }
        $facts = json_decode((string) file_get_contents("{$path}.facts.json"), true, 512, JSON_THROW_ON_ERROR);
        $in = fopen($path, 'r') ?: throw new \RuntimeException($path);
        $plan = Build::intake(Format::ofPath($path), $in)->plan;
        $counted = Facts::of($plan);
        self::assertSame(
            array_values($facts['outlines_by_depth'] ?? ($facts['topics_by_depth'] ?? self::closedUp($facts['sections']))),
            $counted['by_level'],
        );
        self::assertSame(array_map(static fn(array $section): string => $section[1], $facts['sections']), $counted['titles']);
        if (\in_array($facts['format'], ['docx', 'odt', 'html'], true)) {
            self::assertSame($facts['images'] ?? 0, $counted['pictures']);
            $this->assertSections($facts, $plan);
            $footnotes = $facts['footnotes']['count'] ?? ($facts['notes']['footnote'] ?? 0);
            self::assertSame(
                $footnotes,
                array_sum(
                    array_map(
                        static fn(Topic $topic): int => $topic->note === null ? 0 : iterator_count($topic->note->find(NodeType::Footnote)),
                        $plan->topics,
                    ),
                ),
            );
        }
    }

    /**
     * @param list<array{int, string, int}> $sections
     *
     * @return list<int> how many stand at each level once levels that were skipped are closed up
     */
    private static function closedUp(array $sections): array
    {
        $open = $counts = [];
        foreach ($sections as [$level]) {
            $open = array_filter($open, static fn(int $one): bool => $one < $level);
            $open[] = $level;
            $counts[\count($open)] = ($counts[\count($open)] ?? 0) + 1;
        }
        ksort($counts);

        return array_values($counts);
    }

    /**
     * The words under each heading, divided at white space; a page's own contents list is left out.
     *
     * @param array<string, mixed> $facts
     */
    private function assertSections(array $facts, Plan $plan): void
    {
        // A link that says what a heading of the document is called is a reference by now, and says what that topic is called.
        $says = static fn(Topic $topic): string => implode(' ', [
            $topic->note?->plainText(),
            ...array_map(
                static fn(Node $one): string => $plan->topic((string) $one->string('topic'))->title,
                $topic->note === null ? [] : iterator_to_array($topic->note->find(NodeType::TopicRef), false),
            ),
        ]);
        $words = static fn(Topic $topic): int => \count(preg_split('/\s+/u', $says($topic), -1, PREG_SPLIT_NO_EMPTY) ?: []);
        $front = ($facts['words_before_first_heading'] ?? 0) - ($facts['toc_words'] ?? 0);
        self::assertLessThanOrEqual($front, $words($plan->topic(Plan::ROOT)));
        $isWithContents = ($facts['has_table_of_contents'] ?? false) && $facts['format'] === 'html';
        foreach (array_keys(iterator_to_array($plan->walk())) as $i => $id) {
            $own = $words($plan->topic($id));
            $isWithContents && $i < 2
                ? self::assertLessThanOrEqual($facts['sections'][$i][2], $own)
                : self::assertSame($facts['sections'][$i][2], $own, $facts['sections'][$i][1]);
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function hostile(): iterable
    {
        $folder = getenv('EMBREL_SAMPLES');
        foreach (
            $folder === false
                ? []
                : json_decode((string) file_get_contents($folder . '/hostile/expect.json'), true, 512, JSON_THROW_ON_ERROR) as $case
        ) {
            if (preg_match('/\.(opml|txt|md|docx|odt|html)\z/', $case['file']) === 1) {
                yield $case['file'] => [$case];
            }
        }
        if ($folder === false) {
            yield 'none at hand' => [[]];
        }
    }

    /** @param array<string, mixed> $case */
    #[DataProvider('hostile')]
    public function testHostileFiles(array $case): void
    {
        $in = $case === [] ? null : Build::sample('hostile/' . $case['file']);
        if ($in === null) {
            self::markTestSkipped('EMBREL_SAMPLES is not set.');
        }
        try {
            $plan = Build::intake(Format::ofPath($case['file']), $in)->plan;
        } catch (Unreadable $why) {
            self::assertNotSame('import', $case['outcome'], $why->getMessage());
            self::assertStringNotContainsString('root:', $why->getMessage());

            return;
        }
        self::assertNotSame('error', $case['outcome']);
        $facts = Facts::of($plan);
        if (isset($case['titles_in'])) {
            $titles = json_decode(
                (string) stream_get_contents(Build::sample('hostile/' . $case['titles_in']) ?? throw new \RuntimeException('Missing.')),
                true,
                512,
                JSON_THROW_ON_ERROR,
            );
            self::assertSame($titles['titles'] ?? $titles, $facts['titles']);
        }
        self::assertSame($case['titles'] ?? ($case['headings_plain'] ?? ($case['headings'] ?? $facts['titles'])), $facts['titles']);
        self::assertSame($case['topics'] ?? ($case['lines'] ?? $facts['topics']), $facts['topics']);
        $all = json_encode(
            array_map(static fn($topic): string => $topic->title . ' ' . $topic->note?->plainText(), array_values($plan->topics)),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
        );
        foreach ($case['must_contain'] ?? [] as $text) {
            self::assertStringContainsString($text, $all);
        }
    }
}
