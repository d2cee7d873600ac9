<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Fonts\Glyphs;
use Embrel\Fonts\Typefaces;
use Embrel\Layout\Text\Wrapping;

/**
 * The runs of a paragraph in units that stay together on a line: a word with what clings to it, or the space between two.
 * Scripts with rules of their own are divided as ICU has it (UAX #14), the others between words and after hyphens.
 *
 * @phpstan-type Run array{
 *     text: string,
 *     face: string,
 *     size: float,
 *     colour: string,
 *     rise: float,
 *     link: string,
 *     marks: string,
 *     ground: bool,
 *     footnote: list<Line>|null,
 *     place: string,
 * }
 * @phpstan-type Part array{run: Run, isSpace: bool, wide: float, glyphs: Glyphs|null, level: int}
 */
final class Units
{
    private const PLAIN = '/\s+|[^\s-]*-+|[^\s-]+/u';
    private const ASCII = '/\s+|[^\s-]*-+|[^\s-]+/';
    /** Scripts other than those whose words stand between spaces and whose letters stand one after the other. */
    private const OWN_RULES = '/[\x{590}-\x{1DFF}\x{2E80}-\x{FAFF}\x{FB07}-\x{10FFFF}]/u';
    /** Spaces at which a line may end. */
    private const SPACE = '/[ \t-\r\x{1680}\x{2000}-\x{2006}\x{2008}-\x{200A}\x{205F}\x{3000}]/u';

    private readonly \IntlBreakIterator $breaks;

    public function __construct(private readonly Typefaces $faces)
    {
        $this->breaks = \IntlBreakIterator::createLineInstance('root')
            ?? throw new \RuntimeException('ICU has no rules of line breaks.');
    }

    /**
     * @param list<Run> $runs
     *
     * @return array{\Generator<int, list<Part>>, bool} the units in the order in which they are read, and whether the paragraph is read from right to left
     */
    public function of(array $runs): array
    {
        $text = implode('', array_column($runs, 'text'));
        if (preg_match('/[\xD6-\xFF]/', $text) !== 1 || preg_match(self::OWN_RULES, $text) !== 1) {
            return [$this->plain($runs), false];
        }
        $levels = null;
        if (Wrapping::mayTurn($text)) {
            $levels = $this->faces->shaping->levels($text);
            if ($levels === null && $this->faces->shaping->shaper !== null) {
                // What is asked for before its order is known would be shaped in vain.
                return [$this->plain($runs), false];
            }
        }

        return [$this->ruled($runs, $text, \array_slice($levels ?? [], 1)), ($levels[0] ?? 0) === 1];
    }

    /**
     * @param list<Run> $runs
     *
     * @return \Generator<int, list<Part>>
     */
    private function plain(array $runs): \Generator
    {
        $open = [];
        foreach ($runs as $run) {
            $isAscii = preg_match('/[\x80-\xFF]/', $run['text']) !== 1;
            preg_match_all($isAscii ? self::ASCII : self::PLAIN, $run['text'], $m);
            foreach ($m[0] as $piece) {
                $isSpace = $piece[0] <= ' ';
                if ($open !== [] && ($isSpace || $open[0]['isSpace'] || str_ends_with($open[\count($open) - 1]['run']['text'], '-'))) {
                    yield $open;
                    $open = [];
                }
                array_push($open, ...$this->parts($run, $piece, $isSpace, 0));
            }
        }
        if ($open !== []) {
            yield $open;
        }
    }

    /**
     * @param list<Run> $runs
     * @param list<int> $levels of each sign; empty: all are read from left to right
     *
     * @return \Generator<int, list<Part>>
     */
    private function ruled(array $runs, string $text, array $levels): \Generator
    {
        $breaks = $this->breaks($text);
        $open = [];
        $byte = $sign = 0;
        foreach ($runs as $run) {
            $piece = '';
            $isSpace = false;
            $level = 0;
            foreach (mb_str_split($run['text']) as $next) {
                $isNextSpace = preg_match(self::SPACE, $next) === 1;
                $ends = isset($breaks[$byte]) || $isSpace !== $isNextSpace;
                if ($piece !== '' && ($ends || $level !== ($levels[$sign] ?? 0))) {
                    array_push($open, ...$this->parts($run, $piece, $isSpace, $level));
                    $piece = '';
                }
                if ($piece === '') {
                    [$isSpace, $level] = [$isNextSpace, $levels[$sign] ?? 0];
                    if ($open !== [] && (isset($breaks[$byte]) || $open[0]['isSpace'] !== $isSpace)) {
                        yield $open;
                        $open = [];
                    }
                }
                $piece .= $next;
                $byte += \strlen($next);
                ++$sign;
            }
            $piece === '' ? null : array_push($open, ...$this->parts($run, $piece, $isSpace, $level));
        }
        if ($open !== []) {
            yield $open;
        }
    }

    /** @return array<int, true> the bytes before which a line may end */
    private function breaks(string $text): array
    {
        $this->breaks->setText($text);
        $breaks = [];
        for ($at = $this->breaks->first(); $at !== \IntlBreakIterator::DONE; $at = $this->breaks->next()) {
            $breaks[$at] = true;
        }

        return $breaks;
    }

    /**
     * @param Run $run of which it is a part
     *
     * @return list<Part> one for each font that is needed
     */
    private function parts(array $run, string $text, bool $isSpace, int $level): array
    {
        $isOdd = $level % 2 === 1;
        $text = $isSpace ? str_replace("\t", '    ', $text) : $text;
        if (!$isSpace && ($isOdd || !$this->faces->holds($text, $run['face']))) {
            $shaped = $this->faces->glyphs($text, $run['face'], $isOdd);
            if ($shaped !== null) {
                return array_map(
                    fn(Glyphs|string $part): array => \is_string($part)
                        ? $this->part($run, $part, false, $level)
                        : self::drawn($run, $part, $level),
                    $shaped,
                );
            }
        }

        return [$this->part($run, $text, $isSpace, $level)];
    }

    /**
     * @param Run $run of which it is a part
     *
     * @return Part
     */
    public static function drawn(array $run, Glyphs $glyphs, int $level): array
    {
        $wide = $glyphs->width * $run['size'];

        return ['run' => ['text' => $glyphs->text] + $run, 'isSpace' => false, 'wide' => $wide, 'glyphs' => $glyphs, 'level' => $level];
    }

    /**
     * @param Run $run of which it is a part
     *
     * @return Part
     */
    public function part(array $run, string $text, bool $isSpace, int $level): array
    {
        $wide = $this->faces->width($text, $run['face'], $run['size']);

        return ['run' => ['text' => $text] + $run, 'isSpace' => $isSpace, 'wide' => $wide, 'glyphs' => null, 'level' => $level];
    }
}
