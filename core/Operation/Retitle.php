<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Limits;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Merging;
use Embrel\RichText\Node;

/**
 * Gives a topic, or the plan by its root, another title. `was` is the title as the writer last saw
 * it: where it is another one by now, the words of both are joined.
 */
final readonly class Retitle extends Basic
{
    public function __construct(public string $id, public string $title, public ?string $was = null) {}

    public function apply(Plan $plan): Plan
    {
        try {
            $topic = self::live($plan, $this->id);
            $title = Topic::title($this->title);
            $isMet = $this->was !== null && $topic->title !== Topic::title($this->was);

            return $plan->with($topic->withTitle($isMet ? $this->joined($topic->title, $title) : $title));
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    public function staysWithin(): array
    {
        return [$this->id];
    }

    /** Of both writers; where that is too long for a title, the later one stands alone. */
    private function joined(string $theirs, string $mine): string
    {
        $joined = Merging::of(Node::plain((string) $this->was), Node::plain($theirs), Node::plain($mine))->plainText();

        return mb_strlen($joined) > Limits::TITLE ? $mine : Topic::title($joined);
    }

    public function toArray(): array
    {
        return ['type' => 'retitle', 'topic' => $this->id, 'title' => $this->title] + ($this->was === null ? [] : ['was' => $this->was]);
    }
}
