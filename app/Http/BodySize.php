<?php

declare(strict_types=1);

namespace App\Http;

use Embrel\Limits;

/** How much a request may bring, known before any of it is read: files where files are taken, else no more than a batch of changes. */
final class BodySize
{
    private const FILES = '#\A/(?:intake(?:/files|/preview)?|templates|plans/[^/]+/(?:pictures|source-list|attachments|way-back))/?\z#';

    /**
     * @param array<array-key, mixed> $server as PHP gives it: `CONTENT_LENGTH`, `CONTENT_TYPE`, `REQUEST_URI`
     */
    public static function isTooLarge(array $server): bool
    {
        // A body that does not say how long it is could be of any length.
        return isset($server['HTTP_TRANSFER_ENCODING']) || self::number($server['CONTENT_LENGTH'] ?? 0) > self::limit(self::text($server['CONTENT_TYPE'] ?? ''), self::text($server['REQUEST_URI'] ?? '/'));
    }

    /** In bytes. */
    public static function limit(string $type, string $address): int
    {
        $isForm = str_starts_with(strtolower(trim($type)), 'multipart/form-data');

        return $isForm && preg_match(self::FILES, (string) parse_url($address, PHP_URL_PATH)) === 1 ? Limits::INTAKE + 1024 * 1024 : Limits::BATCH + 64 * 1024;
    }

    private static function number(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
