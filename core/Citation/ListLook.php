<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\Layout;
use Embrel\RichText\Node;

/** How a list of references is set, as far as its style says. */
final readonly class ListLook
{
    /** Ten millimetres, in points. */
    private const USUAL = 28.35;
    private const LETTER = 0.6;

    /**
     * @param bool     $hangs   whether all lines of an entry but the first are indented
     * @param int      $longest how many letters the longest label has; 0: what begins an entry has no column of its own
     * @param int|null $lines     the height of a line in lines of the text; null: as the rest of the draft
     * @param int|null $between   the space between entries in lines; null: as the rest of the draft
     */
    public function __construct(
        public bool $hangs = true,
        public int $longest = 0,
        public ?int $lines = null,
        public ?int $between = null,
    ) {}

    /** @param list<string> $labels of the entries; empty where one has none */
    public static function of(?Layout $list, array $labels): self
    {
        $number = static fn(string $option, int $least): ?int => isset($list->options[$option])
            ? max($least, min(4, (int) $list->options[$option]))
            : null;

        return $list === null ? new self() : new self(
            $list->is('hanging-indent'),
            max([0, ...array_map(mb_strlen(...), $labels)]),
            $number('line-spacing', 1),
            $number('entry-spacing', 0),
        );
    }

    /** How far what follows a label, and all lines of an entry but the first, stand from the margin; in points, as $size is. */
    public function indent(float $size): float
    {
        return $this->hangs || $this->longest > 0 ? max(self::USUAL, ($this->longest + 1) * $size * self::LETTER) : 0.0;
    }

    /** Whether it is as lists are set that say nothing of it. */
    public function isUsual(): bool
    {
        return $this->hangs && $this->longest === 0 && $this->lines === null && $this->between === null;
    }

    /**
     * What follows the label of an entry.
     *
     * @param array<Node> $runs the whole entry: its first run begins with the label
     *
     * @return list<Node>
     */
    public static function behind(string $label, array $runs): array
    {
        $runs = array_values($runs);
        $left = \strlen($label);
        while ($label !== '' && $runs !== [] && $runs[0]->isText()) {
            $text = substr($runs[0]->text, $left);
            $left = max(0, $left - \strlen($runs[0]->text));
            // The label, and the space behind it.
            $text = $left === 0 ? ltrim($text) : $text;
            $first = array_shift($runs);
            if ($text !== '') {
                return [Node::text($text, $first->marks), ...$runs];
            }
        }

        return $runs;
    }
}
