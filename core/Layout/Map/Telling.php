<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Sign;
use Embrel\Plan\WordTotals;

/**
 * What a page is told of the map (resources/js/map/canvas.js draws it). Each main section is told within itself and with a
 * fingerprint: one that the page knows already is told by that alone, with where it stands now.
 */
final class Telling
{
    /**
     * @param list<string>          $folded
     * @param array<string, string> $known main section → fingerprint of what the page has of it
     * @param array<string, Relation> $relations
     *
     * @return array<string, mixed>
     */
    public static function of(
        Plan $plan,
        Numbering $numbering,
        WordTotals $totals,
        Look $look,
        array $folded = [],
        ?string $start = null,
        array $known = [],
        array $relations = [],
    ): array {
        $start = $start !== null && $plan->isLive($start) ? $start : Plan::ROOT;
        $picture = Picture::of($plan, $numbering, $totals, $look, array_fill_keys($folded, true), $start);
        $sections = [];
        foreach ($picture->sections as [$from, $to]) {
            $sections[] = self::section($picture, $from, $to, $known);
        }
        $geometry = $picture->geometry;

        return [
            'look' => $look->toArray() + self::dress($look->dress()),
            'start' => $start,
            'title' => [
                'lines' => $picture->title,
                'size' => Picture::TITLE,
                'at' => self::rounded($geometry->title),
                'room' => self::rounded($picture->titleSize),
            ],
            'spine' => array_map(self::rounded(...), $geometry->spine),
            'bounds' => self::rounded($picture->bounds()),
            'sections' => $sections,
            'relations' => self::relations($picture, $plan, $relations),
            'signs' => (object) self::signs($picture, $plan),
        ];
    }

    /** @return array<string, array{string, string}> the signs that are drawn */
    private static function signs(Picture $picture, Plan $plan): array
    {
        $signs = array_map(static fn(Label $label): ?string => $plan->topics[$label->id]->sign?->name, $picture->labels);

        return Sign::told(array_filter($signs, \is_string(...)));
    }

    /** @return array<string, mixed> what the page draws by it: the rest is in the geometry */
    private static function dress(Dress $dress): array
    {
        $inks = $dress->inks();

        return [
            'tints' => $dress->tints,
            'lines' => $dress->lines,
            'forms' => array_map(static fn(Form $form): array => [$form->value, $form->room(), $form->isOpen()], $dress->forms),
            'lettering' => $dress->lettering->value,
            'inks' => (object) $inks->properties(),
            'paper' => $dress->paper === Paper::Plain ? null : [$dress->paper->value, Paper::STEP],
            'back' => $dress->picture,
        ];
    }

    /**
     * @param array<string, string> $known
     *
     * @return array<string, mixed>
     */
    private static function section(Picture $picture, int $from, int $to, array $known): array
    {
        $standing = $picture->geometry->standings[$from];
        $id = $picture->labels[$from]->id;
        $print = self::print($picture, $from, $to);
        $told = ['id' => $id, 'at' => [round($standing->x, 1), round($standing->y, 1), $standing->isMirrored], 'print' => $print];
        if (($known[$id] ?? null) === $print) {
            return $told;
        }
        $topics = [];
        for ($i = $from; $i < $to; ++$i) {
            $topics[] = self::topic($picture, $i);
        }

        return $told + ['topics' => $topics];
    }

    /** A fingerprint of all that is told of a section: who is whose part follows from the order and the levels. */
    private static function print(Picture $picture, int $from, int $to): string
    {
        $geometry = $picture->geometry;
        $places = '';
        for ($i = $from; $i < $to; ++$i) {
            $places .= pack('e3', $geometry->x[$i], $geometry->y[$i], $picture->boxes->widths[$i]);
        }

        return hash('xxh64', serialize([\array_slice($picture->labels, $from, $to - $from), $picture->look->dress()]) . $places);
    }

    /**
     * @param array<string, Relation> $relations
     *
     * @return list<array<string, mixed>>
     */
    private static function relations(Picture $picture, Plan $plan, array $relations): array
    {
        if ($relations === []) {
            return [];
        }
        $routing = new Routing($picture, $plan);

        return array_map(
            static fn(Track $track): array => [
                'id' => $track->relation->id,
                'path' => $track->path(),
                'heads' => $track->heads(),
                'middle' => self::rounded($track->middle),
                'straight' => self::rounded($routing->straight($track->relation)),
                'label' => self::rounded($track->label),
                'room' => self::rounded($track->room),
            ],
            $routing->tracks($relations),
        );
    }

    /** @return list<mixed> in the order in which resources/js/map/shape.js names it */
    private static function topic(Picture $picture, int $i): array
    {
        $label = $picture->labels[$i];
        $geometry = $picture->geometry;

        return [
            $label->id,
            $label->level,
            round($geometry->x[$i], 1),
            round($geometry->y[$i], 1),
            round($picture->boxes->widths[$i], 1),
            round($label->height, 1),
            $label->start,
            round($label->indent, 1),
            round($label->width, 1),
            $label->size,
            $label->number,
            $label->lines,
            round($label->baseline(0), 1),
            round($label->size * Label::LINE, 2),
            $label->marks,
            ($label->isRightToLeft ? 1 : 0) | ($label->isUntitled ? 2 : 0) | ($label->hasFloret ? 4 : 0) | ($label->isLoose ? 8 : 0),
            $label->inside,
            $label->dye,
            round($label->filled, 3),
            $picture->stalk($i),
            $label->picture === null ? null : [$label->picture->id, ...$label->pictureBox() ?? []],
            round($label->linesEnd, 1),
        ];
    }

    /**
     * @param list<float> $numbers
     *
     * @return list<float>
     */
    private static function rounded(array $numbers): array
    {
        return array_map(static fn(float $number): float => round($number, 1), $numbers);
    }
}
