<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** A draft set in pages. */
final readonly class Book
{
    /**
     * @param list<Page>         $pages
     * @param array<string, int> $places name of a place → the page it is on, from 1
     * @param Structure          $structure what its pieces are
     */
    public function __construct(
        public float $width,
        public float $height,
        public array $pages,
        public array $places,
        public Structure $structure = new Structure(),
    ) {}
}
