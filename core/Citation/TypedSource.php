<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * A source out of one line as people type it, to be confirmed: “Pell, Tides and Walls, 1994, p. 61”,
 * an entry copied from a reference list, an address. What it cannot tell apart stays in the title.
 */
final class TypedSource
{
    private const YEAR = '/\(?\b((?:c(?:a|irca)?\.?\s*|um\s*)?1[4-9]\d\d|(?:c(?:a|irca)?\.?\s*)?20\d\d)[a-z]?\b(?:,\s*((?:\p{L}{3,9}\.?\s+\d{1,2})|(?:\d{1,2}\.?\s+\p{L}{3,9})))?\)?/u';
    /** “(Lind 2019)”, “see Pell 1994”, “Quist and Moor 2003: 14”: names and a year, in brackets, pointed to, or with pages. */
    private const SHORT
        = '/\A(?<open>[(\[])?\s*(?<see>(?i:see|cf\.?|vgl\.?|siehe|compare)(?:\s+(?:also|auch))?,?\s+)?'
        . '(?<names>\p{Lu}[\p{L}\'’\-]+(?:(?(<open>)(?:,\s+|,?\s+(?:and|und|&)\s+)|\s+(?:and|und|&)\s+)\p{Lu}[\p{L}\'’\-]+){0,3}(?:\s+et '
        . 'al\.?)?)'
        . ',?\s+(?<bracket>\()?(?<year>(?:c(?:a|irca)?\.?\s*)?(?:1[4-9]|20)\d\d)[a-z]?(?<pages>(?:\)?\s*:\s*|,\s*(?:pp?\.|S\.)\s*)[\divxlc]+(?:\s*[-–—]\s*[\divxlc]+)?)?\s*[)\]]*\.?\z/u';
    /** A month or a season before a year is no name. */
    private const TIME
        = '/\A(?:January|February|March|April|May|June|July|August|September|October|November|December'
        . '|Spring|Summer|Autumn|Winter|Easter|Christmas|Januar|Februar|März|Mai|Juni|Juli|Oktober|Dezember|Frühjahr|Frühling|Sommer|Herbst|Anno|Since|Until|After|Before|In|By|From|The)\b/u';
    private const QUOTED = '/[“„"«]([^“”„"«»]+?)[,.]?[”“"»]/u';

    private function __construct(public readonly Source $source, public readonly string $pages) {}

    /** @param string $id of the source that is made */
    public static function read(string $line, string $id): self
    {
        $short = self::short(trim($line));
        if ($short !== null) {
            $source = new Source($id, '', SourceKind::Book, date: PartialDate::typed($short['year']));

            return new self($source->with(['authors' => $short['people']]), $short['pages']);
        }
        $line = new TypedLine(trim($line));
        $line->doi();
        $line->address();
        $line->isbn();
        $line->pages();
        $line->edition();
        $line->volume();
        [$names, $rest, $date] = self::dated($line->rest);
        $line->rest = trim($rest, " ,;.\t");
        [$names, $title, $kind] = self::quoted($line, $names) ?? self::plain($line, $names);
        self::published($line, $kind);

        return self::made($id, $names, $title, $kind, $date, $line);
    }

    /** Whether a line only names who and when, as a citation in a text does. */
    public static function isShort(string $line): bool
    {
        return self::short(trim($line)) !== null;
    }

    /** @return array{people: list<Person>, year: string, pages: string}|null */
    private static function short(string $line): ?array
    {
        if (preg_match(self::SHORT, $line, $m) !== 1 || preg_match(self::TIME, $m['names']) === 1) {
            return null;
        }
        $pages = trim(preg_replace('/\A\)?\s*[:,]\s*(?:pp?\.|S\.)?\s*/u', '', $m['pages'] ?? '') ?? '');
        // “Pell 1994” alone may be what a section is about.
        $isMeant = $m['open'] !== '' || $m['see'] !== '' || $m['bracket'] !== '' || $pages !== '';

        $names
            = preg_split('/,?\s+(?:and|und|&)\s+|,\s+/u', preg_replace('/\s+et al\.?\z/u', '', $m['names']) ?? '', -1, PREG_SPLIT_NO_EMPTY)
            ?: [];

        $people = array_map(static fn(string $family): Person => Person::of($family, ''), $names);

        return $isMeant ? ['people' => $people, 'year' => $m['year'], 'pages' => $pages] : null;
    }

    /** @return array{string, string, PartialDate|null} what stands before a year in brackets, what follows, and the date */
    private static function dated(string $line): array
    {
        if (preg_match_all(self::YEAR, $line, $found, PREG_OFFSET_CAPTURE | PREG_SET_ORDER) === 0) {
            return ['', $line, null];
        }
        $isFirst = str_starts_with($found[0][0][0], '(') && $found[0][0][1] < \strlen($line) / 2;
        $year = $isFirst ? $found[0] : $found[\count($found) - 1];
        $date = PartialDate::typed($year[1][0] . (isset($year[2]) ? ", {$year[2][0]}" : '')) ?? PartialDate::typed($year[1][0]);
        if (isset($year[2])) {
            $date = PartialDate::typed("{$year[2][0]} {$year[1][0]}") ?? $date;
        }
        $before = substr($line, 0, $year[0][1]);
        $after = substr($line, $year[0][1] + \strlen($year[0][0]));
        // “Pell, A. (1994). Title.” has all but the names behind the year; elsewhere the year is one thing among others.
        $isAfterNames = $isFirst && trim($after, " .,\t") !== '' && preg_match(self::QUOTED, $before) !== 1;

        return $isAfterNames
            ? [preg_replace('/(?<=\p{L}{2}|\))[.,\s]+\z|[,\s]+\z/u', '', ltrim($before)) ?? $before, trim($after, ' .,:'), $date]
            : ['', trim(rtrim($before, ' ,.;(') . ' ' . ltrim($after, ' ,.;)')), $date];
    }

