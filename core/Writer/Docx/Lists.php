<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Element;
use Embrel\Language\Counter;
use Embrel\Writer\ListNumbers;

/**
 * The numbering part: one multilevel list bound to the heading styles, one for appendices, one of bullets, one
 * of numbers, and those of the notes.
 */
final class Lists
{
    public const BULLETS = 2;
    public const NUMBERS = 4;
    private const BULLET_SIGNS = ['•', '–', '▪'];

    /** @var list<int|null> start of each list in the notes, null for one with bullets, from list number NUMBERS + 1 */
    private array $starts = [];

    /** @param int $first how many lists a template has already: ours are counted from there */
    public function __construct(private readonly ListNumbers $numbers, private readonly int $first = 0) {}

    public function base(): int
    {
        return $this->numbers->base();
    }

    public function headings(): int
    {
        return $this->first + ListNumbers::HEADINGS;
    }

    public function appendices(): int
    {
        return $this->first + ListNumbers::APPENDICES;
    }

    public function bullets(): int
    {
        return $this->first + self::BULLETS;
    }

    /** @return array{int, int}|null list and level from 0 that will show the number of this element; null where none would */
    public function placeOf(Element $element): ?array
    {
        $place = $this->numbers->placeOf($element);

        return $place === null ? null : [$this->first + $place[0], $place[1]];
    }

    /** A numbered list of a note, counted by itself. */
    public function numbered(int $start): int
    {
        $this->starts[] = $start;

        return $this->first + self::NUMBERS + \count($this->starts);
    }

    /** A list with bullets of a note, so that one that follows it is another. */
    public function bulleted(): int
    {
        $this->starts[] = null;

        return $this->first + self::NUMBERS + \count($this->starts);
    }

    public function xml(): string
    {
        return '<w:numbering xmlns:w="' . Body::W . '">' . $this->definitions() . $this->numbers() . '</w:numbering>';
    }

    /** The forms of our lists; a part has all of them before its lists. */
    public function definitions(): string
    {
        return $this->definition(0, fn(int $i): string => $this->level($i, ListNumbers::HEADINGS, $this->numbers->above[$i] ?? 1))
            . $this->definition(1, static fn(int $i): string => self::plainLevel($i, 'bullet', self::BULLET_SIGNS[$i % 3]))
            . $this->definition(2, static fn(int $i): string => self::plainLevel($i, 'decimal', '%' . ($i + 1) . '.'))
            . $this->definition(3, fn(int $i): string => $this->level($i, ListNumbers::APPENDICES, 1));
    }

    public function numbers(): string
    {
        $xml = '';
        foreach (
            [ListNumbers::HEADINGS => 0, self::BULLETS => 1, ListNumbers::APPENDICES => 3, self::NUMBERS => 2] as $num => $definition
        ) {
            $xml
                .= '<w:num w:numId="' . ($this->first + $num) . '"><w:abstractNumId w:val="' . ($this->first + $definition) . '"/></w:num>';
        }
        foreach ($this->starts as $i => $start) {
            $levels = '';
            for ($level = 0; $start !== null && $level < ListNumbers::LEVELS; ++$level) {
                $levels .= "<w:lvlOverride w:ilvl=\"{$level}\"><w:startOverride w:val=\"" . $start . '"/></w:lvlOverride>';
            }
            $xml
                .= '<w:num w:numId="'
                . ($this->first + self::NUMBERS + 1 + $i)
                . '"><w:abstractNumId w:val="'
                . ($this->first + ($start === null ? 1 : 2))
                . "\"/>{$levels}</w:num>";
        }

        return $xml;
    }

    /** @param \Closure(int): string $level */
    private function definition(int $id, \Closure $level): string
    {
        return '<w:abstractNum w:abstractNumId="'
            . ($this->first + $id)
            . '"><w:multiLevelType w:val="multilevel"/>'
            . implode('', array_map($level, range(0, ListNumbers::LEVELS - 1)))
            . '</w:abstractNum>';
    }

    private function level(int $i, int $list, int $start): string
    {
        $form = $this->numbers->form($list, $i + 1);
        $format = match ($form?->counter) {
            null => 'none',
            Counter::Decimal => 'decimal',
            Counter::UpperRoman => 'upperRoman',
            Counter::LowerRoman => 'lowerRoman',
            Counter::UpperLetter => 'upperLetter',
            Counter::LowerLetter => 'lowerLetter',
            Counter::Words => 'cardinalText',
        };
        $heading = $i + 1 - $this->base();
        $style = $list === ListNumbers::HEADINGS && $heading >= 1 && $this->first === 0 ? "<w:pStyle w:val=\"Heading{$heading}\"/>" : '';
        $restart = $i === 1 && $list === ListNumbers::HEADINGS && $this->numbers->runsOn() ? '<w:lvlRestart w:val="0"/>' : '';

        $legal = $list === ListNumbers::HEADINGS && $this->numbers->isLegal($i + 1) ? '<w:isLgl/>' : '';

        return "<w:lvl w:ilvl=\"{$i}\"><w:start w:val=\"{$start}\"/><w:numFmt w:val=\"{$format}\"/>{$restart}{$style}{$legal}<w:suff w:val=\""
            . ($form === null ? 'nothing' : 'space')
            . '"/>'
            . '<w:lvlText w:val="'
            . Xml::escaped($this->numbers->text($list, $i + 1))
            . '"/><w:lvlJc w:val="left"/><w:pPr><w:ind w:left="0" w:firstLine="0"/></w:pPr></w:lvl>';
    }

    private static function plainLevel(int $i, string $format, string $text): string
    {
        $indent = ($i + 1) * 360;

        return "<w:lvl w:ilvl=\"{$i}\"><w:start w:val=\"1\"/><w:numFmt w:val=\"{$format}\"/>"
            . "<w:lvlText w:val=\"{$text}\"/><w:lvlJc w:val=\"left\"/><w:pPr><w:ind w:left=\"{$indent}\" w:hanging=\"360\"/></w:pPr></w:lvl>";
    }
}
