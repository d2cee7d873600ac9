<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Limits;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Label;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;

/**
 * Adds one topic, or a whole branch or several: rows in reading order, each under an earlier row
 * or (parent null) at the place. A main section without a dye takes the least used one.
 */
final readonly class AddTopics extends Basic
{
    /** @param list<array{topic: Topic, parent: string|null}> $rows */
    public function __construct(public Place $place, public array $rows) {}

    public static function one(Topic $topic, Place $place): self
    {
        return new self($place, [['topic' => $topic, 'parent' => null]]);
    }

    public function apply(Plan $plan): Plan
    {
        self::live($plan, $this->place->parent);
        if (\count($plan->topics) + \count($this->rows) > Limits::TOPICS + 3) {
            throw OperationRefused::tooMany();
        }
        $edit = new Edit($plan);
        $heads = [];
        $levels = [];
        $base = $plan->level($this->place->parent);
        foreach ($this->rows as ['topic' => $topic, 'parent' => $parent]) {
            if ($plan->has($topic->id) || isset($levels[$topic->id])) {
                throw OperationRefused::exists($topic->id);
            }
            $levels[$topic->id] = ($parent === null ? $base : $levels[$parent] ?? throw OperationRefused::gone($parent)) + 1;
            if ($levels[$topic->id] > Limits::LEVELS) {
                throw OperationRefused::tooDeep();
            }
            if ($parent === null) {
                $edit->put($topic);
                $heads[] = $topic->id;
            } else {
                $edit->append($topic, $parent);
            }
        }
        $next = self::dyed($edit->insert($heads, $this->place)->done(), $heads);
        try {
            return Label::listed($next, array_merge(...array_map(static fn(array $row): array => $row['topic']->labels, $this->rows)));
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    /**
     * A main section has a dye, by itself where nobody chose one; what is none any more loses what it got so.
     *
     * @param list<string> $ids topics that have come to where they stand
     */
    public static function dyed(Plan $plan, array $ids): Plan
    {
        foreach ($ids as $id) {
            if ($plan->parent($id) === Plan::ROOT && $plan->topic($id)->dye === null) {
                $plan = $plan->with($plan->topic($id)->with(['dye' => Dye::leastUsed($plan)]));
            }
        }

        return self::undyed($plan, $ids);
    }

    /** @param list<string> $ids topics of which those that are no main sections lose the dye that nobody chose */
    public static function undyed(Plan $plan, array $ids): Plan
    {
        foreach ($ids as $id) {
            if ($plan->parent($id) !== Plan::ROOT && $plan->topic($id)->dye?->isGiven === true) {
                $plan = $plan->with($plan->topic($id)->with(['dye' => null]));
            }
        }

        return $plan;
    }

    public function toArray(): array
    {
        return [
            'type' => 'add',
            'at' => $this->place->toArray(),
            'topics' => array_map(static fn(array $row): array => TopicForm::toArray($row['topic'], $row['parent']), $this->rows),
        ];
    }
}
