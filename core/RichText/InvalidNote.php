<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** A note that does not fit the schema. Nothing of it was taken. */
final class InvalidNote extends \InvalidArgumentException
{
    public static function unknown(string $what, string $path): self
    {
        return new self(
            'The note holds something it cannot hold: '
                . mb_strimwidth(mb_scrub($what), 0, 60, '…')
                . ' at '
                . mb_strimwidth(mb_scrub($path), 0, 120, '…')
                . '.',
        );
    }

    public static function empty(string $path): self
    {
        return new self("The note holds something empty that must not be: {$path}.");
    }

    public static function missingId(NodeType $type): self
    {
        return new self("A block of the note has no id: {$type->value}.");
    }

    public static function unsafeLink(string $path): self
    {
        return new self("The note holds a link that is not an address of the web, mail or telephone, at {$path}.");
    }

    public static function tooDeep(): self
    {
        return new self('The note is nested deeper than its limit.');
    }

    public static function doubleId(string $id): self
    {
        return new self("Two blocks of the note have the same id: {$id}.");
    }

    public static function tooLarge(): self
    {
        return new self('The note would be larger than 2 MB.');
    }
}
