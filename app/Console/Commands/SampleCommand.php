<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Database\Seeders\SampleSeeder;
use Illuminate\Console\Command;

/** Loads the sample account with its four plans. */
final class SampleCommand extends Command
{
    protected $signature = 'embrel:sample {--once : Do nothing where there are accounts already}';
    protected $description = 'Load the sample account and its plans';

    public function handle(SampleSeeder $seeder): int
    {
        if ($this->option('once') && User::query()->exists()) {
            return self::SUCCESS;
        }
        $seeder->run();
        $this->info('The sample plans are loaded.');

        return self::SUCCESS;
    }
}
