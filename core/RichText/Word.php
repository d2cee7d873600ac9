<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** A word, a sign, a white space, or an inline that is no text: the smallest thing that is kept or let go when two texts are joined. */
final readonly class Word
{
    private function __construct(
        /** Words of the same key are the same word, whatever their marks. */
        public string $key,
        public Node $node,
        /** Whether it would run together with another such word beside it. */
        public bool $isLetters,
    ) {}

    /** @param list<Mark> $marks */
    public static function text(string $text, array $marks): self
    {
        return new self("t{$text}", Node::text($text, $marks), preg_match('/\A[\p{L}\p{N}\p{M}_]/u', $text) === 1);
    }

    public static function inline(Node $node): self
    {
        return new self('i' . json_encode($node->toArray(), JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR), $node, false);
    }

    public static function space(): self
    {
        return self::text(' ', []);
    }

    /** @param list<Mark> $marks */
    public function withMarks(array $marks): self
    {
        return !$this->node->isText() || $this->node->marks === $marks ? $this : self::text($this->node->text, $marks);
    }
}
