<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Plan\InvalidValue;
use Embrel\RichText\Text;
use Illuminate\Support\Facades\DB;

/** The tags that a person has put on plans. */
final class PlanTags
{
    /** In characters. */
    private const LONGEST = 60;
    private const MOST_ON_ONE = 20;

    /** @return array<string, list<string>> plan → its tags, in the order of the alphabet */
    public static function of(User $user): array
    {
        $tags = [];
        foreach (DB::table('plan_tags')->where('user_id', $user->id)->orderBy('tag')->get(['plan_id', 'tag']) as $row) {
            $tags[$row->plan_id][] = $row->tag;
        }

        return $tags;
    }

    /** @throws InvalidValue where it is no tag; white space around it goes */
    public static function name(string $typed): string
    {
        $tag = Text::line(mb_scrub($typed));

        return match (true) {
            $tag === '' => throw new InvalidValue('A tag needs a name.'),
            mb_strlen($tag) > self::LONGEST => throw new InvalidValue('A tag may have ' . self::LONGEST . ' characters.'),
            default => $tag,
        };
    }

    /** @param list<string> $plans that the person may see */
    public static function put(User $user, array $plans, string $tag): void
    {
        $known = self::of($user);
        foreach ($plans as $plan) {
            if (\count($known[$plan] ?? []) < self::MOST_ON_ONE) {
                DB::table('plan_tags')->insertOrIgnore(['user_id' => $user->id, 'plan_id' => $plan, 'tag' => $tag]);
            }
        }
    }

    /** @param list<string> $plans */
    public static function take(User $user, array $plans, string $tag): void
    {
        DB::table('plan_tags')->where('user_id', $user->id)->whereIn('plan_id', $plans)->where('tag', $tag)->delete();
    }
}
