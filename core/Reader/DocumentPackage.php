<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Archive\BadPackage;
use Embrel\Archive\BrokenXml;
use Embrel\Archive\Package;
use Embrel\Document\Manuscript;
use Embrel\Document\TooManyPieces;

/** A word processor's document, which is a package of XML: what may be wrong with it, in sentences. */
final class DocumentPackage
{
    /**
     * @param resource                       $in
     * @param string                         $kind what it should be
     * @param \Closure(Package): Manuscript $read
     *
     * @throws Unreadable
     */
    public static function read($in, string $work, string $kind, \Closure $read): Manuscript
    {
        $path = Source::copied($in, "{$work}/package");
        try {
            return $read(Package::open($path));
        } catch (BadPackage|TooManyPieces $why) {
            throw Unreadable::document($kind, $why->getMessage());
        } catch (BrokenXml $why) {
            throw $why->hasDoctype
                ? Unreadable::hasDoctype($why->atLine)
                : Unreadable::document($kind, 'its XML is not well-formed: ' . $why->getMessage());
        }
    }
}
