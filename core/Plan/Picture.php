<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** A picture on a topic: which one, how large it is, and how wide it is shown. Written as “id:1200x800@240”. */
final readonly class Picture
{
    public const NARROWEST = 24;
    public const WIDEST = 800;

    /** @param string $id SHA-256 of its bytes, as 64 hexadecimal digits */
    private function __construct(public string $id, public int $width, public int $height, public int $shown) {}

    /** @throws InvalidValue */
    public static function of(string $value): self
    {
        if (
            preg_match('/\A([0-9a-f]{64}):([1-9]\d{0,4})x([1-9]\d{0,4})@(\d{2,3})\z/', $value, $m) !== 1
            || $m[4] < self::NARROWEST
            || $m[4] > self::WIDEST
        ) {
            throw InvalidValue::field('picture', $value);
        }

        return new self($m[1], (int) $m[2], (int) $m[3], (int) $m[4]);
    }

    public function value(): string
    {
        return "{$this->id}:{$this->width}x{$this->height}@{$this->shown}";
    }

    /** @return float how high it is as it is shown, never more than twice the widest */
    public function shownHeight(): float
    {
        return min(2.0 * self::WIDEST, max(4.0, ($this->shown * $this->height) / $this->width));
    }
}
