<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\Effort;

/** Where the files of styles are that people have brought. */
interface KeptStyles
{
    /** @return string|null the XML of a style by its key (CitationStyle::keyOf); null: it is not there */
    public function file(string $key): ?string;

    /** What one of them may cost, from now on. */
    public function effort(): Effort;
}
