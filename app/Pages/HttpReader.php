<?php

declare(strict_types=1);

namespace App\Pages;

use Embrel\Reader\WebPage\WebPage;
use Embrel\Reader\WebPage\WebPageReader;

/** Reads a page over HTTP: at most 3 redirects, 2 MB and 5 seconds in all, and only text. */
final readonly class HttpReader implements PageReader
{
    public const REDIRECTS = 3;
    public const BYTES = 2 * 1024 * 1024;
    public const SECONDS = 5.0;

    public function __construct(private Route $route) {}

    public function read(string $address): WebPage
    {
        $until = microtime(true) + self::SECONDS;
        for ($redirects = 0; $redirects <= self::REDIRECTS; ++$redirects) {
            [$status, $type, $location, $body] = $this->get($address, $until);
            if ($status >= 300 && $status < 400 && $location !== '') {
                $address = self::absolute($location, $address);
                continue;
            }
            if ($status !== 200) {
                throw PageUnreadable::answered($status);
            }
            preg_match('/charset\s*=\s*["\']?([\w-]+)/i', $type, $m);

            return str_contains($type, 'html')
                ? WebPageReader::read($body, $m[1] ?? '')
                : WebPageReader::read('<pre>' . htmlspecialchars($body, ENT_SUBSTITUTE) . '</pre>', $m[1] ?? '');
        }

        throw PageUnreadable::tooManyRedirects();
    }

    /** @return array{int, string, string, string} status, type, where it leads on, body */
    private function get(string $address, float $until): array
    {
        $parts = parse_url($address);
        $scheme = strtolower($parts['scheme'] ?? '');
        $host = strtolower($parts['host'] ?? '');
        if (
            !\in_array($scheme, ['http', 'https'], true)
            || preg_match('/\A(?:[a-z0-9](?:[a-z0-9.-]*[a-z0-9])?|\[[0-9a-f:.]+\])\z/', $host) !== 1
            || isset($parts['user'])
        ) {
            throw PageUnreadable::noAddress();
        }
        $port = $parts['port'] ?? ($scheme === 'https' ? 443 : 80);
        ['scheme' => $spoken, 'to' => $to] = $this->route->to($scheme, $host, $port);
        $body = '';
        $headers = [];
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_URL => "{$spoken}://{$host}:{$port}" . ($parts['path'] ?? '/') . (isset($parts['query']) ? "?{$parts['query']}" : ''),
            CURLOPT_CONNECT_TO => ["::{$to}"],
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
            CURLOPT_FOLLOWLOCATION => false,
            CURLOPT_PROXY => '',
            CURLOPT_TIMEOUT_MS => max(1, (int) (($until - microtime(true)) * 1000)),
            CURLOPT_CONNECTTIMEOUT_MS => 3000,
            CURLOPT_USERAGENT => 'Embrel',
            CURLOPT_HTTPHEADER => ["Host: {$host}", 'Accept: text/html, application/xhtml+xml, text/plain;q=0.8'],
            CURLOPT_ENCODING => '',
            CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$headers): int {
                [$name, $value] = explode(':', $line, 2) + [1 => ''];
                $headers[strtolower(trim($name))] = trim($value);

                return \strlen($line);
            },
            CURLOPT_WRITEFUNCTION => static function ($curl, string $piece) use (&$body, &$headers): int {
                // What is no text is not even taken to the end; -1 ends the transfer.
                if ((int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE) === 200 && !self::isText($headers['content-type'] ?? '')) {
                    return -1;
                }
                $body .= $piece;

                return \strlen($body) > self::BYTES ? -1 : \strlen($piece);
            },
        ]);
        $done = curl_exec($curl);
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $error = curl_errno($curl);
        curl_close($curl);
        $type = $headers['content-type'] ?? '';
        if ($status === 200 && !self::isText($type)) {
            throw PageUnreadable::noText();
        }
        if ($done === false) {
            throw match (true) {
                \strlen($body) > self::BYTES => PageUnreadable::tooLarge(),
                $error === CURLE_OPERATION_TIMEOUTED => PageUnreadable::tooSlow(),
                default => PageUnreadable::noAnswer(),
            };
        }

        return [$status, $type, $headers['location'] ?? '', $body];
    }

    private static function isText(string $type): bool
    {
        return preg_match('/\A\s*(?:text\/(?:html|plain)|application\/xhtml\+xml)\b/i', $type) === 1;
    }

    private static function absolute(string $location, string $base): string
    {
        if (preg_match('/\A[a-z][a-z0-9+.-]*:/i', $location) === 1) {
            return $location;
        }
        $parts = parse_url($base);
        $origin = ($parts['scheme'] ?? 'http') . '://' . ($parts['host'] ?? '') . (isset($parts['port']) ? ":{$parts['port']}" : '');

        return match (true) {
            str_starts_with($location, '//') => ($parts['scheme'] ?? 'http') . ":{$location}",
            str_starts_with($location, '/') => $origin . $location,
            default => $origin . preg_replace('/[^\/]*\z/', '', $parts['path'] ?? '/') . $location,
        };
    }
}
