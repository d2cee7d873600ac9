<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\ListOf;
use App\Store\PlanTags;
use Embrel\Plan\InvalidValue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** What is done with several plans of the list at once. Plans of others are passed over, as if they were not there. */
final class SeveralPlansController
{
    private const MOST = 500;

    public function __invoke(Request $request): RedirectResponse
    {
        $user = Given::person($request);
        $given = $request->validate(
            ['plans' => ['required', ListOf::ids(self::MOST)], 'act' => ['required', 'in:put-away,take-out,tag,untag']],
            ['plans.required' => 'Choose some plans first.'],
        );
        /** @var list<string> $ids */
        $ids = $user->plans()->whereIn('id', $given['plans'])->pluck('id')->all();
        $count = \count($ids) === 1 ? 'One plan' : \count($ids) . ' plans';
        try {
            $said = match ($given['act']) {
                'put-away' => $this->put($ids, true, "{$count} put away."),
                'take-out' => $this->put($ids, false, "{$count} taken out again."),
                default => $this->tag($request, $ids, $given['act'] === 'tag', $count),
            };
        } catch (InvalidValue $why) {
            throw ValidationException::withMessages(['tag' => $why->getMessage()]);
        }

        return back()->with('said', $said);
    }

    /** @param list<string> $ids */
    private function put(array $ids, bool $isAway, string $said): string
    {
        Plan::query()->whereIn('id', $ids)->update(['put_away_at' => $isAway ? now() : null]);

        return $said;
    }

    /** @param list<string> $ids */
    private function tag(Request $request, array $ids, bool $isOn, string $count): string
    {
        $user = Given::person($request);
        $tag = PlanTags::name(Given::text($request, 'tag'));
        if ($isOn) {
            PlanTags::put($user, $ids, $tag);

            return "{$count} tagged “{$tag}”.";
        }
        PlanTags::take($user, $ids, $tag);

        return "The tag “{$tag}” was taken off " . lcfirst($count) . '.';
    }
}
