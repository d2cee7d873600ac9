<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** The few ways in which a map is drawn: weight and form of its lines, room between topics, ground, sizes of type. */
enum Style: string
{
    case Reed = 'reed';
    case Dense = 'dense';
    case Broad = 'broad';
    case Field = 'field';
    case Drafting = 'drafting';

    public function name(): string
    {
        return match ($this) {
            self::Reed => 'Reed: curved lines, plain ground',
            self::Dense => 'Dense: small type, little room',
            self::Broad => 'Broad: large type, heavy lines',
            self::Field => 'Field: each branch on a tint of its dye',
            self::Drafting => 'Drafting: thin lines at right angles',
        };
    }

    public function stalk(): Stalk
    {
        return match ($this) {
            self::Drafting => Stalk::Angled,
            self::Dense => Stalk::Straight,
            default => Stalk::Curved,
        };
    }

    /** @return float the width of a stalk to a topic of a level, in pixels */
    public function line(int $level): float
    {
        return match ($this) {
            self::Broad => $level <= 2 ? 4.0 : 3.0,
            self::Drafting, self::Dense => 1.2,
            default => $level <= 2 ? 2.2 : 1.6,
        };
    }

    /** @return float the size of type at a level, in pixels */
    public function size(int $level): float
    {
        $sizes = match ($this) {
            self::Broad => [21.0, 18.0, 16.0],
            self::Dense => [14.0, 13.0, 12.5],
            default => [16.0, 15.0, 14.5],
        };

        return $sizes[min($level, 3) - 1];
    }

    /** @return float by what the room between topics is multiplied */
    public function room(): float
    {
        return match ($this) {
            self::Dense => 0.45,
            self::Broad => 1.25,
            self::Field => 1.15,
            default => 1.0,
        };
    }

    /** Whether each main section stands on a tint of its dye. */
    public function isTinted(): bool
    {
        return $this === self::Field;
    }
}
