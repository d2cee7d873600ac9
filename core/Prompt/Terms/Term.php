<?php

declare(strict_types=1);

namespace Embrel\Prompt\Terms;

/** A phrase that says what a text is about. */
final readonly class Term
{
    /**
     * @param string $words as it stands in the text
     * @param int    $times how often it stands there, in any form
     * @param string $first the topic where it stands first
     * @param float  $value by which it is ranked
     */
    public function __construct(public string $words, public int $times, public string $first, public float $value) {}
}
