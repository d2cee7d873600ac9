<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Draft\Choices;
use Embrel\Plan\Plan;

/** Hands a plan over in one file format. */
interface Writer
{
    /**
     * @param resource $out  where the file goes
     * @param string   $work an existing folder for this hand-over alone; the caller removes it
     *
     * @return list<string> what the format could not express, a sentence each
     */
    public function write(Plan $plan, Choices $choices, $out, string $work): array;
}
