<?php

declare(strict_types=1);

namespace Embrel\Writer\Sources;

use Embrel\Citation\Detail;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

/** Sources as CSL-JSON (the data schema of the Citation Style Language 1.0). */
final class CslWriter
{
    private const FIELDS = [
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

    /** @param list<Source> $sources */
    public static function written(array $sources): string
    {
        return json_encode(
            array_map(self::item(...), $sources),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        ) . "\n";
    }

    /** @return array<string, mixed> */
    private static function item(Source $source): array
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
