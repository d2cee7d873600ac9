<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Draft\Choices;
use Embrel\Fonts\Face;
use Embrel\Fonts\Typefaces;
use Embrel\Layout\Map\Sheets;
use Embrel\Plan\Plan;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Writer;

/**
 * The map as PDF 1.7: drawn once, and shown on one sheet or on several, which overlap and are marked
 * where the next one begins. Text is text, in the fonts of the map.
 */
final class MapPdfWriter implements Writer
{
    private const POINTS = 72 / 25.4;

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $drawing = new MapDrawing($plan, $choices);
        $file = new PdfFile($out);
        $faces = Typefaces::shipped($plan->properties->language);
        $fonts = new PdfFonts($faces);
        $pen = new PdfPen($fonts, $file, $faces);
        $faces->shaping->settled(static function () use ($drawing, $pen): void {
            $pen->begin();
            $drawing->with($pen);
        });
        $sheets = Sheets::of($drawing->room(), $choices->map->paper ?? $plan->properties->pageSize, $choices->map->severalSheets);
        [$tree, $map, $resources] = [$file->reserve(), $file->reserve(), $file->reserve()];
        [$left, $top, $width, $height] = array_map(static fn(float $number): string => \sprintf('%.2F', $number), $drawing->room());
        $file->stream(
            $pen->content,
            "/Type /XObject /Subtype /Form /BBox [{$left} {$top} "
                . ((float) $left + (float) $width)
                . ' '
                . ((float) $top + (float) $height)
                . "] /Resources {$resources} 0 R",
            $map,
        );
        $pages = $this->pages($file, $sheets, $plan, $pen, $tree, $resources);
        $images = '';
        foreach ($pen->images as $name => $number) {
            $images .= "/{$name} {$number} 0 R ";
        }
        $file->object(
            '<< /Font << '
                . $fonts->write($file)
                . ">> /XObject << /Map {$map} 0 R {$images}>> /ExtGState << /Pale << /CA 0.75 /ca 0.75 >> >> >>",
            $resources,
        );
        $kids = implode(' ', array_map(static fn(int $page): string => "{$page} 0 R", $pages));
        $file->object("<< /Type /Pages /Kids [{$kids}] /Count " . \count($pages) . ' >>', $tree);
        $root = $file->object(
            "<< /Type /Catalog /Pages {$tree} 0 R /Lang ("
                . preg_replace('/[^A-Za-z-]/', '', $plan->properties->language)
                . ') /ViewerPreferences << /DisplayDocTitle true >> >>',
        );
        $file->end(
            $root,
            $file->object(
                '<< /Title '
                    . PdfFile::text(implode(' ', $drawing->picture->title))
                    . ' /Author '
                    . PdfFile::text($plan->properties->author)
                    . ' /Producer (Embrel) >>',
            ),
        );

        return $pen->lost === 0
            ? []
            : ["Signs that the fonts of the map do not hold ({$pen->lost}) stand as question marks. SVG and paper show them.", ...$faces->shaping->said()];
    }

    /** @return list<int> */
    private function pages(PdfFile $file, Sheets $sheets, Plan $plan, PdfPen $pen, int $tree, int $resources): array
    {
        $pages = [];
        [$width, $height, $margin] = [$sheets->width * self::POINTS, $sheets->height * self::POINTS, Sheets::MARGIN * self::POINTS];
        $scale = $sheets->scale * self::POINTS;
        foreach ($sheets->tiles as $tile) {
            $content = \sprintf(
                "q %.3F %.3F %.3F %.3F re W n %.5F 0 0 %.5F %.3F %.3F cm /Map Do Q\n",
                $margin,
                $margin,
                $width - 2 * $margin,
                $height - 2 * $margin,
                $scale,
                -$scale,
                $margin - $tile['x'] * $scale,
                $height - $margin + $tile['y'] * $scale,
            );
            $content .= \count($sheets->tiles) > 1 ? $this->marks($sheets, $tile, $plan, $pen) : '';
            $stream = $file->stream($content);
            $pages[] = $file->object(
                \sprintf(
                    "<< /Type /Page /Parent {$tree} 0 R /MediaBox [0 0 %.2F %.2F] /Resources {$resources} 0 R /Contents {$stream} 0 R >>",
                    $width,
                    $height,
                ),
            );
        }

        return $pages;
    }

    /** @param array{x: float, y: float, width: float, height: float, row: int, column: int} $tile */
    private function marks(Sheets $sheets, array $tile, Plan $plan, PdfPen $pen): string
    {
        [$width, $height] = [$sheets->width * self::POINTS, $sheets->height * self::POINTS];
        [$edge, $fold] = [4 * self::POINTS, (Sheets::MARGIN + Sheets::OVERLAP) * self::POINTS];
        $marks = 'q 0.55 G 0.5 w [3 3] 0 d ';
        if ($tile['column'] + 1 < $sheets->columns) {
            $marks .= \sprintf('%.2F %.2F m %.2F %.2F l S ', $width - $fold, $edge, $width - $fold, $height - $edge);
        }
        if ($tile['row'] + 1 < $sheets->rows) {
            $marks .= \sprintf('%.2F %.2F m %.2F %.2F l S ', $edge, $fold, $width - $edge, $fold);
        }
        $kept = $pen->content;
        $pen->content = '';
        // The pen sets text for a y axis that points down.
        $pen->text(
            mb_strimwidth($plan->title(), 0, 60, '…') . ' · row ' . ($tile['row'] + 1) . ', column ' . ($tile['column'] + 1),
            0.0,
            0.0,
            Face::Regular,
            8.0,
            '#5E5668',
        );
        [$name, $pen->content] = [$pen->content, $kept];

        return $marks . "Q\n" . \sprintf('q 1 0 0 -1 %.2F %.2F cm ', Sheets::MARGIN * self::POINTS, 3.5 * self::POINTS) . $name . "Q\n";
    }
}
