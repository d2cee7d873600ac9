<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Fonts\Face;
use Embrel\Plan\Picture;

/**
 * What is drawn of one topic, measured: its number, the lines of its title, and the marks that
 * follow the last line. Sizes in pixels; the content begins `start` after the middle of the floret.
 */
final readonly class Label
{
    /**
     * @param non-empty-list<string>|array{}            $lines none where titles are hidden
     * @param list<array{0: string, 1: string, 2: float, 3: float, 4?: string, 5?: float}> $marks
     *     kind, sign, flag, label, note or words; its text; from the start of the content, and down from the middle of the
     *     whole; of a label its dye and its width too
     * @param float                                     $indent where the lines begin: after the number, where that is written before them
     * @param float                                     $linesEnd where the longest line ends: there those begin that are read from right to left
     * @param float                                     $width  of the content
     * @param int                                       $inside how many topics are folded away in it
     * @param float                                     $pad    of its height, what is kept above the content, and below it
     * @param float                                     $room   beside the content, on either side, for what stands around it
     */
    public function __construct(
        public string $id,
        public int $level,
        public string $number,
        public array $lines,
        public array $marks,
        public Face $face,
        public float $size,
        public float $start,
        public float $indent,
        public float $linesEnd,
        public float $width,
        public float $height,
        public bool $isRightToLeft,
        public bool $isUntitled,
        public int $inside,
        public string $dye,
        public float $filled,
        public bool $hasFloret,
        public bool $isLoose = false,
        public ?Picture $picture = null,
        public float $pad = 0.0,
        public float $room = 0.0,
    ) {}

    /** How much higher a line stands than the size of its type. */
    public const LINE = 1.34;

    /**
     * @return array{float, float, float, float}|null where its picture is: from the start of the content, down from the middle, width, height
     */
    public function pictureBox(): ?array
    {
        if ($this->picture === null) {
            return null;
        }
        $high = $this->picture->shownHeight();

        return [0.0, $this->height / 2 - $this->pad - $high - 2.0, (float) $this->picture->shown, $high];
    }

    /** @return float from the middle of the label to the base line of a line of its title */
    public function baseline(int $line): float
    {
        return -$this->height / 2 + $this->pad + 2.0 + $this->size * self::LINE * $line + $this->size * 1.02;
    }
}
