<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Document\Anchor;
use Embrel\Draft\Printed;
use Embrel\Intake\CitedNotes;
use Embrel\Numbering\Written;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\TopicLink;

/**
 * What was printed for citations and for references to topics is made these again, wherever it stands
 * in a draft that came back: by the link that a reference carries, else by what it says.
 */
final class Restored
{
    /** @var array<string, Node> what is printed for a citation → the citation */
    private array $citations = [];
    /** As a regular expression; empty: there are no citations. */
    private string $anyCitation = '';
    /** @var array<string, list<Node>> of the note at hand: what is printed for a citation → those of which it is, in order */
    private array $own = [];
    /** @var array<string, string> of the note at hand: topic to which it referred → what was printed for that */
    private array $references = [];

    /** @param list<string> $topics of the plan as it was handed over, whose notes were printed */
    private function __construct(private readonly Plan $was, private readonly Plan $now, private readonly Printed $printed, array $topics)
    {
        foreach ($topics as $topic) {
            foreach ($printed->citations($topic) as [$node, $text]) {
                // A name alone could be anybody's words.
                \strlen($text) > 2 && preg_match('/[(\[\d]/', $text) === 1 ? ($this->citations[$text] ??= $node) : null;
            }
        }
        $texts = array_map(strval(...), array_keys($this->citations));
        usort($texts, static fn(string $a, string $b): int => \strlen($b) <=> \strlen($a));
        // Very many would make an expression that is too large; then links and notes alone lead back.
        $this->anyCitation = $texts === [] || \strlen(implode('', $texts)) > 400_000 ? '' : self::any($texts);
    }

    /**
     * @param array<string, string> $here   topic of the file → topic of the plan
     * @param list<string>          $topics of the plan as it was handed over, whose notes were printed
     */
    public static function of(Plan $file, Plan $was, Plan $now, Printed $printed, array $here, array $topics): Plan
    {
        $restored = new self($was, $now, $printed, $topics);

        return Edit::notes($file, static fn(array $blocks, string $id): array => $restored->note($blocks, $here[$id] ?? null));
    }

    /**
     * @param list<Node> $blocks
     *
     * @return list<Node>
     */
    private function note(array $blocks, ?string $here): array
    {
        $this->own = $this->references = [];
        if ($here !== null && $this->was->has($here)) {
            foreach ($this->printed->citations($here) as [$node, $text]) {
                $this->own[$text][] = $node;
            }
            foreach ($this->was->topic($here)->note?->find(NodeType::TopicRef) ?? [] as $node) {
                $topic = (string) $node->string('topic');
                $this->references[$topic] ??= $this->was->has($topic) ? $this->printed->says($topic) : '';
            }
        }

        return array_map($this->node(...), $blocks);
    }

    private function node(Node $node): Node
    {
        if ($node->content === []) {
            return $node;
        }
        $content = $this->cited($this->referring(CitedNotes::inLine(array_map($this->node(...), $node->content), $node->content)));
        if ($node->type === NodeType::Footnote) {
            $whole = $this->citation(
                trim(
                    $node->plainText() === ''
                        ? implode('', array_map(static fn(Node $run): string => $run->plainText(), $node->content))
                        : $node->plainText(),
                ),
            );

            return $whole ?? ($content === $node->content ? $node : new Node(NodeType::Footnote, $node->attrs, $content));
        }

        return $content === $node->content ? $node : new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }

    /**
     * Links that say what a topic are references to it; others keep their words.
     *
     * @param list<Node> $nodes
     *
     * @return list<Node>
     */
    private function referring(array $nodes): array
    {
        $out = [];
        for ($i = 0, $count = \count($nodes); $i < $count; ++$i) {
            $href = $nodes[$i]->isText() ? (string) $nodes[$i]->link() : '';
            $topic = TopicLink::of($href) === null ? '' : Anchor::of(substr($href, 1))->topic ?? '';
            if (
                $topic === ''
                || array_filter([$this->now, $this->was], static fn(Plan $plan): bool => $plan->has($topic) && $plan->isLive($topic)) === []
            ) {
                $out[] = $nodes[$i];
                continue;
            }
            // A word processor may have cut it into several runs.
            $says = '';
            for ($k = $i; $k < $count && $nodes[$k]->isText() && $nodes[$k]->link() === $href; ++$k) {
                $says .= $nodes[$k]->text;
            }
            array_push(
                $out,
                ...isset($this->references[$topic]) || $this->isCalled($topic, $says)
                    ? [new Node(NodeType::TopicRef, ['topic' => $topic])]
                    : \array_slice($nodes, $i, $k - $i),
            );
            $i = $k - 1;
        }

        return $out;
    }

