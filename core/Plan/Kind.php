<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** What a topic prints as. */
enum Kind: string
{
    case Section = 'section';
    case Point = 'point';
    case Quote = 'quote';
    case Aside = 'aside';
}
