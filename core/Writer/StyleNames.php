<?php

declare(strict_types=1);

namespace Embrel\Writer;

/** Which style of the file each thing takes; our own unless a template says otherwise. */
final readonly class StyleNames
{
    /** Our styles by id → the name that a word processor knows them by. */
    public const OURS = [
        'Title' => 'Title',
        'Subtitle' => 'Subtitle',
        'Author' => 'Author',
        'TOCHeading' => 'TOC Heading',
        'Heading1' => 'heading 1',
        'Heading2' => 'heading 2',
        'Heading3' => 'heading 3',
        'Heading4' => 'heading 4',
        'Heading5' => 'heading 5',
        'Heading6' => 'heading 6',
        'Heading7' => 'heading 7',
        'Heading8' => 'heading 8',
        'Heading9' => 'heading 9',
        'TOC1' => 'toc 1',
        'TOC2' => 'toc 2',
        'TOC3' => 'toc 3',
        'TOC4' => 'toc 4',
        'TOC5' => 'toc 5',
        'TOC6' => 'toc 6',
        'TOC7' => 'toc 7',
        'TOC8' => 'toc 8',
        'TOC9' => 'toc 9',
        'TableofFigures' => 'table of figures',
        'BodyText' => 'Body Text',
        'NoteHeading1' => 'Note Heading 1',
        'NoteHeading2' => 'Note Heading 2',
        'NoteHeading3' => 'Note Heading 3',
        'ListBullet' => 'List Bullet',
        'ListNumber' => 'List Number',
        'ListContinue' => 'List Continue',
        'Quote' => 'Quote',
        'Code' => 'Code',
        'Caption' => 'caption',
        'SeeAlso' => 'See Also',
        'Bibliography' => 'Bibliography',
        'FootnoteText' => 'footnote text',
        'FootnoteReference' => 'footnote reference',
        'Header' => 'header',
        'Footer' => 'footer',
        'Hyperlink' => 'Hyperlink',
        'TableGrid' => 'Table Grid',
    ];

    /** @param array<string, string> $others our id → that of the template */
    public function __construct(private array $others = []) {}

    public function of(string $ours): string
    {
        return $this->others[$ours] ?? $ours;
    }

    /** Whether the file's headings may carry a list of their own, so that ours must be said on each. */
    public function isForeign(string $ours): bool
    {
        return isset($this->others[$ours]);
    }
}
