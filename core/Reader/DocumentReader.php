<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Archive\Shelf;
use Embrel\Document\Manuscript;

/** Reads one file format into a document. */
interface DocumentReader
{
    /**
     * @param resource $in
     * @param Shelf    $shelf where the pictures go
     * @param string   $work  an existing folder for this intake alone; the caller removes it
     *
     * @throws Unreadable
     */
    public function read($in, Shelf $shelf, string $work): Manuscript;
}
