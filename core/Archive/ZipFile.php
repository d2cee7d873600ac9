<?php

declare(strict_types=1);

namespace Embrel\Archive;

/** Puts the parts of a document together as a zip file in a work folder. */
final class ZipFile
{
    private \ZipArchive $zip;

    /** @throws \RuntimeException when the file cannot be made */
    public function __construct(private readonly string $path)
    {
        $this->zip = new \ZipArchive();
        if ($this->zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException('The file could not be written in the work folder.');
        }
    }

    public function text(string $name, string $content): self
    {
        $this->zip->addFromString($name, $content);

        return $this;
    }

    /** Without packing, as some formats want their first entry. */
    public function stored(string $name, string $content): self
    {
        $this->zip->addFromString($name, $content);
        $this->zip->setCompressionName($name, \ZipArchive::CM_STORE);

        return $this;
    }

    public function file(string $name, string $path): self
    {
        $this->zip->addFile($path, $name);

        return $this;
    }

    /** @param resource $out the finished file goes here */
    public function sendTo($out): void
    {
        if (!$this->zip->close() || ($in = fopen($this->path, 'r')) === false) {
            throw new \RuntimeException('The file could not be written in the work folder.');
        }
        stream_copy_to_stream($in, $out);
        fclose($in);
    }
}
