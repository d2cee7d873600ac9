<?php

declare(strict_types=1);

namespace Embrel\Writer\Csv;

use Embrel\Draft\Choices;
use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** A table (CSV, RFC 4180): a topic a row with its level, number, kind, flag, target, words and note. */
final class CsvWriter implements Writer
{
    /** What a spreadsheet would take for a formula gets an apostrophe in front, which it does not show. */
    private const FORMULA = '/\A[=+@\t\r]|\A-(?=\S)/';

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $printed = $choices->notes ? Printed::of($plan, $numbering, $plan->branch($choices->from), [], $choices->allSources) : null;
        fputcsv($out, ['level', 'number', 'title', 'kind', 'flag', 'target', 'words', 'note'], ',', '"', '', "\r\n");
        foreach ($plan->walk($choices->from) as $id => $level) {
            $topic = $plan->topics[$id];
            $paragraphs = array_map(static fn($block): string => $block->plainText(true), array_values($printed?->note($id)->blocks ?? []));
            $row = [
                $level,
                $numbering->own($id),
                $topic->title,
                $topic->kind->value,
                $topic->flag->value ?? '',
                $topic->target->words ?? '',
                $topic->words === 0 ? '' : $topic->words,
                implode("\n\n", $paragraphs),
            ];
            fputcsv($out, array_map(self::safe(...), $row), ',', '"', '', "\r\n");
        }
        $losses = Losses::ofText($plan, $choices->from, $choices->notes);
        $losses->also($printed->missing ?? []);

        return $losses->sentences();
    }

    private static function safe(string|int $cell): string
    {
        return \is_string($cell) && preg_match(self::FORMULA, $cell) === 1 ? "'{$cell}" : (string) $cell;
    }
}
