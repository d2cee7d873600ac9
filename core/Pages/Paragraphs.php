<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Style;
use Embrel\Fonts\Typefaces;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * Breaks paragraphs into lines: between words, between any two signs of the scripts that are written
 * without spaces, and within a word only where it alone is too wide. First fit, as word processors do.
 */
final class Paragraphs
{
    /** Spaces; signs after which a line may end; anything else up to the next of these. */
    private const PIECES = '/\s+|[\x{1100}-\x{11FF}\x{2E80}-\x{9FFF}\x{AC00}-\x{D7FF}\x{F900}-\x{FAFF}\x{FF00}-\x{FFEF}\x{20000}-\x{3FFFF}][、。，．：；！？）」』】]*|[^\s\x{1100}-\x{11FF}\x{2E80}-\x{9FFF}\x{AC00}-\x{D7FF}\x{F900}-\x{FAFF}\x{FF00}-\x{FFEF}\x{20000}-\x{3FFFF}-]*-+|[^\s\x{1100}-\x{11FF}\x{2E80}-\x{9FFF}\x{AC00}-\x{D7FF}\x{F900}-\x{FAFF}\x{FF00}-\x{FFEF}\x{20000}-\x{3FFFF}-]+/u';
    private const ASCII_PIECES = '/\s+|[^\s-]*-+|[^\s-]+/';
    /** How much of single spacing stands above the line, against the size of the type. */
    private const ABOVE = 0.78;
    private const RAISED = 0.62;

    private int $footnotes = 0;

    public function __construct(private readonly Typefaces $faces) {}

    /**
     * @param list<Node>                                    $inlines
     * @param (\Closure(Node, string): list<Line>)|null $footnote the lines of a footnote, given its number; null: there are none
     *
     * @return list<Line> at least one
     */
    public function lines(array $inlines, Setting $setting, float $width, ?\Closure $footnote = null): array
    {
        return $this->broken($this->runs($inlines, $setting, $footnote), $setting, $width);
    }

    /** @return list<Line> */
    public function text(string $text, Setting $setting, float $width): array
    {
        return $this->broken($text === '' ? [] : [$this->run($text, $setting)], $setting, $width);
    }

    /**
     * @param list<Node>                                    $inlines
     * @param (\Closure(Node, string): list<Line>)|null $footnote
     *
     * @return list<array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}>
     */
    private function runs(array $inlines, Setting $setting, ?\Closure $footnote): array
    {
        $runs = [];
        foreach ($inlines as $node) {
            if ($node->isText()) {
                $runs[] = $this->marked($node, $setting);
            } elseif ($node->type === NodeType::HardBreak) {
                $runs[] = ['text' => "\n"] + $this->run('', $setting);
            } elseif ($node->type === NodeType::Footnote && $footnote !== null) {
                $n = (string) ++$this->footnotes;
                $runs[]
                    = ['rise' => $setting->size * 0.34, 'size' => $setting->size * self::RAISED, 'footnote' => $footnote($node, $n)]
                    + $this->run($n, $setting);
            }
        }

        return $runs;
    }

    /**
     * @return array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}
     */
    private function run(string $text, Setting $setting): array
    {
        return [
            'text' => $text,
            'face' => $setting->face(),
            'size' => $setting->size,
            'colour' => $setting->colour,
            'rise' => 0.0,
            'link' => $setting->link,
            'marks' => '',
            'ground' => false,
            'footnote' => null,
        ];
    }

    /**
     * @return array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}
     */
    private function marked(Node $node, Setting $setting): array
    {
        $run = $this->run($node->text, $setting);
        if ($node->marks === []) {
            return $run;
        }
        $link = (string) $node->link();
        $family = $node->has(MarkType::Code) ? 'mono' : $setting->family;
        $raised = $node->has(MarkType::Superscript) ? 0.34 : ($node->has(MarkType::Subscript) ? -0.16 : 0.0);

        return [
            'face' => Typefaces::face(
                $family,
                $setting->bold || $node->has(MarkType::Bold),
                $setting->italic !== $node->has(MarkType::Italic),
            ),
            'size' => $setting->size * ($raised === 0.0 ? ($family === 'mono' && $setting->family !== 'mono' ? 0.9 : 1.0) : self::RAISED),
            'colour' => $link !== '' && $link[0] !== '#' ? Style::LINK : $setting->colour,
            'rise' => $setting->size * $raised,
            'link' => $link,
            'marks' => ($node->has(MarkType::Underline) ? 'u' : '') . ($node->has(MarkType::Strike) ? 's' : ''),
            'ground' => $node->has(MarkType::Highlight),
        ] + $run;
    }

