<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Access\Role;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use App\Stream\Wire;
use Illuminate\Support\Facades\DB;

/** Who is in a plan, and what becomes of that. Each change is told to the pages that are open, which ask anew what they may. */
final class People
{
    /** @return list<array{id: int, name: string, role: string}> the owner first, then by name */
    public static function of(Plan $plan): array
    {
        $people = [['id' => $plan->owner_id, 'name' => $plan->owner->name ?? '', 'role' => Role::Owner->value]];
        $shares = DB::table('shares')->join('users', 'users.id', '=', 'shares.user_id')->where('plan_id', $plan->id);
        foreach ($shares->orderBy('users.name')->orderBy('users.id')->get(['users.id', 'users.name', 'role']) as $one) {
            $people[] = ['id' => (int) $one->id, 'name' => (string) $one->name, 'role' => (string) $one->role];
        }

        return $people;
    }

    /** @throws NotThere where that person is not in the plan */
    public static function setRole(Plan $plan, int $person, Role $role): void
    {
        self::share($plan, $person)->update(['role' => $role]);
        self::changed($plan);
    }

    /**
     * What they wrote stays, under their name.
     *
     * @throws NotThere where that person is not in the plan
     */
    public static function remove(Plan $plan, int $person): void
    {
        Transaction::of(static function () use ($plan, $person): void {
            self::share($plan, $person)->delete();
            Plan::query()->where('id', $plan->id)->where('offered_to', $person)->update(['offered_to' => null]);
            DB::table('notices')->where('plan_id', $plan->id)->where('user_id', $person)->delete();
            self::changed($plan);
        });
    }

    /**
     * The plan becomes another's once that one accepts; null: it is offered to nobody any more.
     *
     * @throws NotThere where that person is not in the plan
     */
    public static function offer(Plan $plan, ?int $person): void
    {
        if ($person !== null) {
            self::share($plan, $person);
        }
        $plan->forceFill(['offered_to' => $person])->save();
        self::changed($plan);
    }

    /** Whoever it was offered to takes it, or does not; who owned it before goes on writing. */
    public static function answer(Plan $plan, User $person, bool $isAccepted): void
    {
        Transaction::of(static function () use ($plan, $person, $isAccepted): void {
            /** @var Plan|null $now */
            $now = Plan::query()->whereKey($plan->id)->lockForUpdate()->first();
            if ($now === null || $now->offered_to !== $person->id) {
                throw new NotThere();
            }
            $before = $now->owner_id;
            $now->forceFill(['offered_to' => null])->save();
            if ($isAccepted) {
                Access::handOn($now, $person);
                Share::query()->create(['plan_id' => $plan->id, 'user_id' => $before, 'role' => Role::Writes]);
            }
            self::changed($plan);
        });
    }

    /** Pages that are open ask anew who may do what. */
    public static function changed(Plan $plan): void
    {
        DB::table('plans')->where('id', $plan->id)->increment('people_revision');
        Wire::changed($plan->id);
    }

    private static function share(Plan $plan, int $person): Share
    {
        return $plan->shares()->where('user_id', $person)->first() ?? throw new NotThere();
    }
}
