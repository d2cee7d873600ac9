<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

/** One difference between a plan and a file that came back. */
final readonly class Change
{
    public const RETITLED = 'retitled';
    public const REWRITTEN = 'rewritten';
    public const MOVED = 'moved';
    public const ADDED = 'added';
    public const REMOVED = 'removed';

    /**
     * @param string                       $kind  one of the constants
     * @param string                       $topic of the plan; of what was added: of the file
     * @param string                       $title as the plan has it; of what was added: as the file has it
     * @param list<array{string, string}>  $words `=`, `-` or `+`, and the words
     * @param string                       $says  where it was and is, of what was moved or added
     * @param string|null                  $before
     *     what the plan said when the draft was made, where the plan has changed it since too; null: only the
     *     draft has
     * @param float                        $sure  that it is this topic, from 0 to 1
     */
    public function __construct(
        public string $kind,
        public string $topic,
        public string $title,
        public array $words = [],
        public string $says = '',
        public float $sure = 1.0,
        public ?string $before = null,
    ) {}

    public function key(): string
    {
        return "{$this->kind}-{$this->topic}";
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key(),
            'kind' => $this->kind,
            'title' => $this->title,
            'words' => $this->words,
            'says' => $this->says,
            'sure' => $this->sure,
            'before' => $this->before,
        ];
    }
}
