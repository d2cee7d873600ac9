<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Id\Ids;
use Embrel\Limits;
use Embrel\Operation\AddTopics;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** A plan that came as a tree, as the writer wants it: titles alone, less deep, its one main section as its title. */
final class Reshaping
{
    /** @throws InvalidNote where what is folded into a note is larger than one can be */
    public static function of(Result $read, Options $options, Ids $ids): Result
    {
        $plan = $options->firstIsTitle ?? self::holdsOthers($read->plan) ? self::titled($read->plan) : $read->plan;
        $folded = 0;
        if ($options->depth < Limits::LEVELS) {
            [$plan, $folded] = self::folded($plan, $options->depth, $ids);
        }
        $plan = $options->notes ? $plan : self::bare($plan);

        return new Result(
            $plan,
            $folded === 0
                ? $read->repairs
                : [...$read->repairs, "Topics below the chosen depth ({$folded}) are lists in the notes of those above them."],
        );
    }

    private static function holdsOthers(Plan $plan): bool
    {
        $top = $plan->parts(Plan::ROOT);

        return \count($top) === 1 && $plan->parts($top[0]) !== [];
    }

    private static function titled(Plan $plan): Plan
    {
        $top = $plan->parts(Plan::ROOT);
        if (\count($top) !== 1) {
            return $plan;
        }
        $first = $plan->topic($top[0]);
        $root = $plan->topic(Plan::ROOT)->withTitle($first->title);
        $next = new Edit(Plan::titled($first->title, $plan->properties)->withForeign($plan->foreign)->withSources($plan->sources));
        $next->put($first->note === null ? $root : $root->withNote($first->note));
        foreach ($plan->walk($top[0]) as $id => $_) {
            $parent = (string) $plan->parent($id);
            $next->append($plan->topic($id), $parent === $top[0] ? Plan::ROOT : $parent);
        }
        foreach ($plan->walk(Plan::TRAY) as $id => $_) {
            $next->append($plan->topic($id), (string) $plan->parent($id));
        }

        $plan = $next->done();

        return AddTopics::dyed($plan, $plan->parts(Plan::ROOT));
    }

    /** @return array{Plan, int} */
    private static function folded(Plan $plan, int $depth, Ids $ids): array
    {
        $next = new Edit(Plan::titled($plan->title(), $plan->properties)->withForeign($plan->foreign)->withSources($plan->sources));
        $next->put($plan->topic(Plan::ROOT));
        $count = 0;
        foreach ($plan->walk() as $id => $level) {
            if ($level > $depth) {
                ++$count;
                continue;
            }
            $topic = $plan->topic($id);
            $below = $level === $depth ? self::asList($plan, $id) : null;
            $next->append(
                $below === null
                    ? $topic
                    : $topic->withNote(
                        Note::of([...array_values($topic->note->blocks ?? []), $below->within(Limits::NOTE_DEPTH)->withId($ids->next())]),
                    ),
                (string) $plan->parent($id),
            );
        }
        foreach ($plan->walk(Plan::TRAY) as $id => $_) {
            $next->append($plan->topic($id), (string) $plan->parent($id));
        }

        return [$next->done(), $count];
    }

    private static function asList(Plan $plan, string $id): ?Node
    {
        $items = [];
        foreach ($plan->parts($id) as $part) {
            $topic = $plan->topic($part);
            $blocks = array_map(
                static fn(Node $block): Node => new Node($block->type, array_diff_key($block->attrs, ['id' => 1]), $block->content),
                array_values($topic->note->blocks ?? []),
            );
            $below = self::asList($plan, $part);
            $items[] = new Node(NodeType::ListItem, [], [Node::plain($topic->title), ...$blocks, ...$below === null ? [] : [$below]]);
        }

        return $items === [] ? null : new Node(NodeType::BulletList, [], $items);
    }

    private static function bare(Plan $plan): Plan
    {
        $edit = new Edit($plan);
        foreach ($plan->topics as $topic) {
            $topic->noted ? $edit->put($topic->with(['note' => null, 'noted' => false, 'words' => 0])) : null;
        }

        return $edit->done();
    }
}
