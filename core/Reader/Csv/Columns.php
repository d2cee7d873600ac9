<?php

declare(strict_types=1);

namespace Embrel\Reader\Csv;

/** What the columns of a table are called, here and elsewhere. */
final class Columns
{
    private const NAMES = [
        'id' => 'id',
        'level' => 'level',
        'depth' => 'level',
        'outline level' => 'level',
        'ebene' => 'level',
        'niveau' => 'level',
        'nivel' => 'level',
        'title' => 'title',
        'topic' => 'title',
        'heading' => 'title',
        'name' => 'title',
        'text' => 'title',
        'titel' => 'title',
        'titre' => 'title',
        'thema' => 'title',
        'note' => 'note',
        'notes' => 'note',
        'description' => 'note',
        'notiz' => 'note',
        'kind' => 'kind',
        'flag' => 'flag',
        'target' => 'target',
        'labels' => 'labels',
        'label' => 'labels',
        'category' => 'labels',
        'categories' => 'labels',
        'keywords' => 'labels',
        'who' => 'who',
        'person' => 'who',
        'begins' => 'begins',
        'start' => 'begins',
        'due' => 'due',
        'deadline' => 'due',
        'done' => 'done',
        'again' => 'again',
    ];

    /**
     * @param list<string> $row the first, that names them
     *
     * @return array<string, int> what → which column; of two for one thing the first
     */
    public static function of(array $row): array
    {
        $columns = [];
        foreach ($row as $i => $name) {
            $what = self::NAMES[mb_strtolower($name)] ?? null;
            if ($what !== null) {
                $columns[$what] ??= $i;
            }
        }

        return $columns;
    }
}
