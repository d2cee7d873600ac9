<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\AttachmentRequest;
use App\Http\Requests\CommentRequest;
use App\Models\Plan;
use App\Models\User;
use App\Store\Attachments;
use App\Store\Comments;
use App\Store\News;
use App\Store\Notices;
use App\Store\NotThere;
use App\Store\PlanStore;
use App\Store\Talk;
use Embrel\Comment\Anchor;
use Embrel\Comment\Suggestion;
use Embrel\Operation\Wording;
use Embrel\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** What is said in a plan: told, said, changed, settled. Every answer tells what of it is new since what the page knows. */
final class CommentController
{
    public function index(Request $request, Plan $plan): JsonResponse
    {
        return self::told($request, $plan);
    }

    public function store(CommentRequest $request, Plan $plan): JsonResponse
    {
        try {
            Comments::say(
                $plan,
                Given::person($request),
                $request->id(),
                $request->topic(),
                $request->body(),
                $request->thread(),
                $request->words(),
                $request->suggestion(),
            );
        } catch (\DomainException $why) {
            throw ValidationException::withMessages(['body' => $why->getMessage()]);
        }

        return self::told($request, $plan);
    }

    public function update(CommentRequest $request, Plan $plan, string $comment): JsonResponse
    {
        Comments::edit($plan, Given::person($request), $comment, $request->body());

        return self::told($request, $plan);
    }

    public function destroy(Request $request, Plan $plan, string $comment): JsonResponse
    {
        Comments::takeBack($plan, Given::person($request), $comment);

        return self::told($request, $plan);
    }

    public function settle(Request $request, Plan $plan, string $comment): JsonResponse
    {
        $given = $request->validate(['settled' => ['required', 'boolean']]);
        Comments::settle($plan, Given::person($request), $comment, (bool) $given['settled']);

        return self::told($request, $plan);
    }

    /** A file on one's own comment. */
    public function file(AttachmentRequest $request, Plan $plan, string $comment): JsonResponse
    {
        if (Comments::find($plan, $comment)->user_id !== Given::person($request)->id) {
            throw new NotThere();
        }
        try {
            ['name' => $name, 'file' => $file] = $request->kept();
            Attachments::keep($plan->id, $request->id(), $comment, $name, $file);
        } catch (\DomainException $why) {
            throw ValidationException::withMessages(['file' => $why->getMessage()]);
        }
        Comments::touch($plan, $comment);

        return self::told($request, $plan);
    }

    /** Takes a suggestion: an ordinary change of whoever takes it, which names who proposed it. */
    public function take(Request $request, Plan $plan, string $comment, PlanStore $store): JsonResponse
    {
        $user = Given::person($request);

        return $store->locked($plan, static function () use ($request, $plan, $comment, $store, $user): JsonResponse {
            $one = Comments::find($plan, $comment);
            $suggestion = Suggestion::read(new Shape($one->proposal ?? throw new NotThere(), 'proposal'));
            $words = $one->anchor === null ? null : Anchor::read(new Shape($one->anchor, 'anchor'));
            $tree = $store->load($plan, true);
            $operation = $suggestion->operation($tree, $one->topic_id, $words);
            $says = mb_strimwidth("Took what {$one->name} suggested: " . lcfirst(Wording::of($operation, $tree)), 0, 250, '…');
            $outcome = $store->insist($plan, $user, $store->change($operation, says: $says));
            self::answer($plan, $user, $comment, true);

            return response()->json(
                News::of($plan, $user, $request->integer('base'), $outcome)
                    + Talk::since($plan->refresh(), $user, $request->integer('since')),
            );
        });
    }

    public function decline(Request $request, Plan $plan, string $comment): JsonResponse
    {
        $given = $request->validate(['why' => ['nullable', 'string', 'max:300']]);
        self::answer($plan, Given::person($request), $comment, false, $given['why'] ?? null);

        return self::told($request, $plan);
    }

    private static function answer(Plan $plan, User $user, string $comment, bool $isTaken, ?string $why = null): void
    {
        try {
            Comments::answered($plan, $user, $comment, $isTaken, $why);
        } catch (\DomainException $said) {
            throw ValidationException::withMessages(['comment' => $said->getMessage()]);
        }
    }

    /** A person has come to all that was said here. */
    public function seen(Request $request, Plan $plan): JsonResponse
    {
        Notices::saw(Given::person($request), $plan->id);

        return response()->json([]);
    }

    private static function told(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(Talk::since($plan->refresh(), Given::person($request), $request->integer('since')));
    }
}
