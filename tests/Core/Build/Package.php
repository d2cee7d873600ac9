<?php

declare(strict_types=1);

namespace Tests\Core\Build;

/** Makes the packages of documents by hand, as other programs write them, and opens those that were written. */
final class Package
{
    private const W = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" '
        . 'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';
    private const ODF = 'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" '
        . 'xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" '
        . 'xmlns:fo="urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0" '
        . 'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:draw="urn:oasis:names:tc:opendocument:xmlns:drawing:1.0" '
        . 'xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:dc="http://purl.org/dc/elements/1.1/" office:version="1.3"';

    /** @param array<string, string> $parts name → content */
    public static function zip(array $parts): string
    {
        $path = tempnam(sys_get_temp_dir(), 'zip') ?: throw new \RuntimeException('No file.');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($parts as $name => $content) {
            $zip->addFromString((string) $name, $content);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /**
     * @param string                $body   of the document, as WordprocessingML
     * @param string                $styles of the styles part
     * @param array<string, string> $parts  more, or others
     * @param string                $relations of the document, more of them
     */
    public static function docx(string $body, string $styles = '', array $parts = [], string $relations = ''): string
    {
        $type = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

        return self::zip(
            $parts + [
                '[Content_Types].xml'
                    => '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" '
                        . 'ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" '
                        . 'ContentType="application/xml"/><Override PartName="/word/document.xml" '
                        . 'ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
                '_rels/.rels' => "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"r1\" Type=\"{$type}/officeDocument\" Target=\"word/document.xml\"/></Relationships>",
                'word/_rels/document.xml.rels' => "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"s\" Type=\"{$type}/styles\" Target=\"styles.xml\"/>{$relations}</Relationships>",
                'word/styles.xml'
                    => '<w:styles '
                    . self::W
                    . "><w:style w:type=\"paragraph\" w:default=\"1\" w:styleId=\"Standard\"><w:name w:val=\"Normal\"/></w:style>{$styles}</w:styles>",
                'word/document.xml'
                    => '<?xml version="1.0" encoding="UTF-8"?><w:document '
                    . self::W
                    . "><w:body>{$body}<w:sectPr><w:pgSz w:w=\"11906\" w:h=\"16838\"/><w:pgMar w:top=\"1134\" w:right=\"1134\" w:bottom=\"1134\" w:left=\"1700\" w:header=\"709\" w:footer=\"709\" w:gutter=\"0\"/></w:sectPr></w:body></w:document>",
            ],
        );
    }

    public static function paragraph(string $text, string $properties = '', string $run = ''): string
    {
        return '<w:p>'
            . ($properties === '' ? '' : "<w:pPr>{$properties}</w:pPr>")
            . '<w:r>'
            . ($run === '' ? '' : "<w:rPr>{$run}</w:rPr>")
            . "<w:t xml:space=\"preserve\">{$text}</w:t></w:r></w:p>";
    }

    public static function field(string $instruction, string $shows): string
    {
        return "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText>{$instruction}</w:instrText></w:r><w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>{$shows}<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>";
    }

    /** @param array<string, string> $parts */
    public static function odt(string $text, string $automatic = '', string $styles = '', string $masters = '', array $parts = []): string
    {
        return self::zip(
            $parts + [
                'mimetype' => 'application/vnd.oasis.opendocument.text',
                'content.xml'
                    => '<office:document-content '
                    . self::ODF
                    . "><office:automatic-styles>{$automatic}</office:automatic-styles><office:body><office:text>{$text}</office:text></office:body></office:document-content>",
                'styles.xml'
                    => '<office:document-styles ' . self::ODF . "><office:styles>{$styles}</office:styles>{$masters}</office:document-styles>",
            ],
        );
    }

    /** @return array<string, string> name → content, in the order of the package */
    public static function parts(string $bytes): array
    {
        $path = tempnam(sys_get_temp_dir(), 'zip') ?: throw new \RuntimeException('No file.');
        file_put_contents($path, $bytes);
        $zip = new \ZipArchive();
        if ($zip->open($path, \ZipArchive::CHECKCONS) !== true) {
            throw new \RuntimeException('This is no package.');
        }
        $parts = [];
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $parts[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
        }
        unlink($path);

        return $parts;
    }

    public static function png(int $width = 40, int $height = 30): string
    {
        ob_start();
        imagepng(imagecreatetruecolor($width, $height));

        return (string) ob_get_clean();
    }
}
