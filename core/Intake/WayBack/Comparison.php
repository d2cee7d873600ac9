<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/** What differs between a plan and a draft of it that came back, topic by topic. */
final class Comparison
{
    /** @var list<Change> */
    public array $changes = [];
    /** The topic under which the file's main sections stand in the plan. */
    public readonly string $scope;
    public readonly Printed $printed;

    private function __construct(public readonly Plan $plan, public readonly Plan $file, public readonly Matches $matches)
    {
        $this->scope = $this->scope();
        $topics = $plan->branch($this->scope);
        $this->printed = Printed::of($plan, Numbering::of($plan), $topics, array_fill_keys($topics, true));
    }

    /**
     * @param Plan                  $plan with all notes
     * @param array<string, string> $came the id that the file carried → the topic that was read there
     */
    public static function of(Plan $plan, Plan $file, array $came): self
    {
        $file = Captions::uncounted($plan, $file);
        $comparison = new self($plan, $file, Matches::of($plan, $file, $came));
        $comparison->contents();
        $comparison->places();
        $comparison->gone();

        return $comparison;
    }

    /** Where most of the file's main sections stand. */
    private function scope(): string
    {
        $parents = [];
        foreach ($this->file->parts(Plan::ROOT) as $id) {
            $parent = isset($this->matches->here[$id]) ? $this->plan->parent($this->matches->here[$id]) : null;
            $parent === null ? null : $parents[$parent] = ($parents[$parent] ?? 0) + 1;
        }
        arsort($parents);

        return (string) (array_key_first($parents) ?? Plan::ROOT);
    }

    /** How sure the matches are on the whole, from 0 to 1; 0 where nothing was found again. */
    public function sureness(): float
    {
        return $this->matches->sure === [] ? 0.0 : array_sum($this->matches->sure) / \count($this->matches->sure);
    }

    private function contents(): void
    {
        $hasNotes = array_filter($this->file->topics, static fn($topic): bool => $topic->noted) !== [];
        if ($this->file->topic(Plan::ROOT)->noted || $this->plan->topic($this->scope)->noted) {
            $this->note($this->scope, Plan::ROOT, $hasNotes);
        }
        foreach ($this->file->walk() as $there => $_) {
            $here = $this->matches->here[$there] ?? null;
            if ($here === null) {
                continue;
            }
            [$old, $new] = [self::line($this->plan->topic($here)->title), self::line($this->file->topic($there)->title)];
            if ($old !== $new) {
                $this->changes[] = new Change(Change::RETITLED, $here, $old, WordDiff::between($old, $new), sure: $this->matches->sure[$there]);
            }
            $this->note($here, $there, $hasNotes);
        }
    }

    private function note(string $here, string $there, bool $hasNotes): void
    {
        [$old, $new] = [self::text($this->printed->note($here)), self::text($this->file->topic($there)->note)];
        if ($hasNotes && $old !== $new) {
            $this->changes[] = new Change(Change::REWRITTEN, $here, $this->name($here), WordDiff::between($old, $new), sure: $this->matches->sure[$there] ?? 1.0);
        }
    }

    /** What a note says, whatever the formatting. */
    public static function text(?Note $note): string
    {
        return $note === null ? '' : trim(implode("\n", array_map(self::blockText(...), array_values($note->blocks))));
    }

    public static function blockText(Node $block): string
    {
        return trim((string) preg_replace('/[ \t\x{A0}]+/u', ' ', $block->plainText(true)));
    }

    private static function line(string $title): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $title));
    }

    private function name(string $id): string
    {
        return self::line($this->plan->topic($id)->title) ?: 'Untitled';
    }

    /** Topics that stand elsewhere, and those that are new. */
    private function places(): void
    {
        foreach ([Plan::ROOT, ...array_keys(iterator_to_array($this->file->walk()))] as $parent) {
            $above = $this->hereOf((string) $parent);
            $stayed = [];
            foreach ($this->file->parts((string) $parent) as $id) {
                $here = $this->matches->here[$id] ?? null;
                if ($here === null) {
                    $title = self::line($this->file->topic($id)->title) ?: 'Untitled';
                    $this->changes[] = new Change(Change::ADDED, $id, $title, [['+', self::text($this->file->topic($id)->note)]], $above === null ? '' : 'under ' . $this->name($above));
                } elseif ($this->plan->parent($here) !== $above) {
                    $this->moved($here, $id, $above);
                } else {
                    $stayed[$id] = $here;
                }
            }
            $this->reordered($stayed, $above);
        }
    }

    /** The topic of the plan that stands for one of the file; null where that is new. */
    public function hereOf(string $there): ?string
    {
        return $there === Plan::ROOT ? $this->scope : $this->matches->here[$there] ?? null;
    }

    private function moved(string $here, string $there, ?string $above): void
    {
        $to = $above === null ? 'under a section that is new' : ($above === Plan::ROOT ? 'to the top' : 'under ' . $this->name($above));
        $this->changes[] = new Change(Change::MOVED, $here, $this->name($here), says: $to, sure: $this->matches->sure[$there]);
    }

    /**
     * Of siblings in another order, as few as possible are said to have moved: those outside the longest run that kept its order.
     *
     * @param array<string, string> $stayed topic of the file → topic of the plan, in the file's order
     */
    private function reordered(array $stayed, ?string $above): void
    {
        $places = $above === null ? [] : array_flip($this->plan->parts($above));
        $kept = self::longestRun(array_map(static fn(string $here): int => $places[$here] ?? 0, array_values($stayed)));
        foreach (array_keys($stayed) as $i => $there) {
            if (!isset($kept[$i])) {
                $here = $stayed[$there];
                $this->changes[] = new Change(Change::MOVED, $here, $this->name($here), says: 'to another place among its neighbours', sure: $this->matches->sure[$there]);
            }
        }
    }

    /**
     * @param list<int> $values
     *
     * @return array<int, true> the positions of a longest rising run (patience sorting)
     */
    private static function longestRun(array $values): array
    {
        /** @var list<int> $ends */
        $ends = [];
        /** @var array<int, int|null> $before */
        $before = [];
        foreach ($values as $i => $value) {
            [$low, $high] = [0, \count($ends)];
            while ($low < $high) {
                $middle = intdiv($low + $high, 2);
                $values[$ends[$middle]] < $value ? $low = $middle + 1 : $high = $middle;
            }
            $before[$i] = $low > 0 ? $ends[$low - 1] : null;
            array_splice($ends, $low, 1, [$i]);
        }
        $kept = [];
        for ($i = $ends === [] ? null : $ends[\count($ends) - 1]; $i !== null; $i = $before[$i]) {
            $kept[$i] = true;
        }

        return $kept;
    }

    /** What the plan has and the file has no more; of a kind that was not handed over at all, nothing is missing. */
    private function gone(): void
    {
        $found = array_flip($this->matches->here);
        $kinds = [];
        foreach ($this->matches->here as $here) {
            $kinds[$this->plan->topic($here)->kind->value] = true;
        }
        $skipBelow = PHP_INT_MAX;
        foreach ($this->plan->walk($this->scope) as $id => $level) {
            $topic = $this->plan->topic($id);
            if ($level > $skipBelow) {
                continue;
            }
            $skipBelow = $topic->kind === Kind::Aside ? $level : PHP_INT_MAX;
            if (!isset($found[$id]) && isset($kinds[$topic->kind->value]) && array_intersect_key($found, array_flip($this->plan->branch($id))) === []) {
                $skipBelow = $level;
                $this->changes[] = new Change(Change::REMOVED, $id, $this->name($id), [['-', self::text($this->printed->note($id))]]);
            }
        }
    }
}
