<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Citation\Cited;
use Embrel\Id\Ids;
use Embrel\Operation\AddSources;
use Embrel\Operation\AddTopics;
use Embrel\Operation\Compound;
use Embrel\Operation\EditNote;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** The changes of a file that the writer accepts, as one operation on the plan. */
final class Acceptance
{
    /** @var list<Operation> */
    private array $operations = [];
    private Plan $state;
    /** @var array<string, string> topic of the file → topic of the plan, what was added along */
    private array $here;

    /** @param array<string, true> $accepted keys of changes */
    private function __construct(private readonly Comparison $comparison, private readonly array $accepted, private readonly Ids $ids)
    {
        $this->state = $comparison->plan;
        $this->here = $comparison->matches->here;
    }

    /**
     * @param list<string> $keys of the changes
     *
     * @throws \Embrel\Operation\OperationRefused
     */
    public static function of(Comparison $comparison, array $keys, Ids $ids): Operation
    {
        $acceptance = new self($comparison, array_fill_keys($keys, true), $ids);
        $acceptance->contents();
        $acceptance->places();
        $acceptance->removals();

        return new Compound($acceptance->operations);
    }

    private function do(Operation $operation): void
    {
        foreach ([...$this->cited($operation), $operation] as $one) {
            $this->operations[] = $one;
            $this->state = $one->apply($this->state);
        }
    }

    /** @return list<Operation> sources that the file carries, that what comes with an operation cites, and that the plan has not */
    private function cited(Operation $operation): array
    {
        $blocks = match (true) {
            $operation instanceof EditNote => $operation->put,
            $operation instanceof AddTopics => array_merge(...array_map(
                static fn(array $row): array => array_values($row['topic']->note->blocks ?? []),
                $operation->rows,
            )),
            default => [],
        };
        $cited = [];
        foreach ($blocks as $block) {
            foreach ($block->all() as $node) {
                foreach ($node->type === NodeType::Citation ? Cited::of($node) : [] as $item) {
                    $cited[$item->source] = true;
                }
            }
        }
        $new = array_diff_key(array_intersect_key($this->comparison->file->sources, $cited), $this->state->sources);

        return $new === [] ? [] : [new AddSources(array_values($new))];
    }

    private function has(string $kind, string $topic): bool
    {
        return isset($this->accepted["{$kind}-{$topic}"]);
    }

    private function contents(): void
    {
        $scope = $this->comparison->scope;
        $this->has(Change::REWRITTEN, $scope) ? $this->rewrite($scope, $this->comparison->file->topic(Plan::ROOT)->note) : null;
        foreach ($this->comparison->file->walk() as $there => $_) {
            $here = $this->here[$there] ?? null;
            if ($here === null) {
                continue;
            }
            $topic = $this->comparison->file->topic($there);
            $this->has(Change::RETITLED, $here) ? $this->do(new Retitle($here, $this->comparison->title($there))) : null;
            $this->has(Change::REWRITTEN, $here) && $here !== $scope ? $this->rewrite($here, $topic->note) : null;
        }
    }

    /** Blocks that say the same stay as they are in the plan; others become those of the file. */
    private function rewrite(string $here, ?Note $note): void
    {
        $old = $this->comparison->plan->topic($here)->note ?? Note::empty();
        $saying = $this->comparison->saying;
        $same = [];
        foreach ($old->blocks as $id => $block) {
            $same[$saying->block($block) . '|' . $block->type->value][] = (string) $id;
        }
        $put = $order = [];
        foreach ($note->blocks ?? [] as $block) {
            $key = $saying->block($block) . '|' . $block->type->value;
            $id = isset($same[$key]) ? array_shift($same[$key]) : null;
            if ($id === null) {
                $put[] = $made = $block->withId($this->ids->next());
                $id = (string) $made->id();
            }
            $order[] = $id;
        }
        $order = self::withUnprinted($old, $order);
        $remove = array_values(array_diff(array_map(strval(...), array_keys($old->blocks)), $order));
        $was = [];
        foreach ($remove as $id) {
            $was[$id] = EditNote::fingerprint($old->blocks[$id] ?? null);
        }
        $this->do(new EditNote($here, $put, $remove, $order, $was));
    }

    /**
     * What the writer was asked, and scaffolding, did not go out, and stays behind the block behind which it stood.
     *
     * @param list<string> $order
     *
     * @return list<string>
     */
    public static function withUnprinted(Note $old, array $order): array
    {
        $before = null;
        foreach ($old->blocks as $id => $block) {
            if ($block->printing() === null) {
                $at = $before === null ? 0 : array_search($before, $order, true);
                array_splice($order, $at === false ? \count($order) : $at + ($before === null ? 0 : 1), 0, [(string) $id]);
            }
            $before = \in_array((string) $id, $order, true) ? (string) $id : $before;
        }

        return array_values($order);
    }

    /** Sections that are new or stand elsewhere, from the first to the last, so that each finds the one before it. */
    private function places(): void
    {
        $file = $this->comparison->file;
        foreach ([Plan::ROOT, ...array_keys(iterator_to_array($file->walk()))] as $there) {
            $above = $there === Plan::ROOT ? $this->comparison->scope : $this->here[$there] ?? null;
            $before = null;
            if ($above === null) {
                continue;
            }
            foreach ($file->parts((string) $there) as $id) {
                $here = $this->here[$id] ?? null;
                if ($here === null && $this->has(Change::ADDED, $id)) {
                    $here = $this->here[$id] = $this->add($id, new Place($above, $before));
                } elseif ($here !== null && $this->has(Change::MOVED, $here) && !$this->state->isWithin($above, $here)) {
                    $this->do(new MoveTopics([$here], new Place($above, $before)));
                }
                $before = $here !== null && $this->state->parent($here) === $above ? $here : $before;
            }
        }
    }

    private function add(string $there, Place $place): string
    {
        $topic = $this->comparison->file->topic($there);
        $id = $this->ids->next();
        $note
            = $topic->note === null
                ? null
                : Note::of(array_map(fn(Node $block): Node => $block->withId($this->ids->next()), array_values($topic->note->blocks)));
        $new = $topic->withTitle($this->comparison->title($there))->with(['id' => $id, 'dye' => null]);
        $this->do(AddTopics::one($note === null ? $new : $new->withNote($note), $place));

        return $id;
    }

    private function removals(): void
    {
        $ids = [];
        foreach ($this->comparison->changes as $change) {
            $change->kind === Change::REMOVED && $this->has($change->kind, $change->topic) ? ($ids[] = $change->topic) : null;
        }
        // What is under a section that goes and lives on in the draft takes its place.
        $lives = array_fill_keys($this->here, true);
        foreach (array_reverse($ids) as $id) {
            $stays = array_values(
                array_filter(
                    $this->state->parts($id),
                    fn(string $part): bool => array_intersect_key($lives, array_flip($this->state->branch($part))) !== [],
                ),
            );
            $stays === [] ? null : $this->do(new MoveTopics($stays, new Place((string) $this->state->parent($id), $id)));
        }
        $ids === [] ? null : $this->do(new RemoveTopics($ids));
    }
}
