<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\PackEverything;
use App\Jobs\SendDraft;
use App\Jobs\TakeIn;
use App\Jobs\TakeInEverything;
use App\Jobs\Work;
use App\Jobs\WriteDraft;

/** The kinds of long work, and who does each. */
enum TaskKind: string
{
    case HandOver = 'hand-over';
    case Intake = 'intake';
    case Everything = 'everything';
    case Send = 'send';
    case Whole = 'whole';

    /** What is being done, for who does not know of what. */
    public function says(): string
    {
        return match ($this) {
            self::HandOver => 'A document is made',
            self::Intake => 'A file is taken in',
            self::Everything => 'All of somebody’s plans are packed',
            self::Send => 'A document is sent',
            self::Whole => 'All of somebody’s plans are taken in',
        };
    }

    /** @return class-string<Work> */
    public function work(): string
    {
        return match ($this) {
            self::HandOver => WriteDraft::class,
            self::Intake => TakeIn::class,
            self::Everything => PackEverything::class,
            self::Send => SendDraft::class,
            self::Whole => TakeInEverything::class,
        };
    }
}
