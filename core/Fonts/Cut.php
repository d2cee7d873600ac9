<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/**
 * One TrueType font out of the parts that a face comes in, with those signs that are asked for (OpenType 1.9, as far as a font
 * of outlines needs it). Without kerning and ligatures: in other programs its lines are as wide as in our pages.
 */
final class Cut
{
    /** Of a line, in sizes of the type. */
    private const ABOVE = 0.94;
    private const BELOW = 0.26;

    /** @var list<TrueType> */
    private readonly array $parts;
    /** @var array<int, string> glyph → its outline */
    private array $outlines = [];
    private string $metrics = '';
    /** @var array<string, int> part and glyph there → glyph here */
    private array $known = [];
    /** @var array<int, int> sign → glyph */
    private array $signs = [];

    /** @param non-empty-list<string> $parts the bytes of fonts of one design */
    private function __construct(array $parts)
    {
        $this->parts = array_map(static fn(string $bytes): TrueType => new TrueType($bytes), $parts);
        $this->glyph(0, 0);
    }

    /**
     * @param non-empty-list<string> $parts  the bytes of fonts of one design
     * @param list<int>|null         $signs  code points; null: all that the parts hold
     * @param string                 $family its name
     */
    public static function of(array $parts, ?array $signs, string $family, bool $isBold, bool $isItalic): string
    {
        $cut = new self($parts);
        $all = array_map(static fn(TrueType $part): array => array_keys($part->signs()), $cut->parts);
        foreach ($signs ?? array_merge(...$all) as $sign) {
            $sign < 0xFFFF ? $cut->sign($sign) : null;
        }

        return $cut->font($family, $isBold, $isItalic);
    }

    private function sign(int $sign): void
    {
        foreach ($this->parts as $i => $part) {
            $glyph = $part->glyph($sign);
            if ($glyph !== null) {
                $this->signs[$sign] ??= $this->glyph($i, $glyph);

                return;
            }
        }
    }

    /** Takes a glyph over, and those that it is put together from. */
    private function glyph(int $part, int $glyph): int
    {
        $key = "{$part} {$glyph}";
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        $new = $this->known[$key] = \count($this->outlines);
        $this->outlines[$new] = '';
        $this->metrics .= $this->parts[$part]->metric($glyph);
        $outline = $this->parts[$part]->outline($glyph);
        foreach (Component::of($outline) as $component) {
            $outline = substr_replace($outline, pack('n', $this->glyph($part, $component->glyph)), $component->at, 2);
        }
        $this->outlines[$new] = $outline;

        return $new;
    }

    private function font(string $family, bool $isBold, bool $isItalic): string
    {
        $first = $this->parts[0];
        $glyf = '';
        $loca = pack('N', 0);
        foreach ($this->outlines as $outline) {
            $glyf .= $outline . str_repeat("\0", -\strlen($outline) & 3);
            $loca .= pack('N', \strlen($glyf));
        }
        $count = pack('n', \count($this->outlines));
        $style = trim(($isBold ? 'Bold' : '') . ($isItalic ? ' Italic' : '')) ?: 'Regular';
        ksort($this->signs);
        $tables = [
            'OS/2' => $this->os2($first->table('OS/2'), $isBold, $isItalic),
            'cmap' => $this->cmap(),
            'glyf' => $glyf,
            // Offsets of four bytes, and no sum yet.
            'head' => $this->head($first->table('head'), $isBold, $isItalic),
            'hhea' => substr_replace(substr_replace($first->table('hhea'), $count, 34, 2), $this->heights(0), 4, 6),
            'hmtx' => $this->metrics,
            'loca' => $loca,
            'maxp' => $this->maxp($count),
            'name' => self::name($family, $style),
            'post' => pack('N', 0x00030000) . substr($first->table('post'), 4, 28),
        ];

        return self::packed($tables);
    }

    private function head(string $head, bool $isBold, bool $isItalic): string
    {
        $head = substr_replace($head, pack('N', 0), 8, 4);
        $head = substr_replace($head, pack('n', ($isBold ? 1 : 0) | ($isItalic ? 2 : 0)), 44, 2);

        return substr_replace($head, pack('n', 1), 50, 2);
    }

    /** It may be embedded and edited with; how bold it is, and from which sign to which it goes. */
    private function os2(string $os2, bool $isBold, bool $isItalic): string
    {
        $os2 = substr_replace($os2, pack('n', $isBold ? 700 : 400), 4, 2);
        $os2 = substr_replace($os2, pack('n', 0), 8, 2);
        $selection = ($isItalic ? 1 : 0) | ($isBold ? 0x20 : 0) | (!$isBold && !$isItalic ? 0x40 : 0);
        $os2 = substr_replace($os2, pack('n', $selection), 62, 2);
        $os2 = substr_replace($os2, $this->heights(0), 68, 6);
        $os2 = substr_replace($os2, substr($this->heights(1), 0, 4), 74, 4);
        $signs = array_keys($this->signs);

        return substr_replace($os2, pack('n2', $signs[0] ?? 0, $signs === [] ? 0 : $signs[\count($signs) - 1]), 64, 4);
    }

