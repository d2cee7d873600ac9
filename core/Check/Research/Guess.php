<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

use Embrel\Citation\Cited;
use Embrel\Citation\Source;

/** That a topic looks like research: a guess, to be confirmed. */
final readonly class Guess
{
    /**
     * @param Cited|null  $cited  of a quotation: where it comes from; of a line that names a source: that source
     * @param Source|null $source a source that the line makes, which the plan does not have yet
     * @param string      $pages  that the line gives beside its source
     * @param string      $text   the title without what names its source
     */
    public function __construct(public string $topic, public ?Sign $sign, public ?Cited $cited, public ?Source $source, public string $pages, public string $text) {}
}
