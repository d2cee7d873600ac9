<?php

declare(strict_types=1);

namespace App\Pages;

/** A page could not be read; the message says why, in a sentence for the person. */
final class PageUnreadable extends \RuntimeException
{
    public static function noAddress(): self
    {
        return new self('This is not an address of a page: it begins with http:// or https://.');
    }

    public static function noNumber(): self
    {
        return new self('This is no number of a work: a DOI, an ISBN, of arXiv or of PubMed.');
    }

    public static function notPublic(): self
    {
        return new self('The address leads to a machine that is not open to everyone, so it is not asked.');
    }

    public static function notFound(string $host): self
    {
        return new self("There is no machine called {$host}.");
    }

    public static function answered(int $status): self
    {
        return new self($status === 404 ? 'The site has no such page.' : "The site answered with an error ({$status}).");
    }

    public static function tooManyRedirects(): self
    {
        return new self('The address leads on to others more than three times.');
    }

    public static function tooLarge(): self
    {
        return new self('The page is larger than 2 MB.');
    }

    public static function tooSlow(): self
    {
        return new self('The site did not answer within 5 seconds.');
    }

    public static function noText(): self
    {
        return new self('There is no text at this address: it is a picture, a sound or another file.');
    }

    public static function noAnswer(): self
    {
        return new self('The site cannot be reached.');
    }
}
