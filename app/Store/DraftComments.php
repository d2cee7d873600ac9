<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use Embrel\Document\Heard;
use Illuminate\Support\Facades\DB;

/** Comments in drafts that came home, kept with the topics that they are about: each once, however often its draft comes. */
final class DraftComments
{
    /** @param list<Heard> $heard */
    public static function keep(Plan $plan, string $topic, array $heard): void
    {
        $comments = array_filter($heard, static fn(Heard $one): bool => !$one->isChange());
        $rows = array_map(
            static fn(Heard $one): array => [
                'plan_id' => $plan->id, 'topic_id' => $topic, 'hash' => hash('sha256', "{$one->who}\n{$one->text}"),
                'who' => mb_substr($one->who, 0, 200), 'text' => mb_strcut($one->text, 0, 20_000),
            ],
            array_values($comments),
        );
        DB::table('draft_comments')->insertOrIgnore($rows);
    }
}
