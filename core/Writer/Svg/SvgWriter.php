<?php

declare(strict_types=1);

namespace Embrel\Writer\Svg;

use Embrel\Document\Pictures;
use Embrel\Draft\Choices;
use Embrel\Layout\Map\Label;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Palette;
use Embrel\Layout\Map\Picture;
use Embrel\Layout\Map\Routing;
use Embrel\Layout\Map\Signs;
use Embrel\Layout\Map\Spacing;
use Embrel\Layout\Text\Face;
use Embrel\Layout\Text\Ruler;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;
use Embrel\Writer\Writer;

/**
 * The map as SVG 1.1, with what assistive technology reads of it (title, description). Nothing in
 * it is fetched or run: no script, no outside reference; fonts, if any, are embedded.
 */
final class SvgWriter implements Writer
{
    public const MARGIN = 24.0;
    private const FAMILIES = ['Hyperlegible' => 'atkinson-hyperlegible-next', 'Literata' => 'literata'];
    /** What of Unicode the parts of the fonts hold; as in resources/css/tokens.css, in short. */
    private const RANGES = ['U+0-FF,U+131,U+152-153,U+2BB-2DC,U+2000-206F,U+20AC,U+2122,U+2190-21FF,U+2212', 'U+100-2BA,U+1E00-1EFF,U+20A0-20C0,U+2C60-2C7F,U+A720-A7FF'];

    private \XMLWriter $xml;
    private ?Pictures $pictures = null;
    /** @var resource */
    private $out;

    private readonly Ruler $ruler;

    public function __construct(private readonly ?Fonts $fonts = null)
    {
        $this->ruler = new Ruler();
    }

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $picture = Picture::of($plan, Numbering::of($plan, $choices->scheme, $choices->numberDepth), WordTotals::of($plan), $choices->map ?? new Look(), array_fill_keys($choices->folded, true), $choices->from);
        $this->out = $out;
        $this->pictures = $choices->pictures;
        $this->xml = new \XMLWriter();
        $this->xml->openMemory();
        $this->xml->startDocument('1.0', 'UTF-8');
        $missing = $this->picture($picture, $plan, $choices);
        $this->xml->endDocument();
        fwrite($out, (string) $this->xml->flush());

