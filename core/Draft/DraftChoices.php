<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Counted;
use Embrel\Document\Origin;
use Embrel\Document\Remark;
use Embrel\Document\Style;
use Embrel\Document\Template;
use Embrel\Plan\Kind;

/** What is chosen for a draft. */
final readonly class DraftChoices
{
    public const CONTENTS_LEVELS = 3;

    /**
     * @param int           $headingDepth  topics below it become list items, 1 to 9
     * @param int           $contentsDepth how deep the contents list goes, 1 to 9
     * @param array<string, Printing> $prints kind → what it prints as, where that is not the usual
     * @param int           $indentDepth   how many levels of list items are set in, 1 to 9; deeper ones stand as deep as the last
     * @param bool          $emptySections sections without any text under them stay
     * @param bool          $seeAlso       relations are named under each section
     * @param bool          $sources       with the list of references
     * @param bool          $figures       with a list of figures, which are counted
     * @param Style|null    $style         null: as a report
     * @param string|null   $date          of the hand-over, YYYY-MM-DD
     * @param bool|null     $marks         with hidden marks by which the file finds its topics again; null: as is usual for the format
     * @param Template|null $template      docx and odt: a document of the writer's whose styles, page, head and foot are used
     * @param int|null      $most          only the first so many topics, for a look at the beginning
     * @param list<Remark>  $remarks       docx and odt: what was said about it, to be handed over beside it
     * @param bool          $fonts         docx and odt: the fonts of our styles go along, cut to the letters that are used
     * @param bool          $wholeFonts    with all their letters, for who goes on writing in them
     * @param bool          $helped        with a line that says that a helper drafted parts of it
     * @param bool          $glossary      with the terms that were chosen, and what each means
     * @param bool          $index         with an index of them
     * @param bool          $signs         the signs of topics stand after their titles
     * @param bool          $citationFields docx and odt: citations are fields that carry their sources
     * @param Origin|null   $origin        of which plan at which revision it is a draft; null: not known
     */
    public function __construct(
        public int $headingDepth = 6,
        public bool $contents = true,
        public int $contentsDepth = self::CONTENTS_LEVELS,
        public array $prints = [],
        public int $indentDepth = 9,
        public bool $emptySections = true,
        public bool $showsPictures = true,
        public bool $seeAlso = false,
        public bool $sources = true,
        public bool $figures = false,
        public ?Style $style = null,
        public Counted $counted = new Counted(),
        public ?string $date = null,
        public ?bool $marks = null,
        public ?Template $template = null,
        public ?int $most = null,
        public ?Origin $origin = null,
        public array $remarks = [],
        public bool $fonts = true,
        public bool $wholeFonts = false,
        public bool $signs = false,
        public bool $helped = false,
        public bool $glossary = false,
        public bool $index = false,
        public bool $citationFields = false,
    ) {}

    public function style(): Style
    {
        return $this->style ?? Style::own();
    }

    public function prints(Kind $kind): Printing
    {
        return $this->prints[$kind->value] ?? Printing::usual($kind);
    }

    /** @param array<string, mixed> $changes field → value of the field's own type */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }
}
