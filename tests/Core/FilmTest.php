<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Difference\Difference;
use Embrel\Film\Frame;
use Embrel\Film\Sides;
use Embrel\Operation\EditNote;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Plan\Place;
use Embrel\RichText\Node;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Chance;

/** The history as a film: every frame is the state that the plan had. */
final class FilmTest extends TestCase
{
    public function testEachFrameIsTheStateThatThePlanHadInTwoHundredHistories(): void
    {
        for ($history = 0; $history < 200; ++$history) {
            mt_srand($history);
            $chance = new Chance();
            $plan = $played = $chance->plan();
            $frame = Frame::of($plan);
            for ($step = 0; $step < 25; ++$step) {
                try {
                    $after = $chance->operation($plan)->apply($plan);
                } catch (OperationRefused) {
                    continue;
                }
                // As the film has it: the difference of the log, applied to the state before; and a cut to its frame.
                $played = Difference::between($plan, $after)->in($played);
                $cut = $frame->cutTo(Frame::of($played));
                $frame = $frame->after(json_decode((string) json_encode($cut), true));
                self::assertEquals(Frame::of($after), $frame, "History {$history}, step {$step}.");
                $plan = $after;
            }
        }
    }

    public function testACutTellsNoMoreThanWhatIsAnother(): void
    {
        $plan = Build::plan("A\n  A1\n  A2\nB\nC");
        $frame = Frame::of($plan);
        self::assertSame(['from' => 5, 'gone' => 0, 'rows' => []], $frame->cutTo($frame));
        $renamed = Frame::of((new Retitle(Build::id($plan, 'A2'), 'Clay'))->apply($plan));
        $cut = $frame->cutTo($renamed);
        self::assertSame([2, 1, 'Clay'], [$cut['from'], $cut['gone'], $cut['rows'][0][3]]);
        $titled = Frame::of((new Retitle(\Embrel\Plan\Plan::ROOT, 'Other'))->apply($plan));
        self::assertSame('Other', $frame->cutTo($titled)['title'] ?? null);
    }

    public function testTwoMomentsStandSideBySideWithTheirWordsMarked(): void
    {
        $before = Build::plan("Wall\n  Clay\nTide\nMud");
        [$wall, $clay, $tide, $mud] = array_map(
            static fn(string $one): string => Build::id($before, $one),
            ['Wall', 'Clay', 'Tide', 'Mud'],
        );
        $block = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
        $note = static fn(string $words): EditNote => new EditNote($clay, [Node::plain($words, $block)], [], null, []);
        $before = $note('The old wall stood.')->apply($before);
        $after = $before;
        $changes = [
            $note('The sea wall stood.'),
            new Retitle($tide, 'The tide'),
            new RemoveTopics([$mud]),
            new MoveTopics([$clay], new Place($tide)),
        ];
        foreach ($changes as $operation) {
            $after = $operation->apply($after);
        }
        $sides = array_column(Sides::of($before, $after), null, 'id');
        self::assertSame(['changed', 'moved', 'gone'], array_map(static fn(string $id): string => $sides[$id]['what'], [$tide, $clay, $mud]));
        self::assertArrayNotHasKey($wall, $sides);
        self::assertSame([['=', 'The '], ['-', 'old '], ['+', 'sea '], ['=', 'wall stood.']], $sides[$clay]['text']);
        self::assertSame(['1.1 Clay', '2.1 Clay'], [$sides[$clay]['before'], $sides[$clay]['after']]);
        self::assertSame([], Sides::of($after, $after));
    }
}
