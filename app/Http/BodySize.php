<?php

declare(strict_types=1);

namespace App\Http;

use Embrel\Limits;
use Symfony\Component\HttpFoundation\ServerBag;

/** How much a request may bring, known before any of it is read: files where files are taken, else no more than a batch of changes. */
final class BodySize
{
    /** Where sounds and films are taken. */
    private const MEDIA = '#\A/plans/[^/]+/attachments/?\z#';
    private const FILES = '#\A/(?:intake(?:/files|/preview)?|account/everything|templates|map-styles/(?:file|pictures)'
        . '|plans/[^/]+/(?:pictures|source-list|attachments))/?\z#';

    /** A body that does not say how long it is could be of any length. */
    public static function isTooLarge(ServerBag $server): bool
    {
        return $server->has('HTTP_TRANSFER_ENCODING') || (int) $server->getString('CONTENT_LENGTH') > self::limit($server);
    }

    /** In bytes. */
    public static function limit(ServerBag $server): int
    {
        $isForm = str_starts_with(strtolower(trim($server->getString('CONTENT_TYPE'))), 'multipart/form-data');
        $path = (string) parse_url($server->getString('REQUEST_URI'), PHP_URL_PATH);

        return match (true) {
            $isForm && preg_match(self::MEDIA, $path) === 1 => Limits::MEDIA + 1024 * 1024,
            $isForm && preg_match(self::FILES, $path) === 1 => Limits::INTAKE + 1024 * 1024,
            default => Limits::BATCH + 64 * 1024,
        };
    }
}
