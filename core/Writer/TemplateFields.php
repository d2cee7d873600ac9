<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\Xml;
use Embrel\Document\Document;

/**
 * Fills the fields that a template names in its text, such as {title}, also where a word processor divided
 * one into several runs; and the word processor's own fields of author, title, subject and date.
 */
final class TemplateFields
{
    private const ODF = [
        'title' => 'title',
        'subject' => 'subject',
        'initial-creator' => 'author',
        'creator' => 'author',
        'author-name' => 'author',
        'creation-date' => 'date',
        'modification-date' => 'date',
        'print-date' => 'date',
        'date' => 'date',
    ];
    private const WORD = [
        'AUTHOR' => 'author',
        'TITLE' => 'title',
        'SUBJECT' => 'subject',
        'DATE' => 'date',
        'CREATEDATE' => 'date',
        'SAVEDATE' => 'date',
        'PRINTDATE' => 'date',
    ];
    private const FIELD = '/\{(title|subtitle|author|subject|date)\}/';

    /**
     * @param string $namespace of the elements
     * @param string $text      the local name of the elements that hold text
     */
    public static function filled(string $xml, string $namespace, string $text, Document $document): string
    {
        $dom = Xml::dom($xml);
        $value = $document->field(...);
        $text === '' ? self::fillOdf($dom, $namespace, $value) : self::fillWord($dom, $namespace, $value);
        foreach (iterator_to_array($dom->getElementsByTagNameNS($namespace, 'p'), false) as $paragraph) {
            if (preg_match(self::FIELD, $paragraph->textContent) === 1) {
                self::fill($paragraph, $namespace, $text, $document);
            }
        }

        return (string) $dom->saveXML();
    }

    /**
     * The word processor's own fields named as ours are, so that a look that is taken from them can be filled.
     *
     * @param string $text as in filled()
     */
    public static function named(\DOMDocument $dom, string $namespace, string $text): \DOMDocument
    {
        $value = static fn(string $field): string => '{' . $field . '}';
        $text === '' ? self::fillOdf($dom, $namespace, $value) : self::fillWord($dom, $namespace, $value);

        return $dom;
    }

    /**
     * Fields by element: ODF 1.3, part 3, 7.5 (document metadata) and 7.3.2 (dates).
     *
     * @param \Closure(string): string $value
     */
    private static function fillOdf(\DOMDocument $dom, string $namespace, \Closure $value): void
    {
        foreach (self::ODF as $name => $field) {
            foreach (iterator_to_array($dom->getElementsByTagNameNS($namespace, $name), false) as $element) {
                $element->nodeValue = '';
                $element->appendChild($dom->createTextNode($value($field)));
                if ($field === 'date') {
                    $element->removeAttributeNS($namespace, 'date-value');
                    $element->setAttributeNS($namespace, 'text:fixed', 'true');
                }
            }
        }
    }

    /**
     * Simple and complex fields and bound controls: ECMA-376, part 1, 17.16 and 17.5.2.6.
     *
     * @param \Closure(string): string $value
     */
    private static function fillWord(\DOMDocument $dom, string $namespace, \Closure $value): void
    {
        $path = new \DOMXPath($dom);
        $path->registerNamespace('w', $namespace);
        $all = static fn(string $query, ?\DOMElement $within = null): array => self::elements($path, $query, $within);
        foreach ($all('//w:fldSimple') as $field) {
            self::say(self::ofInstruction($field->getAttributeNS($namespace, 'instr')), $all('.//w:t', $field), $value);
        }
        foreach ($all('//w:sdt[w:sdtPr/w:dataBinding]') as $control) {
            $binding = $all('w:sdtPr/w:dataBinding', $control)[0]->getAttributeNS($namespace, 'xpath');
            $bound = preg_match('/\b(creator|title|subject)\[?\d*\]?\z/', $binding, $m) === 1 ? $m[1] : '';
            self::say($bound === 'creator' ? 'author' : $bound, $all('w:sdtContent//w:t', $control), $value);
        }
        foreach ($all('//w:p') as $paragraph) {
            [$depth, $instruction, $shown, $isShown] = [0, '', [], false];
            foreach ($all('.//w:r/*', $paragraph) as $node) {
                $kind = $node->localName === 'fldChar' ? $node->getAttributeNS($namespace, 'fldCharType') : '';
                if ($kind === 'begin' && $depth++ === 0) {
                    [$instruction, $shown, $isShown] = ['', [], false];
                } elseif ($kind === 'separate' && $depth === 1) {
                    $isShown = true;
                } elseif ($kind === 'end' && --$depth === 0) {
                    self::say(self::ofInstruction($instruction), $shown, $value);
                } elseif ($depth === 1 && $node->localName === 'instrText') {
                    $instruction .= $node->textContent;
                } elseif ($depth === 1 && $isShown && $node->localName === 't') {
                    $shown[] = $node;
                }
            }
        }
    }

