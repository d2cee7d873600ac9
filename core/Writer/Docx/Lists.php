<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Numbering\Counter;
use Embrel\Numbering\Counting;
use Embrel\Numbering\Form;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;

/**
 * The numbering part: one multilevel list bound to the heading styles, one for appendices, one of
 * bullets, one of numbers. It counts along as the word processor will, so that a number that no
 * list would show there can be written as text instead.
 */
final class Lists
{
    public const HEADINGS = 1;
    public const BULLETS = 2;
    public const APPENDICES = 3;
    public const NUMBERS = 4;
    private const LEVELS = 9;
    private const BULLET_SIGNS = ['•', '–', '▪'];

    /** @var array<int, list<int>> list → counts of its open levels */
    private array $counts = [self::HEADINGS => [], self::APPENDICES => []];
    /** @var list<int> start of each numbered list in the notes, from list number NUMBERS + 1 */
    private array $starts = [];

    /** @param list<int> $above counts of the levels above a branch handed over alone; empty for a whole plan */
    public function __construct(private readonly Document $document, private readonly array $above) {}

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

    private int $chapters = 0;

    private function runsOn(): bool
    {
        return $this->document->scheme === Scheme::Chapter && $this->document->properties->runOn;
    }

    /** @param array<int, int> $counts */
    private function shown(int $list, array $counts): string
    {
        $level = \count($counts) - 1;

        return preg_replace_callback('/%(\d)/', function (array $m) use ($list, $counts): string {
            $form = $this->form($list, (int) $m[1]);

            return $form === null ? '' : $form->counter->write($counts[(int) $m[1] - 1]);
        }, rtrim($this->text($list, $level + 1), "\u{2002}")) ?? '';
    }

    private function form(int $list, int $level): ?Form
    {
        if ($list === self::APPENDICES) {
            return $level === 1 ? Form::appendix($this->document->scheme, 1) : Form::underAppendix();
        }

        return $level > $this->document->numberDepth ? null : Form::of($this->document->scheme, $level, $this->runsOn());
    }

    /** How a level is written, with %1 to %9 for the counts. */
    private function text(int $list, int $level): string
    {
        $form = $this->form($list, $level);
        if ($form === null) {
            return '';
        }
        $first = $this->runsOn() && $list === self::HEADINGS ? 2 : 1;
        $numbers = $form->joined && $level > $first ? implode('.', array_map(static fn(int $n): string => "%{$n}", range($first, $level))) : "%{$level}";

        return $form->before . $numbers . $form->after . (str_ends_with($form->before, ' ') ? "\u{2002}" : '');
    }

    /** A numbered list of a note, counted by itself. */
    public function numbered(int $start): int
    {
        $this->starts[] = $start;

        return self::NUMBERS + \count($this->starts);
    }

    public function xml(): string
    {
        $xml = '<w:numbering xmlns:w="' . Body::W . '">'
            . $this->definition(0, fn(int $i): string => $this->level($i, self::HEADINGS, $this->above[$i] ?? 1))
            . $this->definition(1, static fn(int $i): string => self::plainLevel($i, 'bullet', self::BULLET_SIGNS[$i % 3], $i === 0 ? 'ListBullet' : ''))
            . $this->definition(2, static fn(int $i): string => self::plainLevel($i, 'decimal', '%' . ($i + 1) . '.', $i === 0 ? 'ListNumber' : ''))
            . $this->definition(3, fn(int $i): string => $this->level($i, self::APPENDICES, 1));
        foreach ([self::HEADINGS => 0, self::BULLETS => 1, self::APPENDICES => 3, self::NUMBERS => 2] as $num => $definition) {
            $xml .= "<w:num w:numId=\"{$num}\"><w:abstractNumId w:val=\"{$definition}\"/></w:num>";
        }
        foreach ($this->starts as $i => $start) {
            $num = self::NUMBERS + 1 + $i;
            $levels = '';
            for ($level = 0; $level < self::LEVELS; ++$level) {
                $levels .= "<w:lvlOverride w:ilvl=\"{$level}\"><w:startOverride w:val=\"" . $start . '"/></w:lvlOverride>';
            }
            $xml .= "<w:num w:numId=\"{$num}\"><w:abstractNumId w:val=\"2\"/>{$levels}</w:num>";
        }

        return $xml . '</w:numbering>';
    }

    /** @param \Closure(int): string $level */
    private function definition(int $id, \Closure $level): string
    {
        return "<w:abstractNum w:abstractNumId=\"{$id}\"><w:multiLevelType w:val=\"multilevel\"/>" . implode('', array_map($level, range(0, self::LEVELS - 1))) . '</w:abstractNum>';
    }

    private function level(int $i, int $list, int $start): string
    {
        $form = $this->form($list, $i + 1);
        $format = match ($form?->counter) {
            null => 'none',
            Counter::Decimal => 'decimal',
            Counter::UpperRoman => 'upperRoman',
            Counter::LowerRoman => 'lowerRoman',
            Counter::UpperLetter => 'upperLetter',
            Counter::LowerLetter => 'lowerLetter',
        };
        $heading = $i + 1 - $this->base();
        $style = $list === self::HEADINGS && $heading >= 1 ? "<w:pStyle w:val=\"Heading{$heading}\"/>" : '';
        $restart = $i === 1 && $list === self::HEADINGS && $this->runsOn() ? '<w:lvlRestart w:val="0"/>' : '';

        return "<w:lvl w:ilvl=\"{$i}\"><w:start w:val=\"{$start}\"/><w:numFmt w:val=\"{$format}\"/>{$restart}{$style}<w:suff w:val=\"" . ($form === null ? 'nothing' : 'space') . '"/>'
            . '<w:lvlText w:val="' . DocxWriter::escaped($this->text($list, $i + 1)) . '"/><w:lvlJc w:val="left"/><w:pPr><w:ind w:left="0" w:firstLine="0"/></w:pPr></w:lvl>';
    }

    private static function plainLevel(int $i, string $format, string $text, string $style): string
    {
        $indent = ($i + 1) * 360;

        return "<w:lvl w:ilvl=\"{$i}\"><w:start w:val=\"1\"/><w:numFmt w:val=\"{$format}\"/>" . ($style === '' ? '' : "<w:pStyle w:val=\"{$style}\"/>")
            . "<w:lvlText w:val=\"{$text}\"/><w:lvlJc w:val=\"left\"/><w:pPr><w:ind w:left=\"{$indent}\" w:hanging=\"360\"/></w:pPr></w:lvl>";
    }
}
