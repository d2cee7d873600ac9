<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Document\PictureType;

/** The objects of a PDF 1.7 file (ISO 32000-1), written one after the other, and the table that finds them. */
final class PdfFile
{
    /** @var array<int, int> object → where it begins */
    private array $offsets = [];
    private int $objects = 0;
    private int $at = 0;
    private readonly \HashContext $print;

    /** @param resource $out */
    public function __construct(private $out)
    {
        $this->print = hash_init('xxh128');
        $this->put("%PDF-1.7\n%\xE2\xE3\xCF\xD3\n");
    }

    private function put(string $bytes): void
    {
        fwrite($this->out, $bytes);
        hash_update($this->print, $bytes);
        $this->at += \strlen($bytes);
    }

    /** A number for an object that is written later. */
    public function reserve(): int
    {
        return ++$this->objects;
    }

    public function object(string $body, ?int $number = null): int
    {
        $number ??= $this->reserve();
        $this->offsets[$number] = $this->at;
        $this->put("{$number} 0 obj\n{$body}\nendobj\n");

        return $number;
    }

    /** @param string $entries of its dictionary; what it holds is packed unless they name a filter */
    public function stream(string $bytes, string $entries = '', ?int $number = null, bool $packed = true): int
    {
        if ($packed && !str_contains($entries, '/Filter')) {
            $bytes = (string) gzcompress($bytes, 6);
            $entries .= ' /Filter /FlateDecode';
        }

        return $this->object("<< {$entries} /Length " . \strlen($bytes) . " >>\nstream\n{$bytes}\nendstream", $number);
    }

    public function end(int $root, int $info): void
    {
        $start = $this->at;
        ksort($this->offsets);
        $table = "xref\n0 " . ($this->objects + 1) . "\n0000000000 65535 f \n";
        foreach ($this->offsets as $offset) {
            $table .= \sprintf("%010d 00000 n \n", $offset);
        }
        // What it holds is what tells it from another (14.4).
        $id = strtoupper(hash_final(hash_copy($this->print)));
        $this->put(
            "{$table}trailer\n<< /Size " . ($this->objects + 1) . " /Root {$root} 0 R /Info {$info} 0 R /ID [<{$id}> <{$id}>] >>\nstartxref\n{$start}\n%%EOF\n",
        );
    }

    /** A text of the file's own, such as its title. */
    public static function text(string $text): string
    {
        return '<FEFF' . strtoupper(bin2hex(mb_convert_encoding($text, 'UTF-16BE', 'UTF-8'))) . '>';
    }

    /** Puts a picture into a file; a PNG without any see-through part as it is, others as JPEG. */
    public static function picture(self $file, string $bytes): int
    {
        if (PictureType::of($bytes) === PictureType::Png) {
            $plain = PngStream::of($bytes);
            if ($plain !== null) {
                return $file->stream(
                    $plain['data'],
                    "/Type /XObject /Subtype /Image /Width {$plain['width']} /Height {$plain['height']} /ColorSpace {$plain['space']} /BitsPerComponent {$plain['depth']} /Filter /FlateDecode /DecodeParms << /Predictor 15 /Colors {$plain['colours']} /BitsPerComponent {$plain['depth']} /Columns {$plain['width']} >>",
                );
            }
            $image = imagecreatefromstring($bytes) ?: throw new \RuntimeException('A picture is damaged.');
            // On white: the format of photographs knows no see-through.
            $ground = imagecreatetruecolor(imagesx($image), imagesy($image));
            imagefill($ground, 0, 0, (int) imagecolorallocate($ground, 255, 255, 255));
            imagecopy($ground, $image, 0, 0, 0, 0, imagesx($image), imagesy($image));
            ob_start();
            imagejpeg($ground, null, 92);
            $bytes = (string) ob_get_clean();
        }
        $size = getimagesizefromstring($bytes) ?: [1, 1];
        $space = ($size['channels'] ?? 3) === 1 ? '/DeviceGray' : (($size['channels'] ?? 3) === 4 ? '/DeviceCMYK' : '/DeviceRGB');

        return $file->stream(
            $bytes,
            "/Type /XObject /Subtype /Image /Width {$size[0]} /Height {$size[1]} /ColorSpace {$space} /BitsPerComponent 8 /Filter /DCTDecode",
        );
    }
}
