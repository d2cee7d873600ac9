<?php

declare(strict_types=1);

namespace Embrel\Operation;

/** Why an operation was refused. */
enum Reason: string
{
    case Gone = 'gone';
    case IntoItself = 'into-itself';
    case TooDeep = 'too-deep';
    case TooMany = 'too-many';
    case Fixed = 'fixed';
    case Exists = 'exists';
    case Changed = 'changed';
    case Value = 'value';
    case Dependent = 'dependent';
}
