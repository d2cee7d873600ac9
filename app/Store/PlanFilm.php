<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Film\Frame;
use Embrel\Plan\Plan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The history of a plan as a film: its steps, and the outline after each of them. */
final class PlanFilm
{
    /** Steps that a film has, the newest ones. */
    private const STEPS = 5000;
    /** Of the work of making frames at once: steps times topics; and steps. */
    private const WORK = 120_000;
    private const AT_ONCE = 100;
    /** What an operation is a change of; any other is of how topics are set and looked at. */
    private const KINDS = [
        'note' => ['note', 'edit-source', 'source', 'unsource'],
        'title' => ['retitle', 'split', 'join'],
        'order' => ['add', 'remove', 'drop', 'restore', 'move', 'wrap', 'dissolve', 'sort', 'copy', 'fold', 'divide', 'compound'],
        'plan' => ['plan', 'rule', 'set-aside', 'term', 'change-label'],
    ];

    public function __construct(private readonly History $history) {}

    /**
     * @return list<array{seq: int, by: string, at: string, says: string, kind: string, topics: list<string>}> in order; seq: of its last
     *         change; topics: what it touched
     */
    public function steps(PlanRow $row): array
    {
        $rows = DB::table('operations')
            ->leftJoin('users', 'users.id', '=', 'operations.user_id')
            ->where('plan_id', $row->id)
            ->orderByDesc('seq')
            ->limit(self::STEPS)
            ->get(['seq', 'step_id', 'type', 'says', 'at', DB::raw(StoredDifference::WHO)])
            ->reverse();
        $things = [];
        $first = (int) ($rows->first()->seq ?? 0);
        foreach (DB::table('operation_things')->where('plan_id', $row->id)->where('seq', '>=', $first)->get(['seq', 'thing']) as $one) {
            $things[(int) $one->seq][] = (string) $one->thing;
        }
        $steps = [];
        $last = null;
        foreach ($rows as $one) {
            $topics = $things[(int) $one->seq] ?? [];
            if ($last === $one->step_id && $steps !== []) {
                $topics = [...array_pop($steps)['topics'], ...$topics];
            }
            $last = $one->step_id;
            $steps[] = [
                'seq' => (int) $one->seq,
                'by' => (string) ($one->name ?? User::GONE),
                'at' => Carbon::parse($one->at)->toIso8601String(),
                'says' => (string) $one->says,
                'kind' => self::kind((string) $one->type),
                'topics' => array_keys(array_fill_keys($topics, true)),
            ];
        }

        return $steps;
    }

    private static function kind(string $type): string
    {
        foreach (self::KINDS as $kind => $types) {
            if (\in_array($type, $types, true)) {
                return $kind;
            }
        }

        return 'look';
    }

    /**
     * The outline at a point, and how it becomes that of each point after it, as far as can be told at once.
     *
     * @param list<int> $points ascending
     *
     * @return array{title: string, rows: list<array<int, mixed>>, cuts: list<array<string, mixed>>} a cut for each of the points after the first that are told
     *
     * @throws NotThere
     */
    public function frames(PlanRow $row, array $points): array
    {
        $first = array_shift($points) ?? throw new NotThere();
        $plan = $this->history->at($row, $first);
        $frame = $start = Frame::of($plan);
        $cuts = [];
        $most = max(1, min(self::AT_ONCE, intdiv(self::WORK, 1 + \count($plan->topics))));
        foreach ($this->after($row, $plan, $first, \array_slice($points, 0, $most)) as $next) {
            $now = Frame::of($next);
            $cuts[] = $frame->cutTo($now);
            $frame = $now;
        }

        return ['title' => $start->title, 'rows' => $start->rows, 'cuts' => $cuts];
    }

    /**
     * @param list<int> $points
     *
     * @return \Generator<Plan>
     */
    private function after(PlanRow $row, Plan $plan, int $from, array $points): \Generator
    {
        $last = end($points);
        if ($last === false) {
            return;
        }
        $log = DB::table('operations')
            ->where('plan_id', $row->id)
            ->whereBetween('seq', [$from + 1, $last])
            ->orderBy('seq')
            ->select(['seq', 'difference']);
        $wanted = array_flip($points);
        foreach ($log->cursor() as $one) {
            $plan = StoredDifference::read($one->difference)->in($plan);
            if (isset($wanted[(int) $one->seq])) {
                yield $plan;
            }
        }
    }

    /**
     * What each person has done, for the owner.
     *
     * @return list<array{name: string, steps: int, added: int, taken: int, sections: array<string, array{added: int, taken: int}>, last: string}>
     *         who has written most first; sections: main section → words
     */
    public function work(PlanRow $row): array
    {
        $people = [];
        $steps = DB::table('operations')
            ->leftJoin('users', 'users.id', '=', 'operations.user_id')
            ->where('plan_id', $row->id)
            ->groupBy('user_id', 'users.name', 'operations.name')
            ->selectRaw('user_id, ' . StoredDifference::WHO . ', COUNT(DISTINCT step_id) AS steps, MAX(at) AS last');
        foreach ($steps->get() as $one) {
            $people[$one->user_id === null ? (string) $one->name : (int) $one->user_id] = [
                'name' => (string) ($one->name ?? User::GONE), 'steps' => (int) $one->steps, 'added' => 0, 'taken' => 0,
                'sections' => [], 'last' => (string) $one->last,
            ];
        }
        $words = DB::table('written_words')
            ->where('plan_id', $row->id)
            ->groupBy('user_id', 'section_id')
            ->selectRaw('user_id, section_id, SUM(added) AS added, SUM(taken) AS taken');
        foreach ($words->get() as $one) {
            $person = $people[(int) $one->user_id] ?? null;
            if ($person !== null) {
                $person['added'] += (int) $one->added;
                $person['taken'] += (int) $one->taken;
                $person['sections'][(string) $one->section_id] = ['added' => (int) $one->added, 'taken' => (int) $one->taken];
                $people[(int) $one->user_id] = $person;
            }
        }
        usort($people, static fn(array $a, array $b): int => [$b['added'], $b['steps']] <=> [$a['added'], $a['steps']]);

        return $people;
    }
}
