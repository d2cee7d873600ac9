<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Plan;
use App\Store\PlanProof;
use Illuminate\Console\Command;

/** Checks of every plan that it is what its log says. */
final class VerifyCommand extends Command
{
    protected $signature = 'embrel:verify {plan?* : only these, by their ids}';
    protected $description = 'Check that every plan is what its log says';

    public function handle(PlanProof $proof): int
    {
        $asked = (array) $this->argument('plan');
        $count = $failed = 0;
        $plans = Plan::withTrashed()->when($asked !== [], static fn($query) => $query->whereIn('id', $asked));
        /** @var Plan $row */
        foreach ($plans->lazyById(50) as $row) {
            ++$count;
            $why = $proof->fails($row);
            if ($why !== null) {
                ++$failed;
                $this->error("{$row->id}: {$why}");
            }
        }
        $this->info($failed === 0 ? "{$count} plans are what their logs say." : "{$failed} of {$count} plans are not what their logs say.");

        return $failed === 0 ? self::SUCCESS : self::FAILURE;
    }
}
