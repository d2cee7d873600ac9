<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\Xml;
use Embrel\Document\Document;

/** Fills the fields that a template names in its text, such as {title}, also where a word processor divided one into several runs. */
final class TemplateFields
{
    private const FIELD = '/\{(title|subtitle|author|subject|date)\}/';

    /**
     * @param string $namespace of the elements
     * @param string $text      the local name of the elements that hold text
     */
    public static function filled(string $xml, string $namespace, string $text, Document $document): string
    {
        $dom = Xml::dom($xml);
        foreach (iterator_to_array($dom->getElementsByTagNameNS($namespace, 'p'), false) as $paragraph) {
            if (preg_match(self::FIELD, $paragraph->textContent) === 1) {
                self::fill($paragraph, $namespace, $text, $document);
            }
        }

        return (string) $dom->saveXML();
    }

    private static function fill(\DOMElement $paragraph, string $namespace, string $text, Document $document): void
    {
        $pieces = $text === '' ? [] : iterator_to_array($paragraph->getElementsByTagNameNS($namespace, $text), false);
        $nodes = [];
        foreach ($pieces === [] ? [$paragraph] : $pieces as $piece) {
            foreach ((new \DOMXPath($paragraph->ownerDocument ?? new \DOMDocument()))->query('.//text()', $piece) ?: [] as $node) {
                $node instanceof \DOMText ? $nodes[] = $node : null;
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
                    $text !== '' && $node->parentNode instanceof \DOMElement ? $node->parentNode->setAttributeNS('http://www.w3.org/XML/1998/namespace', 'xml:space', 'preserve') : null;
                    $node->data = substr($node->data, 0, $start) . ($at <= $from ? $value : '') . substr($node->data, $end);
                }
                $at += $length;
            }
            $all = implode('', array_map(static fn(\DOMText $node): string => $node->data, $nodes));
        }
    }
}
