<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Citation\Source;

/** What was found in a file of sources. */
final readonly class SourcesRead
{
    /**
     * @param list<Source> $sources
     * @param list<string> $said    a sentence for each entry that could not be read, with its line, and for what was left out
     */
    public function __construct(public array $sources, public array $said) {}
}
