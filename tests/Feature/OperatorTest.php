<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Hosts\HostCheck;
use App\Hosts\Measures;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;

/** What whoever runs Embrel holds in hand: how hosts are, what their logs say, and that the files of deploy/ are true. */
final class OperatorTest extends TestCase
{
    private static function path(string $of): string
    {
        return \dirname(__DIR__, 2) . "/{$of}";
    }

    // ---- How a host is

    public function testAHostSaysWhetherItsPartsAnswerAndHowLongEachTook(): void
    {
        $answer = $this->withHeaders(['Host' => '10.0.0.11'])->getJson('/ready')->assertOk();
        self::assertSame(['database', 'store', 'queue', 'cache'], array_keys($answer->json('parts')));
        self::assertTrue($answer->json('ready'));
        self::assertGreaterThanOrEqual(0, $answer->json('parts.database.ms'));
        config(['filesystems.disks.results.driver' => 'no such driver']);
        app('filesystem')->forgetDisk('results');
        $answer = $this->getJson('/ready')->assertStatus(503);
        self::assertSame([false, true], [$answer->json('parts.store.ok'), $answer->json('parts.database.ok')]);
        $this->getJson('/up')->assertOk();
    }

    public function testItSaysSoFromInsideAlone(): void
    {
        foreach (['/ready', '/metrics'] as $path) {
            $from = fn(string $address): int => $this->call('GET', $path, server: ['REMOTE_ADDR' => $address])->getStatusCode();
            self::assertSame([200, 200, 404, 404], array_map($from, ['127.0.0.1', '::1', '10.0.0.9', '192.0.2.1']));
            config(['embrel.inside' => ['10.0.0.0/24']]);
            self::assertSame([200, 404], array_map($from, ['10.0.0.9', '192.0.2.1']));
            config(['embrel.inside' => []]);
        }
    }

    public function testMeasuresAreInTheFormThatPrometheusReads(): void
    {
        $text = (string) $this->get('/metrics')->assertOk()->getContent();
        self::assertSame(Measures::TYPE, $this->get('/metrics')->headers->get('Content-Type'));
        $known = [];
        foreach (explode("\n", rtrim($text)) as $line) {
            if (preg_match('/\A# (?:HELP (\w+) .+|TYPE (\w+) (?:counter|gauge|histogram|summary))\z/', $line, $m) === 1) {
                $known[$m[1] ?: $m[2]] = true;
                continue;
            }
            self::assertSame(1, preg_match('/\A(\w+?)(?:_bucket|_sum|_count)?(?:\{\w+="[^"\\\\]*"\})? -?[0-9.]+(?:e[+-]?\d+)?\z/i', $line, $m), $line);
            self::assertTrue(isset($known[$m[1]]), "{$line} is told what it is before.");
        }
        self::assertStringContainsString('embrel_part_up{part="database"} 1', $text);
        self::assertStringNotContainsString('example.org', $text);
    }

    public function testEachRequestHasAnIdThatNobodyOutsideCanSet(): void
    {
        $id = (string) $this->get('/keys')->headers->get('X-Request-Id');
        self::assertMatchesRegularExpression('/\A[0-9a-z]{16}\z/', $id);
        $own = $this->withHeaders(['X-Request-Id' => 'of-a-browser'])->get('/keys')->headers->get('X-Request-Id');
        self::assertNotSame('of-a-browser', $own);
        $given = $this->call(
            'GET',
            '/keys',
            server: ['EMBREL_REQUEST_ID' => 'de0bd18344f9a1d84cfdbc4471b86e10'],
        )->headers->get('X-Request-Id');
        self::assertSame('de0bd18344f9a1d84cfdbc4471b86e10', $given);
        $odd = $this->call('GET', '/keys', server: ['EMBREL_REQUEST_ID' => "a\nb"])->headers->get('X-Request-Id');
        self::assertMatchesRegularExpression('/\A[0-9a-z]{16}\z/', (string) $odd);
    }

    public function testALineOfTheLogIsJsonWithTheIdOfTheRequestAndNothingThatAnybodyWrote(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'embrel');
        config(
            ['logging.default' => 'json', 'logging.channels.json.handler_with.stream' => $path, 'logging.channels.json.level' => 'error'],
        );
        Log::forgetChannel('json');
        Log::setDefaultDriver('json');
        Route::get('/fails', static fn() => DB::table('plans')->where('title', 'A secret title')->orderBy('no_such_column')->first());
        $id = $this->getJson('/fails?q=A+secret+title')->assertStatus(500)->headers->get('X-Request-Id');
        $lines = explode("\n", trim((string) file_get_contents($path)));
        unlink($path);
        self::assertCount(1, $lines);
        $line = json_decode($lines[0], true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([$id, 'ERROR'], [$line['context']['request'], $line['level_name']]);
        self::assertStringContainsString('no_such_column', $line['message']);
        self::assertStringNotContainsString('secret', $lines[0]);
    }

