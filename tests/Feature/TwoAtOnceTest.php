<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan;
use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanStore;
use App\Store\SignUps;
use App\Store\Snapshots;
use App\Store\Transaction;
use Embrel\Plan\Plan as CorePlan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Symfony\Component\Process\Process;
use Tests\Core\Build\Build;

/**
 * Two who ask at the same moment: by a connection to the database beside the test's own, which is amid a transaction, or
 * each in a process of its own.
 */
final class TwoAtOnceTest extends TestCase
{
    /** @var list<string> plans that others can see */
    private array $made = [];

    protected function setUp(): void
    {
        parent::setUp();
        config(['database.connections.beside' => config('database.connections.' . DB::getDefaultConnection())]);
        DB::connection('beside')->statement('SET SESSION innodb_lock_wait_timeout = 1');
        Mail::fake();
    }

    protected function tearDown(): void
    {
        foreach (['users', 'sign_ups'] as $table) {
            // By what an index knows, as all others are locked by the test.
            DB::connection('beside')->table($table)->whereIn('email', ['nel@beside.example', 'try@beside.example'])->delete();
        }
        array_map(
            static fn(string $id) => self::beside(static fn() => app(PlanStore::class)->erase(Plan::query()->findOrFail($id))),
            $this->made,
        );
        DB::connection('beside')->table('users')->where('email', 'both@beside.example')->delete();
        DB::purge('beside');
        parent::tearDown();
    }

    /**
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    private static function beside(\Closure $work): mixed
    {
        $own = DB::getDefaultConnection();
        DB::setDefaultConnection('beside');
        try {
            return $work();
        } finally {
            DB::setDefaultConnection($own);
        }
    }

    private static function letter(string $email): string
    {
        return basename(SignUps::begin(['name' => 'Nel', 'email' => $email, 'password' => 'a long secret']));
    }

    public function testWhoOpensAnAccountWaitsForNoLetterOfAnother(): void
    {
        self::letter('other@example.org');
        $opened = self::beside(static fn(): ?User => SignUps::open(self::letter('nel@beside.example')));

        self::assertSame('nel@beside.example', $opened?->email);
        self::assertSame(1, DB::table('sign_ups')->where('email', 'other@example.org')->count());
    }

    public function testOfTwoLettersToOneAddressOneOpensTheAccount(): void
    {
        [$first, $second] = [self::letter('nel@example.org'), self::letter('nel@example.org')];
        self::assertNotNull(SignUps::open($first));
        self::assertNull(SignUps::open($second), 'the letter has gone with the first');

        DB::table('sign_ups')->insert(
            ['token' => hash('sha256', $second), 'name' => 'Nel', 'email' => 'nel@example.org', 'password' => 'x', 'created_at' => now()],
        );
        self::assertNull(SignUps::open($second), 'the account was opened in between');
        self::assertSame(1, User::query()->where('email', 'nel@example.org')->count());
    }

    public function testWorkThatTheDatabaseEndedForAnotherIsDoneAgain(): void
    {
        $tries = 0;
        $name = self::beside(
            static fn(): mixed => Transaction::of(static function () use (&$tries): mixed {
                ++$tries;
                $user = User::query()->create(['name' => "Try {$tries}", 'email' => 'try@beside.example', 'password' => 'a long secret']);
                if ($tries === 1) {
                    throw new \PDOException('Deadlock found when trying to get lock; try restarting transaction', 40001);
                }

                return $user->name;
            }),
        );

        self::assertSame('Try 2', $name);
        self::assertSame(['Try 2'], DB::connection('beside')->table('users')->where('email', 'try@beside.example')->pluck('name')->all());
    }

    // ---- Each in a process of its own

    /** A plan that is written down for all to see. */
    private function seen(string $outline): Plan
    {
        return self::beside(function () use ($outline): Plan {
            $user = User::query()->firstOrCreate(['email' => 'both@beside.example'], ['name' => 'Both', 'password' => 'a long secret']);
            $plan = app(PlanStore::class)->create($user, Build::plan($outline, new NewIds()));
            $this->made[] = $plan->id;

            return $plan;
        });
    }

