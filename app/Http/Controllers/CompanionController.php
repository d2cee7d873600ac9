<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Companion\Answer;
use App\Companion\Companion;
use App\Companion\NoAnswer;
use App\Http\Given;
use App\Models\Plan;
use App\Rules\Id;
use App\Store\CompanionLetters;
use App\Store\PlanRows;
use App\Store\PlanStore;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Prompt\Helper\Parcel;
use Embrel\Prompt\Helper\Wish;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A helper from outside, for plans whose owner allows it: what would go out, sending it, what came back. */
final class CompanionController
{
    public function __construct(private readonly PlanStore $store, private readonly Companion $companion) {}

    public function index(Request $request, Plan $plan): JsonResponse
    {
        return response()->json([
            'allowed' => (bool) $plan->allows_companion,
            'mayAllow' => $plan->owner_id === Given::person($request)->id,
            'helper' => $this->companion->name(),
            'left' => CompanionLetters::left(Given::person($request)),
            'letters' => CompanionLetters::of($plan),
        ]);
    }

    /** Its owner says whether anything of a plan may go out. */
    public function allow(Request $request, Plan $plan): Response
    {
        $plan->forceFill(['allows_companion' => $request->boolean('allowed')])->save();

        return response()->noContent();
    }

    /** Exactly what would go out. */
    public function parcel(Request $request, Plan $plan): JsonResponse
    {
        $parcel = $this->asked($request, $plan)[1];
        $pieces = [];
        foreach ($parcel->pieces as $key => $piece) {
            $pieces[] = ['key' => (string) $key] + $piece;
        }

        return response()->json(['instruction' => $parcel->instruction(), 'pieces' => $pieces, 'print' => $parcel->print()]);
    }

    /** The answer as it comes, a line of JSON each: `text` a piece, `failed` a sentence, at the end `id`, `topics` and `blocks`. */
    public function send(Request $request, Plan $plan): StreamedResponse
    {
        $plan->allows_companion ? null : abort(409, 'The owner of this plan has not allowed a helper. Nothing was sent.');
        $user = Given::person($request);
        [$topic, $parcel] = $this->asked($request, $plan);
        CompanionLetters::left($user) > 0 ? null : abort(429, 'You have asked as often as one may in a day. Nothing was sent.');

        return response()->stream(function () use ($plan, $user, $topic, $parcel): void {
            ignore_user_abort(true);
            set_time_limit((int) config('embrel.companion.seconds') + 30);
            $isAlone = CompanionLetters::alone($user, function () use ($plan, $user, $topic, $parcel): true {
                $this->answered(CompanionLetters::sent($plan, $user, $topic, $parcel, $this->companion->name()), $parcel);

                return true;
            });
            if ($isAlone === null) {
                self::say(['failed' => 'Another answer is on its way to you. Stop it, or wait for its end.']);
            }
        }, 200, ['Content-Type' => 'application/x-ndjson', 'X-Accel-Buffering' => 'no']);
    }

    public function taken(Plan $plan, string $letter): Response
    {
        CompanionLetters::taken($plan, $letter);

        return response()->noContent();
    }

    private function answered(string $letter, Parcel $parcel): void
    {
        $text = '';
        $failed = '';
        try {
            foreach ($this->companion->answer($parcel) as $piece) {
                $text .= $piece;
                self::say($piece === '' ? [] : ['text' => mb_scrub($piece)]);
                if (connection_aborted() === 1) {
                    throw new NoAnswer('It was stopped.');
                }
            }
            trim($text) === '' ? throw new NoAnswer('The helper answered nothing.') : null;
            $read = Answer::read($text, $parcel->wish);
            $read['topics'] === [] && $read['blocks'] === [] ? throw new NoAnswer(
                'There is nothing in the answer that could be taken.',
            ) : null;
            self::say(['id' => $letter] + $read);
        } catch (NoAnswer $why) {
            $failed = $why->getMessage();
            self::say(['failed' => $failed]);
        } finally {
            CompanionLetters::answered($letter, $text, $failed);
        }
    }

    /** @param array<string, mixed> $line none: a sign that it is still under way */
    private static function say(array $line): void
    {
        echo json_encode((object) $line, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE) . "\n";
        ob_get_level() > 0 ? ob_flush() : null;
        flush();
    }

    /** @return array{string, Parcel} the topic, and what goes out of its branch */
    private function asked(Request $request, Plan $plan): array
    {
        $given = $request->validate([
            'topic' => ['required', new Id()],
            'wish' => ['required', Rule::enum(Wish::class)],
            'print' => [$request->routeIs('plan.companion.send') ? 'required' : 'nullable', 'string', 'size:64'],
            'without' => ['array', 'max:500'],
            'without.*' => ['string', 'max:26'],
        ]);
        $tree = $this->store->load($plan);
        $topic = $given['topic'];
        $tree->has($topic) && $tree->isLive($topic) && $topic !== CorePlan::TRAY ? null : abort(404);
        $branch = \array_slice($tree->branch($topic), 0, 300);
        $parcel = Parcel::of((new PlanRows())->withNotes($tree, $plan->id, $branch), $topic, Wish::from($given['wish']));
        if (isset($given['print']) && $given['print'] !== $parcel->print()) {
            abort(409, 'What would go out has changed since it was shown. Nothing was sent; look at it again.');
        }

        return [$topic, $parcel->without(array_values($given['without'] ?? []))];
    }
}
