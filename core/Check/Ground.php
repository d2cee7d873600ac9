<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Check\Text\Reading;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;

/** What the rules look at: a plan with its sources and relations, what was read in its notes, and what all of them ask of it. */
final class Ground
{
    public readonly Numbering $numbering;
    public readonly WordTotals $totals;
    /** @var list<string> topics that print, in reading order, without the root */
    public readonly array $printing;
    /** @var array<string, int> topic that prints → its level, 1 for a main section */
    public readonly array $levels;
    /** @var array<string, list<string>> topic that prints, or the root → its parts that print as headings, where it has any */
    private readonly array $sections;
    /** @var array<string, true> topics that hold something to read, themselves or under them */
    public readonly array $written;

    /**
     * @param array<string, Reading> $readings topic → what was read in its note; topics without a note are missing
     * @param string|null            $today    the calendar date where the person is; null: no date is late
     */
    public function __construct(public readonly Plan $plan, public readonly array $readings, public readonly ?string $today = null)
    {
        $this->numbering = Numbering::of($plan);
        $this->totals = WordTotals::of($plan);
        $levels = $written = $sections = [];
        $open = [[Plan::ROOT, 0]];
        while ($open !== []) {
            [$id, $level] = array_pop($open);
            $levels[$id] = $level;
            $parts = $plan->parts[$id] ?? [];
            for ($i = \count($parts) - 1; $i >= 0; --$i) {
                if ($plan->topics[$parts[$i]]->kind !== Kind::Aside) {
                    $open[] = [$parts[$i], $level + 1];
                }
            }
            foreach ($parts as $part) {
                if ($plan->topics[$part]->kind === Kind::Section) {
                    $sections[$id][] = $part;
                }
            }
        }
        unset($levels[Plan::ROOT]);
        foreach ($levels as $id => $_) {
            $topic = $plan->topics[$id];
            $isWritten = $topic->noted && !($readings[$id]->onlyAsks ?? false);
            if ($isWritten || ($topic->kind !== Kind::Section && $topic->title !== '')) {
                for ($at = (string) $id; $at !== null && !isset($written[$at]); $at = $plan->parent($at)) {
                    $written[$at] = true;
                }
            }
        }
        $this->levels = $levels;
        $this->sections = $sections;
        $this->printing = array_map(strval(...), array_keys($levels));
        $this->written = $written;
    }

    /** @return list<string> the parts of a topic that print as headings */
    public function sections(string $id): array
    {
        return $this->sections[$id] ?? [];
    }

    /** Number and title, as it is spoken of; what has no title says so. */
    public function name(string $id): string
    {
        if ($id === Plan::ROOT) {
            return 'the opening note';
        }
        $title = $this->plan->topics[$id]->title;

        return trim($this->numbering->own($id) . ' ' . ($title === '' ? 'Untitled' : mb_strimwidth($title, 0, 80, '…')));
    }

    /** Its number; without one its title. */
    public function short(string $id): string
    {
        return match (true) {
            $id === Plan::ROOT => 'the plan',
            $this->numbering->own($id) !== '' => rtrim($this->numbering->full($id), '.'),
            default => $this->name($id),
        };
    }
}
