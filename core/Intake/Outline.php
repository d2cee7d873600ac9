<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\NodeType;

/** The tree of an intake as it is shown before it is kept: the first of its topics, and how many there are. */
final class Outline
{
    private const SHOWN = 400;

    /**
     * @return array{title: string, count: int, words: int, opening: int, pictures: int, rows: list<array{level: int, title: string, words: int, dye: string|null}>}
     */
    public static function of(Plan $plan): array
    {
        $rows = [];
        $dye = null;
        $count = 0;
        $words = $opening = $plan->topic(Plan::ROOT)->words;
        $pictures = self::pictures($plan->topic(Plan::ROOT));
        foreach ($plan->walk() as $id => $level) {
            $topic = $plan->topic($id);
            $words += $topic->words;
            $pictures += self::pictures($topic);
            $dye = $topic->dye->value ?? $dye;
            if ($count++ < self::SHOWN) {
                $rows[] = ['level' => $level, 'title' => $topic->title, 'words' => $topic->words, 'dye' => $dye];
            }
        }

        return [
            'title' => $plan->title(),
            'count' => $count,
            'words' => $words,
            'opening' => $opening,
            'pictures' => $pictures,
            'rows' => $rows,
        ];
    }

    private static function pictures(Topic $topic): int
    {
        return ($topic->picture === null ? 0 : 1) + ($topic->note === null ? 0 : iterator_count($topic->note->find(NodeType::Picture)));
    }
}
