<?php

declare(strict_types=1);

namespace App\Companion;

use App\Pages\PageUnreadable;
use App\Pages\Route;
use Embrel\Prompt\Helper\Parcel;

/**
 * Speaks the chat-completion form of HTTP interface that many servers of language models share: POST …/chat/completions
 * with `messages`, answered as server-sent events, each with a piece of the text, the last `[DONE]`.
 */
final readonly class HttpCompanion implements Companion
{
    /** In bytes: a longer answer is cut off and said to be too long. */
    private const LONGEST = 40_000;
    private const TICK = 0.2;

    /**
     * @param string $address without `/chat/completions`
     * @param float  $seconds for the whole answer
     * @param float  $silence so long nothing may come
     */
    public function __construct(
        private string $name,
        private Route $route,
        private string $address,
        private string $key,
        private string $model,
        private float $seconds,
        private float $silence,
    ) {}

    public function name(): string
    {
        return $this->name;
    }

    public function answer(Parcel $parcel): \Generator
    {
        $lines = new EventLines();
        $curl = $this->asked($parcel, $lines);
        $multi = curl_multi_init();
        curl_multi_add_handle($multi, $curl);
        $until = microtime(true) + $this->seconds;
        $heard = microtime(true);
        $bytes = 0;
        try {
            do {
                curl_multi_exec($multi, $running);
                foreach ($lines->pieces() as $piece) {
                    $heard = microtime(true);
                    $bytes += \strlen($piece);
                    yield $piece;
                }
                $bytes > self::LONGEST ? throw new NoAnswer('The answer is longer than can be shown. Nothing of it was kept.') : null;
                microtime(true) > $until ? throw new NoAnswer('The helper took too long. Nothing was kept.') : null;
                microtime(true) - $heard > $this->silence ? throw new NoAnswer('The helper says nothing. Nothing was kept.') : null;
                if ($running > 0) {
                    curl_multi_select($multi, self::TICK);
                    yield '';
                }
            } while ($running > 0);
            $lines->end();
            foreach ($lines->pieces() as $piece) {
                yield $piece;
            }
            $this->ended($curl, $lines);
        } finally {
            curl_multi_remove_handle($multi, $curl);
            curl_multi_close($multi);
        }
    }

    private function asked(Parcel $parcel, EventLines $lines): \CurlHandle
    {
        $address = "{$this->address}/chat/completions";
        $parts = parse_url($address);
        $scheme = strtolower($parts['scheme'] ?? '');
        $host = strtolower($parts['host'] ?? '');
        $port = $parts['port'] ?? ($scheme === 'https' ? 443 : 80);
        try {
            ['scheme' => $spoken, 'to' => $to] = $this->route->to($scheme, $host, $port);
        } catch (PageUnreadable $why) {
            throw new NoAnswer('The helper cannot be reached. Nothing was sent.', previous: $why);
        }
        $body = json_encode([
            'model' => $this->model,
            'stream' => true,
            'messages' => [['role' => 'system', 'content' => $parcel->instruction()], ['role' => 'user', 'content' => $parcel->text()]],
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_URL => "{$spoken}://{$host}:{$port}" . ($parts['path'] ?? '/'),
            CURLOPT_CONNECT_TO => ["::{$to}"],
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
            CURLOPT_FOLLOWLOCATION => false,
            CURLOPT_PROXY => '',
            CURLOPT_CONNECTTIMEOUT_MS => 3000,
            CURLOPT_TIMEOUT_MS => (int) ($this->seconds * 1000) + 1000,
            CURLOPT_USERAGENT => 'Embrel',
            CURLOPT_POSTFIELDS => $body,
            CURLOPT_HTTPHEADER => [
                "Host: {$host}",
                'Content-Type: application/json',
                'Accept: text/event-stream',
                ...$this->key === '' ? [] : ["Authorization: Bearer {$this->key}"],
            ],
            CURLOPT_WRITEFUNCTION => static fn($_, string $bytes): int => $lines->take($bytes) ? \strlen($bytes) : -1,
        ]);

        return $curl;
    }

    /** @throws NoAnswer where it did not come to its end as it should */
    private function ended(\CurlHandle $curl, EventLines $lines): void
    {
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $said = match (true) {
            $status === 0 => 'The helper cannot be reached. Nothing was kept.',
            $status === 429 => 'The helper is asked too much just now. Nothing was kept; try again later.',
            $status !== 200 => 'The helper refused to answer (' . $status . '). Nothing was kept.',
            $lines->isRefused => 'The helper refused to answer this. Nothing was kept.',
            $lines->isWrong => 'The helper answered in a form that is not understood. Nothing was kept.',
            !$lines->isDone => 'The answer broke off in its middle. Nothing was kept.',
            default => '',
        };
        if ($said !== '') {
            throw new NoAnswer($said);
        }
    }
}
