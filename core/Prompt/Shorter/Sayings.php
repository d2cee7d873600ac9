<?php

declare(strict_types=1);

namespace Embrel\Prompt\Shorter;

use Embrel\Language\Sentences;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** The sentences of a note that are the writer's own: without headings, quotations, tables, code, and what never prints. */
final class Sayings
{
    private const OWN = [NodeType::Paragraph, NodeType::BulletList, NodeType::OrderedList];

    /** @return list<Saying> in reading order */
    public static function of(string $topic, Note $note, string $language): array
    {
        $sayings = [];
        foreach ($note->printing()->blocks as $id => $block) {
            foreach (\in_array($block->type, self::OWN, true) ? self::sentences($block, $language) : [] as $text) {
                $sayings[] = new Saying($topic, (string) $id, $text);
            }
        }

        return $sayings;
    }

    /** @return list<string> */
    private static function sentences(Node $block, string $language): array
    {
        return Sentences::of(str_replace("\u{FFFC}", '', $block->plainText()), $language);
    }
}
