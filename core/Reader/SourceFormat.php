<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Id\Ids;
use Embrel\Limits;

/** The formats that sources can be read from: the one table of their readers. */
enum SourceFormat: string
{
    case Bibtex = 'bib';
    case Ris = 'ris';
    case Csl = 'json';
    case EndNote = 'xml';

    /** What a text looks like, whatever its file is called; null: none of them. */
    public static function of(string $text): ?self
    {
        return match (1) {
            preg_match('/\A\s*[\[{]/', $text) => self::Csl,
            preg_match('/\A\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*<(?:xml|records)\b/s', $text) => self::EndNote,
            preg_match('/^TY  ?-/m', $text) => self::Ris,
            preg_match('/^\s*@\s*[a-z]+\s*[{(]/mi', $text) => self::Bibtex,
            default => null,
        };
    }

    /** Text that is not in UTF-8 is taken for Latin-1, as old files are. */
    public static function read(string $bytes, Ids $ids): SourcesRead
    {
        if (\strlen($bytes) > Limits::SOURCE_FILE) {
            return new SourcesRead([], ['The file is larger than 16 MB. Divide it and take in its parts.']);
        }
        $bytes = str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes;
        $isOther = !mb_check_encoding($bytes, 'UTF-8');
        $text = str_replace(["\r\n", "\r"], "\n", $isOther ? mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252') : $bytes);
        $read = match (self::of($text)) {
            self::Bibtex => (new Bibtex\BibtexReader($ids))->read($text),
            self::Ris => (new Ris\RisReader($ids))->read($text),
            self::Csl => (new Csl\CslReader($ids))->read($text),
            self::EndNote => (new EndNote\EndNoteReader($ids))->read($text),
            null => new SourcesRead([], ['These are no sources in a form that can be read: BibTeX, BibLaTeX, RIS, CSL-JSON and EndNote XML can.']),
        };
        $said = $isOther && $read->sources !== [] ? ['The text is not in UTF-8. It was read as Latin-1: check letters with accents.'] : [];

        return new SourcesRead($read->sources, [...$said, ...$read->said]);
    }
}
