<?php

declare(strict_types=1);

namespace Embrel\Writer\Sources;

use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\Ris;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

/** Sources as RIS: a tag of two signs, two spaces, a hyphen, a space and the value, each line ended as RIS wants it. */
final class RisWriter
{
    private const FIELDS = [
        'container' => 'T2',
        'publisher' => 'PB',
        'place' => 'CY',
        'edition' => 'ET',
        'volume' => 'VL',
        'issue' => 'IS',
        'url' => 'UR',
        'doi' => 'DO',
        'isbn' => 'SN',
        'language' => 'LA',
        'remark' => 'N1',
    ];

    /** @param list<Source> $sources */
    public static function written(array $sources): string
    {
        return implode("\r\n", array_map(self::entry(...), $sources));
    }

    private static function entry(Source $source): string
    {
        $type = array_search($source->kind, Ris::KINDS, true);
        $lines = [['TY', $type === false ? 'GEN' : $type], ['TI', $source->title]];
        if ($type === false && $source->kind !== SourceKind::Other) {
            $lines[] = [Ris::KIND, $source->kind->value];
        }
        foreach (['AU' => $source->authors, 'A2' => $source->editors] as $tag => $people) {
            foreach ($people as $person) {
                $lines[] = [$tag, $person->inverted()];
            }
        }
        foreach (self::FIELDS as $field => $tag) {
            $lines[] = [$tag, str_replace("\n", ' ', $source->text($field))];
        }
        foreach (Ris::CONTRIBUTORS as $tag => $role) {
            foreach ($tag === 'TA' ? [] : $source->contributors[$role->value] ?? [] as $person) {
                $lines[] = [$tag, $person->inverted()];
            }
        }
        foreach (Ris::DETAILS as $tag => $detail) {
            $texts = $detail === Detail::Keywords ? explode('; ', $source->detail($detail)) : [$source->detail($detail)];
            foreach ($tag === 'N2' ? [] : $texts as $text) {
                $lines[] = [$tag, str_replace("\n", ' ', $text)];
            }
        }
        $lines[] = ['SN', $source->isbn === '' ? $source->detail(Detail::Issn) : ''];
        [$first, $last] = explode('-', str_replace('–', '-', $source->pages), 2) + [1 => ''];
        array_push(
            $lines,
            ['SP', trim($first)],
            ['EP', trim($last)],
            ['PY', $source->date === null ? '' : (string) ($source->date->year ?? $source->date->words)],
            ['DA', self::date($source->date)],
            ['Y2', self::date($source->accessed)],
        );
        $out = '';
        foreach ($lines as [$tag, $value]) {
            $out .= $value === '' ? '' : "{$tag}  - {$value}\r\n";
        }

        return "{$out}ER  - \r\n";
    }

    private static function date(?PartialDate $date): string
    {
        return $date?->year === null || $date->month === null
            ? ''
            : \sprintf('%04d/%02d/%s', $date->year, $date->month, $date->day === null ? '' : \sprintf('%02d', $date->day));
    }
}
