<?php

declare(strict_types=1);

namespace Embrel\Writer\Sources;

use Embrel\Citation\Exchange\CslJson;
use Embrel\Citation\Source;

/** Sources as CSL-JSON (the data schema of the Citation Style Language 1.0). */
final class CslWriter
{
    /** @param list<Source> $sources */
    public static function written(array $sources): string
    {
        return json_encode(
            array_map(CslJson::item(...), $sources),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        ) . "\n";
    }
}
