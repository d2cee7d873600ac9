<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * A source out of one line as people type it, to be confirmed: “Pell, Tides and Walls, 1994, p. 61”,
 * an entry copied from a reference list, an address. What it cannot tell apart stays in the title.
 */
final class TypedSource
{
    private const ADDRESS = '/\bhttps?:\/\/[^\s<>"“”]+|\bwww\.[^\s<>"“”]+/i';
    private const DOI = '/\b(?:doi:\s*|https?:\/\/(?:dx\.)?doi\.org\/)?(10\.\d{4,9}\/[^\s"“”<>]+)/i';
    private const ISBN = '/\bISBN(?:-1[03])?:?\s*([\dX][\dX\- ]{8,15}[\dX])/i';
    private const PAGES = '/[,;.]?\s*\(?\b(?:pp?|S|Seiten?|pages?)\b\.?\s*(\d+(?:\s*[-–—]\s*\d+)?(?:,\s*\d+(?:\s*[-–—]\s*\d+)?)*(?:\s?ff?\b\.?)?|[ivxlc]+(?:\s*[-–—]\s*[ivxlc]+)?\b)\)?/u';
    private const PLACE = '/[,;]?\s*\b((?:ch(?:ap(?:ter)?)?|Kap(?:itel)?|para|sect?|fol|l)\b\.?\s*\d+)\b/ui';
    private const EDITION = '/[,;.(]?\s*\b((?:\d+(?:st|nd|rd|th)|rev(?:ised)?|\d+\.)\s*(?:ed(?:ition|n)?|Aufl(?:age)?))\b\.?\)?/ui';
    private const NUMBER = '/[,;]?\s*\bvol(?:ume)?\.?\s*(\d+)(?:\s*,?\s*(?:no|nr|iss(?:ue)?)\.?\s*(\d+))?|\s(\d{1,4})\s?\((\d{1,4})\)/ui';
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
        $rest = trim($line);
        $short = self::short($rest);
        if ($short !== null) {
            $source = new Source($id, '', SourceKind::Book, date: PartialDate::typed($short['year']));

            return new self($source->with(['authors' => $short['people']]), $short['pages']);
        }
        $fields = [];
        if (preg_match(self::DOI, $rest, $m) === 1) {
            $fields['doi'] = rtrim($m[1], '.,;)');
            $rest = str_replace($m[0], '', $rest);
        }
        if (preg_match(self::ADDRESS, $rest, $m) === 1) {
            $address = rtrim($m[0], '.,;)');
            $fields['url'] = str_starts_with(strtolower($address), 'www.') ? "https://{$address}" : $address;
            $rest
                = preg_replace(
                    '/(?:retrieved\s+from|available\s+at|abgerufen\s+(?:am|von)|url:?)?\s*' . preg_quote($m[0], '/') . '/i',
                    '',
                    $rest,
                ) ?? $rest;
        }
        if (preg_match(self::ISBN, $rest, $m) === 1) {
            $fields['isbn'] = trim($m[1]);
            $rest = str_replace($m[0], '', $rest);
        }
        $pages = self::taken(self::PAGES, $rest);
        $pages = $pages === '' ? self::taken(self::PLACE, $rest) : $pages;
        $edition = self::taken(self::EDITION, $rest);
        $fields['edition']
            = preg_replace('/\s*(?:ed(?:ition|n)?|Aufl(?:age)?)\z|(?<=\d)(?:st|nd|rd|th|\.)(?=\s)/iu', '', $edition) ?? $edition;
        if (preg_match(self::NUMBER, $rest, $m) === 1) {
            $fields['volume'] = $m[1] === '' ? $m[3] ?? '' : $m[1];
            $fields['issue'] = ($m[2] ?? '') === '' ? $m[4] ?? '' : $m[2];
            $rest = str_replace($m[0], '', $rest);
        }
        [$before, $after, $date] = self::dated($rest);

        return self::put($id, $before, $after, $date, array_filter($fields, static fn(string $value): bool => $value !== ''), $pages);
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

