<?php

declare(strict_types=1);

namespace App\Pages;

use Embrel\Reader\WebPage\WebPage;

/** Looks a page of the web up. */
interface PageReader
{
    /** @throws PageUnreadable with a sentence for the person */
    public function read(string $address): WebPage;
}
