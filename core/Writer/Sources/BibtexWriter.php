<?php

declare(strict_types=1);

namespace Embrel\Writer\Sources;

use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

/** Sources as BibTeX in UTF-8, with the fields that BibLaTeX added where BibTeX has none. */
final class BibtexWriter
{
    private const FIELDS = [
        'publisher' => 'publisher',
        'place' => 'address',
        'edition' => 'edition',
        'volume' => 'volume',
        'issue' => 'number',
        'url' => 'url',
        'doi' => 'doi',
        'isbn' => 'isbn',
        'language' => 'langid',
        'remark' => 'note',
    ];

    /** @param list<Source> $sources */
    public static function written(array $sources): string
    {
        $keys = [];
        $out = '';
        foreach ($sources as $source) {
            $out .= self::entry($source, self::key($source, $keys)) . "\n";
        }

        return $out;
    }

    private static function entry(Source $source, string $key): string
    {
        $type = match ($source->kind) {
            SourceKind::Book => 'book',
            SourceKind::Chapter => 'incollection',
            SourceKind::Article, SourceKind::Newspaper => 'article',
            SourceKind::WebPage => 'online',
            SourceKind::Report => 'report',
            SourceKind::Thesis => 'thesis',
            SourceKind::Film => 'movie',
            SourceKind::Interview, SourceKind::Other => 'misc',
        };
        $fields = ['title' => self::title($source), 'author' => self::people($source->authors), 'editor' => self::people($source->editors)];
        $fields[$type === 'article' ? 'journal' : 'booktitle'] = self::escaped($source->container);
        $date = $source->date;
        if ($date !== null) {
            $fields += $date->month === null && !$date->circa ? ['year' => $date->stored()] : ['date' => $date->stored()];
        }
        foreach (self::FIELDS as $field => $name) {
            $fields[$name]
                = $field === 'url' || $field === 'doi'
                    ? str_replace(['{', '}'], '', $source->text($field))
                    : self::escaped($source->text($field));
        }
        $fields['pages'] = str_replace(['-', '–'], '--', $source->pages);
        $fields['urldate'] = $source->accessed?->stored() ?? '';
        $out = "@{$type}{{$key}";
        foreach ($fields as $name => $value) {
            $out .= $value === '' ? '' : ",\n  {$name} = {{$value}}";
        }

        return "{$out}\n}\n";
    }

    /** What must keep its capitals stands in braces. */
    private static function title(Source $source): string
    {
        $title = self::escaped($source->title);
        foreach ($source->names() as $name) {
            $title
                = preg_replace('/(?<![\p{L}\p{N}{])' . preg_quote(self::escaped($name), '/') . '(?![\p{L}\p{N}}])/u', '{$0}', $title)
                ?? $title;
        }

        return $title;
    }

    /** @param list<Person> $people */
    private static function people(array $people): string
    {
        return implode(
            ' and ',
            array_map(
                static fn(Person $person): string => $person->given === ''
                    ? '{' . self::escaped($person->family) . '}'
                    : self::escaped($person->surname() . ($person->suffix === '' ? '' : ", {$person->suffix}") . ", {$person->given}"),
                $people,
            ),
        );
    }

    private static function escaped(string $text): string
    {
        return strtr($text, [
            '\\' => '\textbackslash{}',
            '{' => '\{',
            '}' => '\}',
            '&' => '\&',
            '%' => '\%',
            '$' => '\$',
            '#' => '\#',
            '_' => '\_',
            '~' => '\textasciitilde{}',
        ]);
    }

    /** @param array<string, int> $keys those taken already */
    private static function key(Source $source, array &$keys): string
    {
        $name = $source->people()[0]->family ?? $source->title;
        $key
            = preg_replace(
                '/[^a-z0-9]+/',
                '',
                strtolower(\Transliterator::create('Any-Latin; Latin-ASCII')?->transliterate(mb_substr($name, 0, 24)) ?: ''),
            )
            . ($source->date->year ?? '');
        $key = $key === '' ? 'source' : $key;
        $n = $keys[$key] = ($keys[$key] ?? 0) + 1;

        return $n === 1 ? $key : $key . '-' . $n;
    }
}
