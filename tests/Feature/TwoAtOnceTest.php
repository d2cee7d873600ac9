<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Store\SignUps;
use App\Store\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/** Two who ask at the same moment: by a connection to the database beside the test's own, which is amid a transaction. */
final class TwoAtOnceTest extends TestCase
{
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
}
