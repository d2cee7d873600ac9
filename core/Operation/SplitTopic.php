<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** Divides a title in two: the first half keeps id, note and parts; the rest is a new topic after it. */
final readonly class SplitTopic extends Composed
{
    /** @param int $at in characters (code points) from the start of the title */
    public function __construct(public string $id, public string $new, public int $at) {}

    protected function inTerms(Plan $plan): Compound
    {
        $topic = self::movable($plan, $this->id);
        if ($this->at < 0 || $this->at > mb_strlen($topic->title)) {
            throw OperationRefused::changed();
        }
        $rest = new Topic($this->new, Topic::title(mb_substr($topic->title, $this->at)), $topic->kind);

        return new Compound([
            new Retitle($this->id, mb_substr($topic->title, 0, $this->at)),
            AddTopics::one($rest, new Place((string) $plan->parent($this->id), $this->id)),
        ]);
    }

    public function toArray(): array
    {
        return ['type' => 'split', 'topic' => $this->id, 'new' => $this->new, 'at' => $this->at];
    }
}
