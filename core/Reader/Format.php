<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Archive\Shelf;
use Embrel\Id\Ids;
use Embrel\Intake\Intake;
use Embrel\Intake\Options;
use Embrel\Intake\Reshaping;
use Embrel\Intake\Result;
use Embrel\Intake\TooManyTopics;

/** The formats that can be taken in: the one table of readers. */
enum Format: string
{
    case Opml = 'opml';
    case Text = 'txt';
    case Csv = 'csv';
    case Markdown = 'md';
    case Docx = 'docx';
    case Odt = 'odt';
    case Html = 'html';
    case Package = 'zip';

    private const EXTENSIONS = [
        'opml' => self::Opml,
        'xml' => self::Opml,
        'txt' => self::Text,
        'text' => self::Text,
        '' => self::Text,
        'csv' => self::Csv,
        'tsv' => self::Csv,
        'md' => self::Markdown,
        'markdown' => self::Markdown,
        'docx' => self::Docx,
        'docm' => self::Docx,
        'dotx' => self::Docx,
        'odt' => self::Odt,
        'ott' => self::Odt,
        'html' => self::Html,
        'htm' => self::Html,
        'xhtml' => self::Html,
        'zip' => self::Package,
    ];

    /** @return Reader|DocumentReader the first for a format that holds a tree itself */
    public function reader(bool $refusesRecorded = false): Reader|DocumentReader
    {
        return match ($this) {
            self::Opml => new Opml\OpmlReader(),
            self::Text => new TextOutline\TextReader(),
            self::Csv => new Csv\CsvReader(),
            self::Markdown => new Markdown\MarkdownReader(),
            self::Docx => new Docx\DocxReader($refusesRecorded),
            self::Odt => new Odt\OdtReader($refusesRecorded),
            self::Html => new Html\HtmlReader(),
            self::Package => new Packaged(),
        };
    }

    /**
     * @param resource $in
     * @param string   $work an existing folder for this intake alone; the caller removes it
     * @param Shelf    $shelf where the pictures go
     *
     * @throws Unreadable
     */
    public function read($in, Options $options, Ids $ids, string $work, Shelf $shelf): Result
    {
        $reader = $this->reader($options->refusesRecorded);
        if ($reader instanceof Reader) {
            return Reshaping::of($reader->read($in, $options, $ids), $options, $ids);
        }
        try {
            return Intake::of($reader->read($in, $shelf, $work), $options, $ids);
        } catch (TooManyTopics $why) {
            throw Unreadable::tooMuch($why->getMessage());
        }
    }

    public function isDocument(): bool
    {
        return !\in_array($this, [self::Opml, self::Text, self::Csv], true);
    }

    /** @return list<string> with their points, as a page asks for files */
    public static function extensions(): array
    {
        return array_map(static fn(string $one): string => ".{$one}", array_values(array_filter(array_keys(self::EXTENSIONS))));
    }

    /** @throws Unreadable when no reader knows the extension */
    public static function ofPath(string $path): self
    {
        $extension = strtolower(pathinfo($path, PATHINFO_EXTENSION));

        return self::EXTENSIONS[$extension] ?? throw Unreadable::unknownFormat($extension);
    }
}
