<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** A test in databases of its own, which go with it: what it does is really written, and nothing of it is rolled back. */
abstract class OwnDatabase extends LaravelTestCase
{
    private string $own;
    /** @var list<string> */
    private array $databases = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->own = (string) config('database.connections.mariadb.database');
        $this->in($this->newDatabase());
        Artisan::call('migrate', ['--force' => true]);
    }

    protected function tearDown(): void
    {
        $this->in($this->own);
        foreach ($this->databases as $database) {
            DB::statement("DROP DATABASE IF EXISTS `{$database}`");
        }
        parent::tearDown();
    }

    protected function newDatabase(): string
    {
        $name = 'embrel_own_' . bin2hex(random_bytes(4));
        DB::statement("CREATE DATABASE `{$name}` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");

        return $this->databases[] = $name;
    }

    protected function in(string $database): void
    {
        config(['database.connections.mariadb.database' => $database]);
        DB::purge();
    }
}