        return $missing;
    }

    /** @return list<string> */
    private function picture(Picture $picture, Plan $plan, Choices $choices): array
    {
        [$left, $top, $right, $bottom] = $picture->bounds();
        [$width, $height] = [$right - $left + 2 * self::MARGIN, $bottom - $top + 2 * self::MARGIN];
        $this->start('svg', [
            'xmlns' => 'http://www.w3.org/2000/svg', 'width' => $width, 'height' => $height, 'viewBox' => implode(' ', array_map(self::number(...), [$left - self::MARGIN, $top - self::MARGIN, $width, $height])),
            'role' => 'img', 'aria-labelledby' => 'title description', 'xml:lang' => $plan->properties->language,
        ]);
        $this->element('title', ['id' => 'title'], implode(' ', $picture->title));
        $this->element('desc', ['id' => 'description'], self::description($picture));
        $lost = $this->styles($choices);
        if ($choices->ground) {
            $this->element('rect', ['x' => $left - self::MARGIN, 'y' => $top - self::MARGIN, 'width' => $width, 'height' => $height, 'fill' => Palette::SHEET]);
        }
        $this->ground($picture);
        foreach ($picture->geometry->spine as $i => [$x1, $y1, $x2, $y2]) {
            $this->element('path', ['d' => 'M' . self::number($x1) . ' ' . self::number($y1) . 'L' . self::number($x2) . ' ' . self::number($y2), 'stroke' => $picture->spineDye($i) === null ? Palette::INK : Palette::dye($picture->spineDye($i)), 'stroke-width' => 3, 'stroke-linecap' => 'round', 'fill' => 'none']);
        }
        $this->title($picture);
        foreach ($picture->sections as [$from, $to]) {
            $this->stalks($picture, $from, $to);
            for ($i = $from; $i < $to; ++$i) {
                $this->label($picture, $i, $from, $plan);
            }
        }
        $this->relations($picture, $plan);
        $this->xml->endElement();

        return $lost;
    }

    /** @return list<string> */
    private function styles(Choices $choices): array
    {
        $css = 'text{font-family:Hyperlegible,"Atkinson Hyperlegible Next",Verdana,sans-serif;font-kerning:none;font-variant-ligatures:none}.t{font-family:Literata,Georgia,serif;font-weight:600}.n{font-weight:680;font-variant-numeric:tabular-nums}.s{font-weight:680}';
        $missing = [];
        foreach ($choices->embedsFonts ? self::FAMILIES : [] as $name => $family) {
            foreach (self::RANGES as $isExtended => $range) {
                $bytes = $this->fonts?->file($family, $isExtended === 1);
                if ($bytes === null) {
                    $missing = ['The fonts are not at hand, so they are not embedded; the text is set in what the reader has.'];
                    continue;
                }
                $css .= "@font-face{font-family:{$name};font-weight:200 900;unicode-range:{$range};src:url(data:font/woff2;base64," . base64_encode($bytes) . ')}';
            }
        }
        $this->element('style', [], $css);

        return $missing;
    }

    private static function description(Picture $picture): string
    {
        $names = array_map(static fn(array $section): string => trim($picture->labels[$section[0]]->number . ' ' . implode(' ', $picture->labels[$section[0]]->lines)), $picture->sections);
        $count = \count($picture->labels);

        return "A map of {$count} " . ($count === 1 ? 'topic' : 'topics') . ($names === [] ? '.' : '. Main sections in reading order: ' . implode('; ', $names) . '.');
    }

    private function ground(Picture $picture): void
    {
        if (!$picture->look->style->isTinted()) {
            return;
        }
        foreach ($picture->sections as [$from, $to]) {
            if ($picture->labels[$from]->isLoose) {
                continue;
            }
            $tint = Palette::tint($picture->labels[$from]->dye);
            [$path, $box] = ['', [INF, INF, -INF, -INF]];
            for ($i = $from; $i < $to; ++$i) {
                $corners = $picture->corners($i, $from);
                $path .= 'M' . self::number(($corners[0][0] + $corners[3][0]) / 2) . ' ' . self::number(($corners[0][1] + $corners[3][1]) / 2) . 'L' . self::number(($corners[1][0] + $corners[2][0]) / 2) . ' ' . self::number(($corners[1][1] + $corners[2][1]) / 2);
                foreach ($corners as [$x, $y]) {
                    $box = [min($box[0], $x), min($box[1], $y), max($box[2], $x), max($box[3], $y)];
                }
            }
            $picture->isRound()
                ? $this->element('path', ['d' => $path, 'fill' => 'none', 'stroke' => $tint, 'stroke-width' => 44, 'stroke-linecap' => 'round'])
                : $this->element('rect', ['x' => $box[0] - 12, 'y' => $box[1] - 6, 'width' => $box[2] - $box[0] + 24, 'height' => $box[3] - $box[1] + 12, 'rx' => 12, 'fill' => $tint]);
        }
    }

    private function relations(Picture $picture, Plan $plan): void
    {
        foreach ($plan->relations === [] ? [] : (new Routing($picture, $plan))->tracks($plan->relations) as $track) {
            $colour = $track->relation->dye === null ? Palette::INK : Palette::dye($track->relation->dye->value);
            $this->element('path', ['d' => $track->path() . implode('', $track->heads()), 'fill' => 'none', 'stroke' => $colour, 'stroke-width' => 1.3, 'stroke-linejoin' => 'round']);
            if ($track->relation->label !== '') {
                [[$x, $y], [$width, $height]] = [$track->label, $track->room];
                $this->element('rect', ['x' => $x - $width / 2, 'y' => $y - $height / 2, 'width' => $width, 'height' => $height, 'rx' => 3, 'fill' => Palette::SHEET]);
                $this->element('text', ['x' => $x, 'y' => $y + Routing::SIZE * 0.35, 'text-anchor' => 'middle', 'font-size' => Routing::SIZE, 'fill' => $colour], $track->relation->label);
            }
        }
    }

    private function title(Picture $picture): void
    {
        [$x, $y] = $picture->geometry->title;
        $this->start('text', ['class' => 't', 'font-size' => Picture::TITLE, 'text-anchor' => 'middle', 'fill' => Palette::INK]);
        foreach ($picture->title as $i => $line) {
            $this->element('tspan', ['x' => $x, 'y' => $y - $picture->titleSize[1] / 2 + Picture::TITLE * (Label::LINE * $i + 1.02)], $line);
        }
        $this->xml->endElement();
    }

    private function stalks(Picture $picture, int $from, int $to): void
    {
        if ($to - $from < 2) {
            return;
        }
        $standing = $picture->geometry->standings[$from];
        $this->start('g', ['fill' => 'none', 'stroke-linecap' => 'round', 'opacity' => '0.75', 'transform' => 'translate(' . self::number($standing->x) . ' ' . self::number($standing->y) . ')'
            . ($standing->turn === 0.0 ? '' : ' rotate(' . self::number(rad2deg($standing->turn)) . ')') . ($standing->isMirrored ? ' scale(-1 1)' : '')]);
        for ($i = $from + 1; $i < $to; ++$i) {
            $this->element('path', ['d' => $picture->stalk($i), 'stroke' => Palette::dye($picture->labels[$i]->dye), 'stroke-width' => $picture->look->style->line($picture->labels[$i]->level)]);
        }
        $this->xml->endElement();
    }

    private function label(Picture $picture, int $i, int $section, Plan $plan): void
    {
        $label = $picture->labels[$i];
        [$x, $y] = $picture->geometry->point($i, $section);
        $turn = $picture->geometry->standings[$section]->direction($picture->geometry->turns[$i]);
        $isFlipped = cos($turn) < -1e-6;
        $degrees = rad2deg($turn) - ($isFlipped ? 180 : 0);
        $dye = Palette::dye($label->dye);
        $this->start('g', ['transform' => 'translate(' . self::number($x) . ' ' . self::number($y) . ')' . (abs($degrees) < 0.005 ? '' : ' rotate(' . self::number($degrees) . ')')]);
        $label->level === 1 ? $this->disc($label, $dye, $isFlipped) : $this->floret($label, $dye);
        $this->text($label, $isFlipped ? -($label->start + $label->width) : $label->start, $dye, $plan->topics[$label->id]->kind);
        $this->exit($picture, $i, $dye, $isFlipped ? -1 : 1);
        $this->xml->endElement();
        if ($i % 200 === 0) {
            fwrite($this->out, (string) $this->xml->flush());
        }
    }

    private function disc(Label $label, string $dye, bool $isFlipped): void
    {
        $short = rtrim(substr((string) strrchr(' ' . $label->number, ' '), 1), '.');
        if ($label->start > 30.0) {
            $this->element('path', ['d' => $isFlipped ? 'M-14 0H-28' : 'M14 0H28', 'stroke' => $dye, 'stroke-width' => 3]);
        }
        $this->element('circle', ['r' => Spacing::DISC, 'fill' => $dye]);
        $this->element('text', ['class' => 'n', 'y' => 5, 'text-anchor' => 'middle', 'fill' => Palette::SHEET, 'font-size' => \strlen($short) > 3 ? 9 : (\strlen($short) > 2 ? 11 : 14)], $short);
    }

    private function floret(Label $label, string $dye): void
    {
        if (!$label->hasFloret) {
            return;
        }
        $this->element('circle', ['r' => 5.2, 'fill' => Palette::SHEET, 'stroke' => $dye, 'stroke-width' => 1.8] + ($label->isLoose ? ['stroke-dasharray' => '2 2'] : []));
        if ($label->filled >= 0.999) {
            $this->element('circle', ['r' => 5.2, 'fill' => $dye]);
        } elseif ($label->filled > 0.0) {
            $level = 5.2 - 10.4 * $label->filled;
            $half = sqrt(max(0.0, 5.2 * 5.2 - $level * $level));
            $this->element('path', ['fill' => $dye, 'd' => 'M' . self::number(-$half) . ' ' . self::number($level) . 'A5.2 5.2 0 ' . ($label->filled > 0.5 ? 1 : 0) . ' 0 ' . self::number($half) . ' ' . self::number($level) . 'Z']);
        }
    }

    private function text(Label $label, float $x, string $dye, Kind $kind): void
    {
        if ($label->number !== '') {
            $this->element('text', ['class' => 'n', 'x' => $x, 'y' => $label->baseline(0), 'font-size' => $label->size, 'fill' => $dye, 'textLength' => $this->ruler->number($label->number, $label->size), 'lengthAdjust' => 'spacingAndGlyphs'], $label->number);
        }
        foreach ($label->lines as $i => $line) {
            $this->element('text', array_filter([
                'class' => $label->face === Face::Strong ? 's' : null, 'x' => $label->isRightToLeft ? $x + $label->width : $x + $label->indent, 'y' => $label->baseline($i), 'font-size' => $label->size,
                'fill' => $label->isUntitled || $kind === Kind::Aside ? Palette::FAINT : Palette::INK, 'font-style' => $label->isUntitled ? 'italic' : null, 'direction' => $label->isRightToLeft ? 'rtl' : null,
            ] + $this->length($line, $label->face, $label->size), static fn(mixed $value): bool => $value !== null), $line);
        }
        $this->image($label, $x);
        foreach ($label->marks as [$which, $text, $at, $y]) {
            $this->mark($which, $text, $x + $at, $y);
        }
    }

    private function image(Label $label, float $x): void
    {
        $bytes = $label->picture === null ? null : $this->pictures?->bytes($label->picture->id);
        if ($label->picture === null || $bytes === null) {
            return;
        }
        [$left, $top, $width, $height] = $label->pictureBox() ?? [0.0, 0.0, 0.0, 0.0];
        $this->element('image', ['x' => $x + $left, 'y' => $top, 'width' => $width, 'height' => $height, 'href' => 'data:' . (str_starts_with($bytes, "\x89PNG") ? 'image/png' : 'image/jpeg') . ';base64,' . base64_encode($bytes)]);
    }

    /**
     * So that a text keeps its room with any font: as long as it was measured, where that is exact.
     *
     * @return array<string, string|float>
     */
    private function length(string $text, Face $face, float $size): array
    {
        return $text !== '' && $this->ruler->isExact($text, $face) ? ['textLength' => $this->ruler->width($text, $face, $size), 'lengthAdjust' => 'spacingAndGlyphs'] : [];
    }

    private function mark(string $which, string $text, float $x, float $y): void
    {
        if ($which === 'note') {
            $this->element('path', ['d' => Signs::NOTE, 'transform' => 'translate(' . self::number($x) . ' ' . self::number($y - 10) . ')', 'fill' => 'none', 'stroke' => Palette::FAINT, 'stroke-width' => 1.2]);

            return;
        }
        $dye = $which === 'words' ? Palette::FAINT : Palette::SOFT;
        if ($which === 'flag') {
            [$form, $name] = Signs::FLAGS[$text];
            $dye = Palette::dye($name);
            $this->element('path', ['d' => $form, 'transform' => 'translate(' . self::number($x) . ' ' . self::number($y - 9) . ') scale(0.92)', 'fill' => $dye, 'fill-rule' => 'evenodd']);
            $x += 14;
        }
        $this->element('text', ['x' => $x, 'y' => $y, 'font-size' => 12, 'fill' => $dye] + $this->length($text, Face::Regular, 12.0), $text);
    }

    /** Where the stalks begin, or how many topics are folded away. */
    private function exit(Picture $picture, int $i, string $dye, int $out): void
    {
        $label = $picture->labels[$i];
        $end = $out * $picture->boxes->widths[$i];
        if ($label->inside > 0) {
            $width = $picture->boxes->widths[$i] - $label->start - $label->width - 10;
            $this->element('rect', ['x' => $out > 0 ? $end - $width : $end, 'y' => -9, 'width' => $width, 'height' => 18, 'rx' => 9, 'fill' => Palette::SHEET, 'stroke' => $dye, 'stroke-width' => 1.4]);
            $this->element('text', ['x' => $end - $out * $width / 2, 'y' => 4.2, 'font-size' => 12, 'text-anchor' => 'middle', 'fill' => $dye], (string) $label->inside);
        } elseif (($picture->boxes->parents[$i + 1] ?? -1) === $i) {
            $this->element('circle', ['cx' => $end, 'r' => $label->level === 1 ? 3.2 : 2.4, 'fill' => $dye]);
        }
    }

    /** @param array<string, string|int|float> $attributes */
    private function start(string $name, array $attributes): void
    {
        $this->xml->startElement($name);
        foreach ($attributes as $attribute => $value) {
            $this->xml->writeAttribute($attribute, \is_string($value) ? $value : self::number((float) $value));
        }
    }

    /** @param array<string, string|int|float> $attributes */
    private function element(string $name, array $attributes, ?string $text = null): void
    {
        $this->start($name, $attributes);
        if ($text !== null) {
            $this->xml->text($text);
        }
        $this->xml->endElement();
    }

    private static function number(float $value): string
    {
        return (string) round($value, 2);
    }
}
