<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Pictures;
use Embrel\Draft\Choices;
use Embrel\Fonts\Face;
use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\Form;
use Embrel\Layout\Map\Inks;
use Embrel\Layout\Map\Label;
use Embrel\Layout\Map\Labelling;
use Embrel\Layout\Map\Picture;
use Embrel\Layout\Map\Routing;
use Embrel\Layout\Map\Signs;
use Embrel\Layout\Map\Spacing;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Sign;
use Embrel\Plan\WordTotals;

/** Draws the map of a plan, as its page shows it by day, with the pen of any format. */
final class MapDrawing
{
    public const MARGIN = 24.0;
    private const SMALL = 12.0;

    public readonly Picture $picture;
    private readonly ?Pictures $pictures;
    private readonly Dress $dress;
    public readonly Inks $inks;
    private Pen $pen;

    public function __construct(private readonly Plan $plan, private readonly Choices $choices)
    {
        $this->pictures = $choices->pictures;
        $this->dress = $choices->map->look->dress();
        $this->inks = $this->dress->inks();
        $this->picture = Picture::of(
            $plan,
            Numbering::of($plan, $choices->scheme, $choices->numberDepth),
            WordTotals::of($plan),
            $choices->map->look,
            array_fill_keys($choices->map->folded, true),
            $choices->from,
        );
    }

    /** @return array{float, float, float, float} left, top, width and height, with a margin */
    public function room(): array
    {
        [$left, $top, $right, $bottom] = $this->picture->bounds();

        return [$left - self::MARGIN, $top - self::MARGIN, $right - $left + 2 * self::MARGIN, $bottom - $top + 2 * self::MARGIN];
    }

    public function with(Pen $pen): void
    {
        $this->pen = $pen;
        $picture = $this->picture;
        $this->ground();
        $this->tints();
        foreach ($picture->geometry->spine as $i => [$x1, $y1, $x2, $y2]) {
            $dye = $picture->spineDye($i);
            $pen->path("M{$x1} {$y1}L{$x2} {$y2}", $dye === null ? $this->inks->ink : $this->inks->dye($dye), 3.0);
        }
        [$x, $y] = $picture->geometry->title;
        if ($this->isPlated()) {
            [$width, $height] = $picture->titleSize;
            $this->plate($x - $width / 2 - 8, $y - $height / 2 - 4, $width + 16, $height + 8);
        }
        foreach ($picture->title as $i => $line) {
            $pen->text(
                $line,
                $x,
                $y - $picture->titleSize[1] / 2 + Picture::TITLE * (Label::LINE * $i + 1.02),
                Face::Title,
                Picture::TITLE,
                $this->inks->ink,
                true,
            );
        }
        foreach ($picture->sections as [$from, $to]) {
            $this->stalks($from, $to);
            for ($i = $from; $i < $to; ++$i) {
                $this->label($i, $from);
            }
        }
        $this->relations();
    }

    private function ground(): void
    {
        if (!$this->choices->map->ground) {
            return;
        }
        $room = $this->room();
        $back = $this->choices->map->back;
        $size = $back === null ? false : @getimagesizefromstring($back);
        $back !== null && $size !== false && $size[0] > 0 && $size[1] > 0
            ? $this->pen->backdrop($back, ...[...$room, $this->inks->sheet])
            : $this->pen->rectangle(...[...$room, 0.0, $this->inks->sheet]);
        $lines = $this->dress->paper->lines(...$room);
        if ($lines !== '') {
            $this->pen->path($lines, $this->inks->rule(), 1.0);
        }
    }

    private function tints(): void
    {
        if (!$this->dress->tints) {
            return;
        }
        foreach ($this->picture->sections as [$from, $to]) {
            if ($this->picture->labels[$from]->isLoose) {
                continue;
            }
            $tint = $this->inks->tint($this->picture->labels[$from]->dye);
            $box = [INF, INF, -INF, -INF];
            for ($i = $from; $i < $to; ++$i) {
                [$left, $top, $right, $bottom] = $this->picture->box($i, $from);
                $box = [min($box[0], $left), min($box[1], $top), max($box[2], $right), max($box[3], $bottom)];
            }
            $this->pen->rectangle($box[0] - 12, $box[1] - 6, $box[2] - $box[0] + 24, $box[3] - $box[1] + 12, 12.0, $tint);
        }
    }

