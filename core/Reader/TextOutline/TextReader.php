<?php

declare(strict_types=1);

namespace Embrel\Reader\TextOutline;

use Embrel\Id\Ids;
use Embrel\Intake\Growing;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\TypedNumbers;
use Embrel\Limits;
use Embrel\Reader\Reader;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;
use Embrel\RichText\Node;

/**
 * Indented text: a line a topic. A line that is indented deeper than the one before is one level
 * deeper, however much deeper; a tab counts as four columns. One list sign at the start of a line
 * (- * + • – ◦ ▪ ‣ · ○ ● ■) and the space after it are taken off; where only one line of several begins with one,
 * it is part of the line. Lines that start with a bar are the note of the topic above, as our own
 * numbered outline writes them.
 */
final class TextReader implements Reader
{
    public function read($in, Options $options, Ids $ids): Result
    {
        $growing = new Growing($ids, $options->title);
        /** @var list<int> $columns the indents of the open branch */
        $columns = [];
        $topic = null;
        $hasBullets = self::hasBullets($in);
        foreach (Source::lines($in) as $number => $line) {
            $text = preg_replace('/\A[\p{Z}\s]+|[\p{Z}\s]+\z/u', '', $line) ?? $line;
            if ($text === '') {
                continue;
            }
            $column = $this->column($line, $growing);
            if ($topic !== null && str_starts_with($text, '| ') && $column > $topic['column']) {
                $topic['note'][] = Node::plain(substr($text, 2));
                continue;
            }
            $this->addTo($growing, $topic);
            $title = $hasBullets ? preg_replace(Line::BULLET, '', $text) ?? $text : $text;
            $topic = ['level' => $this->level($column, $columns, $growing, $number), 'title' => $title, 'note' => [], 'column' => $column];
            if ($growing->count() >= Limits::TOPICS) {
                throw Unreadable::tooManyTopics($number);
            }
        }
        $this->addTo($growing, $topic);
        if ($growing->count() === 0) {
            throw Unreadable::blank();
        }
        $plan = $growing->done();

        return new Result($options->stripNumbers ? TypedNumbers::stripped($plan) : $plan, $growing->repairs());
    }

    /**
     * Whether signs at the start of lines are those of a list: a sign that stands alone among lines without one is not.
     *
     * @param resource $in read from where it is, and put back there
     */
    private static function hasBullets($in): bool
    {
        if (!stream_get_meta_data($in)['seekable']) {
            return true;
        }
        $start = (int) ftell($in);
        $lines = $bullets = 0;
        foreach (Source::lines($in) as $line) {
            $text = ltrim($line);
            $lines += $text === '' ? 0 : 1;
            $bullets += preg_match(Line::BULLET, $text) === 1 ? 1 : 0;
            if ($bullets > 1) {
                break;
            }
        }
        fseek($in, $start);

        return $bullets > 1 || $lines === 1;
    }

    /** @param array{level: int, title: string, note: list<Node>, column: int}|null $topic */
    private function addTo(Growing $growing, ?array $topic): void
    {
        if ($topic !== null) {
            $growing->add($topic['level'], $topic['title'], $topic['note']);
        }
    }

    private function column(string $line, Growing $growing): int
    {
        $indent = Line::indent($line);
        if (str_contains($indent, "\t") && str_contains($indent, ' ')) {
            $growing->repaired('A line was indented with both tabs and spaces; a tab was read as four columns.');
        }

        return Line::column($line);
    }

    /** @param list<int> $columns */
    private function level(int $column, array &$columns, Growing $growing, int $number): int
    {
        while ($columns !== [] && $columns[\count($columns) - 1] >= $column) {
            array_pop($columns);
        }
        $above = $columns === [] ? 0 : $columns[\count($columns) - 1];
        $step = \count($columns) > 1 ? $columns[1] - $columns[0] : Line::TAB;
        if ($column - $above > max($step, Line::TAB) || ($columns === [] && $column > 0)) {
            $growing->repaired('A line skipped a level; it stands one level below the line above it.');
        }
        $columns[] = $column;

        return \count($columns) <= Limits::LEVELS ? \count($columns) : throw Unreadable::tooDeep($number);
    }
}
