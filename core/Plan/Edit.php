<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\RichText\Node;
use Embrel\RichText\Note;

/**
 * The one way in which a plan's tree changes: opened on a plan, changed in place, closed as the
 * next plan. So that a change of many topics costs one copy. It trusts its caller; the rules are
 * in the operations.
 */
final class Edit
{
    /** @var array<string, Topic> */
    private array $topics;
    /** @var array<string, list<string>> */
    private array $parts;
    /** @var array<string, string> */
    private array $parents;

    public function __construct(private readonly Plan $plan)
    {
        $this->topics = $plan->topics;
        $this->parts = $plan->parts;
        $this->parents = $plan->parents;
    }

    /**
     * A plan with the blocks of each note passed through a function; what that gives back as it was stays.
     *
     * @param \Closure(list<Node>, string): list<Node> $change gets the id of the topic too
     */
    public static function notes(Plan $plan, \Closure $change): Plan
    {
        $edit = new self($plan);
        foreach ($plan->topics as $topic) {
            $blocks = array_values($topic->note->blocks ?? []);
            $now = $blocks === [] ? [] : $change($blocks, $topic->id);
            $now === $blocks ? null : $edit->put($topic->withNote(Note::of($now)));
        }

        return $edit->done();
    }

    public function put(Topic $topic): self
    {
        $this->topics[$topic->id] = $topic;

        return $this;
    }

    /**
     * Puts topics, which must not stand anywhere, at a place in the order given. Where the sibling
     * to stand after has gone, they stand last.
     *
     * @param list<string> $ids
     */
    public function insert(array $ids, Place $place): self
    {
        $parts = $this->parts[$place->parent] ?? [];
        $last = \count($parts) - 1;
        if ($place->after === null) {
            $at = 0;
        } elseif ($last >= 0 && $parts[$last] === $place->after) {
            $at = $last + 1;
        } else {
            $found = array_search($place->after, $parts, true);
            $at = $found === false ? $last + 1 : $found + 1;
        }
        array_splice($parts, $at, 0, $ids);
        $this->parts[$place->parent] = $parts;
        foreach ($ids as $id) {
            $this->parents[$id] = $place->parent;
        }

        return $this;
    }

    /** Puts a topic last under a parent: the quick way for a tree read in order. */
    public function append(Topic $topic, string $parent): self
    {
        $this->topics[$topic->id] = $topic;
        $this->parts[$parent][] = $topic->id;
        $this->parents[$topic->id] = $parent;

        return $this;
    }

    /** @param list<string> $ids taken out of where they stand, with everything under them */
    public function detach(array $ids): self
    {
        $byParent = [];
        foreach ($ids as $id) {
            if (isset($this->parents[$id])) {
                $byParent[$this->parents[$id]][] = $id;
                unset($this->parents[$id]);
            }
        }
        foreach ($byParent as $parent => $gone) {
            $left = array_values(array_diff($this->parts[$parent], $gone));
            if ($left === []) {
                unset($this->parts[$parent]);
            } else {
                $this->parts[$parent] = $left;
            }
        }

        return $this;
    }

    public function done(): Plan
    {
        return new Plan(
            $this->topics,
            $this->parts,
            $this->parents,
            $this->plan->properties,
            $this->plan->foreign,
            $this->plan->sources,
            $this->plan->relations,
        );
    }
}
