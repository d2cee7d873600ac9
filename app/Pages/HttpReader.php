<?php

declare(strict_types=1);

namespace App\Pages;

use Embrel\Reader\WebPage\WebPage;
use Embrel\Reader\WebPage\WebPageReader;

/** Reads a page over HTTP: at most 2 MB, and only text. */
final readonly class HttpReader implements PageReader
{
    public const BYTES = 2 * 1024 * 1024;
    private const TEXT = '/\A(?:text\/(?:html|plain)|application\/xhtml\+xml)\b/i';

    private Fetch $fetch;

    public function __construct(Route $route)
    {
        $this->fetch = new Fetch($route, self::TEXT, 'text/html, application/xhtml+xml, text/plain;q=0.8', self::BYTES);
    }

    public function read(string $address): WebPage
    {
        [$type, $body] = $this->fetch->of($address);
        preg_match('/charset\s*=\s*["\']?([\w-]+)/i', $type, $m);

        return str_contains($type, 'html')
            ? WebPageReader::read($body, $m[1] ?? '')
            : WebPageReader::read('<pre>' . htmlspecialchars($body, ENT_SUBSTITUTE) . '</pre>', $m[1] ?? '');
    }
}
