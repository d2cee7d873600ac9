<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Layout\Map\Look;

/** What is chosen for a map that is handed over. */
final readonly class MapChoices
{
    /**
     * @param Look         $look          how it is drawn
     * @param list<string> $folded        topics whose parts are not shown
     * @param bool         $ground        on a white ground instead of none
     * @param bool         $embedsFonts   with the fonts in the file
     * @param string|null  $paper         one of Sheets::PAPERS; null: as the plan has it
     * @param int          $scale         of a picture made of pixels, 1 to 4
     * @param string|null  $back          the bytes of the picture on its ground, PNG or JPEG, where its style has one
     * @param bool         $severalSheets in its own size across several sheets, instead of on one
     */
    public function __construct(
        public Look $look = new Look(),
        public array $folded = [],
        public bool $ground = true,
        public bool $embedsFonts = false,
        public ?string $paper = null,
        public bool $severalSheets = false,
        public int $scale = 2,
        public ?string $back = null,
    ) {}
}
