<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Difference\Conflict;
use Embrel\Difference\Difference;
use Embrel\Difference\Lineup;
use Embrel\Difference\Undoing;
use Embrel\Operation\AddTopics;
use Embrel\Operation\EditNote;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Operation\SetField;
use Embrel\Operation\SortBy;
use Embrel\Operation\SortParts;
use Embrel\Plan\Dye;
use Embrel\Plan\Field;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Chance;

/** Undo among others: all that they did since stands as they left it, and everything else that the step changed is as it was before it. */
final class UndoLawTest extends TestCase
{
    private const STEPS = 12;

    /** @return iterable<string, array{int, int, int}> how many writers, and ranges of seeds */
    public static function writers(): iterable
    {
        foreach ([2, 5] as $writers) {
            for ($from = 1; $from <= 1000; $from += 250) {
                yield "{$writers} writers, plans {$from} to " . ($from + 249) => [$writers, $from, $from + 249];
            }
        }
    }

    #[DataProvider('writers')]
    public function testWhatOthersDidStandsAndTheRestIsAsBefore(int $writers, int $from, int $to): void
    {
        $undone = $refused = 0;
        for ($seed = $from; $seed <= $to; ++$seed) {
            mt_srand($seed * 7 + $writers);
            $chance = new Chance();
            $state = $chance->plan();
            /** @var list<array{int, Plan, Difference}> $log writer, the plan before, what was done */
            $log = [];
            while (\count($log) < self::STEPS) {
                try {
                    $after = $chance->operation($state)->apply($state);
                } catch (OperationRefused) {
                    continue;
                }
                $log[] = [mt_rand(1, $writers), $state, Difference::between($state, $after)];
                $state = $after;
            }
            for ($writer = 1; $writer <= $writers; ++$writer) {
                $own = array_keys(array_filter($log, static fn(array $one): bool => $one[0] === $writer));
                if ($own === []) {
                    continue;
                }
                [, $before, $step] = $log[end($own)];
                $others = array_map(static fn(array $one): array => [$one[2], ''], \array_slice($log, end($own) + 1));
                try {
                    $undoing = Undoing::of($step->reversed(), $others, $state);
                    $result = $undoing->difference->in($state, $undoing->placed);
                } catch (Conflict) {
                    ++$refused;

                    continue;
                }
                ++$undone;
                self::assertLaw($before, $step, array_column($others, 0), $state, $result, "Seed {$seed}, writer {$writer}.");
            }
        }
        self::assertGreaterThan($refused, $undone, 'Most steps can be taken back.');
        self::assertGreaterThan(20, $refused, 'Some cannot.');
    }

    /** @param list<Difference> $others */
    private static function assertLaw(Plan $before, Difference $step, array $others, Plan $now, Plan $result, string $message): void
    {
        $mine = $step->things();
        $theirs = array_merge(...array_map(static fn(Difference $one): array => $one->things(), $others));
        $placed = [];
        foreach ($theirs as $thing => $_) {
            [$id, $what] = explode('.', $thing, 2);
            if ($what === 'place' || $what === 'order') {
                $placed[$id] = true;
            }
        }
        $things = $mine + $theirs + self::things($now) + self::things($before);
        foreach ($things as $thing => $_) {
            // Of a topic that the step made, nothing is left to look at.
            $isGone = !self::lives($result, $thing) && !self::lives($before, $thing);
            if (isset($theirs[$thing])) {
                self::assertSame(self::value($now, $thing), self::value($result, $thing), "{$message} {$thing} is what others left.");
            } elseif (isset($mine[$thing]) && !$isGone) {
                self::assertSame(self::value($before, $thing), self::value($result, $thing), "{$message} {$thing} is as before.");
            } elseif (!$isGone && self::lives($result, $thing) && self::lives($now, $thing)) {
                self::assertSame(self::value($now, $thing), self::value($result, $thing), "{$message} {$thing} is nobody's.");
            }
        }
        $moved = array_fill_keys($step->topicsTouched(), true);
        foreach ($result->parts as $parent => $row) {
            if ($parent === Plan::BIN) {
                continue;
            }
            // Whom neither others nor the step have put elsewhere, and who stood here: in the order of then, and of now.
            foreach ([[$before, $placed], [$now, $moved]] as $i => [$plan, $apart]) {
                $stood = $plan->parts($parent);
                self::assertSame(
                    array_values(array_diff(array_intersect($stood, $row), array_keys($apart))),
                    array_values(array_diff(array_intersect($row, $stood), array_keys($apart))),
                    $message . [' The order before.', ' The order now.'][$i],
                );
            }
        }
    }

    /** @return array<string, true> everything of a plan that can be looked at by a name of its own */
    private static function things(Plan $plan): array
    {
        $things = [];
        foreach ($plan->standing() as $id) {
            foreach (['title', 'place', ...array_column(Field::cases(), 'value')] as $name) {
                $things["$id.$name"] = true;
            }
            foreach ($plan->topic($id)->note->blocks ?? [] as $block => $_) {
                $things["$id.note.$block"] = true;
            }
        }

        return $things;
    }

    private static function lives(Plan $plan, string $thing): bool
    {
        [$id] = explode('.', $thing, 2);

        return \in_array($id, ['source', 'relation', 'plan'], true) || $plan->isLive($id);
    }