    private function stalks(int $from, int $to): void
    {
        if ($to - $from < 2) {
            return;
        }
        $standing = $this->picture->geometry->standings[$from];
        $this->pen->within($standing->x, $standing->y, $standing->isMirrored, function () use ($from, $to): void {
            for ($i = $from + 1; $i < $to; ++$i) {
                $label = $this->picture->labels[$i];
                $this->pen->path(
                    $this->picture->stalk($i),
                    $this->inks->dye($label->dye),
                    $this->dress->line($label->level),
                    null,
                    0.75,
                );
            }
        });
    }

    private function label(int $i, int $section): void
    {
        $label = $this->picture->labels[$i];
        [$x, $y] = $this->picture->geometry->point($i, $section);
        $isFlipped = $this->picture->geometry->standings[$section]->isMirrored;
        $this->pen->within($x, $y, false, function () use ($label, $i, $isFlipped): void {
            $dye = $this->inks->dye($label->dye);
            $x = $isFlipped ? -($label->start + $label->width) : $label->start;
            $this->form($label, $x, $dye);
            $label->level === 1 ? $this->disc($label, $dye, $isFlipped) : $this->floret($label, $dye);
            $this->text($label, $x, $dye);
            $this->exit($i, $dye, $isFlipped ? -1 : 1);
        });
    }

    /** What stands around the title of a topic. */
    private function form(Label $label, float $x, string $dye): void
    {
        [$left, $top, $width, $height] = [$x - $label->room, -$label->height / 2, $label->width + 2 * $label->room, $label->height];
        $form = $this->dress->form($label->level);
        if ($form->isOpen() && $this->isPlated()) {
            $this->plate($left - 3, $top, $width + 6, $height);
        }
        match ($form) {
            Form::Plain => null,
            Form::Underlined => $this->pen->path("M{$left} " . ($top + $height - 1) . 'H' . ($left + $width), $dye, 1.8),
            Form::Framed => $this->pen->rectangle($left, $top, $width, $height, 5.0, $this->inks->sheet, $dye, 1.4),
            Form::Filled => $this->pen->rectangle($left, $top, $width, $height, 5.0, $this->inks->filled($label->dye)),
        };
    }

    /** On a picture text stands on a plate of the ground, so that it can be read whatever the picture shows. */
    private function isPlated(): bool
    {
        return $this->choices->map->back !== null;
    }

    private function plate(float $left, float $top, float $width, float $height): void
    {
        $this->pen->rectangle($left, $top, $width, $height, 5.0, $this->inks->sheet);
    }

    private function disc(Label $label, string $dye, bool $isFlipped): void
    {
        $short = rtrim(substr((string) strrchr(' ' . $label->number, ' '), 1), '.');
        if ($label->start > 30.0) {
            $this->pen->path($isFlipped ? 'M-14 0H-28' : 'M14 0H28', $dye, 3.0);
        }
        $this->pen->circle(0.0, 0.0, Spacing::DISC, $dye);
        $this->pen->number($short, 0.0, 5.0, \strlen($short) > 3 ? 9.0 : (\strlen($short) > 2 ? 11.0 : 14.0), $this->inks->sheet, true);
    }

    private function floret(Label $label, string $dye): void
    {
        if (!$label->hasFloret) {
            return;
        }
        $this->pen->circle(0.0, 0.0, 5.2, $this->inks->sheet, $dye, 1.8, $label->isLoose);
        if ($label->filled >= 0.999) {
            $this->pen->circle(0.0, 0.0, 5.2, $dye);
        } elseif ($label->filled > 0.0) {
            $level = 5.2 - 10.4 * $label->filled;
            $half = sqrt(max(0.0, 5.2 * 5.2 - $level * $level));
            $this->pen->path(
                \sprintf('M%.2F %.2FA5.2 5.2 0 %d 0 %.2F %.2FZ', -$half, $level, $label->filled > 0.5 ? 1 : 0, $half, $level),
                null,
                0.0,
                $dye,
            );
        }
    }

