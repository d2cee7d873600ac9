<?php

declare(strict_types=1);

namespace App\Pages;

use App\Store\NewIds;
use Embrel\Citation\Source;
use Embrel\Citation\WorkNumber;
use Embrel\Reader\SourceFormat;

/**
 * Works over HTTP, each kind of number at an address of its own, in which `{number}` stands for it. What answers may speak any
 * format that sources are read from; CSL-JSON is asked for first. Where no address is set, a stand-in of a few works answers.
 */
final readonly class HttpWorks implements WorkFinder
{
    private const TYPES = '~\A(?:application/(?:json|vnd\.citationstyles\.csl\+json|x-bibtex|x-research-info-systems|xml)'
        . '|text/(?:plain|xml|x-bibtex))\b~i';
    private const ACCEPT = 'application/vnd.citationstyles.csl+json, application/json;q=0.9, '
        . 'application/x-bibtex;q=0.5, application/x-research-info-systems;q=0.4';
    private const BYTES = 512 * 1024;
    private const STAND_IN = 'http://works.example/%s/{number}';

    /** @param array<string, string> $addresses by WorkNumberKind; empty: none is set */
    public function __construct(private Route $route, private Route $standIn, private array $addresses) {}

    public function find(WorkNumber $number): Source
    {
        $address = $this->addresses[$number->kind->value] ?? '';
        [$route, $address] = $address === ''
            ? [$this->standIn, \sprintf(self::STAND_IN, $number->kind->value)]
            : [$this->route, $address];
        // A DOI has slashes of its own.
        $encoded = str_replace('%2F', '/', rawurlencode($number->number));
        try {
            $body = (new Fetch($route, self::TYPES, self::ACCEPT, self::BYTES))->of(str_replace('{number}', $encoded, $address))[1];
        } catch (PageUnreadable $why) {
            throw new PageUnreadable("This {$number->kind->label()} could not be looked up. {$why->getMessage()}", previous: $why);
        }
        $source = SourceFormat::read($body, new NewIds())->sources[0] ?? null;

        return $source === null
            ? throw new PageUnreadable("This {$number->kind->label()} could not be looked up. Nothing is known of it there.")
            : $number->on($source);
    }
}
