<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Document\Origin;
use Embrel\Draft\Printed;
use Embrel\Language\Language;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/**
 * What was changed in a draft that came back, topic by topic. Three are compared where it is known of
 * what the draft was made: the plan as it was then, the plan as it is now, and the draft. What the
 * plan alone has changed since is none of the draft's doing; what both have changed is marked as such.
 */
final class Comparison
{
    /** @var list<Change> */
    public array $changes = [];
    /** The topic under which the file's main sections stand in the plan. */
    public readonly string $scope;
    /** The plan as it was handed over, as far as that is known. */
    public readonly Plan $was;
    /** The notes of that, as they were printed. */
    public readonly Printed $printed;
    /** The file without what a draft prints of itself. */
    private readonly Plan $raw;
    /** That, with citations and references as what they are. */
    public readonly Plan $file;
    public readonly Saying $saying;
    /** @var array<string, string> topic of the file → topic of the plan as it was handed over */
    private array $wasOf;

    /**
     * @param Plan                  $file  as it was read
     * @param array<string, string> $came  the id that the file carried → the topic that was read there
     * @param array<string, string> $typed topic of the file → what looked like its number
     */
    private function __construct(
        public readonly Plan $plan,
        Plan $file,
        private readonly bool $isDated,
        public readonly Matches $matches,
        ?Plan $then,
        array $came,
        private readonly array $typed,
        private readonly ?Origin $origin,
    ) {
        $this->was = $then ?? $plan;
        $this->wasOf = array_filter(array_flip(array_map(strval(...), $came)) + $matches->here, $this->was->has(...));
        $this->scope = $this->scope($file);
        $topics = $this->was->branch($this->was->has($this->scope) ? $this->scope : Plan::ROOT);
        $this->printed = Printed::of($this->was, Numbering::of($this->was), $topics, array_fill_keys($topics, true));
        $this->raw = OwnPrint::without($file, $this->was, $this->printed, $this->wasOf + [Plan::ROOT => $this->scope]);
        $this->file = Restored::of($this->raw, $this->was, $plan, $this->printed, $this->wasOf + [Plan::ROOT => $this->scope], $topics);
        $this->saying = new Saying($plan);
    }

    /**
     * @param Plan                  $plan   with all notes
     * @param array<string, string> $came   the id that the file carried → the topic that was read there
     * @param Plan|null             $then   the plan as it was when the draft was made; null: not known
     * @param array<string, string> $typed  topic of the file → what looked like its number, and was taken off its title
     * @param Origin|null           $origin what the file says of itself
     */
    public static function of(Plan $plan, Plan $file, array $came, ?Plan $then = null, array $typed = [], ?Origin $origin = null): self
    {
        $file = Captions::uncounted($then ?? $plan, $file);
        $comparison = new self($plan, $file, $then !== null, Matches::of($plan, $file, $came), $then, $came, $typed, $origin);
        $comparison->contents();
        $comparison->places();
        $comparison->gone();

        return $comparison;
    }

    /** Where most of the file's main sections stand. */
    private function scope(Plan $file): string
    {
        $parents = [];
        foreach ($file->parts(Plan::ROOT) as $id) {
            $here = $this->wasOf[$id] ?? null;
            $parent = $here === null ? null : $this->was->parent($here);
            $parent === null || !$this->plan->has($parent) || !$this->plan->isLive($parent)
                ? null
                : ($parents[$parent] = ($parents[$parent] ?? 0) + 1);
        }
        arsort($parents);

        return (string) (array_key_first($parents) ?? Plan::ROOT);
    }

    /** How sure the matches are on the whole, from 0 to 1; 0 where nothing was found again. */
    public function sureness(): float
    {
        return $this->matches->sure === [] ? 0.0 : array_sum($this->matches->sure) / \count($this->matches->sure);
    }

    /** The title of a topic of the file; words before it that are none of the numbers that it was printed with belong to it. */
    public function title(string $there): string
    {
        $title = self::line($this->file->topic($there)->title);
        $typed = $this->typed[$there] ?? '';
        $was = $this->wasOf[$there] ?? null;
        if ($typed === '' || $was === null) {
            return $title;
        }
        foreach ([null, ...Scheme::cases()] as $scheme) {
            if (rtrim(Numbering::of($this->was, $scheme)->own($was), '.') === rtrim($typed, '.')) {
                return $title;
            }
        }

        return "{$typed} {$title}";
    }

