<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Document\Heard;
use Embrel\Document\Origin;
use Embrel\Plan\Plan;

/** A plan that was read, and what had to be repaired or could not be kept. */
final readonly class Result
{
    /**
     * @param list<string> $repairs   a sentence each
     * @param int          $boldLines how many bold lines could be headings; 0 where the format has none
     * @param bool         $boldAreTaken whether they were taken for headings
     * @param list<array{what: string, after: string, words: int, text: string}> $leftOut what could be taken in too, and the
     *        title after which it stands; empty: at the beginning
     * @param array<string, string> $came the id of a topic that the file carried → the topic that was made of it
     * @param Origin|null $origin of which plan it is a draft, where it says so
     * @param array<string, list<Heard>> $heard topic → recorded changes and comments in its text
     * @param array<string, string> $typed a topic that came back → what looked like its number, and was taken off its title
     */
    public function __construct(
        public Plan $plan,
        public array $repairs,
        public int $boldLines = 0,
        public bool $boldAreTaken = false,
        public array $came = [],
        public array $leftOut = [],
        public ?Origin $origin = null,
        public array $typed = [],
        public array $heard = [],
    ) {}
}
