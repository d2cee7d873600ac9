<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Archive\Package as Zip;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Fonts\Cut;
use Embrel\Fonts\Shipped;
use Embrel\Fonts\TrueType;
use Embrel\Reader\Format as Reading;
use Embrel\Writer\Format;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;

/** Fonts that travel within docx and odt: cut to what is used, and used by a word processor that we did not write. */
final class TravellingFontsTest extends TestCase
{
    use Folder;
    /** Of the lines of a draft, how many may break elsewhere in a word processor. */
    private const APART = 0.02;

    public function testAFontIsCutToItsLettersAndDrawsThemAsBefore(): void
    {
        $parts = array_map(static fn(string $part): string => Shipped::bytes("serif-{$part}"), ['latin', 'latin-ext', 'greek', 'cyrillic']);
        $cut = new TrueType(Cut::of($parts, array_map(mb_ord(...), mb_str_split('Bring Łódź éαЖ')), 'Literata', false, false));
        foreach (mb_str_split('Bring Łódź éαЖ') as $sign) {
            $glyph = $cut->glyph(mb_ord($sign));
            self::assertNotNull($glyph, $sign);
            foreach ($parts as $bytes) {
                $part = new TrueType($bytes);
                $was = $part->glyph(mb_ord($sign));
                if ($was !== null) {
                    self::assertSame($part->width($was), $cut->width($glyph), $sign);
                    $box = static fn(string $outline): string => substr($outline, 0, 10);
                    self::assertSame($box($part->outline($was)), $box($cut->outline($glyph)), $sign);
                    break;
                }
            }
        }
        self::assertNull($cut->glyph(mb_ord('Q')));
        self::assertLessThan(6_000, \strlen($cut->bytes));
        $whole = new TrueType(Cut::of($parts, null, 'Literata', false, false));
        self::assertNotNull($whole->glyph(mb_ord('Q')));
    }

    public function testAnotherReaderOfFontsReadsIt(): void
    {
        $parts = [Shipped::bytes('sans-latin'), Shipped::bytes('sans-latin-ext')];
        $signs = array_map(mb_ord(...), mb_str_split('Aé Ł'));
        file_put_contents("{$this->folder}/cut.ttf", Cut::of($parts, $signs, 'Atkinson Hyperlegible Next', true, false));
        $script = "const f = require('fontkit').openSync('{$this->folder}/cut.ttf');"
            . "console.log(f.familyName, f.subfamilyName, f.layout('Aé Ł').glyphs.map((g) => g.id > 0 && g.path.commands.length > 0))";
        self::assertSame(
            'Atkinson Hyperlegible Next Bold [ true, true, false, true ]',
            trim((string) shell_exec('cd ' . escapeshellarg(\dirname(__DIR__, 2)) . ' && node -e ' . escapeshellarg($script))),
        );
    }

    public function testDocxCarriesThemObfuscatedAndOdtPlain(): void
    {
        $plan = Build::plan("Clay\n  Tide");
        $zip = Zip::open($this->written($plan, Format::Docx));
        preg_match('/<w:embedRegular r:id="(\w+)" w:fontKey="\{([0-9A-F-]+)\}"/', $zip->text('word/fontTable.xml'), $m);
        $key = strrev((string) hex2bin(str_replace('-', '', $m[2] ?? '')));
        $bytes = $zip->text('word/fonts/' . ($m[1] ?? '') . '.odttf');
        $plain = (substr($bytes, 0, 32) ^ ($key . $key)) . substr($bytes, 32);
        self::assertNotNull((new TrueType($plain))->glyph(mb_ord('C')));
        $zip = Zip::open($this->written($plan, Format::Odt));
        self::assertNotNull((new TrueType($zip->text('Fonts/Literata-Bold.ttf')))->glyph(mb_ord('C')));
        self::assertStringContainsString('Fonts/Literata-Bold.ttf', $zip->text('META-INF/manifest.xml'));
    }

    public function testNoneTravelsThatIsNotOursOrNotWanted(): void
    {
        $plan = Build::plan('Clay');
        foreach ([new DraftChoices(fonts: false), new DraftChoices(style: Style::own('essay'))] as $draft) {
            $docx = Zip::open($this->written($plan, Format::Docx, new Choices(draft: $draft)))->text('word/fontTable.xml');
            $odt = Zip::open($this->written($plan, Format::Odt, new Choices(draft: $draft)))->text('META-INF/manifest.xml');
            self::assertStringNotContainsString('embedRegular', $docx);
            self::assertStringNotContainsString('Fonts/', $odt);
        }
        $size = filesize($this->written($plan, Format::Docx));
        clearstatcache();
        $whole = $this->written($plan, Format::Docx, new Choices(draft: new DraftChoices(wholeFonts: true)));
        self::assertGreaterThan(2 * $size, filesize($whole));
    }

    public function testAWordProcessorUsesThemAndBreaksItsLinesAsOurPagesDo(): void
    {
        $path = \dirname(__DIR__, 2) . '/database/seeders/plans/tide.md';
        // What stands for citations there is signs that our fonts lack.
        $text = str_replace(['⟦', '⟧'], ['[', ']'], (string) file_get_contents($path));
        $plan = Build::intake(Reading::Markdown, Build::stream($text))->plan;
        $draft = new Choices(draft: new DraftChoices(contents: false));
        $ours = $this->lines($this->written($plan, Format::Pdf, $draft));
        self::assertGreaterThan(150, \count($ours));
        foreach ([Format::Docx, Format::Odt] as $format) {
            $path = $this->written($plan, $format, $draft);
            $pdf = $this->made('pdf', $path);
            self::assertStringContainsString('Literata-Regular', (string) shell_exec('pdffonts ' . escapeshellarg($pdf)));
            $theirs = $this->lines($pdf);
            $apart = \count(array_diff($ours, $theirs));
            $said = $format->value . ":\n" . implode("\n", array_diff($ours, $theirs));
            self::assertLessThanOrEqual(self::APART * \count($ours), $apart, $said);
        }
    }

    /** @return list<string> the lines of text of a PDF: of tables, signs that our fonts lack and what runs at the foot it is another matter */
    private function lines(string $pdf): array
    {
        $lines = [];
        foreach (explode("\n", (string) shell_exec('pdftotext -layout ' . escapeshellarg($pdf) . ' -')) as $line) {
            $line = trim((string) preg_replace('/\s+/', ' ', $line));
            if (mb_strlen($line) > 30 && preg_match('/[•]/u', $line) !== 1) {
                $lines[] = $line;
            }
        }

        return $lines;
    }
}
