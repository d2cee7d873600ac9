<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Draft\InWords;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/** What notes say, for comparing and for showing, however it was printed. */
final readonly class Saying
{
    private InWords $words;

    public function __construct(Plan $plan)
    {
        $this->words = new InWords($plan);
    }

    public function note(?Note $note): string
    {
        $blocks = array_map($this->words->node(...), array_values($note?->printing()->blocks ?? []));

        return Comparison::text(Note::of($blocks));
    }

    public function block(Node $block): string
    {
        return Comparison::blockText($this->words->node($block->printing() ?? $block));
    }
}