    private function contents(): void
    {
        $hasNotes = array_filter($this->raw->topics, static fn($topic): bool => $topic->noted) !== [];
        if ($this->raw->topic(Plan::ROOT)->noted || $this->plan->topic($this->scope)->noted) {
            $this->note($this->scope, Plan::ROOT, $hasNotes);
        }
        foreach ($this->raw->walk() as $there => $_) {
            $here = $this->matches->here[$there] ?? null;
            if ($here === null) {
                continue;
            }
            [$old, $new, $was] = [
                self::line($this->plan->topic($here)->title),
                $this->title($there),
                $this->was->has($here) ? self::line($this->was->topic($here)->title) : null,
            ];
            if ($old !== $new && $was !== $new) {
                $this->changes[] = new Change(
                    Change::RETITLED,
                    $here,
                    $old,
                    WordDiff::between($old, $new),
                    sure: $this->matches->sure[$there],
                    before: $was === null || $was === $old ? null : $was,
                );
            }
            $this->note($here, $there, $hasNotes);
        }
    }

    private function note(string $here, string $there, bool $hasNotes): void
    {
        if (!$hasNotes || !$this->isRewritten($here, $there)) {
            return;
        }
        [$old, $new] = [$this->saying->note($this->plan->topic($here)->note), $this->saying->note($this->file->topic($there)->note)];
        if ($old !== $new) {
            $before = $this->isDated && $this->was->has($here) ? $this->saying->note($this->was->topic($here)->note) : $old;
            $this->changes[] = new Change(
                Change::REWRITTEN,
                $here,
                $this->name($here),
                WordDiff::between($old, $new),
                sure: $this->matches->sure[$there] ?? 1.0,
                before: $before === $old ? null : $before,
            );
        }
    }

    /** Whether the draft says something else than was printed. */
    private function isRewritten(string $here, string $there): bool
    {
        return self::text($this->was->has($here) ? $this->printed->note($here) : null) !== self::text($this->raw->topic($there)->note);
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
        return self::called(self::line($this->plan->topic($id)->title));
    }

    private static function called(string $title): string
    {
        return $title === '' ? 'Untitled' : $title;
    }

    /** Topics that stand elsewhere, and those that are new. */
    private function places(): void
    {
        foreach ([Plan::ROOT, ...array_keys(iterator_to_array($this->raw->walk()))] as $parent) {
            $above = $this->hereOf((string) $parent);
            $stayed = [];
            foreach ($this->raw->parts((string) $parent) as $id) {
                $here = $this->matches->here[$id] ?? null;
                if ($here === null) {
                    $this->added($id, $above);
                } elseif ($this->plan->parent($here) === $above) {
                    $stayed[$id] = $here;
                } elseif (!$this->isDated || !$this->was->has($here) || $this->was->parent($here) !== $this->wasAbove((string) $parent)) {
                    $this->moved($here, $id, $above);
                }
            }
            $this->reordered($stayed, $above);
        }
    }

    private function added(string $there, ?string $above): void
    {
        $was = $this->wasOf[$there] ?? null;
        if ($was === null && $this->isOwnList($there)) {
            return;
        }
        // What the plan has let go since: nothing is new about it, unless the draft went on with it.
        $isOld = $was !== null && $this->isDated;
        if ($isOld && self::line($this->was->topic($was)->title) === $this->title($there) && !$this->isRewritten($was, $there)) {
            return;
        }
        $this->changes[] = new Change(
            Change::ADDED,
            $there,
            self::called($this->title($there)),
            [['+', $this->saying->note($this->file->topic($there)->note)]],
            ($above === null ? '' : 'under ' . $this->name($above))
                . ($isOld ? ($above === null ? '' : ', ') . 'taken out of the plan since' : ''),
            before: $isOld ? $this->saying->note($this->was->topic($was)->note) : null,
        );
    }

    /** What the draft printed of itself: the list of references, the glossary, the index. */
    private function isOwnList(string $there): bool
    {
        return $this->isListOfReferences($there) || $this->isListOfTerms($there);
    }

    /** A heading that a glossary or an index has, under which each line begins with a term that was chosen. */
    private function isListOfTerms(string $there): bool
    {
        $topic = $this->raw->topic($there);
        $language = Language::of($this->was->properties->language);
        $terms = array_map(static fn(int|string $term): string => self::line((string) $term), array_keys($this->was->properties->terms));
        if ($terms === [] || !\in_array(self::line($topic->title), [$language->say('glossary'), $language->say('index')], true)) {
            return false;
        }
        foreach ($topic->note->blocks ?? [] as $block) {
            $begins = array_filter($terms, static fn(string $term): bool => str_starts_with(self::blockText($block), $term));
            if ($begins === []) {
                return false;
            }
        }

        return $this->raw->parts($there) === [];
    }

    /** The heading of the list of references, under which nothing is left but that list. */
    private function isListOfReferences(string $there): bool
    {
        $topic = $this->raw->topic($there);

        return $this->printed->references->list !== []
            && self::line($topic->title) === $this->printed->references->heading
            && ($topic->note?->isEmpty() ?? true)
            && $this->raw->parts($there) === [];
    }

