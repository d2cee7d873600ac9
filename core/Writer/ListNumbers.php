<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Language\Counter;
use Embrel\Numbering\Counting;
use Embrel\Numbering\Form;
use Embrel\Numbering\Own;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;

/**
 * The numbers of headings as a word processor counts them: one list for what is numbered as usual, one for
 * appendices. It counts along, so that a number that no list would show there can be written as text instead.
 */
final class ListNumbers
{
    public const HEADINGS = 1;
    public const APPENDICES = 3;
    public const LEVELS = 9;

    /** @var array<int, list<int>> list → counts of its open levels */
    private array $counts = [self::HEADINGS => [], self::APPENDICES => []];
    private int $chapters = 0;

    /** @param list<int> $above counts of the levels above a branch handed over alone; empty for a whole plan */
    public function __construct(private readonly Document $document, public readonly array $above) {}

    /**
     * The counts of a branch's ancestors and of itself; empty where one of them has no usual number.
     *
     * @return list<int>
     */
    public static function countsAbove(Plan $plan, string $from): array
    {
        $counts = [];
        for ($id = $from; ($parent = $plan->parent($id)) !== null; $id = $parent) {
            $count = 0;
            foreach ($plan->parts($parent) as $sibling) {
                $topic = $plan->topic($sibling);
                $counted = Counting::takesNumber($topic, $plan->properties->scheme) && $topic->numbered === Numbered::Usual;
                $count += $counted ? 1 : 0;
                if ($sibling === $id && !$counted) {
                    return [];
                }
                if ($sibling === $id) {
                    break;
                }
            }
            array_unshift($counts, $count);
        }

        return $counts;
    }

    public function base(): int
    {
        return \count($this->above);
    }

    /**
     * The list and level that will show the number of this element; null where none would.
     *
     * @return array{int, int}|null list, level from 0
     */
    public function placeOf(Element $element): ?array
    {
        $list = $element->appendix ? self::APPENDICES : self::HEADINGS;
        $level = $element->depth - 1;
        if ($element->number === '' || $level >= self::LEVELS) {
            return null;
        }
        $counts = $this->counts[$list] !== [] || $element->appendix ? $this->counts[$list] : $this->above;
        $next = \array_slice($counts, 0, $level);
        $runsOn = $level === 1 && $this->runsOn();
        $next[$level] = ($runsOn ? $this->chapters : $counts[$level] ?? 0) + 1;
        if (\count($next) !== $level + 1 || $this->shown($list, $next) !== $element->number) {
            return null;
        }
        $this->counts[$list] = array_values($next);
        $this->chapters = $level === 1 && !$element->appendix ? $next[1] : $this->chapters;

        return [$list, $level];
    }

    public function runsOn(): bool
    {
        return $this->document->scheme->canRunOn() && $this->document->properties->runOn;
    }

    /** @param array<int, int> $counts */
    private function shown(int $list, array $counts): string
    {
        $level = \count($counts) - 1;

        $isLegal = $list === self::HEADINGS && $this->isLegal($level + 1);

        return preg_replace_callback(
            '/%(\d)/',
            function (array $m) use ($list, $counts, $isLegal): string {
                $counter = $isLegal ? Counter::Decimal : $this->form($list, (int) $m[1])?->counter;
                $count = $counts[(int) $m[1] - 1];

                return $counter === Counter::Words
                    ? Own::words($count, $this->document->properties->language)
                    : $counter?->write($count) ?? '';
            },
            rtrim($this->text($list, $level + 1), "\u{2002}"),
        ) ?? '';
    }

    /** @param int $level from 1 */
    public function form(int $list, int $level): ?Form
    {
        if ($list === self::APPENDICES) {
            return $level === 1 ? Form::appendix($this->document->scheme, 1, $this->document->language()) : Form::underAppendix();
        }

        if ($this->document->scheme === Scheme::Own) {
            $own = $level > $this->document->numberDepth ? null : (new Own($this->document->properties))->form($level);

            return $own === null ? null : Form::own($own);
        }

        return $level > $this->document->numberDepth
            ? null
            : Form::of($this->document->scheme, $level, $this->document->language(), $this->runsOn());
    }

    /**
     * Whether a list that knows no more than a beginning, counts with dots between them as their own levels write them, and an end,
     * and that begins a level anew under each of the level above, can show a level and those above it.
     */
    public function isPlain(int $level): bool
    {
        if ($level > 1 && $this->runsOn()) {
            return false;
        }
        $own = $this->form(self::HEADINGS, $level)?->own;
        if ($own === null) {
            return true;
        }
        $above = $level - \count($own->signs) + 1;
        foreach ($own->signs as $i => $sign) {
            if ($this->form(self::HEADINGS, $above + $i)?->counter !== Own::counter($sign)) {
                return false;
            }
        }

        return $own->isPlain() && ($level === 1 || $this->isPlain($level - 1));
    }

    /** Whether a level writes all its counts in digits, also those that their own level writes otherwise: I., and below it 1.1. */
    public function isLegal(int $level): bool
    {
        $own = $this->form(self::HEADINGS, $level)?->own;

        return $own !== null && array_unique($own->signs) === ['1'] && !$this->isPlain($level);
    }

    /** How many levels a number shows, itself among them. */
    public function levels(int $level): int
    {
        $form = $this->form(self::HEADINGS, $level);

        return match (true) {
            $form?->own !== null => \count($form->own->signs),
            $form?->joined === true => $level - $this->first(self::HEADINGS) + 1,
            default => 1,
        };
    }

    /** The first level that a joined number begins with. */
    public function first(int $list): int
    {
        return $this->runsOn() && $list === self::HEADINGS ? 2 : 1;
    }

    /** How a level is written, with %1 to %9 for the counts. */
    public function text(int $list, int $level): string
    {
        $form = $this->form($list, $level);
        if ($form === null) {
            return '';
        }
        if ($form->own !== null) {
            $from = $level - \count($form->own->signs) + 1;
            $text = $form->own->texts[0];
            foreach (array_keys($form->own->signs) as $i) {
                $text .= '%' . ($from + $i) . $form->own->texts[$i + 1];
            }

            return trim($text);
        }
        $first = $this->first($list);
        $numbers
            = $form->joined && $level > $first
                ? implode('.', array_map(static fn(int $n): string => "%{$n}", range($first, $level)))
                : "%{$level}";

        return $form->before . $numbers . $form->after . (str_ends_with($form->before, ' ') ? "\u{2002}" : '');
    }
}