    /** Takes what a form finds out of the line. */
    private static function taken(string $form, string &$line): string
    {
        if (preg_match($form, $line, $m) !== 1) {
            return '';
        }
        $line = str_replace($m[0], '', $line);

        return trim($m[1]);
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

    /** @param array<string, string> $fields found so far */
    private static function put(string $id, string $names, string $rest, ?PartialDate $date, array $fields, string $pages): self
    {
        $rest = trim($rest, " ,;.\t");
        $title = '';
        if (preg_match(self::QUOTED, $rest, $m, PREG_OFFSET_CAPTURE) === 1) {
            $title = trim($m[1][0]);
            $names = $names === '' ? trim(substr($rest, 0, $m[0][1]), ' ,.:') : $names;
            $rest = trim(substr($rest, $m[0][1] + \strlen($m[0][0])), ' ,.');
            [$fields['container'], $rest] = self::first(preg_replace('/\Ain:?\s+/i', '', $rest, 1, $isIn) ?? $rest);
            $kind = $isIn > 0 ? SourceKind::Chapter : ($fields['container'] === '' ? SourceKind::Other : SourceKind::Article);
        } else {
            if ($names === '') {
                [$names, $rest] = self::names($rest);
            }
            [$title, $rest] = self::first($rest);
            $kind
                = isset($fields['url']) && $rest === ''
                    ? SourceKind::WebPage
                    : (isset($fields['doi']) || isset($fields['volume'])
                        ? SourceKind::Article
                        : SourceKind::Book);
            if ($kind === SourceKind::Article) {
                [$fields['container'], $rest] = self::first($rest);
            }
        }
        if ($kind !== SourceKind::Book && $pages === '' && preg_match('/(?:\A|[\s,:])(\d+\s*[-–]\s*\d+)\z/u', $rest, $m) === 1) {
            [$pages, $rest] = [$m[1], substr($rest, 0, -\strlen($m[0]))];
        }
        if (preg_match('/\A([\p{L} .\-]+):\s+(.+)\z/u', $rest, $m) === 1) {
            [$fields['place'], $rest] = [trim($m[1]), $m[2]];
        }
        $fields[$kind === SourceKind::WebPage ? 'container' : 'publisher'] = trim($rest, ' ,.;()');
        if ($kind !== SourceKind::Book && $pages !== '' && Pages::areSeveral($pages)) {
            [$fields['pages'], $pages] = [$pages, ''];
        }
        $fields = array_map(static fn(string $value): string => trim($value, " ,;\t"), $fields);
        $isBare = $title === '' && $names === '' && isset($fields['url']);
        // A number alone is what the source is called until someone knows better.
        // One of which nothing is known but its number, or its address, is called by that.
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
        $people = $title === '' ? [] : self::people($names);
        $role = preg_match('/\b(?:Eds?|eds?|Hrsg)\b/', $names) === 1 ? 'editors' : 'authors';

        return new self(
            (new Source($id, $called, $isBare ? SourceKind::WebPage : $kind, date: $date))->with([$role => $people] + $fields),
            $pages,
        );
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

    /** @return array{string, string} the names in front, and the rest */
    private static function names(string $text): array
    {
        // An entry of a list: “Pell, Anna, and Tom Brent. Title…”, where a full stop ends the names.
        if (
            preg_match('/\A((?:[^.]|(?<=\b\p{Lu})\.|(?<=\bal)\.)+?)\.\s+(?=\S)(.*)\z/us', $text, $m) === 1
            && substr_count($m[1], ' ') < 12
            && self::areNames($m[1])
        ) {
            return [$m[1], $m[2]];
        }
        $pieces = explode(', ', $text);
        if (\count($pieces) < 2 || !self::areNames($pieces[0])) {
            return ['', $text];
        }
        // “Pell, Anna, Tides and Walls”: a given name follows the family name, where a title still comes after it.
        $taken
            = \count($pieces) > 2
            && !str_contains($pieces[0], ' ')
            && preg_match('/\A\p{Lu}[\p{L}.\-]*(?:\s\p{Lu}[\p{L}.\-]*)?(?:\s(?:von|van|de|der|la|zu))*\z/u', $pieces[1]) === 1
                ? 2
                : 1;

        return [implode(', ', \array_slice($pieces, 0, $taken)), implode(', ', \array_slice($pieces, $taken))];
    }

    /** Whether every word of it could be of a name: capitals, initials, particles, “and”. */
    private static function areNames(string $text): bool
    {
        return preg_match('/\A(?:\p{Lu}[\p{L}.\'’\-]*|\p{Lo}+|van|von|de|der|den|la|le|du|und|and|et al|&|;|,|eds?|\s|\.)+\z/u', $text)
            === 1 && preg_match('/\A(?:The|A|An|On|In)\b/', $text) !== 1;
    }

    /** @return list<Person> */
    public static function people(string $names): array
    {
        $names = preg_replace('/,?\s*(?:et al\.?|u\.\s?a\.|\(?[Ee]ds?\.?\)?|\(?Hrsg\.?\)?)\s*\z/u', '', $names) ?? $names;
        // “Pell, A., & Moor, B.”, where each comma but those before “and” is within a name.
        if (preg_match_all('/([\p{L}\'’\- ]+?),\s*((?:\p{Lu}\.[\s\-]?)+)/u', $names, $pairs, PREG_SET_ORDER) > 0) {
            return array_map(
                static fn(array $m): Person => Person::of(preg_replace('/\A\s*(?:and|und)\s+/u', '', trim($m[1])) ?? $m[1], $m[2]),
                $pairs,
            );
        }
        $people = [];
        foreach (preg_split('/\s*(?:;|,?\s+(?:and|und|&)\s+|,?\s*&\s*)\s*/u', $names, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $i => $name) {
            $several = $i === 0 ? (preg_split('/,\s+/', $name) ?: [$name]) : explode(', ', $name);
            if (\count($several) === 2 && $i === 0 && preg_match('/\A(?:\p{Ll}+\s+)*\S+\z/u', $several[0]) === 1) {
                $people[] = Person::typed($name);
            } else {
                array_push($people, ...array_map(Person::typed(...), $several));
            }
        }

        return $people;
    }
}
