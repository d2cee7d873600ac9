<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;
use Embrel\Fonts\Typefaces;
use Embrel\Fonts\Widths;
use Embrel\Writer\Arc;
use Embrel\Writer\Path;
use Embrel\Writer\Pen;
use Embrel\Writer\ShapedLine;

/** Draws as PDF operators. The caller turns the y axis down; text is turned back up as it is set. */
final class PdfPen implements Pen
{
    /** How far a Bézier curve's handles reach for a quarter of a circle of radius 1. */
    private const QUARTER = 0.5523;

    public string $content = '';
    /** How many signs no font of ours holds. */
    public int $lost = 0;
    /** @var array<string, int> name → object */
    public array $images = [];
    private readonly Ruler $ruler;

    public function __construct(private readonly PdfFonts $fonts, private readonly PdfFile $file, private readonly Typefaces $faces)
    {
        $this->ruler = new Ruler();
    }

    /** On an empty sheet. */
    public function begin(): void
    {
        [$this->content, $this->lost] = ['', 0];
    }

    private static function n(float ...$numbers): string
    {
        return implode(' ', array_map(static fn(float $number): string => rtrim(rtrim(\sprintf('%.3F', $number), '0'), '.'), $numbers));
    }

    private function colour(string $colour, string $operator): string
    {
        return self::n(...array_map(static fn(string $pair): float => hexdec($pair) / 255, str_split(substr($colour, 1), 2)))
            . " {$operator} ";
    }

    public function within(float $x, float $y, bool $isMirrored, \Closure $draw): void
    {
        $this->content .= 'q ' . self::n($isMirrored ? -1.0 : 1.0, 0.0, 0.0, 1.0, $x, $y) . " cm\n";
        $draw();
        $this->content .= "Q\n";
    }

    public function path(string $path, ?string $stroke, float $width = 1.0, ?string $fill = null, float $opacity = 1.0): void
    {
        $paint = $fill === null ? 'S' : ($stroke === null ? 'f*' : 'B*');
        $this->content
            .= 'q '
            . ($opacity < 1.0 ? '/Pale gs ' : '')
            . ($fill === null ? '' : $this->colour($fill, 'rg'))
            . ($stroke === null ? '' : $this->colour($stroke, 'RG') . self::n($width) . ' w 1 J 1 j ')
            . self::operators($path)
            . "{$paint} Q\n";
    }

    /** A path of SVG as operators: straight lines, curves, and arcs of circles as curves. */
    public static function operators(string $path): string
    {
        $out = '';
        foreach (Path::of($path) as [$command, $x, $y, $n]) {
            $out .= match ($command) {
                'M' => self::n(...$n) . ' m ',
                'L' => self::n(...$n) . ' l ',
                'C' => self::n(...$n) . ' c ',
                'A' => self::arc($x, $y, $n),
                default => 'h ',
            };
        }

        return $out;
    }

    /** @param array<int, float> $n radius twice, turn, whether the larger arc, whether clockwise, end; as in SVG 1.1, appendix F.6 */
    private static function arc(float $x1, float $y1, array $n): string
    {
        $arc = Arc::of($x1, $y1, $n);
        [$cx, $cy, $radius, $from, $sweep] = [$arc->x, $arc->y, $arc->radius, $arc->from, $arc->sweep];
        $steps = max(1, (int) ceil(abs($sweep) / (M_PI / 2)));
        $step = $sweep / $steps;
        $reach = (4 / 3) * tan($step / 4) * $radius;
        $out = '';
        for ($k = 0; $k < $steps; ++$k) {
            [$a, $b] = [$from + $k * $step, $from + ($k + 1) * $step];
            $out
                .= self::n(
                    $cx + $radius * cos($a) - $reach * sin($a),
                    $cy + $radius * sin($a) + $reach * cos($a),
                    $cx + $radius * cos($b) + $reach * sin($b),
                    $cy + $radius * sin($b) - $reach * cos($b),
                    $cx + $radius * cos($b),
                    $cy + $radius * sin($b),
                ) . ' c ';
        }

        return $out;
    }

    public function circle(
        float $x,
        float $y,
        float $radius,
        ?string $fill,
        ?string $stroke = null,
        float $width = 1.0,
        bool $isDashed = false,
    ): void {
        $this->rounded($x - $radius, $y - $radius, 2 * $radius, 2 * $radius, $radius, $fill, $stroke, $width, $isDashed);
    }

    public function rectangle(
        float $x,
        float $y,
        float $width,
        float $height,
        float $radius,
        string $fill,
        ?string $stroke = null,
        float $line = 1.0,
    ): void {
        $this->rounded($x, $y, $width, $height, min($radius, $width / 2, $height / 2), $fill, $stroke, $line, false);
    }

