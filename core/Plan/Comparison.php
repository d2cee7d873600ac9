<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** In what two states of a plan differ, found by comparing what they share: each only once for all who ask. */
final readonly class Comparison
{
    /**
     * @param array<string, true> $changed   topics of which a field differs, and new ones
     * @param list<string>        $moved     topics with another parent than before, and new ones
     * @param list<string>        $regrouped parents with other parts, or their parts in another order
     * @param list<string>        $reordered topics that stand elsewhere among the same siblings; as few as tell the new order
     */
    private function __construct(
        public array $changed,
        public array $moved,
        public array $regrouped,
        public array $reordered,
        public bool $hasOtherProperties,
    ) {}

    public static function between(Plan $before, Plan $after): self
    {
        $changed = $moved = $regrouped = $reordered = [];
        foreach ($after->topics as $id => $topic) {
            if (!isset($before->topics[$id]) || $before->topics[$id] !== $topic) {
                $changed[$id] = true;
            }
        }
        foreach ($after->parts + array_fill_keys(array_keys(array_diff_key($before->parts, $after->parts)), []) as $parent => $parts) {
            if (($before->parts[$parent] ?? []) === $parts) {
                continue;
            }
            $regrouped[] = (string) $parent;
            $stood = array_flip($before->parts[$parent] ?? []);
            $stayed = [];
            foreach ($parts as $id) {
                if (isset($stood[$id])) {
                    $stayed[$id] = $stood[$id];
                } else {
                    $moved[] = $id;
                }
            }
            array_push(
                $reordered,
                ...array_keys(array_diff_key($stayed, Ascending::longest($stayed, static fn(int $a, int $b): int => $a <=> $b))),
            );
        }

        return new self($changed, $moved, $regrouped, $reordered, $before->properties !== $after->properties);
    }

    public function isSameTree(): bool
    {
        return $this->regrouped === [];
    }
}
