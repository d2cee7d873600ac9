<?php

declare(strict_types=1);

namespace Embrel\Writer\Pptx;

use Embrel\Archive\Xml;
use Embrel\Document\Style;
use Embrel\Layout\Text\Wrapping;
use Embrel\Show\Line;
use Embrel\Writer\PictureFiles;
use Embrel\Writer\Slide;
use Embrel\Writer\SlideLook;

/** One slide with its title, its text and its pictures in the places of its layout; and its notes. */
final class Sheet
{
    /** Pictures that were asked for and are not there. */
    public int $gone = 0;

    public function __construct(
        private readonly SlideLook $look,
        private readonly string $language,
        private readonly PictureFiles $files,
    ) {}

    /** @return array{string, array<string, array{string, string}>} the part, and its relations: id → kind and target */
    public function slide(Slide $slide, int $number): array
    {
        $relations = [];
        $shapes = $this->title($slide) . $this->body($slide) . $this->number($slide);
        foreach ($slide->shots() as $i => $shot) {
            $name = $this->files->name($shot->picture);
            if ($name === null) {
                ++$this->gone;
            }
            $box = $slide->shotBox($i, $name === null ? 0.2 : $this->files->aspect($shot->picture));
            if ($name !== null) {
                $relations["picture{$i}"] = ['image', "../{$name}"];
                $shapes .= $this->picture($i, $shot->says, $box);
            }
            $caption = $name === null ? "Not there any more: {$shot->says}" : $shot->caption;
            $shapes .= $caption === ''
                ? ''
                : $this->box(20 + $i, 'Caption', $caption, Slide::under($box, $name !== null), Slide::CAPTION, Style::SOFT);
        }

        return [
            Masters::open('sld') . Masters::tree($shapes) . '<p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sld>',
            $relations,
        ];
    }

    private function title(Slide $slide): string
    {
        $holder = $slide->isOpening() ? 'type="ctrTitle"' : 'type="title"';
        $size = (int) ($slide->titleSize() * 100);

        return '<p:sp><p:nvSpPr><p:cNvPr id="2" name="Title"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>'
            . "<p:ph {$holder}/></p:nvPr></p:nvSpPr><p:spPr>"
            . Masters::place($slide->titleBox())
            . '</p:spPr><p:txBody><a:bodyPr anchor="t"><a:normAutofit/></a:bodyPr><a:lstStyle/>'
            . $this->paragraph($slide->title(), '', "sz=\"{$size}\"")
            . '</p:txBody></p:sp>';
    }

    private function body(Slide $slide): string
    {
        $paragraphs = '';
        if ($slide->isOpening() && $slide->step->under !== '') {
            foreach (explode("\n", $slide->step->under) as $under) {
                $paragraphs .= $this->paragraph(
                    $under,
                    $this->look->isCentred ? ' algn="ctr"' : '',
                    'sz="' . (int) (Slide::UNDER * 100) . '"',
                    Masters::colour(Style::SOFT),
                );
            }
        }
        foreach ($slide->lines as $line) {
            $paragraphs .= $this->line($line, $slide);
        }
        if ($paragraphs === '') {
            return '';
        }
        $holder = $slide->isOpening() ? 'type="subTitle" idx="1"' : 'idx="1"';

        return '<p:sp><p:nvSpPr><p:cNvPr id="3" name="Text"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>'
            . "<p:ph {$holder}/></p:nvPr></p:nvSpPr><p:spPr>"
            . Masters::place($slide->bodyBox())
            . "</p:spPr><p:txBody><a:bodyPr><a:normAutofit/></a:bodyPr><a:lstStyle/>{$paragraphs}</p:txBody></p:sp>";
    }

    /** Its number stands before it, its text behind a tab; what goes on in a next row begins under the text. */
    private function line(Line $line, Slide $slide): string
    {
        $size = (int) round($slide->textSize() * 100);
        $left = (int) round((($line->level - 1) * Slide::INDENT + $slide->hang()) * Masters::POINT);
        $hang = (int) round($slide->hang() * Masters::POINT);
        $level = min(8, $line->level - 1);
        $place = " marL=\"{$left}\" indent=\"-{$hang}\"" . ($level > 0 ? " lvl=\"{$level}\"" : '');
        $tab = '<a:tabLst><a:tab pos="' . $left . '" algn="l"/></a:tabLst>';
        if ($line->isQuote) {
            $rows = '';
            foreach (explode("\n", $line->text) as $row) {
                $rows .= $this->paragraph($row, " marL=\"{$left}\" indent=\"0\"", "sz=\"{$size}\" i=\"1\"");
            }

            return $rows . ($line->source === '' ? '' : $this->paragraph(
                $line->source,
                " marL=\"{$left}\" indent=\"0\"",
                'sz="' . (int) round($size * Slide::SOURCE) . '"',
                Masters::colour(Style::SOFT),
            ));
        }
        $number = $this->run(($line->number === '' ? '–' : $line->number) . "\t", "sz=\"{$size}\"", Masters::colour(Style::SOFT));

        return "<a:p><a:pPr{$place}" . self::direction($line->text) . ">{$tab}</a:pPr>{$number}" . $this->run($line->text, "sz=\"{$size}\"", '') . '</a:p>';
    }

