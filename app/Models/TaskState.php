<?php

declare(strict_types=1);

namespace App\Models;

enum TaskState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';

    /** Of what has not ended. */
    public const OPEN = [self::Waiting, self::Running];
}
