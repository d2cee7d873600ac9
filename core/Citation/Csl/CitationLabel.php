<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** A label such as Pel94: letters of up to four names, and the end of the year. */
final class CitationLabel
{
    public static function of(Item $item): string
    {
        $names = $item->names['author'] ?? $item->names['editor'] ?? [];
        $count = \count($names);
        $letters = [1 => [4], [2, 2], [2, 1, 1], [1, 1, 1, 1]][min(4, $count)] ?? [];
        $out = '';
        foreach ($letters as $i => $many) {
            $family = $names[$i]->family !== '' ? $names[$i]->family : (string) preg_replace('/\AThe\s+/', '', $names[$i]->literal);
            $out .= mb_substr((string) preg_replace('/[^\p{L}]/u', '', $family), 0, $many);
        }
        $year = $item->dates['issued']->parts[0][0] ?? 0;

        return $out . substr(sprintf('%02d', abs($year)), -2);
    }
}
