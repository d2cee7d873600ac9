<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Limits;

/** A file that cannot be read: says why, and where in the file. Nothing of it was taken. */
final class Unreadable extends \RuntimeException
{
    public static function gone(): self
    {
        return new self('The file is not here any more. Choose it again.');
    }

    public static function empty(): self
    {
        return new self('The file is empty: there is nothing to take in.');
    }

    public static function blank(): self
    {
        return new self('The file holds only white space: there is nothing to take in.');
    }

    public static function tooLarge(): self
    {
        return new self('The file is larger than ' . intdiv(Limits::INTAKE, 1024 * 1024) . ' MB, the most that can be taken in at once.');
    }

    public static function markdownTooLarge(): self
    {
        return new self(
            'The Markdown file is larger than the size limit of '
                . intdiv(Limits::MARKDOWN, 1024 * 1024)
                . ' MB. Divide it, and take the pieces in as branches of one plan.',
        );
    }

    public static function pageTooLarge(): self
    {
        return new self(
            'The page is larger than the size limit of '
                . intdiv(Limits::HTML, 1024 * 1024)
                . ' MB without its pictures. Divide it, and take the pieces in as branches of one plan.',
        );
    }

    public static function noLevels(): self
    {
        return new self(
            'The table has no column of levels. Name one column “level” (1 for a main section) and one “title” in the first row, or put '
                . 'the level first and the title second.',
        );
    }

    public static function tooManyTopics(int $line): self
    {
        return new self(
            'The file holds more than '
                . number_format(Limits::TOPICS)
                . " topics (reached at line {$line}), the most that a plan can hold.",
        );
    }

    public static function tooDeep(int $line): self
    {
        return new self('The file is nested deeper than the limit of ' . Limits::LEVELS . " levels, first at line {$line}.");
    }

    public static function lineTooLong(int $line): self
    {
        return new self("Line {$line} is longer than " . intdiv(Limits::LINE, 1024 * 1024) . ' MB, the size limit of one line.');
    }

    public static function valueTooLong(int $line): self
    {
        return new self(
            "A text near line {$line} is longer than the size limit of " . intdiv(Limits::NOTE, 1024 * 1024) . ' MB for one topic.',
        );
    }

    public static function notUtf8(int $line): self
    {
        return new self("The character encoding is not valid: line {$line} is not UTF-8. Save the file as UTF-8 and try again.");
    }

    public static function hasDoctype(int $line): self
    {
        return new self(
            "The file has a DTD (line {$line}). Files with a DTD or entities of their own are not read, as they can pull in other files.",
        );
    }

    public static function hasEntities(int $line): self
    {
        return new self(
            "The file uses entities of its own (line {$line}). Files with a DTD or entities are not read, as they can grow without end or pull in other files.",
        );
    }

    public static function notOpml(string $root): self
    {
        return new self("This is not an OPML file: its root element is “{$root}”, not “opml”.");
    }

    public static function noBody(): self
    {
        return new self('This OPML file has no body element: it is not complete.');
    }

    public static function brokenXml(string $message, int $line): self
    {
        return new self("The XML is not well-formed or incomplete at line {$line}: " . rtrim($message, ". \n") . '.');
    }

    /** @param string $kind what it should be; @param string $why as the end of a sentence */
    public static function document(string $kind, string $why): self
    {
        return new self("This is not a {$kind} that can be read: {$why}.");
    }

    /** @param string $why as the end of a sentence */
    public static function tooMuch(string $why): self
    {
        return new self("The document cannot be taken in whole: {$why}.");
    }

    public static function unknownFormat(string $extension): self
    {
        return new self(
            "Files of the kind “.{$extension}” cannot be read. Documents (docx, odt), web pages (html), Markdown (md), outline files (opml), text (txt) and tables (csv) can.",
        );
    }

    public static function noAccess(string $path): self
    {
        return new self("“{$path}” cannot be opened.");
    }
}
