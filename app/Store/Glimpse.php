<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Fonts\Typefaces;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Numbering\Numbering;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Plan;
use Embrel\Reader\TextOutline\TextReader;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Svg\PageSvg;
use Embrel\Writer\Svg\SvgWriter;
use Illuminate\Support\Facades\Cache;

/** One small plan as it looks: as an outline, as a map, and as the first page of its draft, each made as every plan's is. */
final class Glimpse
{
    private const TITLE = 'A Path along the Creek';
    private const TEXT = <<<'TEXT'
    Why a path
        | Two hundred people walk to the sluice on a fine Sunday, and all of them walk on the wall. A path behind it would spare the wall, and would keep dry feet nine days in ten.
        The wall is wearing away
            | Where the grass has gone the clay lies bare, and the rain takes a hand's breadth of it in a year.
        A way round for the school
    Where it could run
        | Three lines were paced out in March, each with a barrow and a measuring wheel.
        Along the old railway
        Behind the allotments
    What it would cost
        Gravel and drains
        Two footbridges
    TEXT;

    /**
     * @return array{title: string, rows: list<array{number: string, title: string, dye: string, level: int}>, map: string, page: string}
     */
    public static function of(): array
    {
        return Cache::rememberForever('glimpse ' . md5(self::TITLE . self::TEXT), self::make(...));
    }

    /**
     * @return array{title: string, rows: list<array{number: string, title: string, dye: string, level: int}>, map: string, page: string}
     */
    private static function make(): array
    {
        $in = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory could be opened as a file.');
        fwrite($in, self::TEXT);
        rewind($in);
        $plan = (new TextReader())->read($in, new Options(title: self::TITLE), new CountedIds())->plan;
        $numbering = Numbering::of($plan);
        $rows = [];
        foreach ($plan->walk() as $id => $level) {
            $rows[] = [
                'number' => $numbering->own($id),
                'title' => $plan->topic($id)->title,
                'dye' => self::dye($plan, $id),
                'level' => $level,
            ];
        }
        $choices = new Choices(draft: new DraftChoices(contents: false));
        $book = Typesetter::book(Draft::of($plan, $choices), Typefaces::shipped($plan->properties->language), null);

        return [
            'title' => self::TITLE,
            'rows' => $rows,
            'map' => SvgWriter::element(new MapDrawing($plan, $choices), 'glimpse'),
            'page' => PageSvg::of($book->pages[0], $book, 1, static fn(string $id): string => ''),
        ];
    }

    private static function dye(Plan $plan, string $id): string
    {
        while ($plan->parent($id) !== Plan::ROOT) {
            $id = (string) $plan->parent($id);
        }

        return $plan->topic($id)->dye->value ?? 'slate';
    }
}
