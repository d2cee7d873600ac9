<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Document\Anchor;
use Embrel\Id\Ulid;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Text;
use Embrel\RichText\TopicLink;

/** Links within a document: to which topics they lead in the plan that is made of it. */
final class Links
{
    /** What may stand before a title in a link to it: a number, “Chapter 3.”, “Section”. */
    private const BEFORE_TITLE = '(?:[\p{L}\p{N}.() ]{1,24}\s)?';

    /** @var array<string, string> the id of a topic in the file → its id now */
    public array $came = [];
    /** @var array<string, string> what links in the document call a topic, or a place in its text → its id */
    private array $named = [];
    private string $last = '';

    /**
     * @param bool $refers
     *     links that only say what a topic is called are references to it, and ids that came with the file are
     *     those of its topics now
     */
    public function __construct(private readonly bool $refers) {}

    /**
     * A topic is in the plan.
     *
     * @param string       $was   the id that it had in the file; empty: none
     * @param list<string> $names by which links call it, or what stands in its text
     */
    public function topic(string $id, string $was, array $names): void
    {
        $this->last = $id;
        $this->inText($names);
        if (Ulid::isValid($was)) {
            $this->came[$was] = $id;
        }
    }

    /** @param list<string> $names of places in the text of the topic that came last */
    public function inText(array $names): void
    {
        foreach ($this->last === '' ? [] : $names as $name) {
            $this->named[$name] ??= $this->last;
        }
    }

    /**
     * The plan with its links leading to topics: those that only say what the topic is called are references to it,
     * others keep their words.
     */
    public function in(Plan $plan): Plan
    {
        if ($this->came === [] && $this->named === []) {
            return $plan;
        }

        return Edit::notes($plan, fn(array $blocks): array => array_map(fn(Node $block): Node => $this->led($block, $plan), $blocks));
    }

    private function led(Node $node, Plan $plan): Node
    {
        $content = [];
        for ($i = 0, $count = \count($node->content); $i < $count; ++$i) {
            $href = (string) $node->content[$i]->link();
            $topic = $this->topicOf($href);
            if ($topic === null) {
                $content[] = $this->led($node->content[$i], $plan);
                continue;
            }
            $runs = [$node->content[$i]];
            while ($i + 1 < $count && $node->content[$i + 1]->link() === $href) {
                $runs[] = $node->content[++$i];
            }
            array_push($content, ...$this->leading($runs, $topic, $plan));
        }

        return $content === $node->content ? $node : new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }

    private function topicOf(string $href): ?string
    {
        if (!str_starts_with($href, '#')) {
            return null;
        }
        $name = substr($href, 1);
        $was = Anchor::of($name)?->topic;

        return match (true) {
            $was === null => $this->named[rawurldecode($name)] ?? ($this->named[$name] ?? null),
            $this->refers => $this->came[$was] ?? null,
            default => $was,
        };
    }

    /**
     * @param non-empty-list<Node> $runs of one link
     *
     * @return list<Node>
     */
    private function leading(array $runs, string $topic, Plan $plan): array
    {
        $says = Text::line(implode('', array_map(static fn(Node $run): string => $run->text, $runs)));
        $title = $plan->has($topic) ? $plan->topic($topic)->title : '';
        $isTitle = $title !== '' && preg_match('/\A' . self::BEFORE_TITLE . preg_quote($title, '/') . '\z/u', $says) === 1;
        if ($this->refers && ($says === '' || $isTitle)) {
            return [new Node(NodeType::TopicRef, ['topic' => $topic])];
        }
        $link = TopicLink::to($topic);
        $marked = static fn(Mark $mark): Mark => $mark->type === MarkType::Link ? $link : $mark;

        return array_map(static fn(Node $run): Node => Node::text($run->text, array_map($marked, $run->marks)), $runs);
    }
}
