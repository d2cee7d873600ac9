<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Shelf;
use Embrel\Archive\Xml;
use Embrel\Document\Manuscript;
use Embrel\Document\Reading;
use Embrel\Reader\DocumentPackage;
use Embrel\Reader\DocumentReader;
use Embrel\RichText\Flow;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * Word-processor documents (ECMA-376, WordprocessingML, transitional and strict). Headings are
 * paragraphs with an outline level, of their own or by their style.
 */
final class DocxReader implements DocumentReader
{
    private const KIND = 'word-processor document (docx)';

    /** @param bool $refusesRecorded as if changes that were recorded had never been made */
    public function __construct(private readonly bool $refusesRecorded = false) {}

    public function read($in, Shelf $shelf, string $work): Manuscript
    {
        return DocumentPackage::read(
            $in,
            $work,
            self::KIND,
            fn(Package $package): Manuscript => $this->manuscript($package, $shelf, $work),
        );
    }

    private function manuscript(Package $package, Shelf $shelf, string $work): Manuscript
    {
        $parts = new Parts($package, $work);
        $reading = new Reading();
        if (preg_grep('/vbaProject\.bin\z/i', $package->names()) !== []) {
            $reading->remark('The document holds macros. They were left out.');
        }
        $this->properties($parts, $reading);
        $styles = StyleSheet::read($parts->xml('styles'));
        $forms = ListForms::read($parts->xml('numbering'));
        $footnotes = [];
        foreach (['footnotes' => 'footnote', 'endnotes' => 'endnote'] as $part => $element) {
            $footnotes[$element] = $this->footnotes($parts, $part, $element, $reading, $styles, $forms, $shelf);
        }
        $pictures = new PicturesOf($package, $parts, $shelf, $reading);
        $xml = $parts->xml('') ?? throw BadPackage::missing('word/document.xml');
        if ($xml->root() !== 'document') {
            throw BadPackage::missing('word/document.xml');
        }
        $body = new BodyReader(
            $xml,
            $reading,
            $styles,
            $forms,
            $pictures,
            $parts->links(''),
            $footnotes,
            $this->refusesRecorded,
            self::comments($parts->xml('comments')),
        );
        foreach ($xml->children() as $name) {
            $name === 'body' ? $body->blocks() : null;
        }
        $body->end();

        return $reading->done();
    }

    /** @return array<string, list<Node>> id → inlines */
    private function footnotes(
        Parts $parts,
        string $part,
        string $element,
        Reading $reading,
        StyleSheet $styles,
        ListForms $forms,
        Shelf $shelf,
    ): array {
        $xml = $parts->xml($part);
        if ($xml === null) {
            return [];
        }
        $notes = [];
        $xml->root();
        $body = new BodyReader(
            $xml,
            $reading,
            $styles,
            $forms,
            new PicturesOf(null, $parts, $shelf, $reading),
            $parts->links($part),
            [],
            $this->refusesRecorded,
        );
        foreach ($xml->children() as $name) {
            if ($name !== $element || \in_array($xml->get('w:type'), ['separator', 'continuationSeparator', 'continuationNotice'], true)) {
                continue;
            }
            $id = (string) $xml->get('w:id');
            $flow = new Flow();
            foreach ($xml->children() as $child) {
                if ($child === 'p') {
                    $flow->isEmpty() ? null : $flow->break();
                    $body->runs($flow);
                }
            }
            $notes[$id] = array_values(
                array_filter(
                    $flow->nodes(),
                    static fn(Node $node): bool => $node->type !== NodeType::Picture && $node->type !== NodeType::Footnote,
                ),
            );
        }

        return $notes;
    }

    /** @return array<string, array{string, string}> id → who said it, and what */
    private static function comments(?Xml $xml): array
    {
        if ($xml === null) {
            return [];
        }
        $comments = [];
        $xml->root();
        foreach ($xml->children() as $name) {
            if ($name === 'comment') {
                $id = (string) $xml->get('w:id');
                $who = (string) $xml->get('w:author');
                $lines = [];
                foreach ($xml->children() as $_) {
                    $lines[] = $xml->text();
                }
                $comments[$id] = [$who, implode(' ', array_filter($lines, static fn(string $line): bool => $line !== ''))];
            }
        }

        return $comments;
    }

    private function properties(Parts $parts, Reading $reading): void
    {
        $xml = $parts->coreProperties();
        if ($xml === null) {
            return;
        }
        $xml->root();
        foreach ($xml->children() as $name) {
            match ($name) {
                'creator' => ($reading->author = $xml->text()),
                'language' => ($reading->language = trim($xml->text())),
                default => null,
            };
        }
    }
}
