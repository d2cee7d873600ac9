<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\RichText\Mark;

/** What a document sets on a run, as the marks of a note. */
final class RunMarks
{
    private const KNOWN = ['bold', 'italic', 'underline', 'strike', 'highlight', 'superscript', 'subscript', 'code'];

    /**
     * @param array<string, bool> $run mark → whether it is set
     *
     * @return list<Mark>
     */
    public static function of(array $run, ?Mark $link = null): array
    {
        $marks = [];
        foreach (self::KNOWN as $mark) {
            // The line under a link is how links look.
            if (($run[$mark] ?? false) && ($link === null || $mark !== 'underline')) {
                $marks[] = new Mark($mark);
            }
        }

        return $link === null ? $marks : [...$marks, $link];
    }
}
