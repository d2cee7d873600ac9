<?php

declare(strict_types=1);

namespace App\Hosts;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Redis;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Looks at the host it runs on, and says in sentences what is wrong there and what mends it. It changes nothing but that it writes a
 * small file to the store and takes it away again.
 */
final class HostCheck
{
    private const EXTENSIONS = [
        'ctype',
        'curl',
        'dom',
        'fileinfo',
        'gd',
        'intl',
        'mbstring',
        'openssl',
        'pcntl',
        'pdo_mysql',
        'xmlreader',
        'xmlwriter',
        'zip',
    ];
    /** Setting → its name, and where it may be kept. */
    private const SHARED = [
        'cache.default' => ['CACHE_STORE', ['redis']],
        'session.driver' => ['SESSION_DRIVER', ['redis', 'database']],
        'queue.default' => ['QUEUE_CONNECTION', ['redis', 'database']],
    ];
    /** In seconds: farther apart, sealed addresses and codes for signing in begin to fail. */
    private const APART = 5;
    private const ROOM = 2 * 1024 ** 3;
    /** What the account of the application needs of the database, and no more; migrations have another. */
    private const RIGHTS = ['SELECT', 'INSERT', 'UPDATE', 'DELETE', 'USAGE'];

    /** @var list<array{string, bool|null, string}> what was looked at, whether it is well (null: it may be meant so), and what is to be done */
    private array $found = [];

    /** @return list<array{string, bool|null, string}> */
    public function all(): array
    {
        $this->found = [];
        $this->program();
        $this->settings();
        $this->folders();
        $parts = $this->parts();
        if ($parts['database']['ok']) {
            $this->database();
        }
        $this->mail();
        if ($parts['cache']['ok']) {
            $this->processes();
        }

        return $this->found;
    }

    /** @param string $else what to say in place of `$what` where it is not so */
    private function say(string $what, ?bool $isWell, string $mend = '', string $else = ''): void
    {
        $this->found[] = [$isWell === true || $else === '' ? $what : $else, $isWell, $mend];
    }

    private function program(): void
    {
        $missing = array_values(array_filter(self::EXTENSIONS, static fn(string $name): bool => !\extension_loaded($name)));
        $this->say('PHP ' . PHP_VERSION, PHP_MAJOR_VERSION . '.' . PHP_MINOR_VERSION === '8.2', 'Embrel is written for PHP 8.2.');
        $this->say(
            $missing === [] ? 'All extensions of PHP are here' : 'Extensions of PHP are missing: ' . implode(', ', $missing),
            $missing === [],
            'Install the packages that docs/running.md names.',
        );
        $this->say(
            'The scripts and styles are built',
            is_file(public_path('build/manifest.json')),
            'Run bin/deploy build, or copy public/build from where it was run.',
            'The scripts and styles are not built',
        );
        foreach (['hb-shape' => 'libharfbuzz-bin', 'fribidi' => 'libfribidi-bin'] as $program => $package) {
            $isHere = array_filter(
                explode(':', (string) getenv('PATH')),
                static fn(string $folder): bool => is_executable("{$folder}/{$program}"),
            );
            $mend = "Install {$package}: without it, pages in other scripts cannot be set.";
            $this->say("The program {$program} is here", $isHere !== [], $mend, "The program {$program} is missing");
        }
    }

    private function settings(): void
    {
        $mend = 'All hosts have the same one: php artisan key:generate --show makes it once.';
        $this->say('APP_KEY is set', Str::length((string) config('app.key')) > 40, $mend, 'APP_KEY is not set');
        $this->say('APP_ENV is ' . app()->environment(), app()->isProduction(), 'Elsewhere than in production, pages show the links of letters.');
        $this->say('APP_DEBUG is off', !(bool) config('app.debug'), 'With it, errors show what is inside.', 'APP_DEBUG is on');
        $url = (string) config('app.url');
        $this->say(
            "APP_URL is {$url}",
            str_starts_with($url, 'https://'),
            'It is the one address under which people reach Embrel, over TLS.',
        );
        $this->say(
            'SESSION_SECURE_COOKIE is on',
            (bool) config('session.secure'),
            'Sessions go over lines that anybody can read.',
            'SESSION_SECURE_COOKIE is off',
        );
        $this->say(
            'EMBREL_PROXIES names what stands in front',
            config('embrel.proxies') !== [] ? true : null,
            'A server that passes requests on by HTTP has to be named, or limits count everybody as one; nginx by FastCGI has not.',
            'EMBREL_PROXIES names nothing that stands in front',
        );
        if (Parts::hasRedis()) {
            $this->shared();
        }
        $this->say('Mail is sent', config('mail.default') !== 'log', 'MAIL_MAILER=log writes letters to a file, and nobody can sign up.', 'Mail is not sent');
    }

    /** What other hosts have to know too. */
    private function shared(): void
    {
        $mend = 'It is kept on this host alone; other hosts do not know of it.';
        foreach (self::SHARED as $key => [$name, $may]) {
            $this->say("{$name} is " . config($key), \in_array(config($key), $may, true), $mend);
        }
        $driver = (string) config('filesystems.disks.pictures.driver');
        $mend = 'Bytes in a folder of this host are at no other, unless the folder is shared.';
        $this->say("FILESYSTEM_DISK is {$driver}", $driver === 'local' ? null : true, $mend);
    }

