<?php

declare(strict_types=1);

namespace Embrel\Archive;

use Embrel\Limits;

/**
 * The zip file of a document, read. Nothing is unpacked under a name that the file gives: a part
 * is asked for by its name and goes where the caller says. Sizes are counted while they are read,
 * as what the file says of them may be wrong.
 */
final class Package
{
    /** Of one part against its packed size: text packs to a twentieth, a bomb to a thousandth. */
    private const RATIO = 250;
    private const PIECE = 65536;
    /** The signs that a compound file begins with: old documents, and new ones under a password. */
    private const COMPOUND = "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1";

    private int $unpacked = 0;
    /** @var resource|null a temporary file, held open as it goes when it is closed */
    private $file; // @phpstan-ignore property.onlyWritten
    /** @var array<string, int> name → index */
    private array $names = [];

    private function __construct(private readonly \ZipArchive $zip)
    {
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $this->names[(string) $zip->getNameIndex($i)] ??= $i;
        }
    }

    /** @throws BadPackage when it is no zip file, or one that must not be read */
    public static function open(string $path): self
    {
        $start = (string) file_get_contents($path, false, null, 0, 8);
        if ($start === self::COMPOUND) {
            throw BadPackage::compound();
        }
        $zip = new \ZipArchive();
        if (!str_starts_with($start, 'PK') || $zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw str_starts_with($start, 'PK') ? BadPackage::damaged() : BadPackage::notZip();
        }
        if ($zip->numFiles > Limits::PACKAGE_ENTRIES) {
            throw BadPackage::tooManyEntries();
        }
        $total = 0;
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $stat = $zip->statIndex($i);
            $total += $stat === false ? 0 : $stat['size'];
            if ($stat !== false && ($stat['encryption_method'] ?? 0) !== 0) {
                throw BadPackage::encrypted();
            }
        }

        return $total > Limits::PACKAGE ? throw BadPackage::tooLarge() : new self($zip);
    }

    /**
     * A package that is at hand as bytes; the file that it takes meanwhile goes with it.
     *
     * @throws BadPackage
     */
    public static function ofBytes(string $bytes): self
    {
        $file = tmpfile() ?: throw new \RuntimeException('No temporary file could be made.');
        fwrite($file, $bytes);
        fflush($file);
        $package = self::open(stream_get_meta_data($file)['uri'] ?? '');
        $package->file = $file;

        return $package;
    }

    public function has(string $name): bool
    {
        return isset($this->names[$name]);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->names));
    }

    /** @throws BadPackage when it is missing or larger than a part may be */
    public function text(string $name, int $most = Limits::PACKAGE_PART): string
    {
        $text = '';
        foreach ($this->pieces($name, $most) as $piece) {
            $text .= $piece;
        }

        return $text;
    }

    /**
     * Copies a part to a path of the caller's.
     *
     * @throws BadPackage
     */
    public function copy(string $name, string $to, int $most = Limits::PACKAGE_PART): void
    {
        $out = fopen($to, 'w') ?: throw new \RuntimeException('A part of the document could not be unpacked in the work folder.');
        foreach ($this->pieces($name, $most) as $piece) {
            fwrite($out, $piece);
        }
        fclose($out);
    }

    /** @return \Generator<int, string> */
    public function pieces(string $name, int $most): \Generator
    {
        $stat = isset($this->names[$name]) ? $this->zip->statIndex($this->names[$name]) : false;
        $in = $stat === false ? false : $this->zip->getStreamIndex($this->names[$name]);
        if ($stat === false || $in === false) {
            throw BadPackage::missing($name);
        }
        $read = 0;
        while (!feof($in)) {
            $piece = @fread($in, self::PIECE);
            if ($piece === false || ($piece === '' && !feof($in))) {
                throw BadPackage::damaged();
            }
            $read += \strlen($piece);
            $this->unpacked += \strlen($piece);
            if (
                $read > $most
                || $this->unpacked > Limits::PACKAGE
                || ($read > 1024 * 1024 && $read > self::RATIO * max(1, $stat['comp_size']))
            ) {
                throw BadPackage::tooLarge();
            }
            yield $piece;
        }
        fclose($in);
        if ($read < $stat['size']) {
            throw BadPackage::damaged();
        }
    }
}
