<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** The list of a person's plans, with the counts beside it. */
final class PlanList
{
    private const COLUMNS = [
        'id', 'owner_id', 'title', 'form', 'subject', 'words', 'target_words', 'due_on', 'strip', 'revision', 'changed_at', 'put_away_at',
        'deleted_at', 'offered_to',
    ];

    /**
     * @return array{
     *     plans: Collection<int, PlanRow>,
     *     counts: array{all: int, shared: int, putAway: int},
     *     subjects: array<string, int>,
     *     tags: array<string, int>,
     *     tagged: array<string, list<string>>,
     *     shelf: Shelf,
     *     subject: string,
     *     tag: string,
     *     order: PlanOrder,
     *     news: array<string, array{changes: int, comments: int, by: list<string>}>,
     *     offers: Collection<int, PlanRow>,
     * } tagged: plan → its tags; news: plan → what others did since one has seen it; offers: plans that others would hand over
     */
    public function for(User $user, Shelf $shelf, string $subject, string $tag = '', PlanOrder $order = PlanOrder::Changed): array
    {
        $tagged = PlanTags::of($user);
        /** @var Collection<int, PlanRow> $all */
        $all = $user
            ->allPlans()
            ->orderByDesc('changed_at')
            ->get(self::COLUMNS);
        /** @var Collection<int, PlanRow> $shared */
        $shared = Access::readable($user->id)
            ->where('owner_id', '!=', $user->id)
            ->with('owner:id,name')
            ->orderByDesc('changed_at')
            ->get(self::COLUMNS);
        $isAway = static fn(PlanRow $plan): bool => $plan->put_away_at !== null || $plan->deleted_at !== null;
        $here = $all->reject($isAway);
        $shown = match ($shelf) {
            Shelf::PutAway => $all->filter($isAway),
            Shelf::Shared => $shared,
            Shelf::All => $here->filter(
                static fn(PlanRow $plan): bool => ($subject === '' || $plan->subject === $subject)
                    && ($tag === '' || \in_array($tag, $tagged[$plan->id] ?? [], true)),
            ),
        };

        return [
            'plans' => $order->of($shown->values()),
            'counts' => ['all' => $here->count(), 'shared' => $shared->count(), 'putAway' => $all->count() - $here->count()],
            'subjects' => $here->where('subject', '!=', '')->countBy('subject')->sortKeys()->all(),
            'tags' => self::counted($here, $tagged),
            'tagged' => $tagged,
            'tag' => $tag,
            'order' => $order,
            'shelf' => $shelf,
            'news' => Visits::news($user),
            'offers' => $shared->where('offered_to', $user->id)->values(),
            'subject' => $subject,
        ];
    }

    /**
     * @param Collection<int, PlanRow>    $plans
     * @param array<string, list<string>> $tagged
     *
     * @return array<string, int> tag → how many of the plans have it
     */
    private static function counted(Collection $plans, array $tagged): array
    {
        $counts = [];
        foreach ($plans as $plan) {
            foreach ($tagged[$plan->id] ?? [] as $tag) {
                $counts[$tag] = ($counts[$tag] ?? 0) + 1;
            }
        }
        ksort($counts, SORT_NATURAL | SORT_FLAG_CASE);

        return $counts;
    }

    /** @return array<string, string> id → title, the newest first */
    public function names(User $user): array
    {
        return $user->plans()->whereNull('put_away_at')->orderByDesc('changed_at')->pluck('title', 'id')->all();
    }
}
