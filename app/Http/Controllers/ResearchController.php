<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\FilingsRequest;
use App\Models\Plan;
use App\Rules\ListOf;
use App\Store\Change;
use App\Store\News;
use App\Store\PlanStore;
use Embrel\Check\Research\Guess;
use Embrel\Check\Research\Guesses;
use Embrel\Check\Research\Sign;
use Embrel\Check\Research\SortingOut;
use Embrel\Citation\Label;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Citation\Terms;
use Embrel\Id\Ids;
use Embrel\Operation\Operation;
use Embrel\Plan\Plan as CorePlan;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Topics that look like research, and where they go. Each goes by a step of its own, so that each can be taken back alone. */
final class ResearchController
{
    public function __construct(private readonly PlanStore $store, private readonly Ids $ids) {}

    public function show(Request $request, Plan $plan): JsonResponse
    {
        $chosen = $request->validate(['topics' => ['nullable', ListOf::ids(FilingsRequest::MOST, isOptional: true)]])['topics'] ?? null;
        $tree = $this->store->load($plan, true);
        $guesses = Guesses::of($tree, $this->ids, $chosen === null ? null : array_values(array_filter($chosen, $tree->isLive(...))));
        $drafts = SortingOut::drafts($guesses);

        return response()->json([
            'guesses' => array_map(
                static fn(Guess $guess): array => self::told($guess, $tree, $drafts),
                \array_slice($guesses, 0, FilingsRequest::MOST),
            ),
            'count' => \count($guesses),
        ]);
    }

    /**
     * @param array<string, Source> $drafts
     *
     * @return array<string, mixed>
     */
    private static function told(Guess $guess, CorePlan $plan, array $drafts): array
    {
        $terms = Terms::of($plan->properties->language);
        $from = $guess->cited === null ? null : $plan->sources[$guess->cited->source] ?? ($drafts[$guess->cited->source] ?? null);

        return [
            'topic' => $guess->topic,
            'sign' => $guess->sign?->value,
            'says' => $guess->sign?->says() ?? 'chosen by you',
            'offer' => $guess->offer($plan)->value,
            'source' => $guess->source === null ? null : SourceForm::toArray($guess->source),
            'makes' => $guess->source === null ? null : Label::ofSource($guess->source, $terms),
            'from' => $from === null || $guess->cited === null ? null : Label::of([$guess->cited], [$from->id => $from], $terms),
            'address' => $guess->sign === Sign::Address ? $guess->source?->url : null,
        ];
    }

    public function store(FilingsRequest $request, Plan $plan): JsonResponse
    {
        $user = Given::person($request);

        return $this->store->locked($plan, function () use ($plan, $user, $request): JsonResponse {
            $sorting = SortingOut::of($this->store->load($plan, true), $this->ids, $request->filed());
            $changes = array_map(fn(Operation $operation): Change => $this->store->change($operation), $sorting->operations);
            $outcome = $this->store->apply($plan, $user, array_values($changes));
            $failed = array_column($outcome->refused, 'message', 'id');
            $done = array_filter($changes, static fn(Change $change): bool => !isset($failed[$change->id]));
            $refused
                = $sorting->refused + array_map(static fn(Change $change): string => $failed[$change->id], array_diff_key($changes, $done));

            return response()->json(
                [
                    'sorted' => (object) array_map(static fn(Change $change): string => $change->step, $done),
                    'refused' => (object) $refused,
                ] + News::of($plan, $user, $request->base(), $outcome),
            );
        });
    }
}
