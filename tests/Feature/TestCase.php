<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan as PlanRow;
use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanStore;
use Embrel\Plan\Plan;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Testing\TestResponse;
use Tests\Core\Build\Build;

abstract class TestCase extends LaravelTestCase
{
    use DatabaseTransactions;

    protected User $user;
    protected PlanRow $row;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->user = $this->account('ada');
        $this->actingAs($this->user);
        $this->row = $this->start("A\n  A1\n  A2\nB\n  B1\nC");
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        // A request that may take long says so to PHP; here that would be for all tests after it.
        set_time_limit(0);
    }

    protected function account(string $name): User
    {
        return User::query()->create(['name' => ucfirst($name), 'email' => "{$name}@example.org", 'password' => 'a long secret']);
    }

    protected function start(string $outline, ?User $user = null): PlanRow
    {
        return app(PlanStore::class)->create($user ?? $this->user, Build::plan($outline, new NewIds()));
    }

    protected function plan(bool $withNotes = true): Plan
    {
        return app(PlanStore::class)->load($this->row->refresh(), $withNotes);
    }

    protected function id(string $title): string
    {
        return Build::id($this->plan(false), $title);
    }

    protected function outline(): string
    {
        return Build::outline($this->plan(false));
    }

    /** @param array<string, mixed> ...$operations each without its envelope */
    protected function send(array ...$operations): TestResponse
    {
        $batch = array_map(static fn(array $one): array => $one + ['id' => self::newId(), 'step' => self::newId()], $operations);

        return $this->postJson("/plans/{$this->row->id}/operations", ['base' => $this->row->refresh()->revision, 'operations' => $batch]);
    }

    protected function step(string $which): TestResponse
    {
        return $this->postJson("/plans/{$this->row->id}/{$which}", ['base' => $this->row->refresh()->revision]);
    }

    protected static function newId(): string
    {
        return (new NewIds())->next();
    }
}
