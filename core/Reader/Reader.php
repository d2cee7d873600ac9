<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Id\Ids;
use Embrel\Intake\Options;
use Embrel\Intake\Result;

/** Reads one file format into a plan. */
interface Reader
{
    /**
     * @param resource $in
     *
     * @throws Unreadable
     */
    public function read($in, Options $options, Ids $ids): Result;
}
