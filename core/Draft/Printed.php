<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Citation\Cited;
use Embrel\Citation\Exchange\CslJson;
use Embrel\Citation\References;
use Embrel\Document\Anchor;
use Embrel\Language\Language;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\TopicLink;

/**
 * Notes as they are printed: citations in the style of the plan, or as footnotes; references to
 * topics by the number and title that these have at this moment. So no writer knows of either.
 */
final class Printed
{
    private const SPOKEN_FOR = [NodeType::Citation, NodeType::TopicRef];

    private int $at = 0;

    /** @var array<string, true> topics that a note refers to */
    public array $referenced = [];

    /** Whether a citation stays one, around what is printed for it, with its sources as CSL-JSON in `csl`. */
    public bool $asFields = false;

    /** @var array<string, int> what could not be resolved → how often */
    public array $missing = [];

    /**
     * @param array<string, int>  $starts  topic → which citation of the whole is the first of its note
     * @param array<string, true> $anchors topics that stand in this draft, so that a link can lead there
     */
    private function __construct(
        private readonly Plan $plan,
        private readonly Numbering $numbering,
        public readonly References $references,
        private readonly array $starts,
        private readonly array $anchors,
    ) {}

    /**
     * @param list<string>        $topics  whose notes are printed, in reading order
     * @param array<string, true> $anchors
     * @param bool                $withAll whether sources that are never cited are listed too
     */
    public static function of(Plan $plan, Numbering $numbering, array $topics, array $anchors, bool $withAll = false): self
    {
        $starts = $citations = $referenced = [];
        foreach ($topics as $topic) {
            $note = $plan->topic($topic)->note;
            if ($note !== null && self::holds($note->blocks)) {
                $starts[$topic] = \count($citations);
                foreach ($note->find(NodeType::Citation) as $node) {
                    $citations[] = Cited::of($node);
                }
                foreach ($note->find(NodeType::TopicRef) as $node) {
                    $referenced[(string) $node->string('topic')] = true;
                }
                foreach ($note->find(NodeType::Text) as $node) {
                    $topic = self::linked($node);
                    $referenced += $topic === null ? [] : [$topic => true];
                }
            }
        }
        $properties = $plan->properties;
        $references = References::of($properties->citationStyle, $properties->language, $plan->sources, $citations, $withAll);
        $printed = new self($plan, $numbering, $references, $starts, $anchors);
        $printed->referenced = $referenced;
        $references->isStandIn && $printed->lack('style');
        foreach ($citations as $items) {
            foreach ($items as $item) {
                isset($plan->sources[$item->source]) || $printed->lack('source');
            }
        }

        return $printed;
    }

    /** @param array<Node> $nodes */
    private static function holds(array $nodes): bool
    {
        foreach ($nodes as $node) {
            $leads = $node->marks !== [] && str_starts_with((string) $node->link(), '#');
            if ($leads || \in_array($node->type, self::SPOKEN_FOR, true) || ($node->content !== [] && self::holds($node->content))) {
                return true;
            }
        }

        return false;
    }

    /** @param bool $withQuestions as its writer sees it; what the writer is asked never prints */
    public function note(string $topic, bool $withQuestions = false): ?Note
    {
        $note = $this->plan->topic($topic)->note;
        $note = $withQuestions ? $note : $note?->printing();
        if ($note === null || !isset($this->starts[$topic])) {
            return $note;
        }
        $this->at = $this->starts[$topic];

        return Note::of(array_map(fn(Node $block): Node => $this->node($block, false), array_values($note->blocks)));
    }

    /** @return list<array{Node, string}> the citations in a note, each with what is printed for it */
    public function citations(string $topic): array
    {
        $at = $this->starts[$topic] ?? 0;
        $note = isset($this->starts[$topic]) ? $this->plan->topic($topic)->note : null;
        $out = [];
        foreach ($note?->find(NodeType::Citation) ?? [] as $node) {
            $out[] = [
                $node,
                implode('', array_map(static fn(Node $run): string => $run->plainText(), $this->references->citations[$at++])),
            ];
        }

        return $out;
    }

    private function node(Node $node, bool $inFootnote): Node
    {
        return $node->content === []
            ? $node
            : new Node(
                $node->type,
                $node->attrs,
                $this->nodes($node->content, $inFootnote || $node->type === NodeType::Footnote),
                $node->text,
                $node->marks,
            );
    }

