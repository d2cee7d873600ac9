<?php

declare(strict_types=1);

namespace Embrel\Writer\Sources;

use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\Biblatex;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

/** Sources as BibTeX in UTF-8, with the fields that BibLaTeX added where BibTeX has none; or wholly as BibLaTeX. */
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

    /** What BibLaTeX calls otherwise. */
    private const FULL = ['address' => 'location', 'journal' => 'journaltitle'];

    /**
     * @param list<Source> $sources
     * @param bool         $isFull  as BibLaTeX
     */
    public static function written(array $sources, bool $isFull = false): string
    {
        $keys = [];
        $out = '';
        foreach ($sources as $source) {
            $out .= self::entry($source, self::key($source, $keys), $isFull) . "\n";
        }

        return $out;
    }

    /** @return array{string, string} the type of the entry, and what it is more exactly */
    private static function type(SourceKind $kind): array
    {
        $type = array_search($kind, Biblatex::KINDS, true);
        if (\is_string($type)) {
            return [$type, ''];
        }
        foreach (Biblatex::WITHIN as $type => $kinds) {
            if (\in_array($kind, $kinds, true)) {
                return [$type, $kind->value];
            }
        }

        return ['misc', $kind === SourceKind::Other ? '' : $kind->value];
    }

    private static function entry(Source $source, string $key, bool $isFull): string
    {
        [$type, $subtype] = self::type($source->kind);
        $fields = ['title' => self::title($source), 'author' => self::people($source->authors), 'editor' => self::people($source->editors)];
        $fields[$type === 'article' ? 'journal' : 'booktitle'] = self::escaped($source->container);
        $date = $source->date;
        if ($date !== null) {
            $isYear = $date->month === null && !$date->circa && !$isFull;
            $fields += $isYear ? ['year' => $date->stored()] : ['date' => $date->stored()];
        }
        foreach (self::FIELDS as $field => $name) {
            $fields[$name]
                = $field === 'url' || $field === 'doi'
                    ? str_replace(['{', '}'], '', $source->text($field))
                    : self::escaped($source->text($field));
        }
        foreach (Biblatex::contributors() as $name => $role) {
            $fields[$name] = self::people($source->contributors[$role->value] ?? []);
        }
        foreach (Biblatex::details() as $name => $detail) {
            $fields[$name] = $detail === Detail::CitationKey ? '' : self::escaped($source->detail($detail));
        }
        $fields[Biblatex::SUBTYPE] = $subtype;
        $fields['pages'] = str_replace(['-', '–'], '--', $source->pages);
        $fields['urldate'] = $source->accessed?->stored() ?? '';
        $out = "@{$type}{{$key}";
        foreach ($fields as $name => $value) {
            $name = $isFull ? self::FULL[$name] ?? $name : $name;
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
        $own = $source->detail(Detail::CitationKey);
        if ($own !== '' && preg_match('/\A[^\s,={}()"#%~\\\\]{1,80}\z/', $own) === 1 && !isset($keys[$own])) {
            $keys[$own] = 1;

            return $own;
        }
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
