<?php

declare(strict_types=1);

namespace Embrel\Writer\Svg;

use Embrel\Document\PictureType;
use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;
use Embrel\Writer\Pen;

/** Draws in SVG. A text is as long as it was measured, where that is exact, so that it keeps its room with any font. */
final class SvgPen implements Pen
{
    /** Face → its class in the styles of the file. */
    private const CLASSES = ['regular' => '', 'strong' => 's', 'title' => 't', 'serif' => 'r', 'serif-bold' => 'r s'];
    private int $written = 0;
    private readonly Ruler $ruler;

    /** @param resource $out */
    public function __construct(private readonly \XMLWriter $xml, private $out)
    {
        $this->ruler = new Ruler();
    }

    public function within(float $x, float $y, bool $isMirrored, \Closure $draw): void
    {
        $this->start('g', [
            'transform' => 'translate(' . self::decimal($x) . ' ' . self::decimal($y) . ')' . ($isMirrored ? ' scale(-1 1)' : ''),
        ]);
        $draw();
        $this->xml->endElement();
    }

    public function path(string $path, ?string $stroke, float $width = 1.0, ?string $fill = null, float $opacity = 1.0): void
    {
        $this->element(
            'path',
            ['d' => $path, 'fill' => $fill ?? 'none']
                + ($fill === null ? [] : ['fill-rule' => 'evenodd'])
                + ($opacity < 1.0 ? ['opacity' => $opacity] : [])
                + ($stroke === null
                    ? []
                    : ['stroke' => $stroke, 'stroke-width' => $width, 'stroke-linecap' => 'round', 'stroke-linejoin' => 'round']),
        );
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
        $this->element(
            'circle',
            ['cx' => $x, 'cy' => $y, 'r' => $radius, 'fill' => $fill ?? 'none']
                + ($stroke === null ? [] : ['stroke' => $stroke, 'stroke-width' => $width])
                + ($isDashed ? ['stroke-dasharray' => '2 2'] : []),
        );
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
        $this->element(
            'rect',
            ['x' => $x, 'y' => $y, 'width' => $width, 'height' => $height]
                + ($radius > 0.0 ? ['rx' => $radius] : []) + ['fill' => $fill]
                + ($stroke === null ? [] : ['stroke' => $stroke, 'stroke-width' => $line]),
        );
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
        $class = self::CLASSES[$face->value] === '' ? [] : ['class' => self::CLASSES[$face->value]];
        $length
            = $text !== '' && !$isItalic && $this->ruler->isExact($text, $face)
                ? ['textLength' => $this->ruler->width($text, $face, $size), 'lengthAdjust' => 'spacingAndGlyphs']
                : [];
        $this->element(
            'text',
            $class + ['x' => $x, 'y' => $y, 'font-size' => $size, 'fill' => $colour]
                + ($isCentred ? ['text-anchor' => 'middle'] : [])
                + ($isRightToLeft ? ['direction' => 'rtl'] : [])
                + ($isItalic ? ['font-style' => 'italic'] : [])
                + $length,
            $text,
        );
    }

    public function number(string $number, float $x, float $y, float $size, string $colour, bool $isCentred = false): void
    {
        $this->element(
            'text',
            ['class' => 'n', 'x' => $x, 'y' => $y, 'font-size' => $size, 'fill' => $colour]
                + ($isCentred ? ['text-anchor' => 'middle'] : []) + [
                    'textLength' => $this->ruler->number($number, $size),
                    'lengthAdjust' => 'spacingAndGlyphs',
                ],
            $number,
        );
    }

    /** @param array<string, string> $more attributes */
    public function image(string $bytes, float $x, float $y, float $width, float $height, array $more = []): void
    {
        $this->element('image', $more + [
            'x' => $x,
            'y' => $y,
            'width' => $width,
            'height' => $height,
            'href' => 'data:' . PictureType::of($bytes)->mediaType() . ';base64,' . base64_encode($bytes),
        ]);
    }

    public function backdrop(string $bytes, float $x, float $y, float $width, float $height, string $colour): void
    {
        $this->rectangle($x, $y, $width, $height, 0.0, $colour);
        $this->image($bytes, $x, $y, $width, $height, ['preserveAspectRatio' => 'xMidYMid slice']);
    }

    /** @param array<string, string|int|float> $attributes */
    public function start(string $name, array $attributes): void
    {
        $this->xml->startElement($name);
        foreach ($attributes as $attribute => $value) {
            $this->xml->writeAttribute($attribute, \is_string($value) ? $value : self::decimal((float) $value));
        }
    }

    /** @param array<string, string|int|float> $attributes */
    public function element(string $name, array $attributes, ?string $text = null): void
    {
        $this->start($name, $attributes);
        if ($text !== null) {
            $this->xml->text($text);
        }
        $this->xml->endElement();
        if (++$this->written % 500 === 0) {
            fwrite($this->out, (string) $this->xml->flush());
        }
    }

    public static function decimal(float $value): string
    {
        return (string) round($value, 2);
    }
}
