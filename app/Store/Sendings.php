<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use App\Models\Sending;
use App\Models\User;
use Illuminate\Support\Facades\Storage;

/** What was sent by mail of a plan, and what waits behind links that end. */
final class Sendings
{
    /** Addresses of one sending, and of one person in a day. */
    public const ADDRESSES = 20;
    private const A_DAY = 200;
    /** For so many days a link leads to its file, at the most. */
    public const DAYS = 90;
    /** Those that are shown. */
    private const LISTED = 50;

    /**
     * @param list<string>            $addresses
     * @param array<array-key, mixed> $choices of the hand-over, validated
     *
     * @throws TooMuch
     */
    public static function start(Plan $plan, User $user, array $addresses, string $line, array $choices, bool $isLink, int $days): Sending
    {
        $today = Sending::query()->where('user_id', $user->id)->where('created_at', '>', now()->subDay())->get(['addresses'])->sum(
            static fn(Sending $one): int => \count($one->addresses),
        );
        if ($today + \count($addresses) > self::A_DAY) {
            throw new TooMuch('You have sent to ' . self::A_DAY . ' addresses within a day. More goes tomorrow.');
        }

        return Sending::query()->create([
            'plan_id' => $plan->id,
            'user_id' => $user->id,
            'addresses' => $addresses,
            'line' => $line,
            'choices' => $choices,
            'is_link' => $isLink,
            'ends_at' => now()->addDays(max(1, min(self::DAYS, $days))),
        ]);
    }

    /** @return list<array{id: string, to: string, name: string, state: string, says: string, when: string, ends: string|null}> the newest first */
    public static function of(Plan $plan, User $user): array
    {
        $zone = $user->time_zone ?: 'UTC';

        /** @var list<Sending> $sendings */
        $sendings = Sending::query()
            ->where('plan_id', $plan->id)
            ->where('user_id', $user->id)
            ->latest('id')
            ->limit(self::LISTED)
            ->get()
            ->all();
        $listed = [];
        foreach ($sendings as $one) {
            $isOver = $one->token === null || $one->ends_at?->isPast() === true;
            $listed[] = [
                'id' => $one->id,
                'to' => implode(', ', $one->addresses),
                'name' => $one->name,
                'state' => $one->state,
                'says' => $one->says,
                'when' => $one->created_at->copy()->setTimezone($zone)->format('j F, H:i'),
                'ends' => $isOver ? null : $one->ends_at?->copy()->setTimezone($zone)->format('j F'),
            ];
        }

        return $listed;
    }

    /** What a link leads to; null: nothing, or nothing any more. */
    public static function find(string $end): ?Sending
    {
        $sending = Sending::query()->with('user')->where('token', hash('sha256', $end))->first();

        $isOver = $sending === null || $sending->ends_at?->isPast() === true;

        return $isOver || !Storage::disk(Sending::DISK)->exists($sending->id) ? null : $sending;
    }

    /** With its file; who has its link finds nothing any more. */
    public static function forget(Sending $sending): void
    {
        Storage::disk(Sending::DISK)->delete($sending->id);
        $sending->delete();
    }

    /** Files whose links have ended go; that they were sent is remembered. */
    public static function purge(): void
    {
        $ended = Sending::query()->where('ends_at', '<', now())->get()->filter(static fn(Sending $one): bool => $one->token !== null);
        foreach ($ended as $one) {
            Storage::disk(Sending::DISK)->delete($one->id);
            $one->update(['token' => null]);
        }
        Sweep::files(Sending::DISK, static fn(string $id): bool => Sending::query()->whereKey($id)->whereNotNull('token')->exists());
    }
}
