<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** How much an account may keep: pictures and files of the plans that it owns, and how many plans; where whoever runs Embrel has set it. */
final class Quota
{
    /** @return int|null in bytes; null: as much as there is room for */
    public static function of(User $user): ?int
    {
        return $user->quota ?? (config('embrel.quota.bytes') > 0 ? (int) config('embrel.quota.bytes') : null);
    }

    /** @return int bytes of pictures and files, those of deleted plans that can come back too */
    public static function used(int $user): int
    {
        return self::usedBy([$user])[$user] ?? 0;
    }

    /**
     * @param list<int> $users
     *
     * @return array<int, int>
     */
    public static function usedBy(array $users): array
    {
        $used = [];
        foreach (['pictures' => 'size', 'attachments' => 'bytes'] as $table => $column) {
            $sums = DB::table($table)
                ->join('plans', 'plans.id', '=', "{$table}.plan_id")
                ->whereIn('owner_id', $users)
                ->groupBy('owner_id')
                ->selectRaw("owner_id, SUM({$column}) AS bytes")
                ->pluck('bytes', 'owner_id');
            foreach ($sums as $user => $bytes) {
                $used[(int) $user] = ($used[(int) $user] ?? 0) + (int) $bytes;
            }
        }

        return $used;
    }

    /** @throws OverQuota */
    public static function admit(User $owner, int $bytes): void
    {
        $most = self::of($owner);
        if ($most !== null && self::used($owner->id) + $bytes > $most) {
            throw new OverQuota(\sprintf(
                'The pictures and files of %s’s plans may have %s in all. Take some out first, or ask whoever looks after Embrel here.',
                $owner->name,
                self::said($most),
            ));
        }
    }

    /**
     * Into a plan that is there: it counts with its owner, whoever brings it.
     *
     * @throws OverQuota
     */
    public static function admitInto(string $plan, int $bytes): void
    {
        $owner = User::query()->where('id', DB::table('plans')->where('id', $plan)->value('owner_id'))->first();
        $owner === null ?: self::admit($owner, $bytes);
    }

    /** @throws OverQuota */
    public static function admitPlan(User $owner): void
    {
        $most = (int) config('embrel.quota.plans');
        if ($most > 0 && $owner->plans()->count() >= $most) {
            throw new OverQuota("An account may have {$most} plans here. Delete one first, or ask whoever looks after Embrel.");
        }
    }

    public static function said(int $bytes): string
    {
        return match (true) {
            $bytes >= 1024 ** 3 => round($bytes / 1024 ** 3, 1) . ' GB',
            $bytes >= 1024 ** 2 => round($bytes / 1024 ** 2, 1) . ' MB',
            default => ceil($bytes / 1024) . ' KB',
        };
    }
}
