<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Id\Ids;
use Illuminate\Support\Str;

/** Ids by clock and chance, in upper case as the core wants them. */
final class NewIds implements Ids
{
    public function next(): string
    {
        return strtoupper((string) Str::ulid());
    }
}
