<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** How a person wants to see the map; each person's own, and no part of the plan. */
final readonly class Look
{
    public const NARROWEST = 120;
    public const WIDEST = 640;

    /**
     * @param int $wrap     pixels after which a title goes on in the next line
     * @param int $branches the last level of which topics are shown; 0: all
     * @param int $titles   the last level of which titles are shown; 0: all
     * @param int $notes    the last level of which notes, words and flags are shown; 0: all
     * @param Dress|null $own one's own style, which is drawn instead
     * @param string     $ownId under which it is kept; '' while it is being made
     */
    public function __construct(
        public Arrangement $arrangement = Arrangement::Spine,
        public Style $style = Style::Reed,
        public int $wrap = 280,
        public int $branches = 0,
        public int $titles = 0,
        public int $notes = 0,
        public ?Dress $own = null,
        public string $ownId = '',
    ) {}

    public function dress(): Dress
    {
        return $this->own ?? $this->style->dress();
    }

    /** The same in a style of one's own. */
    public function dressed(Dress $own, string $id = ''): self
    {
        return new self($this->arrangement, $this->style, $this->wrap, $this->branches, $this->titles, $this->notes, $own, $id);
    }

    /** @param array<array-key, mixed> $stored what is missing, or is none of what it can be, is as usual */
    public static function from(array $stored): self
    {
        $usual = new self();
        $level = static fn(string $name): int => \is_int($stored[$name] ?? null) ? max(0, min(60, $stored[$name])) : 0;

        return new self(
            Arrangement::tryFrom(\is_string($stored['arrangement'] ?? null) ? $stored['arrangement'] : '') ?? $usual->arrangement,
            Style::tryFrom(\is_string($stored['style'] ?? null) ? $stored['style'] : '') ?? $usual->style,
            \is_int($stored['wrap'] ?? null) ? max(self::NARROWEST, min(self::WIDEST, $stored['wrap'])) : $usual->wrap,
            $level('branches'),
            $level('titles'),
            $level('notes'),
        );
    }

    /** @return array{arrangement: string, style: string, wrap: int, branches: int, titles: int, notes: int, own: string} */
    public function toArray(): array
    {
        return [
            'arrangement' => $this->arrangement->value,
            'style' => $this->style->value,
            'wrap' => $this->wrap,
            'branches' => $this->branches,
            'titles' => $this->titles,
            'notes' => $this->notes,
            'own' => $this->ownId,
        ];
    }
}
