<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\Xml;
use Embrel\Plan\Properties;

/** What stands beside the content in every file of OpenDocument (OpenDocument 1.3, parts 2 and 3). */
final class OdfPackage
{
    /** @param array<string, string> $parts path → media type, beside content, styles and meta */
    public static function manifest(string $mediaType, array $parts): string
    {
        $all = ['/' => $mediaType, 'content.xml' => 'text/xml', 'styles.xml' => 'text/xml', 'meta.xml' => 'text/xml'] + $parts;
        $entries = '';
        foreach ($all as $path => $type) {
            $version = $path === '/' ? ' manifest:version="1.3"' : '';
            $entries .= "<manifest:file-entry manifest:full-path=\"{$path}\"{$version} manifest:media-type=\"{$type}\"/>";
        }

        return '<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.3">'
            . "{$entries}</manifest:manifest>";
    }

    /** @param string $namespaces as the root of each part declares them */
    public static function meta(string $namespaces, string $title, Properties $properties): string
    {
        return "<office:document-meta{$namespaces}><office:meta><meta:generator>Embrel</meta:generator>"
            . '<dc:title>' . Xml::escaped($title) . '</dc:title>'
            . '<dc:subject>' . Xml::escaped($properties->subject) . '</dc:subject>'
            . '<meta:initial-creator>' . Xml::escaped($properties->author) . '</meta:initial-creator>'
            . '<dc:creator>' . Xml::escaped($properties->author) . '</dc:creator>'
            . '<dc:language>' . Xml::escaped($properties->language) . '</dc:language></office:meta></office:document-meta>';
    }
}
