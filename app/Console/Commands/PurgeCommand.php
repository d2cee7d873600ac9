<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Plan;
use App\Store\Attachments;
use App\Store\CitationStyles;
use App\Store\Devices;
use App\Store\Invitations;
use App\Store\Notices;
use App\Store\PlanPictures;
use App\Store\PlanStore;
use App\Store\Sendings;
use App\Store\SignUps;
use App\Store\Tasks;
use App\Store\Templates;
use App\Store\WaitingFiles;
use App\Store\WorkFolder;
use Illuminate\Console\Command;

/**
 * Removes for good what is kept for a time only: deleted plans, files that wait, results, letters, sessions, and
 * whatever nothing belongs to any more.
 */
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
        WorkFolder::purge();
        SignUps::purge();
        Invitations::purge();
        Notices::purge();
        Sendings::purge();
        Attachments::disk()->purge();
        PlanPictures::disk()->purge();
        Templates::purge();
        CitationStyles::purge();
        Devices::purge();
        $this->info($plans->count() . ' plans removed for good.');

        return self::SUCCESS;
    }
}
