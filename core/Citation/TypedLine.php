<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * A line as people type it, on its way to a source. Each rule takes out of it what it finds: what is left is names, title, year
 * and who has published it.
 */
final class TypedLine
{
    private const ADDRESS = '/\bhttps?:\/\/[^\s<>"“”]+|\bwww\.[^\s<>"“”]+/i';
    private const DOI = '/\b(?:doi:\s*|https?:\/\/(?:dx\.)?doi\.org\/)?(10\.\d{4,9}\/[^\s"“”<>]+)/i';
    private const ISBN = '/\bISBN(?:-1[03])?:?\s*([\dX][\dX\- ]{8,15}[\dX])/i';
    private const PAGES = '/[,;.]?\s*\(?\b(?:pp?|S|Seiten?|pages?)\b\.?\s*(\d+(?:\s*[-–—]\s*\d+)?(?:,\s*\d+(?:\s*[-–—]\s*\d+)?)*(?:\s?ff?\b\.?)?|[ivxlc]+(?:\s*[-–—]\s*[ivxlc]+)?\b)\)?/u';
    private const PLACE = '/[,;]?\s*\b((?:ch(?:ap(?:ter)?)?|Kap(?:itel)?|para|sect?|fol|l)\b\.?\s*\d+)\b/ui';
    private const EDITION = '/[,;.(]?\s*\b((?:\d+(?:st|nd|rd|th)|rev(?:ised)?|\d+\.)\s*(?:ed(?:ition|n)?|Aufl(?:age)?))\b\.?\)?/ui';
    private const NUMBER = '/[,;]?\s*\bvol(?:ume)?\.?\s*(\d+)(?:\s*,?\s*(?:no|nr|iss(?:ue)?)\.?\s*(\d+))?|\s(\d{1,4})\s?\((\d{1,4})\)/ui';

    /** @var array<string, string> field of a source → what was found */
    public array $fields = [];
    /** Of the place that is cited. */
    public string $pages = '';

    public function __construct(public string $rest) {}

    public function doi(): void
    {
        if (preg_match(self::DOI, $this->rest, $m) === 1) {
            $this->fields['doi'] = rtrim($m[1], '.,;)');
            $this->rest = str_replace($m[0], '', $this->rest);
        }
    }

    /** An address, with the words that say so before it. */
    public function address(): void
    {
        if (preg_match(self::ADDRESS, $this->rest, $m) !== 1) {
            return;
        }
        $address = rtrim($m[0], '.,;)');
        $this->fields['url'] = str_starts_with(strtolower($address), 'www.') ? "https://{$address}" : $address;
        $before = '(?:retrieved\s+from|available\s+at|abgerufen\s+(?:am|von)|url:?)?\s*';
        $this->rest = preg_replace('/' . $before . preg_quote($m[0], '/') . '/i', '', $this->rest) ?? $this->rest;
    }

    public function isbn(): void
    {
        if (preg_match(self::ISBN, $this->rest, $m) === 1) {
            $this->fields['isbn'] = trim($m[1]);
            $this->rest = str_replace($m[0], '', $this->rest);
        }
    }

    /** Pages; else a chapter, a paragraph, a line. */
    public function pages(): void
    {
        $this->pages = $this->taken(self::PAGES);
        $this->pages = $this->pages === '' ? $this->taken(self::PLACE) : $this->pages;
    }

    /** “2nd ed.” is the edition 2, “rev. ed.” stays “rev.”. */
    public function edition(): void
    {
        $edition = $this->taken(self::EDITION);
        $number = preg_replace('/\s*(?:ed(?:ition|n)?|Aufl(?:age)?)\z|(?<=\d)(?:st|nd|rd|th|\.)(?=\s)/iu', '', $edition) ?? $edition;
        $this->found('edition', $number);
    }

    /** “vol. 3, no. 2”, “3(2)”. */
    public function volume(): void
    {
        if (preg_match(self::NUMBER, $this->rest, $m) === 1) {
            $this->found('volume', $m[1] === '' ? $m[3] ?? '' : $m[1]);
            $this->found('issue', ($m[2] ?? '') === '' ? $m[4] ?? '' : $m[2]);
            $this->rest = str_replace($m[0], '', $this->rest);
        }
    }

    private function found(string $field, string $value): void
    {
        if ($value !== '') {
            $this->fields[$field] = $value;
        }
    }

    private function taken(string $form): string
    {
        if (preg_match($form, $this->rest, $m) !== 1) {
            return '';
        }
        $this->rest = str_replace($m[0], '', $this->rest);

        return trim($m[1]);
    }
}
