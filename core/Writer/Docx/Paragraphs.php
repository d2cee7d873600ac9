<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Layout\Text\Wrapping;
use Embrel\Writer\StyleNames;

/** Paragraphs as WordprocessingML, each in its style, the way that it is read. */
final readonly class Paragraphs
{
    public function __construct(private StyleNames $names) {}

    /**
     * @param string $style      by our name; empty: none
     * @param string $properties as XML, in the order of the standard (ECMA-376, 17.3.1.26)
     */
    public function of(string $style, string $runs, string $properties = ''): string
    {
        $style = $style === '' ? '' : '<w:pStyle w:val="' . $this->names->of($style) . '"/>';
        if (Wrapping::isRightToLeft(strip_tags($runs))) {
            // Its place among the properties is before these.
            $parts = preg_split('/(?=<w:(?:spacing|ind|contextualSpacing|jc|outlineLvl)\b)/', $properties, 2) ?: [''];
            $properties = "{$parts[0]}<w:bidi/>" . ($parts[1] ?? '');
        }
        $properties = $style . $properties;

        return '<w:p>' . ($properties === '' ? '' : "<w:pPr>{$properties}</w:pPr>") . $runs . '</w:p>';
    }
}
