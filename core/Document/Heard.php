<?php

declare(strict_types=1);

namespace Embrel\Document;

/** What others said in a document: a change that was recorded and is still open, or a comment. */
final readonly class Heard
{
    public const INSERTED = 'inserted';
    public const DELETED = 'deleted';
    public const COMMENT = 'comment';

    /**
     * @param string $kind one of the constants
     * @param string $who  as the word processor knows them; empty: not known
     * @param string $text that came or went; of a comment, what it says
     */
    public function __construct(public string $kind, public string $who, public string $text) {}

    /** Whether it is a recorded change, and no comment. */
    public function isChange(): bool
    {
        return $this->kind !== self::COMMENT;
    }

    /** @return array{kind: string, who: string, text: string} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'who' => $this->who, 'text' => $this->text];
    }
}
