<?php

declare(strict_types=1);

namespace Embrel\Calendar;

use Embrel\Csv\Csv;
use Embrel\Id\Ulid;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Again;
use Embrel\Plan\Day;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Work;
use Embrel\Reader\Csv\Columns;
use Embrel\Reader\Unreadable;

/** The days of a plan as a table (CSV, RFC 4180): a row for each topic on which there is work. Read back by the column “id”. */
final class DaysTable
{
    private const COLUMNS = ['id', 'number', 'title', 'who', 'begins', 'due', 'done', 'again'];

    public static function write(Plan $plan): string
    {
        $numbering = Numbering::of($plan);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
        Csv::put($out, self::COLUMNS);
        foreach ($plan->standing() as $id) {
            $topic = $plan->topics[$id];
            if (Work::isOn($topic)) {
                $says = [$topic->who, $topic->begins, $topic->due, $topic->done, $topic->again?->value];
                Csv::put($out, [$id, $numbering->full($id), $topic->title, ...$says]);
            }
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /**
     * @param string $text in UTF-8
     *
     * @return list<Days>
     *
     * @throws Unreadable
     */
    public static function read(string $text): array
    {
        $read = [];
        $columns = null;
        foreach (Csv::rows($text) as $row) {
            if ($columns === null) {
                $columns = Columns::of($row);
                isset($columns['title']) && (isset($columns['begins']) || isset($columns['due'])) || throw self::noNames();
                continue;
            }
            $cell = static fn(string $what): string => $row[$columns[$what] ?? -1] ?? '';
            if ($cell('id') !== '' || $cell('title') !== '') {
                $read[] = self::row($cell, $columns);
                DaysFile::count(\count($read));
            }
        }
        $columns !== null || throw self::noNames();

        return $read;
    }

    private static function noNames(): Unreadable
    {
        return new Unreadable('The first row of the table names its columns: “title”, and “begins” or “due”. It was not found.');
    }

    /**
     * @param \Closure(string): string $cell
     * @param array<string, int>       $columns that there are
     */
    private static function row(\Closure $cell, array $columns): Days
    {
        $day = static function (string $name) use ($cell): ?string {
            try {
                return $cell($name) === '' ? null : Day::of($cell($name));
            } catch (InvalidValue) {
                throw new Unreadable("“{$cell($name)}” is no date (of “{$cell('title')}”). Dates stand as 2026-12-04. Nothing was changed.");
            }
        };
        [$from, $to] = [$day('begins'), $day('due')];
        if ($from !== null && $to !== null && $from > $to) {
            throw new Unreadable("{$from} to {$to} ends before it begins (“{$cell('title')}”). Nothing was changed.");
        }

        return new Days(
            Ulid::isValid($cell('id')) ? $cell('id') : null,
            $cell('title'),
            $from,
            $to,
            isset($columns['who']) ? mb_substr($cell('who'), 0, Work::NAME) : null,
            $day('done'),
            Again::tryFrom(strtolower($cell('again'))),
            isset($columns['done']),
            isset($columns['again']),
            isset($columns['begins']),
            isset($columns['due']),
        );
    }
}
