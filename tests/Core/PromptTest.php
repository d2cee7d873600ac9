<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Plan\Edit;
use Embrel\Plan\Form;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Prompt\Asking;
use Embrel\Prompt\Bank;
use Embrel\Prompt\Cues;
use Embrel\Prompt\Question;
use Embrel\Prompt\Stand;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Trees;

/** Questions of a topic: those that fit it, in its language, none twice, none that stands there or is answered. */
final class PromptTest extends TestCase
{
    private const REPORT = "Why the marsh matters\n  Storms\n    The flood of 1953\n  Objections of the farmers\nThe wall\n  Why it leaks\nWhat to do next";

    private static function plan(string $language = 'en', Form $form = Form::Report): Plan
    {
        $plan = Build::plan(self::REPORT);

        return $plan->withProperties($plan->properties->with(['language' => $language, 'form' => $form->value]));
    }

    /**
     * @param list<string> $asked
     *
     * @return list<string> ids
     */
    private static function ids(Plan $plan, string $title, ?Note $note = null, array $asked = [], int $most = 200): array
    {
        $id = $title === '' ? Plan::ROOT : Build::id($plan, $title);

        return array_column(Asking::of($plan, $id, $note, $asked, $most), 'id');
    }

    public function testTheBankIsWholeInBothLanguages(): void
    {
        self::assertGreaterThanOrEqual(100, \count(Bank::ALL));
        $stands = array_column(Stand::cases(), 'value');
        $forms = array_column(Form::cases(), 'value');
        $cues = ['', 'name', 'year', 'place', 'number', 'why', 'comparison'];
        $answers = ['', 'year', 'number', 'example', 'because', 'but', 'quotation', 'citation'];
        foreach (Bank::ALL as $id => [$stand, $for, $cue, $answer, $english, $german]) {
            self::assertContains($stand, [...$stands, ''], $id);
            self::assertSame([], array_diff($for, $forms), $id);
            self::assertContains($cue, $cues, $id);
            self::assertContains($answer, $answers, $id);
            foreach ([$english, $german] as $text) {
                self::assertMatchesRegularExpression('/\?\z/', $text, $id);
                preg_match_all('/\{(\w+)\}/', $text, $used);
                self::assertSame([], array_diff($used[1], ['title', $cue]), $id);
            }
            preg_match_all('/\{\w+\}/', $english, $in);
            preg_match_all('/\{\w+\}/', $german, $im);
            self::assertEqualsCanonicalizing($in[0], $im[0], $id);
        }
        foreach ([4, 5] as $language) {
            self::assertSame(\count(Bank::ALL), \count(array_unique(array_column(Bank::ALL, $language))));
        }
    }

    /** @return iterable<string, array{string, string, array<string, string>, 3?: string}> */
    public static function titles(): iterable
    {
        yield 'a year' => ['en', 'The flood of 1953', ['year' => '1953']];
        yield 'a number is no year' => ['en', 'A wall of 1900 %', ['number' => '1900 %']];
        yield 'a year and a number' => ['en', '12 houses lost in 1953', ['year' => '1953', 'number' => '12']];
        yield 'a part of a number is none' => ['en', 'Model A4x', []];
        yield 'a why' => ['en', 'Why the wall leaks', ['why' => 'Why']];
        yield 'a why in German' => ['de', 'Warum der Deich leckt', ['why' => 'Warum']];
        yield 'a comparison' => ['en', 'Wall or marsh', ['comparison' => 'l or m']];
        yield 'a comparison in German' => ['de', 'Deich oder Wiese', ['comparison' => 'h oder W']];
        yield 'a country' => ['en', 'Dikes of the Netherlands', ['place' => 'Netherlands']];
        yield 'a country in German' => ['de', 'Deiche der Niederlande', ['place' => 'Niederlande']];
        yield 'somewhere' => ['en', 'A night at Marl Farm', ['place' => 'Marl Farm']];
        yield 'a noun in German is no place' => ['de', 'Ein Abend in Gesellschaft', []];
        yield 'somebody' => ['en', 'What Ada Pell found', ['name' => 'Ada Pell']];
        yield 'somebody with a title' => ['de', 'Die Messungen von Dr. Rook', ['name' => 'Rook']];
        yield 'one whose works the plan has' => ['de', 'Messungen nach Thorne', ['name' => 'Ben Thorne']];
        yield 'written large, a capital tells nothing' => ['en', 'The Marsh Before The Great Wall', []];
        yield 'nothing' => ['en', '', []];
        yield 'hostile' => ['en', "\u{202E}{name} {year} '\"<b>", []];
    }

