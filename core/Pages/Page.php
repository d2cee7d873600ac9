<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** One page: what stands on it, measured from its upper left corner, in points. */
final class Page
{
    /** @var list<Piece> */
    public array $pieces = [];
    /** @var array<string, float> place → how far down it is */
    public array $anchors = [];
    /** @var list<array{string, int, float}> title, level, how far down */
    public array $headings = [];
}
