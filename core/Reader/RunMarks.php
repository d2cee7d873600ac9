<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;

/** What a document sets on a run, as the marks of a note. */
final class RunMarks
{
    /**
     * @param array<string, bool> $run mark → whether it is set
     *
     * @return list<Mark>
     */
    public static function of(array $run, ?Mark $link = null): array
    {
        $marks = [];
        foreach (MarkType::cases() as $mark) {
            // The line under a link is how links look.
            if (($run[$mark->value] ?? false) && ($link === null || $mark !== MarkType::Underline)) {
                $marks[] = new Mark($mark);
            }
        }

        return $link === null ? $marks : [...$marks, $link];
    }
}
