<?php

declare(strict_types=1);

namespace Embrel\Archive;

/** Puts the parts of a document together as a zip file in a work folder. */
final class ZipFile
{
    /** What is larger waits in a file beside the package, and not in memory: a document may hold a thousand pictures. */
    private const HELD = 262_144;

    private \ZipArchive $zip;
    private int $waiting = 0;

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
        if (\strlen($content) <= self::HELD) {
            $this->zip->addFromString($name, $content);

            return $this;
        }
        $path = $this->path . '.' . ++$this->waiting;
        $out = fopen($path, 'w');
        if ($out === false || fwrite($out, $content) !== \strlen($content) || !fclose($out)) {
            throw new \RuntimeException('The file could not be written in the work folder.');
        }

        return $this->file($name, $path);
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
