<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Reading;

/** Elements that only stand around others, in the body and within a line alike. */
final readonly class Wrappers
{
    public function __construct(private Xml $xml, private Reading $reading) {}

    /**
     * A content control: what it holds, unless it is a contents list.
     *
     * @param \Closure(string): void $read
     */
    public function control(\Closure $read): void
    {
        $isContents = false;
        foreach ($this->xml->children() as $name) {
            if ($name === 'sdtPr') {
                foreach ($this->xml->children() as $property) {
                    foreach ($property === 'docPartObj' ? $this->xml->children() : [] as $part) {
                        $isContents
                            = $isContents
                            || ($part === 'docPartGallery'
                                && str_contains(strtolower((string) $this->xml->get('w:val')), 'table of contents'));
                    }
                }
            } elseif ($name === 'sdtContent' && $isContents) {
                $this->reading->contents();
            } elseif ($name === 'sdtContent') {
                foreach ($this->xml->children() as $child) {
                    $read($child);
                }
            }
        }
    }

    /**
     * The first of several forms of the same content, which readers choose from.
     *
     * @param \Closure(string): void $read
     */
    public function alternative(\Closure $read): void
    {
        $isFirst = true;
        foreach ($this->xml->children() as $_) {
            if ($isFirst) {
                foreach ($this->xml->children() as $child) {
                    $read($child);
                }
            }
            $isFirst = false;
        }
    }
}
