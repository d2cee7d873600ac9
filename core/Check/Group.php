<?php

declare(strict_types=1);

namespace Embrel\Check;

/** All that one rule has found, as it is told. */
final readonly class Group
{
    /** @param non-empty-list<Finding> $findings */
    public function __construct(public Rule $rule, public array $findings) {}
}
