<?php

declare(strict_types=1);

namespace App\Store;

/** Which of the plans that a person may see the list shows. */
enum Shelf: string
{
    case All = 'all';
    case Shared = 'shared';
    case PutAway = 'put-away';
}
