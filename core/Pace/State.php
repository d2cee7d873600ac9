<?php

declare(strict_types=1);

namespace Embrel\Pace;

/** How it stands with a target and a due date. */
enum State: string
{
    case NoTarget = 'no-target';
    case NoDue = 'no-due';
    case Reached = 'reached';
    case Overdue = 'overdue';
    /** The due date is still to come, and none of the days until then is one on which one writes. */
    case NoDays = 'no-days';
    case DueToday = 'due-today';
    case OnTheWay = 'on-the-way';
}
