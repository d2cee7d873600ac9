<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Item;

/**
 * A style cut down to what it can print of items of one shape: of one type, saying the same variables. Choices that go by
 * these are made beforehand. A macro that stands in many places is gone through once.
 */
final class Pruning
{
    /** What an item need not say itself: it comes from the citation, from the place in the list, or from other items. */
    private const COMES = [
        'locator' => 1, 'citation-number' => 1, 'first-reference-note-number' => 1, 'year-suffix' => 1, 'citation-label' => 1,
    ];

    /** @var array<int, Row> */
    private array $rows = [];

    /** @param array<string, true>|null $says variables of which items say something; null: any */
    private function __construct(public readonly string $type, private readonly ?array $says) {}

    public static function ofType(string $type): self
    {
        return new self($type, null);
    }

    public static function of(Item $item): self
    {
        return new self($item->type, $item->has);
    }

    /** Whether items say something of a variable; null where that is known only as it is printed. */
    public function says(string $variable): ?bool
    {
        return match (true) {
            $this->says === null => null,
            isset($this->says[$variable]) => true,
            default => isset(self::COMES[$variable]) ? null : false,
        };
    }

    /** Whether nothing can be said of a variable. */
    public function lacks(string $variable): bool
    {
        return $this->says($variable) === false;
    }

    public function row(Row $row): Row
    {
        $id = spl_object_id($row);
        if (!isset($this->rows[$id])) {
            $pruned = new Row();
            $silent = [];
            foreach ($row->elements as $element) {
                foreach ($element->pruned($this) as $part) {
                    // Of what is silent, one of each kind says as much as many.
                    if (!$part instanceof Silent || !isset($silent[$part->begins])) {
                        $pruned->elements[] = $part;
                    }
                    if ($part instanceof Silent) {
                        $silent[$part->begins] = true;
                    }
                }
            }
            $this->rows[$id] = $pruned;
        }

        return $this->rows[$id];
    }
}