    /**
     * @param list<Node> $nodes
     *
     * @return list<Node>
     */
    private function nodes(array $nodes, bool $inFootnote): array
    {
        $out = [];
        foreach ($nodes as $i => $node) {
            if ($node->type === NodeType::TopicRef) {
                $out[] = $this->reference((string) $node->string('topic'));
            } elseif ($node->type !== NodeType::Citation) {
                $node = $this->unmarked($this->led($node), $nodes[$i - 1] ?? null, $inFootnote);
                array_push($out, ...$node->isText() && $node->text === '' ? [] : [$this->node($node, $inFootnote)]);
            } else {
                $runs = $this->references->citations[$this->at++];
                // A raised number touches the word; and some styles bring the space before a citation along.
                if ($runs !== [] && ($runs[0]->has(MarkType::Superscript) || preg_match('/\A\s/u', $runs[0]->text) === 1)) {
                    $this->close($out, '');
                }
                $runs = $this->asFields ? $this->field($node, $runs) : $runs;
                array_push(
                    $out,
                    ...$this->references->isInNotes && !$inFootnote ? $this->footnote($out, $runs, $nodes[$i + 1] ?? null) : $runs,
                );
            }
        }

        return $out;
    }

    /**
     * @param list<Node> $runs
     *
     * @return list<Node>
     */
    private function field(Node $citation, array $runs): array
    {
        $sources = $this->plan->sources;
        $items = array_values(array_filter(Cited::of($citation), static fn(Cited $item): bool => isset($sources[$item->source])));
        $plain = implode('', array_map(static fn(Node $run): string => $run->plainText(), $runs));
        if ($items === []) {
            return $runs;
        }

        return [new Node(NodeType::Citation, ['csl' => CslJson::citation($items, $sources, $plain)], $runs)];
    }

    /**
     * The number of a note stands behind the mark that ends the clause, and touches the word (Chicago 17, 14.26).
     *
     * @param list<Node> $out  what is printed already: its last run loses the space at its end
     * @param list<Node> $runs
     *
     * @return list<Node>
     */
    private function footnote(array &$out, array $runs, ?Node $next): array
    {
        $this->close($out, self::endOf($next));

        return [new Node(NodeType::Footnote, content: $runs)];
    }

    /**
     * What is printed loses the space at its end.
     *
     * @param list<Node> $out
     * @param string     $end what it ends with instead
     */
    private function close(array &$out, string $end): void
    {
        $last = array_pop($out);
        if ($last !== null) {
            $text = $last->isText() ? rtrim($last->text) . $end : '';
            array_push($out, ...!$last->isText() ? [$last] : ($text === '' ? [] : [Node::text($text, $last->marks)]));
        }
    }

    /** The marks that a run of text begins with. */
    private static function endOf(?Node $next): string
    {
        return $next?->type === NodeType::Text && preg_match('/\A[.,;:!?”"’)]+/u', $next->text, $m) === 1 ? $m[0] : '';
    }

    /** A run behind a citation that became a footnote, without the marks that went before it. */
    private function unmarked(Node $node, ?Node $before, bool $inFootnote): Node
    {
        if ($inFootnote || !$this->references->isInNotes || $before?->type !== NodeType::Citation || !$node->isText()) {
            return $node;
        }
        $rest = substr($node->text, \strlen(self::endOf($node)));

        return $rest === '' ? new Node(NodeType::Text, marks: $node->marks) : Node::text($rest, $node->marks);
    }

    /** The topic to which a run of text is linked. */
    private static function linked(Node $node): ?string
    {
        $href = (string) $node->link();

        return str_starts_with($href, '#') ? Anchor::of(substr($href, 1))?->topic : null;
    }

    /** A link within the text that leads to a topic of this draft; one that leads nowhere is its words alone. */
    private function led(Node $node): Node
    {
        if (!$node->isText() || !str_starts_with((string) $node->link(), '#')) {
            return $node;
        }
        $topic = self::linked($node);
        $others = array_values(array_filter($node->marks, static fn(Mark $mark): bool => $mark->type !== MarkType::Link));

        return Node::text(
            $node->text,
            $topic !== null && isset($this->anchors[$topic]) ? [...$others, TopicLink::to($topic)] : $others,
        );
    }

    private function reference(string $topic): Node
    {
        if (!$this->plan->has($topic) || $this->plan->home($topic) === Plan::BIN) {
            $this->lack('topicRef');

            return Node::text('[' . Language::of($this->plan->properties->language)->say('noSection') . ']');
        }

        return Node::text($this->says($topic), isset($this->anchors[$topic]) ? [TopicLink::to($topic)] : []);
    }

    /** Number and title of a topic, as a reference to it is printed. */
    public function says(string $topic): string
    {
        return $this->numbering->titled($this->plan->topic($topic)) ?: '–';
    }

    private function lack(string $what): void
    {
        $this->missing[$what] = ($this->missing[$what] ?? 0) + 1;
    }
}
