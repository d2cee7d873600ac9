<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Difference\Difference;
use Embrel\Difference\DifferenceForm;
use Embrel\Shape;
use Illuminate\Support\Facades\DB;

/** Differences as the log keeps them, and the things that each touches, by which those that meet another are found. */
final class StoredDifference
{
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;
    private const CHUNK = 500;
    /** Who made a change, as `name`: an account of here, or somebody of elsewhere (WholePlan). */
    public const WHO = 'COALESCE(users.name, operations.name) AS name';
    /** What stands for the properties of the plan among the things that are touched. */
    private const PLAN = 'plan';

    public static function write(Difference $difference): string
    {
        return json_encode(DifferenceForm::toArray($difference), self::JSON);
    }

    public static function read(string $json): Difference
    {
        return DifferenceForm::read(new Shape(json_decode($json, true, 512, JSON_THROW_ON_ERROR), 'difference'));
    }

    /**
     * All that was done after one revision up to another, as one; null where that is more than `most` changes, or a plan
     * never had the first of them.
     *
     * @return array{did: Difference, last: int, by: array<int, true>}|null with the last revision of it, and who took part
     */
    public static function sum(string $planId, int $after, int $upTo, int $most): ?array
    {
        if ($after < 1 || $upTo - $after > $most) {
            return null;
        }
        $rows = DB::table('operations')
            ->where('plan_id', $planId)
            ->whereBetween('seq', [$after + 1, $upTo])
            ->orderBy('seq')
            ->get(['seq', 'user_id', 'difference']);
        $did = new Difference();
        $by = [];
        foreach ($rows as $row) {
            $did = $did->then(self::read($row->difference));
            $by[(int) $row->user_id] = true;
        }

        return ['did' => $did, 'last' => (int) ($rows->last()->seq ?? $after), 'by' => $by];
    }

    /**
     * Remembers what changes of the log touch.
     *
     * @param array<int, Difference> $did seq → what it did
     */
    public static function index(string $planId, array $did): void
    {
        $rows = [];
        foreach ($did as $seq => $difference) {
            foreach (array_unique([...$difference->topicsTouched(), ...$difference->removed(), ...self::beside($difference)]) as $thing) {
                $rows[] = ['plan_id' => $planId, 'thing' => $thing, 'seq' => $seq];
            }
        }
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            DB::table('operation_things')->insert($chunk);
        }
    }

    /** @return list<string> what a difference touches beside topics: sources, relations, the plan */
    public static function beside(Difference $difference): array
    {
        $things = $difference->sources + $difference->relations + ($difference->properties === [] ? [] : [self::PLAN => true]);

        return array_map(strval(...), array_keys($things));
    }

    /**
     * What others have done after a change that touches any of these things, in order, each with who did what.
     *
     * @param list<string> $things
     *
     * @return list<array{Difference, string}>
     */
    public static function meeting(string $planId, int $userId, int $seq, array $things): array
    {
        $met = [];
        foreach (array_chunk($things, self::CHUNK) as $chunk) {
            $rows = DB::table('operation_things')
                ->join('operations', static fn($join) => $join
                    ->on('operations.plan_id', 'operation_things.plan_id')
                    ->on('operations.seq', 'operation_things.seq'))
                ->leftJoin('users', 'users.id', '=', 'operations.user_id')
                ->where('operation_things.plan_id', $planId)
                ->whereIn('operation_things.thing', $chunk)
                ->where('operation_things.seq', '>', $seq)
                ->where(static fn($query) => $query->where('operations.user_id', '!=', $userId)->orWhereNull('operations.user_id'))
                ->distinct()
                ->get(['operations.seq', 'operations.difference', 'operations.says', DB::raw(self::WHO)]);
            foreach ($rows as $row) {
                $who = $row->name ?? User::GONE;
                $met[(int) $row->seq] = [self::read($row->difference), "{$who}: {$row->says}. The history tells more."];
            }
        }
        ksort($met);

        return array_values($met);
    }
}
