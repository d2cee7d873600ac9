<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use App\Backup\BackupFailed;
use App\Backup\Restore;
use Illuminate\Console\Command;

/** Brings a backup back into an empty database, and all that came after it where the log of changes is at hand. */
final class RestoreCommand extends Command
{
    protected $signature = 'embrel:restore {name? : of the backup; else the newest} {--from= : a folder; else the disk of EMBREL_BACKUPS}
        {--logs= : a folder with the log of changes of the lost server}
        {--until= : date and time, as 2026-12-01 14:30:00; else to the end of the log}';
    protected $description = 'Restore a backup into an empty database, and with the log of changes all that came after it';

    public function handle(): int
    {
        $from = BackupCommand::place($this->option('from'));
        $names = Backup::names($from);
        $name = $this->argument('name') ?? end($names);
        $logs = $this->option('logs');
        $until = $this->option('until');
        try {
            \is_string($name) || throw new BackupFailed('There is no backup here.');
            $files = \is_string($logs) ? (glob(rtrim($logs, '/') . '/*-bin.[0-9]*') ?: []) : [];
            if (\is_string($logs) && $files === []) {
                throw new BackupFailed("There is no log of changes in {$logs}.");
            }
            if (\is_string($until) && preg_match('/\A\d{4}-\d\d-\d\d \d\d:\d\d:\d\d\z/', $until) !== 1) {
                throw new BackupFailed("“{$until}” is no date and time: 2026-12-01 14:30:00 is.");
            }
            (new Restore($from, fn(string $says) => $this->line($says)))->run($name, $files, \is_string($until) ? $until : null);
        } catch (BackupFailed $why) {
            $this->error($why->getMessage());

            return self::FAILURE;
        }
        $this->info("{$name} is restored. php artisan embrel:verify checks every plan against its log.");

        return self::SUCCESS;
    }
}
