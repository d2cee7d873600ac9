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
    /** How much of single spacing stands above the line, against the size of the type. */
    private const ABOVE = 0.78;
    private const RAISED = 0.62;
    /** Signs of the scripts that are written without spaces. */
    private const SQUARE = '/[\p{Han}\p{Hiragana}\p{Katakana}\x{3000}-\x{303F}\x{FF00}-\x{FFEF}]\z/u';

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
        ];
    }

    /**
     * @return Run
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
     * @param list<Run> $runs
     *
     * @return list<Line>
     */
    private function broken(array $runs, Setting $setting, float $width): array
    {
        $lines = [];
        $parts = [];
        $hasWords = false;
        $room = $width - $setting->indent + 0.01;
        $x = $setting->firstLine;
        [$units, $isRightToLeft] = $this->units->of($runs);
        $end = function (bool $isLast) use (&$lines, &$parts, &$hasWords, &$x, $setting, $width, $isRightToLeft): void {
            $lines[] = $this->line($parts, $setting, $width, $lines === [], $isLast, $isRightToLeft);
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
            $wide = self::width($unit);
            while (!$isSpace && $x + $wide > $room) {
                $cut = $this->divided($unit, $room - $x, $setting) ?? ($hasWords ? null : $this->cut($unit, $room - $x));
                if ($cut === null && !$hasWords) {
                    break;
                }
                array_push($parts, ...$cut[0] ?? []);
                $end(false);
                $unit = $cut[1] ?? $unit;
                $wide = self::width($unit);
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

    /** @param list<Part> $parts */
    private static function width(array $parts): float
    {
        return \count($parts) === 1 ? $parts[0]['wide'] : array_sum(array_column($parts, 'wide'));
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

    /** @param list<Part> $parts */
    private function line(array $parts, Setting $setting, float $width, bool $isFirst, bool $isLast, bool $isRightToLeft): Line
    {
        while ($parts !== [] && $parts[\count($parts) - 1]['isSpace']) {
            array_pop($parts);
        }
        $natural = self::width($parts);
        $indent = $setting->indent + ($isFirst ? $setting->firstLine : 0.0);
        $rest = $width - $indent - $natural;
        $start
            = $indent
            + match ($setting->align) {
                'center' => max(0.0, $rest / 2),
                'right' => max(0.0, $rest),
                default => 0.0,
            };
        $gaps = $setting->align === 'justify' && !$isLast && $rest > 0 && $rest < $width * 0.3 ? self::gaps($parts) : 0;
        $height = $setting->size * Style::SINGLE * $setting->spacing;
        $ascent = $height - $setting->size * (Style::SINGLE - self::ABOVE - 0.14);
        $line = new Line($height, $ascent, ground: $setting->ground, mirror: $isRightToLeft ? $width : null);
        foreach ($this->joined($parts, $gaps > 0 ? $rest / $gaps : 0.0, $isRightToLeft) as [$part, $at]) {
            ['run' => $run, 'wide' => $wide] = $part;
            $x = $start + $at;
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
                glyphs: $part['ids'],
                isRightToLeft: $part['level'] % 2 === 1,
            );
            if ($run['footnote'] !== null) {
                $line->footnotes[] = $run['footnote'];
            }
        }

        return $line;
    }

    /**
     * How many places of a line can be widened: its spaces, and what is between two signs of scripts without any.
     *
     * @param list<Part> $parts
     */
    private static function gaps(array $parts): int
    {
        $gaps = 0;
        foreach ($parts as $i => $part) {
            $gaps += self::widens($parts, $i) ? 1 : 0;
        }

        return $gaps;
    }

    /** @param list<Part> $parts */
    private static function widens(array $parts, int $i): bool
    {
        return $parts[$i]['isSpace']
            || ($parts[$i]['glyphs'] !== null && isset($parts[$i + 1]['glyphs']) && preg_match(self::SQUARE, $parts[$i]['run']['text']) === 1);
    }

    /**
     * The parts of a line, each with its place from where the line begins. What follows in the same run is set together; where
     * spaces are widened, each alone.
     *
     * @param list<Part> $parts
     *
     * @return list<array{array{run: Run, wide: float, level: int, ids: list<int|string>}, float}> in the order in which they are read
     */
    private function joined(array $parts, float $stretch, bool $isRightToLeft): array
    {
        foreach ($parts as $i => $part) {
            $parts[$i]['room'] = $part['wide'] + ($stretch > 0.0 && self::widens($parts, $i) ? $stretch : 0.0);
        }
        $places = self::places($parts, $isRightToLeft);
        $isShaped = array_filter(array_column($parts, 'glyphs')) !== [];
        $out = [];
        $last = null;
        foreach ($parts as $i => $part) {
            $part['wide'] = $part['isSpace'] ? $part['room'] : $part['wide'];
            $drawn = !$isShaped ? [] : [$part['glyphs']->id ?? $part['run']['text']];
            if ($last !== null && $stretch === 0.0 && self::isLike($last, $part)) {
                $at = \count($out) - 1;
                $out[$at][0]['run']['text'] .= $part['run']['text'];
                $out[$at][0]['wide'] += $part['wide'];
                $ids = $part['level'] % 2 === 1 ? [...$drawn, ...$out[$at][0]['ids']] : [...$out[$at][0]['ids'], ...$drawn];
                $out[$at][0]['ids'] = $ids;
                $out[$at][1] = min($out[$at][1], $places[$i]);
            } else {
                $out[] = [$part + ['ids' => $drawn], $places[$i]];
            }
            $last = $part;
        }

        return $out;
    }

    /**
     * Where each part begins, after the parts of other directions have been turned round (UAX #9, rule L2).
     *
     * @param list<array{room: float, level: int}> $parts
     *
     * @return array<int, float>
     */
    private static function places(array $parts, bool $isRightToLeft): array
    {
        $order = array_keys($parts);
        $levels = array_column($parts, 'level');
        for ($level = $levels === [] ? 0 : max($levels); $level > 0; --$level) {
            $turned = [];
            $run = [];
            foreach ($order as $i) {
                if ($levels[$i] >= $level) {
                    array_unshift($run, $i);
                } else {
                    array_push($turned, ...$run, ...[$i]);
                    $run = [];
                }
            }
            $order = [...$turned, ...$run];
        }
        $x = 0.0;
        $places = [];
        foreach ($isRightToLeft ? array_reverse($order) : $order as $i) {
            $places[$i] = $x;
            $x += $parts[$i]['room'];
        }

        return $places;
    }

    /**
     * Whether two parts that follow each other are drawn as one.
     *
     * @param Part $one
     * @param Part $next
     */
    private static function isLike(array $one, array $next): bool
    {
        [$a, $b] = [$one['run'], $next['run']];

        return $one['level'] === $next['level']
            && $a['face'] === $b['face']
            && $a['size'] === $b['size']
            && $a['rise'] === $b['rise']
            && $a['link'] === $b['link']
            && $a['marks'] === $b['marks']
            && $a['colour'] === $b['colour']
            && $a['ground'] === $b['ground']
            && $a['footnote'] === null
            && $b['footnote'] === null;
    }
}
