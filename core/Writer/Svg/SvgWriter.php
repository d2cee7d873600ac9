<?php

declare(strict_types=1);

namespace Embrel\Writer\Svg;

use Embrel\Draft\Choices;
use Embrel\Fonts\WebFonts;
use Embrel\Layout\Map\Picture;
use Embrel\Plan\Plan;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Writer;

/**
 * The map as SVG 1.1, with what assistive technology reads of it (title, description). Nothing in
 * it is fetched or run: no script, no outside reference; fonts, if any, are embedded.
 */
final class SvgWriter implements Writer
{
    private const FAMILIES = ['Hyperlegible' => 'atkinson-hyperlegible-next', 'Literata' => 'literata'];
    /** What of Unicode the parts of the fonts hold; as in resources/css/tokens.css, in short. */
    private const RANGES = [
        'U+0-FF,U+131,U+152-153,U+2BB-2DC,U+2000-206F,U+20AC,U+2122,U+2190-21FF,U+2212',
        'U+100-2BA,U+1E00-1EFF,U+20A0-20C0,U+2C60-2C7F,U+A720-A7FF',
    ];

    public function __construct(private readonly ?WebFonts $fonts = null) {}

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $drawing = new MapDrawing($plan, $choices);
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $pen = new SvgPen($xml, $out);
        self::begin($pen, $drawing, ['xml:lang' => $plan->properties->language]);
        $missing = $this->styles($choices, $pen);
        $drawing->with($pen);
        $xml->endElement();
        $xml->endDocument();
        fwrite($out, (string) $xml->flush());

        return $missing;
    }

    /** The map as an element of a page, which has the fonts and styles of its own. */
    public static function element(MapDrawing $drawing, string $id): string
    {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('There is no room for the map.');
        $xml = new \XMLWriter();
        $xml->openMemory();
        $pen = new SvgPen($xml, $out);
        self::begin($pen, $drawing, ['id' => $id]);
        $drawing->with($pen);
        $xml->endElement();
        fwrite($out, (string) $xml->flush());
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** @param array<string, string> $attributes */
    private static function begin(SvgPen $pen, MapDrawing $drawing, array $attributes): void
    {
        $room = $drawing->room();
        $pen->start(
            'svg',
            $attributes + [
                'xmlns' => 'http://www.w3.org/2000/svg',
                'width' => $room[2],
                'height' => $room[3],
                'viewBox' => implode(' ', array_map(SvgPen::decimal(...), $room)),
                'role' => 'img',
                'aria-labelledby' => 'title description',
            ],
        );
        $pen->element('title', ['id' => 'title'], implode(' ', $drawing->picture->title));
        $pen->element('desc', ['id' => 'description'], self::description($drawing->picture));
    }

    /** @return list<string> */
    private function styles(Choices $choices, SvgPen $pen): array
    {
        $css
            = 'text{font-family:Hyperlegible,"Atkinson Hyperlegible Next",Verdana,sans-serif;font-kerning:none;font-variant-ligatures:none}'
            . '.r,.t{font-family:Literata,Georgia,serif}.t{font-weight:600}'
            . '.n{font-weight:680;font-variant-numeric:tabular-nums}.s{font-weight:680}';
        $missing = [];
        foreach ($choices->map->embedsFonts ? self::FAMILIES : [] as $name => $family) {
            foreach (self::RANGES as $isExtended => $range) {
                $bytes = $this->fonts?->file($family, $isExtended === 1);
                if ($bytes === null) {
                    $missing = ['The fonts are not at hand, so they are not embedded; the text is set in what the reader has.'];
                    continue;
                }
                $css
                    .= "@font-face{font-family:{$name};font-weight:200 900;unicode-range:{$range};src:url(data:font/woff2;base64,"
                    . base64_encode($bytes)
                    . ')}';
            }
        }
        $pen->element('style', [], $css);

        return $missing;
    }

    private static function description(Picture $picture): string
    {
        $names = array_map(
            static fn(array $section): string => trim(
                $picture->labels[$section[0]]->number . ' ' . implode(' ', $picture->labels[$section[0]]->lines),
            ),
            $picture->sections,
        );
        $count = \count($picture->labels);

        return "A map of {$count} "
            . ($count === 1 ? 'topic' : 'topics')
            . ($names === [] ? '.' : '. Main sections in reading order: ' . implode('; ', $names) . '.');
    }
}
