<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** A book, article, page or interview that the plan draws on: as yet its title alone. */
final readonly class Source
{
    /** @param string $id a ULID */
    public function __construct(public string $id, public string $title) {}
}
