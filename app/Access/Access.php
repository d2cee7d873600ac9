<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;

/** Who may do what in which plan: said here, and nowhere else. */
final class Access
{
    /** Null: the plan is not there for this person. */
    public static function of(User $person, Plan $plan): ?Role
    {
        if ($plan->owner_id === $person->id) {
            return Role::Owner;
        }

        $read = $plan->getAttributes();
        // Asked with every request of a page: read along with the plan; else the value alone, without a model.
        $role
            = (int) ($read['asked_by'] ?? 0) === $person->id
                ? $read['asked_role']
                : Share::query()->toBase()->where('plan_id', $plan->id)->where('user_id', $person->id)->value('role');

        return $role === null ? null : Role::from((string) $role);
    }

    /**
     * The plans that a person may read.
     *
     * @return Builder<Plan>
     */
    public static function readable(int $person): Builder
    {
        return Plan::query()->where(
            static function (Builder $either) use ($person): void {
                $either->where('owner_id', $person)->orWhereIn('id', Share::query()->where('user_id', $person)->select('plan_id'));
            },
        );
    }

    /** Whom a plan goes to when its owner leaves: of those who may most, the one who has been there longest. */
    public static function heir(Plan $plan): ?User
    {
        $shares = $plan->shares()->with('user')->get();
        foreach (Role::shared() as $role) {
            $first = $shares->where('role', $role)->sortBy('created_at')->first();
            if ($first !== null) {
                return $first->user;
            }
        }

        return null;
    }

    /** @return list<array{Plan, User}> plans of a person that others share, each with whom it would go to */
    public static function handedOnBy(User $owner): array
    {
        $shared = [];
        foreach ($owner->plans()->whereHas('shares')->get() as $plan) {
            $heir = self::heir($plan);
            if ($heir !== null) {
                $shared[] = [$plan, $heir];
            }
        }

        return $shared;
    }

    /** Makes another person the owner of a plan. */
    public static function handOn(Plan $plan, User $heir): void
    {
        $plan->shares()->where('user_id', $heir->id)->delete();
        // What one owner allowed is for the next to allow.
        $plan->forceFill(['allows_companion' => false])->owner()->associate($heir)->save();
    }
}
