<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Draft\Choices;
use Embrel\Fonts\Typefaces;
use Embrel\Plan\Plan;
use Embrel\Writer\Slide;
use Embrel\Writer\SlidePages;
use Embrel\Writer\Writer;

/** Slides as PDF: one a page, or several on a sheet with lines for notes. */
final readonly class SlidesWriter implements Writer
{
    public function __construct(private bool $isHandout) {}

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $faces = Typefaces::shipped($plan->properties->language);
        [$slides, $book] = SlidePages::settled($plan, $choices, $faces, $this->isHandout);
        $pdf = new PdfBook($out, $faces, $choices->pictures);
        $pdf->write($book, [
            'title' => $plan->title(),
            'author' => $plan->properties->author,
            'subject' => $plan->properties->subject,
            'language' => $plan->properties->language,
        ]);
        $said = Slide::said($slides->leftOut, $slides->gone);

        return $pdf->lost === 0
            ? $said
            : [
                ...$said,
                "Signs that the fonts of the pages do not hold ({$pdf->lost}) stand as question marks. pptx and odp show them.",
                ...$faces->shaping->said(),
            ];
    }
}
