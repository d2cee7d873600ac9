<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Citation\Source;

/** What was found in a file of sources. */
final readonly class SourcesRead
{
    private const MOST_NAMED = 12;

    /**
     * @param list<Source> $sources
     * @param list<string> $said    a sentence for each entry that could not be read, with its line, and for what was left out
     */
    public function __construct(public array $sources, public array $said) {}

    /**
     * @param list<Source>        $sources
     * @param list<string>        $said
     * @param array<string, true> $unknown names of fields that a source has no place for
     */
    public static function of(array $sources, array $said, array $unknown): self
    {
        $names = array_keys($unknown);

        return new self(
            $sources,
            $names === []
                ? $said
                : [
                    ...$said,
                    'Fields that have no place here were left out: '
                    . implode(', ', \array_slice($names, 0, self::MOST_NAMED))
                    . (\count($names) > self::MOST_NAMED ? '…' : '')
                    . '.',
                ],
        );
    }
}
