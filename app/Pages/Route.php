<?php

declare(strict_types=1);

namespace App\Pages;

/** Where a request for a host is sent. */
interface Route
{
    /**
     * @return array{scheme: string, to: string} the scheme to speak, and the address and port to connect to, as “127.0.0.1:8080” or “[::1]:8080”
     *
     * @throws PageUnreadable when the host may not be asked
     */
    public function to(string $scheme, string $host, int $port): array;
}
