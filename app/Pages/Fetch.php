<?php

declare(strict_types=1);

namespace App\Pages;

/** Fetches over HTTP what is of some kinds: at most 3 redirects, so many bytes, and 5 seconds in all. */
final readonly class Fetch
{
    public const REDIRECTS = 3;
    public const SECONDS = 5.0;

    /**
     * @param string $types  a pattern of the media types that are taken
     * @param string $accept the header that asks for them
     */
    public function __construct(private Route $route, private string $types, private string $accept, private int $bytes) {}

    /**
     * @return array{string, string} media type and body
     *
     * @throws PageUnreadable with a sentence for the person
     */
    public function of(string $address): array
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

            return [$type, $body];
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
            CURLOPT_HTTPHEADER => ["Host: {$host}", "Accept: {$this->accept}"],
            CURLOPT_ENCODING => '',
            CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$headers): int {
                [$name, $value] = explode(':', $line, 2) + [1 => ''];
                $headers[strtolower(trim($name))] = trim($value);

                return \strlen($line);
            },
            CURLOPT_WRITEFUNCTION => function ($curl, string $piece) use (&$body, &$headers): int {
                // What is of no such type is not even taken to the end; -1 ends the transfer.
                if ((int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE) === 200 && !$this->isTaken($headers['content-type'] ?? '')) {
                    return -1;
                }
                $body .= $piece;

                return \strlen($body) > $this->bytes ? -1 : \strlen($piece);
            },
        ]);
        $done = curl_exec($curl);
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $error = curl_errno($curl);
        curl_close($curl);
        $type = $headers['content-type'] ?? '';
        if ($status === 200 && !$this->isTaken($type)) {
            throw PageUnreadable::noText();
        }
        if ($done === false) {
            throw match (true) {
                \strlen($body) > $this->bytes => PageUnreadable::tooLarge(),
                $error === CURLE_OPERATION_TIMEOUTED => PageUnreadable::tooSlow(),
                default => PageUnreadable::noAnswer(),
            };
        }

        return [$status, $type, $headers['location'] ?? '', $body];
    }

    private function isTaken(string $type): bool
    {
        return preg_match($this->types, trim($type)) === 1;
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
