<?php

declare(strict_types=1);

namespace Embrel\Id;

/** Where the core asks for new ids: it knows neither the clock nor chance. */
interface Ids
{
    /** A ULID that no other call has returned. */
    public function next(): string;
}
