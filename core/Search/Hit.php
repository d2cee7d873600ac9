<?php

declare(strict_types=1);

namespace Embrel\Search;

/** One place in a title, a label or a note where a query stands. */
final readonly class Hit
{
    private const AROUND = 40;
    /** In the place of a block: it is in a label. */
    public const LABEL = 'label';

    /**
     * @param string|null $block null: in the title; LABEL: in a label; else the block of the note
     * @param int         $line  which run of text within the block, from 0 (a list has one for each item)
     * @param int         $from  in characters (code points) from the start of title or line
     * @param string      $text  the whole title or line
     */
    public function __construct(
        public string $topic,
        public ?string $block,
        public int $line,
        public int $from,
        public int $length,
        private string $text,
    ) {}

    /** Names the hit within its plan as it stands now. */
    public function key(): string
    {
        return implode(':', [$this->topic, $this->block ?? 'title', $this->line, $this->from]);
    }

    public function match(): string
    {
        return mb_substr($this->text, $this->from, $this->length);
    }

    /** @return array{string, string} some of what stands before and after it */
    public function around(): array
    {
        $before = mb_substr($this->text, 0, $this->from);
        $after = mb_substr($this->text, $this->from + $this->length);

        return [
            mb_strlen($before) > self::AROUND ? '…' . mb_substr($before, -self::AROUND) : $before,
            mb_strlen($after) > self::AROUND ? mb_substr($after, 0, self::AROUND) . '…' : $after,
        ];
    }
}