    /**
     * @param list<array<string, mixed>> $each what each of them is to do
     *
     * @return list<array<string, mixed>> what each of them says
     */
    private static function atOnce(array $each): array
    {
        $folder = sys_get_temp_dir() . '/embrel-at-once-' . bin2hex(random_bytes(6));
        mkdir($folder);
        $processes = [];
        foreach ($each as $i => $given) {
            $input = json_encode(['folder' => $folder, 'me' => $i, 'of' => \count($each)] + $given);
            $processes[] = $process = new Process([PHP_BINARY, __DIR__ . '/at-once.php'], input: (string) $input, timeout: 300);
            $process->start();
        }
        $said = array_map(static function (Process $process): array {
            self::assertSame(0, $process->wait(), $process->getErrorOutput() . $process->getOutput());

            return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        }, $processes);
        exec('rm -rf ' . escapeshellarg($folder));

        return $said;
    }

    /** @param array<string, mixed> ...$operations @return list<array{id: string, step: string, operation: array<string, mixed>}> */
    private static function batch(array ...$operations): array
    {
        return array_map(
            static fn(array $one): array => ['id' => self::newId(), 'step' => self::newId(), 'operation' => $one],
            $operations,
        );
    }

    public function testABatchThatArrivesTwiceAtOnceIsDoneOnce(): void
    {
        $row = $this->seen("A\nB");
        $batches = [];
        for ($i = 0; $i < 20; ++$i) {
            $topic = ['id' => self::newId(), 'title' => "Topic {$i}"];
            $batches[] = self::batch(['type' => 'add', 'at' => ['parent' => CorePlan::ROOT, 'after' => null], 'topics' => [$topic]]);
        }
        $given = ['kind' => 'apply', 'plan' => $row->id, 'user' => $row->owner_id, 'batches' => $batches];
        self::assertSame([['refused' => 0], ['refused' => 0]], self::atOnce([$given, $given]));
        $plan = self::beside(static fn(): CorePlan => app(PlanStore::class)->load($row->refresh()));
        self::assertCount(22, $plan->standing());
        self::assertSame(21, $row->revision);
        self::assertSame(20, DB::connection('beside')->table('operations')->where('plan_id', $row->id)->count());
    }

    public function testTwoWhoMoveTheSameTopicsAtOnceLeaveAPlanThatHangsTogetherWithAllThatTheyDidInItsLog(): void
    {
        $row = $this->seen(implode("\n", array_map(static fn(int $i): string => "T{$i}", range(0, 9))));
        $ids = self::beside(static fn(): CorePlan => app(PlanStore::class)->load($row))->parts(CorePlan::ROOT);
        $work = [];
        foreach ([3, 7] as $seed) {
            mt_srand($seed);
            $batches = [];
            for ($i = 0; $i < 30; ++$i) {
                [$one, $into] = [$ids[mt_rand(0, 9)], [CorePlan::ROOT, ...$ids][mt_rand(0, 10)]];
                $batches[] = self::batch(['type' => 'move', 'ids' => [$one], 'at' => ['parent' => $into, 'after' => null]]);
            }
            $work[] = ['kind' => 'apply', 'plan' => $row->id, 'user' => $row->owner_id, 'batches' => $batches];
        }
        [$first, $second] = self::atOnce($work);
        $store = app(PlanStore::class);
        $now = self::beside(static fn(): CorePlan => $store->load($row->refresh()));
        self::assertEqualsCanonicalizing($ids, $now->standing());
        self::assertSame(60 - $first['refused'] - $second['refused'], $row->revision - 1, 'Each that was not refused is one of the log.');
        $replayed = self::beside(static fn(): ?CorePlan => (new Snapshots($store))->at($row, $row->revision));
        self::assertSame(Build::outline($now), Build::outline($replayed ?? self::fail('It was not kept.')));
    }

    public function testOfTwoWhoWaitForEachOtherBothAreDoneInTheEnd(): void
    {
        $plans = [$this->seen('A')->id, $this->seen('B')->id];
        $said = self::atOnce([['kind' => 'both', 'plans' => $plans], ['kind' => 'both', 'plans' => array_reverse($plans)]]);
        self::assertGreaterThan(2, array_sum(array_column($said, 'tries')), 'The database has ended one of them.');
        self::assertSame([2, 2], DB::connection('beside')->table('plans')->whereIn('id', $plans)->pluck('words')->map(intval(...))->all());
    }
}
