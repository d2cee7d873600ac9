<?php

declare(strict_types=1);

namespace Embrel\Writer;

/** What was left out of a draft by choice, in sentences. */
final class LeftOut
{
    private const SAID = [
        'empty' => ['1 empty section left out', '%d empty sections left out'],
        'notes' => ['1 note left out', '%d notes left out'],
        'pictures' => ['1 picture left out', '%d pictures left out'],
        'point' => ['1 point left out', '%d points left out'],
        'quote' => ['1 quote left out', '%d quotes left out'],
        'aside' => ['1 aside left out', '%d asides left out'],
    ];

    /**
     * @param array<string, int> $leftOut what → how often
     *
     * @return list<string>
     */
    public static function sentences(array $leftOut): array
    {
        $said = [];
        foreach ($leftOut as $what => $count) {
            $said[] = \sprintf(self::SAID[$what][$count === 1 ? 0 : 1] ?? '', $count);
        }

        return $said;
    }
}
