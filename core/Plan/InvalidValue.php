<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Limits;

/** A value that a plan or a topic cannot carry. */
final class InvalidValue extends \InvalidArgumentException
{
    public static function dye(string $given): self
    {
        return new self(
            'A dye is one of the eight names or a colour such as #2f6690, not “' . mb_strimwidth(mb_scrub($given), 0, 30, '…') . '”.',
        );
    }

    public static function target(int $given): self
    {
        return new self('A target is between 1 and ' . number_format(Limits::TARGET_WORDS) . " words, not {$given}.");
    }

    public static function field(string $field, string $given): self
    {
        return new self("“{$field}” cannot be “" . mb_strimwidth(mb_scrub($given), 0, 40, '…') . '”.');
    }

    public static function titleTooLong(): self
    {
        return new self('A title holds at most ' . number_format(Limits::TITLE) . ' characters. Put the rest into the note.');
    }
}
