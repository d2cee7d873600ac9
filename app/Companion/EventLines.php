<?php

declare(strict_types=1);

namespace App\Companion;

/** Server-sent events of a chat completion, read as their bytes come. */
final class EventLines
{
    /** In bytes: no line of such an answer is longer. */
    private const LONGEST = 64_000;

    public bool $isDone = false;
    public bool $isRefused = false;
    /** Whether something came that is no such event. */
    public bool $isWrong = false;
    private string $open = '';
    /** @var list<string> */
    private array $pieces = [];

    /** @return bool whether more is wanted */
    public function take(string $bytes): bool
    {
        $this->open .= $bytes;
        while (($end = strpos($this->open, "\n")) !== false) {
            $this->line(trim(substr($this->open, 0, $end)));
            $this->open = substr($this->open, $end + 1);
        }
        $this->isWrong = $this->isWrong || \strlen($this->open) > self::LONGEST;

        return !$this->isWrong && !$this->isDone;
    }

    /** Nothing more comes: what is left is a line too. */
    public function end(): void
    {
        $this->line(trim($this->open));
        $this->open = '';
    }

    /** @return list<string> what has come since this was last asked */
    public function pieces(): array
    {
        $pieces = $this->pieces;
        $this->pieces = [];

        return $pieces;
    }

    private function line(string $line): void
    {
        // Empty lines part events; those that begin with a colon keep the line open.
        if ($line === '' || $line[0] === ':' || preg_match('/\A(?:event|id|retry):/', $line) === 1) {
            return;
        }
        if (!str_starts_with($line, 'data:')) {
            $this->isWrong = true;

            return;
        }
        $data = trim(substr($line, 5));
        if ($data === '[DONE]') {
            $this->isDone = true;

            return;
        }
        $json = json_decode($data, true, 16);
        $choice = \is_array($json) && \is_array($json['choices'] ?? null) ? $json['choices'][0] ?? null : null;
        if (!\is_array($choice)) {
            // Some send their counts in an event without choices.
            $this->isWrong = $this->isWrong || !\is_array($json) || !\is_array($json['choices'] ?? null);

            return;
        }
        $content = \is_array($choice['delta'] ?? null) ? $choice['delta']['content'] ?? '' : '';
        $refusal = \is_array($choice['delta'] ?? null) ? $choice['delta']['refusal'] ?? null : null;
        $this->isRefused = $this->isRefused || ($choice['finish_reason'] ?? null) === 'content_filter' || \is_string($refusal);
        if (\is_string($content) && $content !== '') {
            $this->pieces[] = $content;
        } elseif (!\is_string($content)) {
            $this->isWrong = true;
        }
    }
}
