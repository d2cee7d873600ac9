<?php

declare(strict_types=1);

namespace Embrel\Writer\Raster;

use Embrel\Fonts\Face;
use Embrel\Fonts\Glyphs;
use Embrel\Fonts\Outline;
use Embrel\Fonts\Ruler;
use Embrel\Fonts\Typefaces;
use Embrel\Fonts\Widths;
use Embrel\Writer\Arc;
use Embrel\Writer\Path;
use Embrel\Writer\Pen;
use Embrel\Writer\ShapedLine;

/**
 * Takes down what is drawn, in pixels of the picture: forms as polygons, each with how far it reaches, and texts. `Canvas`
 * paints it, one band after the other.
 */
final class PixelPen implements Pen
{
    /** Pieces that a curve is made of. */
    private const PIECES = 12;
    /** How long a dash is, and the room behind it, in pixels of the map. */
    private const DASH = 2.0;
    private const ITALIC = ['regular' => 'sans-italic', 'strong' => 'sans-bold-italic', 'title' => 'serif-bold-italic']
        + ['serif' => 'serif-italic', 'serif-bold' => 'serif-bold-italic'];

    /** @var list<array{points: list<float>, colour: string, top: float, bottom: float, left: float, right: float, opacity: float}> */
    public array $forms = [];
    /** @var list<array{text: string, x: float, y: float, size: float, colour: string, font: string}> */
    public array $texts = [];
    /** @var list<array{bytes: string, x: float, y: float, width: float, height: float}> */
    public array $images = [];
    /** The bytes of the picture under everything else. */
    public ?string $backdrop = null;
    /** How many signs no font of ours holds. */
    public int $lost = 0;

    private float $x;
    private float $y;
    private float $side = 1.0;
    private readonly Ruler $ruler;
    /** @var array<string, Outline> */
    private array $outlines = [];

    /** @param float $scale pixels of the picture for one of the map */
    public function __construct(float $left, float $top, private readonly float $scale, private readonly Typefaces $faces)
    {
        [$this->x, $this->y] = [-$left * $scale, -$top * $scale];
        $this->ruler = new Ruler();
    }

    public function within(float $x, float $y, bool $isMirrored, \Closure $draw): void
    {
        [$wasX, $wasY, $wasSide] = [$this->x, $this->y, $this->side];
        $this->x += $this->side * $x * $this->scale;
        $this->y += $y * $this->scale;
        $this->side *= $isMirrored ? -1.0 : 1.0;
        $draw();
        [$this->x, $this->y, $this->side] = [$wasX, $wasY, $wasSide];
    }

    /** @param list<float> $points x and y by turns, in pixels of the map */
    private function form(array $points, string $colour, float $opacity = 1.0): void
    {
        $placed = [];
        [$left, $right, $top, $bottom] = [INF, -INF, INF, -INF];
        for ($i = 0, $count = \count($points); $i < $count; $i += 2) {
            $placed[] = $x = $this->x + $this->side * $points[$i] * $this->scale;
            $placed[] = $y = $this->y + $points[$i + 1] * $this->scale;
            [$left, $right, $top, $bottom] = [min($left, $x), max($right, $x), min($top, $y), max($bottom, $y)];
        }
        $this->forms[] = [
            'points' => $placed,
            'colour' => $colour,
            'top' => $top,
            'bottom' => $bottom,
            'left' => $left,
            'right' => $right,
            'opacity' => $opacity,
        ];
    }

    public function path(string $path, ?string $stroke, float $width = 1.0, ?string $fill = null, float $opacity = 1.0): void
    {
        foreach (self::lines($path) as $points) {
            if ($fill !== null && \count($points) >= 6) {
                $this->form($points, $fill, $opacity);
            }
            if ($stroke !== null) {
                $this->stroke($points, $stroke, $width, $opacity);
            }
        }
    }

    /**
     * A line of a width, with round ends: out along one side and back along the other.
     *
     * @param list<float> $points
     */
    private function stroke(array $points, string $colour, float $width, float $opacity = 1.0): void
    {
        $half = $width / 2;
        $out = $back = [];
        $count = \count($points);
        for ($i = 0; $i < $count; $i += 2) {
            $before = max(0, $i - 2);
            $after = min($count - 2, $i + 2);
            [$dx, $dy] = [$points[$after] - $points[$before], $points[$after + 1] - $points[$before + 1]];
            $length = hypot($dx, $dy);
            if ($length > 0.0) {
                [$nx, $ny] = [(-$dy / $length) * $half, ($dx / $length) * $half];
                array_push($out, $points[$i] + $nx, $points[$i + 1] + $ny);
                $back[] = [$points[$i] - $nx, $points[$i + 1] - $ny];
            }
        }
        foreach (array_reverse($back) as [$x, $y]) {
            array_push($out, $x, $y);
        }
        if (\count($out) >= 6) {
            $this->form($out, $colour, $opacity);
        }
    }

