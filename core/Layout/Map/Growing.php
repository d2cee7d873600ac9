<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Plan\Plan;

/** The topics of a map while they are gathered in reading order, each measured, with what it takes over from those above it. */
final class Growing
{
    /** @var list<Label> */
    public array $labels = [];
    /** @var list<int> */
    private array $parents = [];
    /** @var list<float> */
    private array $widths = [];
    /** @var list<float> */
    private array $heights = [];
    private readonly Dress $dress;
    private readonly Inks $inks;

    /** @param array<string, true> $folded */
    public function __construct(
        private readonly Plan $plan,
        private readonly Labelling $labelling,
        private readonly Look $look,
        private readonly array $folded,
    ) {
        $this->dress = $look->dress();
        $this->inks = $this->dress->inks();
    }

    /** Adds a branch; its head stands for itself at a level. */
    public function add(string $head, int $level): void
    {
        $isLoose = $level > 1;
        $stack = [[$head, -1, $level, ...$this->inherited($head)]];
        while ($stack !== []) {
            [$id, $parent, $level, $dye, $factor] = array_pop($stack);
            $topic = $this->plan->topics[$id];
            $parts = $this->plan->parts[$id] ?? [];
            $isFolded = $parts !== [] && (isset($this->folded[$id]) || $this->look->branches === $level);
            $inside = $isFolded ? \count($this->plan->branch($id)) - 1 : 0;
            $own = $topic->dye->value ?? $dye;
            $label = $this->labelling->label(
                $id,
                $level,
                $this->shown($level, $own),
                $topic->size?->factor() ?? $factor,
                $inside,
                $isLoose,
            );
            $at = \count($this->labels);
            $this->labels[] = $label;
            $this->parents[] = $parent;
            $this->widths[]
                = $label->start
                + $label->width
                + $label->room
                + ($inside > 0 ? 24.0 + $this->labelling->sign((string) $inside) : ($parts === [] ? 4.0 : ($level === 1 ? 14.0 : 9.0)));
            $this->heights[] = $label->height;
            if (!$isFolded && $parts !== []) {
                [$dye, $factor] = [
                    $topic->alone?->holdsDye() === true ? $dye : $own,
                    $topic->alone?->holdsSize() === true ? $factor : $topic->size?->factor() ?? $factor,
                ];
                for ($i = \count($parts) - 1; $i >= 0; --$i) {
                    $stack[] = [$parts[$i], $at, $level + 1, $dye, $factor];
                }
            }
        }
    }

    /** The dye in which a topic is drawn: a name as it is, a colour as it can be seen on the ground. */
    private function shown(int $level, string $dye): string
    {
        $dye = $this->dress->dyed($level, $dye);

        return $dye[0] === '#' ? $this->inks->dye($dye) : $dye;
    }

    /** @return array{string, float} the dye and the size that a topic takes over from those above it */
    private function inherited(string $id): array
    {
        $dye = $factor = null;
        for ($at = $this->plan->parent($id); $at !== null; $at = $this->plan->parent($at)) {
            $topic = $this->plan->topics[$at];
            $dye ??= $topic->alone?->holdsDye() === true ? null : $topic->dye?->value;
            $factor ??= $topic->alone?->holdsSize() === true ? null : $topic->size?->factor();
        }

        return [$dye ?? 'slate', $factor ?? 1.0];
    }

    public function boxes(): Boxes
    {
        return new Boxes($this->parents, $this->widths, $this->heights);
    }
}
