<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Role;
use App\Http\Given;
use App\Http\Requests\InviteRequest;
use App\Http\Requests\LinkRequest;
use App\Models\Link;
use App\Models\Plan;
use App\Store\Invitations;
use App\Store\Links;
use App\Store\NotThere;
use App\Store\People;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Who may see a plan: told to all who are in it, and set by its owner. Every answer tells how it stands then. */
final class PeopleController
{
    public function index(Request $request, Plan $plan): JsonResponse
    {
        return $this->told($request, $plan);
    }

    public function invite(InviteRequest $request, Plan $plan, Invitations $invitations): JsonResponse
    {
        try {
            $link = $invitations->invite($plan, Given::person($request), $request->email(), $request->role());
        } catch (\DomainException $why) {
            throw ValidationException::withMessages(['email' => $why->getMessage()]);
        }

        // On one's own machine, which sends no letters, with the link.
        return $this->told($request, $plan, ['said' => "A letter goes to {$request->email()}."] + (app()->isLocal() ? ['letter' => $link] : []));
    }

    public function takeBack(Request $request, Plan $plan, string $invitation): JsonResponse
    {
        $plan->invitations()->where('id', $invitation)->delete() > 0 || throw new NotThere();

        return $this->told($request, $plan);
    }

    public function update(Request $request, Plan $plan, int $person): JsonResponse
    {
        $given = $request->validate(['role' => ['required', Rule::in(array_column(Role::shared(), 'value'))]]);
        People::setRole($plan, $person, Role::from($given['role']));

        return $this->told($request, $plan);
    }

    public function remove(Request $request, Plan $plan, int $person): JsonResponse
    {
        People::remove($plan, $person);

        return $this->told($request, $plan);
    }

    /** A person goes out of a plan of another. */
    public function leave(Request $request, Plan $plan): RedirectResponse
    {
        $title = $plan->title;
        People::remove($plan, Given::person($request)->id);

        return redirect()->route('plans', ['shelf' => 'shared'])->with('said', "You left “{$title}”.");
    }

    public function offer(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate(['person' => ['present', 'nullable', 'integer']]);
        People::offer($plan, isset($given['person']) ? (int) $given['person'] : null);

        return $this->told($request, $plan->refresh());
    }

    /** Whoever it is offered to says yes or no. */
    public function answer(Request $request, Plan $plan): RedirectResponse
    {
        $given = $request->validate(['accept' => ['required', 'boolean']]);
        People::answer($plan, Given::person($request), (bool) $given['accept']);
        $said = $given['accept'] ? "“{$plan->title}” is yours now." : "“{$plan->title}” stays with its owner.";

        return redirect()->route('plans', $given['accept'] ? [] : ['shelf' => 'shared'])->with('said', $said);
    }

    public function link(LinkRequest $request, Plan $plan): JsonResponse
    {
        return $this->told($request, $plan, array_filter(['address' => Links::set($plan, $request->columns())]));
    }

    public function renew(Request $request, Plan $plan): JsonResponse
    {
        return $this->told($request, $plan, ['address' => Links::renew($plan)]);
    }

    public function unlink(Request $request, Plan $plan): JsonResponse
    {
        Link::query()->where('plan_id', $plan->id)->delete();

        return $this->told($request, $plan);
    }

    /** @param array<string, mixed> $beside */
    private function told(Request $request, Plan $plan, array $beside = []): JsonResponse
    {
        $user = Given::person($request);
        $told = [
            'people' => People::of($plan),
            'you' => $user->id,
            'offered' => $plan->offered_to,
            'manages' => Gate::allows('manage', $plan),
        ];
        if ($told['manages']) {
            $link = Link::query()->where('plan_id', $plan->id)->first();
            $told['waiting'] = Invitations::waiting($plan, $user->time_zone);
            $told['link'] = $link === null ? null : [
                'role' => $link->role->value,
                'has_password' => $link->password !== null,
                'ends_on' => $link->ends_at?->setTimezone($user->time_zone)->format('Y-m-d'),
                'is_over' => $link->ends_at?->isPast() === true,
            ] + $link->only(['copies', 'shows_loose', 'shows_asides', 'shows_comments', 'framers']);
        }

        return response()->json($told + $beside);
    }
}
