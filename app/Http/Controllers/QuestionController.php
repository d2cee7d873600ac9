<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\Id;
use App\Store\AskedQuestions;
use App\Store\PlanNotes;
use App\Store\PlanStore;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Prompt\Asking;
use Embrel\Prompt\Bank;
use Embrel\Prompt\Question;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** What can be asked of a topic, or of what is to be written next; each once. */
final class QuestionController
{
    public function index(Request $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $tree = $store->load($plan);
        $topic = Given::text($request, 'topic') ?: Asking::next($tree);
        $tree->has($topic) && $tree->isLive($topic) && $topic !== CorePlan::TRAY ? null : abort(404);
        $asked = AskedQuestions::of(Given::person($request), $plan, $topic);
        $questions = Asking::of($tree, $topic, PlanNotes::of($plan, $topic)[0] ?? null, $asked);
        $title = Numbering::of($tree)->titled($tree->topic($topic));

        return response()->json([
            'topic' => $topic,
            'title' => $title,
            'asked' => \count($asked),
            'questions' => array_map(static fn(Question $one): array => ['id' => $one->id, 'text' => $one->text], $questions),
        ]);
    }

    /** It was taken or let go. */
    public function store(Request $request, Plan $plan): Response
    {
        $given = $request->validate([
            'topic' => ['required', new Id()],
            'question' => ['required', 'string', Rule::in(array_keys(Bank::ALL))],
        ]);
        AskedQuestions::remember(Given::person($request), $plan, $given['topic'], $given['question']);

        return response()->noContent();
    }

    /** All may be asked again of a topic. */
    public function destroy(Request $request, Plan $plan): Response
    {
        $given = $request->validate(['topic' => ['required', new Id()]]);
        AskedQuestions::forget(Given::person($request), $plan, $given['topic']);

        return response()->noContent();
    }
}
