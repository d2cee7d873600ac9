<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Style;
use Embrel\Fonts\Typefaces;
use Embrel\Language\Hyphenation;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * Breaks paragraphs into lines: between units, within a word where the style lets it be divided, and anywhere only where a word
 * alone is too wide. First fit, as word processors do.
 *
 * @phpstan-import-type Run from Units
 * @phpstan-import-type Part from Units
 */
final class Paragraphs
{
    private const RAISED = 0.62;

    private int $footnotes = 0;

    private readonly Units $units;

    public function __construct(private readonly Typefaces $faces, private readonly ?Hyphenation $hyphens = null)
    {
        $this->units = new Units($faces);
    }

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
     * @return list<Run>
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
     * @return Run
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
            'place' => '',
        ];
    }

    /**
     * @return Run
     */
    private function marked(Node $node, Setting $setting): array
    {
        $run = ['place' => $node->string('place') ?? ''] + $this->run($node->text, $setting);
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
     * @param list<Run> $runs
     *
     * @return list<Line>
     */
    private function broken(array $runs, Setting $setting, float $width): array
    {
        [$units, $isRightToLeft] = $this->units->of($runs);
        if ($this->faces->shaping->isAsked()) {
            // All of it is set once more: until then only what is in it matters.
            foreach ($units as $_) {
            }

            return [Line::space($setting->size)];
        }
        $lines = [];
        $parts = [];
        $hasWords = false;
        $room = $width - $setting->indent + 0.01;
        $x = $setting->firstLine;
        $end = static function (bool $isLast) use (&$lines, &$parts, &$hasWords, &$x, $setting, $width, $isRightToLeft): void {
            $lines[] = Placing::line($parts, $setting, $width, $lines === [], $isLast, $isRightToLeft);
            [$parts, $hasWords, $x] = [[], false, 0.0];
        };
        foreach ($units as $unit) {
            $isSpace = $unit[0]['isSpace'];
            if ($isSpace && str_contains($unit[0]['run']['text'], "\n")) {
                for ($n = substr_count(implode('', array_column(array_column($unit, 'run'), 'text')), "\n"); $n > 0; --$n) {
                    $end(true);
                }
                continue;
            }
            $wide = Placing::width($unit);
            while (!$isSpace && $x + $wide > $room) {
                $cut = $this->divided($unit, $room - $x, $setting) ?? ($hasWords ? null : $this->cut($unit, $room - $x));
                if ($cut === null && !$hasWords) {
                    break;
                }
                array_push($parts, ...$cut[0] ?? []);
                $end(false);
                $unit = $cut[1] ?? $unit;
                $wide = Placing::width($unit);
            }
            if (!$isSpace || $parts !== []) {
                array_push($parts, ...$unit);
                $hasWords = $hasWords || !$isSpace;
                $x += $wide;
            }
        }
        $end(true);

        return $lines;
    }

    /**
     * A word where its language lets it be divided, as far along as there is room for.
     *
     * @param list<Part> $unit
     *
     * @return array{list<Part>, list<Part>}|null
     */
    private function divided(array $unit, float $room, Setting $setting): ?array
    {
        if ($this->hyphens === null || !$setting->divides || $unit[0]['glyphs'] !== null || $room <= 0.0) {
            return null;
        }
        ['run' => $run, 'level' => $level] = $unit[0];
        foreach (array_reverse($this->hyphens->points($run['text'])) as $at) {
            $head = $this->units->part($run, mb_substr($run['text'], 0, $at) . '-', false, $level);
            if ($head['wide'] <= $room) {
                return [[$head], [$this->units->part($run, mb_substr($run['text'], $at), false, $level), ...\array_slice($unit, 1)]];
            }
        }

        return null;
    }

    /**
     * As many whole signs as fit, at least one.
     *
     * @param list<Part> $unit
     *
     * @return array{list<Part>, list<Part>}|null null: it cannot be cut
     */
    private function cut(array $unit, float $room): ?array
    {
        $head = [];
        foreach ($unit as $i => $part) {
            if ($part['wide'] <= $room) {
                $head[] = $part;
                $room -= $part['wide'];
                continue;
            }
            [$first, $rest] = $this->cutPart($part, $room, $head === []);
            $head = $first === null ? $head : [...$head, $first];
            $tail = [...$rest === null ? [] : [$rest], ...\array_slice($unit, $i + 1)];

            return $head === [] || $tail === [] ? null : [$head, $tail];
        }

        return null;
    }

    /**
     * @param Part $part
     *
     * @return array{Part|null, Part|null}
     */
    private function cutPart(array $part, float $room, bool $mustGoOn): array
    {
        ['run' => $run, 'glyphs' => $glyphs, 'level' => $level] = $part;
        if ($glyphs !== null) {
            [$head, $tail] = $glyphs->divided($room / $run['size']);
            if (!$mustGoOn && $head->width * $run['size'] > $room) {
                return [null, $part];
            }

            $shaping = $this->faces->shaping;

            return [
                Units::drawn($run, $shaping->kept($head), $level),
                $tail === null ? null : Units::drawn($run, $shaping->kept($tail), $level),
            ];
        }
        $head = $this->fitting($run['text'], $run['face'], $run['size'], $room);
        if (!$mustGoOn && $this->faces->width($head, $run['face'], $run['size']) > $room) {
            return [null, $part];
        }
        $tail = substr($run['text'], \strlen($head));

        return [$this->units->part($run, $head, false, $level), $tail === '' ? null : $this->units->part($run, $tail, false, $level)];
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
}
