<?php

declare(strict_types=1);

namespace Embrel\Writer;

/** The formats that a plan can be handed over in: the one table of writers. */
enum Format: string
{
    case Docx = 'docx';
    case Markdown = 'md';
    case Opml = 'opml';
    case Text = 'txt';
    case Svg = 'svg';
    case Pdf = 'pdf';

    /** @param Svg\Fonts|null $fonts where a map has its fonts from, if they are to go with it */
    public function writer(?Svg\Fonts $fonts = null): Writer
    {
        return match ($this) {
            self::Docx => new Docx\DocxWriter(),
            self::Markdown => new Markdown\MarkdownWriter(),
            self::Opml => new Opml\OpmlWriter(),
            self::Text => new TextOutline\TextWriter(),
            self::Svg => new Svg\SvgWriter($fonts),
            self::Pdf => new Pdf\PdfWriter(),
        };
    }

    public function mediaType(): string
    {
        return match ($this) {
            self::Docx => 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
            self::Markdown => 'text/markdown; charset=utf-8',
            self::Opml => 'text/x-opml; charset=utf-8',
            self::Text => 'text/plain; charset=utf-8',
            self::Svg => 'image/svg+xml',
            self::Pdf => 'application/pdf',
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Docx => 'Word processor',
            self::Markdown => 'Markdown',
            self::Opml => 'Outline file',
            self::Text => 'Numbered text',
            self::Svg => 'Map',
            self::Pdf => 'Map on paper',
        };
    }

    /** Whether it holds the tree as it is, so that heading depth and contents mean nothing to it. */
    public function isOutline(): bool
    {
        return $this === self::Opml;
    }

    /** Whether it is a picture of the map instead of a text. */
    public function isMap(): bool
    {
        return $this === self::Svg || $this === self::Pdf;
    }

    /** @return string such as “docx, md and pdf” */
    public static function extensions(): string
    {
        $all = array_column(self::cases(), 'value');
        $last = array_pop($all);

        return implode(', ', $all) . " and {$last}";
    }

    public static function ofPath(string $path): ?self
    {
        $extension = strtolower(pathinfo($path, PATHINFO_EXTENSION));

        return self::tryFrom($extension === 'markdown' ? 'md' : ($extension === 'text' ? 'txt' : $extension));
    }
}
