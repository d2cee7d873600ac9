<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** The names with which an entry begins, so that the one below it can have a dash for them. */
final readonly class FirstNames
{
    /**
     * @param list<string> $names   each as it is printed
     * @param bool         $isWords whether words of the style stand in their place
     * @param list<string> $people  who they are, however they are printed, and “…” for those who are not named
     */
    public function __construct(public array $names, public bool $isWords = false, public array $people = []) {}
}
