<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Role;
use App\Models\Link;
use App\Models\Plan;

/** The address by which anybody may read a plan: 128 bits of chance, of which only a hash is kept. */
final class Links
{
    private const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
    /** The form of what an address ends with, as a regular expression. */
    public const FORM = '[0-9A-HJKMNP-TV-Z]{26}';

    /**
     * Makes the link, or sets what may be done by it.
     *
     * @param array<string, mixed> $set columns
     *
     * @return string|null the address, where it is a new one: it cannot be told again
     */
    public static function set(Plan $plan, array $set): ?string
    {
        return Transaction::of(static function () use ($plan, $set): ?string {
            Plan::query()->whereKey($plan->id)->lockForUpdate()->first(['id']);
            $link = Link::query()->where('plan_id', $plan->id)->first();
            if ($link !== null) {
                $link->update($set);

                return null;
            }
            $end = self::end();
            Link::query()->create($set + ['plan_id' => $plan->id, 'role' => Role::Reads, 'token' => hash('sha256', $end)]);

            return route('read', $end);
        });
    }

    /** @return string the new address; the old one leads nowhere any more */
    public static function renew(Plan $plan): string
    {
        $end = self::end();
        $link = Link::query()->where('plan_id', $plan->id)->first() ?? throw new NotThere();
        $link->update(['token' => hash('sha256', $end)]);

        return route('read', $end);
    }

    public static function end(): string
    {
        $bits = '';
        foreach (str_split(random_bytes(16)) as $byte) {
            $bits .= str_pad(decbin(\ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(static fn(string $five): string => self::DIGITS[(int) bindec($five)], str_split($bits, 5)));
    }

    /** What an address leads to; null: nothing, or nothing any more. */
    public static function find(string $end): ?Link
    {
        $link = Link::query()->with('plan')->where('token', hash('sha256', $end))->first();
        $isOver = $link?->ends_at?->isPast() === true;

        return $link === null || $isOver || $link->getRelation('plan') === null ? null : $link;
    }
}
