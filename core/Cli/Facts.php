<?php

declare(strict_types=1);

namespace Embrel\Cli;

use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** What can be counted in a plan. */
final class Facts
{
    /**
     * @return array{title: string, topics: int, by_level: list<int>, words: int, pictures: int, links: int, titles: list<string>}
     *         by_level[0] counts the topics directly under the title; words are those of all notes
     */
    public static function of(Plan $plan): array
    {
        $titles = [];
        $levels = [];
        $root = $plan->topic(Plan::ROOT);
        $words = $root->words;
        $counts = ['pictures' => 0, 'links' => 0, 'open' => null];
        self::count($root->note->blocks ?? [], $counts);
        foreach ($plan->walk() as $id => $level) {
            $topic = $plan->topics[$id];
            $titles[] = $topic->title;
            $levels[$level - 1] = ($levels[$level - 1] ?? 0) + 1;
            $words += $topic->words;
            self::count($topic->note->blocks ?? [], $counts);
        }
        ksort($levels);

        return [
            'title' => $plan->title(),
            'topics' => \count($titles),
            'by_level' => array_values($levels),
            'words' => $words,
            'pictures' => $counts['pictures'],
            'links' => $counts['links'],
            'titles' => $titles,
        ];
    }

    /**
     * A link that runs on over several runs of text, or over a picture and its text, counts once.
     *
     * @param array<Node>                                          $nodes
     * @param array{pictures: int, links: int, open: string|null} $counts
     */
    private static function count(array $nodes, array &$counts): void
    {
        foreach ($nodes as $node) {
            $counts['pictures'] += $node->type === NodeType::Picture ? 1 : 0;
            if ($node->isText() || $node->type === NodeType::Picture) {
                $link = $node->link() ?? $node->string('href');
                $counts['links'] += $link !== null && $link !== $counts['open'] ? 1 : 0;
                $counts['open'] = $link;
            }
            self::count($node->content, $counts);
        }
    }
}
