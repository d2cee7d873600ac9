<?php

declare(strict_types=1);

namespace Embrel\Prompt\Near;

use Embrel\Citation\Source;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\Text;

/** What a plan has to say, in pieces that can be shown and quoted one by one. */
final class Passages
{
    /** In bytes: what is longer is read up to here. */
    private const LONGEST = 20_000;

    /**
     * The blocks of a note that have words; what never prints and what is code is not among them.
     *
     * @return array<string, string> block → its text
     */
    public static function ofNote(Note $note): array
    {
        $texts = [];
        foreach ($note->printing()->blocks as $id => $block) {
            if ($block->type !== NodeType::CodeBlock && trim($text = $block->plainText(true)) !== '') {
                $texts[(string) $id] = self::cut($text);
            }
        }

        return $texts;
    }

    /** What a source says of itself, as one text; a line each. */
    public static function ofSource(Source $source): string
    {
        $people = array_map(static fn($person): string => trim("{$person->given} {$person->family}"), $source->people());
        $lines = [$source->title, implode(', ', $people), $source->container, $source->remark];

        return self::cut(implode("\n", array_filter($lines, static fn(string $line): bool => $line !== '')));
    }

    /**
     * The paragraphs of a page that was kept, as text.
     *
     * @return list<string>
     */
    public static function ofPage(string $text): array
    {
        $texts = [];
        foreach (preg_split('/\R\s*\R|\R/u', mb_scrub($text)) ?: [] as $paragraph) {
            $paragraph = trim((string) preg_replace('/\s+/u', ' ', Text::line($paragraph)));
            if ($paragraph !== '') {
                $texts[] = self::cut($paragraph);
            }
        }

        return $texts;
    }

    private static function cut(string $text): string
    {
        return \strlen($text) <= self::LONGEST ? $text : mb_strcut($text, 0, self::LONGEST);
    }
}
