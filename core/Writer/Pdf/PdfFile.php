<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

/** The objects of a PDF 1.7 file (ISO 32000-1), written one after the other, and the table that finds them. */
final class PdfFile
{
    /** @var array<int, int> object → where it begins */
    private array $offsets = [];
    private int $objects = 0;
    private int $at = 0;

    /** @param resource $out */
    public function __construct(private $out)
    {
        $this->put("%PDF-1.7\n%\xE2\xE3\xCF\xD3\n");
    }

    private function put(string $bytes): void
    {
        fwrite($this->out, $bytes);
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
    public function stream(string $bytes, string $entries = '', ?int $number = null): int
    {
        if (!str_contains($entries, '/Filter')) {
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
        $this->put("{$table}trailer\n<< /Size " . ($this->objects + 1) . " /Root {$root} 0 R /Info {$info} 0 R >>\nstartxref\n{$start}\n%%EOF\n");
    }

    /** A text of the file's own, such as its title. */
    public static function text(string $text): string
    {
        return '<FEFF' . strtoupper(bin2hex(mb_convert_encoding($text, 'UTF-16BE', 'UTF-8'))) . '>';
    }
}
