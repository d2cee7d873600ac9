<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Writer\Format;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** PDF for everyone: what a screen reader is told of it, read back by programs that others wrote (poppler, qpdf). */
final class TaggedPdfTest extends TestCase
{
    private string $path;

    protected function setUp(): void
    {
        if (trim((string) shell_exec('command -v pdfinfo')) === '') {
            self::markTestSkipped('poppler-utils is not installed.');
        }
        $this->path = (string) tempnam(sys_get_temp_dir(), 'embrel-');
    }

    protected function tearDown(): void
    {
        unlink($this->path);
    }

    private function write(Plan $plan, Choices $choices = new Choices(), Format $format = Format::Pdf): void
    {
        $out = fopen($this->path, 'w') ?: throw new \RuntimeException();
        $format->writer()->write($plan, $choices, $out, sys_get_temp_dir());
        fclose($out);
    }

    private function read(string $command): string
    {
        return (string) shell_exec("{$command} " . escapeshellarg($this->path) . ' 2>&1');
    }

    /** @return list<string> the structure without its depth: elements, and texts in quotation marks */
    private function structure(): array
    {
        $plain = (string) preg_replace('/ <note-\d+>| \((?:block|inline)\)|:$/m', '', $this->read('pdfinfo -struct-text'));
        $lines = array_map(trim(...), explode("\n", $plain));

        return array_values(array_filter($lines, static fn(string $line): bool => $line !== '' && !str_starts_with($line, 'Object ')));
    }

    private static function plan(): Plan
    {
        $plan = Build::plan("Tide\n  Mud\nWall");
        $text = static fn(string $text): array => ['type' => 'text', 'text' => $text];
        $paragraph = static fn(array ...$content): array => ['type' => 'paragraph', 'content' => $content];
        $cell = static fn(string $type, string $words): array => ['type' => $type, 'content' => [$paragraph($text($words))]];
        $link = ['type' => 'link', 'attrs' => ['href' => 'https://tides.example/']];
        $blocks = [
            ['type' => 'paragraph', 'content' => [
                $text('The marsh'),
                ['type' => 'footnote', 'content' => [$text('As the old map has it.')]],
                ['type' => 'text', 'text' => ' and its banks', 'marks' => [$link]],
            ]],
            ['type' => 'bulletList', 'content' => [
                ['type' => 'listItem', 'content' => [['type' => 'paragraph', 'content' => [$text('Samphire')]]]],
                ['type' => 'listItem', 'content' => [['type' => 'paragraph', 'content' => [$text('Cord grass')]]]],
            ]],
            ['type' => 'blockquote', 'content' => [['type' => 'paragraph', 'content' => [$text('It held.')]]]],
            ['type' => 'table', 'content' => [
                ['type' => 'tableRow', 'content' => [$cell('tableHeader', 'Year'), $cell('tableHeader', 'Acres')]],
                ['type' => 'tableRow', 'content' => [$cell('tableCell', '1887'), $cell('tableCell', '110')]],
            ]],
        ];
        $nodes = [];
        foreach ($blocks as $i => $block) {
            $nodes[] = Schema::block(['attrs' => ['id' => Build::ulid(900 + $i)]] + $block);
        }
        $nodes[] = new Node(NodeType::Picture, [
            'id' => Build::ulid(990),
            'picture' => hash('sha256', Package::png(90, 60)),
            'caption' => 'The wall in spring',
            'alt' => 'A bank of clay',
        ]);

        return $plan
            ->with($plan->topic(Build::id($plan, 'Tide'))->withNote(Note::of($nodes)))
            ->withProperties(new Properties(author: 'Ada & Co', subtitle: 'Low water', language: 'en-GB', subject: 'Marshes'));
    }

