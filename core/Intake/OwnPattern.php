<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Id\Ids;
use Embrel\Operation\AddTopics;
use Embrel\Operation\CopyTopics;
use Embrel\Plan\Edit;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\Text;
use Embrel\Words;

/**
 * A pattern of one's own: a plan or a branch of one without what belongs to that one piece. Titles, kinds, numbers, dyes and
 * labels stay, and the questions that notes ask; who works on what, flags, pictures, sources and loose ideas do not.
 */
final class OwnPattern
{
    /** In characters. */
    public const NAME = 120;
    /** Topics of one. */
    public const MOST = 2_000;
    /** Of its topics, and of its main sections alone, so many are shown before it is chosen. */
    private const SHOWN = 60;
    private const MAINS_SHOWN = 12;
    /** What stands in a note for something of the plan itself. */
    private const OF_THE_PLAN = [NodeType::Citation, NodeType::TopicRef, NodeType::Picture];

    /** @throws InvalidValue when it is none */
    public static function name(string $typed): string
    {
        $name = trim(Text::line($typed));

        return $name !== '' && mb_strlen($name) <= self::NAME
            ? $name
            : throw new InvalidValue($name === '' ? 'Give the pattern a name.' : 'A name has at most ' . self::NAME . ' characters.');
    }

    /**
     * @param Plan   $plan with its notes
     * @param string $from the root, or the topic whose parts become the main sections
     *
     * @throws InvalidValue with words for the person
     */
    public static function of(Plan $plan, string $from, string $name, bool $withNotes, bool $withTargets): Plan
    {
        $ids = \array_slice($plan->branch($from), 1);
        if ($ids === []) {
            throw new InvalidValue('A pattern needs at least one topic, and nothing stands there yet.');
        }
        if (\count($ids) > self::MOST) {
            throw new InvalidValue('A pattern has at most ' . number_format(self::MOST) . ' topics. Keep a branch of it.');
        }
        $pattern = Plan::titled(self::name($name), self::properties($plan, $withTargets && $from === Plan::ROOT));
        $opening = self::note($plan->topic($from)->note, $withNotes);
        $edit = new Edit($opening === null ? $pattern : $pattern->with($pattern->topic(Plan::ROOT)->withNote($opening)));
        foreach ($ids as $id) {
            $parent = (string) $plan->parent($id);
            $edit->append(self::topic($plan->topic($id), $withNotes, $withTargets), $parent === $from ? Plan::ROOT : $parent);
        }

        $done = $edit->done();
        $used = array_merge(...array_map(static fn(Topic $topic): array => $topic->labels, array_values($done->topics)));

        return $done->withProperties(
            $done->properties->withLabels(array_intersect_key($plan->properties->labels, array_flip($used))),
        );
    }

    private static function properties(Plan $plan, bool $withTarget): Properties
    {
        $given = $plan->properties;

        return new Properties(
            form: $given->form,
            language: $given->language,
            pageSize: $given->pageSize,
            target: $withTarget ? $given->target : null,
            scheme: $given->scheme,
            depth: $given->depth,
            citationStyle: $given->citationStyle,
            numberForms: $given->numberForms,
        );
    }

    private static function topic(Topic $topic, bool $withNotes, bool $withTargets): Topic
    {
        $bare = new Topic(
            $topic->id,
            $topic->title,
            $topic->kind,
            $topic->numbered,
            $topic->dye,
            target: $withTargets ? $topic->target : null,
            size: $topic->size,
            alone: $topic->alone,
            labels: $topic->labels,
            sign: $topic->sign,
        );
        $note = self::note($topic->note, $withNotes);

        return $note === null ? $bare : $bare->withNote($note);
    }

    private static function note(?Note $note, bool $isWhole): ?Note
    {
        $blocks = [];
        foreach ($note->blocks ?? [] as $block) {
            $kept = $isWhole || $block->type === NodeType::Question ? self::kept($block) : null;
            $blocks = $kept === null ? $blocks : [...$blocks, $kept];
        }

        return $blocks === [] ? null : Note::of($blocks);
    }

    private static function kept(Node $node): ?Node
    {
        if (\in_array($node->type, self::OF_THE_PLAN, true)) {
            return null;
        }
        $content = array_values(array_filter(array_map(self::kept(...), $node->content)));
        if ($node->content !== [] && $content === [] && $node->type !== NodeType::Paragraph) {
            return null;
        }

        return new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }

    /** A new plan out of one. */
    public static function plan(Plan $pattern, string $title, string $author): Plan
    {
        $root = $pattern->topic(Plan::ROOT)->withTitle($title);

        return $pattern->with($root)->withProperties($pattern->properties->with(['author' => $author]));
    }

    /** Its topics, to be added in another plan. */
    public static function added(Plan $pattern, Place $place, Ids $ids): AddTopics
    {
        $new = [];
        foreach ($pattern->walk() as $id => $_) {
            $new[$id] = $ids->next();
        }
        $plan = $pattern;
        foreach ($pattern->parts(Plan::ROOT) as $id) {
            // Main sections have dyes of their own; below another topic they take over what stands above.
            $plan = $place->parent === Plan::ROOT ? $plan : $plan->with($plan->topic($id)->with(['dye' => null]));
        }

        return CopyTopics::added($plan, $new, $place);
    }

    /** @return list<array{string, int}> titles with their levels, from 1 */
    public static function tree(Plan $pattern): array
    {
        $tree = [];
        foreach ($pattern->walk() as $id => $level) {
            $topic = $pattern->topic((string) $id);
            $tree[] = [$topic->title === '' ? 'Untitled' : $topic->title, $level];
        }

        return $tree;
    }

    /**
     * What is shown of it before it is chosen, which may be kept beside it: a pattern can be large.
     *
     * @return array{mains: list<string>, tree: list<array{string, int}>, more: int, holds: string} some main sections, the first
     *                                                                                              topics, how many more there are
     */
    public static function shown(Plan $pattern): array
    {
        $tree = self::tree($pattern);
        $mains = array_column(array_filter($tree, static fn(array $one): bool => $one[1] === 1), 0);

        return [
            'mains' => \array_slice($mains, 0, self::MAINS_SHOWN),
            'tree' => \array_slice($tree, 0, self::SHOWN),
            'more' => max(0, \count($tree) - self::SHOWN),
            'holds' => self::holds($pattern),
        ];
    }

    /** How many words and questions its notes hold. */
    public static function holds(Plan $pattern): string
    {
        $words = $questions = 0;
        foreach ($pattern->topics as $topic) {
            $words += $topic->note === null ? 0 : Words::in($topic->note->printing()->plainText());
            $questions += $topic->note === null ? 0 : iterator_count($topic->note->find(NodeType::Question));
        }
        $count = static fn(int $number, string $one): string => number_format($number) . " {$one}" . ($number === 1 ? '' : 's');
        $says = array_filter([
            $count(\count(iterator_to_array($pattern->walk())), 'topic'),
            $words === 0 ? '' : $count($words, 'word'),
            $questions === 0 ? '' : $count($questions, 'question'),
        ]);

        return implode(', ', $says);
    }
}