    /** The topic of the plan that stands for one of the file; null where that is new. */
    public function hereOf(string $there): ?string
    {
        return $there === Plan::ROOT ? $this->scope : $this->matches->here[$there] ?? null;
    }

    private function wasAbove(string $there): ?string
    {
        return $there === Plan::ROOT ? $this->scope : $this->wasOf[$there] ?? null;
    }

    private function moved(string $here, string $there, ?string $above): void
    {
        $to = $above === null ? 'under a section that is new' : ($above === Plan::ROOT ? 'to the top' : 'under ' . $this->name($above));
        $was = $this->was->has($here) ? $this->was->parent($here) : null;
        $hasMoved = $this->isDated && $was !== null && $was !== $this->plan->parent($here);
        $this->changes[] = new Change(
            Change::MOVED,
            $here,
            $this->name($here),
            says: $to,
            sure: $this->matches->sure[$there],
            before: $hasMoved ? $this->under($was) : null,
        );
    }

    private function under(string $parent): string
    {
        return $parent === Plan::ROOT || !$this->was->has($parent)
            ? 'at the top'
            : 'under ' . self::line($this->was->topic($parent)->title);
    }

    /**
     * Of siblings in another order, as few as possible are said to have moved: those outside the longest run that kept its order.
     *
     * @param array<string, string> $stayed topic of the file → topic of the plan, in the file's order
     */
    private function reordered(array $stayed, ?string $above): void
    {
        $order = static fn(Plan $plan): array => array_values(
            array_intersect($above === null || !$plan->has($above) ? [] : $plan->parts($above), $stayed),
        );
        [$was, $now, $file] = [$order($this->was), $order($this->plan), array_values($stayed)];
        if ($this->isDated && $was === array_values(array_intersect($file, $was))) {
            return;
        }
        $places = $above === null ? [] : array_flip($this->plan->parts($above));
        $kept = self::longestRun(array_map(static fn(string $here): int => $places[$here] ?? 0, $file));
        foreach (array_keys($stayed) as $i => $there) {
            if (!isset($kept[$i])) {
                $here = $stayed[$there];
                $this->changes[] = new Change(
                    Change::MOVED,
                    $here,
                    $this->name($here),
                    says: 'to another place among its neighbours',
                    sure: $this->matches->sure[$there],
                    before: $this->isDated && $was !== array_values(array_intersect($now, $was)) ? 'in another order' : null,
                );
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
                $values[$ends[$middle]] < $value ? ($low = $middle + 1) : ($high = $middle);
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

    /** What was handed over and the file has no more. */
    private function gone(): void
    {
        $found = array_flip($this->matches->here);
        $skipBelow = PHP_INT_MAX;
        foreach ($this->plan->walk($this->scope) as $id => $level) {
            if ($level > $skipBelow) {
                continue;
            }
            $isAside = $this->plan->topic($id)->kind === Kind::Aside;
            $skipBelow = $isAside ? $level : PHP_INT_MAX;
            if (isset($found[$id]) || !$this->wasHandedOver($id)) {
                continue;
            }
            $branch = $this->plan->branch($id);
            // All of it is gone: it is said once. What lives on elsewhere has moved.
            $skipBelow = array_intersect_key($found, array_flip($branch)) === [] ? $level : $skipBelow;
            $this->changes[] = new Change(
                Change::REMOVED,
                $id,
                $this->name($id),
                [['-', $this->saying->note($this->plan->topic($id)->note)]],
                before: $this->isDated ? $this->changedSince($id, $branch) : null,
            );
        }
    }

    /** Whether a topic that is not in the file would be: it was there then, and its kind was not left out. */
    private function wasHandedOver(string $id): bool
    {
        if ($this->origin !== null) {
            return $this->was->has($id)
                && $this->was->isLive($id)
                && !\in_array($this->was->topic($id)->kind, $this->origin->without, true);
        }
        foreach ($this->matches->here as $here) {
            if ($this->plan->topic($here)->kind === $this->plan->topic($id)->kind) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<string> $branch
     *
     * @return string|null what a topic said then, where it or what is under it has been changed since
     */
    private function changedSince(string $id, array $branch): ?string
    {
        foreach ($branch as $one) {
            $was = $this->was->has($one) ? $this->was->topic($one) : null;
            $now = $this->plan->topic($one);
            if ($was === null || $was->title !== $now->title || $this->saying->note($was->note) !== $this->saying->note($now->note)) {
                return self::line($this->was->topic($id)->title) . "\n" . $this->saying->note($this->was->topic($id)->note);
            }
        }

        return null;
    }
}
