<?php

declare(strict_types=1);

namespace App\Pages;

use Embrel\Citation\Source;
use Embrel\Citation\WorkNumber;

/** Looks works up by their numbers. */
interface WorkFinder
{
    /** @throws PageUnreadable with a sentence for the person */
    public function find(WorkNumber $number): Source;
}
