<?php

declare(strict_types=1);

namespace Embrel\Writer\Markdown;

use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Writer\PicturePackage;
use Embrel\Writer\Writer;

/** Markdown with its pictures, as a zip file. */
final class MarkdownPackageWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        return PicturePackage::write(
            'draft.md',
            static fn(\Closure $address): Writer => new MarkdownWriter($address),
            $plan,
            $choices,
            $out,
            $work,
        );
    }
}
