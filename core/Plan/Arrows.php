<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** At which ends of a relation an arrow stands. */
enum Arrows: string
{
    case None = 'none';
    case Start = 'start';
    case End = 'end';
    case Both = 'both';
}
