<?php

declare(strict_types=1);

namespace Embrel\Archive;

/** XML that is not well-formed, or must not be read. */
final class BrokenXml extends \RuntimeException
{
    public function __construct(string $message, public readonly int $atLine, public readonly bool $hasDoctype = false)
    {
        parent::__construct($message);
    }

    public static function withDoctype(): self
    {
        return new self('it has a DTD', 1, true);
    }
}