    /** @param array<string, string> $cues */
    #[DataProvider('titles')]
    public function testWhatATitleHasInItIsRecognised(string $language, string $title, array $cues): void
    {
        $source = new Source(Build::ulid(5), 'Thorne 2001', SourceKind::Book, [new Person('Thorne', 'Ben')]);
        $found = Cues::of($title, self::plan($language)->withSources([$source->id => $source]));
        self::assertEquals($cues, $found);
    }

    public function testTheFormAndThePlaceOfATopicDecide(): void
    {
        $plan = self::plan();
        self::assertContains('open-asked-for', self::ids($plan, ''));
        self::assertStringStartsWith('open-', self::ids($plan, '')[0]);
        self::assertContains('objection-best', self::ids($plan, 'Objections of the farmers'));
        self::assertContains('end-next', self::ids($plan, 'What to do next'));
        self::assertContains('cue-year-before', self::ids($plan, 'The flood of 1953'));
        self::assertStringStartsWith('cue-year-', self::ids($plan, 'The flood of 1953')[0], 'What only it can be asked comes first.');
        self::assertNotContains('claim-want', self::ids($plan, 'The wall'), 'Nobody wants anything in a report.');
        self::assertContains('claim-want', self::ids(self::plan(form: Form::Book), 'The wall'));
        $quote = $plan->with($plan->topic(Build::id($plan, 'Storms'))->with(['kind' => Kind::Quote]));
        self::assertContains('quote-said', self::ids($quote, 'Storms'));
    }

    public function testWhatTheNoteAnswersIsNotAsked(): void
    {
        $plan = self::plan();
        $answers = [
            'proof-when' => 'It came in 1953.',
            'proof-number' => 'There were 12 of them.',
            'proof-example' => 'Some went, for example the mill.',
            'proof-quote' => 'She said: “The water was in the kitchen.”',
        ];
        foreach ($answers as $id => $text) {
            self::assertContains($id, self::ids($plan, 'The flood of 1953', Build::note('Nothing.')), $id);
            self::assertNotContains($id, self::ids($plan, 'The flood of 1953', Build::note($text)), $id);
        }
    }

    public function testNoneIsAskedTwice(): void
    {
        foreach (['en', 'de'] as $language) {
            $plan = self::plan($language);
            $asked = [];
            while ($found = Asking::of($plan, Build::id($plan, 'The wall'), null, $asked, 4)) {
                $ids = array_column($found, 'id');
                self::assertSame([], array_intersect($asked, $ids));
                array_push($asked, ...$ids);
            }
            self::assertGreaterThan(15, \count($asked), $language);
        }
    }

    public function testWhatStandsThereIsNotAskedAgain(): void
    {
        $plan = self::plan();
        $id = Build::id($plan, 'The wall');
        [$first, $second, $third] = Asking::of($plan, $id, null, [], 3);
        $edit = new Edit($plan);
        $edit->append(new Topic(Build::ulid(91), mb_strtoupper($first->text)), $id);
        $edit->append(new Topic(Build::ulid(92), $second->text), Plan::TRAY);
        $with = $edit->done();
        $note = Note::of([new Node(NodeType::Question, ['id' => Build::ulid(93)], [Node::text($third->text)])]);
        self::assertSame([], array_intersect([$first->id, $second->id, $third->id], self::ids($with, 'The wall', $note)));
    }

    public function testOfAnyPlanEveryQuestionIsWhole(): void
    {
        self::assertNotSame([], Asking::of(Plan::titled(''), Plan::ROOT, null), 'A plan without a title or a topic.');
        for ($seed = 1; $seed <= 60; ++$seed) {
            $plan = Trees::random($seed, 20);
            $plan = $plan->withProperties($plan->properties->with(['language' => ['en', 'de', 'fr'][$seed % 3]]));
            foreach ($plan->walk() as $id => $_) {
                $asked = Asking::of($plan, $id, null);
                self::assertNotSame([], $asked);
                foreach ($asked as $question) {
                    self::assertDoesNotMatchRegularExpression('/\{\w+\}/', str_replace($plan->topic($id)->title, '', $question->text));
                }
                self::assertEquals($asked, Asking::of($plan, $id, null), 'The same again.');
            }
            self::assertTrue($plan->isLive(Asking::next($plan)));
        }
    }

    public function testATitleOfAThousandSignsIsShortenedInAQuestion(): void
    {
        $plan = Build::plan(str_repeat('long ', 190));
        foreach (Asking::of($plan, $plan->parts(Plan::ROOT)[0], null, [], 200) as $question) {
            self::assertLessThan(200, mb_strlen($question->text));
        }
        self::assertInstanceOf(Question::class, Asking::of($plan, Plan::ROOT, null)[0]);
    }
}
