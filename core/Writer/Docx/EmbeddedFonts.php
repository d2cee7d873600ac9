<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Archive\ZipFile;
use Embrel\Document\Style;

/** The list of fonts of a document, what stands in for each, and those that it carries, obfuscated (ECMA-376, part 4, 17.8.1). */
final readonly class EmbeddedFonts
{
    /** @param array<string, array<string, string>> $fonts font → `Regular`, `Bold`, `Italic`, `BoldItalic` → bytes */
    public function __construct(private array $fonts) {}

    public function table(Style $style): string
    {
        $xml = '';
        foreach (array_unique([$style->font, $style->headingFont]) as $font) {
            $xml .= '<w:font w:name="' . Xml::escaped($font) . '"><w:altName w:val="' . Style::SUBSTITUTES[Style::family($font)] . '"/>';
            foreach ($this->fonts[$font] ?? [] as $face => $bytes) {
                $xml .= "<w:embed{$face} r:id=\"" . self::part($font, $face) . '" w:fontKey="' . self::key($bytes) . '" w:subsetted="1"/>';
            }
            $xml .= '</w:font>';
        }

        return '<w:fonts xmlns:w="' . Body::W . '" xmlns:r="' . Body::R . "\">{$xml}</w:fonts>";
    }

    public function setting(): string
    {
        return $this->fonts === [] ? '' : '<w:embedTrueTypeFonts/><w:saveSubsetFonts/>';
    }

    public function write(ZipFile $zip): void
    {
        $relations = '';
        foreach ($this->fonts as $font => $faces) {
            foreach ($faces as $face => $bytes) {
                $part = self::part($font, $face);
                $zip->text("word/fonts/{$part}.odttf", self::obfuscated($bytes));
                $relations .= "<Relationship Id=\"{$part}\" Type=\"" . Body::R . "/font\" Target=\"fonts/{$part}.odttf\"/>";
            }
        }
        if ($relations !== '') {
            $zip->text(
                'word/_rels/fontTable.xml.rels',
                DocxWriter::DECLARATION . '<Relationships xmlns="' . DocxWriter::PACKAGE_RELATIONS . "\">{$relations}</Relationships>",
            );
        }
    }

    private static function part(string $font, string $face): string
    {
        return 'font' . str_replace(' ', '', $font) . $face;
    }

    /** A GUID of the font itself. */
    private static function key(string $bytes): string
    {
        $hash = strtoupper(substr(hash('sha256', $bytes), 0, 32));

        return '{' . implode('-', [substr($hash, 0, 8), substr($hash, 8, 4), substr($hash, 12, 4), substr($hash, 16, 4), substr($hash, 20)]) . '}';
    }

    /** Its first 32 bytes are mixed with the key, whose bytes go from the last to the first, twice. */
    private static function obfuscated(string $bytes): string
    {
        $key = strrev((string) hex2bin(str_replace(['{', '}', '-'], '', self::key($bytes))));

        return (substr($bytes, 0, 32) ^ ($key . $key)) . substr($bytes, 32);
    }
}
