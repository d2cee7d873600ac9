<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** What citations look like in a style; the value is the standard's own word for it. */
enum CitedAs: string
{
    case AuthorDate = 'author-date';
    case Author = 'author';
    case Numbers = 'numeric';
    case Labels = 'label';
    case Notes = 'note';

    public function label(): string
    {
        return match ($this) {
            self::AuthorDate => 'author and date in the text',
            self::Author => 'author in the text',
            self::Numbers => 'numbers',
            self::Labels => 'short labels',
            self::Notes => 'notes',
        };
    }

    /** Where a reader meets them: text, notes, numbers. */
    public function group(): string
    {
        return match ($this) {
            self::AuthorDate, self::Author => 'text',
            self::Numbers, self::Labels => 'numbers',
            self::Notes => 'notes',
        };
    }

    /** What the list is called at the end of a draft: a word that Language::say() knows. */
    public function heading(): string
    {
        return match ($this) {
            self::Notes => 'bibliography',
            self::Author => 'worksCited',
            default => 'references',
        };
    }
}
