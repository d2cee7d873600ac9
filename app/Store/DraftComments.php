<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Comment;
use App\Models\Plan;
use Embrel\Document\Heard;
use Embrel\Limits;
use Illuminate\Support\Facades\DB;

/**
 * Comments in a document that was taken in, or in a draft that came home: said at the topics that they are about, each once, however
 * often its draft comes.
 */
final class DraftComments
{
    /** @param list<Heard> $heard */
    public static function keep(Plan $plan, string $topic, array $heard): void
    {
        foreach ($heard as $one) {
            if ($one->isChange()) {
                continue;
            }
            $row = [
                'plan_id' => $plan->id, 'topic_id' => $topic, 'hash' => hash('sha256', "{$one->who}\n{$one->text}"),
                'who' => mb_substr($one->who, 0, 200), 'text' => mb_strcut($one->text, 0, 20_000),
            ];
            $body = mb_substr(trim($one->text), 0, Limits::COMMENT);
            if (DB::table('draft_comments')->insertOrIgnore([$row]) === 1 && $body !== '' && !self::isKnown($plan, $body)) {
                Comments::say($plan, $one->who === '' ? 'Somebody' : $one->who, (new NewIds())->next(), $topic, $body);
            }
        }
    }

    /** Whether it is one of ours, which had gone out beside the draft: as it is, or behind the words that it is about. */
    private static function isKnown(Plan $plan, string $body): bool
    {
        $bare = trim((string) preg_replace('/\A“[^”]*”\s*/u', '', $body));

        return Comment::query()->where('plan_id', $plan->id)->whereIn('body', array_values(array_unique([$body, $bare])))->exists();
    }
}