    /**
     * A path of SVG as lines, each from where it begins to where it ends.
     *
     * @return list<list<float>>
     */
    private static function lines(string $path): array
    {
        $lines = [];
        $line = [];
        foreach (Path::of($path) as [$command, $x, $y, $n]) {
            if ($command === 'M') {
                $line === [] ? null : $lines[] = $line;
                $line = [];
            }
            $end = match ($command) {
                'Z' => [$line[0] ?? $x, $line[1] ?? $y],
                'C' => self::curve($line, $x, $y, $n),
                'A' => self::arc($line, $x, $y, $n),
                default => $n,
            };
            array_push($line, ...$end);
        }

        return $line === [] ? $lines : [...$lines, $line];
    }

    /**
     * @param list<float>       $line
     * @param array<int, float> $n
     *
     * @return array{float, float}
     */
    private static function curve(array &$line, float $x, float $y, array $n): array
    {
        [$x1, $y1, $x2, $y2, $x3, $y3] = $n + array_fill(0, 6, 0.0);
        for ($k = 1; $k < self::PIECES; ++$k) {
            $t = $k / self::PIECES;
            $u = 1 - $t;
            array_push(
                $line,
                $u ** 3 * $x + 3 * $u ** 2 * $t * $x1 + 3 * $u * $t ** 2 * $x2 + $t ** 3 * $x3,
                $u ** 3 * $y + 3 * $u ** 2 * $t * $y1 + 3 * $u * $t ** 2 * $y2 + $t ** 3 * $y3,
            );
        }

        return [$x3, $y3];
    }

    /**
     * @param list<float>       $line
     * @param array<int, float> $n radius twice, turn, whether the larger arc, whether clockwise, end
     *
     * @return array{float, float}
     */
    private static function arc(array &$line, float $x1, float $y1, array $n): array
    {
        $arc = Arc::of($x1, $y1, $n);
        for ($k = 1; $k < self::PIECES; ++$k) {
            $angle = $arc->from + ($arc->sweep * $k) / self::PIECES;
            array_push($line, $arc->x + $arc->radius * cos($angle), $arc->y + $arc->radius * sin($angle));
        }

        return [$arc->endX, $arc->endY];
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
        if ($isDashed && $stroke !== null) {
            $fill === null ? null : $this->form(self::around($x, $y, $radius), $fill);
            for ($from = 0.0; $from < 2 * M_PI; $from += (2 * self::DASH) / $radius) {
                $this->stroke(self::around($x, $y, $radius, $from, $from + self::DASH / $radius, 4), $stroke, $width);
            }
        } elseif ($stroke !== null && $fill !== null) {
            $this->form(self::around($x, $y, $radius + $width / 2), $stroke);
            $this->form(self::around($x, $y, $radius - $width / 2), $fill);
        } elseif ($fill !== null) {
            $this->form(self::around($x, $y, $radius), $fill);
        } elseif ($stroke !== null) {
            $points = self::around($x, $y, $radius);
            $this->stroke([...$points, $points[0], $points[1]], $stroke, $width);
        }
    }

    /** @return list<float> points on a circle, or on an arc of it */
    private static function around(
        float $x,
        float $y,
        float $radius,
        float $from = 0.0,
        float $to = 2 * M_PI,
        int $pieces = 2 * self::PIECES,
    ): array {
        $points = [];
        for ($k = 0; $k < $pieces; ++$k) {
            $angle = $from + (($to - $from) * $k) / $pieces;
            array_push($points, $x + $radius * cos($angle), $y + $radius * sin($angle));
        }

        return $points;
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
        if ($stroke !== null) {
            $half = $line / 2;
            $this->form(self::rounded($x - $half, $y - $half, $width + $line, $height + $line, $radius + $half), $stroke);
            [$x, $y, $width, $height, $radius] = [$x + $half, $y + $half, $width - $line, $height - $line, $radius - $half];
        }
        $this->form(self::rounded($x, $y, $width, $height, $radius), $fill);
    }

