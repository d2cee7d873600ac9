<?php

declare(strict_types=1);

namespace Embrel\Writer\Csv;

use Embrel\Csv\Csv;
use Embrel\Draft\Choices;
use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Field;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** A table (CSV, RFC 4180): a topic a row with its level, number, kind, flag, labels, target, words and note. */
final class CsvWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $printed = $choices->notes ? Printed::of($plan, $numbering, $plan->branch($choices->from), [], $choices->allSources) : null;
        $columns = self::columns($plan, $choices->from);
        $names = array_map(static fn(Field $field): string => $field->value, $columns);
        Csv::put($out, ['level', 'number', 'title', ...$names, 'words', 'note']);
        foreach ($plan->walk($choices->from) as $id => $level) {
            $topic = $plan->topics[$id];
            $paragraphs = array_map(static fn($block): string => $block->plainText(true), array_values($printed?->note($id)->blocks ?? []));
            Csv::put($out, [
                $level,
                $numbering->own($id),
                $topic->title,
                ...array_map(static fn(Field $field): string => self::cell($field, $topic), $columns),
                $topic->words === 0 ? '' : $topic->words,
                implode("\n\n", $paragraphs),
            ]);
        }
        $losses = Losses::ofText($plan, $choices->from, $choices->notes);
        $losses->also($printed->missing ?? []);

        return $losses->sentences();
    }

    /** @return list<Field> a column for labels, and for what is said of work, only where there is any */
    private static function columns(Plan $plan, string $from): array
    {
        $branch = $plan->branch($from);
        $isAny = static function (Field $field) use ($plan, $branch): bool {
            foreach ($branch as $id) {
                if ($field->written($plan->topics[$id]) !== null) {
                    return true;
                }
            }

            return false;
        };

        return array_values(array_filter(
            Field::cases(),
            static fn(Field $field): bool
                => $field->isInTables() && (!($field === Field::Labels || $field->isOfWork()) || $isAny($field)),
        ));
    }

    private static function cell(Field $field, Topic $topic): string
    {
        $form = $field->written($topic) ?? ($field === Field::Kind ? Kind::Section->value : '');

        return \is_array($form) ? implode(', ', $form) : (string) $form;
    }
}
