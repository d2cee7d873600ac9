<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Dye;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Label;
use Embrel\Plan\Plan;

/**
 * Changes a label of the plan, on all topics that carry it: calls it otherwise, gives it another dye, or takes it away. Called as
 * another label is, the two are one from then on, with the dye of that other.
 */
final readonly class ChangeLabel extends Basic
{
    /**
     * @param string|null $name what it is called from now on; null: it goes
     * @param Dye|null    $dye  null: as it was
     */
    public function __construct(public string $label, public ?string $name, public ?Dye $dye = null) {}

    public function apply(Plan $plan): Plan
    {
        $key = Label::key($this->label);
        $labels = [];
        $was = null;
        foreach (Label::complete($plan)->properties->labels as $name => $dye) {
            if (Label::key((string) $name) === $key) {
                $was = $dye;
            } else {
                $labels[(string) $name] = $dye;
            }
        }
        if ($was === null) {
            throw OperationRefused::noLabel($this->label);
        }
        $others = $plan->withProperties($plan->properties->withLabels($labels));
        try {
            $name = $this->name === null ? null : Label::asListed($others, $this->name);
            if ($name !== null) {
                $labels[$name] = $this->dye ?? $labels[$name] ?? $was;
                $others = $plan->withProperties($plan->properties->withLabels($labels));
            }
            foreach ($plan->topics as $topic) {
                if ($topic->labels === [] || !$plan->isLive($topic->id)) {
                    continue;
                }
                $stay = array_filter($topic->labels, static fn(string $label): bool => Label::key($label) !== $key);
                if (\count($stay) < \count($topic->labels)) {
                    $others = $others->with($topic->with(['labels' => Label::names($name === null ? $stay : [...$stay, $name])]));
                }
            }
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }

        return $others;
    }

    public function toArray(): array
    {
        return ['type' => 'change-label', 'label' => $this->label, 'name' => $this->name, 'dye' => $this->dye?->value];
    }
}
