<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\MapChoices;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Style;
use Embrel\Plan\Plan;
use Embrel\Writer\Format;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Trees;

/** The map as PDF, read back by a reader that is not ours (poppler). */
final class PdfTest extends TestCase
{
    private string $path;

    protected function setUp(): void
    {
        $this->path = (string) tempnam(sys_get_temp_dir(), 'embrel-');
    }

    protected function tearDown(): void
    {
        unlink($this->path);
    }

    /** @return list<string> what was said to be lost */
    private function write(Plan $plan, Choices $choices): array
    {
        $out = fopen($this->path, 'w') ?: throw new \RuntimeException('No file.');
        $lost = Format::MapPdf->writer()->write($plan, $choices, $out, '');
        fclose($out);

        return $lost;
    }

    private function read(string $command): string
    {
        if (shell_exec('command -v pdftotext') === null) {
            self::markTestSkipped('poppler-utils is not installed.');
        }
        exec("{$command} " . escapeshellarg($this->path) . ' - 2>&1', $lines, $code);
        self::assertSame(0, $code, implode("\n", $lines));

        return implode("\n", $lines);
    }

    public function testTextIsTextAndEveryTitleIsInIt(): void
    {
        $plan = Build::plan("Why it matters\n  Łódź & “quotes”\nBefore\n  Grazing\n    Samphire");
        foreach (Arrangement::cases() as $arrangement) {
            self::assertSame([], $this->write($plan, new Choices(map: new MapChoices(look: new Look($arrangement)))));
            $text = $this->read('pdftotext -raw');
            foreach (['Test plan', 'matters', 'Grazing', '2.1.1'] as $title) {
                self::assertStringContainsString($title, $text, $arrangement->value);
            }
        }
        $this->write($plan, new Choices());
        self::assertStringContainsString('Łódź & “quotes”', $this->read('pdftotext -raw'));
    }

    public function testItFitsOnOneSheetOfTheChosenSizeOrGoesAcrossSeveral(): void
    {
        $plan = Trees::random(50, 300);
        $this->write($plan, new Choices(map: new MapChoices(paper: 'a3')));
        $info = (string) shell_exec('pdfinfo ' . escapeshellarg($this->path) . ' 2>&1');
        self::assertMatchesRegularExpression('/Pages:\s+1\n/', $info);
        self::assertMatchesRegularExpression('/Page size:\s+(?:841\.89 x 1190\.55|1190\.55 x 841\.89) pts \(A3\)/', $info);
        $this->write($plan, new Choices(map: new MapChoices(severalSheets: true)));
        $info = (string) shell_exec('pdfinfo ' . escapeshellarg($this->path) . ' 2>&1');
        self::assertMatchesRegularExpression('/Pages:\s+([2-9]|\d\d)/', $info);
        self::assertStringContainsString('row 1, column 1', $this->read('pdftotext -raw'));
    }

    public function testWhatTheFontsDoNotHoldIsSaid(): void
    {
        // Signs that everybody may use for something else: no font has any for them.
        $lost = $this->write(Build::plan("\u{F8F0}\u{F8F1}\n  Fish"), new Choices());
        self::assertStringContainsString('(2)', $lost[0]);
        self::assertStringContainsString('Fish', $this->read('pdftotext -raw'));
    }

    public function testAnyTreeInAnyStyleCanBeRead(): void
    {
        for ($seed = 1; $seed <= 15; ++$seed) {
            $this->write(Trees::random($seed), new Choices(
                map: new MapChoices(look: new Look(Arrangement::cases()[$seed % 3], Style::cases()[$seed % 5])),
            ));
            self::assertStringNotContainsString('Error', $this->read('pdftotext -raw'));
        }
    }
}
