<?php

declare(strict_types=1);

namespace Embrel\Comment;

use Embrel\MalformedShape;
use Embrel\RichText\Note;
use Embrel\Search\Lines;
use Embrel\Shape;

/**
 * The words of a note that a comment is about. They are known by their block, the line of it and where they begin, and with
 * the whole line as it stood when they were looked for last: so they are found again wherever the line is changed around
 * them, in another block, and when they come back after they had gone.
 */
final readonly class Anchor
{
    /**
     * @param int    $line   which run of text within the block, from 0
     * @param int    $from   in characters (code points) from the start of the line
     * @param string $text   the whole line as it stood then
     * @param int    $nth    how often the same words stand in the note before them
     * @param bool   $isGone the words are in the note no more
     */
    private function __construct(
        public string $block,
        public int $line,
        public int $from,
        public int $length,
        public string $text,
        public int $nth = 0,
        public bool $isGone = false,
    ) {}

    /**
     * Words as they are read in a note, all white space alike; within one line of it.
     *
     * @param int $nth how often they stand before
     *
     * @return self|null null where they do not stand so often
     */
    public static function find(Note $note, string $words, int $nth): ?self
    {
        $words = trim($words);
        $pattern = '/' . implode('\s+', array_map(static fn(string $run): string => preg_quote($run, '/'), preg_split('/\s+/u', $words) ?: [])) . '/u';
        foreach ($words === '' ? [] : $note->blocks as $id => $block) {
            foreach (Lines::of($block) as $line => $text) {
                preg_match_all($pattern, $text, $found, PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$match, $at]) {
                    if ($nth-- === 0) {
                        return self::at($note, (string) $id, $line, mb_strlen(substr($text, 0, $at)), mb_strlen($match));
                    }
                }
            }
        }

        return null;
    }

    /**
     * Words of a note as it is.
     *
     * @return self|null null where no such words stand there
     */
    public static function at(Note $note, string $block, int $line, int $from, int $length): ?self
    {
        $text = isset($note->blocks[$block]) ? Lines::of($note->blocks[$block])[$line] ?? null : null;
        if ($text === null || $from < 0 || $length < 1 || $from + $length > mb_strlen($text)) {
            return null;
        }

        return trim(mb_substr($text, $from, $length)) === '' ? null : self::there($note, $block, $line, [$from, $length], $text);
    }

    /** @param array{int, int} $span from and length */
    private static function there(Note $note, string $block, int $line, array $span, string $text): self
    {
        $words = mb_substr($text, ...$span);
        $nth = 0;
        foreach ($note->blocks as $id => $other) {
            foreach (Lines::of($other) as $i => $run) {
                if ((string) $id === $block && $i === $line) {
                    $nth += mb_substr_count(mb_substr($text, 0, $span[0]), $words);

                    return new self($block, $line, $span[0], $span[1], $text, $nth);
                }
                $nth += mb_substr_count($run, $words);
            }
        }

        return new self($block, $line, $span[0], $span[1], $text, $nth);
    }

    /** @throws MalformedShape */
    public static function read(Shape $shape): self
    {
        return new self(
            $shape->string('block'),
            $shape->int('line'),
            $shape->int('from'),
            $shape->int('length'),
            $shape->string('text'),
            $shape->int('nth'),
            $shape->bool('gone'),
        );
    }

    /** @return array{block: string, line: int, from: int, length: int, text: string, nth: int, gone: bool} */
    public function toArray(): array
    {
        return [
            'block' => $this->block, 'line' => $this->line, 'from' => $this->from, 'length' => $this->length, 'text' => $this->text,
            'nth' => $this->nth, 'gone' => $this->isGone,
        ];
    }

    /** The words; where they have gone, what they were. */
    public function words(): string
    {
        return mb_substr($this->text, $this->from, $this->length);
    }

    /**
     * Where the words stand in a note now: in their own line, in another of their block, or, where they were moved whole,
     * in any other.
     *
     * @return self|null null: they are not in it
     */
    public function in(?Note $note): ?self
    {
        if ($note === null) {
            return null;
        }
        $lines = isset($note->blocks[$this->block]) ? Lines::of($note->blocks[$this->block]) : [];
        $own = isset($lines[$this->line]) ? [$this->line => $lines[$this->line]] : [];
        foreach ($own + $lines as $line => $text) {
            $found = $text === $this->text ? [$this->from, $this->length] : Drift::of($this->text, $text, $this->from, $this->length);
            if ($found !== null) {
                return self::there($note, $this->block, $line, $found, $text);
            }
        }

        return $this->moved($note);
    }

    /** The same words to the letter in another block, where they stand once. */
    private function moved(Note $note): ?self
    {
        $words = $this->words();
        $found = null;
        foreach ($note->blocks as $id => $block) {
            foreach ($id === $this->block ? [] : Lines::of($block) as $line => $text) {
                $at = mb_strpos($text, $words);
                if ($at !== false) {
                    if ($found !== null || mb_strpos($text, $words, $at + 1) !== false) {
                        return null;
                    }
                    $found = self::there($note, (string) $id, $line, [$at, $this->length], $text);
                }
            }
        }

        return $found;
    }

    public function gone(): self
    {
        return new self($this->block, $this->line, $this->from, $this->length, $this->text, $this->nth, true);
    }
}
