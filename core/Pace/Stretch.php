<?php

declare(strict_types=1);

namespace Embrel\Pace;

use Embrel\Plan\Again;

/** A topic in the schedule: its own days, or those that its parts take up together. */
final readonly class Stretch
{
    /**
     * @param string      $from       first day, a calendar date
     * @param string      $to         last day; never before the first
     * @param bool        $isOwn      whether the days are its own; if not, its parts reach from the first to the last
     * @param bool        $isReversed whether its last day was set before its first
     * @param bool        $isLate     whether its date has gone, and it is not done
     * @param string|null $outside    the topic above it within whose days it does not lie; null: it does, or none above has days
     */
    public function __construct(
        public string $topic,
        public int $level,
        public string $from,
        public string $to,
        public bool $isOwn,
        public bool $isReversed,
        public bool $isLate,
        public bool $isDone,
        public string $who,
        public ?Again $again,
        public ?string $outside,
    ) {}

    /**
     * When work that comes again is to be done after this time.
     *
     * @param string $last the last day that is asked for
     *
     * @return list<array{string, string}> first and last day of each time
     */
    public function later(string $last, int $most = 60): array
    {
        $times = [];
        for ($time = 1; $this->again !== null && $time <= $most; ++$time) {
            $from = $this->again->after($this->from, $time);
            if ($from > $last || \strlen($from) > 10) {
                break;
            }
            $times[] = [$from, $this->again->after($this->to, $time)];
        }

        return $times;
    }
}
