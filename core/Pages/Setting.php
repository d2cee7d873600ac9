<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Style;
use Embrel\Fonts\Typefaces;

/** How a paragraph is set. Lengths are points. */
final readonly class Setting
{
    /**
     * @param string      $family    serif, sans or mono
     * @param float       $spacing   a multiple of single spacing
     * @param float       $indent    of all its lines from the left
     * @param float       $firstLine of the first one more, or less
     * @param string      $align     left, center, right or justify
     * @param string      $link      where all of it leads; empty for nowhere
     * @param string|null $ground    a colour behind it
     * @param bool        $divides   whether words may be divided at the ends of lines
     */
    public function __construct(
        public string $family,
        public float $size,
        public float $spacing = 1.0,
        public bool $bold = false,
        public bool $italic = false,
        public float $indent = 0.0,
        public float $firstLine = 0.0,
        public string $align = 'left',
        public string $colour = Style::INK,
        public string $link = '',
        public ?string $ground = null,
        public bool $divides = false,
    ) {}

    public function face(): string
    {
        return Typefaces::face($this->family, $this->bold, $this->italic);
    }

    /** @param array<string, mixed> $changes field → value of the field's own type */
    public function with(array $changes): self
    {
        return new self(...($changes + get_object_vars($this))); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }
}