    /**
     * @param list<array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}> $runs
     *
     * @return list<Line>
     */
    private function broken(array $runs, Setting $setting, float $width): array
    {
        $lines = [];
        $words = [];
        $room = $width - $setting->indent;
        $x = $setting->firstLine;
        foreach ($runs as $run) {
            $isAscii = preg_match('/[\x80-\xFF]/', $run['text']) !== 1;
            preg_match_all($isAscii ? self::ASCII_PIECES : self::PIECES, $run['text'], $m);
            foreach ($m[0] as $piece) {
                $isSpace = $piece[0] <= ' ' || ($piece[0] === "\xC2" && trim($piece) === '');
                if ($isSpace && str_contains($run['text'], "\n") && str_contains($piece, "\n")) {
                    for ($n = substr_count($piece, "\n"); $n > 0; --$n) {
                        $lines[] = $this->line($words, $setting, $width, $lines === [], true);
                        [$words, $x] = [[], 0.0];
                    }
                    continue;
                }
                $piece = $isSpace ? str_replace("\t", '    ', $piece) : $piece;
                $wide = $this->faces->width($piece, $run['face'], $run['size']);
                while (!$isSpace && $x + $wide > $room + 0.01) {
                    if (array_filter($words, static fn(array $word): bool => !$word[1]) !== []) {
                        $lines[] = $this->line($words, $setting, $width, $lines === [], false);
                        [$words, $x] = [[], 0.0];
                        continue;
                    }
                    $head = $this->fitting($piece, $run['face'], $run['size'], $room - $x);
                    if ($head === $piece) {
                        break;
                    }
                    $words[] = [['text' => $head] + $run, false, $this->faces->width($head, $run['face'], $run['size'])];
                    $lines[] = $this->line($words, $setting, $width, $lines === [], false);
                    [$words, $x, $piece] = [[], 0.0, substr($piece, \strlen($head))];
                    $wide = $this->faces->width($piece, $run['face'], $run['size']);
                }
                if (!$isSpace || $words !== []) {
                    $words[] = [['text' => $piece] + $run, $isSpace, $wide];
                    $x += $wide;
                }
            }
        }
        $lines[] = $this->line($words, $setting, $width, $lines === [], true);

        return $lines;
    }

    /** As many whole signs as fit, at least one. */
    private function fitting(string $word, string $face, float $size, float $room): string
    {
        preg_match_all('/\X/u', $word, $m);
        $head = '';
        $taken = 0.0;
        foreach ($m[0] as $sign) {
            $taken += $this->faces->width($sign, $face, $size);
            if ($head !== '' && $taken > $room) {
                break;
            }
            $head .= $sign;
        }

        return $head === '' ? $word : $head;
    }

    /**
     * @param list<array{array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}, bool, float}> $words run, whether it is space, and width
     */
    private function line(array $words, Setting $setting, float $width, bool $isFirst, bool $isLast): Line
    {
        while ($words !== [] && $words[\count($words) - 1][1]) {
            array_pop($words);
        }
        $natural = $spaces = 0.0;
        $gaps = 0;
        foreach ($words as [, $isSpace, $wide]) {
            $natural += $wide;
            $gaps += $isSpace ? 1 : 0;
        }
        $indent = $setting->indent + ($isFirst ? $setting->firstLine : 0.0);
        $rest = $width - $indent - $natural;
        $x
            = $indent
            + match ($setting->align) {
                'center' => max(0.0, $rest / 2),
                'right' => max(0.0, $rest),
                default => 0.0,
            };
        $stretch = $setting->align === 'justify' && !$isLast && $gaps > 0 && $rest > 0 && $rest < $width * 0.3 ? $rest / $gaps : 0.0;
        $height = $setting->size * Style::SINGLE * $setting->spacing;
        $ascent = $height - $setting->size * (Style::SINGLE - self::ABOVE - 0.14);
        $line = new Line($height, $ascent, ground: $setting->ground);
        foreach ($this->joined($words, $stretch) as [$run, $wide]) {
            if ($run['ground']) {
                $line->pieces[] = new Piece(
                    Piece::BOX,
                    $x,
                    $ascent - $setting->size * 0.85,
                    $wide,
                    $setting->size * 1.1,
                    colour: Style::HIGHLIGHT,
                );
            }
            $line->pieces[] = new Piece(
                Piece::TEXT,
                $x,
                $ascent - $run['rise'],
                $wide,
                0.0,
                $run['text'],
                $run['face'],
                $run['size'],
                $run['colour'],
                $run['link'],
                $run['marks'],
            );
            $x += $wide;
            if ($run['footnote'] !== null) {
                $line->footnotes[] = $run['footnote'];
            }
        }

        return $line;
    }

    /**
     * Words that follow each other in the same run are set together; where spaces are stretched, each alone.
     *
     * @param list<array{array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}, bool, float}> $words
     *
     * @return list<array{array{text: string, face: string, size: float, colour: string, rise: float, link: string, marks: string, ground: bool, footnote: list<Line>|null}, float}>
     */
    private function joined(array $words, float $stretch): array
    {
        $out = [];
        $last = null;
        foreach ($words as [$run, $isSpace, $wide]) {
            $wide += $isSpace ? $stretch : 0.0;
            $isSame
                = $last !== null
                && $stretch === 0.0
                && $last['face'] === $run['face']
                && $last['size'] === $run['size']
                && $last['rise'] === $run['rise']
                && $last['link'] === $run['link']
                && $last['marks'] === $run['marks']
                && $last['colour'] === $run['colour']
                && $last['ground'] === $run['ground']
                && $last['footnote'] === null
                && $run['footnote'] === null;
            if ($isSame) {
                $at = \count($out) - 1;
                $out[$at][0]['text'] .= $run['text'];
                $out[$at][1] += $wide;
            } else {
                $out[] = [$run, $wide];
            }
            $last = $run;
        }

        return $out;
    }
}
