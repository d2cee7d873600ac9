<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use App\Models\Sending;
use App\Models\TaskKind;
use App\Models\TaskState;
use App\Models\User;
use Illuminate\Support\Facades\RateLimiter;
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
    private const LOST = 'This took too long or too much and was stopped. Some may not have got it; try again with less of it.';

    public function __construct(private readonly Tasks $tasks, private readonly PlanStore $store) {}

    /**
     * @param list<string>            $addresses
     * @param array<array-key, mixed> $choices of the hand-over, validated
     *
     * @throws TooMuch
     */
    public function start(Plan $plan, User $user, array $addresses, string $line, array $choices, bool $isLink, int $days): void
    {
        $key = "sent by {$user->id}";
        $count = \count($addresses);
        if (RateLimiter::increment($key, 24 * 3600, $count) > self::A_DAY) {
            RateLimiter::decrement($key, 24 * 3600, $count);
            throw new TooMuch('You have sent to ' . self::A_DAY . ' addresses within a day. More goes tomorrow.');
        }
        $sending = Sending::query()->create([
            'plan_id' => $plan->id,
            'user_id' => $user->id,
            'addresses' => $addresses,
            'line' => $line,
            'choices' => $choices,
            'is_link' => $isLink,
            'ends_at' => now()->addDays(max(1, min(self::DAYS, $days))),
        ]);
        try {
            $weight = HandedOver::weight($this->store->size($plan), $plan->words);
            $sending->update(['task_id' => $this->tasks->start($user, TaskKind::Send, ['sending' => $sending->id], $weight)->id]);
        } catch (TooMuch $why) {
            $sending->delete();
            throw $why;
        }
    }

    /** @return list<array{id: string, to: string, name: string, state: string, says: string, when: string, ends: string|null}> the newest first */
    public static function of(Plan $plan, User $user): array
    {
        $zone = $user->time_zone ?: 'UTC';

        /** @var list<Sending> $sendings */
        $sendings = Sending::query()
            ->with('task')
            ->where('plan_id', $plan->id)
            ->where('user_id', $user->id)
            ->latest('id')
            ->limit(self::LISTED)
            ->get()
            ->all();
        $listed = [];
        foreach ($sendings as $one) {
            // Where the process ended amid it, the task knows.
            $isLost = $one->state === 'waiting' && \in_array($one->task?->state, [null, TaskState::Failed], true);
            $isOver = $one->token === null || $one->ends_at?->isPast() === true;
            $listed[] = [
                'id' => $one->id,
                'to' => implode(', ', $one->addresses),
                'name' => $one->name,
                'state' => $isLost ? 'failed' : $one->state,
                'says' => $isLost ? self::LOST : $one->says,
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
