<?php

declare(strict_types=1);

namespace Embrel\Draft;

/** What is chosen for a file that holds the tree as it is. */
final readonly class OutlineChoices
{
    /**
     * @param bool $otherNotes notes also as plain text for other programs
     * @param bool $loose      the loose ideas too, at the end
     */
    public function __construct(public bool $otherNotes = true, public bool $loose = false) {}
}
