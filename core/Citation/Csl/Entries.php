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
            $printing->above = $above;
            $printing->substitute = $sign === null ? null : [$sign, $rule];
            $out[$id] = isset($this->layout->options['second-field-align']) ? $this->aligned($printing) : $this->whole($printing);
            $above = $printing->firstNames;
        }

        return $out;
    }

    private function whole(Printing $printing): string
    {
        $inside = $printing->locale->inside;
        $elements = $this->layout->row($printing->item->type)->elements;
        $text = rtrim(Flat::open(Flat::row($this->row($elements, $printing), '', $inside)), self::TAILS);
        $dress = $this->layout->dress;
        // Where an entry is of blocks, the stop is that of its last macro: none, where that has nothing to say.
        if ($this->layout->usesBlocks) {
            $last = null;
            foreach ($elements as $element) {
                $last = $element->last($printing) ?? $last;
            }
            if ($last instanceof Element\Macro && $last->render(clone $printing) === '') {
                return $dress->within($text, $printing);
            }
        }
        $ends = str_ends_with($text, Flat::END);

        return $dress->within($dress->around($ends ? substr($text, 0, -1) : $text, $printing, true) . ($ends ? Flat::END : ''), $printing);
    }

    /** The first element stands in the margin, or before the others. */
    private function aligned(Printing $printing): string
    {
        $inside = $printing->locale->inside;
        [$head, $rest] = $this->layout->parts($printing->item->type);
        $first = $this->row($head->elements, $printing);
        $row = $this->row($rest->elements, $printing);
        $margin = Flat::open(Flat::row($first, '', $inside));
        $text = rtrim(Flat::open(ltrim(Flat::row($row, '', $inside), ' ')), self::TAILS);

        return ($margin === '' ? '' : Flat::LEFT_MARGIN . $this->layout->dress->prefix . rtrim($margin, ' ') . Flat::SHUT)
            . ($text === '' ? '' : Flat::RIGHT_INLINE . Flat::join($text, $this->layout->dress->suffix, $inside) . Flat::SHUT);
    }

    /**
     * @param list<Element\Element> $elements
     *
     * @return list<string>
     */
    private function row(array $elements, Printing $printing): array
    {
        $row = [];
        foreach ($elements as $element) {
            $element->into($row, $printing);
        }

        return $row;
    }
}
