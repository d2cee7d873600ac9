<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Plan\Dye;

/**
 * The colours in which a map is drawn on its ground: those of Palette as long as that is white, else the same, made
 * darker or lighter until they can be read there (4.5:1 and more, as WCAG 2.2 asks of text).
 */
final readonly class Inks
{
    /** What titles are asked to stand out by, what stands beside them, and the rest: more than they must, as they may stand on a tint. */
    private const INK = 11.0;
    private const SOFT = 6.5;
    private const ENOUGH = 5.4;
    private const STEPS = 20;
    private const FILLED = 0.22;
    private const MARKED = '#E3D44A';

    public string $ink;
    public string $soft;
    public string $faint;
    public string $sheet;

    /** @param string $ground six hexadecimal digits after a #; '' for white */
    public function __construct(public string $ground = '')
    {
        $this->sheet = $ground === '' ? Palette::SHEET : $ground;
        $this->ink = $this->readable(Palette::INK, self::INK);
        $this->soft = $this->readable(Palette::SOFT, self::SOFT);
        $this->faint = $this->readable(Palette::FAINT);
    }

    /** @param string $dye a name of Palette::DYES, or a colour */
    public function dye(string $dye): string
    {
        return $this->readable(Palette::dye($dye));
    }

    /** A dye as the ground of a text. */
    public function tint(string $dye): string
    {
        return Palette::mixed($this->dye($dye), $this->sheet, Palette::TINT);
    }

    /** A dye as what a title stands on that is filled with it: stronger than a tint, so that it is seen on one. */
    public function filled(string $dye): string
    {
        return Palette::mixed($this->dye($dye), $this->sheet, self::FILLED);
    }

    /** The lines of paper. */
    public function rule(): string
    {
        return Palette::mixed($this->faint, $this->sheet, 0.25);
    }

    /**
     * The custom properties of the styles of the page in these colours.
     *
     * @return array<string, string> without the dashes before; none where the page's own hold
     */
    public function properties(): array
    {
        if ($this->ground === '') {
            return [];
        }
        $named = ['sheet' => $this->sheet, 'ground' => $this->sheet, 'ink' => $this->ink, 'ink-soft' => $this->soft]
            + ['ink-faint' => $this->faint, 'edge' => $this->soft, 'line' => $this->rule(), 'aubergine' => $this->ink]
            + ['fennel-soft' => Palette::mixed(self::MARKED, $this->sheet, 0.25)];

        return $named + array_map($this->dye(...), Palette::DYES);
    }

    /** A colour, as far on its way to black or white as it must be. */
    private function readable(string $colour, float $enough = self::ENOUGH): string
    {
        if ($this->ground === '') {
            return $colour;
        }
        $end = self::contrast('#000000', $this->ground) >= self::contrast('#FFFFFF', $this->ground) ? '#000000' : '#FFFFFF';
        for ($step = 0; $step < self::STEPS; ++$step) {
            $mixed = Palette::mixed($end, $colour, $step / self::STEPS);
            if (self::contrast($mixed, $this->ground) >= $enough) {
                return $mixed;
            }
        }

        return $end;
    }

    private static function contrast(string $one, string $other): float
    {
        return Dye::of($one)->contrast($other);
    }
}
