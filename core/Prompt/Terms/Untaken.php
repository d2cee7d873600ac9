<?php

declare(strict_types=1);

namespace Embrel\Prompt\Terms;

use Embrel\Language\Tongue;
use Embrel\Words;

/** What the title or the question of a text promises, and a section never takes up. */
final class Untaken
{
    /** In words that tell something: a section with fewer has not begun. */
    private const BEGUN = 10;

    /**
     * @param string                $asked the title of the text, or the question that it answers
     * @param array<string, string> $sections main section → all that stands in it
     *
     * @return array<string, list<string>> section → the words of the title that it does not take up, as they stand there
     */
    public static function of(Tongue $tongue, string $asked, array $sections): array
    {
        $sought = [];
        foreach (Words::of($asked) as $word) {
            $stem = $tongue->stem($word);
            $stem === '' ? null : $sought[$stem] ??= $word;
        }
        $untaken = [];
        foreach ($sought === [] ? [] : $sections as $section => $text) {
            $stems = $tongue->stems($text);
            $missing = array_sum($stems) < self::BEGUN ? [] : array_values(array_diff_key($sought, $stems));
            $missing === [] ? null : $untaken[$section] = $missing;
        }

        return $untaken;
    }
}
