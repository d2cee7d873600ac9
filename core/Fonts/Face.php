<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** The cuts of the shipped fonts in which the map is set. */
enum Face: string
{
    case Regular = 'regular';
    case Strong = 'strong';
    case Title = 'title';
    case Serif = 'serif';
    case SerifStrong = 'serif-bold';

    /** @return array<array-key, int> sign → advance in ten-thousandths of the size */
    public function widths(): array
    {
        return match ($this) {
            self::Regular => Widths::REGULAR,
            self::Strong => Widths::STRONG,
            self::Title => Widths::TITLE,
            self::Serif => Widths::SERIF,
            self::SerifStrong => Widths::SERIF_STRONG,
        };
    }
}
