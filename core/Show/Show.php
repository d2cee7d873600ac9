<?php

declare(strict_types=1);

namespace Embrel\Show;

use Embrel\Draft\Choices;
use Embrel\Draft\Printed;
use Embrel\Draft\ShowChoices;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** A plan as it is shown to an audience: an opening, then one section after the other in reading order. */
final class Show
{
    /** Steps of one show. What comes after them is counted, and said. */
    public const MOST = 5_000;

    /** @var list<Step> */
    public array $steps = [];
    /** How many sections found no room among the steps. */
    public int $leftOut = 0;

    private readonly Numbering $numbering;
    private readonly Printed $printed;
    /** @var array<string, true> */
    private readonly array $without;
    /** @var array<string, true> */
    private readonly array $whole;

    /** @param Plan $plan with the notes loaded that are to be said with it */
    private function __construct(private readonly Plan $plan, private readonly Choices $choices)
    {
        $this->numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $this->printed = Printed::of($plan, $this->numbering, $plan->branch($choices->from), []);
        $this->without = array_fill_keys($choices->show->without, true);
        $this->whole = array_fill_keys($choices->show->whole, true);
    }

    public static function of(Plan $plan, Choices $choices): self
    {
        $show = new self($plan, $choices);
        $show->opening();
        $show->sections();

        return $show;
    }

    private function opening(): void
    {
        $topic = $this->plan->topic($this->choices->from);
        $isWhole = $this->choices->from === Plan::ROOT;
        $properties = $this->plan->properties;
        $this->add(new Step(
            $topic->id,
            $isWhole ? '' : $this->numbering->full($topic->id),
            $isWhole ? $this->plan->title() : $topic->title,
            0,
            $topic->dye->value ?? 'slate',
            under: $isWhole ? implode("\n", array_filter([$properties->subtitle, $properties->author])) : '',
            lines: $this->lines($topic->id, false, false),
            shots: $this->shots($topic),
            note: $this->said($topic),
            words: $topic->words,
        ));
    }

    private function sections(): void
    {
        $show = $this->choices->show;
        $skip = PHP_INT_MAX;
        $main = '';
        $dyes = [];
        foreach ($this->plan->walk($this->choices->from) as $id => $level) {
            $topic = $this->plan->topic($id);
            $dyes[$id] = $topic->dye->value ?? $dyes[(string) $this->plan->parent($id)] ?? 'slate';
            $main = $level === 1 ? $id : $main;
            if ($level > $skip) {
                continue;
            }
            $skip = $topic->kind === Kind::Aside || isset($this->without[$id]) ? $level : PHP_INT_MAX;
            $isShown = $show->label === '' ? $level <= $show->levels : \in_array($show->label, $topic->labels, true);
            if ($skip === $level || !$isShown || $topic->kind !== Kind::Section) {
                continue;
            }
            $isWhole = isset($this->whole[$id]);
            $this->add(new Step(
                $id,
                $this->numbering->own($id),
                $topic->title,
                $level,
                $dyes[$id],
                $main,
                lines: [...$this->quoted($topic), ...$this->lines($id, true, $isWhole)],
                shots: $this->shots($topic),
                note: $this->said($topic),
                words: $topic->words,
            ));
            $skip = $isWhole ? $level : $skip;
        }
    }

    /** Adds a step, in several where it has more lines than one can show. */
    private function add(Step $step): void
    {
        foreach (Fitting::of($step) as $one) {
            \count($this->steps) < self::MOST ? ($this->steps[] = $one) : ++$this->leftOut;
        }
    }

