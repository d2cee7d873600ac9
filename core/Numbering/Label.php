<?php

declare(strict_types=1);

namespace Embrel\Numbering;

/** A topic's number: `own` stands before its title, `full` names it from afar (own “A.”, full “I.A”). */
final readonly class Label
{
    public function __construct(public string $own, public string $full) {}
}
