<?php

declare(strict_types=1);

namespace Embrel\Prompt;

/** Something to ask of a topic. */
final readonly class Question
{
    /** @param string $id the same in every language, for every topic */
    public function __construct(public string $id, public string $text) {}
}
