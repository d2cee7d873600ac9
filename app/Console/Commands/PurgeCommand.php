<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Plan;
use App\Store\PlanStore;
use App\Store\Tasks;
use App\Store\WaitingFiles;
use Illuminate\Console\Command;

/** Removes for good the plans that were deleted longer ago than they are kept. */
final class PurgeCommand extends Command
{
    protected $signature = 'embrel:purge';
    protected $description = 'Remove plans deleted more than 30 days ago';

    public function handle(PlanStore $store): int
    {
        $plans = Plan::onlyTrashed()->where('deleted_at', '<', now()->subDays((int) config('embrel.days_kept_after_deleting')))->get();
        $plans->each($store->erase(...));
        Tasks::purge();
        WaitingFiles::purge();
        $this->info($plans->count() . ' plans removed for good.');

        return self::SUCCESS;
    }
}
