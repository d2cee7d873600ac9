<?php

declare(strict_types=1);

namespace Embrel\Pages;

/**
 * One page: what stands on it, measured from its upper left corner, in points. A page that is full is kept
 * packed: a book has thousands.
 */
final class Page
{
    /** @var array<string, float> place → how far down it is */
    public array $anchors = [];
    /** @var list<array{string, int, float}> title, level, how far down */
    public array $headings = [];
    /** @var list<Piece> */
    private array $pieces = [];
    private string $packed = '';

    public function add(Piece $piece): void
    {
        $this->pieces[] = $piece;
    }

    /** @return list<Piece> in the order in which they were added */
    public function pieces(): array
    {
        return [...$this->unpacked(), ...$this->pieces];
    }

    /** It is full; what runs at its head and foot may still be added. */
    public function pack(): void
    {
        $this->packed = (string) gzdeflate(serialize($this->pieces()), 1);
        $this->pieces = [];
    }

    /** @return list<Piece> */
    private function unpacked(): array
    {
        $pieces = $this->packed === '' ? [] : unserialize((string) gzinflate($this->packed), ['allowed_classes' => [Piece::class]]);

        return array_values(array_filter(\is_array($pieces) ? $pieces : [], static fn(mixed $piece): bool => $piece instanceof Piece));
    }
}
