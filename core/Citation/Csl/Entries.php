<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** The entries of the list. */
final readonly class Entries
{
    /** What is of use only while a text grows. */
    private const TAILS = Flat::TAIL . Flat::INNER_TAIL . Flat::DATED;

    public function __construct(private Whole $whole, private Layout $layout) {}

    /**
     * @param list<string> $order
     *
     * @return array<string, string> item → its entry
     */
    public function print(array $order): array
    {
        $out = [];
        $above = null;
        $sign = $this->layout->options['subsequent-author-substitute'] ?? null;
        $rule = $this->layout->options['subsequent-author-substitute-rule'] ?? 'complete-all';
        foreach ($order as $id) {
            $printing = $this->whole->printing($id, null);
            $printing->letter = $this->whole->told[$id]->letter;
            $printing->givens = $this->whole->told[$id]->givens;
            $printing->counts = $this->whole->told[$id]->counts;
            $printing->above = $above;
            $printing->substitute = $sign === null ? null : [$sign, $rule];
            $out[$id] = isset($this->layout->options['second-field-align']) ? $this->aligned($printing) : $this->whole($printing);
            $above = $printing->firstNames;
        }

        return $out;
    }

    /** Without what is of use only while it grows; a mark behind a number is still known by it where the entry is closed. */
    private static function ended(string $text): string
    {
        return str_ends_with($text, Flat::COUNTED) ? $text : rtrim($text, self::TAILS);
    }

    /** With what ends it, which stands below a block that comes last. */
    private function closed(string $text, Printing $printing): string
    {
        $closed = $this->layout->dress->around($text, $printing, true);

        return str_ends_with($text, Flat::END) ? substr_replace($closed, Flat::STAYS, (int) strrpos($closed, Flat::END) + 1, 0) : $closed;
    }

    private function whole(Printing $printing): string
    {
        $inside = $printing->locale->inside;
        $dress = $this->layout->dress;
        if ($this->layout->usesBlocks) {
            // What ends an entry goes with the last of its blocks, though an item has nothing to say there.
            return $dress->within($this->ofBlocks($this->layout->rowOfType($printing->item->type)->elements, $printing), $printing);
        }
        $text = trim($this->layout->row($printing->item)->render($printing), Flat::EDGE);
        // A stop goes before the colon of a value within a group.
        if (str_starts_with($dress->suffix, '.') && preg_match(Flat::ENDED, $text, $m) === 1) {
            $text = rtrim(Flat::stopped($text, $m[0], $inside), self::TAILS) . substr($dress->suffix, 1);

            return $dress->within($dress->prefix . $text, $printing);
        }

        return $dress->within($this->closed(self::ended($text), $printing), $printing);
    }

    /**
     * Where an entry is of blocks, what ends it is put behind its last element, in the place of what that ends with itself.
     *
     * @param list<Element\Element> $elements
     */
    private function ofBlocks(array $elements, Printing $printing): string
    {
        $last = array_pop($elements);
        $pieces = [];
        Element\Row::of($elements)->into($pieces, $printing);
        $count = \count($pieces);
        if ($last instanceof Element\Group) {
            $last = clone $last;
            $last->dress = $last->dress->ending($this->layout->dress->suffix);
        }
        $last?->into($pieces, $printing);
        // A macro, or a block, that says nothing takes what ends the entry with it.
        $isEnded = $last instanceof Element\Group && (\count($pieces) > $count || $last->isMacro || $last->dress->display !== '');
        $text = self::ended(Flat::open(Flat::row($pieces, '', $printing->locale->inside)));
        if ($isEnded) {
            return $text;
        }

        return \count($pieces) > $count ? $this->closed($text, $printing) : $this->layout->dress->around($text, $printing, true);
    }

    /** The first element stands in the margin, or before the others; marks that come after it go there with it (Spans). */
    private function aligned(Printing $printing): string
    {
        $inside = $printing->locale->inside;
        [$head, $rest] = $this->layout->inTwo($printing->item);
        $margin = Flat::open($head->render($printing));
        $text = self::ended(Flat::open(ltrim($rest->render($printing), ' ')));

        return ($margin === '' ? '' : Flat::LEFT_MARGIN . $this->layout->dress->prefix . $margin . Flat::SHUT)
            . ($text === '' ? '' : Flat::RIGHT_INLINE . Flat::join($text, $this->layout->dress->suffix, $inside) . Flat::SHUT);
    }
}
