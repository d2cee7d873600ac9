<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Difference\Difference;
use Embrel\Difference\Undoing;
use Embrel\Draft\Choices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Operation\AddTopics;
use Embrel\Operation\ChangeLabel;
use Embrel\Operation\Codec;
use Embrel\Operation\JoinTopics;
use Embrel\Operation\MalformedOperation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\SetLabels;
use Embrel\Operation\Wording;
use Embrel\Plan\Dye;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Label;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Reader\Csv\CsvReader;
use Embrel\Reader\Opml\OpmlReader;
use Embrel\Writer\Csv\CsvWriter;
use Embrel\Writer\Opml\OpmlWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Labels of the writer's own: put on topics, listed once in the plan, called otherwise, made one, carried by files. */
final class LabelTest extends TestCase
{
    private Plan $plan;

    protected function setUp(): void
    {
        $this->plan = Build::plan("Tide\n  Mud\n  Gulls\nWall");
    }

    private function id(string $title): string
    {
        return Build::id($this->plan, $title);
    }

    private function put(string $title, string ...$labels): void
    {
        $this->plan = (new SetLabels([$this->id($title)], array_values($labels)))->apply($this->plan);
    }

    /** @return list<string> */
    private function labels(string $title): array
    {
        return $this->plan->topic($this->id($title))->labels;
    }

    /** @return array<string, string> name → dye */
    private function list(): array
    {
        return array_map(static fn(Dye $dye): string => $dye->value, $this->plan->properties->labels);
    }

    public function testLabelsStandInTheOrderOfTheAlphabetAndTheListGivesEachADyeThatFewHave(): void
    {
        $this->put('Mud', 'field', 'archive', 'Field');
        $this->put('Gulls', 'FIELD', 'ask Pell');
        self::assertSame([['archive', 'field'], ['ask Pell', 'field']], [$this->labels('Mud'), $this->labels('Gulls')]);
        self::assertSame(['archive' => 'weld', 'ask Pell' => 'woad', 'field' => 'madder'], $this->list());
        $this->plan = (new SetLabels([$this->id('Mud'), $this->id('Gulls')], ['done'], ['Field']))->apply($this->plan);
        self::assertSame([['archive', 'done'], ['ask Pell', 'done']], [$this->labels('Mud'), $this->labels('Gulls')]);
    }

    public function testALabelIsCalledOtherwiseOnAllTopicsAndTwoBecomeOne(): void
    {
        $this->put('Mud', 'field');
        $this->put('Gulls', 'field', 'fieldwork');
        $this->plan = (new ChangeLabel('field', 'on site'))->apply($this->plan);
        self::assertSame([['on site'], ['fieldwork', 'on site']], [$this->labels('Mud'), $this->labels('Gulls')]);
        self::assertSame(['fieldwork' => 'weld', 'on site' => 'madder'], $this->list());
        $this->plan = (new ChangeLabel('on site', 'Fieldwork'))->apply($this->plan);
        self::assertSame([['fieldwork'], ['fieldwork']], [$this->labels('Mud'), $this->labels('Gulls')]);
        self::assertSame(['fieldwork' => 'weld'], $this->list(), 'The other keeps its dye.');
        $this->plan = (new ChangeLabel('fieldwork', 'fieldwork', Dye::of('orchil')))->apply($this->plan);
        self::assertSame(['fieldwork' => 'orchil'], $this->list());
        $this->plan = (new ChangeLabel('fieldwork', 'Fieldwork'))->apply($this->plan);
        self::assertSame([['Fieldwork'], ['Fieldwork' => 'orchil']], [$this->labels('Gulls'), $this->list()]);
        $this->plan = (new ChangeLabel('fieldwork', null))->apply($this->plan);
        self::assertSame([[], [], []], [$this->labels('Mud'), $this->labels('Gulls'), $this->list()]);
        $this->expectException(OperationRefused::class);
        (new ChangeLabel('fieldwork', 'x'))->apply($this->plan);
    }

    public function testUndoOfALabelLeavesTheLabelsThatOthersHavePutSince(): void
    {
        $after = (new SetLabels([$this->id('Mud')], ['field']))->apply($this->plan);
        $mine = Difference::between($this->plan, $after);
        $now = (new SetLabels([$this->id('Wall')], ['archive']))->apply($after);
        $undoing = Undoing::of($mine->reversed(), [[Difference::between($after, $now), 'Nora Pell']], $now);
        $this->plan = $undoing->difference->in($now, $undoing->placed);
        self::assertSame([[], ['archive'], ['archive' => 'weld']], [$this->labels('Mud'), $this->labels('Wall'), $this->list()]);
    }

    public function testWhatComesWithLabelsBringsThemIntoTheList(): void
    {
        $this->plan = AddTopics::one(new Topic(Build::ulid(90), 'New', labels: ['2024']), new Place(Plan::ROOT))->apply($this->plan);
        self::assertSame([2024 => 'madder'], $this->list());
        $this->put('Mud', 'field');
        $this->plan = (new JoinTopics($this->id('Gulls'), $this->id('Mud')))->apply($this->plan);
        self::assertSame(['field'], $this->plan->topic($this->id('Gulls Mud'))->labels);
    }

