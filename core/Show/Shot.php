<?php

declare(strict_types=1);

namespace Embrel\Show;

/** A picture of a step. */
final readonly class Shot
{
    /**
     * @param string $picture its id
     * @param string $says    what it shows, for who does not see it
     * @param string $caption under it; empty for none
     */
    public function __construct(public string $picture, public string $says, public string $caption = '') {}
}
