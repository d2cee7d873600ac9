<?php

declare(strict_types=1);

namespace Embrel\Reader\WebPage;

use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;

/** What a page of the web says of itself, and its readable text. */
final readonly class WebPage
{
    /**
     * @param list<Person> $authors
     * @param string       $site who publishes it
     * @param string       $text paragraphs apart by empty lines
     */
    public function __construct(
        public string $title,
        public array $authors,
        public ?PartialDate $date,
        public string $site,
        public string $language,
        public string $text,
    ) {}
}