    public function testEveryNameComesThroughTheStoredFormsOfOperationsAndOfThePlan(): void
    {
        $this->put('Mud', '2024', 'Émile’s', '0');
        $form = json_decode((string) json_encode(\Embrel\Plan\PlanForm::toArray($this->plan)), true);
        $again = \Embrel\Plan\PlanForm::plan(\Embrel\Shape::of($form, 'plan'));
        self::assertSame(['0', '2024', 'Émile’s'], $again->topic($this->id('Mud'))->labels);
        self::assertEquals($this->plan->properties->labels, $again->properties->labels);
        foreach ([new SetLabels([$this->id('Mud')], ['a'], ['b']), new ChangeLabel('a', 'b', Dye::of('fern'))] as $operation) {
            self::assertEquals($operation, Codec::decode(json_decode((string) json_encode($operation->toArray()), true)));
        }
        self::assertSame('Put the label “a”, “b” on “Mud”', Wording::of(new SetLabels([$this->id('Mud')], ['a', 'b']), $this->plan));
        self::assertSame('Took the label “b” off “Mud”', Wording::of(new SetLabels([$this->id('Mud')], [], ['b']), $this->plan));
        self::assertSame('Called the label “a” “b”', Wording::of(new ChangeLabel('a', 'b'), $this->plan));
    }

    /** @return iterable<string, array{string}> */
    public static function noNames(): iterable
    {
        yield 'nothing' => [''];
        yield 'blanks' => ["  \t "];
        yield 'two' => ['a, b'];
        yield 'too long' => [str_repeat('x', Label::LENGTH + 1)];
    }

    #[DataProvider('noNames')]
    public function testWhatIsNoLabelIsRefused(string $name): void
    {
        $this->expectException(InvalidValue::class);
        Label::name($name);
    }

    public function testTooManyAndMisshapenAreRefused(): void
    {
        $many = array_map(static fn(int $i): string => "l{$i}", range(0, Label::MOST));
        foreach ([['put' => $many], ['put' => 'x'], ['put' => [5]], ['put' => [["\xff"]]], ['put' => ["\xff"]]] as $bad) {
            try {
                Codec::decode(['type' => 'label', 'ids' => [$this->id('Mud')]] + $bad);
                self::fail((string) json_encode($bad, JSON_INVALID_UTF8_SUBSTITUTE));
            } catch (MalformedOperation) {
                self::addToAssertionCount(1);
            }
        }
        $this->put('Mud', ...\array_slice($many, 1));
        $this->expectException(OperationRefused::class);
        $this->put('Mud', 'one more');
    }

    public function testAnOutlineFileCarriesLabelsAsCategories(): void
    {
        $this->put('Mud', 'field', 'archive');
        $this->plan = (new ChangeLabel('field', 'field', Dye::of('verdigris')))->apply($this->plan);
        $file = self::written(new OpmlWriter(), $this->plan);
        self::assertStringContainsString('text="Mud" category="archive,field"', $file);
        $back = (new OpmlReader())->read(self::stream($file), new Options(), new CountedIds())->plan;
        self::assertSame(['archive', 'field'], $back->topic(Build::id($back, 'Mud'))->labels);
        self::assertEquals($this->plan->properties->labels, $back->properties->labels, 'With their dyes.');
    }

    public function testCategoriesOfOtherProgramsAreLabelsAndTheirPathsAreKept(): void
    {
        $file = '<opml version="2.0"><body><outline text="Eels" category="/Places/Marsh, field,archive , field"/></body></opml>';
        $plan = (new OpmlReader())->read(self::stream($file), new Options(), new CountedIds())->plan;
        $eels = $plan->topic(Build::id($plan, 'Eels'));
        self::assertSame([['archive', 'field'], ['category' => '/Places/Marsh']], [$eels->labels, $eels->foreign]);
        self::assertSame(['archive', 'field'], array_keys($plan->properties->labels));
        self::assertStringContainsString('category="archive,field,/Places/Marsh"', self::written(new OpmlWriter(), $plan));
    }

    public function testATableHasAColumnForLabelsWhereThereAreAny(): void
    {
        self::assertStringStartsWith('level,number,title,kind,flag,target,words,note', self::written(new CsvWriter(), $this->plan));
        $this->put('Mud', 'field', 'archive');
        $file = self::written(new CsvWriter(), $this->plan);
        self::assertStringStartsWith('level,number,title,kind,flag,labels,target,words,note', $file);
        self::assertStringContainsString('2,1.1,Mud,section,,"archive, field",,,', $file);
        $back = (new CsvReader())->read(self::stream($file), new Options(), new CountedIds())->plan;
        self::assertSame(['archive', 'field'], $back->topic(Build::id($back, 'Mud'))->labels);
    }

    private static function written(\Embrel\Writer\Writer $writer, Plan $plan): string
    {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        $writer->write($plan, new Choices(), $out, sys_get_temp_dir());
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** @return resource */
    private static function stream(string $text)
    {
        $in = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        fwrite($in, $text);
        rewind($in);

        return $in;
    }
}
