<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Difference\Difference;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Replay;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Shape;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Chance;

/** A log that kept what was asked becomes one of what happened: every state of the past is the same by both. */
final class ReplayTest extends TestCase
{
    private const STEPS = 20_000;
    private const EVERY = 500;
    /** Of the whole in bytes: where it is larger, topics are removed. */
    private const MOST = 12_000;

    public function testTwentyThousandStepsAreTheSameBeforeAndAfter(): void
    {
        mt_srand(20);
        $chance = new Chance();
        $first = $plan = $chance->plan();
        /** @var array<int, Operation> $asked */
        $asked = [];
        /** @var array<int, string> $prints seq → the whole plan after it, as it was read before */
        $prints = [];
        /** @var array<int, Plan> $points */
        $points = [];
        $isLarge = false;
        while (\count($asked) < self::STEPS) {
            $operation = $isLarge ? new RemoveTopics(\array_slice($plan->standing(), 0, 9)) : $chance->operation($plan);
            try {
                $after = $operation->apply($plan);
            } catch (OperationRefused) {
                continue;
            }
            $print = self::print($after);
            $isLarge = \strlen($print) > self::MOST;
            $seq = \count($asked) + 2;
            $asked[$seq] = $operation;
            $prints[$seq] = hash('xxh128', $print);
            // What was removed long ago is not asked for again: kept points would grow for ever.
            $plan = $seq % self::EVERY === 0 ? ($points[$seq] = self::kept($after)) : $after;
        }
        $state = $first;
        $steps = 0;
        foreach (Replay::of($first, $asked, static fn(int $seq): ?Plan => $points[$seq] ?? null) as $seq => $difference) {
            $state = $difference->in($state);
            self::assertSame($prints[$seq], hash('xxh128', self::print($state)), "After step {$seq}.");
            $state = $points[$seq] ?? $state;
            ++$steps;
        }
        self::assertSame(self::STEPS, $steps);
    }

    public function testWhatThePlanRefusesByNowHasDoneNothing(): void
    {
        $plan = Build\Build::plan("A\nB");
        $gone = new RemoveTopics([Build\Build::ulid(999)]);
        self::assertEquals([2 => new Difference()], iterator_to_array(Replay::of($plan, [2 => $gone], static fn(): null => null)));
    }

    /** Through storage, as a point that is kept, without what was removed, and with few sources and relations. */
    private static function kept(Plan $plan): Plan
    {
        $read = PlanForm::plan(
            new Shape(json_decode(json_encode(PlanForm::toArray($plan), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR), 'snapshot'),
        );
        $bin = array_flip($read->branch(Plan::BIN));
        unset($bin[Plan::BIN]);

        return new Plan(
            array_diff_key($read->topics, $bin),
            array_diff_key($read->parts, $bin + [Plan::BIN => true]),
            array_diff_key($read->parents, $bin),
            $read->properties,
            $read->foreign,
            \array_slice($read->sources, -9, null, true),
            \array_slice($read->relations, -9, null, true),
        );
    }

    private static function print(Plan $plan): string
    {
        $form = PlanForm::toArray($plan);
        $bin = array_flip($plan->branch(Plan::BIN));
        $form['topics'] = array_values(array_filter($form['topics'], static fn(array $topic): bool => !isset($bin[$topic['id']])));
        foreach (['sources', 'relations'] as $things) {
            usort($form[$things], static fn(array $a, array $b): int => strcmp($a['id'], $b['id']));
        }

        return json_encode($form, JSON_THROW_ON_ERROR);
    }
}
