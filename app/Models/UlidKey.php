<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Support\Str;

/** Known by a ULID, in capitals as the core spells them: given, or made when it is kept. */
trait UlidKey
{
    use HasUlids;

    public function newUniqueId(): string
    {
        return strtoupper((string) Str::ulid());
    }
}
