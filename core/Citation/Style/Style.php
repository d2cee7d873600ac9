<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Cited;
use Embrel\Citation\Source;

/** How citations and the reference list are printed. What it returns is read by Prose::runs(). */
interface Style
{
    public function ways(): Ways;

    /** What the list is called at the end of the draft. */
    public function heading(): string;

    /** Who and when, as far as the style tells sources apart by it in the text: what two sources must not share. */
    public function cited(Source $source, int $names): string;

    /** @param list<Cited> $items of sources that are known */
    public function citation(array $items, Uses $uses): string;

    /** @param Source|null $above the one before it in the list */
    public function entry(Source $source, Uses $uses, ?Source $above): string;
}
