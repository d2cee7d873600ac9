<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\Xml;

/** The numbering part: whether a level of a list counts or has bullets, and where it starts. */
final class ListForms
{
    /** @var array<string, array<int, array{string, int}>> abstract list → level → number format and start */
    private array $abstract = [];
    /** @var array<string, string> list → abstract list */
    private array $lists = [];
    /** @var array<string, array<int, int>> list → level → a start of its own */
    private array $starts = [];
    /** @var array<string, string> abstract list → the list of it that was begun last */
    private array $running = [];

    public static function read(?Xml $xml): self
    {
        $forms = new self();
        if ($xml === null) {
            return $forms;
        }
        $xml->root();
        foreach ($xml->children() as $name) {
            if ($name === 'abstractNum') {
                $id = (string) $xml->get('w:abstractNumId');
                foreach ($xml->children() as $child) {
                    $child === 'lvl' ? $forms->abstract[$id][(int) $xml->get('w:ilvl')] = self::level($xml) : null;
                }
            } elseif ($name === 'num') {
                $forms->num($xml, (string) $xml->get('w:numId'));
            }
        }

        return $forms;
    }

    /** @return array{string, int} */
    private static function level(Xml $xml): array
    {
        $format = 'decimal';
        $start = 1;
        foreach ($xml->children() as $name) {
            match ($name) {
                'numFmt' => $format = (string) $xml->get('w:val'),
                'start' => $start = (int) $xml->get('w:val'),
                default => null,
            };
        }

        return [$format, $start];
    }

    private function num(Xml $xml, string $id): void
    {
        foreach ($xml->children() as $name) {
            if ($name === 'abstractNumId') {
                $this->lists[$id] = (string) $xml->get('w:val');
            } elseif ($name === 'lvlOverride') {
                $level = (int) $xml->get('w:ilvl');
                foreach ($xml->children() as $child) {
                    $child === 'startOverride' ? $this->starts[$id][$level] = (int) $xml->get('w:val') : null;
                }
            }
        }
    }

    /** @return array{bool, int}|null whether it counts, and from what; null where it shows no sign at all */
    public function of(string $list, int $level): ?array
    {
        [$format, $start] = $this->abstract[$this->lists[$list] ?? ''][$level] ?? ['bullet', 1];

        return match ($format) {
            'none' => null,
            'bullet' => [false, 1],
            default => [true, $this->starts[$list][$level] ?? $start],
        };
    }

    /**
     * Which list a paragraph is of, asked in reading order: a list that counts goes on under other numbers of the
     * same abstract list, until one of them starts anew.
     */
    public function running(string $list, int $level): string
    {
        $abstract = $this->lists[$list] ?? '';
        if (isset($this->starts[$list][$level]) || ($this->of($list, $level)[0] ?? false) === false) {
            return $this->running[$abstract] = $list;
        }

        return $this->running[$abstract] ??= $list;
    }
}
