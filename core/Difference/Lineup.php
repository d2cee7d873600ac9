<?php

declare(strict_types=1);

namespace Embrel\Difference;

use Embrel\Plan\Ascending;

/**
 * A row of things in order, the parts of a topic or the blocks of a note, as it was and as it became: as much of it as
 * differs, and its neighbours on both sides, by which a place is found again when others have come and gone.
 */
final readonly class Lineup
{
    /** How many neighbours are kept on each side. */
    private const REACH = 20;

    /**
     * @param list<string> $was
     * @param list<string> $is
     * @param bool         $fromStart whether nothing stands before the first of them
     */
    public function __construct(public array $was, public array $is, public bool $fromStart) {}

    /**
     * @param list<string> $was
     * @param list<string> $is
     */
    public static function between(array $was, array $is): ?self
    {
        if ($was === $is) {
            return null;
        }
        $most = min(\count($was), \count($is));
        for ($head = 0; $head < $most && $was[$head] === $is[$head]; ++$head);
        for ($tail = 0; $tail < $most - $head && $was[\count($was) - 1 - $tail] === $is[\count($is) - 1 - $tail]; ++$tail);
        $from = max(0, $head - self::REACH);
        $left = $tail - min($tail, self::REACH);

        return new self(
            \array_slice($was, $from, \count($was) - $from - $left),
            \array_slice($is, $from, \count($is) - $from - $left),
            $from === 0,
        );
    }

    public function reversed(): self
    {
        return new self($this->is, $this->was, $this->fromStart);
    }

    /** @return list<string> */
    public function came(): array
    {
        return array_values(array_diff($this->is, $this->was));
    }

    /** @return list<string> */
    public function went(): array
    {
        return array_values(array_diff($this->was, $this->is));
    }

    /** @return list<string> that stayed, and stand elsewhere among the others: as few as tell the new order, and the same both ways */
    public function reordered(): array
    {
        $both = [array_values(array_intersect($this->was, $this->is)), array_values(array_intersect($this->is, $this->was))];
        usort($both, static fn(array $a, array $b): int => strcmp(implode($a), implode($b)));
        $stood = array_flip($both[0]);
        $ordered = [];
        foreach ($both[1] as $id) {
            $ordered[$id] = $stood[$id];
        }
        $kept = Ascending::longest($ordered, static fn(int $a, int $b): int => $a <=> $b);

        return array_map(strval(...), array_keys(array_diff_key($ordered, $kept)));
    }

    /**
     * A row, as it is by now, with this change: what came and what was put elsewhere stands as it stood among those that are
     * there; everything else stays as it is.
     *
     * @param list<string>        $row
     * @param array<string, true> $placed by others since: they are not moved, and no place is told by them
     *
     * @return list<string>
     */
    public function in(array $row, array $placed = []): array
    {
        $moving = array_diff_key(array_flip([...$this->came(), ...$this->reordered()]), $placed);
        $gone = array_diff_key(array_flip($this->went()), $placed);
        $stay = array_values(array_filter($row, static fn(string $id): bool => !isset($moving[$id]) && !isset($gone[$id])));
        $there = array_diff_key(array_flip($stay), $placed);
        $before = $behind = $first = [];
        $last = null;
        foreach ($this->is as $id) {
            if (isset($moving[$id])) {
                $last === null ? $first[] = $id : $behind[$last][] = $id;
            } elseif (isset($there[$id])) {
                if ($last === null) {
                    [$before[$id], $first] = [$first, []];
                }
                $last = $id;
            }
        }
        $out = $this->fromStart ? $first : [];
        foreach ($stay as $id) {
            array_push($out, ...$before[$id] ?? [], ...[$id], ...$behind[$id] ?? []);
        }

        return $this->fromStart ? $out : [...$out, ...$first];
    }

    /** @return array{list<string>, list<string>, bool} */
    public function toArray(): array
    {
        return [$this->was, $this->is, $this->fromStart];
    }
}
