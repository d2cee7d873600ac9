<?php

declare(strict_types=1);

namespace Embrel\Writer\Latex;

use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Writer\PicturePackage;
use Embrel\Writer\Writer;

/** LaTeX source with its pictures, as a zip file. */
final class LatexPackageWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        return PicturePackage::write(
            'draft.tex',
            static fn(\Closure $address): Writer => new LatexWriter($address),
            $plan,
            $choices,
            $out,
            $work,
        );
    }
}
