<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

use Embrel\Citation\Cited;
use Embrel\Citation\Source;
use Embrel\Plan\Plan;

/** That a topic looks like research: a guess, to be confirmed. */
final readonly class Guess
{
    /**
     * @param Cited|null  $cited  of a quotation: where it comes from; of a line that names a source: that source
     * @param Source|null $source a source that the line makes, which the plan does not have yet
     * @param string      $pages  that the line gives beside its source
     * @param string      $text   the title without what names its source
     */
    public function __construct(
        public string $topic,
        public ?Sign $sign,
        public ?Cited $cited,
        public ?Source $source,
        public string $pages,
        public string $text,
    ) {}

    /** What is offered first; a loose idea stands under no topic, so a note must be chosen for it. */
    public function offer(Plan $plan): Filing
    {
        $filing = $this->sign?->filing() ?? Filing::Note;

        return $filing === Filing::Quote && $plan->parent($this->topic) === Plan::TRAY ? Filing::Note : $filing;
    }
}
