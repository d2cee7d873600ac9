<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use App\Models\User;
use App\Models\Vote;
use Embrel\Comment\Tally;
use Embrel\Comment\TooManySigns;
use Illuminate\Support\Facades\DB;

/** Votes in a plan: opened by its owner, given by whoever may comment, counted in the open or when they are closed. */
final class Votes
{
    /** How many a plan may have. */
    private const MOST = 100;

    /**
     * @return list<array<string, mixed>> the newest first; `counts` (topic → signs, most first) where they may be seen, `voters` how many
     *                                    have given any, `own` what the viewer gave
     */
    public static function of(Plan $plan, User $viewer): array
    {
        /** @var list<Vote> $votes */
        $votes = Vote::query()->where('plan_id', $plan->id)->orderByDesc('created_at')->orderByDesc('id')->get()->all();
        $ballots = [];
        foreach (DB::table('ballots')->whereIn('vote_id', array_column($votes, 'id'))->get() as $one) {
            $ballots[$one->vote_id][(int) $one->user_id][$one->topic_id] = (int) $one->signs;
        }

        return array_map(static function (Vote $vote) use ($ballots, $viewer): array {
            $given = $ballots[$vote->id] ?? [];
            $isShown = !$vote->is_secret || $vote->closed_at !== null;

            return [
                'id' => $vote->id,
                'question' => $vote->question,
                'signs' => $vote->signs,
                'isSecret' => $vote->is_secret,
                'isClosed' => $vote->closed_at !== null,
                'topics' => $vote->topics,
                'own' => (object) ($given[$viewer->id] ?? []),
                'voters' => \count($given),
            ] + ($isShown ? ['counts' => self::told((new Tally($vote->topics, $vote->signs))->counted(array_values($given)))] : []);
        }, $votes);
    }

    /**
     * @param array<string, int> $counts
     *
     * @return list<array{string, int}> in their order
     */
    private static function told(array $counts): array
    {
        return array_map(static fn(string $topic): array => [$topic, $counts[$topic]], array_map(strval(...), array_keys($counts)));
    }

    /**
     * @param list<string> $topics
     *
     * @throws \DomainException with a sentence for the person
     */
    public static function open(Plan $plan, string $question, array $topics, int $signs, bool $isSecret): void
    {
        Transaction::of(static function () use ($plan, $question, $topics, $signs, $isSecret): void {
            Comments::stamp($plan->id);
            $live = DB::table('topics')->where('plan_id', $plan->id)->whereIn('id', $topics)->whereNull('removed_at')->pluck('id')->all();
            $topics = array_values(array_intersect($topics, $live));
            if (\count($topics) < 2) {
                throw new \DomainException('A vote is on two topics at the least. Mark them first.');
            }
            if (Vote::query()->where('plan_id', $plan->id)->count() >= self::MOST) {
                throw new \DomainException('A plan holds at most ' . self::MOST . ' votes. Delete some that are over.');
            }
            Vote::query()->create(
                ['plan_id' => $plan->id, 'question' => $question, 'topics' => $topics, 'signs' => $signs, 'is_secret' => $isSecret],
            );
        });
    }

    /**
     * Sets what a person gives, in the place of what they gave before.
     *
     * @param array<string, int> $given topic → signs
     *
     * @throws TooManySigns
     * @throws NotThere     where it is closed
     */
    public static function give(Plan $plan, User $user, string $id, array $given): void
    {
        Transaction::of(static function () use ($plan, $user, $id, $given): void {
            Comments::stamp($plan->id);
            $vote = self::find($plan, $id);
            if ($vote->closed_at !== null) {
                throw new NotThere();
            }
            $ballot = (new Tally($vote->topics, $vote->signs))->ballot($given);
            DB::table('ballots')->where('vote_id', $vote->id)->where('user_id', $user->id)->delete();
            DB::table('ballots')->insert(array_map(
                static fn(string $topic): array => [
                    'vote_id' => $vote->id, 'user_id' => $user->id, 'topic_id' => $topic, 'signs' => $ballot[$topic],
                ],
                array_map(strval(...), array_keys($ballot)),
            ));
        });
    }

    public static function close(Plan $plan, string $id): void
    {
        Transaction::of(static function () use ($plan, $id): void {
            Comments::stamp($plan->id);
            self::find($plan, $id)->update(['closed_at' => now()]);
        });
    }

    public static function delete(Plan $plan, string $id): void
    {
        Transaction::of(static function () use ($plan, $id): void {
            Comments::stamp($plan->id);
            self::find($plan, $id)->delete();
        });
    }

    /** @throws NotThere */
    private static function find(Plan $plan, string $id): Vote
    {
        /** @var Vote|null $found */
        $found = Vote::query()->where('plan_id', $plan->id)->where('id', $id)->first();

        return $found ?? throw new NotThere();
    }
}
