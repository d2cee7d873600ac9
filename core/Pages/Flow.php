<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Style;

/**
 * Puts lines onto pages: a heading stays with what follows it, no line of a paragraph stands alone at
 * the foot or the head of a page, footnotes stand at the foot of the page that refers to them.
 */
final class Flow
{
    /** Of the gap between the text and the footnotes. */
    private const NOTES_GAP = 10.0;

    /** @var list<Page> */
    public array $pages = [];
    private readonly float $left;
    private readonly float $top;
    private readonly float $bottom;
    private float $y = 0.0;
    private float $gap = 0.0;
    private bool $isFresh = true;
    /** @var list<Line> footnotes of the page at hand */
    private array $notes = [];
    private float $notesHeight = 0.0;
    /** @var list<Group> that wait for what they must stay with */
    private array $held = [];

    public function __construct(Style $style, string $paper)
    {
        [, $height] = $style->page($paper);
        [$this->top, , $bottom, $this->left] = $style->edges();
        $this->bottom = $height - $bottom;
        $this->newPage();
    }

    /** @param bool $releases what waits to stay with what follows goes to the page at hand */
    public function newPage(bool $releases = false): void
    {
        $releases ? $this->release() : null;
        if ($this->isFresh && $this->pages !== []) {
            return;
        }
        $this->endPage();
        $this->pages === [] ? null : $this->page()->pack();
        $this->pages[] = new Page();
        $this->y = $this->top;
        $this->gap = 0.0;
        $this->isFresh = true;
    }

    private function endPage(): void
    {
        if ($this->notes !== []) {
            $page = $this->page();
            $y = $this->bottom - $this->notesHeight + self::NOTES_GAP;
            $page->add(new Piece(Piece::RULE, $this->left, $y - 5.0, 120.0, 0.5, colour: Style::RULE));
            foreach ($this->notes as $line) {
                array_map($page->add(...), $line->placed($this->left, $y));
                $y += $line->height;
            }
        }
        $this->notes = [];
        $this->notesHeight = 0.0;
    }

    public function end(): void
    {
        $this->release();
        $this->endPage();
    }

    private function page(): Page
    {
        return $this->pages[\count($this->pages) - 1];
    }

    public function add(Group $group): void
    {
        if ($group->startsPage) {
            $this->release();
            $this->newPage();
        }
        if ($group->keepsNext) {
            $this->held[] = $group;

            return;
        }
        $this->makeRoom($group);
        $this->release();
        $group->rows === [] ? $this->lines($group) : $this->rows($group);
    }

    /** So that what is held has its place on one page with the first lines of a group. */
    private function makeRoom(Group $group): void
    {
        if ($this->held === []) {
            return;
        }
        $needs = $group->before;
        foreach ($this->held as $one) {
            $needs += $one->before + $one->after + array_sum(array_map(static fn(Line $line): float => $line->height, $one->lines));
        }
        $first = $group->rows === [] ? \array_slice($group->lines, 0, 2) : [];
        $needs
            += array_sum(array_map(static fn(Line $line): float => $line->height, $first))
            + ($group->rows === [] ? 0.0 : min(120.0, $group->rows[0]->height()));
        if ($needs > $this->room()) {
            $this->newPage();
        }
    }

    private function release(): void
    {
        $held = $this->held;
        $this->held = [];
        foreach ($held as $group) {
            $this->lines($group);
        }
    }

    private function room(): float
    {
        return $this->bottom - $this->notesHeight - $this->y - ($this->isFresh ? 0.0 : $this->gap);
    }

    private function lines(Group $group): void
    {
        $this->gap = max($this->gap, $group->before);
        $count = \count($group->lines);
        foreach ($group->lines as $i => $line) {
            $left = $count - $i;
            // Two lines at least stay together at either end of a page.
            $needs
                = $line->height
                + self::notesOf($line)
                + ($left === 2 || ($i === 0 && $left > 1) ? ($group->lines[$i + 1] ?? $line)->height : 0.0);
            if ($needs > $this->room() && !$this->isFresh && ($needs <= $this->bottom - $this->top || $line->height > $this->room())) {
                $this->newPage();
            }
            $this->place($line);
        }
        $this->gap = $group->after;
    }

