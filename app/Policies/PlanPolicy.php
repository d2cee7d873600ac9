<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Plan;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Another person's plan is not there at all: 404. */
final class PlanPolicy
{
    public function view(User $user, Plan $plan): Response
    {
        return $this->owned($user, $plan);
    }

    public function update(User $user, Plan $plan): Response
    {
        return $this->owned($user, $plan);
    }

    public function delete(User $user, Plan $plan): Response
    {
        return $this->owned($user, $plan);
    }

    private function owned(User $user, Plan $plan): Response
    {
        return $plan->owner_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
