<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Comment;
use App\Models\Plan;
use App\Models\User;
use App\Stream\Wire;
use Embrel\Comment\Anchor;
use Embrel\Comment\Suggestion;
use Embrel\Limits;
use Embrel\Plan\Plan as CorePlan;
use Embrel\RichText\Text;
use Illuminate\Support\Facades\DB;

/** What is said in a plan, beside its tree: kept, changed and settled. Each change has a number of its own, which pages ask from. */
final class Comments
{
    /**
     * Keeps what someone says. The same id again is the same comment.
     *
     * @param User|string          $by      a person, or the name that one gives who comes by a link
     * @param array{text: string, nth: int}|null $words of the note that it is about, and how often they stand in it before
     *
     * @throws \DomainException with a sentence for the person
     * @throws NotThere         where the topic, or what it answers, is not in the plan; or the id is that of a comment elsewhere
     */
    public static function say(
        Plan $plan,
        User|string $by,
        string $id,
        string $topic,
        string $body,
        ?string $thread = null,
        ?array $words = null,
        ?Suggestion $suggestion = null,
    ): Comment {
        return self::changing($plan, static function (int $stamp) use (
            $plan,
            $by,
            $id,
            $topic,
            $body,
            $thread,
            $words,
            $suggestion,
        ): Comment {
            $known = Comment::query()->where('id', $id)->first();
            if ($known !== null) {
                return $known->plan_id === $plan->id ? $known : throw new NotThere();
            }
            if (self::query($plan)->count() >= Limits::COMMENTS) {
                throw new \DomainException('A plan holds at most ' . number_format(Limits::COMMENTS) . ' comments.');
            }
            $head = $thread === null ? null : self::find($plan, $thread);
            $topic = $head->topic_id ?? $topic;
            self::isThere($plan, $topic) || throw new NotThere();
            $note = $words === null ? null : (PlanNotes::of($plan, $topic) ?? throw new NotThere())[0];
            $anchor = $words === null || $note === null ? null : Anchor::find($note, $words['text'], $words['nth']);
            if ($words !== null && $anchor === null) {
                throw new \DomainException(
                    'These words do not stand so in the note. Mark some within one paragraph, without a citation or footnote among them.',
                );
            }
            $comment = Comment::query()->create([
                'id' => $id,
                'plan_id' => $plan->id,
                'topic_id' => $topic,
                'thread_id' => $head === null ? null : ($head->thread_id ?? $head->id),
                'user_id' => $by instanceof User ? $by->id : null,
                'name' => mb_substr($by instanceof User ? $by->name : Text::cleaned($by), 0, 120),
                'body' => self::cleaned($body),
                'anchor' => $anchor?->toArray(),
                'proposal' => $suggestion?->toArray(),
                'revised' => $stamp,
                'placed' => $stamp,
            ]);
            // An answer opens again what was settled.
            if ($head !== null && $head->settled_at !== null) {
                $head->update(['settled_at' => null, 'settled_by' => null, 'revised' => $stamp]);
            }
            Notices::told($plan, $comment, $by instanceof User ? $by : null);

            return $comment;
        });
    }

    /** @throws NotThere where it is another's */
    public static function edit(Plan $plan, User $user, string $id, string $body): void
    {
        self::changing($plan, static function (int $stamp) use ($plan, $user, $id, $body): void {
            $comment = self::find($plan, $id);
            if ($comment->user_id !== $user->id) {
                throw new NotThere();
            }
            $comment->update(['body' => self::cleaned($body), 'edited_at' => now(), 'revised' => $stamp]);
            Notices::mentioned($plan, $comment, $user);
        });
    }

    /**
     * Takes back one's own; the owner of the plan takes back anybody's. Its answers stay.
     *
     * @throws NotThere where it is another's
     */
    public static function takeBack(Plan $plan, User $user, string $id): void
    {
        self::changing($plan, static function (int $stamp) use ($plan, $user, $id): void {
            $comment = self::find($plan, $id);
            if ($comment->user_id !== $user->id && $plan->owner_id !== $user->id) {
                throw new NotThere();
            }
            $comment->update(['body' => '', 'proposal' => null, 'taken_back_at' => now(), 'revised' => $stamp]);
            DB::table('notices')->where('comment_id', $id)->delete();
            foreach ($plan->attachments()->where('holder', $id)->get() as $file) {
                Attachments::remove($file, false);
            }
        });
    }

