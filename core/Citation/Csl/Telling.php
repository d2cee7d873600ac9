<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Language\Counter;

/** Cites that would read alike are told apart: by more names, by given names, by conditions, by letters (CSL 1.0.2, “Disambiguation”). */
final class Telling
{
    /** @var array<string, Told> */
    private array $told = [];

    /** @var array<string, string> */
    private array $kept = [];

    /**
     * @param array<string, Item> $items
     * @param array<string, int>  $numbers
     */
    private function __construct(private readonly Style $style, private readonly array $items, private readonly array $numbers) {}

    /**
     * @param array<string, Item> $items
     * @param array<string, int>  $numbers of each, so that numbers in the text tell them apart
     */
    public static function apart(Style $style, array $items, array $numbers): self
    {
        $self = new self($style, $items, $numbers);
        $ids = array_keys($items);
        foreach ($ids as $id) {
            $self->told[$id] = new Told();
        }
        $layout = $style->citation;
        $rule = $layout->options['givenname-disambiguation-rule'] ?? 'by-cite';
        if ($layout->is('disambiguate-add-givenname') && $rule !== 'by-cite') {
            $self->everywhere($rule);
        }
        $names = $layout->is('disambiguate-add-names');
        $givens = $layout->is('disambiguate-add-givenname');
        if ($names || $givens) {
            foreach ($self->alike($ids) as $group) {
                $self->byNames($group, $names, $givens && $rule === 'by-cite');
            }
        }
        foreach ($givens && $rule === 'by-cite' ? $ids : [] as $id) {
            $self->whole($id, 2);
        }
        foreach (isset($style->calls['disambiguate']) ? $self->alike($ids) : [] as $group) {
            foreach ($group as $id) {
                $self->told[$id]->isAmbiguous = true;
            }
        }

        return $self;
    }

    /** @return list<list<int>> what tells people apart wherever they are named, as Told has it: by this names are sorted too */
    public function givens(string $id): array
    {
        $rule = $this->style->citation->options['givenname-disambiguation-rule'] ?? 'by-cite';

        return $rule === 'by-cite' ? [] : $this->told[$id]->givens;
    }

    /**
     * Where citations have no initials, names are told by the whole given name, in the list too.
     *
     * @param int $level what stands for initials there: 2 the whole name, 0 nothing
     */
    private function whole(string $id, int $level): void
    {
        $told = $this->told[$id];
        if (!\in_array(1, array_merge([], ...$told->givens), true)) {
            return;
        }
        $printing = $this->printing($id, $told);
        $this->style->citation->row($printing->item)->render($printing);
        if (!$printing->usesInitials) {
            $told->givens = array_map(
                static fn(array $levels): array => array_map(static fn(int $told): int => $told === 1 ? $level : $told, $levels),
                $told->givens,
            );
        }
    }

    private function printing(string $id, Told $told): Printing
    {
        $cite = new Cite($id);
        $cite->position = Cite::SUBSEQUENT;
        $printing = new Printing($this->style, $this->items[$id], $cite, $this->numbers[$id] + 1);
        $printing->counts = $told->counts;
        $printing->givens = $told->givens;
        $printing->isAmbiguous = $told->isAmbiguous;

        return $printing;
    }

