<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Hosts\PrimaryFirst;
use App\Hosts\Replica;
use App\Hosts\Secret;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskState;
use App\Store\Devices;
use App\Store\Tasks;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Predis\Connection\ConnectionException;
use Predis\Connection\Parameters;
use Predis\Connection\StreamConnection;

/** What several hosts share: that each part may go away, and that none keeps what another needs. */
final class HostsTest extends TestCase
{
    /** @var list<string> which connection each query went over */
    private array $asked = [];

    /** A connection that writes to the database of the tests and reads late from a port of this machine. */
    private function connection(string $port): PrimaryFirst
    {
        $set = config('database.connections.mariadb');
        config(
            ['database.connections.two' => ['read' => [['host' => '127.0.0.1', 'port' => $port]], 'write' => [], 'sticky' => true] + $set],
        );
        $connection = DB::connection('two');
        self::assertInstanceOf(PrimaryFirst::class, $connection);
        $connection->listen(function (object $query): void {
            $this->asked[] = (string) $query->readWriteType;
        });

        return $connection;
    }

    protected function tearDown(): void
    {
        DB::purge('two');
        parent::tearDown();
    }

    public function testReadsGoToTheReplicaOnlyWhereTheyMayBeLate(): void
    {
        $connection = $this->connection((string) config('database.connections.mariadb.port'));
        $connection->select('SELECT 1');
        $connection->readLate(static fn() => self::fail('It is there.'));
        $connection->select('SELECT 1');
        $connection->transaction(static fn() => $connection->select('SELECT 1'));
        self::assertSame(['write', 'read', 'write'], $this->asked);
        $connection->table('jobs')->insert(['queue' => 'none', 'payload' => '', 'attempts' => 0, 'available_at' => 0, 'created_at' => 0]);
        $rows = $connection->table('jobs')->where('queue', 'none')->count();
        $connection->table('jobs')->where('queue', 'none')->delete();
        self::assertSame(1, $rows);
        self::assertSame('write', $this->asked[4], 'What was written in the same request is read where it was written.');
    }

    public function testWhereTheReplicaIsGoneThePrimaryAnswers(): void
    {
        $gone = 0;
        $connection = $this->connection('1');
        $connection->readLate(static function () use (&$gone): void {
            ++$gone;
        });
        self::assertSame(1, $connection->selectOne('SELECT 1 AS one')?->one);
        $connection->select('SELECT 2');
        self::assertSame(1, $gone, 'It is told once, and not asked again.');
        self::assertFalse($connection->readsLate());
    }

    public function testAReplicaThatGoesAmidARequestIsNotMissed(): void
    {
        $connection = $this->connection((string) config('database.connections.mariadb.port'));
        $gone = 0;
        $connection->readLate(static function () use (&$gone): void {
            ++$gone;
        });
        $id = (int) $connection->selectOne('SELECT CONNECTION_ID() AS id')?->id;
        DB::statement("KILL {$id}");
        self::assertSame(1, $connection->selectOne('SELECT 1 AS one')?->one);
        self::assertSame(1, $gone);
    }

    public function testWhatIsNoReplicaIsNeverTakenForOneThatIsUpToDate(): void
    {
        config(['database.connections.mariadb.read' => [['host' => '127.0.0.1']]]);
        self::assertFalse(Replica::mayAnswer(), 'It follows no primary.');
        Replica::wrote('anna');
        self::assertTrue(Replica::hasWritten('anna'));
        $this->travel(11)->seconds();
        self::assertFalse(Replica::hasWritten('anna'));
    }

    public function testWhoHasChangedSomethingIsRemembered(): void
    {
        config(['database.connections.mariadb.read' => [['host' => '127.0.0.1']]]);
        $this->get('/plans')->assertOk();
        self::assertFalse(Replica::hasWritten((string) $this->user->id));
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Another'])->assertOk();
        self::assertTrue(Replica::hasWritten((string) $this->user->id));
    }

    public function testSecretsComeFromAFileWhereOneIsNamed(): void
    {
        $path = tempnam(sys_get_temp_dir(), 'embrel');
        file_put_contents((string) $path, "what nobody knows\n");
        $_ENV['A_SECRET_FILE'] = $_SERVER['A_SECRET_FILE'] = (string) $path;
        self::assertSame('what nobody knows', Secret::of('A_SECRET'));
        unlink((string) $path);
        try {
            Secret::of('A_SECRET');
            self::fail('It cannot be read.');
        } catch (\RuntimeException $why) {
            self::assertStringContainsString('A_SECRET_FILE', $why->getMessage());
        } finally {
            unset($_ENV['A_SECRET_FILE'], $_SERVER['A_SECRET_FILE']);
        }
        self::assertSame('else', Secret::of('A_SECRET', 'else'));
    }

