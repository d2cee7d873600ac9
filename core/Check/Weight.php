<?php

declare(strict_types=1);

namespace Embrel\Check;

/** How serious a finding is. */
enum Weight: string
{
    case Serious = 'serious';
    case Doubtful = 'doubtful';
    case Slight = 'slight';
}
