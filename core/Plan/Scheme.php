<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** The four ways in which a plan's sections are numbered. */
enum Scheme: string
{
    case Decimal = 'decimal';
    case Essay = 'essay';
    case Chapter = 'chapter';
    case None = 'none';
}
