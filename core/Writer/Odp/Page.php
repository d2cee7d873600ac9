<?php

declare(strict_types=1);

namespace Embrel\Writer\Odp;

use Embrel\Archive\Xml;
use Embrel\Document\Style;
use Embrel\Layout\Text\Wrapping;
use Embrel\Show\Line;
use Embrel\Writer\PictureFiles;
use Embrel\Writer\Slide;
use Embrel\Writer\SlideLook;

/** One slide with its title, its text and its pictures; and its notes. The styles that it needs are made as they come up. */
final class Page
{
    /** Pictures that were asked for and are not there. */
    public int $gone = 0;
    /** @var array<string, string> what a style says → its name */
    private array $styles = [];

    public function __construct(
        private readonly SlideLook $look,
        private readonly PictureFiles $files,
    ) {}

    public function styles(): string
    {
        $xml = '';
        foreach ($this->styles as $says => $name) {
            $xml .= str_replace('<style:style ', "<style:style style:name=\"{$name}\" ", (string) $says);
        }

        return $xml;
    }

    /** The name of a style, which is made where it is a new one. */
    private function style(string $family, string $inner): string
    {
        $says = "<style:style style:family=\"{$family}\">{$inner}</style:style>";

        return $this->styles[$says] ??= 's' . \count($this->styles);
    }

    public function slide(Slide $slide, int $number): string
    {
        return "<draw:page draw:name=\"Slide {$number}\" draw:style-name=\"slide\" draw:master-page-name=\"Slides\">"
            . $this->number($slide)
            . $this->title($slide)
            . $this->body($slide)
            . $this->shots($slide)
            . '<presentation:notes><draw:page-thumbnail presentation:class="page" draw:page-number="' . $number . '" ' . Styles::place([57.0, 57.0, 480.0, 270.0]) . '/>'
            . self::frame('notes', 'notes', [57.0, 360.0, 480.0, 420.0], $this->rows($slide->step->note, ''))
            . '</presentation:notes></draw:page>';
    }

    /** @param array{float, float, float, float} $box */
    private static function frame(string $style, string $class, array $box, string $text): string
    {
        return "<draw:frame presentation:style-name=\"{$style}\" draw:layer=\"layout\" " . Styles::place($box)
            . " presentation:class=\"{$class}\"><draw:text-box>{$text}</draw:text-box></draw:frame>";
    }

    private function title(Slide $slide): string
    {
        $span = $this->style('text', Styles::text($this->look->titleFont, $slide->titleSize(), Style::INK, ' fo:font-weight="bold"'));

        return self::frame('title', 'title', $slide->titleBox(), $this->paragraph(
            '<text:span text:style-name="' . $span . '">' . self::escaped($slide->title()) . '</text:span>',
            $slide->title(),
            'fo:text-align="' . ($this->look->isCentred ? 'center' : 'start') . '"',
        ));
    }

    private function body(Slide $slide): string
    {
        if ($slide->isOpening() && $slide->step->under !== '' && $slide->lines === []) {
            $align = 'fo:text-align="' . ($this->look->isCentred ? 'center' : 'start') . '"';

            return self::frame('under', 'subtitle', $slide->bodyBox(), $this->rows($slide->step->under, $align));
        }
        $text = $slide->step->under === '' ? '' : $this->rows($slide->step->under, '');
        foreach ($slide->lines as $line) {
            $text .= $this->line($line, $slide);
        }

        return $text === '' ? '' : self::frame('lines', 'outline', $slide->bodyBox(), $text);
    }

    private function line(Line $line, Slide $slide): string
    {
        $size = $slide->textSize();
        $left = ($line->level - 1) * Slide::INDENT + $slide->hang();
        $place = \sprintf('fo:margin-left="%.1Fpt" fo:margin-top="%.1Fpt"', $left, Slide::GAP * $slide->step->scale);
        if ($line->isQuote) {
            $words = $this->style('text', Styles::text($this->look->font, $size, Style::INK, ' fo:font-style="italic"'));
            $rows = '';
            foreach (explode("\n", $line->text) as $row) {
                $rows .= $this->paragraph("<text:span text:style-name=\"{$words}\">" . self::escaped($row) . '</text:span>', $row, $place);
            }
            $source = $this->style('text', Styles::text($this->look->font, $size * Slide::SOURCE, Style::SOFT));

            return $rows . ($line->source === '' ? '' : $this->paragraph(
                "<text:span text:style-name=\"{$source}\">" . self::escaped($line->source) . '</text:span>',
                $line->source,
                \sprintf('fo:margin-left="%.1Fpt"', $left),
            ));
        }
        $number = $this->style('text', Styles::text($this->look->font, $size, Style::SOFT));
        $words = $this->style('text', Styles::text($this->look->font, $size, Style::INK));

        return $this->paragraph(
            "<text:span text:style-name=\"{$number}\">" . self::escaped($line->number === '' ? '–' : $line->number) . '<text:tab/></text:span>'
                . "<text:span text:style-name=\"{$words}\">" . self::escaped($line->text) . '</text:span>',
            $line->text,
            $place . \sprintf(' fo:text-indent="%.1Fpt"', -$slide->hang()),
            \sprintf('<style:tab-stops><style:tab-stop style:position="%.1Fpt"/></style:tab-stops>', 0.0),
        );
    }

