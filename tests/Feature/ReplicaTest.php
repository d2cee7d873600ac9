<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanStore;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Tests\Core\Build\Build;

/** Which pages are read where a copy of the database is, one request after the other, as a person goes. */
final class ReplicaTest extends OwnDatabase
{
    private string $plan;
    /** @var array<string, true> over which connections was read */
    private array $over = [];

    protected function setUp(): void
    {
        parent::setUp();
        $user = User::query()->create(['name' => 'Ada', 'email' => 'ada@example.org', 'password' => 'x']);
        $this->plan = app(PlanStore::class)->create($user, Build::plan("A\n  A1\nB", new NewIds()))->id;
        $this->actingAs($user);
        // The same server stands for a copy of it, and is well.
        $server = ['host' => config('database.connections.mariadb.host'), 'port' => config('database.connections.mariadb.port')];
        config(['database.connections.mariadb.read' => [$server], 'database.connections.mariadb.write' => []]);
        config(['database.connections.mariadb.sticky' => true]);
        DB::purge();
        Cache::put('replica.state', 'well', 3600);
        DB::listen(function (QueryExecuted $query): void {
            if (str_starts_with(strtolower(ltrim($query->sql)), 'select')) {
                $this->over[(string) $query->readWriteType] = true;
            }
        });
    }

    /** @return list<string> over which connections the page was read */
    private function reads(string $path): array
    {
        $this->over = [];
        // Each request begins anew, on a connection of its own.
        DB::connection()->forgetRecordModificationState();
        $this->get($path)->assertSuccessful();
        $over = array_keys($this->over);
        sort($over);

        return $over;
    }

    public function testWhatMayBeLateIsReadThereAndWhatMustNotIsNot(): void
    {
        $at = "/plans/{$this->plan}";
        $late = [
            '/plans',
            '/plan-names',
            "{$at}/history",
            "{$at}/history/steps?from=1&to=1",
            "{$at}/find?text=A",
            "{$at}/hand-over/preview?format=html",
        ];
        foreach ($late as $path) {
            self::assertContains('read', $this->reads($path), $path);
        }
        foreach ([$at, "{$at}/map", "{$at}/changes?since=0", "{$at}/comments", '/account'] as $path) {
            self::assertSame(['write'], $this->reads($path), $path);
        }
    }

    public function testWhoeverWritesReadsItAtOnceAndLaterThereAgain(): void
    {
        self::assertContains('read', $this->reads('/plans'));
        $this->patch("/plans/{$this->plan}", ['title' => 'Renamed'])->assertRedirect();
        self::assertSame(['write'], $this->reads('/plans'));
        $this->get('/plans')->assertSee('Renamed');
        $this->travel(11)->seconds();
        Cache::put('replica.state', 'well', 3600);
        self::assertContains('read', $this->reads('/plans'));
    }

    public function testWhereTheCopyIsBehindOrGoneThePrimaryServesThePage(): void
    {
        foreach (['behind', 'gone', 'asked'] as $state) {
            Cache::put('replica.state', $state, 3600);
            self::assertSame(['write'], $this->reads('/plans'), $state);
        }
        // It is thought to be well, and is not there: nobody notices, and it is left alone from then on.
        Cache::put('replica.state', 'well', 3600);
        config(['database.connections.mariadb.read' => [['host' => '127.0.0.1', 'port' => '1']]]);
        DB::purge();
        $this->get('/plans')->assertOk()->assertSee('Test plan');
        self::assertSame('gone', Cache::get('replica.state'));
    }
}
