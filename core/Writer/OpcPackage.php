<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\Xml;
use Embrel\Plan\Properties;

/** What stands beside the content in every file of Office Open XML (ECMA-376, part 2). */
final class OpcPackage
{
    /** The part of core properties (part 2, 11). */
    public static function properties(string $title, Properties $properties): string
    {
        return '<cp:coreProperties xmlns:cp="http://schemas.openxmlformats.org/package/2006/metadata/core-properties" '
            . 'xmlns:dc="http://purl.org/dc/elements/1.1/">'
            . '<dc:title>' . Xml::escaped($title) . '</dc:title>'
            . '<dc:subject>' . Xml::escaped($properties->subject) . '</dc:subject>'
            . '<dc:creator>' . Xml::escaped($properties->author) . '</dc:creator>'
            . '<dc:language>' . Xml::escaped($properties->language) . '</dc:language></cp:coreProperties>';
    }
}
