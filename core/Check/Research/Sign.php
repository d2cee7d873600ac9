<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

/** By what a topic looks like research and not like a section. */
enum Sign: string
{
    case Address = 'address';
    case Quotation = 'quotation';
    case KnownSource = 'known';
    case Reference = 'reference';

    public function says(): string
    {
        return match ($this) {
            self::Address => 'an address of the web',
            self::Quotation => 'quotation marks around it',
            self::KnownSource => 'names one of the sources',
            self::Reference => 'reads like a reference',
        };
    }

    /** What is offered first. */
    public function filing(): Filing
    {
        return $this === self::Quotation ? Filing::Quote : Filing::Source;
    }
}
