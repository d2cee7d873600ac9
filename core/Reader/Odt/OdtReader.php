<?php

declare(strict_types=1);

namespace Embrel\Reader\Odt;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Shelf;
use Embrel\Archive\Xml;
use Embrel\Document\Manuscript;
use Embrel\Document\Reading;
use Embrel\Reader\DocumentPackage;
use Embrel\Reader\DocumentReader;
use Embrel\Reader\Unreadable;

/** OpenDocument texts (OpenDocument 1.3, part 3). */
final class OdtReader implements DocumentReader
{
    private const KIND = 'OpenDocument text (odt)';
    private const MEDIA_TYPE = 'application/vnd.oasis.opendocument.text';

    /** @param bool $refusesRecorded as if changes that were recorded had never been made */
    public function __construct(private readonly bool $refusesRecorded = false) {}

    public function read($in, Shelf $shelf, string $work): Manuscript
    {
        return DocumentPackage::read(
            $in,
            $work,
            self::KIND,
            fn(Package $package): Manuscript => $this->manuscript($package, $shelf, $work),
        );
    }

    private function manuscript(Package $package, Shelf $shelf, string $work): Manuscript
    {
        if ($package->has('mimetype') && !str_starts_with($package->text('mimetype', 1024), self::MEDIA_TYPE)) {
            throw Unreadable::document(self::KIND, 'it says that it is a document of another kind');
        }
        if ($package->has('META-INF/manifest.xml') && str_contains($package->text('META-INF/manifest.xml'), 'encryption-data')) {
            throw BadPackage::encrypted();
        }
        $reading = new Reading();
        if (preg_grep('/\A(?:Basic|Scripts)\/./', $package->names()) !== []) {
            $reading->remark('The document holds macros. They were left out.');
        }
        $styles = new OdtStyles();
        if ($package->has('styles.xml')) {
            $this->part($package, 'styles.xml', $work, $styles, null);
        }
        if ($package->has('meta.xml')) {
            $this->meta(Xml::of($package->text('meta.xml')), $reading);
        }
        if (!$package->has('content.xml')) {
            throw BadPackage::missing('content.xml');
        }
        $this->part(
            $package,
            'content.xml',
            $work,
            $styles,
            fn(Xml $xml) => (new OdtBody($xml, $reading, $styles, $package, $shelf, $this->refusesRecorded))->blocks(null),
        );

        return $reading->done();
    }

    /** @param (\Closure(Xml): void)|null $text reads the text that the reader stands on */
    private function part(Package $package, string $name, string $work, OdtStyles $styles, ?\Closure $text): void
    {
        $package->copy($name, "{$work}/{$name}");
        $xml = Xml::open("{$work}/{$name}");
        $xml->root();
        foreach ($xml->children() as $child) {
            match ($child) {
                'font-face-decls' => $styles->fonts($xml),
                'styles', 'automatic-styles' => $styles->read($xml),
                'body' => $this->body($xml, $text),
                default => null,
            };
        }
    }

    /** @param (\Closure(Xml): void)|null $text */
    private function body(Xml $xml, ?\Closure $text): void
    {
        foreach ($xml->children() as $name) {
            $name === 'text' && $text !== null ? $text($xml) : null;
        }
    }

    private function meta(Xml $xml, Reading $reading): void
    {
        $xml->root();
        foreach ($xml->children() as $meta) {
            foreach ($meta === 'meta' ? $xml->children() : [] as $name) {
                match ($name) {
                    'initial-creator' => ($reading->author = $xml->text()),
                    'creator' => ($reading->author = $reading->author === '' ? $xml->text() : $reading->author),
                    'language' => ($reading->language = trim($xml->text())),
                    default => null,
                };
            }
        }
    }
}
