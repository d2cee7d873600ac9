<?php

declare(strict_types=1);

namespace Embrel\Reader\Csv;

use Embrel\Csv\Csv;
use Embrel\Id\Ids;
use Embrel\Intake\Growing;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\TypedNumbers;
use Embrel\Limits;
use Embrel\Plan\Field;
use Embrel\Plan\Flag;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Kind;
use Embrel\Plan\Label;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\Reader\Reader;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;
use Embrel\RichText\Node;
use Embrel\Shape;

/**
 * A table of topics (CSV, RFC 4180; with commas, semicolons or tabs): one a row, with its level from
 * 1. The first row names the columns; without names, the level stands first and the title second.
 */
final class CsvReader implements Reader
{
    public function read($in, Options $options, Ids $ids): Result
    {
        $growing = new Growing($ids, $options->title);
        $columns = null;
        foreach (Csv::rows(Source::text($in)) as $line => $row) {
            if ($columns === null) {
                $columns = self::columns($row);
                if (!ctype_digit($row[$columns['level']])) {
                    continue;
                }
            }
            if ($growing->isFull()) {
                throw Unreadable::tooManyTopics($line);
            }
            $this->topic($growing, $columns, $row, $options, $line);
        }
        $plan = $growing->done();

        return new Result($options->stripNumbers ? TypedNumbers::stripped($plan) : $plan, $growing->repairs());
    }

    /**
     * @param list<string> $row the first
     *
     * @return array<string, int> what → which column
     */
    private static function columns(array $row): array
    {
        $columns = Columns::of($row);
        if (!isset($columns['level'], $columns['title'])) {
            return preg_match('/\A\d+(?:\.\d+)*\.?\z/', $row[0]) === 1 && \count($row) > 1
                ? ['level' => 0, 'title' => 1, 'note' => 2]
                : throw Unreadable::noLevels();
        }

        return $columns;
    }

    /**
     * @param array<string, int> $columns
     * @param list<string>       $row
     */
    private function topic(Growing $growing, array $columns, array $row, Options $options, int $line): void
    {
        $cell = static fn(string $what): string => $row[$columns[$what] ?? -1] ?? '';
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
            ] + self::work($growing, $cell)),
        );
    }

    /**
     * @param \Closure(string): string $cell
     *
     * @return array<string, mixed> what a row says of work, where it can be understood
     */
    private static function work(Growing $growing, \Closure $cell): array
    {
        $set = [];
        foreach (Field::cases() as $field) {
            $typed = $field->isOfWork() ? $cell($field->value) : '';
            try {
                $set += $typed === '' ? [] : [$field->value => $field->read(new Shape([$field->value => $typed], 'table'))];
            } catch (InvalidValue) {
                $growing->repaired("A value of “{$field->value}” was not one that we know, and was left out.");
            }
        }

        return $set;
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
