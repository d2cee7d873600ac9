<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Plan\Kind;

/** What a kind of topic prints as. */
enum Printing: string
{
    case Heading = 'heading';
    case Item = 'list';
    case Quote = 'quote';
    case Text = 'text';
    case Out = 'out';

    public static function usual(Kind $kind): self
    {
        return match ($kind) {
            Kind::Section => self::Heading,
            Kind::Point => self::Item,
            Kind::Quote => self::Quote,
            Kind::Aside => self::Out,
        };
    }
}