    public function testItIsReadInOrderAsWhatItIs(): void
    {
        $choices = new Choices(pictures: new Shelved([Package::png(90, 60)]), draft: new DraftChoices(contents: false));
        $this->write(self::plan(), $choices);
        self::assertSame([
            'Document',
            'Sect', 'P', '"Test plan"', 'P', '"Low water"', 'P', '"Ada & Co"',
            'Sect',
            'H1', '"1 Tide"',
            'P', '"The marsh1"', 'Link', '" and its banks"', 'Note', '"1 As the old map has it."',
            'L', '/ListNumbering /Disc',
            'LI', 'Lbl', '"•"', 'LBody', 'P', '"Samphire"',
            'LI', 'Lbl', '"•"', 'LBody', 'P', '"Cord grass"',
            'BlockQuote', 'P', '"It held."',
            'Table',
            'TR', 'TH', '/Scope /Column', 'P', '"Year"', 'TH', '/Scope /Column', 'P', '"Acres"',
            'TR', 'TD', 'P', '"1887"', 'TD', 'P', '"110"',
            'Figure', '""', 'Caption', '"The wall in spring"',
            'H2', '"1.1 Mud"',
            'H1', '"2 Wall"',
        ], $this->structure());
        self::assertStringContainsString('"/Alt": "u:A bank of clay"', $this->read('qpdf --json --json-key=qpdf'));
    }

    public function testItSaysWhatArchivesAndReadersAskFor(): void
    {
        $this->write(self::plan());
        $info = $this->read('pdfinfo');
        self::assertMatchesRegularExpression('/Tagged:\s+yes/', $info);
        self::assertMatchesRegularExpression('/Metadata Stream:\s+yes/', $info);
        $said = $this->read('pdfinfo -meta');
        self::assertStringContainsString('<pdfaid:part>2</pdfaid:part>', $said);
        self::assertStringContainsString('Ada &amp; Co', $said);
        self::assertNotFalse(simplexml_load_string((string) preg_replace('/^<\?xpacket.*\?>$/m', '', $said)));
        foreach (\array_slice(explode("\n", trim($this->read('pdffonts'))), 2) as $font) {
            // Embedded, and with the signs that its glyphs stand for.
            self::assertMatchesRegularExpression('/ yes +(?:yes|no) +yes /', $font);
        }
        $json = json_decode($this->read('qpdf --json --json-key=qpdf'), true);
        $root = json_encode($json, JSON_UNESCAPED_SLASHES);
        self::assertStringContainsString('"/DisplayDocTitle":true', (string) $root);
        self::assertStringContainsString('"/PageLabels"', (string) $root);
        self::assertStringContainsString('u:en-GB', (string) $root);
    }

    public function testTopicsThatAreItemsAreListsWithinLists(): void
    {
        $plan = Build::plan("A\n  one\n    deeper\n  two");
        foreach (['one', 'deeper', 'two'] as $title) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with(['kind' => Kind::Point]));
        }
        $this->write($plan, new Choices(draft: new DraftChoices(contents: false)));
        $text = implode(' ', $this->structure());
        $item = static fn(string $words, string $sign, string $more = ''): string => "LI Lbl \"{$sign}\" LBody \"{$words}\"{$more}";
        self::assertStringContainsString(
            'L ' . $item('one', '•', ' L ' . $item('deeper', '–')) . ' ' . $item('two', '•'),
            $text,
        );
    }

    public function testWhatIsDrawnOfAnyPlanIsReadOnceInTheOrderOfItsPages(): void
    {
        for ($seed = 1; $seed <= 12; ++$seed) {
            $pictures = new Shelved([Package::png(80, 60), Package::png(300, 10)]);
            $plan = Notes::on(Trees::random($seed, 40), $seed, $pictures->ids());
            $this->write($plan, new Choices(pictures: $pictures, draft: new DraftChoices(figures: true)));
            $read = $this->read('pdfinfo -struct-text');
            self::assertStringNotContainsString('Warning', $read, "Plan {$seed}.");
            self::assertStringNotContainsString('Error', $read, "Plan {$seed}.");
            self::assertSame(0, (static function (string $path): int {
                exec('qpdf --check ' . escapeshellarg($path) . ' 2>&1', $lines, $code);

                return $code;
            })($this->path), "Plan {$seed}.");
        }
    }

    public function testSlidesAreReadOneAfterTheOther(): void
    {
        $this->write(self::plan(), new Choices(pictures: new Shelved([Package::png(90, 60)])), Format::SlidesPdf);
        $text = implode(' ', $this->structure());
        self::assertMatchesRegularExpression(
            '/Sect H1 .*Test plan.*Sect H1 "1Tide".*BlockQuote "It held\.".*Figure.*Sect H2 "1\.1Mud".*"2Wall"/',
            $text,
        );
    }
}
