<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Counted;
use Embrel\Document\Origin;
use Embrel\Document\Pictures;
use Embrel\Document\Style;
use Embrel\Document\Template;
use Embrel\Layout\Map\Look;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;

/** What a writer chose for one hand-over. */
final readonly class Choices
{
    public const CONTENTS_LEVELS = 3;

    /**
     * @param string      $from         the topic to hand over with everything under it; the root: the whole plan
     * @param int         $headingDepth topics below it become list items, 1 to 9
     * @param Scheme|null $scheme       null: as the plan has it
     * @param int|null    $numberDepth  null: as the plan has it
     * @param bool        $otherNotes   OPML only: notes also as plain text for other programs
     * @param bool        $loose        outline files only: the loose ideas too, at the end
     * @param Look|null   $map          maps only: how it is drawn; null: as usual
     * @param list<string> $folded      maps only: topics whose parts are not shown
     * @param bool        $ground       maps only: on a white ground instead of none
     * @param Pictures|null $pictures   where the pictures on topics are had from; null: they are left out
     * @param string|null $paper        PDF only: one of Sheets::PAPERS; null: as the plan has it
     * @param bool        $severalSheets PDF only: in its own size across several sheets, instead of on one
     * @param bool        $allSources  drafts only: sources that are never cited are listed too
     * @param bool        $embedsFonts  maps only: with the fonts in the file
     * @param array<string, string> $prints
     *     what a kind of topic prints as, where it is not the usual: `point` → list, text or out; `quote`
     *     → quote or out; `aside` → text or out
     * @param int         $indentDepth  how many levels of list items are set in, 1 to 9; deeper ones stand as deep as the last
     * @param bool        $emptySections sections without any text under them stay
     * @param bool        $showsPictures
     * @param bool        $seeAlso      relations are named under each section
     * @param bool        $sources      with the list of references
     * @param int         $contentsDepth how deep the contents list goes, 1 to 9
     * @param bool        $figures      with a list of figures, which are counted
     * @param string|null $date         of the hand-over, YYYY-MM-DD
     * @param Template|null $template   docx and odt: a document of the writer's whose styles, page, head and foot are used
     * @param bool|null   $marks        with hidden marks by which the file finds its topics again; null: as is usual for the format
     * @param int|null    $most         only the first so many topics, for a look at the beginning
     * @param Origin|null $origin       of which plan at which revision it is a draft; null: not known
     */
    public function __construct(
        public string $from = Plan::ROOT,
        public int $headingDepth = 6,
        public ?Scheme $scheme = null,
        public ?int $numberDepth = null,
        public bool $notes = true,
        public bool $contents = true,
        public bool $otherNotes = true,
        public bool $loose = false,
        public ?Look $map = null,
        public array $folded = [],
        public bool $ground = true,
        public bool $embedsFonts = false,
        public ?Pictures $pictures = null,
        public ?string $paper = null,
        public bool $severalSheets = false,
        public bool $allSources = false,
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
        public int $contentsDepth = self::CONTENTS_LEVELS,
        public ?int $most = null,
        public ?Origin $origin = null,
    ) {}

    public function style(): Style
    {
        return $this->style ?? Style::own();
    }

    public function prints(Kind $kind): string
    {
        $usual = ['section' => 'heading', 'point' => 'list', 'quote' => 'quote', 'aside' => 'out'];

        return $this->prints[$kind->value] ?? $usual[$kind->value];
    }

    public function withPictures(?Pictures $pictures): self
    {
        return $this->with(['pictures' => $pictures]);
    }

    /** @param array<string, mixed> $changes field → value of the field's own type */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }
}
