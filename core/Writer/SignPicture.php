<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Fonts\Typefaces;
use Embrel\Plan\Sign;
use Embrel\Writer\Raster\Canvas;
use Embrel\Writer\Raster\PixelPen;

/** The sign of a topic as a picture after its title, for documents that hold no drawings of their own. */
final readonly class SignPicture
{
    private const SCALE = 4.0;

    /** @param float $size of its square, in pixels of 96 to the inch: as high as the type of its title */
    private function __construct(public Sign $sign, public string $colour, public float $size) {}

    public static function of(Document $document, Element $element): ?self
    {
        if ($element->sign === null) {
            return null;
        }
        $style = $document->style;
        $points = $element->role === Role::Heading ? $style->headingSize($element->level) : $style->size;

        return new self(
            $element->sign,
            $style->isDyed && $element->dye !== '' ? $element->dye : '#000000',
            ($points * 96.0) / 72.0,
        );
    }

    /** Under which it is kept among the pictures of a document. */
    public function id(): string
    {
        return "sign-{$this->sign->name}-" . substr($this->colour, 1);
    }

    public function name(): string
    {
        return Sign::DRAWN . $this->sign->label();
    }

    /** @return string the bytes of a PNG file that can be seen through, 96 pixels wide and high */
    public function png(): string
    {
        $pen = new PixelPen(0.0, 0.0, self::SCALE, Typefaces::shipped('en'));
        $pen->path($this->sign->form(), $this->colour, Sign::LINE);
        $side = (int) (Sign::SQUARE * self::SCALE);
        ob_start();
        imagepng((new Canvas($side, $side, null))->paint($pen), null, 9);

        return (string) ob_get_clean();
    }
}