    /**
     * A title in quotation marks: of an article, or of a chapter in what follows.
     *
     * @return array{string, string, SourceKind}|null names, title and kind
     */
    private static function quoted(TypedLine $line, string $names): ?array
    {
        if (preg_match(self::QUOTED, $line->rest, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $names = $names === '' ? trim(substr($line->rest, 0, $m[0][1]), ' ,.:') : $names;
        $rest = trim(substr($line->rest, $m[0][1] + \strlen($m[0][0])), ' ,.');
        [$container, $line->rest] = self::first(preg_replace('/\Ain:?\s+/i', '', $rest, 1, $isIn) ?? $rest);
        $line->fields['container'] = $container;

        return [
            $names,
            trim($m[1][0]),
            $isIn > 0 ? SourceKind::Chapter : ($container === '' ? SourceKind::Other : SourceKind::Article),
        ];
    }

    /**
     * A title without them, up to where its sentence ends: of a page, of an article where a volume or a DOI says so, else of a book.
     *
     * @return array{string, string, SourceKind} names, title and kind
     */
    private static function plain(TypedLine $line, string $names): array
    {
        if ($names === '') {
            [$names, $line->rest] = TypedNames::inFront($line->rest);
        }
        [$title, $line->rest] = self::first($line->rest);
        $kind = match (true) {
            isset($line->fields['url']) && $line->rest === '' => SourceKind::WebPage,
            isset($line->fields['doi']) || isset($line->fields['volume']) => SourceKind::Article,
            default => SourceKind::Book,
        };
        if ($kind === SourceKind::Article) {
            [$line->fields['container'], $line->rest] = self::first($line->rest);
        }

        return [$names, $title, $kind];
    }

    /** Where and by whom; pages at the end are those of an article or chapter, and several of them are all that it has. */
    private static function published(TypedLine $line, SourceKind $kind): void
    {
        $isPart = $kind !== SourceKind::Book;
        if ($isPart && $line->pages === '' && preg_match('/(?:\A|[\s,:])(\d+\s*[-–]\s*\d+)\z/u', $line->rest, $m) === 1) {
            [$line->pages, $line->rest] = [$m[1], substr($line->rest, 0, -\strlen($m[0]))];
        }
        if (preg_match('/\A([\p{L} .\-]+):\s+(.+)\z/u', $line->rest, $m) === 1) {
            [$line->fields['place'], $line->rest] = [trim($m[1]), $m[2]];
        }
        $line->fields[$kind === SourceKind::WebPage ? 'container' : 'publisher'] = trim($line->rest, ' ,.;()');
        if ($isPart && $line->pages !== '' && Pages::areSeveral($line->pages)) {
            [$line->fields['pages'], $line->pages] = [$line->pages, ''];
        }
    }

    private static function made(string $id, string $names, string $title, SourceKind $kind, ?PartialDate $date, TypedLine $line): self
    {
        $fields = array_map(static fn(string $value): string => trim($value, " ,;\t"), $line->fields);
        $isBare = $title === '' && $names === '' && isset($fields['url']);
        // One of which nothing is known but its number, or its address, is called by that until someone knows better.
        $called = match (true) {
            $title === '' && $names === '' && isset($fields['doi']) => "doi:{$fields['doi']}",
            $title === '' && $names === '' && isset($fields['isbn']) => "ISBN {$fields['isbn']}",
            $isBare => $fields['url'],
            default => $title === '' ? $names : $title,
        };
        // The name of the place in the title is a name there too.
        if (($fields['place'] ?? '') !== '' && preg_match('/\b' . preg_quote($fields['place'], '/') . '\b/u', $title) === 1) {
            $fields['capitals'] = $fields['place'];
        }
        $people = $title === '' ? [] : TypedNames::people($names);
        $role = preg_match('/\b(?:Eds?|eds?|Hrsg)\b/', $names) === 1 ? 'editors' : 'authors';
        $source = new Source($id, $called, $isBare ? SourceKind::WebPage : $kind, date: $date);

        return new self($source->with([$role => $people] + $fields), $line->pages);
    }

    /**
     * Up to the full stop that ends it, else the comma.
     *
     * @return array{string, string}
     */
    private static function first(string $text): array
    {
        $at
            = preg_match('/(?<=[\p{Ll}\p{N}?!)]{2})[.](?=\s)|(?<=[?!])(?=\s)/u', $text, $m, PREG_OFFSET_CAPTURE) === 1
                ? $m[0][1]
                : strpos($text, ', ');
        $at = $at === false ? strpos($text, ' (') : $at;

        return $at === false ? [trim($text, ' .,'), ''] : [trim(substr($text, 0, $at), ' .,'), trim(substr($text, $at), ' .,')];
    }
}
