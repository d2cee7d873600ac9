<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Archive\Package as Zip;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\ShowChoices;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;

/** Slides: what stands in the files, and what a presentation program that we did not write makes of them. */
final class SlidesTest extends TestCase
{
    use Folder;

    private static function plan(): Plan
    {
        $plan = Build::plan("Tide & sand\n  Mud\n  Deep water\nWall");
        $mud = hash('sha256', Package::png(90, 60));
        $note = Note::of([Schema::block([
            'type' => 'paragraph',
            'attrs' => ['id' => Build::ulid(901)],
            'content' => [['type' => 'text', 'text' => 'Say this <slowly>.']],
        ])]);

        return $plan
            ->with($plan->topic(Plan::ROOT)->withTitle('The marsh'))
            ->with($plan->topic(Build::id($plan, 'Mud'))->with(['picture' => Picture::of("{$mud}:90x60@90")]))
            ->with($plan->topic(Build::id($plan, 'Tide & sand'))->withNote($note))
            ->withProperties(new Properties(author: 'Ada', subtitle: 'Low water', language: 'en-GB'));
    }

    private static function pictures(): Shelved
    {
        return new Shelved([Package::png(90, 60)]);
    }

    public function testASlideHasItsTitleAndTextInTheirPlacesItsNotesAndWhatItsPictureShows(): void
    {
        $zip = Zip::open($this->written(self::plan(), Format::Pptx, new Choices(pictures: self::pictures())));
        self::assertStringContainsString('<p:ph type="ctrTitle"/>', $zip->text('ppt/slides/slide1.xml'));
        self::assertStringContainsString('Low water', $zip->text('ppt/slides/slide1.xml'));
        $tide = $zip->text('ppt/slides/slide2.xml');
        self::assertMatchesRegularExpression('~<p:ph type="title"/>.*Tide &amp; sand.*<p:ph idx="1"/>.*1\.1.*Mud.*1\.2.*Deep water~s', $tide);
        self::assertStringContainsString('Say this &lt;slowly&gt;.', $zip->text('ppt/notesSlides/notesSlide2.xml'));
        self::assertStringContainsString('descr="Mud"', $zip->text('ppt/slides/slide3.xml'));
        self::assertSame([], $this->said);

        $zip = Zip::open($this->written(self::plan(), Format::Odp, new Choices(pictures: self::pictures())));
        $odp = $zip->text('content.xml');
        self::assertMatchesRegularExpression('~presentation:class="title".*Tide &amp; sand.*presentation:class="outline".*Mud.*presentation:class="notes".*Say this~s', $odp);
        self::assertStringContainsString('<svg:desc>Mud</svg:desc>', $odp);
    }

    /** @return iterable<string, array{Format, ShowChoices, int}> */
    public static function counts(): iterable
    {
        foreach ([Format::Pptx, Format::Odp, Format::SlidesPdf] as $format) {
            yield "{$format->value}, one a section" => [$format, new ShowChoices(), 5];
            yield "{$format->value}, one for each line" => [$format, new ShowChoices(levels: 1, eachStep: true), 5];
            yield "{$format->value}, main sections" => [$format, new ShowChoices(levels: 1), 3];
        }
        yield 'handouts of two' => [Format::HandoutPdf, new ShowChoices(sheet: 2), 3];
        yield 'handouts of six' => [Format::HandoutPdf, new ShowChoices(sheet: 6), 1];
    }

    #[DataProvider('counts')]
    public function testAnotherProgramShowsEachAsAPage(Format $format, ShowChoices $show, int $count): void
    {
        $path = $this->written(self::plan(), $format, new Choices(pictures: self::pictures(), show: $show));
        if ($format->extension() !== 'pdf') {
            $path = $this->made('pdf', $path);
        }
        self::assertMatchesRegularExpression("/Pages:\\s+{$count}\\n/", (string) shell_exec('pdfinfo ' . escapeshellarg($path)));
        $text = (string) shell_exec('pdftotext -raw ' . escapeshellarg($path) . ' -');
        foreach (['The marsh', 'Low water', 'Tide & sand', 'Mud', 'Deep water', 'Wall'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        exec('qpdf --check ' . escapeshellarg($path) . ' 2>&1', $checked, $code);
        self::assertSame(0, $code, implode("\n", $checked));
    }

    public function testEachOfOurLooksHasItsOwnFontsAndColours(): void
    {
        $fonts = [];
        foreach (array_keys(Style::OWN) as $name) {
            $choices = new Choices(draft: new DraftChoices(style: Style::own($name)));
            $zip = Zip::open($this->written(self::plan(), Format::Pptx, $choices));
            preg_match('/<a:majorFont><a:latin typeface="([^"]+)"/', $zip->text('ppt/theme/theme1.xml'), $m);
            $fonts[$name] = $m[1] ?? '';
            // The colour of its section is beside it only where the look has colours.
            $isDyed = str_contains($zip->text('ppt/slides/slide2.xml'), 'name="Line"');
            self::assertSame(\in_array($name, ['report', 'plain'], true), $isDyed, $name);
        }
        self::assertSame(['report' => 'Georgia', 'essay' => 'Times New Roman', 'manuscript' => 'Courier New', 'plain' => 'Arial'], $fonts);
    }

    public function testAPictureThatIsGoneIsSaidAndWhatItShowedStandsInItsPlace(): void
    {
        foreach ([Format::Pptx, Format::Odp, Format::SlidesPdf, Format::HandoutPdf] as $format) {
            $this->written(self::plan(), $format, new Choices(pictures: new Shelved([])));
            self::assertStringContainsString('Pictures (1) are not there any more', implode(' ', $this->said), $format->value);
        }
    }

    public function testAPlanWithoutTopicsIsOneSlideAndALongTitleIsWholeOnIt(): void
    {
        $long = trim(str_repeat('clay and tide ', 70));
        foreach ([Plan::titled('Nothing yet'), Plan::titled($long)] as $plan) {
            foreach ([Format::Pptx, Format::Odp, Format::SlidesPdf] as $format) {
                $path = $this->written($plan, $format);
                self::assertGreaterThan(1000, filesize($path));
            }
            $text = (string) shell_exec('pdftotext -raw ' . escapeshellarg($path) . ' -');
            self::assertSame(trim($plan->title()), trim((string) preg_replace('/\s+/', ' ', $text)));
        }
    }

    public function testSignsThatXmlHasNoRoomForAreLeftOut(): void
    {
        $plan = Build::plan('Clay');
        $plan = $plan->with($plan->topic(Build::id($plan, 'Clay'))->with(['title' => "Cl\u{FFFE}ay  and tide"]));
        foreach ([[Format::Pptx, 'ppt/slides/slide2.xml'], [Format::Odp, 'content.xml']] as [$format, $part]) {
            $xml = Zip::open($this->written($plan, $format))->text($part);
            self::assertNotFalse(simplexml_load_string($xml));
            self::assertStringNotContainsString("\u{FFFE}", $xml);
        }
    }
}
