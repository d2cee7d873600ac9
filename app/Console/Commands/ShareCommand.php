<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Access\Role;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use App\Rules\Address;
use Illuminate\Console\Command;

/** Gives a person a role in a plan of another, or takes it away. */
final class ShareCommand extends Command
{
    protected $signature = 'embrel:share {plan : its id} {email : of the person\'s account} {role : writes, comments, reads, or none}';
    protected $description = 'Gives a person a role in a plan, or takes it away';

    public function handle(): int
    {
        [$id, $email, $named] = array_map(
            fn(string $name): string => \is_string($this->argument($name)) ? $this->argument($name) : '',
            ['plan', 'email', 'role'],
        );
        $plan = Plan::query()->where('id', $id)->first();
        $person = User::query()->where('email', Address::spelt($email))->first();
        $role = Role::tryFrom($named);
        $isRole = $role !== Role::Owner && ($role !== null || $named === 'none');
        if ($plan === null || $person === null || $plan->owner_id === $person->id || !$isRole) {
            $this->error('There is no such plan, no such person beside its owner, or no such role.');

            return self::FAILURE;
        }
        if ($role === null) {
            Share::query()->where('plan_id', $plan->id)->where('user_id', $person->id)->delete();
        } else {
            Share::query()->updateOrCreate(['plan_id' => $plan->id, 'user_id' => $person->id], ['role' => $role]);
        }
        $this->info($role === null ? "{$person->name} can no longer open the plan." : "{$person->name} {$role->value} now.");

        return self::SUCCESS;
    }
}