    private function paragraph(string $inner, string $text, string $place, string $tabs = ''): string
    {
        $direction = Wrapping::isRightToLeft($text) ? ' style:writing-mode="rl-tb"' : '';
        $name = $this->style('paragraph', "<style:paragraph-properties {$place}{$direction}>{$tabs}</style:paragraph-properties>");

        return "<text:p text:style-name=\"{$name}\">{$inner}</text:p>";
    }

    /** Rows of plain text, a paragraph each. */
    private function rows(string $text, string $place): string
    {
        return implode('', array_map(
            fn(string $row): string => $this->paragraph(self::escaped($row), $row, $place),
            $text === '' ? [] : explode("\n", $text),
        ));
    }

    private function number(Slide $slide): string
    {
        if ($slide->step->number === '') {
            return '';
        }
        $dye = $this->look->dye($slide->step->dye);
        $fill = $this->style('graphic', "<style:graphic-properties draw:stroke=\"none\" draw:fill=\"solid\" draw:fill-color=\"{$dye}\"/>");
        $bar = $this->look->isDyed
            ? "<draw:rect draw:style-name=\"{$fill}\" draw:layer=\"layout\" " . Styles::place([40.0, 40.0, 4.0, Slide::HEIGHT - 80.0]) . '/>'
            : '';

        return $bar . $this->box(
            $slide->step->number,
            $slide->numberBox(),
            Styles::text($this->look->titleFont, Slide::NUMBER, $dye, ' fo:font-weight="bold"'),
            $this->look->isCentred ? 'fo:text-align="center"' : 'fo:text-align="start"',
        );
    }

    /** @param array{float, float, float, float} $box */
    private function box(string $text, array $box, string $type, string $place): string
    {
        $span = $this->style('text', $type);

        return '<draw:frame draw:style-name="box" draw:layer="layout" ' . Styles::place($box) . '><draw:text-box>'
            . $this->paragraph("<text:span text:style-name=\"{$span}\">" . self::escaped($text) . '</text:span>', $text, $place)
            . '</draw:text-box></draw:frame>';
    }

    private function shots(Slide $slide): string
    {
        $xml = '';
        foreach ($slide->shots() as $i => $shot) {
            $name = $this->files->name($shot->picture);
            $this->gone += $name === null ? 1 : 0;
            $box = $slide->shotBox($i, $name === null ? 0.2 : $this->files->aspect($shot->picture));
            if ($name !== null) {
                $xml .= '<draw:frame draw:style-name="picture" draw:layer="layout" ' . Styles::place($box)
                    . "><draw:image xlink:href=\"{$name}\" xlink:type=\"simple\" xlink:show=\"embed\" xlink:actuate=\"onLoad\"/>"
                    . '<svg:title>' . self::escaped($shot->says) . '</svg:title><svg:desc>' . self::escaped($shot->says) . '</svg:desc></draw:frame>';
            }
            $caption = $name === null ? "Not there any more: {$shot->says}" : $shot->caption;
            $xml .= $caption === '' ? '' : $this->box(
                $caption,
                Slide::under($box, $name !== null),
                Styles::text($this->look->font, Slide::CAPTION, Style::SOFT),
                'fo:text-align="start"',
            );
        }

        return $xml;
    }

    /** Without what XML 1.0 has no room for; spaces that come in a row stay as they are. */
    private static function escaped(string $text): string
    {
        return (string) preg_replace_callback(
            '/ {2,}/',
            static fn(array $m): string => ' <text:s text:c="' . (\strlen($m[0]) - 1) . '"/>',
            Xml::escaped(Xml::plain($text)),
        );
    }
}
