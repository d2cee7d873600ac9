<?php

declare(strict_types=1);

namespace Embrel\Archive;

use Embrel\Limits;

/** A package that cannot be read, or must not be: says why. */
final class BadPackage extends \RuntimeException
{
    public static function notZip(): self
    {
        return new self('it is not a package of that kind');
    }

    public static function compound(): self
    {
        return new self(
            'it is encrypted with a password, or of the older kind from before 2007. Open it in a word processor, save it without a '
                . 'password in the newer kind, and try again',
        );
    }

    public static function encrypted(): self
    {
        return new self('it is encrypted (password protected). Save it without a password and try again');
    }

    public static function damaged(): self
    {
        return new self('its package is damaged or incomplete. Fetch or save it again');
    }

    public static function tooManyEntries(): self
    {
        return new self('its package has more than ' . number_format(Limits::PACKAGE_ENTRIES) . ' entries, the most that are read');
    }

    public static function tooLarge(): self
    {
        return new self(
            'unpacked, it or a part of it is larger than the size limit ('
                . intdiv(Limits::PACKAGE_PART, 1024 * 1024)
                . ' MB for a part, '
                . intdiv(Limits::PACKAGE, 1024 * 1024)
                . ' MB for all)',
        );
    }

    public static function missing(string $name): self
    {
        return new self('it has no part called “' . mb_scrub(mb_strcut($name, 0, 200)) . '”, which every such document has');
    }
}