    public function testACheckSaysInWordsWhatIsWrongAndWhatMendsIt(): void
    {
        $said = static fn(): array => array_column(app(HostCheck::class)->all(), null, 0);
        config(['app.env' => 'production', 'app.url' => 'http://embrel.example', 'session.secure' => false]);
        $found = $said();
        self::assertFalse($found['APP_URL is http://embrel.example'][1]);
        self::assertSame('Sessions go over lines that anybody can read.', $found['SESSION_SECURE_COOKIE is off'][2]);
        self::assertFalse($found['No worker has asked the queue for a minute'][1]);
        self::assertTrue($found['The tables are up to date'][1]);
        Cache::put('alive.worker', time(), 60);
        config(['app.url' => 'https://embrel.example', 'session.secure' => true]);
        $found = $said();
        self::assertTrue($found['SESSION_SECURE_COOKIE is on'][1]);
        self::assertTrue($found['A worker takes work from the queue'][1]);
        DB::table('migrations')->orderByDesc('id')->limit(1)->delete();
        self::assertSame('Run bin/deploy migrate.', $said()['1 changes of the tables are to be made'][2]);
        config(['filesystems.disks.results.root' => '/proc/nowhere']);
        app('filesystem')->forgetDisk('results');
        self::assertFalse($said()['The store does not answer'][1]);
        self::assertSame(1, Artisan::call('embrel:check'));
        self::assertStringContainsString('things are wrong.', Artisan::output());
    }

    // ---- The files of deploy/

    public function testEverySettingIsExplainedOnce(): void
    {
        $read = [];
        foreach ([...(glob(self::path('config/*.php')) ?: []), ...(glob(self::path('app/*/*.php')) ?: [])] as $file) {
            preg_match_all("/(?<![a-z])(?:env|Secret::of)\\('([A-Z_]+)'/", (string) file_get_contents($file), $found);
            $read += array_fill_keys($found[1], basename($file));
        }
        $text = (string) file_get_contents(self::path('deploy/embrel.env.example'));
        preg_match_all('/^#?([A-Z_]+)=/m', $text, $named);
        $times = array_count_values($named[1]);
        self::assertSame([], array_diff_key($read, $times), 'Settings that are read and nowhere explained.');
        // Said again where another account has other values.
        unset($times['DB_USERNAME'], $times['DB_PASSWORD']);
        self::assertSame([], array_filter($times, static fn(int $n): bool => $n > 1), 'Explained twice.');
        $ofScripts = ['APP_ENV', 'QUEUE_CONNECTION', 'DB_MIGRATE_USERNAME', 'DB_MIGRATE_PASSWORD', 'DB_USERNAME', 'DB_PASSWORD'];
        self::assertSame([], array_diff(array_keys($times), array_keys($read), $ofScripts), 'Explained, and read by nothing.');
        self::assertGreaterThan(40, \count($times));
    }

    public function testEveryServiceRunsACommandThatThereIs(): void
    {
        $commands = array_keys(Artisan::all());
        $units = glob(self::path('deploy/systemd/*.service')) ?: [];
        self::assertCount(4, $units);
        foreach ($units as $unit) {
            preg_match('/^ExecStart=.* artisan ([a-z:-]+)/m', (string) file_get_contents($unit), $found);
            self::assertContains($found[1] ?? '', $commands, basename($unit));
        }
    }

    /** PHP allows on hosts what it allows on one machine. */
    public function testHostsAllowWhatOneMachineAllows(): void
    {
        preg_match('/^PHP_SETTINGS=\((.*)\)$/m', (string) file_get_contents(self::path('bin/lib.sh')), $own);
        $pool = (string) file_get_contents(self::path('deploy/php-fpm/embrel.conf'));
        foreach (['upload_max_filesize', 'post_max_size', 'memory_limit', 'max_input_vars'] as $name) {
            preg_match("/-d {$name}=(\S+)/", $own[1] ?? '', $here);
            self::assertStringContainsString("php_admin_value[{$name}] = " . ($here[1] ?? '?') . "\n", $pool);
        }
    }

    // ---- Two versions on one database

    public function testMigrationsOnlyAddUnlessTheirNameSaysThatTheyTakeAway(): void
    {
        foreach (glob(database_path('migrations/*.php')) ?: [] as $file) {
            if (basename($file) < '2026_12_23' || str_contains(basename($file), '_take_away_')) {
                continue;
            }
            $up = (string) preg_replace('/function down\(\).*/s', '', (string) file_get_contents($file));
            self::assertDoesNotMatchRegularExpression('/->(?:drop\w*|rename\w*|change)\(|Schema::drop|DROP |MODIFY |CHANGE /', $up, basename($file));
        }
    }

    /** So that plans can be spread over several databases. */
    public function testAPlanIsReachedByItsIdAlone(): void
    {
        $tables = DB::table('information_schema.columns')
            ->where('table_schema', config('database.connections.mariadb.database'))
            ->where('column_name', 'plan_id')
            ->pluck('table_name');
        self::assertGreaterThan(15, \count($tables));
        foreach ($tables as $table) {
            $first = DB::table('information_schema.statistics')
                ->where('table_schema', config('database.connections.mariadb.database'))
                ->where('table_name', $table)
                ->where('seq_in_index', 1)
                ->pluck('column_name')
                ->all();
            self::assertContains('plan_id', $first, "No index of {$table} begins with the plan.");
        }
        // The log of one is read by what begins with it too.
        $keys = DB::select('SHOW KEYS FROM operations WHERE Key_name = ?', ['PRIMARY']);
        self::assertSame(['plan_id', 'seq'], array_column(array_map(static fn(object $key): array => (array) $key, $keys), 'Column_name'));
    }
}
