<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use App\Backup\BackupFailed;
use Illuminate\Console\Command;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;

/** Keeps all of it at one moment, without stopping, and checks that it can be restored. */
final class BackupCommand extends Command
{
    protected $signature = 'embrel:backup {--to= : a folder; else the disk of EMBREL_BACKUPS} {--keep=0 : remove all but so many of the newest}';
    protected $description = 'Keep database and bytes as they are at one moment, and check that they can be restored';

    public function handle(): int
    {
        $backup = new Backup(self::place($this->option('to')), fn(string $says) => $this->line($says));
        try {
            $name = $backup->make();
        } catch (BackupFailed $why) {
            $this->error($why->getMessage());

            return self::FAILURE;
        }
        $keep = (int) $this->option('keep');
        $keep > 0 && $backup->keepOnly($keep);
        $this->info($name);

        return self::SUCCESS;
    }

    public static function place(mixed $folder): Filesystem
    {
        return \is_string($folder) && $folder !== ''
            ? Storage::build(['driver' => 'local', 'root' => $folder, 'throw' => true, 'visibility' => 'private'])
            : Storage::disk('backups');
    }
}
