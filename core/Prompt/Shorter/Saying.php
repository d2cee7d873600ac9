<?php

declare(strict_types=1);

namespace Embrel\Prompt\Shorter;

/** A sentence with where it stands. */
final readonly class Saying
{
    public function __construct(public string $topic, public string $block, public string $text) {}
}
