<?php

declare(strict_types=1);

namespace Embrel\Reader;

/** The formats that can be taken in: the one table of readers. */
enum Format: string
{
    case Opml = 'opml';
    case Text = 'txt';
    case Markdown = 'md';

    public function reader(): Reader
    {
        return match ($this) {
            self::Opml => new Opml\OpmlReader(),
            self::Text => new TextOutline\TextReader(),
            self::Markdown => new Markdown\MarkdownReader(),
        };
    }

    /** @throws Unreadable when no reader knows the extension */
    public static function ofPath(string $path): self
    {
        $extension = strtolower(pathinfo($path, PATHINFO_EXTENSION));

        return match ($extension) {
            'opml', 'xml' => self::Opml,
            'txt', 'text', '' => self::Text,
            'md', 'markdown' => self::Markdown,
            default => throw Unreadable::unknownFormat($extension),
        };
    }
}
