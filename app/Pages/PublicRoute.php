<?php

declare(strict_types=1);

namespace App\Pages;

/**
 * To the open web alone: a name is resolved first, and every address that it has must be public. The connection
 * then goes to that very address.
 */
final readonly class PublicRoute implements Route
{
    /**
     * Nets for examples, tests, relays and identifiers (the registries of special-purpose addresses, RFC 6890), that
     * no other rule keeps out.
     */
    private const RESERVED = [
        '192.0.2.0' => 24,
        '198.51.100.0' => 24,
        '203.0.113.0' => 24,
        '192.88.99.0' => 24,
        '2001::' => 23,
        '2001:db8::' => 32,
        '3fff::' => 20,
    ];

    /** @param (\Closure(string): list<string>)|null $resolve a host's addresses; null: as the system knows them */
    public function __construct(private ?\Closure $resolve = null) {}

    public function to(string $scheme, string $host, int $port): array
    {
        if (!\in_array($port, [80, 443], true)) {
            throw PageUnreadable::notPublic();
        }
        $bare = trim($host, '[]');
        $addresses = filter_var($bare, FILTER_VALIDATE_IP) !== false ? [$bare] : ($this->resolve ?? self::resolved(...))($bare);
        if ($addresses === []) {
            throw PageUnreadable::notFound($host);
        }
        foreach ($addresses as $address) {
            if (!self::isPublic($address)) {
                throw PageUnreadable::notPublic();
            }
        }

        return ['scheme' => $scheme, 'to' => (str_contains($addresses[0], ':') ? "[{$addresses[0]}]" : $addresses[0]) . ":{$port}"];
    }

    /** Not private, loopback, link-local, shared, multicast, or an older address dressed as a newer one. */
    public static function isPublic(string $address): bool
    {
        $bytes = @inet_pton($address);
        if ($bytes === false) {
            return false;
        }
        // IPv4 within IPv6: mapped, translated (64:ff9b::), 6to4, and ISATAP (RFC 5214) in any net.
        $older = match (true) {
            \strlen($bytes) !== 16 => null,
            str_starts_with($bytes, str_repeat("\0", 10) . "\xFF\xFF"),
            str_starts_with($bytes, str_repeat("\0", 12)),
            str_starts_with($bytes, "\x00\x64\xFF\x9B" . str_repeat("\0", 8))
                => substr($bytes, 12),
            str_starts_with($bytes, "\x20\x02") => substr($bytes, 2, 4),
            \in_array(substr($bytes, 8, 4), ["\x00\x00\x5E\xFE", "\x02\x00\x5E\xFE"], true) => substr($bytes, 12),
            default => null,
        };
        if ($older !== null) {
            return self::isPublic((string) inet_ntop($older));
        }
        foreach (self::RESERVED as $net => $bits) {
            if (self::isIn($bytes, (string) inet_pton($net), $bits)) {
                return false;
            }
        }
        if (\strlen($bytes) === 4) {
            $first = \ord($bytes[0]);
            $second = \ord($bytes[1]);
            if (
                $first >= 224
                || ($first === 100 && $second >= 64 && $second < 128)
                || ($first === 198 && ($second === 18 || $second === 19))
                || ($first === 192 && $second === 0)
            ) {
                return false;
            }
        } elseif ((\ord($bytes[0]) & 0xe0) !== 0x20) {
            // Only 2000::/3 is handed out for the open net.
            return false;
        }

        return filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE) !== false;
    }

    private static function isIn(string $bytes, string $net, int $bits): bool
    {
        $whole = intdiv($bits, 8);
        $mask = (0xff << (8 - ($bits % 8))) & 0xff;

        return \strlen($bytes) === \strlen($net)
            && strncmp($bytes, $net, $whole) === 0
            && ($bits % 8 === 0 || (\ord($bytes[$whole]) & $mask) === (\ord($net[$whole]) & $mask));
    }

    /** @return list<string> */
    private static function resolved(string $host): array
    {
        // A name that nobody answers for must not take longer than the page itself may.
        putenv('RES_OPTIONS=timeout:1 attempts:2');
        $addresses = gethostbynamel($host) ?: [];
        foreach (@dns_get_record($host, DNS_AAAA) ?: [] as $record) {
            $addresses[] = (string) $record['ipv6'];
        }

        return $addresses;
    }
}
