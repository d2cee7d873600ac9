<?php

declare(strict_types=1);

namespace Embrel\Calendar;

use Embrel\Plan\Again;

/** What a calendar or a table says of one piece of work. */
final readonly class Days
{
    /**
     * @param string|null $topic the topic of the plan that it names; null: it names none
     * @param string|null $from  the first day, a calendar date
     * @param string|null $to    the last day
     * @param string|null $who   null: nothing is said of that
     * @param bool        $saysDone  whether it says if it is done: that nothing is said of it does not say that it is not
     * @param bool        $saysAgain whether it says how often it comes
     * @param bool        $saysFrom  whether it says from when, and `saysTo` by when: of what is said, null is “no day”
     */
    public function __construct(
        public ?string $topic,
        public string $title,
        public ?string $from,
        public ?string $to,
        public ?string $who = null,
        public ?string $done = null,
        public ?Again $again = null,
        public bool $saysDone = true,
        public bool $saysAgain = true,
        public bool $saysFrom = true,
        public bool $saysTo = true,
    ) {}
}
