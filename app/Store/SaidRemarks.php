<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Comment;
use App\Models\Plan;
use Embrel\Document\Remark;

/** What is said in a plan and not settled, as remarks beside a draft. */
final class SaidRemarks
{
    /** @return list<Remark> answers behind what they answer */
    public static function of(Plan $plan): array
    {
        /** @var list<Comment> $comments */
        $comments = Comment::query()
            ->where('plan_id', $plan->id)
            ->whereNull('taken_back_at')
            ->orderBy('created_at')
            ->orderBy('id')
            ->get()
            ->all();
        $heads = array_filter($comments, static fn(Comment $one): bool => $one->thread_id === null && $one->settled_at === null);
        $remarks = [];
        foreach ($heads as $head) {
            $answers = array_filter($comments, static fn(Comment $one): bool => $one->thread_id === $head->id);
            foreach ([$head, ...$answers] as $one) {
                $gone = ($head->anchor['gone'] ?? false) === true;
                $proposed = $one->proposal['text'] ?? null;
                $anchor = $one->anchor;
                $text = trim(($proposed === null ? '' : "Suggested: {$proposed}\n") . $one->body);
                if ($text !== '') {
                    $remarks[] = new Remark(
                        $one->topic_id,
                        $head->anchor === null || $gone ? '' : (string) $head->anchor['block'],
                        $one->name,
                        $one->created_at->format('Y-m-d\TH:i:s\Z'),
                        $text,
                        $anchor === null ? '' : mb_substr((string) $anchor['text'], (int) $anchor['from'], (int) $anchor['length']),
                    );
                }
            }
        }

        return $remarks;
    }
}
