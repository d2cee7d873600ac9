<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Access;
use App\Http\Given;
use App\Models\Plan;
use App\Models\User;
use App\Stream\Seal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\URL;

/**
 * Whether a plan has changed since a revision: asked every few seconds by every open page, so it
 * does one query and knows no session. The page was given a sealed address; all that it tells are
 * numbers (of the plan, of what is said in it, of who may do what), and what has changed is asked for by the usual way.
 */
final class PulseController
{
    /** A seal holds for so long, in seconds; a page that is open longer asks for another. */
    private const HOLDS = 43_200;

    public static function address(User $user, Plan $plan): string
    {
        return URL::temporarySignedRoute('plan.pulse', now()->addSeconds(self::HOLDS), ['plan' => $plan->id, 'by' => $user->id], false);
    }

    public function sealed(Request $request, Plan $plan): JsonResponse
    {
        $user = Given::person($request);

        return response()->json(['pulse' => self::address($user, $plan), 'stream' => Seal::address($user, $plan)]);
    }

    public function __invoke(Request $request, string $plan): JsonResponse|Response
    {
        URL::hasValidSignature($request, false, ['since', 'talk', 'people']) || abort(404);
        $at = Access::readable($request->integer('by'))
            ->where('id', $plan)
            ->toBase()
            ->first(['revision', 'talk_revision AS talk', 'people_revision AS people']) ?? abort(404);
        $isNew = $at->revision > $request->integer('since')
            || $at->talk > $request->integer('talk', PHP_INT_MAX)
            || $at->people > $request->integer('people', PHP_INT_MAX);

        // Of what is said, and of who may do what, only to who asks for it.
        $more = array_intersect_key(['talk' => (int) $at->talk, 'people' => (int) $at->people], $request->query->all());

        return $isNew ? response()->json(['revision' => (int) $at->revision] + $more) : response()->noContent();
    }
}
