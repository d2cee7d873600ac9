<?php

declare(strict_types=1);

namespace Embrel\Citation\Exchange;

use Embrel\Citation\Cited;
use Embrel\Citation\Detail;
use Embrel\Citation\Pages;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

/** Sources and citations as CSL-JSON (the data schemas of the Citation Style Language 1.0). */
final class CslJson
{
    /** Field of a source → its name. */
    public const FIELDS = [
        'title' => 'title',
        'container' => 'container-title',
        'publisher' => 'publisher',
        'place' => 'publisher-place',
        'edition' => 'edition',
        'volume' => 'volume',
        'issue' => 'issue',
        'pages' => 'page',
        'url' => 'URL',
        'doi' => 'DOI',
        'isbn' => 'ISBN',
        'language' => 'language',
        'remark' => 'note',
    ];

    /** What documents call a citation, and the list of what is cited; both begin the name of a field. */
    public const CITATION = 'CSL_CITATION';
    public const LIST = 'CSL_BIBLIOGRAPHY';

    private const SCHEMA = 'https://resource.citationstyles.org/schema/latest/input/json/csl-citation.json';
    /** The standard’s names of what is cited of a source, by how they are typed. */
    public const LABELS = [
        'chapter' => 'ch(?:ap(?:ter)?)?|kap(?:itel)?',
        'paragraph' => 'para?',
        'section' => 'sect?|§',
        'folio' => 'fols?',
        'line' => 'l',
        'verse' => 'v',
        'note' => 'n',
        'figure' => 'figs?',
        'volume' => 'vol',
    ];

    /** How they are written here. */
    public const WORDS = [
        ...['chapter' => 'ch.', 'paragraph' => 'para.', 'section' => 'sect.', 'folio' => 'fol.', 'line' => 'l.', 'verse' => 'v.'],
        ...['note' => 'n.', 'figure' => 'fig.', 'volume' => 'vol.'],
    ];

    /**
     * A citation as documents carry it, with all that is known of its sources.
     *
     * @param list<Cited>           $items   of sources that are known
     * @param array<string, Source> $sources by id
     * @param string                $plain   as it is printed
     *
     * @return string JSON on one line
     */
    public static function citation(array $items, array $sources, string $plain): string
    {
        $cited = [];
        foreach ($items as $item) {
            [$label, $locator] = self::locator($item->pages);
            $cited[] = ['id' => $item->source, 'itemData' => ['id' => $item->source] + self::item($sources[$item->source])]
                + array_filter([
                    'label' => $locator === '' ? '' : $label,
                    'locator' => $locator,
                    'prefix' => $item->prefix === '' ? '' : "{$item->prefix} ",
                    'suffix' => $item->suffix === '' ? '' : (preg_match('/\A\p{P}/u', $item->suffix) === 1 ? '' : ', ') . $item->suffix,
                    'suppress-author' => $item->withoutAuthor,
                ]);
        }

        $flags = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

        return json_encode([
            'citationID' => substr(hash('sha256', json_encode($cited, $flags)), 0, 10),
            'properties' => ['formattedCitation' => $plain, 'plainCitation' => $plain, 'noteIndex' => 0],
            'citationItems' => $cited,
            'schema' => self::SCHEMA,
        ], $flags);
    }

    /** @return array{string, string} label, and what it is of */
    private static function locator(string $typed): array
    {
        foreach (Pages::arePages($typed) ? [] : self::LABELS as $label => $words) {
            if (preg_match("/\\A(?:{$words})\\.?\\s*(\\S.*)\\z/ui", $typed, $m) === 1) {
                return [$label, $m[1]];
            }
        }

        return ['page', $typed];
    }

    /** @return array<string, mixed> */
    public static function item(Source $source): array
    {
        $kind = $source->kind;
        $item = ['id' => $source->detail(Detail::CitationKey) ?: $source->id, 'type' => $kind->type()];
        foreach (self::FIELDS as $field => $name) {
            $name = $field === 'issue' && $kind === SourceKind::Report ? 'number' : $name;
            $item += $source->text($field) === '' ? [] : [$name => $source->text($field)];
        }
        $more = [];
        foreach ($source->details as $name => $text) {
            $date = Detail::tryFrom($name)?->isDate() === true ? PartialDate::of($text) : null;
            $more += [$name => $date === null ? $text : self::date($date)];
        }
        foreach ($source->contributors as $name => $people) {
            $more += [$name => array_map(self::name(...), $people)];
        }
        foreach ($source->names() as $name) {
            $item['title']
                = preg_replace(
                    '/(?<![\p{L}\p{N}])' . preg_quote($name, '/') . '(?![\p{L}\p{N}])/u',
                    '<span class="nocase">$0</span>',
                    $item['title'] ?? '',
                ) ?? $source->title;
        }

        return $item + $more
            + ($source->authors === []
                ? []
                : [$source->kind === SourceKind::Film ? 'director' : 'author' => array_map(self::name(...), $source->authors)])
            + ($source->editors === [] ? [] : ['editor' => array_map(self::name(...), $source->editors)])
            + ($source->date === null ? [] : ['issued' => self::date($source->date)])
            + ($source->accessed === null ? [] : ['accessed' => self::date($source->accessed)]);
    }

    /** @return array<string, string> */
    private static function name(Person $person): array
    {
        if ($person->given === '') {
            return ['literal' => $person->family];
        }

        return array_filter(
            [
                'family' => $person->family,
                'given' => $person->given,
                $person->drops() ? 'dropping-particle' : 'non-dropping-particle' => $person->particle,
                'suffix' => $person->suffix,
            ],
            static fn(string $part): bool => $part !== '',
        );
    }

    /** @return array<string, mixed> */
    private static function date(PartialDate $date): array
    {
        if ($date->year === null) {
            return ['literal' => $date->words];
        }
        $parts = array_values(array_filter([$date->year, $date->month, $date->day], static fn(?int $part): bool => $part !== null));

        return ['date-parts' => [$parts]] + ($date->circa ? ['circa' => true] : []);
    }
}
