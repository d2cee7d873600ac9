<?php

declare(strict_types=1);

namespace Embrel\Document;

/** Something that was said about a topic, handed over beside the text of a draft. */
final readonly class Remark
{
    /**
     * @param string $block the block of the note that it is about; empty: the topic
     * @param string $who   said it
     * @param string $at    when, as ISO 8601
     * @param string $words of the text that it is about; empty: all
     */
    public function __construct(
        public string $topic,
        public string $block,
        public string $who,
        public string $at,
        public string $text,
        public string $words = '',
    ) {}

    /** @return list<string> what it says, a paragraph each, the words that it is about before it */
    public function paragraphs(): array
    {
        return [...$this->words === '' ? [] : ["“{$this->words}”"], ...preg_split('/\n+/', $this->text) ?: []];
    }
}
