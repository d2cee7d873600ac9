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

    /** All that it says, as a person may make another of it. */
    public function dress(): Dress
    {
        return match ($this) {
            self::Reed => new Dress('Reed'),
            self::Dense => new Dress('Dense', Stalk::Straight, [1.2, 1.2, 1.2], [14.0, 13.0, 12.5], 0.45),
            self::Broad => new Dress('Broad', lines: [4.0, 4.0, 3.0], sizes: [21.0, 18.0, 16.0], room: 1.25),
            self::Field => new Dress('Field', lines: [2.2, 2.2, 1.6], room: 1.15, tints: true),
            self::Drafting => new Dress('Drafting', Stalk::Angled, [1.2, 1.2, 1.2]),
        };
    }
}