    private function folders(): void
    {
        foreach (['framework/cache', 'framework/views', 'logs', 'app/private'] as $folder) {
            $path = storage_path($folder);
            $mend = 'It belongs to the user that PHP runs as.';
            $this->say(
                "storage/{$folder} can be written",
                is_dir($path) && is_writable($path),
                $mend,
                "storage/{$folder} cannot be written",
            );
        }
        $owner = \function_exists('posix_geteuid') ? posix_geteuid() : 1;
        $mend = 'Run it as the user that the services have, to see what they see.';
        $this->say('This does not run as root', $owner !== 0 ? true : null, $mend, 'This runs as root');
        $free = (float) disk_free_space(storage_path());
        $this->say(
            \sprintf('%.1f GB are free for work in progress', $free / 1024 ** 3),
            $free >= self::ROOM,
            'Documents are made in storage/app/private before they go to the store.',
        );
    }

    /** @return array<string, array{ok: bool, ms: float, why: string}> */
    private function parts(): array
    {
        $parts = Parts::all();
        foreach ($parts as $name => $part) {
            $this->say(
                $part['ok'] ? "The {$name} answers, in {$part['ms']} ms" : "The {$name} does not answer",
                $part['ok'],
                $part['why'],
            );
        }
        if ($parts['store']['ok']) {
            $wrote = Parts::ask(static function (): void {
                $disk = Storage::disk('results');
                $name = 'check-' . Str::lower(Str::random(12));
                $disk->put($name, $name);
                $disk->get($name) === $name || throw new \RuntimeException('What was read is not what was written.');
                $disk->delete($name);
            });
            $this->say(
                'The store keeps what is written to it',
                $wrote['ok'],
                $wrote['why'],
                'The store does not keep what is written to it',
            );
        }
        if (($parts['redis'] ?? null) !== null && $parts['redis']['ok']) {
            $keeps = Parts::ask(static function (): void {
                $set = (array) Redis::connection()->command('config', ['get', 'appendonly']);
                \in_array('yes', $set, true) || throw new \RuntimeException('It is off.');
            });
            $this->say(
                'Redis keeps what it has on its disk',
                $keeps['ok'] ?: null,
                'With appendonly yes, nobody is signed out when it is started anew.',
                'Redis keeps what it has in memory alone',
            );
        }

        return $parts;
    }

    private function database(): void
    {
        $one = static fn(string $query): mixed => array_values((array) DB::selectOne($query))[0] ?? null;
        $version = (string) $one('SELECT VERSION()');
        $this->say("MariaDB {$version}", version_compare($version, '10.6', '>='), 'Embrel needs MariaDB 10.6 or newer.');
        $apart = abs((float) $one('SELECT UNIX_TIMESTAMP(NOW(6))') - microtime(true));
        $mend = 'Have both follow a time server (chrony, systemd-timesyncd).';
        $this->say(\sprintf('The clocks of host and database are %.1f s apart', $apart), $apart < self::APART, $mend);
        foreach (['innodb_flush_log_at_trx_commit' => 1, 'sync_binlog' => 1] as $name => $value) {
            $is = (int) $one("SELECT @@{$name}");
            $this->say("{$name} is {$is}", $is === $value ?: null, 'With 1, what was acknowledged is on the disk.');
        }
        $packet = (int) $one('SELECT @@max_allowed_packet');
        $this->say(
            \sprintf('max_allowed_packet is %d MB', $packet / 1024 ** 2),
            $packet >= 64 * 1024 ** 2,
            'A large plan is kept as one value: allow 128 MB.',
        );
        $this->rights();
        $files = array_map(static fn(string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        try {
            $open = array_diff($files, DB::table('migrations')->pluck('migration')->all());
        } catch (\PDOException) {
            $open = $files;
        }
        $this->say(
            $open === [] ? 'The tables are up to date' : \count($open) . ' changes of the tables are to be made',
            $open === [],
            'Run bin/deploy migrate.',
        );
        if (Replica::isSet()) {
            $comes = Parts::ask(
                static fn() => Replica::comesAlong() === true ? null : throw new \RuntimeException('It does not answer, or is behind.'),
            );
            $this->say(
                'The replica has what the primary has',
                $comes['ok'] ?: null,
                "{$comes['why']} Until then the primary answers.",
                'The replica is of no use now',
            );
        }
    }

    private function rights(): void
    {
        $has = [];
        foreach (DB::select('SHOW GRANTS') as $row) {
            preg_match('/\AGRANT (.+?) ON/', (string) (array_values((array) $row)[0] ?? ''), $granted);
            array_push($has, ...array_map(trim(...), explode(',', $granted[1] ?? '')));
        }
        $more = array_values(array_unique(array_diff($has, self::RIGHTS)));
        $this->say(
            'The account of the database may do no more than it needs',
            $more === [] ?: null,
            'deploy/mariadb/accounts.sql makes one for the application and one for migrations.',
            'The account of the database may do more than it needs: ' . implode(', ', $more),
        );
    }

    private function mail(): void
    {
        if (config('mail.default') !== 'smtp') {
            return;
        }
        [$host, $port] = [(string) config('mail.mailers.smtp.host'), (int) config('mail.mailers.smtp.port')];
        $line = @fsockopen($host, $port, $number, $why, 3.0);
        $this->say(
            "The mail server {$host}:{$port} answers",
            $line !== false,
            (string) $why,
            "The mail server {$host}:{$port} does not answer",
        );
        $line === false ?: fclose($line);
    }

    private function processes(): void
    {
        Cache::put('check', 1, 5);
        $mend = 'systemctl status embrel-worker@1 embrel-schedule says why.';
        $this->say('A worker takes work from the queue', Alive::is('worker'), $mend, 'No worker has asked the queue for a minute');
        $this->say('The schedule runs', Alive::is('schedule'), $mend, 'The schedule has not run for a minute');
        if ((string) config('embrel.stream_url') === '') {
            $this->say('Pages ask every few seconds what others have changed', null, 'EMBREL_STREAM_URL is empty.');
        }
    }
}
