<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** The list of a person's plans, with the counts beside it. */
final class PlanList
{
    /**
     * @return array{plans: Collection<int, PlanRow>, counts: array{all: int, putAway: int}, subjects: array<string, int>, shelf: string, subject: string}
     */
    public function for(User $user, bool $putAway, string $subject): array
    {
        /** @var Collection<int, PlanRow> $all */
        $all = $user
            ->allPlans()
            ->orderByDesc('changed_at')
            ->get([
                'id',
                'owner_id',
                'title',
                'form',
                'subject',
                'words',
                'target_words',
                'due_on',
                'strip',
                'changed_at',
                'put_away_at',
                'deleted_at',
            ]);
        $isAway = static fn(PlanRow $plan): bool => $plan->put_away_at !== null || $plan->deleted_at !== null;
        $here = $all->reject($isAway);
        $shown = $putAway
            ? $all->filter($isAway)
            : $here->filter(static fn(PlanRow $plan): bool => $subject === '' || $plan->subject === $subject);

        return [
            'plans' => $shown->values(),
            'counts' => ['all' => $here->count(), 'putAway' => $all->count() - $here->count()],
            'subjects' => $here->where('subject', '!=', '')->countBy('subject')->sortKeys()->all(),
            'shelf' => $putAway ? 'put-away' : 'all',
            'subject' => $subject,
        ];
    }

    /** @return array<string, string> id → title, the newest first */
    public function names(User $user): array
    {
        return $user->plans()->whereNull('put_away_at')->orderByDesc('changed_at')->pluck('title', 'id')->all();
    }
}
