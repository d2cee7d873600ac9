<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Remark;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Intake\Options;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Reader\Format as Reading;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Library;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** Files that are handed over, judged by programs that others wrote: the sample plans, random ones, and real documents. */
final class JudgesTest extends TestCase
{
    use Folder;
    private const RANDOM = 6;

    /** @return iterable<string, array{Format, string}> */
    public static function judges(): iterable
    {
        $root = \dirname(__DIR__, 2);
        yield 'docx by the Open XML SDK' => [Format::Docx, "cd {$root}/tests/Core && node judge-docx.mjs %s"];
        yield 'pptx by the Open XML SDK' => [Format::Pptx, "cd {$root}/tests/Core && node judge-docx.mjs %s"];
        yield 'web pages by the Nu checker' => [
            Format::Html,
            "java -jar {$root}/node_modules/vnu-jar/build/dist/vnu.jar --errors-only --exit-zero-always %s 2>&1",
        ];
        // Its rules for CSS know neither properties of SVG nor container queries.
        $nu = "java -jar {$root}/node_modules/vnu-jar/build/dist/vnu.jar --errors-only --exit-zero-always %s 2>&1 | grep -v ': error: CSS: '";
        yield 'pages that stand alone by the Nu checker' => [Format::Alone, $nu];
        yield 'e-books by EPUBCheck' => [
            Format::Epub,
            'for f in %s; do java -jar /usr/share/java/epubcheck.jar --error "$f" 2>&1 | grep -E "^(ERROR|FATAL)"; done',
        ];
        $qpdf = 'for f in %s; do qpdf --check "$f" >/dev/null 2>&1 || echo "$f"; done';
        yield 'PDF by qpdf' => [Format::Pdf, $qpdf];
        yield 'slides as PDF by qpdf' => [Format::SlidesPdf, $qpdf];
        yield 'handouts by qpdf' => [Format::HandoutPdf, $qpdf];
    }

    #[DataProvider('judges')]
    public function testOthersFindNothingWrong(Format $format, string $command): void
    {
        $files = [];
        foreach ($this->plans() as $name => [$plan, $pictures]) {
            $files[] = $path = "{$this->folder}/{$name}.{$format->extension()}";
            $out = fopen($path, 'w') ?: throw new \RuntimeException($path);
            $terms = [
                ['tide', 'The sea’s rise & “fall”'],
                ['<wall>', ''],
                ['Why the marsh matters', 'What is asked'],
                ['盐沼', ''],
                ['last', ''],
            ];
            $plan = $plan->withProperties($plan->properties->with(['terms' => $terms]));
            $format
                ->writer()
                ->write($plan, new Choices(
                    pictures: $pictures,
                    draft: new DraftChoices(
                        headingDepth: 9,
                        figures: true,
                        date: '2026-11-23',
                        remarks: self::remarks($plan),
                        signs: true,
                        glossary: true,
                        index: true,
                        citationFields: true,
                    ),
                ), $out, $this->folder);
            fclose($out);
        }
        self::assertGreaterThan(self::RANDOM, \count($files));
        exec(\sprintf($command, implode(' ', array_map(escapeshellarg(...), $files))), $said);
        self::assertSame([], array_map(fn(string $line): string => str_replace("{$this->folder}/", '', $line), $said));
    }

    /** @return list<Remark> some on topics, some on paragraphs, and one on the whole */
    private static function remarks(Plan $plan): array
    {
        $remarks = [new Remark(Plan::ROOT, '', 'Jory & Tamm', '2026-11-20T10:00:00Z', "Of it <all>\n\nand more")];
        foreach (\array_slice($plan->standing(), 0, 12) as $id) {
            $block = array_key_first($plan->topic($id)->note->blocks ?? []);
            $remarks[] = new Remark($id, (string) $block, 'Öndine', '2026-11-20T10:00:00Z', 'Why so?', 'the words');
            $remarks[] = new Remark($id, '', '', '2026-11-20T10:00:00Z', 'And here?');
        }

        return $remarks;
    }

    /** @return \Generator<string, array{Plan, Shelved}> */
    private function plans(): \Generator
    {
        $root = \dirname(__DIR__, 2);
        $none = new Shelved([]);
        foreach (['tide.md', 'night-bus.md', 'bell-foundry.txt', 'plants.md'] as $sample) {
            yield pathinfo($sample, \PATHINFO_FILENAME) => [$this->read("{$root}/database/seeders/plans/{$sample}"), $none];
        }
        for ($seed = 1; $seed <= self::RANDOM; ++$seed) {
            $pictures = new Shelved([Package::png(80, 60), Package::png(300, 10)]);
            yield "random-{$seed}" => [
                Notes::on(Trees::random($seed, 40), $seed, $pictures->ids())->withProperties(
                    new Properties(author: 'Ada & Co', subtitle: 'Sub', language: 'en-GB'),
                ),
                $pictures,
            ];
        }
        // Lists of references as unlike styles set them.
        foreach (['ieee', 'nature', 'academy-of-management-review', 'american-institute-of-physics', 'oscola'] as $style) {
            yield "style-{$style}" => [Library::plan($style), $none];
        }
        $samples = getenv('EMBREL_SAMPLES') ?: null;
        foreach ($samples === null ? [] : (glob("{$samples}/{docx,odt,html,markdown}/*.{docx,odt,html,md}", \GLOB_BRACE) ?: []) as $path) {
            yield str_replace('.', '-', basename($path)) => [$this->read($path), $none];
        }
    }

    private function read(string $path): Plan
    {
        return Build::intake(
            Reading::ofPath($path),
            fopen($path, 'r') ?: throw new \RuntimeException($path),
            new Options(pathinfo($path, \PATHINFO_FILENAME)),
        )->plan;
    }
}