    /** @return list<float> */
    private static function rounded(float $x, float $y, float $width, float $height, float $radius): array
    {
        $radius = max(0.0, min($radius, $width / 2, $height / 2));
        if ($radius === 0.0) {
            return [$x, $y, $x + $width, $y, $x + $width, $y + $height, $x, $y + $height];
        }
        $points = [];
        [$right, $bottom] = [$x + $width - $radius, $y + $height - $radius];
        $corners = [[$right, $y + $radius], [$right, $bottom], [$x + $radius, $bottom], [$x + $radius, $y + $radius]];
        foreach ($corners as $c => [$cx, $cy]) {
            for ($k = 0; $k <= 6; ++$k) {
                $angle = ($c - 1) * (M_PI / 2) + ($k * M_PI) / 12;
                array_push($points, $cx + $radius * cos($angle), $cy + $radius * sin($angle));
            }
        }

        return $points;
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
            $this->set($text, $x, $y, $face, $size, $colour, $isItalic);

            return;
        }
        $side = $isCentred ? 0.5 : ($isRightToLeft ? 1.0 : 0.0);
        foreach (ShapedLine::of($this->faces, $text, $face->value, $size, $width, $side) as [$part, $at]) {
            \is_string($part)
                ? $this->set($part, $x + $at, $y, $face, $size, $colour, $isItalic)
                : $this->shaped($part, $x + $at, $y, $size, $colour);
        }
    }

    /** What other fonts draw: their outlines as forms; of those that are no TrueType outlines the text, in the font as it is. */
    private function shaped(Glyphs $glyphs, float $x, float $y, float $size, string $colour): void
    {
        $font = $this->faces->shaping->fonts->font($glyphs->font);
        if ($font === null || $font->isCompact()) {
            $font === null ? ++$this->lost : $this->put($glyphs->text, $x, $y, $size, $colour, $font->path);

            return;
        }
        $outline = $this->outlines[$glyphs->font] ??= new Outline($font);
        foreach ($glyphs->glyphs as [$glyph, , $advance, $right, $above]) {
            $this->glyph($outline->of($glyph), $x + $right * $size, $y - $above * $size, $size, $colour);
            $x += $advance * $size;
        }
    }

    /**
     * One form: from each contour it goes back to where the first began, so that what is within another is a hole.
     *
     * @param list<list<float>> $contours
     */
    private function glyph(array $contours, float $x, float $y, float $size, string $colour): void
    {
        $points = [];
        foreach ($contours as $contour) {
            $first = \array_slice($contour, 0, 2);
            array_push($points, ...$contour, ...$first, ...\array_slice($contours[0], 0, 2));
        }
        $placed = [];
        foreach ($points as $i => $at) {
            $placed[] = $i % 2 === 0 ? $x + $at * $size : $y - $at * $size;
        }
        $placed === [] ? null : $this->form($placed, $colour);
    }

    /** In runs of one font. */
    private function set(string $text, float $x, float $y, Face $face, float $size, string $colour, bool $isItalic): void
    {
        $name = $isItalic ? self::ITALIC[$face->value] : $face->value;
        $run = $font = '';
        foreach (mb_str_split($text) as $sign) {
            $part = $this->faces->sign($sign, $name)[0] ?? null;
            if ($part === null) {
                ++$this->lost;
                [$part, $sign] = [$this->faces->sign('?', $name)[0] ?? $font, '?'];
            }
            if ($part !== $font && $run !== '') {
                $this->put($run, $x, $y, $size, $colour, $font);
                $x += $this->ruler->width($run, $face, $size);
                $run = '';
            }
            [$font, $run] = [$part, $run . $sign];
        }
        $run === '' ? null : $this->put($run, $x, $y, $size, $colour, $font);
    }

    private function put(string $text, float $x, float $y, float $size, string $colour, string $font): void
    {
        $this->texts[] = [
            'text' => $text,
            'x' => $this->x + $this->side * $x * $this->scale,
            'y' => $this->y + $y * $this->scale,
            'size' => $size * $this->scale,
            'colour' => $colour,
            'font' => $font,
        ];
    }

    public function number(string $number, float $x, float $y, float $size, string $colour, bool $isCentred = false): void
    {
        $x -= $isCentred ? $this->ruler->number($number, $size) / 2 : 0.0;
        foreach (mb_str_split($number) as $sign) {
            $own = $this->ruler->width($sign, Face::Strong, $size);
            $wide = ctype_digit($sign) ? ($size * Widths::DIGIT) / 10000 : $own;
            $this->set($sign, $x + ($wide - $own) / 2, $y, Face::Strong, $size, $colour, false);
            $x += $wide;
        }
    }

    public function image(string $bytes, float $x, float $y, float $width, float $height): void
    {
        $this->images[] = [
            'bytes' => $bytes,
            'x' => $this->x + $this->side * $x * $this->scale,
            'y' => $this->y + $y * $this->scale,
            'width' => $width * $this->scale,
            'height' => $height * $this->scale,
        ];
    }

    /** The colour is that of the canvas, which this covers. */
    public function backdrop(string $bytes, float $x, float $y, float $width, float $height, string $colour): void
    {
        $this->backdrop = $bytes;
    }
}
