<?php

declare(strict_types=1);

namespace App\Companion;

use App\Pages\Route;

/** To where whoever runs this has set it, a server on this machine too: nobody else can choose it. */
final readonly class OwnRoute implements Route
{
    public function to(string $scheme, string $host, int $port): array
    {
        return ['scheme' => $scheme, 'to' => "{$host}:{$port}"];
    }
}
