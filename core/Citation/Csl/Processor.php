<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** The citations of a work and its list, printed in one style: what needs the whole is worked out here, once. */
final class Processor
{
    /** @var array<string, int> item → its number in the list */
    private array $numbers = [];

    private readonly \Collator $collator;

    /**
     * @param array<string, Item>  $items     by id, in the order in which they are first cited
     * @param list<list<Cite>>     $citations in reading order
     * @param Telling              $telling   names are sorted as they are printed: with the given names that tell them apart
     */
    private function __construct(
        private readonly Style $style,
        private readonly array $items,
        private array $citations,
        private readonly Telling $telling,
    ) {
        $this->collator = new \Collator($style->locale->language);
        // As people look things up: no matter of capitals and accents, Pell before Pella, and Letter 9 before Letter 10.
        $this->collator->setStrength(\Collator::PRIMARY);
        $this->collator->setAttribute(\Collator::NUMERIC_COLLATION, \Collator::ON);
    }

    /**
     * @param array<string, Item> $items     by id, in the order in which they are first cited
     * @param list<list<Cite>>    $citations each cites items that are known
     *
     * @return array{citations: list<string>, list: array<string, string>, numbers: array<string, int>} as Flat has them
     *
     * @throws CslError when it takes more than it may
     */
    public static function run(Style $style, array $items, array $citations, ?Effort $effort = null): array
    {
        $style->effort = $effort;
        foreach ($items as $item) {
            $item->begin();
        }
        $telling = Telling::apart($style, $items, array_flip(array_keys($items)));
        $self = new self($style, $items, $citations, $telling);
        $order = $self->ordered();
        foreach ($order as $i => $id) {
            $self->numbers[$id] = $i + 1;
        }
        $self->place();
        $whole = new Whole($style, $items, $self->numbers, $telling->lettered($order));
        $citations = new Citations($whole);

        return [
            'citations' => array_map($citations->print(...), $self->citations),
            'list' => $style->bibliography === null ? [] : (new Entries($whole, $style->bibliography))->print($order),
            'numbers' => $self->numbers,
        ];
    }

    /** @return list<string> the items as the list has them */
    private function ordered(): array
    {
        $order = array_keys($this->items);
        $keys = $this->style->bibliography->keys ?? [];
        $position = array_flip($order);
        $this->numbers = array_map(static fn(int $i): int => $i + 1, $position);
        if ($keys === []) {
            return $order;
        }
        $sorted = $this->sorted(array_map(static fn(string $id): array => [$id, null], $order), $keys);

        return array_map(static fn(int $i): string => $order[$i], $sorted);
    }

    /**
     * @param list<array{string, Cite|null}> $those items, each as an entry of the list or as it is cited
     * @param list<Key>                      $keys
     *
     * @return list<int> where each stood; those that are alike stay as they were
     */
    private function sorted(array $those, array $keys): array
    {
        $order = array_keys($those);
        // Most differ in their first key: another is made where it is asked for.
        $known = [];
        usort($order, function (int $a, int $b) use (&$known, $those, $keys): int {
            foreach ($keys as $n => $key) {
                $one = $known[$n][$a] ??= $this->sortKey($those[$a][0], $key, $those[$a][1]);
                $other = $known[$n][$b] ??= $this->sortKey($those[$b][0], $key, $those[$b][1]);
                if ($one !== $other) {
                    return self::compare($one, $other, $key->descends);
                }
            }

            return $a <=> $b;
        });

        return $order;
    }

    /** @return string|int empty: it has nothing to say */
    private function sortKey(string $id, Key $key, ?Cite $cite): string|int
    {
        if ($key->variable === 'citation-number') {
            return $this->numbers[$id];
        }
        $printing = new Printing($this->style, $this->items[$id], $cite, $this->numbers[$id]);
        $printing->isKey = true;
        $printing->givens = $this->telling->givens($id);
        $printing->keyNames = $key->names;
        $text = SortText::of($key, $printing);
        $isDate = isset($this->items[$id]->dates[$key->variable]);

        return match (true) {
            $text === '' => '',
            $key->variable !== '' && !$isDate && preg_match('/\A-?\d+\z/', $text) === 1 => (int) $text,
            default => $this->collator->getSortKey($text),
        };
    }

    private static function compare(string|int $a, string|int $b, bool $descends): int
    {
        // What has nothing to say stands last, up or down.
        if ($a === '' || $b === '') {
            return $a === '' ? 1 : -1;
        }
        $way = \is_int($a) && \is_int($b) ? $a <=> $b : strcmp((string) $a, (string) $b);

        return $descends ? -$way : $way;
    }

    /** Says of each cite where it stands among the others, and sorts those of one citation. */
    private function place(): void
    {
        $first = $last = [];
        $near = (int) ($this->style->citation->options['near-note-distance'] ?? 5);
        $before = null;
        $keys = $this->style->citation->keys;
        foreach ($this->citations as $n => $cites) {
            if ($keys !== [] && \count($cites) > 1) {
                $sorted = $this->sorted(array_map(static fn(Cite $cite): array => [$cite->item, $cite], $cites), $keys);
                $this->citations[$n] = $cites = array_map(static fn(int $i): Cite => $cites[$i], $sorted);
            }
            $note = $n + 1;
            $previous = $before !== null && \count($before) === 1 ? $before[0] : null;
            foreach ($cites as $i => $cite) {
                $cite->isLater = $i > 0;
                $id = $cite->item;
                if (isset($first[$id])) {
                    $cite->position = Cite::SUBSEQUENT;
                    $cite->firstNote = $this->style->inNotes && $first[$id] !== $note ? $first[$id] : 0;
                    $cite->isNear = $this->style->inNotes && $note - $last[$id] <= $near;
                    if ($previous !== null && $previous->item === $id) {
                        $cite->position = match (true) {
                            $previous->locator === '' => $cite->locator === '' ? Cite::IBID : Cite::IBID_WITH_LOCATOR,
                            $cite->locator === '' => Cite::SUBSEQUENT,
                            $cite->locator === $previous->locator && $cite->label === $previous->label => Cite::IBID,
                            default => Cite::IBID_WITH_LOCATOR,
                        };
                    }
                }
                $first[$id] ??= $note;
                $last[$id] = $note;
                $previous = $cite;
            }
            $before = $cites;
        }
    }
}
