<?php

declare(strict_types=1);

namespace Embrel\Film;

use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;

/** The outline of a plan at one moment, as it is shown in a film: a row for each topic, in reading order; loose ideas last. */
final readonly class Frame
{
    /** @param list<array{string, int, string, string, string, string, int}> $rows id, level, number, title, kind, dye, words; a loose idea has level 0 */
    public function __construct(public string $title, public array $rows) {}

    public static function of(Plan $plan): self
    {
        $numbering = Numbering::of($plan);
        $loose = array_map(
            static fn(array $row): array => [$row[0], 0, '', $row[3], $row[4], $row[5], $row[6]],
            self::under($plan, Plan::TRAY, $numbering),
        );

        return new self($plan->title(), [...self::under($plan, Plan::ROOT, $numbering), ...$loose]);
    }

    /**
     * A row for each topic below a home, each in the dye of the nearest above it that has one.
     *
     * @return list<array{string, int, string, string, string, string, int}> as in a frame
     */
    public static function under(Plan $plan, string $home, Numbering $numbering): array
    {
        $rows = [];
        $dyes = [];
        foreach ($plan->walk($home) as $id => $level) {
            $topic = $plan->topic($id);
            $dyes[$id] = $topic->dye->value ?? $dyes[(string) $plan->parent($id)] ?? 'slate';
            $rows[] = [$id, $level, $numbering->own($id), $topic->title, $topic->kind->value, $dyes[$id], $topic->words];
        }

        return $rows;
    }

    /**
     * How this one becomes the next: from which row on so many go, and which come in their place.
     *
     * @return array{title?: string, from: int, gone: int, rows: list<array{string, int, string, string, string, string, int}>}
     */
    public function cutTo(self $next): array
    {
        [$from, $end, $nextEnd] = [0, \count($this->rows), \count($next->rows)];
        while ($from < $end && $from < $nextEnd && $this->rows[$from] === $next->rows[$from]) {
            ++$from;
        }
        while ($end > $from && $nextEnd > $from && $this->rows[$end - 1] === $next->rows[$nextEnd - 1]) {
            --$end;
            --$nextEnd;
        }

        return ($this->title === $next->title ? [] : ['title' => $next->title])
            + ['from' => $from, 'gone' => $end - $from, 'rows' => \array_slice($next->rows, $from, $nextEnd - $from)];
    }

    /**
     * The frame after a cut.
     *
     * @param array{title?: string, from: int, gone: int, rows: list<array{string, int, string, string, string, string, int}>} $cut
     */
    public function after(array $cut): self
    {
        $rows = $this->rows;
        array_splice($rows, $cut['from'], $cut['gone'], $cut['rows']);

        return new self($cut['title'] ?? $this->title, $rows);
    }
}
