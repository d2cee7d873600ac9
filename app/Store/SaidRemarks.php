<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use Embrel\Document\Remark;

/** What is said in a plan and not settled, as remarks beside a draft. */
final class SaidRemarks
{
    /** @return list<Remark> answers behind what they answer */
    public static function of(Plan $plan): array
    {
        $remarks = [];
        foreach (Comments::open($plan->id) as $thread) {
            $head = $thread[0];
            $gone = ($head->anchor['gone'] ?? false) === true;
            foreach ($thread as $one) {
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
