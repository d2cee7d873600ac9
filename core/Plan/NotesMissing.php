<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** An operation met notes that were not loaded: whoever applies it loads them and tries again. */
final class NotesMissing extends \LogicException
{
    /** @param list<string> $topics */
    public function __construct(public readonly array $topics)
    {
        parent::__construct('The notes must be loaded before they are changed.');
    }
}