    public function testWhereSessionsAreKeptElsewhereTheyAreListedAndEndedAllTheSame(): void
    {
        config(['session.driver' => 'file', 'session.files' => $folder = sys_get_temp_dir() . '/embrel-' . bin2hex(random_bytes(4))]);
        mkdir($folder);
        $this->app->forgetInstance('session');
        $this->app->forgetInstance('session.store');
        auth()->logout();
        $agent = ['User-Agent' => 'Mozilla/5.0 (X11; Linux x86_64; rv:109.0) Gecko/20100101 Firefox/115.0'];
        $this->withHeaders($agent)->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'a long secret'])->assertRedirect();
        $listed = Devices::of($this->user, '');
        self::assertSame(['Firefox on Linux'], array_column($listed, 'name'));
        $id = (string) DB::table('sessions')->where('user_id', $this->user->id)->value('id');
        self::assertFileExists("{$folder}/{$id}");
        self::assertSame('', DB::table('sessions')->where('id', $id)->value('payload'));
        Devices::signOut($this->user, '');
        self::assertFileDoesNotExist("{$folder}/{$id}", 'With the row goes what it names.');
        self::assertSame([], Devices::of($this->user, ''));
        array_map(unlink(...), (array) glob("{$folder}/*"));
        rmdir($folder);
    }

    private function task(): Task
    {
        return app(Tasks::class)->start($this->user, TaskKind::HandOver, ['plan' => $this->row->id, 'choices' => ['format' => 'txt']], 100);
    }

    private static function state(Task $task): ?TaskState
    {
        return $task->refresh()->state;
    }

    public function testWorkWhoseProcessIsGoneIsSaidToHaveFailedAndIsNotDoneAfterwards(): void
    {
        Queue::fake();
        $task = $this->task();
        self::assertSame($task->id, Tasks::claim()?->id);
        Tasks::sweep();
        self::assertSame(TaskState::Running, self::state($task), 'Somebody is at it.');
        Tasks::letGo($task);
        Tasks::sweep();
        self::assertSame(TaskState::Failed, self::state($task));
        self::assertStringContainsString('try again', (string) $task->says);
        // The process was not gone but away, and comes back with what it made.
        Storage::disk(Task::DISK)->put($task->id, 'the file');
        Tasks::done($task, ['name' => 'a.txt']);
        self::assertSame([TaskState::Failed, null], [self::state($task), $task->result]);
        self::assertFalse(Storage::disk(Task::DISK)->exists($task->id));
    }

    public function testWhatTheQueueForgotIsPutInAgain(): void
    {
        Queue::fake();
        $this->task();
        Queue::fake();
        Tasks::sweep();
        Queue::assertNothingPushed();
        $this->travel(11)->seconds();
        Tasks::sweep();
        Queue::assertPushed(\App\Jobs\RunTask::class, 1);
        Tasks::sweep();
        Queue::assertPushed(\App\Jobs\RunTask::class, 1);
    }

    public function testWhatAKilledWorkerHadTakenHoldsUpNothing(): void
    {
        config(['queue.default' => 'database']);
        $this->task();
        self::assertSame(1, Queue::pendingSize());
        // A worker takes it, and is killed at once.
        self::assertNotNull(Queue::pop());
        self::assertSame([0, 1], [Queue::pendingSize(), Queue::size()]);
        $this->travel(11)->seconds();
        Tasks::sweep();
        self::assertSame(1, Queue::pendingSize());
    }

    /** @return iterable<string, array{\Closure(): \Throwable, int}> */
    public static function failures(): iterable
    {
        $database = static function (int $number): \PDOException {
            $why = new \PDOException("SQLSTATE[HY000] [{$number}] for a test");
            $why->errorInfo = ['HY000', $number, 'for a test'];

            return $why;
        };
        yield 'no database' => [static fn() => $database(2002), 503];
        yield 'a database that is read only' => [static fn() => $database(1290), 503];
        yield 'a full disk at the database' => [static fn() => $database(1021), 503];
        yield 'a statement that is wrong' => [static fn() => $database(1064), 500];
        yield 'a database that went away amid a transaction' => [static fn() => new \PDOException('There is no active transaction'), 503];
        yield 'a lost connection' => [static fn() => new \PDOException('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away'), 503];
        yield 'Redis that is starting' => [
            static fn() => new \Predis\Response\ServerException('LOADING Redis is loading the dataset'),
            503,
        ];
        yield 'no Redis' => [static fn() => new ConnectionException(new StreamConnection(new Parameters()), 'refused'), 503];
        yield 'something else' => [static fn() => new \LogicException('for a test'), 500];
    }

    /** @param \Closure(): \Throwable $why */
    #[DataProvider('failures')]
    public function testWhatIsAwayForAMomentIsToldFromWhatIsWrong(\Closure $why, int $status): void
    {
        Route::get('/fails', static fn() => throw $why());
        $answer = $this->getJson('/fails')->assertStatus($status);
        self::assertSame($status === 503 ? '3' : null, $answer->headers->get('Retry-After'));
        self::assertStringNotContainsString('for a test', (string) $answer->getContent());
        $page = $this->get('/fails')->assertStatus($status);
        self::assertStringNotContainsString('for a test', (string) $page->getContent());
    }
}
