<?php

declare(strict_types=1);

namespace Embrel\Codes;

/** Codes on paper for when a device is lost: ten letters each, two groups of five; each is good once. */
final class Recovery
{
    public const COUNT = 10;
    /** Bytes of chance for one. */
    public const BYTES = 6;

    /** @param string $chance BYTES bytes */
    public static function code(string $chance): string
    {
        return implode('-', str_split(strtolower(substr(Base32::encode($chance . "\0"), 0, 10)), 5));
    }

    /** However it was typed. */
    public static function spelt(string $given): string
    {
        $letters = substr(strtolower((string) preg_replace('/[^A-Za-z0-9]+/', '', $given)), 0, 20);

        return implode('-', str_split($letters === '' ? '-' : $letters, 5));
    }
}
