<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\DraftTemplate;
use App\Models\PlanPattern;
use App\Models\Task;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** What is one person's alone: for anybody else it is not there. */
final class OwnPolicy
{
    public function use(User $user, DraftTemplate|PlanPattern|Task $one): Response
    {
        return $one->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
