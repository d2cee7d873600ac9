<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Archive\Xml;

/** What a PDF file says of itself for archives: XMP (ISO 16684-1) as PDF/A-2u (ISO 19005-2) has it, and the colours that it means. */
final class Archival
{
    /** @param array{title: string, author: string, subject: string, language: string} $about */
    public static function metadata(PdfFile $file, array $about): int
    {
        $text = static fn(string $name, string $value): string => $value === '' ? '' : "<dc:{$name}><rdf:Alt><rdf:li xml:lang=\"x-default\">"
            . Xml::escaped(Xml::plain($value)) . "</rdf:li></rdf:Alt></dc:{$name}>";
        $xml = "<?xpacket begin=\"\u{FEFF}\" id=\"W5M0MpCehiHzreSzNTczkc9d\"?>\n"
            . '<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">'
            . '<rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/" xmlns:pdfaid="http://www.aiim.org/pdfa/ns/id/">'
            . '<pdfaid:part>2</pdfaid:part><pdfaid:conformance>U</pdfaid:conformance><pdf:Producer>Embrel</pdf:Producer>'
            . $text('title', $about['title'])
            . $text('description', $about['subject'])
            . ($about['author'] === '' ? '' : '<dc:creator><rdf:Seq>'
            . '<rdf:li>' . Xml::escaped(Xml::plain($about['author'])) . '</rdf:li></rdf:Seq></dc:creator>')
            . '<dc:language><rdf:Bag><rdf:li>' . Xml::escaped($about['language']) . '</rdf:li></rdf:Bag></dc:language>'
            . "</rdf:Description></rdf:RDF></x:xmpmeta>\n<?xpacket end=\"w\"?>";

        // Read by programs that know nothing of PDF: it is not packed.
        return $file->stream($xml, '/Type /Metadata /Subtype /XML', packed: false);
    }

    /** The colours of the file are sRGB: a profile of three colours and one curve (ICC.1:2001-04). */
    public static function intent(PdfFile $file): int
    {
        $profile = $file->stream(self::profile(), '/N 3');

        return $file->object(
            "<< /Type /OutputIntent /S /GTS_PDFA1 /OutputConditionIdentifier (sRGB) /Info (sRGB IEC61966-2.1) /DestOutputProfile {$profile} 0 R >>",
        );
    }

    private static function profile(): string
    {
        $fixed = static fn(float ...$numbers): string => pack('N*', ...array_map(
            static fn(float $one): int => (int) round($one * 65536) & 0xFFFFFFFF,
            $numbers,
        ));
        $xyz = static fn(float $x, float $y, float $z): string => "XYZ \0\0\0\0" . $fixed($x, $y, $z);
        $name = 'sRGB IEC61966-2.1';
        $curve = '';
        for ($i = 0; $i < 256; ++$i) {
            $value = $i / 255;
            $curve .= pack('n', (int) round(65535 * ($value <= 0.04045 ? $value / 12.92 : (($value + 0.055) / 1.055) ** 2.4)));
        }
        $curve = "curv\0\0\0\0" . pack('N', 256) . $curve;
        // The colours of IEC 61966-2-1, adapted to the light of D50.
        $tags = [
            'desc' => "desc\0\0\0\0" . pack('N', \strlen($name) + 1) . "{$name}\0" . str_repeat("\0", 78),
            'cprt' => "text\0\0\0\0No copyright, use freely\0",
            'wtpt' => $xyz(0.9642, 1.0, 0.8249),
            'rXYZ' => $xyz(0.43607, 0.22249, 0.01392),
            'gXYZ' => $xyz(0.38515, 0.71687, 0.09708),
            'bXYZ' => $xyz(0.14307, 0.06061, 0.71410),
            'rTRC' => $curve,
            'gTRC' => $curve,
            'bTRC' => $curve,
        ];
        $table = pack('N', \count($tags));
        $data = '';
        $at = 128 + 4 + 12 * \count($tags);
        $places = [];
        foreach ($tags as $tag => $bytes) {
            if (!isset($places[$bytes])) {
                $places[$bytes] = $at + \strlen($data);
                $data .= $bytes . str_repeat("\0", -\strlen($bytes) & 3);
            }
            $table .= $tag . pack('NN', $places[$bytes], \strlen($bytes));
        }
        $head = pack('N', $at + \strlen($data)) . "\0\0\0\0" . pack('N', 0x02100000) . 'mntrRGB XYZ '
            . pack('n6', 2026, 1, 1, 0, 0, 0) . "acsp\0\0\0\0" . str_repeat("\0", 24) . $fixed(0.9642, 1.0, 0.8249) . str_repeat("\0", 48);

        return substr(str_pad($head, 128, "\0"), 0, 128) . $table . $data;
    }
}
