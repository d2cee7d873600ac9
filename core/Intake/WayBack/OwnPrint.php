<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Draft\Printed;
use Embrel\Language\Language;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * What a draft prints of itself and a file without hidden marks brings back as text: the entries of the
 * list of references, and the points and quotations under a section. It is no text of the writer's.
 */
final class OwnPrint
{
    /** @var array<string, true> the entries of the list of references, and the line that says that a helper drafted parts */
    private array $entries = [];

    private function __construct(private readonly Plan $was, Printed $printed)
    {
        foreach ($printed->references->list as $entry) {
            $this->entries[Comparison::blockText(Node::paragraph($entry['runs']))] = true;
        }
        $helped = Language::of($was->properties->language)->say('helped');
        $this->entries[Comparison::blockText(Node::plain($helped))] = true;
    }

    /** @param array<string, string> $here topic of the file → topic of the plan as it was handed over */
    public static function without(Plan $file, Plan $was, Printed $printed, array $here): Plan
    {
        $own = new self($was, $printed);
        $found = array_flip($here);

        return Edit::notes($file, static function (array $blocks, string $id) use ($own, $here, $found): array {
            $lines = isset($here[$id]) ? $own->below($here[$id], $found) : [];

            return $own->left($blocks, $lines);
        });
    }

    /**
     * @param list<Node>         $blocks
     * @param array<string, int> $lines
     *
     * @return list<Node> the blocks without what was printed
     */
    private function left(array $blocks, array &$lines): array
    {
        $left = [];
        // From the end: what a section says itself stands before what is under it.
        foreach (array_reverse($blocks) as $block) {
            if ($this->isPrinted($block, $lines)) {
                continue;
            }
            // Its own list or quotation, and what follows it there, may have become one.
            if ($lines !== [] && \in_array($block->type, [NodeType::BulletList, NodeType::OrderedList, NodeType::Blockquote], true)) {
                $content = $this->left($block->content, $lines);
                $block = $content === $block->content ? $block : new Node($block->type, $block->attrs, $content);
            }
            array_unshift($left, $block);
        }

        return $left;
    }

    /**
     * @param array<string, mixed> $found topics that the file has by themselves
     *
     * @return array<string, int> what points and quotations under a section say, line by line → how often
     */
    private function below(string $id, array $found): array
    {
        $lines = [];
        foreach ($this->was->has($id) ? $this->was->parts($id) : [] as $part) {
            $topic = $this->was->topic($part);
            if ($topic->kind === Kind::Section || $topic->kind === Kind::Aside || isset($found[$part])) {
                continue;
            }
            foreach ([Comparison::blockText(Node::plain($topic->title)), ...explode("\n", Comparison::text($topic->note))] as $line) {
                $line === '' ? null : $lines[$line] = ($lines[$line] ?? 0) + 1;
            }
            foreach ($this->below($part, $found) as $line => $count) {
                $lines[$line] = ($lines[$line] ?? 0) + $count;
            }
        }

        return $lines;
    }

    /** @param array<string, int> $lines */
    private function isPrinted(Node $block, array &$lines): bool
    {
        $text = Comparison::blockText($block);
        if (isset($this->entries[$text])) {
            return true;
        }
        $own = array_count_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn(string $line): bool => $line !== ''));
        foreach ($own as $line => $count) {
            if (($lines[$line] ?? 0) < $count) {
                return false;
            }
        }
        foreach ($own as $line => $count) {
            $lines[$line] -= $count;
        }

        return $own !== [];
    }
}
