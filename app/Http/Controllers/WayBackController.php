<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\DraftComments;
use App\Store\Intakes;
use App\Store\PlanStore;
use App\Store\Snapshots;
use App\Store\WaitingFiles;
use Embrel\Id\Ids;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\WayBack\Change;
use Embrel\Intake\WayBack\Comparison;
use Embrel\Intake\WayBack\OpenChanges;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A draft that comes home: what was changed in it elsewhere, and what of that the writer takes into the plan. */
final class WayBackController
{
    public function __construct(
        private readonly PlanStore $store,
        private readonly WaitingFiles $waiting,
        private readonly Intakes $intakes,
        private readonly Snapshots $snapshots,
        private readonly Ids $ids,
    ) {}

    public function show(Plan $plan): View
    {
        return view('plans.way-back', ['plan' => $plan]);
    }

    public function compare(Request $request, Plan $plan): JsonResponse
    {
        $read = $this->read($request, $plan, false);
        [$now, $then] = [$this->store->load($plan, true), $this->then($plan, $read)];
        $open = self::comparison($read, $now, $then);
        $isRecorded = OpenChanges::areIn($read->heard);
        $settled = $isRecorded ? self::comparison($this->read($request, $plan, false, true), $now, $then) : $open;
        $changes = array_map(static fn(Change $change): array => $change->toArray(), $settled->changes);

        return response()->json([
            'changes' => $isRecorded ? [...$changes, ...(new OpenChanges($settled, $open, $read->heard))->toArray()] : $changes,
            'comments' => self::comments($read),
            'sure' => round($settled->sureness(), 2),
            'found' => \count($settled->matches->here),
            'byMarks' => \count(array_filter($settled->matches->sure, static fn(float $sure): bool => $sure >= 1.0)),
        ]);
    }

    /** @return list<array{title: string, who: string, text: string}> the comments in a draft, each with the section that it stands in */
    private static function comments(Result $read): array
    {
        $comments = [];
        foreach ($read->heard as $topic => $heard) {
            $title = $topic === CorePlan::ROOT ? 'The beginning' : $read->plan->topic($topic)->title;
            foreach ($heard as $one) {
                if (!$one->isChange()) {
                    $comments[] = [
                        'title' => $title === '' ? 'Untitled' : $title,
                        'who' => $one->who ?: 'somebody',
                        'text' => $one->text,
                    ];
                }
            }
        }

        return $comments;
    }

    public function accept(Request $request, Plan $plan): JsonResponse
    {
        $user = Given::person($request);
        $keys = array_values(array_filter((array) $request->input('keys'), \is_string(...)));
        $count = \count($keys);
        $read = $this->read($request, $plan, true);
        $then = $this->then($plan, $read);
        if ($count > 0) {
            $settled = OpenChanges::areIn($read->heard) ? $this->read($request, $plan, true, true) : $read;
            $operation = OpenChanges::accepted(
                self::comparison($settled, $this->store->load($plan, true), $then),
                $keys,
                $this->ids,
                static fn(CorePlan $now): Comparison => self::comparison($read, $now, $then),
            );
            $this->store->insist(
                $plan,
                $user,
                $this->store->change(
                    $operation,
                    says: $count === 1 ? 'took in a change from a draft' : "took in {$count} changes from a draft",
                ),
            );
        }
        if (self::comments($read) !== []) {
            $comparison = self::comparison($read, $this->store->load($plan->refresh(), true), $then);
            foreach ($read->heard as $there => $heard) {
                DraftComments::keep($plan, $comparison->hereOf((string) $there) ?? CorePlan::ROOT, $heard);
            }
        }
        $this->waiting->forget($user, $this->token($request));

        return response()->json(['address' => route('plan', $plan)]);
    }

    private function token(Request $request): string
    {
        $token = $request->input('token');

        return \is_string($token) ? $token : '';
    }

    /**
     * @param bool $refusesRecorded as if changes that were recorded and are open had never been made
     *
     * @throws Unreadable
     */
    private function read(Request $request, Plan $plan, bool $keeps, bool $refusesRecorded = false): Result
    {
        $found = $this->waiting->find(Given::person($request), $this->token($request)) ?? throw Unreadable::gone();
        $format = Format::ofPath($found->name);
        $options = new Options(
            '',
            firstIsTitle: $format === Format::Markdown || $format === Format::Package,
            references: false,
            refusesRecorded: $refusesRecorded,
        );

        return $this->intakes->readWithPictures($plan, $found->open(), $format, $options, $keeps);
    }

    /** The plan as it was when the draft was made, where the draft is one of this plan. */
    private function then(Plan $plan, Result $read): ?CorePlan
    {
        return $read->origin?->plan === $plan->id && $read->origin->revision <= $plan->revision
            ? $this->snapshots->at($plan, $read->origin->revision)
            : null;
    }

    private static function comparison(Result $read, CorePlan $now, ?CorePlan $then): Comparison
    {
        return Comparison::of($now, $read->plan, $read->came, $then, $read->typed, $then === null ? null : $read->origin);
    }
}
