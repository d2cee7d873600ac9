<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** The small signs of the map, as paths of SVG in a square of ten pixels; each flag has a form and a dye of its own. */
final class Signs
{
    public const NOTE = 'M1.5 1H9.5L12.5 4V11.5H1.5ZM4 5H10M4 8H10';

    /** flag → its form, its dye */
    public const FLAGS = [
        'key' => ['M5 0L10 5L5 10L0 5Z', 'madder'],
        'question' => ['M0 5A5 5 0 1 1 10 5A5 5 0 1 1 0 5Z', 'orchil'],
        'to check' => ['M0 0H10V10H0ZM2.5 2.5V7.5H7.5V2.5Z', 'weld'],
        'may go' => ['M0 4H10V6H0Z', 'slate'],
        'waiting' => ['M0 0H10L5 5L10 10H0L5 5Z', 'walnut'],
        'first' => ['M5 0L10 10H0Z', 'fern'],
        'next' => ['M0 0L10 5L0 10Z', 'verdigris'],
        'later' => ['M0 0H10L5 10Z', 'woad'],
    ];
}
