<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\Document\Role;

/** What a page that was written here says of its parts. */
final class OwnPage
{
    /** Our own headings and items keep their number apart from their title. */
    public static function titleIn(\DOMElement $node): ?string
    {
        foreach ($node->childNodes as $child) {
            if ($child instanceof \DOMElement && $child->getAttribute('class') === 'draft-title') {
                return $child->textContent;
            }
        }

        return null;
    }

    /** The level of a heading that stands in a note, as it was there; null: it is a heading of the text. */
    public static function noteLevel(\DOMElement $heading, int $level): ?int
    {
        $isNote = preg_match('/(?:\A|\s)note-heading(?:\s|\z)/', $heading->getAttribute('class')) === 1;

        return $isNote ? (int) ($heading->getAttribute('data-level') ?: $level) : null;
    }

    /** What a topic becomes that stands in a list or a quotation, by the kind that its anchor names. */
    public static function role(string $kind, Role $else): Role
    {
        return ['s' => Role::Heading, 'p' => Role::Item, 'q' => Role::Quote][$kind] ?? $else;
    }
}
