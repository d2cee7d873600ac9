<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Source;

/** What a style must know of the whole work to print one citation of it. Built by References, in reading order. */
final class Uses
{
    /** @var array<string, string> source → the letter after its year: a, b… */
    public array $letters = [];

    /** @var array<string, int> source → its number in the list */
    public array $numbers = [];

    /** @var array<string, int> source → how many names tell it from others, where one is too few */
    public array $names = [];

    /** @var array<string, true> sources whose first name needs its initials, as another of the same family name is cited */
    public array $namesakes = [];

    /** @var array<string, true> sources of people of whom more than one work is cited */
    public array $oneOfSeveral = [];

    /** @var array<string, true> sources that were cited before */
    public array $seen = [];

    /** The only source of the citation before this one. */
    public ?string $previous = null;

    /** @var array<string, string> what a style has worked out once for a source */
    public array $kept = [];

    /** @param array<string, Source> $sources */
    public function __construct(public readonly array $sources) {}

    public function source(string $id): Source
    {
        return $this->sources[$id];
    }
}
