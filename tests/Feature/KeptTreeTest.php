<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\NewIds;
use App\Store\PlanStore;
use App\Store\StepBack;
use Embrel\Operation\OperationRefused;
use Embrel\Plan\Plan;
use Illuminate\Support\Facades\DB;
use Tests\Core\Build\Chance;

/** A large plan is read from the tree that was kept and the rows since: the same plan as from its rows alone. */
final class KeptTreeTest extends TestCase
{
    public function testWithItAPlanIsWhatItsRowsSay(): void
    {
        $store = app(PlanStore::class);
        foreach ([2, 7] as $seed) {
            mt_srand($seed);
            $this->row = $this->start(self::lines());
            self::assertTrue($this->row->refresh()->has_tree);
            $chance = new Chance(new NewIds());
            for ($round = 0; $round < 60; ++$round) {
                $plan = $store->load($this->row->refresh(), true);
                $store->apply($this->row, $this->user, [$store->change($chance->operation($plan))], mt_rand(0, 1) === 0);
                if (mt_rand(0, 4) === 0) {
                    try {
                        app(StepBack::class)->undo($this->row, $this->user, $this->row->revision);
                    } catch (OperationRefused) {
                    }
                }
                $this->assertReadsTheSame("seed {$seed}, round {$round}");
            }
        }
    }

    public function testItIsKeptAnewWhenManyRowsAreNewer(): void
    {
        $this->row = $this->start(self::lines());
        $first = $this->keptAt();
        $this->send(['type' => 'retitle', 'topic' => $this->plan(false)->standing()[3], 'title' => 'Called otherwise']);
        self::assertSame($first, $this->keptAt(), 'one row is read beside it');
        $sections = $this->plan(false)->parts(Plan::ROOT);
        $this->send(['type' => 'remove', 'ids' => $sections]);
        $this->assertReadsTheSame('all gone');
        app(StepBack::class)->undo($this->row->refresh(), $this->user, $this->row->revision);
        self::assertGreaterThan($first, $this->keptAt());
        $this->assertReadsTheSame('all back');
    }

    public function testWithoutItOrWithOneOfOtherColumnsNothingIsMissing(): void
    {
        $this->row = $this->start(self::lines());
        $plan = $this->plan(false);
        DB::table('trees')->update(['body' => json_encode(['columns' => 'of before', 'ids' => 'nothing that is known'])]);
        self::assertEquals($plan, $this->plan(false));
        DB::table('trees')->delete();
        self::assertEquals($plan, $this->plan(false));
        $this->send(['type' => 'retitle', 'topic' => $plan->standing()[3], 'title' => 'Called otherwise']);
        $this->send(['type' => 'sort', 'parent' => $plan->parts(Plan::ROOT)[0], 'by' => 'title']);
        self::assertSame($this->row->refresh()->revision, $this->keptAt(), 'kept again');
    }

    private function keptAt(): int
    {
        return (int) DB::table('trees')->where('plan_id', $this->row->id)->value('revision');
    }

    private static function lines(): string
    {
        $lines = [];
        for ($i = 0; $i < 450; ++$i) {
            $lines[] = str_repeat('  ', min(2, $i % 15)) . "Topic number {$i}";
        }

        return implode("\n", $lines);
    }

    private function assertReadsTheSame(string $message): void
    {
        $store = app(PlanStore::class);
        $kept = $store->load($this->row->refresh(), true);
        $rows = $store->load((clone $this->row)->forceFill(['has_tree' => false]), true);
        self::assertEquals($rows, $kept, $message);
    }
}
