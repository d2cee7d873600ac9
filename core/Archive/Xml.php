<?php

declare(strict_types=1);

namespace Embrel\Archive;

/**
 * An XML part, read from the start to the end without ever being held whole. A visitor goes through
 * the children of the element at hand; what it leaves unread of one is passed over.
 */
final class Xml
{
    public readonly \XMLReader $at;

    private function __construct(\XMLReader $reader)
    {
        $this->at = $reader;
    }

    /** @throws BrokenXml */
    public static function open(string $path): self
    {
        libxml_use_internal_errors(true);
        libxml_clear_errors();
        $reader = \XMLReader::open($path, null, \LIBXML_NONET | \LIBXML_COMPACT);

        return $reader instanceof \XMLReader ? new self($reader) : throw new BrokenXml('it is empty', 1);
    }

    /** @throws BrokenXml */
    public static function of(string $xml): self
    {
        libxml_use_internal_errors(true);
        libxml_clear_errors();
        $reader = $xml === '' ? null : \XMLReader::XML($xml, null, \LIBXML_NONET | \LIBXML_COMPACT);

        return $reader instanceof \XMLReader ? new self($reader) : throw new BrokenXml('it is empty', 1);
    }

    /**
     * A small part as a tree, for one that is changed and written again.
     *
     * @throws BadPackage where it is damaged, or has a document type
     */
    public static function dom(string $xml): \DOMDocument
    {
        $dom = new \DOMDocument();
        $errors = libxml_use_internal_errors(true);
        $isRead = $xml !== '' && $dom->loadXML($xml, \LIBXML_NONET | \LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($errors);

        return $isRead && $dom->doctype === null ? $dom : throw BadPackage::damaged();
    }

    public static function escaped(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_XML1 | ENT_SUBSTITUTE, 'UTF-8');
    }

    /** A text without the signs that XML 1.0 has no room for (2.2, Char). */
    public static function plain(string $text): string
    {
        return (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', $text);
    }

    /** Goes to the root element; its local name. */
    public function root(): string
    {
        while ($this->read()) {
            if ($this->at->nodeType === \XMLReader::ELEMENT) {
                return $this->at->localName;
            }
        }

        throw new BrokenXml('it has no element', 1);
    }

    /**
     * One node on.
     *
     * @throws BrokenXml where the XML ends early, or has a document type, which can name other files
     */
    public function read(): bool
    {
        if ($this->at->read()) {
            return $this->at->nodeType === \XMLReader::DOC_TYPE || $this->at->nodeType === \XMLReader::ENTITY_REF
                ? throw BrokenXml::withDoctype()
                : true;
        }
        $error = libxml_get_last_error();

        return $error === false || $error->level < \LIBXML_ERR_ERROR ? false : throw new BrokenXml(trim($error->message), $error->line);
    }

    /** @return \Generator<int, string> the local name of each child element, while the reader stands on it */
    public function children(): \Generator
    {
        $reader = $this->at;
        if ($reader->isEmptyElement) {
            return;
        }
        $depth = $reader->depth;
        while ($this->read()) {
            $type = $reader->nodeType;
            if ($type === \XMLReader::END_ELEMENT && $reader->depth <= $depth) {
                return;
            }
            if ($type === \XMLReader::ELEMENT && $reader->depth === $depth + 1) {
                yield $reader->localName;
            }
        }

        throw new BrokenXml('it ends in the middle of an element', 0);
    }

    /**
     * @return \Generator<string, string|null> everything right under the element at hand: child elements by their local name, with null; texts by an empty one
     */
    public function nodes(): \Generator
    {
        $reader = $this->at;
        if ($reader->isEmptyElement) {
            return;
        }
        $depth = $reader->depth;
        while ($this->read()) {
            $type = $reader->nodeType;
            if ($type === \XMLReader::END_ELEMENT && $reader->depth <= $depth) {
                return;
            }
            if ($reader->depth !== $depth + 1) {
                continue;
            }
            if ($type === \XMLReader::ELEMENT) {
                yield $reader->localName => null;
            } elseif (
                $type === \XMLReader::TEXT
                || $type === \XMLReader::CDATA
                || $type === \XMLReader::SIGNIFICANT_WHITESPACE
                || $type === \XMLReader::WHITESPACE
            ) {
                yield '' => $reader->value;
            }
        }

        throw new BrokenXml('it ends in the middle of an element', 0);
    }

    /** The text of the element at hand and of all under it; goes to its end. */
    public function text(): string
    {
        $reader = $this->at;
        if ($reader->isEmptyElement) {
            return '';
        }
        $depth = $reader->depth;
        $text = '';
        while ($this->read()) {
            $type = $reader->nodeType;
            if ($type === \XMLReader::END_ELEMENT && $reader->depth <= $depth) {
                return $text;
            }
            if (
                $type === \XMLReader::TEXT
                || $type === \XMLReader::CDATA
                || $type === \XMLReader::SIGNIFICANT_WHITESPACE
                || $type === \XMLReader::WHITESPACE
            ) {
                $text .= $reader->value;
            }
        }

        throw new BrokenXml('it ends in the middle of an element', 0);
    }

    /** An attribute by its name with the prefix that documents of this kind use, or without any. */
    public function get(string $name): ?string
    {
        return $this->at->getAttribute($name);
    }
}
