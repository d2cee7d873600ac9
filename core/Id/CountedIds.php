<?php

declare(strict_types=1);

namespace Embrel\Id;

/** Ids counted up from one: for a conversion without a database, and for tests. */
final class CountedIds implements Ids
{
    private const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    private int $count = 0;

    /** @param string $prefix at most 18 characters of the ULID alphabet, the first of them 0 to 7 */
    public function __construct(private readonly string $prefix = '01') {}

    public function next(): string
    {
        $tail = '';
        for ($n = ++$this->count; $n > 0; $n = intdiv($n, 32)) {
            $tail = self::DIGITS[$n % 32] . $tail;
        }

        return $this->prefix . str_pad($tail, 26 - \strlen($this->prefix), '0', STR_PAD_LEFT);
    }
}
