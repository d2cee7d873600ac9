<?php

declare(strict_types=1);

namespace App\Backup;

use App\Store\WorkFolder;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** MariaDB's own programs, run with the settings of the application; the password is in no list of processes. */
final class Programs
{
    /** Reading and writing at once, so that a database of any size goes through. */
    private const PIECE = 1 << 20;

    /**
     * All of the database as it is at one moment, while others go on writing to it (--single-transaction), compressed; with where the log
     * of changes stood then, where one is kept.
     *
     * @throws BackupFailed
     */
    public static function dump(string $path): void
    {
        $log = (int) (DB::selectOne('SELECT @@log_bin AS log')->log ?? 0) === 1 ? ['--master-data=2'] : [];
        $options = [
            '--single-transaction',
            '--quick',
            '--hex-blob',
            '--no-tablespaces',
            '--skip-lock-tables',
            '--default-character-set=utf8mb4',
        ];
        self::with('mariadb-dump', [...$options, ...$log, self::database()], static function (Process $process) use ($path): void {
            $out = gzopen($path, 'wb6') ?: throw new BackupFailed('The file of the database cannot be written.');
            $process->run(static function (string $type, string $bytes) use ($out): void {
                if ($type === Process::OUT && gzwrite($out, $bytes) !== \strlen($bytes)) {
                    throw new BackupFailed('There is no room for the file of the database.');
                }
            });
            gzclose($out) || throw new BackupFailed('There is no room for the file of the database.');
        });
    }

    /**
     * Carries out a dump in a database.
     *
     * @throws BackupFailed
     */
    public static function load(string $path, string $database): void
    {
        $in = gzopen($path, 'rb') ?: throw new BackupFailed('The file of the database cannot be read.');
        $pieces = (static function () use ($in): \Generator {
            while (!gzeof($in)) {
                yield (string) gzread($in, self::PIECE);
            }
        })();
        self::with('mariadb', [
            '--default-character-set=utf8mb4',
            '--max-allowed-packet=256M',
            $database,
        ], static function (Process $process) use ($pieces): void {
            $process->setInput($pieces);
            $process->run();
        });
        gzclose($in);
    }

    /**
     * Carries out what the log of changes has after a moment, up to another.
     *
     * @param list<string> $logs  files of it
     * @param string       $from  where it stood (a GTID)
     * @param string|null  $until date and time as the database server has it; null: to its end
     *
     * @throws BackupFailed
     */
    public static function replay(array $logs, string $from, ?string $until, string $of, string $database): void
    {
        $options = [
            "--start-position={$from}",
            // What is chosen by is the name of before.
            "--database={$of}",
            ...($of === $database ? [] : ["--rewrite-db={$of}->{$database}"]),
        ];
        $read = new Process(['mariadb-binlog', ...$options, ...($until === null ? [] : ["--stop-datetime={$until}"]), ...$logs]);
        $read->setTimeout(null)->start();
        $pieces = (static function () use ($read): \Generator {
            foreach ($read as $type => $bytes) {
                if ($type === Process::OUT) {
                    yield $bytes;
                }
            }
        })();
        self::with('mariadb', [
            '--binary-mode',
            '--max-allowed-packet=256M',
            $database,
        ], static function (Process $process) use ($pieces): void {
            $process->setInput($pieces);
            $process->run();
        });
        // A log that ends amid a change, as that of a server that was killed, is read as far as it goes.
        if (!$read->isSuccessful() && preg_match('/unexpected|Could not read entry/', $read->getErrorOutput()) !== 1) {
            throw new BackupFailed('The log of changes could not be read: ' . self::line($read->getErrorOutput()));
        }
    }

    public static function database(): string
    {
        return (string) config('database.connections.mariadb.database');
    }

    /**
     * @param list<string>            $arguments
     * @param \Closure(Process): void $run
     */
    private static function with(string $program, array $arguments, \Closure $run): void
    {
        WorkFolder::with(static function (string $folder) use ($program, $arguments, $run): void {
            /** @var array{host: string, port: string, username: string, password: string} $set */
            $set = config('database.connections.mariadb');
            $quoted = static fn(string $value): string => '"' . addcslashes($value, '"\\') . '"';
            file_put_contents("{$folder}/set", '');
            chmod("{$folder}/set", 0o600);
            $lines = [
                "host={$set['host']}",
                "port={$set['port']}",
                'user=' . $quoted($set['username']),
                'password=' . $quoted($set['password']),
            ];
            file_put_contents("{$folder}/set", "[client]\n" . implode("\n", $lines) . "\nprotocol=tcp\n");
            $process = new Process([$program, "--defaults-file={$folder}/set", ...$arguments]);
            $process->setTimeout(null);
            $run($process);
            if (!$process->isSuccessful()) {
                throw new BackupFailed("{$program} said: " . self::line($process->getErrorOutput()));
            }
        });
    }

    private static function line(string $said): string
    {
        return mb_strimwidth(trim((string) preg_replace('/\s+/', ' ', $said)), 0, 400, '…');
    }
}