    private function text(Label $label, float $x, string $dye): void
    {
        if ($label->number !== '' && $label->indent > 0.0) {
            $colour = $this->dress->form($label->level) === Form::Filled ? $this->inks->ink : $dye;
            $this->pen->number($label->number, $x, $label->baseline(0), $label->size, $colour);
        }
        $isFaint = $label->isUntitled || $this->plan->topics[$label->id]->kind === Kind::Aside;
        foreach ($label->lines as $i => $line) {
            $this->pen->text(
                $line,
                $label->isRightToLeft ? $x + $label->linesEnd : $x + $label->indent,
                $label->baseline($i),
                $label->face,
                $label->size,
                $isFaint ? $this->inks->faint : $this->inks->ink,
                false,
                $label->isRightToLeft,
                $label->isUntitled,
            );
        }
        $bytes = $label->picture === null ? null : $this->pictures?->bytes($label->picture->id);
        if ($bytes !== null) {
            [$left, $top, $width, $height] = $label->pictureBox() ?? [0.0, 0.0, 0.0, 0.0];
            $this->pen->image($bytes, $x + $left, $top, $width, $height);
        }
        foreach ($label->marks as $mark) {
            [$which, $text, $at, $y] = $mark;
            if ($which === 'label') {
                $this->pill($text, $x + $at, $y, $mark[4] ?? 'slate', $mark[5] ?? 0.0);
            } else {
                $this->mark($which, $text, $x + $at, $y, $dye);
            }
        }
    }

    private function pill(string $text, float $x, float $y, string $dye, float $width): void
    {
        $this->pen->rectangle($x, $y - 12, $width, 16.0, 8.0, $this->inks->sheet, $this->inks->dye($dye));
        $this->pen->text($text, $x + Labelling::PILL, $y, Face::Regular, self::SMALL, $this->inks->soft);
    }

    private function mark(string $which, string $text, float $x, float $y, string $dye): void
    {
        $colour = $which === 'words' ? $this->inks->faint : $this->inks->soft;
        if ($which === 'note') {
            $this->pen->within($x, $y - 10, false, fn() => $this->pen->path(Signs::NOTE, $this->inks->faint, 1.2));

            return;
        }
        if ($which === 'sign') {
            $width = Sign::LINE * (Labelling::SIGN / Sign::SQUARE);
            $this->pen->within($x, $y - 12.5, false, fn() => $this->pen->path(Sign::of($text)->form(Labelling::SIGN), $dye, $width));

            return;
        }
        if ($which === 'flag') {
            [$form, $dye] = Signs::FLAGS[$text];
            $colour = $this->inks->dye($dye);
            $this->pen->within($x, $y - 9, false, fn() => $this->pen->path($form, null, 0.0, $colour));
            $x += 14;
        }
        $this->pen->text($text, $x, $y, Face::Regular, self::SMALL, $colour, isItalic: $which === 'kind');
    }

    /** Where the stalks begin, or how many topics are folded away. */
    private function exit(int $i, string $dye, int $out): void
    {
        $label = $this->picture->labels[$i];
        $end = $out * $this->picture->boxes->widths[$i];
        if ($label->inside > 0) {
            $width = $this->picture->boxes->widths[$i] - $label->start - $label->width - 10;
            $this->pen->rectangle($out > 0 ? $end - $width : $end, -9.0, $width, 18.0, 9.0, $this->inks->sheet, $dye, 1.4);
            $this->pen->text((string) $label->inside, $end - ($out * $width) / 2, 4.2, Face::Regular, self::SMALL, $dye, true);
        } elseif (($this->picture->boxes->parents[$i + 1] ?? -1) === $i) {
            $this->pen->circle($end, 0.0, $label->level === 1 ? 3.2 : 2.4, $dye);
        }
    }

    private function relations(): void
    {
        foreach (
            $this->plan->relations === [] ? [] : (new Routing($this->picture, $this->plan))->tracks($this->plan->relations) as $track
        ) {
            $colour = $track->relation->dye === null ? $this->inks->ink : $this->inks->dye($track->relation->dye->value);
            foreach ([$track->path(), ...$track->heads()] as $path) {
                $this->pen->path($path, $colour, 1.3);
            }
            if ($track->relation->label !== '') {
                [[$x, $y], [$width, $height]] = [$track->label, $track->room];
                $this->pen->rectangle($x - $width / 2, $y - $height / 2, $width, $height, 3.0, $this->inks->sheet);
                $this->pen->text($track->relation->label, $x, $y + Routing::SIZE * 0.35, Face::Regular, Routing::SIZE, $colour, true);
            }
        }
    }
}
