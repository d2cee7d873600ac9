<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\PackEverything;
use App\Jobs\SendDraft;
use App\Jobs\TakeIn;
use App\Jobs\Work;
use App\Jobs\WriteDraft;

/** The kinds of long work, and who does each. */
enum TaskKind: string
{
    case HandOver = 'hand-over';
    case Intake = 'intake';
    case Everything = 'everything';
    case Send = 'send';

    /** @return class-string<Work> */
    public function work(): string
    {
        return match ($this) {
            self::HandOver => WriteDraft::class,
            self::Intake => TakeIn::class,
            self::Everything => PackEverything::class,
            self::Send => SendDraft::class,
        };
    }
}
