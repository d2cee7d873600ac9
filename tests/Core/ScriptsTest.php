<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Fonts\Face;
use Embrel\Fonts\Glyphs;
use Embrel\Fonts\HarfBuzz;
use Embrel\Fonts\Shipped;
use Embrel\Fonts\Typefaces;
use Embrel\Language\Hyphenation;
use Embrel\Language\Language;
use Embrel\Layout\Text\Wrapping;
use Embrel\Pages\Line;
use Embrel\Pages\Paragraphs;
use Embrel\Pages\Piece;
use Embrel\Pages\Setting;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Writer\Format;
use Embrel\Writer\Raster\Canvas;
use Embrel\Writer\Raster\PixelPen;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;

/** Any script on paper: shaped, ordered, broken into lines and divided as its readers expect, and read back by programs of others. */
final class ScriptsTest extends TestCase
{
    use Folder;

    /** Language → a text in it, written for this. */
    private const TEXTS = [
        'zh' => '潮水在四点半冲破堤坝，下城的人谁也没有接到通知。“我们听见了钟声，”老渔夫说，“可是没有人相信。”',
        'ja' => '午後四時半に湿地の堤が崩れたが、下町の誰にも知らされていなかった。「鐘の音は聞こえた」と老いた漁師は言った。',
        'ko' => '네 시 반에 습지의 둑이 무너졌지만 아랫마을의 누구도 소식을 듣지 못했다.',
        'ar' => 'انهار السد في الساعة الرابعة والنصف، ولم يعلم أحد في المدينة السفلى. قال الصياد: «سمعنا الجرس (مرتين) في عام 1953، لكن أحدا لم يفهم».',
        'he' => 'הסכר קרס בשעה ארבע וחצי, ואיש בעיר התחתית לא ידע. "שמענו את הפעמון", אמר הדייג (בשנת 1953), "אבל אף אחד לא האמין".',
        'hi' => 'साढ़े चार बजे दलदल का बाँध टूट गया, और निचले शहर में किसी को सूचना नहीं मिली। बूढ़े मछुआरे ने घंटी सुनी थी।',
        'th' => 'เขื่อนของหนองน้ำพังลงเมื่อสี่โมงครึ่ง และไม่มีใครในเมืองล่างได้รับแจ้ง',
        'vi' => 'Việt Nam có nhiều đầm lầy ven biển, và ít người biết điều đó.',
        'el' => 'Το έλος υποχώρησε στις τέσσερις και μισή· κανείς δεν το ήξερε.',
    ];

