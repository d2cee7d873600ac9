<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Citation\Detail;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Limits;
use Embrel\RichText\Schema;
use Embrel\RichText\Text;

/** What the readers of sources make of values: cleaned, and cut to their limits. */
final class SourceFields
{
    /**
     * @param list<Person>          $authors
     * @param list<Person>          $editors
     * @param array<string, string> $texts   other fields of Source
     * @param array<string, list<Person>> $contributors by Contributor
     * @param array<string, string>       $details      by Detail; dates as they are typed or stored
     */
    public static function source(
        string $id,
        string $title,
        SourceKind $kind,
        array $authors,
        array $editors,
        ?PartialDate $date,
        ?PartialDate $accessed,
        array $texts,
        array $contributors = [],
        array $details = [],
    ): Source {
        $fields = [];
        foreach ($texts as $name => $value) {
            $fields[$name]
                = $name === 'remark'
                    ? mb_substr(trim(Text::cleaned($value)), 0, Limits::SOURCE_REMARK)
                    : mb_substr(Text::line($value), 0, Limits::SOURCE_TEXT);
        }
        $fields['doi'] = preg_replace('/\A(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s*)/i', '', $fields['doi'] ?? '') ?? '';
        $fields['pages'] = preg_replace('/(?<=\d)\s*[-–—]+\s*(?=\d)/u', '-', $fields['pages'] ?? '') ?? '';
        // Of an article or another part, a number of that form is the one of the series (ISO 3297).
        if ($kind->isPart() && preg_match('/\A\d{4}-?\d{3}[\dXx]\z/', $fields['isbn'] ?? '') === 1) {
            $details += [Detail::Issn->value => $fields['isbn']];
            $fields['isbn'] = '';
        }
        if (($fields['url'] ?? '') !== '' && !Schema::isSafeLink($fields['url'])) {
            $fields['remark'] = trim(($fields['remark'] ?? '') . "\n{$fields['url']}");
            $fields['url'] = '';
        }

        return (new Source(
            $id,
            mb_substr(Text::line($title), 0, Limits::TITLE),
            $kind,
            self::people($authors),
            self::people($editors),
            $date,
            $accessed,
        ))->with([
            'contributors' => array_filter(array_map(self::people(...), $contributors), static fn(array $people): bool => $people !== []),
            'details' => self::details($details),
        ] + $fields);
    }

    /**
     * @param array<string, string> $details
     *
     * @return array<string, string>
     */
    private static function details(array $details): array
    {
        $out = [];
        foreach ($details as $name => $text) {
            $detail = Detail::from($name);
            $text = match (true) {
                $detail->isDate() => (PartialDate::of($text) ?? PartialDate::typed($text))?->stored() ?? '',
                $detail->isLong() => mb_substr(trim(Text::cleaned($text)), 0, Limits::SOURCE_REMARK),
                default => mb_substr(Text::line($text), 0, Limits::SOURCE_TEXT),
            };
            $out += $text === '' ? [] : [$name => $text];
        }

        return $out;
    }

    /**
     * @param list<Person> $people
     *
     * @return list<Person>
     */
    private static function people(array $people): array
    {
        $name = static fn(string $part): string => mb_substr(Text::line($part), 0, Limits::SOURCE_NAME);

        return array_map(
            static fn(Person $person): Person => new Person(
                $name($person->family),
                $name($person->given),
                $name($person->particle),
                $name($person->suffix),
            ),
            \array_slice($people, 0, Limits::SOURCE_PEOPLE),
        );
    }
}