    /**
     * How high a line is that is set single: as high as in our pages (Document\Style::SINGLE), so that pages break alike.
     *
     * @param int $sign whether what is below the line counts upwards
     */
    private function heights(int $sign): string
    {
        $em = $this->parts[0]->unitsPerEm;
        $below = (int) round(self::BELOW * $em);

        return pack('n3', (int) round(self::ABOVE * $em), ($sign === 1 ? $below : -$below) & 0xFFFF, 0);
    }

    /** The largest of each limit that the parts have. */
    private function maxp(string $count): string
    {
        $limits = array_map(
            static fn(TrueType $part): array => array_values(unpack('n*', substr($part->table('maxp'), 6)) ?: []),
            $this->parts,
        );
        $most = $limits[0];
        foreach ($limits as $of) {
            foreach ($of as $i => $limit) {
                $most[$i] = max($most[$i] ?? 0, $limit);
            }
        }

        return pack('N', 0x00010000) . $count . pack('n*', ...$most);
    }

    /** Runs of signs whose glyphs follow each other (format 4). */
    private function cmap(): string
    {
        $runs = [];
        $open = null;
        foreach ($this->signs as $sign => $glyph) {
            if ($open !== null && $open[1] === $sign - 1 && $open[2] + $sign - $open[0] === $glyph) {
                $open[1] = $sign;
            } else {
                array_push($runs, ...$open === null ? [] : [$open]);
                $open = [$sign, $sign, $glyph];
            }
        }
        array_push($runs, ...$open === null ? [] : [$open], ...[[0xFFFF, 0xFFFF, 0]]);
        $count = \count($runs);
        $ends = $starts = $deltas = '';
        foreach ($runs as [$start, $end, $glyph]) {
            $ends .= pack('n', $end);
            $starts .= pack('n', $start);
            $deltas .= pack('n', $start === 0xFFFF ? 1 : ($glyph - $start) & 0xFFFF);
        }
        $power = 2 ** (int) floor(log($count, 2));
        $body = pack('n4', 2 * $count, 2 * $power, (int) log($power, 2), 2 * ($count - $power))
            . $ends . "\0\0" . $starts . $deltas . str_repeat("\0\0", $count);
        $table = pack('n3', 4, \strlen($body) + 6, 0) . $body;

        return pack('n2', 0, 2) . pack('nnN', 0, 3, 20) . pack('nnN', 3, 1, 20) . $table;
    }

    private static function name(string $family, string $style): string
    {
        $plain = str_replace(' ', '', $family);
        $names = [
            1 => $family,
            2 => $style,
            3 => "Embrel:{$plain}-{$style}",
            4 => $style === 'Regular' ? $family : "{$family} {$style}",
            5 => 'Version 1.0',
            6 => $plain . '-' . str_replace(' ', '', $style),
            13 => 'SIL Open Font License 1.1',
        ];
        $records = $texts = '';
        foreach ($names as $id => $name) {
            $text = mb_convert_encoding($name, 'UTF-16BE', 'UTF-8');
            $records .= pack('n6', 3, 1, 0x409, $id, \strlen($text), \strlen($texts));
            $texts .= $text;
        }

        return pack('n3', 0, \count($names), 6 + \strlen($records)) . $records . $texts;
    }

    /** @param array<string, string> $tables */
    private static function packed(array $tables): string
    {
        $count = \count($tables);
        $power = 2 ** (int) floor(log($count, 2));
        $head = pack('N', 0x00010000) . pack('n4', $count, 16 * $power, (int) log($power, 2), 16 * ($count - $power));
        $at = 12 + 16 * $count;
        $body = '';
        $place = 0;
        foreach ($tables as $name => $table) {
            $place = $name === 'head' ? $at + \strlen($body) : $place;
            $head .= $name . pack('N3', self::sum($table), $at + \strlen($body), \strlen($table));
            $body .= $table . str_repeat("\0", -\strlen($table) & 3);
        }

        return substr_replace($head . $body, pack('N', (0xB1B0AFBA - self::sum($head . $body)) & 0xFFFFFFFF), $place + 8, 4);
    }

    private static function sum(string $bytes): int
    {
        $sum = 0;
        foreach (unpack('N*', $bytes . str_repeat("\0", -\strlen($bytes) & 3)) ?: [] as $long) {
            $sum += \is_int($long) ? $long : 0;
        }

        return $sum & 0xFFFFFFFF;
    }
}
