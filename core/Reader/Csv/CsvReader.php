<?php

declare(strict_types=1);

namespace Embrel\Reader\Csv;

use Embrel\Id\Ids;
use Embrel\Intake\Growing;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\TypedNumbers;
use Embrel\Limits;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Label;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\Reader\Reader;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;
use Embrel\RichText\Node;

/**
 * A table of topics (CSV, RFC 4180; with commas, semicolons or tabs): one a row, with its level from
 * 1. The first row names the columns; without names, the level stands first and the title second.
 */
final class CsvReader implements Reader
{
    private const NAMES = [
        'level' => 'level',
        'depth' => 'level',
        'outline level' => 'level',
        'ebene' => 'level',
        'niveau' => 'level',
        'nivel' => 'level',
        'title' => 'title',
        'topic' => 'title',
        'heading' => 'title',
        'name' => 'title',
        'text' => 'title',
        'titel' => 'title',
        'titre' => 'title',
        'thema' => 'title',
        'note' => 'note',
        'notes' => 'note',
        'description' => 'note',
        'notiz' => 'note',
        'kind' => 'kind',
        'flag' => 'flag',
        'target' => 'target',
        'labels' => 'labels',
        'label' => 'labels',
        'category' => 'labels',
        'categories' => 'labels',
        'keywords' => 'labels',
    ];

    public function read($in, Options $options, Ids $ids): Result
    {
        $table = self::table(Source::text($in));
        $separator = self::separator($table);
        $growing = new Growing($ids, $options->title);
        $columns = null;
        $line = 0;
        while (($row = fgetcsv($table, null, $separator, '"', '')) !== false) {
            ++$line;
            if ($row === [null] || implode('', array_map(strval(...), $row)) === '') {
                continue;
            }
            if ($columns === null) {
                $columns = self::columns($row);
                if (!ctype_digit(trim((string) $row[$columns['level']]))) {
                    continue;
                }
            }
            if ($growing->isFull()) {
                throw Unreadable::tooManyTopics($line);
            }
            $this->topic($growing, $columns, $row, $options, $line);
        }
        fclose($table);
        $plan = $growing->done();

        return new Result($options->stripNumbers ? TypedNumbers::stripped($plan) : $plan, $growing->repairs());
    }

    /** @return resource */
    private static function table(string $text)
    {
        $table = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
        fwrite($table, $text);
        rewind($table);

        return $table;
    }

    /** @param resource $table The sign that divides the first row most often. */
    private static function separator($table): string
    {
        $first = (string) preg_replace('/"[^"]*"/', '', (string) fgets($table));
        rewind($table);
        $counts = [',' => substr_count($first, ','), ';' => substr_count($first, ';'), "\t" => substr_count($first, "\t")];
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /**
     * @param array<int, string|null> $row the first
     *
     * @return array<string, int> what → which column
     */
    private static function columns(array $row): array
    {
        $columns = [];
        foreach ($row as $i => $name) {
            $what = self::NAMES[mb_strtolower(trim((string) $name))] ?? null;
            if ($what !== null) {
                $columns[$what] ??= $i;
            }
        }
        if (!isset($columns['level'], $columns['title'])) {
            return preg_match('/\A\s*\d+(?:\.\d+)*\.?\s*\z/', (string) $row[0]) === 1 && \count($row) > 1
                ? ['level' => 0, 'title' => 1, 'note' => 2]
                : throw Unreadable::noLevels();
        }

        return $columns;
    }

    /**
     * @param array<string, int>      $columns
     * @param array<int, string|null> $row
     */
    private function topic(Growing $growing, array $columns, array $row, Options $options, int $line): void
    {
        // An apostrophe in front keeps a spreadsheet from taking a text for a formula.
        $cell = static fn(string $what): string => preg_replace(
            '/\A\x27(?=[=+@-])/',
            '',
            trim((string) ($row[$columns[$what] ?? -1] ?? '')),
        ) ?? '';
        $level = self::level($cell('level'));
        if ($level === null) {
            $growing->repaired('A row had no level; it stands at the level of the row before it.');
            $level = max(1, $growing->depthAt(PHP_INT_MAX) - 1);
        }
        if ($growing->depthAt($level) > Limits::LEVELS) {
            throw Unreadable::tooDeep($line);
        }
        if ($level > $growing->depthAt($level)) {
            $growing->repaired('A level was skipped; the topic was put right below the one above it.');
        }
        $note = $cell('note');
        $paragraphs
            = $note === '' || !$options->notes
                ? []
                : array_map(static fn(string $text): Node => Node::plain(trim($text)), preg_split('/\R\s*\R/', $note) ?: []);
        $target = (int) $cell('target');
        $growing->add(
            $level,
            $cell('title'),
            $paragraphs,
            static fn(Topic $topic): Topic => $topic->with([
                'kind' => Kind::tryFrom(strtolower($cell('kind'))) ?? Kind::Section,
                'flag' => Flag::tryFrom(strtolower($cell('flag'))),
                'labels' => Label::inText($cell('labels')),
                'target' => $target > 0 && $target <= Limits::TARGET_WORDS ? Target::of($target) : null,
            ]),
        );
    }

    /** A level from 1, or a typed number such as 1.2.1, whose parts count. */
    private static function level(string $cell): ?int
    {
        if (preg_match('/\A\d{1,3}\z/', $cell) === 1) {
            return max(1, (int) $cell);
        }

        return preg_match('/\A\d{1,4}(?:\.\d{1,4})+\.?\z/', $cell) === 1 ? substr_count(rtrim($cell, '.'), '.') + 1 : null;
    }
}