    private static function value(Plan $plan, string $thing): mixed
    {
        [$id, $what] = explode('.', $thing, 2);

        return match (true) {
            $id === 'source' => ($plan->sources[$what] ?? null)?->title,
            $id === 'relation' => ($plan->relations[$what] ?? null)?->toArray(),
            $id === 'plan' => $plan->properties->things()[$what] ?? null,
            $what === 'order' => null,
            !$plan->isLive($id) => 'gone',
            $what === 'place' => $plan->parent($id),
            str_starts_with($what, 'note.') => ($plan->topic($id)->note->blocks[substr($what, 5)] ?? null)?->toArray(),
            default => TopicForm::toArray($plan->topic($id)->with(['note' => null]))[$what] ?? null,
        };
    }

    // ---- What people meet

    private static function plan(): Plan
    {
        return Build::plan("Tide\n  Storms\n  Mud\n  Gulls\nWall\n  Clay\n  Stone");
    }

    /** @param list<Operation> $others */
    private static function undone(Plan $plan, Operation $mine, array $others): Plan
    {
        $after = $mine->apply($plan);
        $step = Difference::between($plan, $after);
        $theirs = [];
        foreach ($others as $other) {
            $next = $other->apply($after);
            $theirs[] = [Difference::between($after, $next), 'Nora Pell'];
            $after = $next;
        }
        $undoing = Undoing::of($step->reversed(), $theirs, $after);

        return $undoing->difference->in($after, $undoing->placed);
    }

    public function testASortingIsTakenBackAroundWhatAnotherHasMovedAway(): void
    {
        $plan = self::plan();
        $id = static fn(string $title): string => Build::id($plan, $title);
        $away = new MoveTopics([$id('Mud')], new Place($id('Wall'), $id('Clay')));
        $result = self::undone($plan, new SortParts($id('Tide'), SortBy::Title), [$away]);
        self::assertSame("Tide\n  Storms\n  Gulls\nWall\n  Clay\n  Mud\n  Stone", Build::outline($result));
    }

    public function testATopicThatHoldsWhatAnotherPutThereDoesNotGo(): void
    {
        $plan = self::plan();
        $new = new Topic(Build::ulid(900), 'New');
        $this->expectException(Conflict::class);
        $this->expectExceptionMessage('Nora Pell');
        self::undone($plan, AddTopics::one($new, new Place(Plan::ROOT)), [
            AddTopics::one(new Topic(Build::ulid(901), 'Within'), new Place($new->id)),
        ]);
    }

    public function testATitleThatAnotherHasWrittenSinceIsNotWrittenOver(): void
    {
        $plan = self::plan();
        $mud = Build::id($plan, 'Mud');
        $this->expectException(Conflict::class);
        self::undone($plan, new Retitle($mud, 'Silt'), [new Retitle($mud, 'Sand')]);
    }

    public function testTwoWhoWroteInTwoParagraphsOfOneNoteDoNotMeet(): void
    {
        $plan = self::plan();
        $mud = Build::id($plan, 'Mud');
        [$one, $other] = [Build::ulid(910), Build::ulid(911)];
        $plan = $plan->with($plan->topic($mud)->withNote(Note::of([Node::plain('Grey', $one), Node::plain('Deep', $other)])));
        $theirs = new EditNote($mud, [Node::plain('Deeper', $other)]);
        $result = self::undone($plan, new EditNote($mud, [Node::plain('Brown', $one)]), [$theirs]);
        self::assertSame("Grey\nDeeper", $result->topic($mud)->note?->plainText());
    }

    public function testWhatComesBackStandsWhereItStoodAmongThoseThatAreStillThere(): void
    {
        $plan = self::plan();
        $id = static fn(string $title): string => Build::id($plan, $title);
        $result = self::undone($plan, new RemoveTopics([$id('Mud')]), [
            new MoveTopics([$id('Storms')], new Place(Plan::TRAY)),
            AddTopics::one(new Topic(Build::ulid(920), 'Sand'), new Place($id('Tide'))),
            new SetField(Field::Dye, [$id('Gulls')], Dye::of('fern')),
        ]);
        self::assertSame("Tide\n  Sand\n  Mud\n  Gulls\nWall\n  Clay\n  Stone", Build::outline($result));
    }

    public function testATopicDoesNotComeBackUnderOneThatHasGone(): void
    {
        $plan = self::plan();
        $this->expectException(Conflict::class);
        self::undone($plan, new RemoveTopics([Build::id($plan, 'Mud')]), [new RemoveTopics([Build::id($plan, 'Tide')])]);
    }

    public function testAPlaceInALongRowIsFoundAgainByItsNeighbours(): void
    {
        $row = array_map(static fn(int $i): string => Build::ulid($i), range(1, 300));
        $moved = $row;
        [$one] = array_splice($moved, 150, 1);
        array_splice($moved, 40, 0, [$one]);
        $lineup = Lineup::between($row, $moved);
        self::assertNotNull($lineup);
        self::assertSame([$one], $lineup->reordered());
        self::assertSame($row, $lineup->reversed()->in($moved));
        $removed = Lineup::between($row, array_values(array_diff($row, [$one])));
        self::assertNotNull($removed);
        self::assertLessThanOrEqual(41, \count($removed->was), 'Only the neighbours are kept.');
        // Of its neighbours all but one have gone, and others stand in between.
        $now = [...\array_slice($row, 0, 135), Build::ulid(400), ...\array_slice($row, 158, 40)];
        $back = $removed->reversed()->in($now);
        self::assertSame(Build::ulid(135), $back[array_search($one, $back, true) - 1]);
    }
}