    private function isCalled(string $topic, string $says): bool
    {
        foreach ([$this->was, $this->now] as $plan) {
            $title = $plan->has($topic) ? $plan->topic($topic)->title : '';
            $before = $title !== '' && str_ends_with($says, $title) ? substr($says, 0, -\strlen($title)) : null;
            if ($before === '' || ($before !== null && Written::isNumber($before))) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Node> $nodes
     *
     * @return list<Node>
     */
    private function cited(array $nodes): array
    {
        $nodes = $this->anyCitation === '' ? $nodes : self::replaced($nodes, $this->anyCitation, $this->citation(...));
        // A reference whose link was lost with the paragraph that was written anew; its number tells it from other words.
        $lost = array_filter($this->references, static fn(string $says): bool => preg_match('/\A\S*\d\S*\s/u', $says) === 1);
        if ($lost === []) {
            return $nodes;
        }

        return self::replaced(
            $nodes,
            self::any(array_values($lost)),
            static fn(string $says): ?Node => ($topic = array_search($says, $lost, true)) === false
                ? null
                : new Node(NodeType::TopicRef, ['topic' => (string) $topic]),
        );
    }

    private function citation(string $text): ?Node
    {
        if (($this->own[$text] ?? []) !== []) {
            return \count($this->own[$text]) > 1 ? array_shift($this->own[$text]) : $this->own[$text][0];
        }

        return $this->citations[$text] ?? null;
    }

    /** @param list<string> $texts */
    private static function any(array $texts): string
    {
        return '/(?<![\p{L}\p{N}])(?:'
            . implode('|', array_map(static fn(string $text): string => preg_quote($text, '/'), $texts))
            . ')(?![\p{L}\p{N}])/u';
    }

    /**
     * Runs of text with what an expression finds in them made something else, whatever runs it is spread over.
     *
     * @param list<Node>             $nodes
     * @param \Closure(string): ?Node $made
     *
     * @return list<Node>
     */
    private static function replaced(array $nodes, string $expression, \Closure $made): array
    {
        $out = [];
        for ($i = 0, $count = \count($nodes); $i < $count;) {
            $text = '';
            for ($k = $i; $k < $count && $nodes[$k]->isText() && $nodes[$k]->link() === null; ++$k) {
                $text .= $nodes[$k]->text;
            }
            if ($k === $i) {
                $out[] = $nodes[$i++];
                continue;
            }
            $runs = \array_slice($nodes, $i, $k - $i);
            $i = $k;
            preg_match_all($expression, $text, $found, PREG_OFFSET_CAPTURE);
            $at = 0;
            foreach ($found[0] as [$says, $from]) {
                $node = $made($says);
                if ($node !== null) {
                    array_push($out, ...self::between($runs, $at, $from));
                    $out[] = $node;
                    $at = $from + \strlen($says);
                }
            }
            array_push($out, ...$at === 0 ? $runs : self::between($runs, $at, \strlen($text)));
        }

        return $out;
    }

    /**
     * @param list<Node> $runs
     *
     * @return list<Node> the part of them between two places, in bytes
     */
    private static function between(array $runs, int $from, int $to): array
    {
        $out = [];
        $at = 0;
        foreach ($runs as $run) {
            $end = $at + \strlen($run->text);
            $part = substr($run->text, max(0, $from - $at), max(0, min($to, $end) - max($from, $at)));
            $part === '' || $end <= $from || $at >= $to ? null : ($out[] = Node::text($part, $run->marks));
            $at = $end;
        }

        return $out;
    }
}
