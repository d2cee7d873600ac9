<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** A draft set in pages. */
final readonly class Book
{
    /**
     * @param list<Page>         $pages
     * @param array<string, int> $places name of a place → the page it is on, from 1
     */
    public function __construct(public float $width, public float $height, public array $pages, public array $places) {}
}
