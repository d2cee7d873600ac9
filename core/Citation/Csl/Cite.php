<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** One source within a citation: what is cited of it, what is said around it, and where it stands among the others. */
final class Cite
{
    /** Where it stands (CSL 1.0.2, “Position”). */
    public const FIRST = 0;
    public const SUBSEQUENT = 1;
    public const IBID = 2;
    public const IBID_WITH_LOCATOR = 3;

    public int $position = self::FIRST;

    public bool $isNear = false;

    /** Whether another stands before it in the same citation. */
    public bool $isLater = false;

    /** The note in which it was cited first. */
    public int $firstNote = 0;

    public function __construct(
        public readonly string $item,
        public readonly string $locator = '',
        public readonly string $label = 'page',
        public readonly string $prefix = '',
        public readonly string $suffix = '',
        public readonly bool $withoutAuthor = false,
    ) {}

    public function isBare(): bool
    {
        return $this->locator === '' && $this->prefix === '' && $this->suffix === '' && !$this->withoutAuthor;
    }
}
