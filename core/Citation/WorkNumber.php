<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** A number by which a work is known everywhere: a DOI, an ISBN, of arXiv, of PubMed. */
final readonly class WorkNumber
{
    /** @param string $number without what says of which kind it is */
    private function __construct(public WorkNumberKind $kind, public string $number) {}

    /** Where a line is such a number and nothing else; null: it is not. */
    public static function of(string $line): ?self
    {
        $line = trim($line, " \t\n\r\0\x0B.,;<>");
        $form = static fn(string $pattern): string => preg_match("~\\A{$pattern}\\z~i", $line, $m) === 1 ? $m[1] : '';
        $doi = $form('(?:doi:?\s*|https?://(?:dx\.)?doi\.org/)?(10\.\d{4,9}/[^\s"<>]+)');
        $arxiv = $form('(?:arxiv:?\s*|https?://arxiv\.org/(?:abs|pdf)/)(\d{4}\.\d{4,5}(?:v\d+)?|[a-z-]+(?:\.[a-z]{2})?/\d{7}(?:v\d+)?)(?:\.pdf)?');
        $pubmed = $form('(?:pmid:?\s*|https?://pubmed\.ncbi\.nlm\.nih\.gov/)(\d{1,9})/?');
        $isbn = strtoupper(str_replace(['-', ' ', '–'], '', $form('(?:isbn(?:-1[03])?:?\s*)?((?:97[89][\s–-]?)?\d[\d\s–-]{8,12}[\dx])')));

        return match (true) {
            $doi !== '' => new self(WorkNumberKind::Doi, $doi),
            $arxiv !== '' => new self(WorkNumberKind::Arxiv, $arxiv),
            $pubmed !== '' => new self(WorkNumberKind::Pubmed, $pubmed),
            self::isIsbn($isbn) => new self(WorkNumberKind::Isbn, $isbn),
            default => null,
        };
    }

    /** Whether its last digit is right (ISO 2108). */
    private static function isIsbn(string $digits): bool
    {
        $sum = 0;
        foreach (str_split($digits) as $i => $digit) {
            $value = $digit === 'X' ? 10 : (int) $digit;
            $sum += \strlen($digits) === 13 ? $value * ($i % 2 === 0 ? 1 : 3) : $value * (10 - $i);
        }

        return match (\strlen($digits)) {
            13 => $sum % 10 === 0 && !str_contains($digits, 'X'),
            10 => $sum % 11 === 0 && !str_contains(substr($digits, 0, 9), 'X'),
            default => false,
        };
    }

    /** The source with this number, where it says none. */
    public function on(Source $source): Source
    {
        return match ($this->kind) {
            WorkNumberKind::Doi => $source->doi === '' ? $source->with(['doi' => $this->number]) : $source,
            WorkNumberKind::Isbn => $source->isbn === '' ? $source->with(['isbn' => $this->number]) : $source,
            WorkNumberKind::Arxiv => $source->with(['details' => $source->details + [Detail::Number->value => "arXiv:{$this->number}"]]),
            WorkNumberKind::Pubmed => $source->with(['details' => $source->details + [Detail::Pmid->value => $this->number]]),
        };
    }
}