    private static function notesOf(Line $line): float
    {
        $height = 0.0;
        foreach ($line->footnotes as $note) {
            $height += array_sum(array_map(static fn(Line $one): float => $one->height, $note)) + 2.0;
        }

        return $height;
    }

    private function place(Line $line): void
    {
        $this->y += $this->isFresh ? 0.0 : $this->gap;
        [$this->gap, $this->isFresh] = [0.0, false];
        $page = $this->page();
        if ($line->ground !== null) {
            $page->add(new Piece(Piece::BOX, $this->left, $this->y, 0.0, $line->height + 0.4, colour: $line->ground));
        }
        array_map($page->add(...), $line->placed($this->left, $this->y));
        foreach ($line->anchors as $anchor) {
            $page->anchors[$anchor] ??= $this->y;
        }
        if ($line->heading !== null) {
            $page->headings[] = [$line->heading[0], $line->heading[1], $this->y];
        }
        foreach ($line->footnotes as $note) {
            $this->notesHeight += $this->notes === [] ? self::NOTES_GAP : 0.0;
            array_push($this->notes, ...$note, ...[Line::space(2.0)]);
            $this->notesHeight += array_sum(array_map(static fn(Line $one): float => $one->height, $note)) + 2.0;
        }
        $this->y += $line->height;
    }

    private function rows(Group $group): void
    {
        $this->gap = max($this->gap, $group->before);
        $this->y += $this->isFresh ? 0.0 : $this->gap;
        $this->gap = 0.0;
        $heads = \array_slice($group->rows, 0, $group->heads);
        $queue = array_reverse($group->rows);
        $first = true;
        while (($row = array_pop($queue)) !== null) {
            $room = $this->bottom - $this->notesHeight - $this->y;
            if ($row->height() > $room) {
                $isTall = $row->height() > ($this->bottom - $this->top) * 0.6;
                $parts = $isTall && $room > 60.0 ? $row->divided($room) : null;
                if ($parts !== null && array_filter($parts[0]->cells) !== []) {
                    $this->row($parts[0]);
                    $queue[] = $parts[1];
                } elseif (!$this->isFresh) {
                    $queue[] = $row;
                } else {
                    $this->row($row);
                }
                $this->newPage();
                foreach ($first ? [] : $heads as $head) {
                    $this->row($head);
                }
                $first = false;
                continue;
            }
            $this->row($row);
            $first = false;
        }
        $this->gap = $group->after;
    }

    private function row(Row $row): void
    {
        $page = $this->page();
        $height = $row->height();
        $this->isFresh = false;
        [$left, $right] = [$this->left + $row->edges[0], $this->left + $row->edges[\count($row->edges) - 1]];
        if ($row->isHead) {
            $page->add(new Piece(Piece::BOX, $left, $this->y, $right - $left, $height, colour: Style::GROUND));
        }
        foreach ([$this->y, $this->y + $height] as $y) {
            $page->add(new Piece(Piece::RULE, $left, $y, $right - $left, 0.5, colour: Style::RULE));
        }
        foreach ($row->edges as $edge) {
            $page->add(new Piece(Piece::BOX, $this->left + $edge - 0.25, $this->y, 0.5, $height, colour: Style::RULE));
        }
        foreach ($row->cells as $c => $lines) {
            $y = $this->y + Row::PADDING;
            foreach ($lines as $line) {
                array_map($page->add(...), $line->placed($this->left + $row->edges[$c] + Row::PADDING, $y));
                foreach ($line->footnotes as $note) {
                    $this->notesHeight
                        += ($this->notes === [] ? self::NOTES_GAP : 0.0)
                        + array_sum(array_map(static fn(Line $one): float => $one->height, $note))
                        + 2.0;
                    array_push($this->notes, ...$note, ...[Line::space(2.0)]);
                }
                $y += $line->height;
            }
        }
        $this->y += $height;
    }
}
