<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Style\Prose;
use Embrel\Citation\Style\Style;
use Embrel\Citation\Style\Uses;
use Embrel\RichText\Node;

/** The citations of a work and its reference list, printed in one style. */
final readonly class References
{
    private const NAMED = '/\A\s*(?:references?|reference list|bibliography|works cited|literature '
        . 'cited|sources|literatur|literaturverzeichnis|quellen|quellenverzeichnis|bibliogra(?:ph|f)ie)\s*\z/i';

    /**
     * @param list<list<Node>>                          $citations runs of text, as the citations were given
     * @param list<array{source: Source, runs: list<Node>}> $list
     * @param array<string, Source>                     $cited by id, in the order in which they are first cited
     */
    private function __construct(
        public string $heading,
        public bool $isInNotes,
        public array $citations,
        public array $list,
        public array $cited,
    ) {}

    /** Whether a section is called as a list of references is. */
    public static function isTitle(string $title): bool
    {
        return preg_match(self::NAMED, $title) === 1;
    }

    /**
     * @param string                $language  of the work, a language tag
     * @param array<string, Source> $sources   by id
     * @param list<list<Cited>>     $citations in reading order; what names an unknown source says so
     * @param bool                  $withAll   whether sources that are never cited are listed too
     */
    public static function of(CitationStyle $chosen, string $language, array $sources, array $citations, bool $withAll = false): self
    {
        $style = $chosen->style($language);
        $ways = $style->ways();
        $cited = [];
        foreach ($citations as $items) {
            foreach ($items as $item) {
                if (isset($sources[$item->source])) {
                    $cited[$item->source] = $sources[$item->source];
                }
            }
        }
        $uses = new Uses($withAll ? $cited + $sources : $cited);
        $order = $ways->byName ? self::byName($uses->sources, $language, !$ways->keepsParticles) : array_values($uses->sources);
        foreach ($order as $i => $source) {
            $uses->numbers[$source->id] = $i + 1;
        }
        self::tellApart($style, $uses, $order);
        $missing = '[' . Terms::of($language)->say('noSource') . ']';
        $printed = [];
        foreach ($citations as $items) {
            $known = array_values(array_filter($items, static fn(Cited $item): bool => isset($uses->sources[$item->source])));
            $printed[] = Prose::runs(
                ($known === [] ? '' : $style->citation($known, $uses))
                    . (\count($known) < \count($items) ? ($known === [] ? '' : ' ') . $missing : ''),
            );
        }

        return new self($style->heading(), $ways->inNotes, $printed, self::listed($style, $uses, $order), $cited);
    }

    /**
     * @param list<Source> $order
     *
     * @return list<array{source: Source, runs: list<Node>}>
     */
    private static function listed(Style $style, Uses $uses, array $order): array
    {
        $list = [];
        $above = null;
        foreach ($order as $source) {
            // A talk of the writer's own cannot be looked up: it is named in the text alone.
            if (!$source->isPersonal() || !$style->ways()->byName) {
                $list[] = ['source' => $source, 'runs' => Prose::runs($style->entry($source, $uses, $above))];
                $above = $source;
            }
        }

        return $list;
    }

    /**
     * By names letter by letter, then date, then title; without a name the title takes its place.
     *
     * @param array<string, Source> $sources
     *
     * @return list<Source>
     */
    private static function byName(array $sources, string $language, bool $drops): array
    {
        $collator = new \Collator($language);
        $keys = [];
        foreach ($sources as $id => $source) {
            $names = '';
            foreach ($source->people() as $person) {
                $names .= $person->surname($drops) . ' ' . $person->given . "\t";
            }
            $title = Titles::withoutArticle($source->title);
            // A work of one stands before those of the same with others, and what has no date before what has one.
            $keys[$id]
                = $collator->getSortKey($names === '' ? $title : $names)
                . "\0"
                . ($source->date?->stored() ?? '0')
                . "\0"
                . $collator->getSortKey($title);
        }
        asort($keys, SORT_STRING);
        $order = [];
        foreach ($keys as $id => $_) {
            $order[] = $sources[$id];
        }

        return $order;
    }

    /** @param list<Source> $order */
    private static function tellApart(Style $style, Uses $uses, array $order): void
    {
        $families = $alike = $works = [];
        foreach ($order as $source) {
            $people = $source->people();
            if ($people === []) {
                $alike[$style->cited($source, 1)][] = $source;

                continue;
            }
            $families[$people[0]->surname()][$people[0]->given][] = $source->id;
            $works[$source->byline()][] = $source->id;
            $alike[$style->cited($source, 1)][] = $source;
        }
        foreach ($families as $given) {
            if (\count($given) > 1) {
                $uses->namesakes += array_fill_keys(array_merge(...array_values($given)), true);
            }
        }
        foreach ($works as $ids) {
            if (\count($ids) > 1) {
                $uses->oneOfSeveral += array_fill_keys($ids, true);
            }
        }
        foreach ($style->ways()->letters ? $alike : [] as $group) {
            if (\count($group) > 1) {
                self::lettered($style, $uses, $group);
            }
        }
    }

    /**
     * Sources that one name and the year do not tell apart: more names do where the people differ, letters where they do not.
     *
     * @param list<Source> $group
     */
    private static function lettered(Style $style, Uses $uses, array $group): void
    {
        $same = [];
        foreach ($group as $source) {
            $same[$source->byline()][] = $source;
        }
        foreach ($same as $sources) {
            foreach (\count($sources) > 1 ? $sources : [] as $i => $source) {
                $uses->letters[$source->id] = self::letter($i);
            }
        }
        if (\count($same) < 2) {
            return;
        }
        foreach ($same as $key => $sources) {
            $others = array_diff_key($same, [$key => true]);
            for ($names = 2; $names < \count($sources[0]->people()); ++$names) {
                $mine = $style->cited($sources[0], $names);
                if (array_filter($others, static fn(array $other): bool => $style->cited($other[0], $names) === $mine) === []) {
                    break;
                }
            }
            foreach ($sources as $source) {
                $uses->names[$source->id] = $names;
            }
        }
    }

    /** a to z, then aa. */
    private static function letter(int $n): string
    {
        return ($n >= 26 ? self::letter(intdiv($n, 26) - 1) : '') . \chr(97 + ($n % 26));
    }
}
