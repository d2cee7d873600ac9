<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Shelf;
use Embrel\Document\Manuscript;
use Embrel\Limits;
use Embrel\Reader\Html\EmbeddedPictures;

/** A text with its pictures in a zip file, as our own Markdown comes: the one text in it, with the pictures that it names. */
final class Packaged implements DocumentReader
{
    private const TEXTS = '/\A[^\/]+\.(?:md|markdown|html?)\z/i';
    private const NAMED = '/(?<=\]\(<|\]\(|src="|src=\')([^\s<>"\'()]{1,400}?\.(?:png|jpe?g|gif|webp))(?=[>)"\'\s])/i';

    public function read($in, Shelf $shelf, string $work): Manuscript
    {
        try {
            $package = Package::open(Source::copied($in, "{$work}/zip"));
            $texts = array_values(array_filter($package->names(), static fn(string $name): bool => preg_match(self::TEXTS, $name) === 1));
            if (\count($texts) !== 1) {
                throw Unreadable::document(
                    'package',
                    $texts === [] ? 'it holds no Markdown file and no web page' : 'it holds several texts. Take them in one by one',
                );
            }
            $text
                = preg_replace_callback(
                    self::NAMED,
                    static function (array $m) use ($package, $shelf): string {
                        $name = preg_replace('/\A\.\//', '', rawurldecode($m[1])) ?? '';

                        return $package->has($name)
                            ? EmbeddedPictures::SCHEME . $shelf->keep($package->pieces($name, Limits::PACKAGE_PART))
                            : $m[1];
                    },
                    $package->text($texts[0]),
                ) ?? '';
        } catch (BadPackage $why) {
            throw Unreadable::document('package', $why->getMessage());
        }
        $stream = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
        fwrite($stream, $text);
        rewind($stream);
        $reader = Format::ofPath($texts[0])->reader();

        return $reader instanceof DocumentReader ? $reader->read($stream, $shelf, $work) : throw Unreadable::unknownFormat('zip');
    }
}