    /**
     * What stands right under a topic, or all of it.
     *
     * @param bool $withSections whether sections are among them: the opening has only what is no section of its own
     *
     * @return list<Line>
     */
    private function lines(string $of, bool $withSections, bool $isWhole): array
    {
        $lines = [];
        $skip = PHP_INT_MAX;
        foreach ($isWhole ? $this->plan->walk($of) : array_fill_keys($this->plan->parts($of), 1) as $id => $level) {
            if ($level > $skip) {
                continue;
            }
            $topic = $this->plan->topic($id);
            $skip = $topic->kind === Kind::Aside || isset($this->without[$id]) ? $level : PHP_INT_MAX;
            if ($skip === $level || (!$withSections && $topic->kind === Kind::Section)) {
                continue;
            }
            $isQuote = $topic->kind === Kind::Quote;
            $lines[] = new Line(
                $id,
                $this->numbering->own($id),
                $topic->title === '' ? 'Untitled' : $topic->title,
                $level,
                $isQuote,
                $isQuote ? $this->sources($id) : '',
            );
        }

        return $lines;
    }

    /** What is cited in the note of a topic, as it prints. */
    private function sources(string $id): string
    {
        return implode('; ', array_map(
            static fn(array $citation): string => self::bare($citation[1]),
            $this->printed->citations($id),
        ));
    }

    private static function bare(string $cited): string
    {
        return preg_match('/\A\((.+)\)\z/su', $cited, $m) === 1 ? $m[1] : $cited;
    }

    /** @return list<Line> the quotations in the note of a topic */
    private function quoted(Topic $topic): array
    {
        $note = $topic->note;
        $quotes = [];
        $cited = $note === null ? [] : $this->printed->citations($topic->id);
        $at = 0;
        foreach ($note->blocks ?? [] as $block) {
            $count = \count(array_filter(
                iterator_to_array($block->all(), false),
                static fn(Node $node): bool => $node->type === NodeType::Citation,
            ));
            if ($block->type === NodeType::Blockquote) {
                $text = implode("\n", array_map($this->words(...), $block->content));
                $source = implode('; ', array_map(
                    static fn(array $one): string => self::bare($one[1]),
                    \array_slice($cited, $at, $count),
                ));
                array_push($quotes, ...trim($text) === '' ? [] : [new Line($topic->id, '', trim($text), 1, true, $source)]);
            }
            $at += $count;
        }

        return $quotes;
    }

    /** The words of a block without what is cited in it: that is named under it. */
    private function words(Node $node): string
    {
        return match ($node->type) {
            NodeType::Text => $node->text,
            NodeType::Citation, NodeType::Footnote => '',
            NodeType::HardBreak => "\n",
            NodeType::TopicRef => $this->named((string) $node->string('topic')),
            default => (string) preg_replace('/ +(?=[.,;:!?”’»]|\z)/u', '', implode('', array_map($this->words(...), $node->content))),
        };
    }

    private function named(string $topic): string
    {
        return $this->plan->isLive($topic) ? $this->printed->says($topic) : '';
    }

    /** @return list<Shot> its own picture, then those of its note */
    private function shots(Topic $topic): array
    {
        $shots = $topic->picture === null ? [] : [new Shot($topic->picture->id, $topic->title)];
        foreach ($topic->note?->find(NodeType::Picture) ?? [] as $node) {
            $id = $node->string('picture');
            $caption = (string) $node->string('caption');
            if ($id !== null) {
                $shots[] = new Shot($id, $node->string('alt') ?? ($caption === '' ? $topic->title : $caption), $caption);
            }
        }

        return $shots;
    }

    private function said(Topic $topic): string
    {
        $note = $topic->noted ? $this->printed->note($topic->id) : null;

        return $note instanceof Note ? trim($note->plainText()) : '';
    }

    // ---- How long it takes

    /** @return list<int> how many seconds each step stays when it plays by itself, 2 at the least */
    public function seconds(): array
    {
        $show = $this->choices->show;

        return array_map(
            static fn(Step $step): int => $show->spoken
                ? max(2 * $step->stops($show->oneByOne), (int) ceil(($step->words * 60) / ShowChoices::SPOKEN))
                : max(2, $show->seconds),
            $this->steps,
        );
    }
}
