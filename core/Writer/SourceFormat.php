<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Citation\Source;

/** The formats that sources can be handed over in: the one table of their writers. */
enum SourceFormat: string
{
    case Bibtex = 'bib';
    case Ris = 'ris';
    case Csl = 'json';
    case Biblatex = 'biblatex';
    case EndNote = 'xml';

    public function label(): string
    {
        return match ($this) {
            self::Bibtex => 'BibTeX',
            self::Ris => 'RIS',
            self::Csl => 'CSL-JSON',
            self::Biblatex => 'BibLaTeX',
            self::EndNote => 'EndNote XML',
        };
    }

    public function extension(): string
    {
        return $this === self::Biblatex ? 'bib' : $this->value;
    }

    public function mediaType(): string
    {
        return match ($this) {
            self::Bibtex, self::Biblatex => 'application/x-bibtex; charset=utf-8',
            self::EndNote => 'application/xml; charset=utf-8',
            self::Ris => 'application/x-research-info-systems; charset=utf-8',
            self::Csl => 'application/vnd.citationstyles.csl+json',
        };
    }

    /** @param list<Source> $sources */
    public function written(array $sources): string
    {
        return match ($this) {
            self::Bibtex => Sources\BibtexWriter::written($sources),
            self::Ris => Sources\RisWriter::written($sources),
            self::Csl => Sources\CslWriter::written($sources),
            self::Biblatex => Sources\BibtexWriter::written($sources, true),
            self::EndNote => Sources\EndNoteWriter::written($sources),
        };
    }
}
