<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Access\Role;
use App\Models\Invitation;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use App\Notifications\Invited;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Str;

/**
 * People asked into a plan by a letter to their address, as long as they have not come. The link in the letter works
 * once, for an account of that very address; of it only a hash is kept.
 */
final class Invitations
{
    /** For so many days a letter's link works. */
    public const HOLDS = 14;
    /** How many may wait in one plan. */
    public const MOST = 500;

    public function __construct(private readonly History $history) {}

    /**
     * Asks someone, or asks anew: then the link that was sent before works no more.
     *
     * @param Role|null $role null: to a copy of their own
     *
     * @return string the address that the letter leads to
     *
     * @throws \DomainException with a sentence for the person
     */
    public function invite(Plan $plan, User $by, string $email, ?Role $role): string
    {
        $token = Str::random(40);
        $invitation = Transaction::of(static function () use ($plan, $by, $email, $role, $token): Invitation {
            Plan::query()->whereKey($plan->id)->lockForUpdate()->first(['id']);
            self::refuse($plan, $email, $role);

            return Invitation::query()->updateOrCreate(
                ['plan_id' => $plan->id, 'email' => $email, 'hands_out' => $role === null],
                [
                    'by_id' => $by->id,
                    'role' => $role ?? Role::Reads,
                    'token' => hash('sha256', $token),
                    'ends_at' => now()->addDays(self::HOLDS),
                    'updated_at' => now(),
                ],
            );
        });
        Notification::route('mail', $email)->notify(new Invited($invitation->id, $token));

        return route('invitation', $token);
    }

    /** @throws \DomainException */
    private static function refuse(Plan $plan, string $email, ?Role $role): void
    {
        $waiting = Invitation::query()->where('plan_id', $plan->id);
        if ((clone $waiting)->where('email', '!=', $email)->count() >= self::MOST) {
            throw new \DomainException('More than ' . self::MOST . ' people cannot be asked at once.');
        }
        if ($role === null) {
            if (DB::table('handouts')->where('plan_id', $plan->id)->where('email', $email)->exists()) {
                throw new \DomainException("{$email} has a copy already.");
            }

            return;
        }
        $person = User::query()->where('email', $email)->first();
        if ($person !== null && Access::of($person, $plan) !== null) {
            throw new \DomainException("{$email} is in this plan already. What they may do is set in the list.");
        }
    }

    /** @return list<array{id: string, email: string, role: string, asked: string, isOver: bool}> who has not come yet, of a plan or of its copies */
    public static function waiting(Plan $plan, string $zone, bool $handsOut = false): array
    {
        /** @var list<Invitation> $rows */
        $rows = Invitation::query()->where('plan_id', $plan->id)->where('hands_out', $handsOut)->orderBy('email')->get()->all();

        return array_map(static fn(Invitation $one): array => [
            'id' => $one->id,
            'email' => $one->email,
            'role' => $one->role->value,
            'asked' => (string) $one->updated_at?->setTimezone($zone)->format('j F'),
            'isOver' => $one->ends_at->isPast(),
        ], $rows);
    }

    /** What a link leads to; null: it was used, taken back, sent anew, or is too old. */
    public static function find(string $token): ?Invitation
    {
        $found = Invitation::query()
            ->with(['plan', 'by'])
            ->where('token', hash('sha256', $token))
            ->where('ends_at', '>', now())
            ->first();

        // A plan that was deleted meanwhile is read as none.
        return $found?->getRelation('plan') === null ? null : $found;
    }

    /**
     * Opens an account for who was asked: the letter has shown that the address is theirs.
     *
     * @param array{name: string, password: string, time_zone?: string|null} $given
     */
    public static function open(Invitation $invitation, array $given): User
    {
        return Transaction::of(static function () use ($invitation, $given): User {
            $user = User::query()->create([
                'name' => $given['name'],
                'email' => $invitation->email,
                'password' => Hash::make($given['password']),
                'time_zone' => $given['time_zone'] ?? 'UTC',
            ]);
            DB::table('sign_ups')->where('email', $invitation->email)->delete();

            return $user;
        });
    }

    /**
     * Lets a person in, once.
     *
     * @return Plan|null where it leads; null: it was used meanwhile, or is another's
     */
    public function accept(string $token, User $user): ?Plan
    {
        return Transaction::of(function () use ($token, $user): ?Plan {
            /** @var Invitation|null $invitation */
            $invitation = Invitation::query()->where('token', hash('sha256', $token))->lockForUpdate()->first();
            $plan = $invitation === null ? null : Plan::query()->where('id', $invitation->plan_id)->first();
            if ($invitation === null || $plan === null || $invitation->ends_at->isPast() || $invitation->email !== $user->email) {
                return null;
            }
            $invitation->delete();
            if ($invitation->hands_out) {
                return $this->copyFor($plan, $user);
            }
            if ($plan->owner_id !== $user->id) {
                Share::query()->updateOrCreate(['plan_id' => $plan->id, 'user_id' => $user->id], ['role' => $invitation->role]);
                People::changed($plan);
            }

            return $plan;
        });
    }

    private function copyFor(Plan $plan, User $user): Plan
    {
        $copy = $this->history->duplicate($plan, $user, null);
        DB::table('handouts')->insert([
            'id' => (new NewIds())->next(), 'plan_id' => $plan->id, 'email' => $user->email, 'copy_id' => $copy->id, 'name' => $user->name,
            'created_at' => now(), 'updated_at' => now(),
        ]);

        return $copy;
    }

    /** Forgets those whose links have led nowhere for a month. */
    public static function purge(): void
    {
        Invitation::query()->where('ends_at', '<', now()->subDays(30))->delete();
    }
}
