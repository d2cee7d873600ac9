<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\SourceForm;
use Embrel\Difference\Difference;
use Embrel\Difference\DifferenceForm;
use Embrel\Numbering\Numbering;
use Embrel\Numbering\Runs;
use Embrel\Operation\Codec;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Transition;
use Embrel\Operation\Wording;
use Embrel\Plan\Comparison;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Plan\Relation;
use Embrel\RichText\Note;
use Embrel\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Chance;

/** On random trees: every operation, what it did, taken back and brought back, each through storage and back. */
final class OperationLawTest extends TestCase
{
    private const TREES = 1000;

    /** @return iterable<string, array{int, int}> ranges of seeds, so that they run side by side */
    public static function seeds(): iterable
    {
        for ($from = 1; $from <= self::TREES; $from += 250) {
            yield "trees {$from} to " . ($from + 249) => [$from, $from + 249];
        }
    }

    #[DataProvider('seeds')]
    public function testInversesUndo(int $from, int $to): void
    {
        $applied = [];
        for ($seed = $from; $seed <= $to; ++$seed) {
            mt_srand($seed);
            $chance = new Chance();
            $first = $plan = $chance->plan();
            $sum = new Difference();
            for ($i = 0; $i < 10; ++$i) {
                $before = $plan;
                $plan = $this->checked($before, $chance->operation($before), $seed, $applied);
                $sum = $sum->then(Difference::between($before, $plan));
            }
            self::assertSame(self::picture($plan), self::picture(self::kept($plan)), "Seed {$seed}: the whole plan through storage.");
            self::assertSame(self::picture($plan), self::picture($sum->in($first)), "Seed {$seed}: all differences as one.");
            self::assertSame(self::picture($first), self::picture($sum->reversed()->in($plan)), "Seed {$seed}: and turned round.");
            self::assertSame(
                self::picture($first),
                self::picture(self::stored(Transition::between($plan, $first))->apply($plan)),
                "Seed {$seed}: going back to the start.",
            );
        }
        foreach (
            [
                'wrap',
                'dissolve',
                'sort',
                'copy',
                'source',
                'edit-source',
                'fold',
                'divide',
                'relate',
                'relation',
                'work',
                'finish',
                'shift',
                'add',
                'remove',
                'move',
                'split',
                'join',
                'retitle',
                'kind',
                'dye',
                'flag',
                'target',
                'numbered',
                'size',
                'alone',
                'spot',
                'picture',
                'label',
                'change-label',
                'note',
                'plan',
                'compound',
            ] as $type
        ) {
            self::assertGreaterThan(20, $applied[$type] ?? 0, "Too few operations of type {$type} were tried.");
        }
    }

    /** @param array<string, int> $applied */
    private function checked(Plan $plan, Operation $operation, int $seed, array &$applied): Plan
    {
        $operation = self::stored($operation);
        try {
            $after = $operation->apply($plan);
        } catch (OperationRefused $why) {
            self::assertNotSame('', $why->getMessage());

            return $plan;
        }
        $type = (string) $operation->toArray()['type'];
        self::assertMatchesRegularExpression('/\A\p{Lu}[^\n]{4,}\z/u', Wording::of($operation, $plan), $type);
        $applied[$type] = ($applied[$type] ?? 0) + 1;
        self::assertSound($after);
        self::assertNumbersFollow($plan, $after, "Seed {$seed}: {$type}.");
        $difference = self::logged(Difference::between($plan, $after));
        self::assertSame(self::picture($after), self::picture($difference->in($plan)), "Seed {$seed}: {$type} out of the log.");
        $back = $difference->reversed()->in($after);
        self::assertSame(self::picture($plan), self::picture($back), "Seed {$seed}: undoing {$type}.");
        $again = self::logged(Difference::between($after, $back))->reversed()->in($back);
        self::assertSame(self::picture($after), self::picture($again), "Seed {$seed}: redoing {$type}.");

        return $after;
    }

    private static function stored(Operation $operation): Operation
    {
        $json = json_encode($operation->toArray(), JSON_THROW_ON_ERROR);
        $decoded = Codec::decode(json_decode($json, true, 512, JSON_THROW_ON_ERROR));
        self::assertSame($json, json_encode($decoded->toArray(), JSON_THROW_ON_ERROR));

        return $decoded;
    }

    private static function logged(Difference $difference): Difference
    {
        $json = json_encode(DifferenceForm::toArray($difference), JSON_THROW_ON_ERROR);
        $read = DifferenceForm::read(new Shape(json_decode($json, true, 512, JSON_THROW_ON_ERROR), 'difference'));
        self::assertSame($json, json_encode(DifferenceForm::toArray($read), JSON_THROW_ON_ERROR));

        return $read;
    }

    private static function kept(Plan $plan): Plan
    {
        return PlanForm::plan(
            new Shape(json_decode(json_encode(PlanForm::toArray($plan), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR), 'snapshot'),
        );
    }

    /** Everything that a person could see of a plan. */
    private static function picture(Plan $plan): string
    {
        $sources = array_map(SourceForm::toArray(...), $plan->sources);
        ksort($sources);
        $relations = array_map(static fn(Relation $relation): array => $relation->toArray(), $plan->relations);
        ksort($relations);
        $lines = [json_encode([$plan->properties->toArray(), $sources, $relations]), $plan->title()];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $level) {
                $topic = $plan->topic($id);
                $lines[] = implode("\t", [
                    $level,
                    $id,
                    $topic->title,
                    $topic->kind->value,
                    $topic->numbered->value,
                    $topic->dye?->stored(),
                    $topic->flag?->value,
                    $topic->target?->words,
                    $topic->size?->value,
                    $topic->alone?->value,
                    $topic->spot?->value(),
                    $topic->picture?->value(),
                    implode(',', $topic->labels),
                    $topic->noted ? 'noted' : '',
                    $topic->words,
                    $topic->note?->toJson() ?? Note::empty()->toJson(),
                ]);
            }
        }

        return implode("\n", $lines);
    }

    private static function assertSound(Plan $plan): void
    {
        $seen = [];
        foreach ($plan->parts as $parent => $ids) {
            foreach ($ids as $id) {
                self::assertArrayNotHasKey($id, $seen, 'A topic stands in two places.');
                self::assertSame((string) $parent, $plan->parent($id));
                self::assertTrue($plan->has($id));
                $seen[$id] = true;
            }
        }
        self::assertCount(\count($plan->topics) - 3, $seen, 'A topic stands nowhere.');
    }

    /** The numbers that are told of a change turn those before it into those after it. */
    private static function assertNumbersFollow(Plan $plan, Plan $after, string $message): void
    {
        $difference = Comparison::between($plan, $after);
        $shown = Numbering::of($plan)->own;
        foreach ($difference->moved as $id) {
            $shown = array_fill_keys($plan->has($id) ? $after->branch($id) : [], 'unknown') + $shown;
        }
        foreach (Runs::since($plan, $after, $difference) as $run) {
            foreach (isset($run['under']) ? \array_slice($after->branch($run['under']), 1) : [] as $id) {
                $shown[$id] = preg_replace('/^' . preg_quote($run['was'], '/') . '(?=\.)/', $run['is'], $shown[$id] ?? '');
            }
            foreach ($run['own'] ?? [] as $i => $own) {
                $shown[$after->parts($run['parent'])[$run['from'] + $i]] = $own;
            }
        }
        $numbering = Numbering::of($after);
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($after->walk($home) as $id => $_) {
                self::assertSame($numbering->own($id), $shown[$id] ?? '', $message);
            }
        }
    }
}
