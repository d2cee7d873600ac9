<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;

/** The main sections beside each other: what each has, what it is to have, and what an even share would be. */
final readonly class Balance
{
    /**
     * @param list<array{id: string, label: string, title: string, dye: string, words: int, target: int, own: bool}> $sections
     *        target: its own or the sum of those below, 0 for none; own: whether it is its own
     * @param int $even  in words: what each numbered section would have of all their targets, without any of all their words
     * @param int $scale in words: what the longest bar stands for
     */
    private function __construct(public array $sections, public int $even, public int $scale) {}

    public static function of(Ground $ground): self
    {
        $sections = $targets = $words = [];
        foreach ($ground->plan->parts(Plan::ROOT) as $id) {
            $topic = $ground->plan->topics[$id];
            if ($topic->kind === Kind::Aside) {
                continue;
            }
            $sections[] = $row = [
                'id' => $id,
                'label' => substr((string) strrchr(' ' . $ground->numbering->own($id), ' '), 1),
                'title' => $topic->title,
                'dye' => $topic->dye->value ?? 'slate',
                'words' => $ground->totals->words($id),
                'target' => $ground->totals->target($id),
                'own' => $topic->target !== null,
            ];
            if ($topic->kind === Kind::Section && $topic->numbered === Numbered::Usual) {
                $targets[] = $row['target'];
                $words[] = $row['words'];
            }
        }
        $shared = array_sum($targets) > 0 ? $targets : $words;
        $even = $shared === [] ? 0 : (int) round(array_sum($shared) / \count($shared));
        $most = array_map(static fn(array $row): int => max($row['words'], $row['target']), $sections);

        return new self($sections, $even, max(1, $even, ...$most));
    }
}
