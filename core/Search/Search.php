<?php

declare(strict_types=1);

namespace Embrel\Search;

use Embrel\Plan\Plan;

/** Finds a query in the titles, the labels and the loaded notes of a plan. */
final class Search
{
    /**
     * @param string $within only in this branch; its own title and note count too
     *
     * @return list<Hit> in reading order, the loose ideas last; title before labels before note
     */
    public static function in(Plan $plan, Query $query, string $within = Plan::ROOT): array
    {
        if ($query->isEmpty()) {
            return [];
        }
        $hits = [];
        foreach ($within === Plan::ROOT ? [Plan::ROOT, ...$plan->standing()] : $plan->branch($within) as $id) {
            $topic = $plan->topic($id);
            array_push($hits, ...self::hits($id, null, 0, $topic->title, $query));
            foreach ($topic->labels as $i => $label) {
                array_push($hits, ...self::hits($id, Hit::LABEL, $i, $label, $query));
            }
            foreach ($topic->note === null ? [] : $topic->note->blocks as $block => $node) {
                foreach (Lines::of($node) as $i => $line) {
                    array_push($hits, ...self::hits($id, $block, $i, $line, $query));
                }
            }
        }

        return $hits;
    }

    /** @return list<Hit> */
    private static function hits(string $topic, ?string $block, int $line, string $text, Query $query): array
    {
        return array_map(
            static fn(array $at): Hit => new Hit(
                $topic,
                $block,
                $line,
                mb_strlen(substr($text, 0, $at[0])),
                mb_strlen(substr($text, $at[0], $at[1])),
                $text,
            ),
            $query->in($text),
        );
    }
}
