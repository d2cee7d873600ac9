<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** How a run of text is set: bold, a link… Two marks are the same when type and attributes are. */
final readonly class Mark
{
    /** @param array<string, string> $attrs only a link has one: its address */
    public function __construct(public MarkType $type, public array $attrs = []) {}

    public function equals(self $other): bool
    {
        return $this->type === $other->type && $this->attrs === $other->attrs;
    }
}
