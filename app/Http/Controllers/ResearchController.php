<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Rules\Id;
use App\Store\Change;
use App\Store\PlanStore;
use App\Store\PlanView;
use Embrel\Check\Research\Filing;
use Embrel\Check\Research\Guess;
use Embrel\Check\Research\Guesses;
use Embrel\Check\Research\Sign;
use Embrel\Check\Research\Sorted;
use Embrel\Citation\Label;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Citation\Terms;
use Embrel\Id\Ids;
use Embrel\MalformedShape;
use Embrel\Operation\OperationRefused;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Topics that look like research, and where they go. Each goes by a step of its own, so that each can be taken back alone. */
final class ResearchController
{
    private const MOST = 2000;

    public function __construct(private readonly PlanStore $store, private readonly Ids $ids) {}

    public function show(Request $request, Plan $plan): JsonResponse
    {
        Gate::authorize('view', $plan);
        $chosen = $request->validate(['topics' => ['nullable', 'array', 'max:' . self::MOST], 'topics.*' => [new Id()]])['topics'] ?? null;
        $tree = $this->store->load($plan, true);
        $guesses = Guesses::of($tree, $this->ids, $chosen === null ? null : array_values(array_filter($chosen, $tree->isLive(...))));
        $drafts = self::drafts($guesses);

        return response()->json(['guesses' => array_map(static fn(Guess $guess): array => self::told($guess, $tree, $drafts), \array_slice($guesses, 0, self::MOST)), 'count' => \count($guesses)]);
    }

    /**
     * @param list<Guess> $guesses
     *
     * @return array<string, Source>
     */
    private static function drafts(array $guesses): array
    {
        return array_column(array_filter(array_map(static fn(Guess $guess): ?Source => $guess->sign === null ? null : $guess->source, $guesses)), null, 'id');
    }

    /**
     * @param array<string, Source> $drafts
     *
     * @return array<string, mixed>
     */
    private static function told(Guess $guess, CorePlan $plan, array $drafts): array
    {
        $terms = Terms::of($plan->properties->language);
        $from = $guess->cited === null ? null : ($plan->sources[$guess->cited->source] ?? $drafts[$guess->cited->source] ?? null);

        return [
            'topic' => $guess->topic, 'sign' => $guess->sign?->value, 'says' => $guess->sign?->says() ?? 'chosen by you', 'offer' => self::offer($guess, $plan)->value,
            'source' => $guess->source === null ? null : SourceForm::toArray($guess->source),
            'makes' => $guess->source === null ? null : Label::ofSource($guess->source, $terms),
            'from' => $from === null || $guess->cited === null ? null : Label::of([$guess->cited], [$from->id => $from], $terms),
            'address' => $guess->sign === Sign::Address ? $guess->source?->url : null,
        ];
    }

    /** A loose idea stands under no topic: a note must be chosen for it. */
    private static function offer(Guess $guess, CorePlan $plan): Filing
    {
        $filing = $guess->sign?->filing() ?? Filing::Note;

        return $filing === Filing::Quote && $plan->parent($guess->topic) === CorePlan::TRAY ? Filing::Note : $filing;
    }

    public function store(Request $request, Plan $plan): JsonResponse
    {
        Gate::authorize('update', $plan);
        $given = $request->validate([
            'base' => ['required', 'integer', 'min:0'], 'filings' => ['required', 'array', 'max:' . self::MOST], 'filings.*.topic' => ['required', new Id()], 'filings.*.as' => ['required', Rule::enum(Filing::class)],
            'filings.*.into' => ['nullable', new Id(), 'required_if:filings.*.as,note'], 'filings.*.source' => ['nullable', 'array'],
        ]);
        $user = $request->user() ?? abort(401);

        return $this->store->locked($plan, function () use ($plan, $user, $given): JsonResponse {
            [$changes, $steps, $refused] = $this->changes($this->store->load($plan, true), $given['filings']);
            $outcome = $this->store->apply($plan, $user, $changes);
            $failed = array_column($outcome->refused, 'message', 'id');
            foreach ($changes as $change) {
                if (isset($failed[$change->id])) {
                    $topic = (string) array_search($change->step, $steps, true);
                    unset($steps[$topic]);
                    $refused[$topic] = $failed[$change->id];
                }
            }

            return response()->json(['sorted' => (object) $steps, 'refused' => (object) $refused] + PlanView::of($plan, $user, (int) $given['base'], $outcome));
        });
    }

    /**
     * Sources first, so that a quotation finds its own; each operation is made for the plan as those before it leave it.
     *
     * @param array<array-key, mixed> $filings
     *
     * @return array{list<Change>, array<string, string>, array<string, string>} the changes; topic → step; topic → why not
     */
    private function changes(CorePlan $plan, array $filings): array
    {
        usort($filings, static fn(array $a, array $b): int => ($b['as'] === Filing::Source->value) <=> ($a['as'] === Filing::Source->value));
        $all = Guesses::of($plan, $this->ids);
        $drafts = self::drafts($all);
        $guesses = array_column($all, null, 'topic');
        $changes = $steps = $refused = [];
        foreach ($filings as $filing) {
            $topic = $filing['topic'];
            try {
                $guess = $guesses[$topic] ?? ($plan->isLive($topic) && !CorePlan::isFixed($topic) ? Guesses::of($plan, $this->ids, [$topic])[0] : throw OperationRefused::gone($topic));
                $confirmed = isset($filing['source']) ? SourceForm::read(new Shape(['id' => $guess->source->id ?? $guess->cited->source ?? $this->ids->next()] + $filing['source'], 'source')) : null;
                $operation = Sorted::operation($plan, $guess, Filing::from($filing['as']), $filing['into'] ?? null, $confirmed, $this->ids->next(), $drafts);
                $plan = $operation->apply($plan);
                $steps[$topic] = $this->ids->next();
                $changes[] = new Change($this->ids->next(), $steps[$topic], $operation);
            } catch (OperationRefused|MalformedShape $why) {
                $refused[$topic] = $why->getMessage();
            }
        }

        return [$changes, $steps, $refused];
    }
}