    private function number(Slide $slide): string
    {
        if ($slide->step->number === '') {
            return '';
        }
        $dye = $this->look->dye($slide->step->dye);
        $bar = $this->look->isDyed
            ? '<p:sp><p:nvSpPr><p:cNvPr id="5" name="Line"><a:extLst><a:ext uri="{C183D7F6-B498-43B3-948B-1728B52AA6E4}">'
                . '<adec:decorative xmlns:adec="http://schemas.microsoft.com/office/drawing/2017/decorative" val="1"/>'
                . '</a:ext></a:extLst></p:cNvPr><p:cNvSpPr/><p:nvPr userDrawn="1"/></p:nvSpPr><p:spPr>'
                . Masters::place([40.0, 40.0, 4.0, Slide::HEIGHT - 80.0])
                . '<a:prstGeom prst="rect"><a:avLst/></a:prstGeom>' . Masters::colour($dye) . '<a:ln><a:noFill/></a:ln></p:spPr></p:sp>'
            : '';

        return $bar . $this->box(4, 'Number', $slide->step->number, $slide->numberBox(), Slide::NUMBER, $dye, true);
    }

    /** @param array{float, float, float, float} $box */
    private function box(int $id, string $name, string $text, array $box, float $size, string $colour, bool $isBold = false): string
    {
        $place = $name === 'Number' && $this->look->isCentred ? ' algn="ctr"' : '';
        $type = 'sz="' . (int) ($size * 100) . '"' . ($isBold ? ' b="1"' : '');

        return "<p:sp><p:nvSpPr><p:cNvPr id=\"{$id}\" name=\"{$name}\"/><p:cNvSpPr txBox=\"1\"/><p:nvPr/></p:nvSpPr><p:spPr>"
            . Masters::place($box)
            . '<a:prstGeom prst="rect"><a:avLst/></a:prstGeom><a:noFill/></p:spPr><p:txBody>'
            . '<a:bodyPr wrap="square" lIns="0" tIns="0" rIns="0" bIns="0"/><a:lstStyle/>'
            . $this->paragraph($text, $place, $type, Masters::colour($colour))
            . '</p:txBody></p:sp>';
    }

    /** @param array{float, float, float, float} $box */
    private function picture(int $i, string $says, array $box): string
    {
        return '<p:pic><p:nvPicPr><p:cNvPr id="' . (10 + $i) . '" name="Picture ' . ($i + 1) . '" '
            . 'descr="' . Xml::escaped(Xml::plain($says)) . '"/>'
            . '<p:cNvPicPr><a:picLocks noChangeAspect="1"/></p:cNvPicPr><p:nvPr/></p:nvPicPr>'
            . "<p:blipFill><a:blip r:embed=\"picture{$i}\"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr>"
            . Masters::place($box)
            . '<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:pic>';
    }

    private function paragraph(string $text, string $place, string $type, string $fill = ''): string
    {
        return "<a:p><a:pPr{$place}" . self::direction($text) . '/>' . ($text === '' ? '' : $this->run($text, $type, $fill)) . '</a:p>';
    }

    private function run(string $text, string $type, string $fill): string
    {
        return '<a:r><a:rPr lang="' . Xml::escaped($this->language) . "\" {$type}>{$fill}</a:rPr>"
            . '<a:t>' . Xml::escaped(Xml::plain($text)) . '</a:t></a:r>';
    }

    private static function direction(string $text): string
    {
        return Wrapping::isRightToLeft($text) ? ' algn="r" rtl="1"' : '';
    }

    public function notes(Slide $slide): string
    {
        $paragraphs = '';
        foreach (explode("\n", $slide->step->note) as $row) {
            $paragraphs .= $this->paragraph($row, '', 'sz="1200"');
        }
        $shapes
            = '<p:sp><p:nvSpPr><p:cNvPr id="2" name="Slide"/><p:cNvSpPr><a:spLocks noGrp="1" noRot="1" noChangeAspect="1"/>'
                . '</p:cNvSpPr><p:nvPr><p:ph type="sldImg" idx="2"/></p:nvPr></p:nvSpPr><p:spPr/></p:sp>'
            . '<p:sp><p:nvSpPr><p:cNvPr id="3" name="Notes"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>'
            . '<p:ph type="body" sz="quarter" idx="3"/></p:nvPr></p:nvSpPr><p:spPr/>'
            . "<p:txBody><a:bodyPr/><a:lstStyle/>{$paragraphs}</p:txBody></p:sp>";

        return Masters::open('notes') . Masters::tree($shapes) . '<p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:notes>';
    }
}
