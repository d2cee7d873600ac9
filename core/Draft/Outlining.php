<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Anchor;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Layout\Map\Palette;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;

/** The first pass: every topic that prints as a heading, an item, a quotation or a paragraph, in reading order. */
final class Outlining
{
    /** @var list<Element> */
    public array $elements = [];
    /** @var array<string, int> what was left out → how often */
    public array $leftOut = [];
    /** @var array<int, array{items: int, inQuote: bool, appendix: bool, dye: string}> for each open level */
    private array $open = [];
    private int $headingLevel = 0;

    public function __construct(private readonly Plan $plan, private readonly Choices $choices, private readonly Numbering $numbering)
    {
        $this->open[0] = ['items' => 0, 'inQuote' => false, 'appendix' => $this->isInAppendix(), 'dye' => $this->dyeAbove()];
        $empty = $choices->draft->emptySections ? [] : $this->emptySections();
        $base = $plan->level($choices->from);
        $skipBelow = PHP_INT_MAX;
        foreach ($plan->walk($choices->from) as $id => $level) {
            if ($level > $skipBelow) {
                continue;
            }
            $topic = $plan->topics[$id];
            $skipBelow = PHP_INT_MAX;
            if ($choices->draft->prints($topic->kind) === Printing::Out || isset($empty[$id])) {
                $skipBelow = $level;
                $what = isset($empty[$id]) ? 'empty' : $topic->kind->value;
                $this->leftOut[$what] = ($this->leftOut[$what] ?? 0) + 1;
                continue;
            }
            if (\count($this->elements) === $choices->draft->most) {
                break;
            }
            $this->topic($topic, $level, $base);
        }
    }

    private function topic(Topic $topic, int $level, int $base): void
    {
        ['items' => $items, 'inQuote' => $inQuote, 'appendix' => $appendix, 'dye' => $dye] = $this->open[$level - 1];
        $appendix = $appendix || $topic->numbered === Numbered::Appendix;
        $dye = $topic->dye === null ? $dye : Palette::dye($topic->dye->value);
        $role = match (true) {
            ($topic->kind === Kind::Quote && $this->choices->draft->prints($topic->kind) === Printing::Quote) || $inQuote => Role::Quote,
            $this->choices->draft->prints($topic->kind) === Printing::Text => Role::Body,
            $topic->kind !== Kind::Section || $items > 0 || $level > $this->choices->draft->headingDepth => Role::Item,
            default => Role::Heading,
        };
        $nested = $items + ($role === Role::Item ? 1 : 0);
        if ($role === Role::Heading) {
            $this->headingLevel = $level;
        }
        $element = new Element(
            $role,
            $role === Role::Heading ? $level : min($nested, $this->choices->draft->indentDepth),
            $this->numbering->own($topic->id),
            $topic->title,
            $topic->id,
            depth: $base + $level,
            appendix: $appendix,
            dye: $dye,
            anchor: $this->anchor($topic, $role, $level),
            sign: $this->choices->draft->signs && ($role === Role::Heading || $role === Role::Item) ? $topic->sign : null,
        );
        // A point set as text is a paragraph of its title.
        $this->elements[] = $role === Role::Body ? $element->with(['block' => Node::plain($topic->title), 'number' => '']) : $element;
        if ($topic->picture !== null && $this->choices->draft->showsPictures) {
            $this->elements[] = new Element(
                Role::Picture,
                $role === Role::Heading ? 0 : $element->level,
                title: $topic->title,
                topic: $topic->id,
                picture: $topic->picture,
            );
        } elseif ($topic->picture !== null) {
            $this->leftOut['pictures'] = ($this->leftOut['pictures'] ?? 0) + 1;
        }
        $this->open[$level] = ['items' => $nested, 'inQuote' => $role === Role::Quote, 'appendix' => $appendix, 'dye' => $dye];
    }

    private function anchor(Topic $topic, Role $role, int $level): ?Anchor
    {
        if ($role === Role::Heading && $level <= 9) {
            return new Anchor($topic->id);
        }
        $letters = ['section' => 's', 'point' => 'p', 'quote' => 'q'];

        return isset($letters[$topic->kind->value])
            ? new Anchor($topic->id, $letters[$topic->kind->value], $level - $this->headingLevel)
            : null;
    }

    /** @return array<string, true> headings without a note, under which nothing prints that is none or has one */
    private function emptySections(): array
    {
        $filled = $headings = [];
        foreach (array_reverse($this->plan->branch($this->choices->from)) as $id) {
            $topic = $this->plan->topics[$id];
            $says = $topic->kind !== Kind::Section || ($topic->noted && $this->choices->notes) || $topic->picture !== null;
            if ($this->choices->draft->prints($topic->kind) !== Printing::Out && ($says || isset($filled[$id]))) {
                $filled[$id] = $filled[(string) $this->plan->parent($id)] = true;
            }
        }
        // What stands under a point or a quote is an item of a list or a line, and says something by its title.
        foreach ($this->plan->walk($this->choices->from) as $id => $_) {
            $above = (string) $this->plan->parent($id);
            if ($this->plan->topics[$id]->kind === Kind::Section && ($above === $this->choices->from || isset($headings[$above]))) {
                $headings[$id] = true;
            }
        }

        return array_diff_key($headings, $filled);
    }

    private function isInAppendix(): bool
    {
        for ($id = $this->choices->from; $id !== Plan::ROOT; $id = (string) $this->plan->parent($id)) {
            if (!$this->plan->has($id) || $this->plan->topic($id)->numbered === Numbered::Appendix) {
                return $this->plan->has($id);
            }
        }

        return false;
    }

    private function dyeAbove(): string
    {
        for ($id = $this->choices->from; $this->plan->has($id) && $id !== Plan::ROOT; $id = (string) $this->plan->parent($id)) {
            $dye = $this->plan->topic($id)->dye;
            if ($dye !== null) {
                return Palette::dye($dye->value);
            }
        }

        return '';
    }
}
