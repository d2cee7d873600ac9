<?php

declare(strict_types=1);

namespace Embrel\Prompt\Helper;

/** What a helper from outside can be asked for. */
enum Wish: string
{
    case Questions = 'questions';
    case Ideas = 'ideas';
    case Draft = 'draft';
    case Summary = 'summary';

    /** What is asked, in words that go out; the answer is in the language of the plan. */
    public function instruction(): string
    {
        return match ($this) {
            self::Questions => 'Ask the writer up to six questions about this part of the outline, one a line, each a list item. Nothing else.',
            self::Ideas => 'Name up to eight related ideas that are missing in this part of the outline, as a Markdown list, nested where one '
                . 'belongs under another. Nothing else.',
            self::Draft => 'Write a first draft of this part, in paragraphs of Markdown, from what is given and nothing else: no facts, names, '
                . 'numbers or quotations that are not in it.',
            self::Summary => 'Sum up this part in one paragraph, from what is given and nothing else.',
        };
    }

    /** Whether the answer is a list of topics; else it is text. */
    public function isList(): bool
    {
        return $this === self::Questions || $this === self::Ideas;
    }
}
