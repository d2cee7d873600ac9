<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Anchor;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Language\Language;
use Embrel\Language\Tongue;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\TopicLink;
use Embrel\Words;

/**
 * An index: where the terms that were chosen stand in a draft, in whatever form, each marked in its place and listed at
 * the end. Within a paragraph the first place counts.
 */
final class Index
{
    /** The topics of its heading, and of the glossary, in which terms are not sought. */
    public const TOPIC = 'index';
    public const GLOSSARY = 'glossary';
    /** Names of places begin so; an attribute of a run of text says which begins there, and for which term. */
    private const PLACE = '_x';

    private readonly Tongue $tongue;
    /** @var array<string, list<array{list<string>, string}>> first stem → the stems of a term, and the term; the longest first */
    private array $sought = [];
    /** @var array<array-key, list<array{place: string, topic: string, element: int}>> term → where it stands */
    private array $found = [];
    private int $places = 0;

    /** @param list<string> $terms */
    private function __construct(array $terms, private readonly Language $language)
    {
        $this->tongue = Tongue::of($language->tag);
        foreach ($terms as $term) {
            $stems = array_map($this->stem(...), array_values(Words::of($term)));
            $stems === [] ? null : $this->sought[$stems[0]][] = [$stems, $term];
        }
        foreach ($this->sought as $first => $of) {
            usort($of, static fn(array $a, array $b): int => \count($b[0]) <=> \count($a[0]));
            $this->sought[$first] = $of;
        }
    }

    /**
     * @param list<Element> $elements
     * @param list<string>  $terms
     *
     * @return list<Element> with marks where terms stand, and the index at the end; as they were where none of them stands anywhere
     */
    public static function in(array $elements, array $terms, Language $language): array
    {
        $self = new self($terms, $language);
        $section = '';
        foreach ($elements as $i => $element) {
            $section = $element->role === Role::Heading ? $element->topic : $section;
            $elements[$i] = $element->topic === self::GLOSSARY ? $element : $self->marked($element, $i, $section);
        }

        return $self->found === [] ? $elements : [...$elements, ...$self->listed($elements, $terms)];
    }

    /**
     * The terms that stand in titles.
     *
     * @param list<Element> $elements of a draft with its index
     *
     * @return array<string, list<string>> bookmark of the topic → terms
     */
    public static function inTitles(array $elements): array
    {
        $titles = [];
        foreach ($elements as $element) {
            foreach ($element->places as ['place' => $place]) {
                str_starts_with($place, self::PLACE) ? null : $titles[$place][] = $element->title;
            }
        }

        return $titles;
    }

    /** The stem of a word; of one that only holds sentences together, the word. */
    private function stem(string $word): string
    {
        return $this->tongue->stem($word) ?: mb_strtolower($word);
    }

    private function marked(Element $element, int $i, string $section): Element
    {
        $seen = [];
        if ($element->role === Role::Body && $element->block !== null) {
            return $element->with(['block' => $this->node($element->block, $i, $section, $seen)]);
        }
        $hasPlace = \in_array($element->role, [Role::Heading, Role::Item, Role::Quote], true)
            && ($element->anchor !== null || $element->role === Role::Heading);
        if ($hasPlace) {
            $place = ($element->anchor ?? new Anchor($element->topic))->name();
            foreach ($this->terms($element->title) as [, , $term]) {
                isset($seen[$term]) ? null : $this->found[$term][] = [
                    'place' => $place,
                    'topic' => $section ?: $element->topic,
                    'element' => $i,
                ];
                $seen[$term] = true;
            }
        }

        return $element;
    }

    /** @param array<array-key, true> $seen terms that stand in the paragraph already */
    private function node(Node $node, int $i, string $section, array &$seen): Node
    {
        if ($node->content === [] || $node->type === NodeType::CodeBlock || $node->type === NodeType::Footnote) {
            return $node;
        }
        $content = [];
        foreach ($node->content as $child) {
            array_push(
                $content,
                ...$child->isText() ? $this->run($child, $i, $section, $seen) : [$this->node($child, $i, $section, $seen)],
            );
        }

        return new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }

    /**
     * @param array<array-key, true> $seen
     *
     * @return list<Node> the run, divided where a term begins that has a place there
     */
    private function run(Node $run, int $i, string $section, array &$seen): array
    {
        $runs = [];
        $at = 0;
        foreach ($this->terms($run->text) as [$from, $to, $term]) {
            if (isset($seen[$term])) {
                continue;
            }
            $seen[$term] = true;
            $place = self::PLACE . ++$this->places;
            $this->found[$term][] = ['place' => $place, 'topic' => $section, 'element' => $i];
            $from > $at ? $runs[] = Node::text(substr($run->text, $at, $from - $at), $run->marks) : null;
            $runs[] = new Node(
                NodeType::Text,
                ['place' => $place, 'term' => $term],
                [],
                substr($run->text, $from, $to - $from),
                $run->marks,
            );
            $at = $to;
        }
        $at < \strlen($run->text) ? $runs[] = Node::text(substr($run->text, $at), $run->marks) : null;

        return $at === 0 ? [$run] : $runs;
    }

    /** @return list<array{int, int, string}> where terms stand in a text: from and to, in bytes, and which */
    private function terms(string $text): array
    {
        $words = Words::of($text);
        $starts = array_keys($words);
        $stems = array_map($this->stem(...), array_values($words));
        $terms = [];
        for ($n = 0, $count = \count($stems); $n < $count; ++$n) {
            foreach ($this->sought[$stems[$n]] ?? [] as [$sought, $term]) {
                $last = $n + \count($sought) - 1;
                if (\array_slice($stems, $n, \count($sought)) === $sought) {
                    $terms[] = [$starts[$n], $starts[$last] + \strlen($words[$starts[$last]]), $term];
                    $n = $last;
                    break;
                }
            }
        }

        return $terms;
    }

    /**
     * @param list<Element> $elements
     * @param list<string>  $terms
     *
     * @return list<Element>
     */
    private function listed(array $elements, array $terms): array
    {
        $called = [];
        foreach ($elements as $element) {
            $called[$element->topic] ??= $element->number === '' ? $element->title : rtrim($element->number, '.');
        }
        $collator = new \Collator($this->language->tag);
        $collator->sort($terms);
        $entries = [new Element(Role::Heading, 1, title: $this->language->say('index'), topic: self::TOPIC, depth: 1)];
        foreach ($terms as $term) {
            if (isset($this->found[$term])) {
                $entries[] = new Element(
                    Role::IndexEntry,
                    0,
                    title: $term,
                    topic: self::TOPIC,
                    block: self::entry($term, $this->found[$term], $called),
                    places: $this->found[$term],
                );
            }
        }

        return $entries;
    }

    /**
     * An entry as it stands where there are no pages: the sections, each a link.
     *
     * @param list<array{place: string, topic: string, element: int}> $places
     * @param array<string, string>                                   $called
     */
    private static function entry(string $term, array $places, array $called): Node
    {
        $runs = [Node::text("{$term}: ")];
        foreach (array_values(array_unique(array_column($places, 'topic'))) as $i => $topic) {
            $i > 0 ? $runs[] = Node::text(', ') : null;
            $runs[] = ($called[$topic] ?? '') === '' ? Node::text('–') : Node::text($called[$topic], [TopicLink::to($topic)]);
        }

        return Node::paragraph($runs);
    }
}