    protected function setUp(): void
    {
        foreach (['hb-shape', 'hb-subset', 'fribidi'] as $program) {
            self::needs($program);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function texts(): iterable
    {
        foreach (self::TEXTS as $language => $text) {
            yield $language => [$language, $text];
        }
    }

    /** @return list<Line> */
    private static function lines(Typefaces $faces, string $text, float $width, string $family = 'serif'): array
    {
        return $faces->shaping->settled(static fn(): array => (new Paragraphs($faces))->text($text, new Setting($family, 11.0), $width));
    }

    private static function noted(string $text, string $language = 'en'): Plan
    {
        // Its heading is of the same script.
        $plan = Build::plan(mb_substr(self::TEXTS[$language] ?? 'Marsh', 0, 12));

        return $plan->with($plan->topics[(string) array_key_first(iterator_to_array($plan->walk()))]->withNote(Build::note($text)));
    }

    private static function bare(string $text): string
    {
        // Readers put marks of direction around what they found, and spaces where a line ends.
        $text = \Normalizer::normalize($text) ?: $text;

        return (string) preg_replace('/[\s\x{200B}-\x{200F}\x{202A}-\x{202E}\x{2066}-\x{2069}]+/u', '', $text);
    }

    #[DataProvider('texts')]
    public function testAReaderOfTheFileFindsTheText(string $language, string $text): void
    {
        $path = $this->written(self::noted($text, $language), Format::Pdf);
        self::assertSame([], $this->said);
        $found = (string) shell_exec('pdftotext ' . escapeshellarg($path) . ' -');
        // Marks of punctuation between two directions are found in different places by different readers.
        preg_match_all('/[\p{L}\p{M}\p{N}]+/u', $text, $words);
        foreach ($words[0] as $word) {
            self::assertStringContainsString(self::bare($word), self::bare($found), $language);
        }
        self::assertStringNotContainsString('?', $found);
        exec('qpdf --check ' . escapeshellarg($path) . ' 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        $fonts = preg_grep('/Identity-H/', explode("\n", (string) shell_exec('pdffonts ' . escapeshellarg($path)))) ?: [];
        self::assertNotSame([], $fonts);
        self::assertSame($fonts, preg_grep('/Identity-H +yes yes yes/', $fonts), 'Each is embedded, cut, and says what it writes.');
    }

    #[DataProvider('texts')]
    public function testLinesHoldTheWholeTextWithinTheirWidth(string $language, string $text): void
    {
        $faces = Typefaces::shipped($language);
        foreach ([14.0, 33.0, 90.0, 240.0] as $width) {
            $set = '';
            foreach (self::lines($faces, $text, $width) as $i => $line) {
                $end = 0.0;
                foreach ($line->pieces as $piece) {
                    self::assertGreaterThanOrEqual(-0.01, $piece->x);
                    $end = max($end, $piece->x + $piece->width);
                    $set .= $piece->text;
                }
                $signs = preg_match_all('/\X/u', implode('', array_map(static fn(Piece $piece): string => $piece->text, $line->pieces)));
                self::assertTrue($end <= $width + 0.02 || $signs === 1, "{$language}, {$width}, line {$i}");
                // Marks that close or divide never begin a line where there is room for what stands before.
                $first = mb_substr($line->pieces[0]->text ?? '', 0, 1);
                $closes = $first !== '' && str_contains('，。、」”।,', $first);
                self::assertFalse($width > 80.0 && $closes, "{$language}, {$width}, line {$i}: {$first}");
            }
            self::assertSame(self::bare($text), self::bare($set), "{$language}, {$width}");
        }
    }

    public function testAWordProcessorSetsParagraphsFromRightToLeftToo(): void
    {
        foreach ([Format::Docx, Format::Odt] as $format) {
            $pdf = $this->made('pdf', $this->written(self::noted(self::TEXTS['he'], 'he'), $format, name: $format->value));
            // The first word ends at the right margin (of A4: 595 points less 71); told as it is seen, from left to right.
            preg_match_all('/xMax="([\d.]+)"[^>]*>([^<]+)</', (string) shell_exec('pdftotext -bbox ' . escapeshellarg($pdf) . ' -'), $m);
            $ends = array_combine($m[2], array_map(floatval(...), $m[1]));
            self::assertEqualsWithDelta(524.0, $ends['רכסה'], 3.0, $format->value);
        }
    }

    public function testLettersJoinAsTheyDoInTheirScript(): void
    {
        $faces = Typefaces::shipped('ar');
        $shaped = static fn(string $word): Glyphs => $faces->shaping->of((int) self::lines($faces, $word, 400.0)[0]->pieces[0]->glyphs[0]);
        $glyphs = $shaped('بيت');
        $alone = [];
        foreach (['ب', 'ي', 'ت'] as $letter) {
            $alone[] = $shaped($letter)->glyphs[0][0];
        }
        self::assertCount(3, array_diff(array_column($glyphs->glyphs, 0), $alone), 'Each letter has another form within a word.');
        // The first letter stands at the right.
        self::assertSame([4, 2, 0], array_column($glyphs->glyphs, 1));
        // Divided within a word, letters stay joined as they were.
        [$head, $tail] = $glyphs->divided($glyphs->width * 0.6);
        self::assertSame(array_column($glyphs->glyphs, 0), [...array_column($tail?->glyphs ?? [], 0), ...array_column($head->glyphs, 0)]);
    }

    /** FriBidi itself says in which order a line stands; here it is asked for the whole line, not for levels. */
    public function testMixedDirectionsStandInTheOrderThatFriBidiGivesThem(): void
    {
        mt_srand(7);
        $words = ['marsh', 'wall', '1887', '3,5', 'שלום', 'מים', '(ים)', 'ובכן:', 'בית', 'sea', '-', '«כן»', '12-14', 'a/b'];
        $lines = [];
        for ($i = 0; $i < 120; ++$i) {
            $lines[] = implode(' ', array_map(static fn(): string => $words[mt_rand(0, 13)], range(0, mt_rand(1, 7))));
        }
        file_put_contents("{$this->folder}/lines", implode("\n", $lines) . "\n");
        $visual = explode("\n", (string) shell_exec('LC_ALL=C.UTF-8 fribidi --nopad --nobreak ' . escapeshellarg("{$this->folder}/lines")));
        $faces = Typefaces::shipped('he');
        $set = $faces->shaping->settled(static fn(): array => array_map(
            static fn(string $line): array => (new Paragraphs($faces))->text($line, new Setting('serif', 11.0), 2000.0),
            $lines,
        ));
        foreach ($lines as $i => $line) {
            self::assertCount(1, $set[$i]);
            $placed = $set[$i][0]->placed(0.0, 0.0);
            usort($placed, static fn(Piece $a, Piece $b): int => $a->x <=> $b->x);
            $seen = '';
            foreach ($placed as $piece) {
                $turned = strtr(implode('', array_reverse(mb_str_split($piece->text))), ['(' => ')', ')' => '(', '«' => '»', '»' => '«']);
                $seen .= $piece->glyphs !== [] && $piece->isRightToLeft ? $turned : $piece->text;
            }
            self::assertSame(trim($visual[$i]), trim($seen), $line);
        }
    }

    /** Of scripts whose fonts are TrueType: as much ink as HarfBuzz's own viewer has. */
    #[DataProvider('outlined')]
    public function testAPictureMadeOfPixelsHasTheGlyphsToo(string $language): void
    {
        self::needs('hb-view');
        $word = mb_substr(explode(' ', self::TEXTS[$language])[0], 0, 9);
        $faces = Typefaces::shipped($language);
        [$pen, $font] = $faces->shaping->settled(static function () use ($faces, $word): array {
            $pen = new PixelPen(-20.0, -100.0, 1.0, $faces);
            $pen->text($word, 0.0, 0.0, Face::Regular, 64.0, '#000000');
            $shaped = $faces->glyphs($word, 'regular', Wrapping::isRightToLeft($word))[0] ?? '';

            return [$pen, \is_string($shaped) ? null : $faces->shaping->fonts->font($shaped->font)];
        });
        self::assertSame(0, $pen->lost);
        $ours = self::ink((new Canvas(700, 160, '#FFFFFF'))->paint($pen));
        $path = "{$this->folder}/{$language}.png";
        $what = escapeshellarg((string) $font?->path) . ' ' . escapeshellarg($word);
        exec("hb-view --font-size=64 --margin=20 --output-file={$path} {$what}");
        $theirs = self::ink(imagecreatefrompng($path) ?: self::fail('hb-view drew nothing.'));
        // The edges of forms count with them here: half a pixel around, at twice the size.
        self::assertEqualsWithDelta(1.05, $ours / $theirs, 0.07, $language);
    }

    /** @return iterable<string, array{string}> */
    public static function outlined(): iterable
    {
        yield from ['ar' => ['ar'], 'he' => ['he'], 'hi' => ['hi'], 'th' => ['th']];
    }

    private static function ink(\GdImage $image): float
    {
        $ink = 0;
        for ($x = 0, $width = imagesx($image); $x < $width; ++$x) {
            for ($y = 0, $height = imagesy($image); $y < $height; ++$y) {
                $ink += 255 - (imagecolorsforindex($image, (int) imagecolorat($image, $x, $y))['green'] ?? 255);
            }
        }

        return (float) $ink;
    }

    public function testWhatNothingDrawsIsSaidAndTheRestStands(): void
    {
        $path = $this->written(Build::plan("Marsh \u{F8F0}\n  Fish 盐沼"), Format::MapPdf);
        self::assertStringContainsString('(1)', $this->said[0]);
        self::assertStringContainsString('盐沼', (string) shell_exec('pdftotext ' . escapeshellarg($path) . ' -'));
        $this->written(Build::plan("Marsh \u{F8F0}"), Format::Pdf);
        self::assertStringContainsString('stand as question marks', implode($this->said));
        self::assertStringContainsString('No font that is installed here', implode($this->said));
    }

    public function testWhatRunsAtTheFootOfAPageIsShapedAsWell(): void
    {
        $plan = Build::plan('Marsh')->withProperties(new Properties(author: '潮水'));
        $style = Style::of(['footer' => ['by {author} ', 'מים', '{page}']] + Style::own('report')->toArray());
        $path = $this->written($plan, Format::Pdf, new Choices(draft: new DraftChoices(style: $style)));
        self::assertSame([], $this->said);
        $foot = self::bare((string) shell_exec('pdftotext -layout ' . escapeshellarg($path) . ' -'));
        self::assertStringContainsString('by潮水', $foot);
        self::assertStringContainsString('מים', $foot);
    }

    public function testWithoutTheProgramsItSaysWhatIsMissing(): void
    {
        self::assertNull(HarfBuzz::ofMachine([$this->folder]));
        $faces = new Typefaces(Shipped::bytes(...), null, 'zh');
        $lines = self::lines($faces, '盐沼 and नमक', 200.0);
        self::assertSame([], $lines[0]->pieces[0]->glyphs);
        self::assertSame([
            'They are of Han, Devanagari. HarfBuzz and FriBidi, which set them, are not installed here.'
                . ' A browser that has fonts for them prints these pages as they should be.',
        ], $faces->shaping->said());
    }

    public function testAProgramThatFailsTakesNoDocumentWithIt(): void
    {
        foreach (['hb-shape', 'hb-subset', 'fribidi'] as $program) {
            file_put_contents("{$this->folder}/{$program}", "#!/bin/sh\nexit 1\n");
            chmod("{$this->folder}/{$program}", 0o755);
        }
        $faces = new Typefaces(Shipped::bytes(...), HarfBuzz::ofMachine([$this->folder]), 'he');
        $lines = self::lines($faces, 'מים and sea', 400.0);
        self::assertSame('מים and sea', implode('', array_map(static fn(Piece $piece): string => $piece->text, $lines[0]->pieces)));
        self::assertStringContainsString('failed at it', implode($faces->shaping->said()));
    }

    /** @return iterable<string, array{string, string, string}> language, the patterns of the package, a text */
    public static function languages(): iterable
    {
        yield 'en' => ['en', 'en-us', 'The embankment surrendered unexpectedly; photographers documented extraordinary circumstances nevertheless.'];
        yield 'de' => ['de', 'de-1996', 'Überschwemmungen beschädigten jahrhundertealte Küstenschutzanlagen; Verantwortliche beschwichtigten.'];
        yield 'fr' => ['fr', 'fr', 'Les habitants découvrirent soudainement l’effondrement épouvantable des fortifications côtières.'];
        yield 'es' => ['es', 'es', 'Las inundaciones destruyeron completamente las fortificaciones costeras; nadie comprendía aquella catástrofe.'];
        yield 'it' => ['it', 'it', 'Gli abitanti abbandonarono precipitosamente le abitazioni danneggiate dalle inondazioni improvvise.'];
        yield 'nl' => ['nl', 'nl', 'Overstromingen beschadigden eeuwenoude verdedigingswerken; verantwoordelijken ontkenden herhaaldelijk.'];
        yield 'pt' => ['pt', 'pt', 'As inundações destruíram completamente fortificações centenárias; ninguém compreendia aquela catástrofe.'];
        yield 'pl' => ['pl', 'pl', 'Powodzie zniszczyły wielowiekowe umocnienia przybrzeżne; odpowiedzialni zaprzeczali wielokrotnie.'];
    }

    #[DataProvider('languages')]
    public function testWordsAreDividedWhereThePatternsOfTheirLanguageLetThem(string $language, string $package, string $text): void
    {
        $hyphens = Hyphenation::of(Language::of($language)) ?? self::fail('The patterns have not been built: npm run build.');
        preg_match_all('/[\p{L}]{5,}/u', mb_strtolower($text), $m);
        $script = "const { createRequire } = require('node:module'); const make = require('hyphen');"
            . "const hyphenate = make(require('hyphen/patterns/{$package}'), { hyphenChar: '-', async: false });"
            . 'console.log(JSON.stringify(JSON.parse(process.argv[1]).map((word) => hyphenate(word))))';
        $theirs = json_decode((string) shell_exec('cd ' . escapeshellarg(\dirname(__DIR__, 2)) . ' && node -e ' . escapeshellarg($script)
            . ' ' . escapeshellarg(json_encode($m[0], JSON_THROW_ON_ERROR))), true, 8, JSON_THROW_ON_ERROR);
        self::assertIsArray($theirs);
        $points = 0;
        foreach ($m[0] as $i => $word) {
            $divided = '';
            $at = $hyphens->points($word);
            foreach (mb_str_split($word) as $k => $letter) {
                $divided .= (\in_array($k, $at, true) ? '-' : '') . $letter;
            }
            // They know nothing of how many letters stay at the end of a word in a language.
            $last = \in_array($language, ['en', 'fr', 'pt'], true) ? (string) preg_replace('/-(?=..\z)/u', '', $theirs[$i]) : $theirs[$i];
            self::assertSame($last, $divided);
            $points += \count($at);
        }
        self::assertGreaterThan(8, $points);
    }

    public function testTheStyleSaysWhetherWordsAreDividedAndLinesAreOfEqualLength(): void
    {
        $text = str_repeat('The extraordinary embankment surrendered unexpectedly before photographers documented circumstances. ', 8);
        $plan = self::noted($text);
        $style = Style::of(['is_justified' => true, 'is_hyphenated' => true] + Style::own('report')->toArray());
        $path = $this->written($plan, Format::Pdf, new Choices(draft: new DraftChoices(style: $style)));
        $divided = self::dividedLines($path);
        self::assertGreaterThan(1, \count($divided));
        foreach ($divided as [$head, $tail]) {
            self::assertContains(mb_strlen($head), Hyphenation::of(Language::of('en'))?->points($head . $tail), "{$head}-{$tail}");
        }
        self::assertSame([], self::dividedLines($this->written($plan, Format::Pdf)));
    }

    /** @return list<array{string, string}> the words that are divided at the end of a line */
    private static function dividedLines(string $path): array
    {
        $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($path) . ' -');
        preg_match_all('/(\p{L}+)-\n\s*(\p{L}+)/u', $text, $m, PREG_SET_ORDER);

        return array_map(static fn(array $one): array => [$one[1], $one[2]], $m);
    }

    public function testASoftHyphenIsSeenOnlyWhereItsWordIsDivided(): void
    {
        $hyphens = Hyphenation::of(Language::of('en'));
        self::assertSame([3], $hyphens?->points("Sal\u{AD}ting"));
        $faces = Typefaces::shipped('en');
        self::assertSame($faces->width('Salting', 'serif', 11.0), $faces->width("Sal\u{AD}ting", 'serif', 11.0));
    }
}
