<?php

declare(strict_types=1);

namespace App\Backup;

use App\Store\Listing;
use App\Store\WorkFolder;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Brings a backup back into an empty database and onto the disks; and, with the log of changes, all that came after it up to a moment. */
final readonly class Restore
{
    /** @param \Closure(string): mixed $say */
    public function __construct(private Filesystem $from, private \Closure $say) {}

    /**
     * @param list<string> $logs files of the log of changes; none: the moment of the backup
     *
     * @throws BackupFailed where the database is not empty, or what was kept is not whole, of which nothing is changed then; or where what
     *                      was restored is not what was kept
     */
    public function run(string $name, array $logs = [], ?string $until = null): void
    {
        $path = "{$name}/manifest.json";
        $manifest = $this->from->exists($path) ? json_decode((string) $this->from->get($path), true) : null;
        if (!\is_array($manifest) || !\is_string($manifest['sha256'] ?? null)) {
            throw new BackupFailed("There is no whole backup “{$name}” here.");
        }
        $database = Programs::database();
        if (DB::select('SELECT 1 FROM information_schema.tables WHERE table_schema = ? LIMIT 1', [$database]) !== []) {
            throw new BackupFailed("The database {$database} is not empty. Restore into an empty one, so that nothing is lost.");
        }
        $place = (string) ($manifest['log'] ?? '');
        if ($logs !== [] && $place === '') {
            throw new BackupFailed('This backup does not say where the log of changes stood: the server kept none.');
        }
        WorkFolder::with(function (string $folder) use ($name, $manifest, $database, $logs, $until, $place): void {
            $in = $this->from->readStream("{$name}/database.sql.gz") ?? throw new BackupFailed('The file of the database is missing.');
            file_put_contents("{$folder}/database.sql.gz", $in);
            if (hash_file('sha256', "{$folder}/database.sql.gz") !== $manifest['sha256']) {
                throw new BackupFailed('The file of the database is not the one that was made: its checksum differs.');
            }
            ($this->say)('Restoring the database');
            Programs::load("{$folder}/database.sql.gz", $database);
            $sums = RowSums::of($database);
            foreach (['plans', 'tables'] as $of) {
                $other = array_diff_assoc((array) $manifest[$of], $sums->{$of}) + array_diff_assoc($sums->{$of}, (array) $manifest[$of]);
                $other === [] || throw new BackupFailed(
                    'What was restored is not what was kept: ' . implode(', ', \array_slice(array_keys($other), 0, 5)) . '.',
                );
            }
            ($this->say)(\count($sums->plans) . ' plans are what they were.');
            if ($logs !== []) {
                ($this->say)('Carrying out what came after it' . ($until === null ? '' : ", until {$until}"));
                Programs::replay($logs, $place, $until, (string) $manifest['of'], $database);
            }
        });
        $this->bytes();
    }

    private function bytes(): void
    {
        ($this->say)('Copying pictures and files');
        $count = 0;
        foreach (Backup::DISKS as $disk) {
            $count += Bytes::bring($this->from, "bytes/{$disk}", Storage::disk($disk), '')['brought'];
        }
        ($this->say)("{$count} files are back.");
        $missing = self::missing();
        $missing === 0 ?: ($this->say)("{$missing} pictures and files have no bytes: they were deleted while the backup was made.");
    }

    /** How many rows name bytes that are not there. */
    private static function missing(): int
    {
        $missing = 0;
        foreach (['pictures' => 'id', 'attachments' => 'hash'] as $disk => $column) {
            $there = iterator_to_array(Listing::of(Storage::disk($disk)));
            foreach (DB::table($disk)->select(['plan_id', "{$column} AS named"])->orderBy('plan_id')->cursor() as $row) {
                $missing += isset($there["{$row->plan_id}/{$row->named}"]) ? 0 : 1;
            }
        }

        return $missing;
    }
}
