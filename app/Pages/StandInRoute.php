<?php

declare(strict_types=1);

namespace App\Pages;

/** Every host is the small server of made-up pages on this machine. */
final readonly class StandInRoute implements Route
{
    public function __construct(private int $port) {}

    public function to(string $scheme, string $host, int $port): array
    {
        return ['scheme' => 'http', 'to' => "127.0.0.1:{$this->port}"];
    }
}