    public static function settle(Plan $plan, User $user, string $id, bool $isSettled): void
    {
        self::changing($plan, static function (int $stamp) use ($plan, $user, $id, $isSettled): void {
            $comment = self::find($plan, $id);
            $comment->update([
                'settled_at' => $isSettled ? now() : null,
                'settled_by' => $isSettled ? $user->name : null,
                'revised' => $stamp,
            ]);
        });
    }

    /**
     * What has become of a suggestion: that settles it.
     *
     * @throws \DomainException where somebody has answered it already
     */
    public static function answered(Plan $plan, User $user, string $id, bool $isTaken, ?string $why = null): void
    {
        self::changing($plan, static function (int $stamp) use ($plan, $user, $id, $isTaken, $why): void {
            $comment = self::find($plan, $id);
            if ($comment->proposal === null || $comment->outcome !== null) {
                throw new \DomainException('Somebody has answered this suggestion already.');
            }
            $comment->update([
                'outcome' => $isTaken ? 'taken' : 'declined',
                'outcome_by' => $user->name,
                'outcome_why' => $why === null || trim($why) === '' ? null : mb_substr(self::cleaned($why), 0, 300),
                'settled_at' => now(),
                'settled_by' => $user->name,
                'revised' => $stamp,
            ]);
        });
    }

    /** Something hangs on it that it had not. */
    public static function touch(Plan $plan, string $id): void
    {
        self::changing($plan, static fn(int $stamp) => self::query($plan)->where('id', $id)->update(['revised' => $stamp]));
    }

    /** @throws NotThere */
    public static function find(Plan $plan, string $id): Comment
    {
        /** @var Comment|null $found */
        $found = self::query($plan)->where('id', $id)->whereNull('taken_back_at')->first();

        return $found ?? throw new NotThere();
    }

    /**
     * What is said and not settled.
     *
     * @return list<non-empty-list<Comment>> in the order in which it was begun, answers behind what they answer
     */
    public static function open(string $plan): array
    {
        $threads = [];
        /** @var Comment $one */
        foreach (Comment::query()->where('plan_id', $plan)->orderBy('created_at')->orderBy('id')->get() as $one) {
            $threads[$one->thread_id ?? $one->id][] = $one;
        }
        $open = [];
        foreach ($threads as $id => $said) {
            $isSettled = array_filter($said, static fn(Comment $one): bool => $one->id === $id && $one->settled_at !== null) !== [];
            $standing = array_values(array_filter($said, static fn(Comment $one): bool => $one->taken_back_at === null));
            if (!$isSettled && $standing !== []) {
                $open[] = $standing;
            }
        }

        return $open;
    }

    /** The number of the next change of what is said; the plan's row is locked with it. */
    public static function stamp(string $plan): int
    {
        DB::table('plans')->where('id', $plan)->increment('talk_revision');
        Wire::changed($plan);

        return (int) DB::table('plans')->where('id', $plan)->value('talk_revision');
    }

    /**
     * @template T
     *
     * @param \Closure(int): T $change
     *
     * @return T
     */
    private static function changing(Plan $plan, \Closure $change): mixed
    {
        return Transaction::of(static fn(): mixed => $change(self::stamp($plan->id)));
    }

    /** @return \Illuminate\Database\Eloquent\Builder<Comment> */
    private static function query(Plan $plan): \Illuminate\Database\Eloquent\Builder
    {
        return Comment::query()->where('plan_id', $plan->id);
    }

    private static function isThere(Plan $plan, string $topic): bool
    {
        return $topic === CorePlan::ROOT
            || DB::table('topics')->where('plan_id', $plan->id)->where('id', $topic)->whereNull('removed_at')->exists();
    }

    private static function cleaned(string $body): string
    {
        return mb_substr(trim(Text::cleaned($body)), 0, Limits::COMMENT);
    }
}
