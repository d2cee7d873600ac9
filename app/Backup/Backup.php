<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Plan;
use App\Store\PlanProof;
use App\Store\WorkFolder;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * All of it at one moment, without stopping: the database first, then the bytes that its rows name. As bytes are written before the row
 * that says that they are there, and named by their content, those are there when the database has been read. They are kept once for all
 * backups of a place: another one adds what is new.
 *
 *     FOLDER/embrel-20261201-023000/database.sql.gz   the rows
 *     FOLDER/embrel-20261201-023000/manifest.json     when, of what, and checksums
 *     FOLDER/bytes/pictures/PLAN/HASH                 the bytes of each disk
 */
final readonly class Backup
{
    public const DISKS = ['pictures', 'attachments', 'templates', 'sent'];
    private const FORM = '/\Aembrel-\d{8}-\d{6}\z/';

    /** @param \Closure(string): mixed $say */
    public function __construct(private Filesystem $to, private \Closure $say) {}

    /**
     * Makes one, and checks it.
     *
     * @return string its name
     *
     * @throws BackupFailed nothing of it is left then that could be taken for one
     */
    public function make(): string
    {
        $name = 'embrel-' . now()->utc()->format('Ymd-His');
        WorkFolder::with(function (string $folder) use ($name): void {
            $before = RowSums::of(Programs::database());
            ($this->say)('Reading the database');
            Programs::dump("{$folder}/database.sql.gz");
            $after = RowSums::of(Programs::database());
            ($this->say)('Checking that it can be restored');
            $restored = $this->check("{$folder}/database.sql.gz", $before, $after);
            ($this->say)('Copying pictures and files');
            $bytes = [];
            foreach (self::DISKS as $disk) {
                $bytes[$disk] = Bytes::bring(Storage::disk($disk), '', $this->to, "bytes/{$disk}");
            }
            $in = fopen("{$folder}/database.sql.gz", 'r') ?: throw new BackupFailed('The file of the database cannot be read.');
            $this->to->writeStream("{$name}/database.sql.gz", $in);
            \is_resource($in) && fclose($in);
            // Last: what has no manifest is no backup.
            $this->to->put("{$name}/manifest.json", json_encode([
                'made' => now()->utc()->toIso8601String(),
                'of' => Programs::database(),
                'sha256' => hash_file('sha256', "{$folder}/database.sql.gz"),
                'log' => self::placeIn("{$folder}/database.sql.gz"),
                'migrations' => DB::table('migrations')->orderBy('id')->pluck('migration')->all(),
                'plans' => $restored->plans,
                'tables' => $restored->tables,
                'bytes' => $bytes,
            ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));
            $files = array_sum(array_column($bytes, 'files'));
            ($this->say)(\count($restored->plans) . " plans and {$files} files are kept, and were restored for a check.");
        });

        return $name;
    }

    /** @return list<string> those that are whole, the oldest first */
    public static function names(Filesystem $in): array
    {
        $names = array_values(array_filter(
            $in->directories(),
            static fn(string $name): bool => preg_match(self::FORM, $name) === 1 && $in->exists("{$name}/manifest.json"),
        ));
        sort($names);

        return $names;
    }

    /** Removes all but the newest, and the bytes of plans that none of these has. */
    public function keepOnly(int $count): void
    {
        $names = self::names($this->to);
        array_map($this->to->deleteDirectory(...), \array_slice($names, 0, -$count));
        $plans = [];
        foreach (\array_slice($names, -$count) as $name) {
            $manifest = json_decode((string) $this->to->get("{$name}/manifest.json"), true);
            $plans += \is_array($manifest) ? (array) $manifest['plans'] : [];
        }
        foreach (['pictures', 'attachments'] as $disk) {
            foreach ($this->to->directories("bytes/{$disk}") as $folder) {
                isset($plans[basename($folder)]) || $this->to->deleteDirectory($folder);
            }
        }
    }

    /**
     * Restores it into an empty database beside, and compares: a plan that nobody changed while it was read is equal to the last bit; one
     * that was changed is what its own log says, and that log is the beginning of the one of now.
     *
     * @throws BackupFailed
     */
    private function check(string $path, RowSums $before, RowSums $after): RowSums
    {
        $of = Programs::database();
        $beside = 'embrel_check_' . Str::lower(Str::random(8));
        DB::statement("CREATE DATABASE `{$beside}` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        try {
            Programs::load($path, $beside);
            $restored = RowSums::of($beside);
            $moved = [];
            foreach ($before->plans + $after->plans + $restored->plans as $plan => $_) {
                $sums = [$before->plans[$plan] ?? null, $after->plans[$plan] ?? null, $restored->plans[$plan] ?? null];
                if ($sums[0] === $sums[1] && $sums[2] !== $sums[0]) {
                    throw new BackupFailed("The plan {$plan} is not restored as it was.");
                }
                $sums[0] === $sums[1] ?: $moved[] = (string) $plan;
            }
            foreach ($before->tables as $table => $sum) {
                if ($sum === ($after->tables[$table] ?? null) && $sum !== ($restored->tables[$table] ?? null)) {
                    throw new BackupFailed("The table {$table} is not restored as it was.");
                }
            }
            $this->checkChanged($moved, $of, $beside);

            return $restored;
        } finally {
            DB::statement("DROP DATABASE `{$beside}`");
        }
    }

    /** @param list<string> $plans that were changed while the database was read */
    private function checkChanged(array $plans, string $of, string $beside): void
    {
        $log = static fn(string $database, string $plan, int $to): string => (string) (DB::selectOne(
            <<<SQL
                SELECT CONCAT(COUNT(*), ' ', COALESCE(HEX(BIT_XOR(CAST(CONV(
                    LEFT(SHA2(CONCAT(seq, ' ', op_id, ' ', difference), 256), 16), 16, 10) AS UNSIGNED))), '')) AS sum
                FROM `{$database}`.operations WHERE plan_id = ? AND seq <= ?
                SQL,
            [$plan, $to],
        )->sum ?? '');
        foreach ($plans as $plan) {
            $row = DB::selectOne("SELECT revision FROM `{$beside}`.plans WHERE id = ?", [$plan]);
            $isThere = DB::selectOne("SELECT 1 FROM `{$of}`.plans WHERE id = ?", [$plan]) !== null;
            if ($row !== null && $isThere && $log($beside, $plan, (int) $row->revision) !== $log($of, $plan, (int) $row->revision)) {
                throw new BackupFailed("The log of the plan {$plan} is not restored as it was.");
            }
        }
        // Each is what its log says: asked with the database that was restored in the place of the other.
        Beside::of($beside, static function () use ($plans): void {
            /** @var Plan $row */
            foreach (Plan::withTrashed()->whereIn('id', $plans)->get() as $row) {
                $why = app(PlanProof::class)->fails($row);
                $why === null || throw new BackupFailed("The plan {$row->id} is not restored as it was: {$why}.");
            }
        });
    }

    /** Where the log of changes stood (a GTID), by the file and place that the dump has at its head; empty: none is kept. */
    private static function placeIn(string $path): string
    {
        $in = gzopen($path, 'rb') ?: throw new BackupFailed('The file of the database cannot be read.');
        $head = (string) gzread($in, 20_000);
        gzclose($in);

        if (preg_match("/MASTER_LOG_FILE='([\\w.-]+)', MASTER_LOG_POS=(\\d+)/", $head, $found) !== 1) {
            return '';
        }

        return (string) (DB::selectOne('SELECT BINLOG_GTID_POS(?, ?) AS place', [$found[1], (int) $found[2]])->place ?? '');
    }
}
