<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** How a map goes onto paper: on one sheet as large as it fits, or in its own size across several that overlap. */
final readonly class Sheets
{
    /** ISO 216 and ANSI sizes in millimetres, upright. */
    public const PAPERS = [
        'a4' => [210.0, 297.0],
        'a3' => [297.0, 420.0],
        'a2' => [420.0, 594.0],
        'letter' => [215.9, 279.4],
        'tabloid' => [279.4, 431.8],
    ];
    public const MARGIN = 10.0;
    /** How much of a sheet the next one shows again, in millimetres. */
    public const OVERLAP = 12.0;
    /** Pixels of the map in a millimetre at its own size: 96 to the inch. */
    private const PIXELS = 96 / 25.4;
    private const MOST = 200;

    /**
     * @param float                                                            $width  of the paper in millimetres, as it is laid
     * @param list<array{x: float, y: float, width: float, height: float, row: int, column: int}> $tiles
     *     parts of the map in its own pixels, each a sheet
     * @param float                                                            $scale  millimetres of paper for a pixel of the map
     */
    private function __construct(
        public float $width,
        public float $height,
        public array $tiles,
        public float $scale,
        public int $rows,
        public int $columns,
    ) {}

    /**
     * @param array{float, float, float, float} $bounds left, top, width and height of the map in pixels
     *
     * @throws \InvalidArgumentException when there is no such paper
     */
    public static function of(array $bounds, string $paper, bool $several): self
    {
        [$short, $long] = self::PAPERS[$paper] ?? throw new \InvalidArgumentException("There is no paper called “{$paper}”.");
        [$left, $top, $width, $height] = $bounds;
        [$across, $down] = $width > $height ? [$long, $short] : [$short, $long];
        [$roomX, $roomY] = [$across - 2 * self::MARGIN, $down - 2 * self::MARGIN];
        $scale = min($roomX / $width, $roomY / $height, 1 / self::PIXELS);
        if (!$several || $scale >= 1 / self::PIXELS - 1e-9) {
            // In the middle of the sheet.
            [$seenX, $seenY] = [$roomX / $scale, $roomY / $scale];

            return new self(
                $across,
                $down,
                [
                    [
                        'x' => $left - ($seenX - $width) / 2,
                        'y' => $top - ($seenY - $height) / 2,
                        'width' => $seenX,
                        'height' => $seenY,
                        'row' => 0,
                        'column' => 0,
                    ],
                ],
                $scale,
                1,
                1,
            );
        }
        $scale = 1 / self::PIXELS;
        [$columns, $rows] = [self::count($width * $scale, $roomX), self::count($height * $scale, $roomY)];
        while ($columns * $rows > self::MOST) {
            $scale /= 1.2;
            [$columns, $rows] = [self::count($width * $scale, $roomX), self::count($height * $scale, $roomY)];
        }
        $tiles = [];
        for ($row = 0; $row < $rows; ++$row) {
            for ($column = 0; $column < $columns; ++$column) {
                $tiles[] = [
                    'x' => $left + ($column * ($roomX - self::OVERLAP)) / $scale,
                    'y' => $top + ($row * ($roomY - self::OVERLAP)) / $scale,
                    'width' => $roomX / $scale,
                    'height' => $roomY / $scale,
                    'row' => $row,
                    'column' => $column,
                ];
            }
        }

        return new self($across, $down, $tiles, $scale, $rows, $columns);
    }

    private static function count(float $length, float $room): int
    {
        return max(1, (int) ceil(($length - self::OVERLAP) / ($room - self::OVERLAP)));
    }
}
