<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Document\Document;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Fonts\Typefaces;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** A draft as PDF: its pages are those that are shown before it is handed over. */
final class PdfWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $document = Draft::of($plan, $choices);
        $faces = Typefaces::shipped($document->properties->language);
        $pdf = new PdfBook($out, $faces, $choices->pictures);
        $pdf->write(Typesetter::book($document, $faces, $choices->pictures), [
            'title' => $document->title,
            'author' => $document->properties->author,
            'subject' => $document->properties->subject,
            'language' => $document->properties->language,
        ]);

        return self::said($document, $choices, $pdf->lost, $faces);
    }

    /** @return list<string> */
    private static function said(Document $document, Choices $choices, int $lost, Typefaces $faces): array
    {
        $losses = new Losses();
        foreach ($document->elements as $element) {
            foreach ($element->block?->all() ?? [] as $node) {
                $node->type === NodeType::Picture && ($choices->pictures === null || $node->string('picture') === null)
                    ? $losses->note('picture')
                    : null;
            }
        }
        $losses->also($document->missing);
        $said = [...$losses->sentences(), ...Typesetter::lacking($document)];

        return $lost === 0
            ? $said
            : [
                ...$said,
                "Signs that the fonts of the pages do not hold ({$lost}) stand as question marks. docx, odt and HTML show them.",
                ...$faces->shaping->said(),
            ];
    }
}
