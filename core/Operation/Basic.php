<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** What most operations answer alike, and the questions that several of them ask of a plan. */
abstract readonly class Basic implements Operation
{
    public function needsNotes(): array
    {
        return [];
    }

    public function needsRemoved(): array
    {
        return [];
    }

    public function needsSources(): bool
    {
        return false;
    }

    public function needsRelations(): bool
    {
        return false;
    }

    public function staysWithin(): ?array
    {
        return null;
    }

    public function canApply(Plan $plan): bool
    {
        try {
            $this->apply($plan);

            return true;
        } catch (OperationRefused) {
            return false;
        }
    }

    /** @throws OperationRefused when it is not in the tree or the tray */
    final protected static function live(Plan $plan, string $id): Topic
    {
        return $plan->isLive($id) ? $plan->topic($id) : throw OperationRefused::gone($id);
    }

    /** @throws OperationRefused when it is a fixed topic, or not in the tree or the tray */
    final protected static function movable(Plan $plan, string $id): Topic
    {
        return Plan::isFixed($id) ? throw OperationRefused::fixed($id) : self::live($plan, $id);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string> each once, in reading order, without those that stand under another of them
     */
    final protected static function heads(Plan $plan, array $ids): array
    {
        $chosen = [];
        foreach ($ids as $id) {
            self::movable($plan, $id);
            $chosen[$id] = true;
        }
        foreach ($chosen as $id => $_) {
            for ($above = $plan->parent($id); $above !== null; $above = $plan->parent($above)) {
                if (isset($chosen[$above])) {
                    unset($chosen[$id]);
                    break;
                }
            }
        }

        return array_keys($chosen);
    }
}
