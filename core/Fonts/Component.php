<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** One of the glyphs that a glyph is put together from (OpenType 1.9, glyf, composite glyph description). */
final readonly class Component
{
    private const WORDS = 0x0001;
    private const PLACED = 0x0002;
    private const SCALE = 0x0008;
    private const MORE = 0x0020;
    private const TWO_SCALES = 0x0040;
    private const FOUR_SCALES = 0x0080;

    /**
     * @param int                                $at     the byte of the outline at which its number stands
     * @param array{float, float, float, float} $matrix by which it is turned and made larger
     */
    private function __construct(public int $glyph, public int $at, public array $matrix, public int $right, public int $above) {}

    /** @return list<self> of an outline; none of one that draws contours itself */
    public static function of(string $outline): array
    {
        if (Bytes::signed($outline, 0) >= 0) {
            return [];
        }
        $components = [];
        $at = 10;
        do {
            $flags = Bytes::word($outline, $at);
            $isWide = ($flags & self::WORDS) !== 0;
            [$right, $above] = ($flags & self::PLACED) === 0 ? [0, 0] : ($isWide
                ? [Bytes::signed($outline, $at + 4), Bytes::signed($outline, $at + 6)]
                : [Bytes::signed($outline, $at + 4) >> 8, Bytes::signed($outline, $at + 5) >> 8]);
            $end = $at + ($isWide ? 8 : 6);
            $n = static fn(int $k): float => Bytes::signed($outline, $end + 2 * $k) / 16384;
            [$matrix, $numbers] = match (true) {
                ($flags & self::SCALE) !== 0 => [[$n(0), 0.0, 0.0, $n(0)], 1],
                ($flags & self::TWO_SCALES) !== 0 => [[$n(0), 0.0, 0.0, $n(1)], 2],
                ($flags & self::FOUR_SCALES) !== 0 => [[$n(0), $n(1), $n(2), $n(3)], 4],
                default => [[1.0, 0.0, 0.0, 1.0], 0],
            };
            $components[] = new self(Bytes::word($outline, $at + 2), $at + 2, $matrix, $right, $above);
            $at = $end + 2 * $numbers;
        } while (($flags & self::MORE) !== 0 && $at < \strlen($outline));

        return $components;
    }
}
