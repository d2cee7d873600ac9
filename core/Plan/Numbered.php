<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** Whether a topic takes part in the numbering: as its kind does, not at all, or as an appendix. */
enum Numbered: string
{
    case Usual = 'usual';
    case None = 'none';
    case Appendix = 'appendix';
}