    /**
     * With letters for those that still read alike.
     *
     * @param list<string> $order as the list has them: so go the letters
     *
     * @return array<string, Told>
     */
    public function lettered(array $order): array
    {
        foreach ($this->style->citation->is('disambiguate-add-year-suffix') ? $this->alike($order) : [] as $group) {
            foreach ($group as $i => $id) {
                $this->told[$id]->letter = Counter::LowerLetter->write($i + 1);
            }
        }

        return $this->told;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<list<string>> those that read alike
     */
    private function alike(array $ids): array
    {
        $groups = [];
        foreach ($ids as $id) {
            $groups[$this->reads($id, $this->told[$id])][] = $id;
        }

        return array_values(array_filter($groups, static fn(array $group): bool => \count($group) > 1));
    }

    private function reads(string $id, Told $told): string
    {
        $key = $id . ($told->isAmbiguous ? '!' : '');
        if ($told->counts !== [] || $told->givens !== []) {
            $givens = array_map(static fn(array $levels): string => implode(',', $levels), $told->givens);
            $key .= "\t" . implode(',', $told->counts) . "\t" . implode(';', $givens);
        }
        if (isset($this->kept[$key])) {
            return $this->kept[$key];
        }
        $printing = $this->printing($id, $told);

        return $this->kept[$key] = $this->style->citation->row($printing->item)->render($printing);
    }

    /** Given names that are told wherever they stand, however the cites read; what initials alone cannot tell apart stays as it is. */
    private function everywhere(string $rule): void
    {
        $onlyFirst = str_starts_with($rule, 'primary');
        $whole = str_ends_with($rule, 'with-initials') ? 0 : 2;
        $families = [];
        foreach ($this->items as $item) {
            foreach (self::lists($item) as $names) {
                foreach ($onlyFirst ? \array_slice($names, 0, 1) : $names as $name) {
                    if ($name->literal === '') {
                        $families[self::family($name)][self::initials($name)][$name->given] = true;
                    }
                }
            }
        }
        foreach ($this->items as $id => $item) {
            foreach (self::lists($item) as $l => $names) {
                foreach ($onlyFirst ? \array_slice($names, 0, 1) : $names as $n => $name) {
                    $of = $families[self::family($name)] ?? [];
                    if ($name->literal === '' && array_sum(array_map(\count(...), $of)) > 1) {
                        $level = \count($of[self::initials($name)]) > 1 ? $whole : 1;
                        $this->told[$id]->givens[$l] = self::raised($this->told[$id]->givens[$l] ?? [], $n, $level, \count($names));
                    }
                }
            }
            $this->whole($id, $whole);
        }
    }

    /**
     * @param list<int> $levels
     *
     * @return list<int>
     */
    private static function raised(array $levels, int $at, int $level, int $count): array
    {
        $out = [];
        for ($n = 0; $n < $count; ++$n) {
            $out[] = $n === $at ? $level : $levels[$n] ?? 0;
        }

        return $out;
    }

    /** @return list<list<Name>> */
    private static function lists(Item $item): array
    {
        $names = $item->names['author'] ?? $item->names['editor'] ?? $item->names['translator'] ?? [];

        return $names === [] ? [] : [$names];
    }

    private static function family(Name $name): string
    {
        return "{$name->nonDropping} {$name->family}";
    }

    private static function initials(Name $name): string
    {
        return Element\Initials::of($name->given, '', true, true);
    }

    /**
     * More names, and more of each name, until each reads like as few others as can be.
     *
     * @param list<string> $group
     */
    private function byNames(array $group, bool $names, bool $givens): void
    {
        $most = 1;
        foreach ($group as $id) {
            foreach (self::lists($this->items[$id]) as $list) {
                $most = max($most, \count($list));
            }
        }
        $base = [];
        foreach ($group as $id) {
            $base[$id] = $this->told[$id];
        }
        $waiting = $group;
        $steps = [];
        for ($count = 0; $count <= ($names ? $most : 0); ++$count) {
            $steps[] = [$count, -1];
        }
        if ($givens) {
            for ($n = 0; $n < $most; ++$n) {
                $steps[] = [$names ? max($n + 1, 0) : 0, $n * 2 + 1];
                $steps[] = [$names ? max($n + 1, 0) : 0, $n * 2 + 2];
            }
        }
        $best = array_fill_keys($group, [\PHP_INT_MAX, null]);
        foreach ($steps as [$count, $level]) {
            $reads = [];
            $tries = [];
            foreach ($waiting as $id) {
                $told = clone $base[$id];
                if ($count > 0) {
                    $told->counts = [$count];
                } elseif ($best[$id][1] !== null) {
                    $told->counts = $best[$id][1]->counts;
                }
                if ($level >= 0) {
                    $told->counts = [max($told->counts[0] ?? 0, $best[$id][1]->counts[0] ?? 0)];
                    $told->givens = [self::levels($told->givens[0] ?? [], $level, $most)];
                }
                $tries[$id] = $told;
                $reads[$this->reads($id, $told)][] = $id;
            }
            foreach ($reads as $ids) {
                foreach ($ids as $id) {
                    if (\count($ids) < $best[$id][0]) {
                        $best[$id] = [\count($ids), $tries[$id]];
                    }
                }
            }
            $waiting = array_values(array_filter($waiting, static fn(string $id): bool => $best[$id][0] > 1));
            if (\count($waiting) < 2) {
                break;
            }
        }
        foreach ($best as $id => [$_, $told]) {
            $this->told[$id] = $told ?? $base[$id];
        }
    }

    /**
     * @param list<int> $given
     *
     * @return list<int>
     */
    private static function levels(array $given, int $level, int $most): array
    {
        $out = [];
        for ($n = 0; $n < $most; ++$n) {
            $out[] = max($given[$n] ?? 0, max(0, min(2, $level - $n * 2)));
        }

        return $out;
    }
}
