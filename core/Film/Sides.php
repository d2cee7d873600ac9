<?php

declare(strict_types=1);

namespace Embrel\Film;

use Embrel\Intake\WayBack\Saying;
use Embrel\Intake\WayBack\WordDiff;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;

/** Two states of a plan side by side: each topic that differs, with the words that went and those that came. */
final class Sides
{
    /**
     * @return list<array{id: string, what: string, before: string, after: string, title: list<array{string, string}>, text: list<array{string, string}>}>
     *         in the order of the later one, then what was removed; what: new, gone, moved or changed; before and after: its number and
     *         title on each side; title and text as words with `=`, `-` or `+`
     */
    public static function of(Plan $before, Plan $after): array
    {
        [$was, $is] = [new Saying($before), new Saying($after)];
        [$wasNumbered, $isNumbered] = [Numbering::of($before), Numbering::of($after)];
        $name = static fn(Plan $plan, Numbering $numbers, string $id): string => trim("{$numbers->own($id)} {$plan->topic($id)->title}");
        $sides = [];
        foreach (self::order($before, $after) as $id) {
            [$inBefore, $inAfter] = [self::has($before, $id), self::has($after, $id)];
            $what = match (true) {
                !$inBefore => 'new',
                !$inAfter => 'gone',
                $before->parent($id) !== $after->parent($id) => 'moved',
                default => 'changed',
            };
            $text = [$inBefore ? $was->note($before->topic($id)->note) : '', $inAfter ? $is->note($after->topic($id)->note) : ''];
            $title = [$inBefore ? $before->topic($id)->title : '', $inAfter ? $after->topic($id)->title : ''];
            if ($what === 'changed' && $text[0] === $text[1] && $title[0] === $title[1]) {
                continue;
            }
            $sides[] = [
                'id' => $id,
                'what' => $what,
                'before' => $inBefore ? $name($before, $wasNumbered, $id) : '',
                'after' => $inAfter ? $name($after, $isNumbered, $id) : '',
                'title' => WordDiff::between($title[0], $title[1]),
                'text' => $text[0] === $text[1] ? [] : WordDiff::between($text[0], $text[1]),
            ];
        }

        return $sides;
    }

    /** @return list<string> */
    private static function order(Plan $before, Plan $after): array
    {
        $ids = [Plan::ROOT, ...$after->standing(), ...\array_slice($after->branch(Plan::TRAY), 1)];
        $known = array_fill_keys($ids, true);
        foreach ([...$before->standing(), ...\array_slice($before->branch(Plan::TRAY), 1)] as $id) {
            if (!isset($known[$id])) {
                $ids[] = $id;
            }
        }

        return $ids;
    }

    private static function has(Plan $plan, string $id): bool
    {
        return $plan->has($id) && $plan->isLive($id);
    }
}
