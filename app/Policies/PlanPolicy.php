<?php

declare(strict_types=1);

namespace App\Policies;

use App\Access\Access;
use App\Access\Role;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** What can be done with a plan, and by whom. A plan that somebody may not read is not there at all: 404. */
final class PlanPolicy
{
    public function view(User $user, Plan $plan): Response
    {
        return self::where($user, $plan, static fn(Role $role): bool => true, '');
    }

    public function comment(User $user, Plan $plan): Response
    {
        $else = 'You can read this plan, and not comment on it.';

        return self::where($user, $plan, static fn(Role $role): bool => $role->mayComment(), $else);
    }

    /** Everything that changes what is in the plan. */
    public function update(User $user, Plan $plan): Response
    {
        return self::where($user, $plan, static fn(Role $role): bool => $role->mayWrite(), 'You can read this plan, and not change it.');
    }

    /** Putting it away, giving it to others, and all else that is about the plan as a whole. */
    public function manage(User $user, Plan $plan): Response
    {
        return self::where($user, $plan, static fn(Role $role): bool => $role->owns(), 'Only the owner of this plan can do this.');
    }

    /** @param \Closure(Role): bool $may */
    private static function where(User $user, Plan $plan, \Closure $may, string $else): Response
    {
        $role = Access::of($user, $plan);

        return match (true) {
            $role === null => Response::denyAsNotFound(),
            $may($role) => Response::allow(),
            default => Response::deny($else),
        };
    }
}
