<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;
use Embrel\Layout\Text\Wrapping;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Day;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\WordTotals;
use Embrel\Plan\Work;

/** Measures what is drawn of each topic. */
final class Labelling
{
    public const UNTITLED = 'Untitled';
    private const MARK = 12.0;
    private const GAP = 8.0;
    private const NOTE = 14.0;
    public const SIGN = 16.0;
    /** Between the text of a label and the line around it. */
    public const PILL = 7.0;
    /** How far signs may reach beyond the width of titles. */
    private const SIGNS = 150.0;

    private readonly Wrapping $wrapping;
    private readonly float $mainStart;
    private readonly float $wrap;
    private readonly Dress $dress;

    public function __construct(
        private readonly Plan $plan,
        private readonly Numbering $numbering,
        private readonly WordTotals $totals,
        private readonly Look $look,
        private readonly Ruler $ruler = new Ruler(),
    ) {
        $this->wrapping = new Wrapping($ruler);
        $this->dress = $look->dress();
        // Rays are short: a long one makes the whole circle large, and all of it small to see.
        $this->wrap = $look->arrangement === Arrangement::Round ? min(170.0, (float) $look->wrap) : (float) $look->wrap;
        $this->mainStart = $look->arrangement === Arrangement::Spine ? 34.0 : 22.0;
    }

    /**
     * @param float $factor by what the size of its level is multiplied
     * @param int   $inside how many topics are folded away in it
     */
    public function label(string $id, int $level, string $dye, float $factor, int $inside, bool $isLoose = false): Label
    {
        $topic = $this->plan->topics[$id];
        $size = round($this->dress->size($level) * $factor, 1);
        $face = $this->dress->lettering->face($level);
        $isShown = $this->look->titles === 0 || $level <= $this->look->titles;
        $number = $isShown ? $this->numbering->own($id) : '';
        // The disc of a main section holds its number; only one with a word to it, as Chapter 1, stands before the title too.
        $indent
            = $number === '' || ($level === 1 && !str_contains($number, ' ')) ? 0.0 : $this->ruler->number($number, $size) + $size * 0.45;
        $title = $topic->title === '' ? self::UNTITLED : $topic->title;
        $lines = $isShown ? $this->wrapping->lines($title, $face, $size, $this->wrap) : [];
        $widest = 0.0;
        $last = 0.0;
        foreach ($lines as $line) {
            $widest = max($widest, $last = $this->ruler->width($line, $face, $size));
        }
        $height = \count($lines) * $size * Label::LINE + 4.0;
        $isRightToLeft = Wrapping::isRightToLeft($topic->title);
        $signs = $this->look->notes === 0 || $level <= $this->look->notes ? $this->signs($topic) : [];
        [$marks, $width, $height] = self::placed(
            $signs,
            $indent + ($isRightToLeft ? $widest : $last),
            $indent + $widest,
            $height,
            $lines === [] ? 0.0 : $size,
            $indent + max($this->wrap, $widest) + self::SIGNS,
        );

        $picture = $isShown ? $topic->picture : null;
        if ($picture !== null) {
            // Under the text, which stays where it is seen from the top.
            $more = $picture->shownHeight() + 6.0;
            $marks = self::lower($marks, -$more / 2);
            $height += $more;
            $width = max($width, (float) $picture->shown);
        }

        $room = $this->dress->form($level)->room();
        $high = max($height + 2 * $room, $level === 1 ? 2 * Spacing::DISC : 15.0);

        return new Label(
            $id,
            $level,
            $number,
            $lines,
            $marks,
            $face,
            $size,
            ($level === 1 ? $this->mainStart : 15.0) + $room,
            $indent,
            $indent + $widest,
            $width,
            $high,
            $isRightToLeft,
            $topic->title === '',
            $inside,
            $dye,
            $level === 1 ? 0.0 : $this->totals->filled($id),
            $topic->kind !== Kind::Aside,
            $isLoose,
            $picture,
            ($high - $height) / 2,
            $room,
        );
    }

    /** @return list<array{string, string, float, string|null}> which, text, width; of a label its dye */
    private function signs(Topic $topic): array
    {
        $signs = [];
        if ($topic->kind !== Kind::Section) {
            $signs[] = ['kind', $topic->kind->value, $this->sign($topic->kind->value), null];
        }
        if ($topic->sign !== null) {
            $signs[] = ['sign', $topic->sign->name, self::SIGN, null];
        }
        if ($topic->flag !== null) {
            $signs[] = ['flag', $topic->flag->label(), $this->sign($topic->flag->label()) + 14.0, null];
        }
        foreach ($topic->labels as $name) {
            $signs[] = ['label', $name, $this->sign($name) + 2 * self::PILL, $this->plan->properties->labels[$name]->value ?? 'slate'];
        }
        if ($topic->who !== '') {
            $who = Work::initials($topic->who);
            $signs[] = ['label', $who, $this->sign($who) + 2 * self::PILL, Work::dye($topic->who)];
        }
        $day = $topic->due ?? $topic->begins;
        if ($topic->done !== null || $day !== null) {
            $says = $topic->done !== null ? 'done' : ($topic->due === null ? 'from ' : 'by ') . Day::named((string) $day, (string) $day);
            $signs[] = ['kind', $says, $this->sign($says), null];
        }
        if ($topic->noted) {
            $signs[] = ['note', '', self::NOTE, null];
        }
        $words = $this->totals->words($topic->id);
        if ($words > 0) {
            $text = number_format($words);
            $signs[] = ['words', $text, $this->sign($text), null];
        }

        return $signs;
    }

    /** @return float how wide a small sign is */
    public function sign(string $text): float
    {
        return $this->ruler->width($text, Face::Regular, self::MARK);
    }

    /**
     * The signs after the last line of the title, and in lines of their own where there is no room.
     *
     * @param list<array{string, string, float, string|null}> $signs
     *
     * @return array{list<array{0: string, 1: string, 2: float, 3: float, 4?: string, 5?: float}>, float, float} the marks, width and height of the whole
     */
    private static function placed(array $signs, float $at, float $width, float $height, float $size, float $room): array
    {
        $marks = [];
        // Down from the top of the label; of the whole height only the end is known.
        $base = $size > 0.0 ? $height - 2.0 - $size * (Label::LINE - 1.02) : 2.0;
        foreach ($signs as [$which, $text, $wide, $dye]) {
            if (($base > 2.0 && $at + self::GAP + $wide > $room) || ($base <= 2.0 && $marks === [])) {
                $at = -self::GAP;
                $base = $height + self::MARK;
                $height += self::MARK * 1.5;
            }
            $mark = [$which, $text, round($at + self::GAP, 1), $base];
            $marks[] = $dye === null ? $mark : [...$mark, $dye, round($wide, 1)];
            $at += self::GAP + $wide;
            $width = max($width, $at);
        }

        return [
            self::lower($marks, -$height / 2),
            $width,
            $height,
        ];
    }

    /**
     * @param list<array{0: string, 1: string, 2: float, 3: float, 4?: string, 5?: float}> $marks
     *
     * @return list<array{0: string, 1: string, 2: float, 3: float, 4?: string, 5?: float}>
     */
    private static function lower(array $marks, float $by): array
    {
        foreach ($marks as $i => $mark) {
            $marks[$i][3] = round($mark[3] + $by, 1);
        }

        return $marks;
    }
}