    /** @return list<\DOMElement> */
    private static function elements(\DOMXPath $path, string $query, ?\DOMElement $within): array
    {
        $elements = [];
        foreach ($path->query($query, $within) ?: [] as $node) {
            $node instanceof \DOMElement ? ($elements[] = $node) : null;
        }

        return $elements;
    }

    /** Which of ours a field of a word processor is; '' for another. */
    private static function ofInstruction(string $instruction): string
    {
        return preg_match('/\A\s*(?:DOCPROPERTY\s+"?)?(AUTHOR|TITLE|SUBJECT|DATE|CREATEDATE|SAVEDATE|PRINTDATE)\b/i', $instruction, $m)
            === 1
            ? self::WORD[strtoupper($m[1])]
            : '';
    }

    /**
     * @param list<\DOMElement>        $texts what a field shows, run by run
     * @param \Closure(string): string $value
     */
    private static function say(string $field, array $texts, \Closure $value): void
    {
        foreach ($field === '' ? [] : $texts as $i => $text) {
            $text->nodeValue = '';
            $text->appendChild(new \DOMText($i === 0 ? $value($field) : ''));
        }
    }

    private static function fill(\DOMElement $paragraph, string $namespace, string $text, Document $document): void
    {
        $pieces = $text === '' ? [] : iterator_to_array($paragraph->getElementsByTagNameNS($namespace, $text), false);
        $nodes = [];
        foreach ($pieces === [] ? [$paragraph] : $pieces as $piece) {
            foreach ((new \DOMXPath($paragraph->ownerDocument ?? new \DOMDocument()))->query('.//text()', $piece) ?: [] as $node) {
                $node instanceof \DOMText ? ($nodes[] = $node) : null;
            }
        }
        $all = implode('', array_map(static fn(\DOMText $node): string => $node->data, $nodes));
        // Each field ends up in the run in which it began.
        for ($guard = 0; $guard < 50 && preg_match(self::FIELD, $all, $m, PREG_OFFSET_CAPTURE) === 1; ++$guard) {
            [$from, $to] = [$m[0][1], $m[0][1] + \strlen($m[0][0])];
            $value = $document->field($m[1][0]);
            $at = 0;
            foreach ($nodes as $node) {
                $length = \strlen($node->data);
                [$start, $end] = [max($from, $at) - $at, min($to, $at + $length) - $at];
                if ($start < $end) {
                    // A space that comes to the edge of a run would fall away.
                    $text !== '' && $node->parentNode instanceof \DOMElement
                        ? $node->parentNode->setAttributeNS('http://www.w3.org/XML/1998/namespace', 'xml:space', 'preserve')
                        : null;
                    $node->data = substr($node->data, 0, $start) . ($at <= $from ? $value : '') . substr($node->data, $end);
                }
                $at += $length;
            }
            $all = implode('', array_map(static fn(\DOMText $node): string => $node->data, $nodes));
        }
    }
}
