<?php

declare(strict_types=1);

namespace Embrel\Citation;

enum WorkNumberKind: string
{
    case Doi = 'doi';
    case Isbn = 'isbn';
    case Arxiv = 'arxiv';
    case Pubmed = 'pubmed';

    public function label(): string
    {
        return match ($this) {
            self::Doi => 'DOI',
            self::Isbn => 'ISBN',
            self::Arxiv => 'number of arXiv',
            self::Pubmed => 'number of PubMed',
        };
    }
}
