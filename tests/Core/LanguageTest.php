<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Cited;
use Embrel\Citation\Manual;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\References;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Language\English;
use Embrel\Language\Language;
use Embrel\Numbering\Numbering;
use Embrel\Numbering\Written;
use Embrel\Operation\SetField;
use Embrel\Plan\Field;
use Embrel\Plan\Numbered;
use Embrel\Plan\Properties;
use Embrel\RichText\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** What is handed over speaks the language of the plan. */
final class LanguageTest extends TestCase
{
    public function testEveryTableHasAllThatTheEnglishOneHas(): void
    {
        self::assertSame(['en', 'de', 'fr', 'es', 'it', 'nl', 'pt', 'pl'], Language::known());
        foreach (Language::known() as $tag) {
            $language = Language::of("{$tag}-XX");
            foreach (array_keys(English::TABLE['words']) as $word) {
                self::assertNotSame('', $language->say($word), "{$tag}: {$word}");
                self::assertSame(
                    substr_count(English::TABLE['words'][$word], '%s'),
                    substr_count($language->say($word), '%s'),
                    "{$tag}: {$word} has the place for what is put in.",
                );
            }
            for ($month = 1; $month <= 12; ++$month) {
                self::assertNotSame('', $language->month($month) . $language->month($month, true));
            }
        }
        self::assertSame('Contents', Language::of('ja')->say('contents'), 'One that has no table says it in English.');
    }

    /** @return iterable<string, array{string, string, string, string, string}> language, date, month alone, edition, quotation */
    public static function ways(): iterable
    {
        yield 'en' => ['en', 'May 3, 1994', 'May 1994', '2nd ed.', '“Mud,”'];
        yield 'de' => ['de-AT', '3. Mai 1994', 'Mai 1994', '2. Aufl.', '„Mud“,'];
        yield 'fr' => ['fr', '3 mai 1994', 'mai 1994', '2e éd.', "«\u{a0}Mud\u{a0}»,"];
        yield 'es' => ['es', '3 de mayo de 1994', 'mayo de 1994', '2.ª ed.', '«Mud»,'];
        yield 'it' => ['it', '3 maggio 1994', 'maggio 1994', '2ª ed.', '«Mud»,'];
        yield 'nl' => ['nl', '3 mei 1994', 'mei 1994', '2e druk', '“Mud”,'];
        yield 'pt' => ['pt', '3 de maio de 1994', 'maio de 1994', '2.ª ed.', '“Mud”,'];
        yield 'pl' => ['pl', '3 maja 1994', 'maj 1994', 'wyd. 2', '„Mud”,'];
    }

    #[DataProvider('ways')]
    public function testDatesEditionsAndQuotationsAreWrittenAsTheLanguageHasThem(
        string $tag,
        string $date,
        string $month,
        string $edition,
        string $quoted,
    ): void {
        $page = new Source('A', 'Mud', SourceKind::WebPage, [Person::typed('Pell, Anna')]);
        $said = static fn(Manual $style, string $date, string $edition = ''): string => self::printed(
            $style,
            $tag,
            $page->with(['date' => PartialDate::of($date), 'edition' => $edition]),
        );
        self::assertStringContainsString(" {$date}", $said(Manual::ChicagoDates, '1994-05-03'));
        self::assertStringContainsString(" {$month}", $said(Manual::ChicagoDates, '1994-05'));
        self::assertStringContainsString("({$edition})", $said(Manual::Apa, '1994', '2'));
        $same = $said(Manual::Apa, '1994', $edition);
        self::assertStringContainsString("({$edition})", $same, 'What says so already is left as it is.');
        self::assertStringContainsString("{$quoted} {$date}", $said(Manual::ChicagoNotes, '1994-05-03'));
    }

    /** A citation of a source and its entry in the list, one after the other. */
    private static function printed(Manual $style, string $language, Source $source): string
    {
        $printed = References::of($style->style(), $language, [$source->id => $source], [[new Cited($source->id)]]);

        return implode('', array_map(static fn(Node $run): string => $run->text, [...$printed->citations[0], ...$printed->list[0]['runs']]));
    }

    public function testTheFirstOfAMonthAndALongNumber(): void
    {
        $page = new Source('A', 'Mud', SourceKind::WebPage, [Person::typed('Pell, Anna')], date: PartialDate::of('1994-05-01'));
        self::assertStringContainsString('1er mai 1994', self::printed(Manual::ChicagoNotes, 'fr', $page));
        self::assertStringContainsString('1º maggio 1994', self::printed(Manual::ChicagoNotes, 'it', $page));
        self::assertSame(['3,600', '3.600'], [Language::of('en')->number(3600), Language::of('de')->number(3600)]);
    }

    public function testChaptersPartsAndAppendicesAreCalledInTheLanguageOfThePlan(): void
    {
        $numbers = static function (string $tag, bool $runOn): array {
            $plan = Build::plan("Watt\n  Schlick\nDeich\nFunde");
            $plan = $plan->withProperties((new Properties())->with(['language' => $tag, 'numbering' => 'chapter', 'run_on' => $runOn]));
            $plan = (new SetField(Field::Numbered, [Build::id($plan, 'Funde')], Numbered::Appendix))->apply($plan);

            $numbering = Numbering::of($plan);

            return array_map(
                static fn(string $title): string => $numbering->own(Build::id($plan, $title)),
                ['Watt', 'Schlick', 'Deich', 'Funde'],
            );
        };
        self::assertSame(['Kapitel 1', '1.1', 'Kapitel 2', 'Anhang A'], $numbers('de', false));
        self::assertSame(['Teil I', 'Kapitel 1', 'Teil II', 'Anhang A'], $numbers('de-CH', true));
        self::assertSame(['Chapitre 1', '1.1', 'Chapitre 2', 'Annexe A'], $numbers('fr', false));
        self::assertSame(['Chapter 1', '1.1', 'Chapter 2', 'Appendix A'], $numbers('ja', false));
        foreach (Language::known() as $tag) {
            foreach ($numbers($tag, false) as $number) {
                self::assertTrue(Written::isNumber("{$number} "), "{$number} is read again as a number.");
            }
        }
    }

    public function testADraftInGermanSaysWhatItSaysInGerman(): void
    {
        $plan = Build::plan("Watt\n  Schlick")->withProperties((new Properties())->with(['language' => 'de', 'numbering' => 'chapter']));
        $document = Draft::of($plan, new Choices());
        self::assertSame(['Inhalt', 'Abbildungen'], [$document->contentsTitle(), $document->figuresTitle()]);
        self::assertStringStartsWith('etwa ', $document->field('words'));
        self::assertStringEndsWith(' Wörter', $document->field('words'));
        self::assertSame('Kapitel 1', $document->elements[0]->number);
    }
}