    private function rounded(
        float $x,
        float $y,
        float $width,
        float $height,
        float $radius,
        ?string $fill,
        ?string $stroke,
        float $line,
        bool $isDashed,
    ): void {
        [$right, $bottom, $k] = [$x + $width, $y + $height, $radius * (1 - self::QUARTER)];
        $shape
            = $radius <= 0.0
                ? self::n($x, $y, $width, $height) . ' re '
                : self::n($x + $radius, $y)
                    . ' m '
                    . self::n($right - $radius, $y)
                    . ' l '
                    . self::n($right - $k, $y, $right, $y + $k, $right, $y + $radius)
                    . ' c '
                    . self::n($right, $bottom - $radius)
                    . ' l '
                    . self::n($right, $bottom - $k, $right - $k, $bottom, $right - $radius, $bottom)
                    . ' c '
                    . self::n($x + $radius, $bottom)
                    . ' l '
                    . self::n($x + $k, $bottom, $x, $bottom - $k, $x, $bottom - $radius)
                    . ' c '
                    . self::n($x, $y + $radius)
                    . ' l '
                    . self::n($x, $y + $k, $x + $k, $y, $x + $radius, $y)
                    . ' c h ';
        $paint = $fill === null ? 'S' : ($stroke === null ? 'f' : 'B');
        $this->content
            .= 'q '
            . ($fill === null ? '' : $this->colour($fill, 'rg'))
            . ($stroke === null ? '' : $this->colour($stroke, 'RG') . self::n($line) . ' w ')
            . ($isDashed ? '[2 2] 0 d ' : '')
            . $shape
            . "{$paint} Q\n";
    }

    public function text(
        string $text,
        float $x,
        float $y,
        Face $face,
        float $size,
        string $colour,
        bool $isCentred = false,
        bool $isRightToLeft = false,
        bool $isItalic = false,
    ): void {
        $width = $this->ruler->width($text, $face, $size);
        $x -= $isCentred ? $width / 2 : ($isRightToLeft ? $width : 0.0);
        if ($this->faces->holds($text, $face->value)) {
            $this->set($text, $x, $y, $face, $size, $colour, false, $isItalic);

            return;
        }
        $side = $isCentred ? 0.5 : ($isRightToLeft ? 1.0 : 0.0);
        foreach (ShapedLine::of($this->faces, $text, $face->value, $size, $width, $side) as [$part, $at]) {
            $this->content .= 'BT ' . $this->colour($colour, 'rg') . self::n(1.0, 0.0, 0.0, -1.0, $x + $at, $y) . ' Tm '
                . (\is_string($part) ? $this->signs($part, $face, $size) : $this->fonts->shown([$part->id], $size, static fn(): string => ''))
                . "ET\n";
        }
    }

    public function number(string $number, float $x, float $y, float $size, string $colour, bool $isCentred = false): void
    {
        $this->set(
            $number,
            $x - ($isCentred ? $this->ruler->number($number, $size) / 2 : 0.0),
            $y,
            Face::Strong,
            $size,
            $colour,
            true,
            false,
        );
    }

    private function set(string $text, float $x, float $y, Face $face, float $size, string $colour, bool $isTabular, bool $isItalic): void
    {
        $this->content .= 'BT ' . $this->colour($colour, 'rg') . self::n(1.0, 0.0, $isItalic ? -0.2 : 0.0, -1.0, $x, $y) . ' Tm '
            . $this->signs($text, $face, $size, $isTabular) . "ET\n";
    }

    /** Sign by sign, in runs of one font; digits of numbers all as wide as each other. */
    private function signs(string $text, Face $face, float $size, bool $isTabular = false): string
    {
        $out = $font = $run = '';
        foreach (mb_str_split($text) as $sign) {
            $glyph = $this->fonts->glyph($face->value, $sign) ?? $this->missing($face);
            if ($glyph[0] !== $font) {
                $out .= $run === '' ? '' : "[{$run}] TJ ";
                [$font, $run] = [$glyph[0], ''];
                $out .= "/{$font} " . self::n($size) . ' Tf ';
            }
            $aside = $isTabular && ctype_digit($sign) ? (Widths::DIGIT / 10 - $this->fonts->width($font, $glyph[1])) / 2 : 0.0;
            $run
                .= ($aside === 0.0 ? '' : self::n(-$aside) . ' ')
                . \sprintf('<%04X>', $glyph[1])
                . ($aside === 0.0 ? '' : ' ' . self::n(-$aside) . ' ');
        }

        return $out . ($run === '' ? '' : "[{$run}] TJ ");
    }

    /** @return array{string, int} */
    private function missing(Face $face): array
    {
        ++$this->lost;

        return $this->fonts->glyph($face->value, '?') ?? throw new \RuntimeException('A font of the map cannot be read.');
    }

    public function image(string $bytes, float $x, float $y, float $width, float $height): void
    {
        $name = 'I' . substr(hash('sha256', $bytes), 0, 16);
        $this->images[$name] ??= PdfFile::picture($this->file, $bytes);
        $this->content .= 'q ' . self::n($width, 0.0, 0.0, -$height, $x, $y + $height) . " cm /{$name} Do Q\n";
    }

    public function backdrop(string $bytes, float $x, float $y, float $width, float $height, string $colour): void
    {
        $this->rectangle($x, $y, $width, $height, 0.0, $colour);
        $size = getimagesizefromstring($bytes) ?: [1, 1];
        $scale = max($width / $size[0], $height / $size[1]);
        [$wide, $high] = [$size[0] * $scale, $size[1] * $scale];
        $this->content .= 'q ' . self::n($x, $y, $width, $height) . " re W n\n";
        $this->image($bytes, $x + ($width - $wide) / 2, $y + ($height - $high) / 2, $wide, $high);
        $this->content .= "Q\n";
    }
}
