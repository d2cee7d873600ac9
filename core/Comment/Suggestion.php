<?php

declare(strict_types=1);

namespace Embrel\Comment;

use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Retitle;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Search\Hit;
use Embrel\Search\Replacement;
use Embrel\Shape;

/** What someone proposes for a topic: another title, other words in its note, or another place. A writer takes it, or does not. */
final readonly class Suggestion
{
    private function __construct(private string $kind, private string $text, private ?Place $at) {}

    /** @throws MalformedShape */
    public static function read(Shape $shape): self
    {
        return match ($shape->string('kind')) {
            'title' => new self('title', Topic::title($shape->string('text')), null),
            'words' => new self('words', mb_substr(mb_scrub($shape->string('text')), 0, Limits::COMMENT), null),
            'move' => new self('move', '', Place::fromShape($shape->object('at'))),
            default => throw MalformedShape::expected('a kind of suggestion', 'kind'),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind]
            + ($this->at === null ? ['text' => $this->text] : ['at' => $this->at->toArray()]);
    }

    /** Whether it is about words of a note, and has to say which. */
    public function isAboutWords(): bool
    {
        return $this->kind === 'words';
    }

    /**
     * What taking it does, as an ordinary change of the plan as it is.
     *
     * @param Anchor|null $words where the words stand now that it is about
     *
     * @throws OperationRefused where that is there no more
     */
    public function operation(Plan $plan, string $topic, ?Anchor $words): Operation
    {
        if (!$plan->isLive($topic)) {
            throw OperationRefused::gone($topic);
        }
        if ($this->at !== null) {
            return new MoveTopics([$topic], $this->at);
        }
        if (!$this->isAboutWords()) {
            return new Retitle($topic, $this->text);
        }
        $now = $words?->in($plan->topic($topic)->note);
        if ($now === null || $now->words() !== $words->words()) {
            throw OperationRefused::changed('The words that this suggestion is about are others now.');
        }

        return Replacement::of(
            $plan,
            [new Hit($topic, $now->block, $now->line, $now->from, $now->length, $now->text)],
            $this->text,
        );
    }
}
