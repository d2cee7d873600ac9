<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Pages;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\Terms;
use Embrel\Citation\Titles;

/** The Chicago Manual of Style, 17th edition, author and date (chapter 15). */
final readonly class ChicagoDates implements Style
{
    private ChicagoEntry $list;

    public function __construct(private Terms $terms)
    {
        $this->list = new ChicagoEntry($terms);
    }

    public function ways(): Ways
    {
        return new Ways(letters: true);
    }

    public function heading(): string
    {
        return $this->terms->say('references');
    }

    public function cited(Source $source, int $names): string
    {
        return $this->who($source, $names, false) . '|' . $this->terms->when($source->date);
    }

    /** 15.20, 15.24, 15.28, 15.30, 15.44: (Pell 1994, 61; Moor 1998); works of the same people: (Pell 1994, 1996). */
    public function citation(array $items, Uses $uses): string
    {
        $out = $before = '';
        foreach ($items as $i => $item) {
            $source = $uses->source($item->source);
            $who = $uses->kept[$source->id] ??= $this->who($source, $uses->names[$source->id] ?? 1, isset($uses->namesakes[$source->id]));
            $joins = $i > 0 && $who === $before && $item->prefix === '' && $items[$i - 1]->isBare();
            $out .= $i === 0 ? '' : ($joins ? ', ' : '; ');
            $out .= Prose::joined(
                ' ',
                $item->prefix,
                $joins || $item->withoutAuthor ? '' : $who,
                $this->terms->when($source->date, $uses->letters[$source->id] ?? ''),
            );
            $out .= ($item->pages === '' ? '' : ', ' . Pages::range($item->pages, Pages::CHICAGO)) . Apa::suffix($item);
            $before = $who;
        }

        return "({$out})";
    }

    /** 15.29: up to three names, of four or more the first with “et al.”; 15.22: an initial for namesakes. */
    private function who(Source $source, int $names, bool $initials): string
    {
        $people = $source->people();
        if ($people === []) {
            $title = Titles::short($this->list->cased($source, $source->title === '' ? $this->terms->say('noTitle') : $source->title));

            return $this->list->isQuoted($source) ? $this->terms->quoted($title) : Prose::italic($title);
        }
        $shown = array_map(static fn(Person $person): string => $person->surname(true), $people);
        if ($initials) {
            $shown[0] = trim($people[0]->initials() . ' ' . $shown[0]);
        }
        if (\count($shown) <= max(3, $names)) {
            return Prose::row($shown, $this->terms->say('and'));
        }

        return implode(', ', \array_slice($shown, 0, max(1, $names))) . ($names > 1 ? ',' : '') . ' ' . $this->terms->say('etAl');
    }

    public function entry(Source $source, Uses $uses, ?Source $above): string
    {
        return $this->list->of($source, $above, $this->terms->when($source->date, $uses->letters[$source->id] ?? ''));
    }
}
