<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Id\Ids;
use Embrel\MalformedShape;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Plan\Plan;
use Embrel\Shape;

/** Several topics sorted out at once: an operation for each, made for the plan as those before it leave it. */
final readonly class SortingOut
{
    /**
     * @param array<string, Operation> $operations topic → what is done with it, in the order in which it is done
     * @param array<string, string>    $refused    topic → why not
     */
    private function __construct(public array $operations, public array $refused) {}

    /**
     * @param Plan        $plan  with its notes and sources
     * @param list<Filed> $filed
     */
    public static function of(Plan $plan, Ids $ids, array $filed): self
    {
        // Sources first, so that a quotation finds its own.
        usort($filed, static fn(Filed $one, Filed $other): int => ($other->as === Filing::Source) <=> ($one->as === Filing::Source));
        $all = Guesses::of($plan, $ids);
        $drafts = self::drafts($all);
        $guesses = array_column($all, null, 'topic');
        $operations = $refused = [];
        foreach ($filed as $one) {
            try {
                $guess = $guesses[$one->topic] ?? self::chosen($plan, $ids, $one->topic);
                $operation = Sorted::operation(
                    $plan,
                    $guess,
                    $one->as,
                    $one->into,
                    self::confirmed($one, $guess, $ids),
                    $ids->next(),
                    $drafts,
                );
                $plan = $operation->apply($plan);
                $operations[$one->topic] = $operation;
            } catch (OperationRefused|MalformedShape $why) {
                $refused[$one->topic] = $why->getMessage();
            }
        }

        return new self($operations, $refused);
    }

    /** A topic that was chosen, though it does not look like research. */
    private static function chosen(Plan $plan, Ids $ids, string $topic): Guess
    {
        return $plan->isLive($topic) && !Plan::isFixed($topic)
            ? Guesses::of($plan, $ids, [$topic])[0]
            : throw OperationRefused::gone($topic);
    }

    /** @throws MalformedShape */
    private static function confirmed(Filed $one, Guess $guess, Ids $ids): ?Source
    {
        return $one->source === null
            ? null
            : SourceForm::read(new Shape(['id' => $guess->source->id ?? ($guess->cited->source ?? $ids->next())] + $one->source, 'source'));
    }

    /**
     * The sources that lines make which the plan does not have yet.
     *
     * @param list<Guess> $guesses
     *
     * @return array<string, Source> by id
     */
    public static function drafts(array $guesses): array
    {
        $drafts = [];
        foreach ($guesses as $guess) {
            if ($guess->sign !== null && $guess->source !== null) {
                $drafts[$guess->source->id] = $guess->source;
            }
        }

        return $drafts;
    }
}
