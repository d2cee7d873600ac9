<?php

declare(strict_types=1);

namespace Embrel\Writer\Pptx;

use Embrel\Archive\Xml;
use Embrel\Document\Style;
use Embrel\Layout\Map\Palette;
use Embrel\Writer\Slide;
use Embrel\Writer\SlideLook;

/** What all slides have from: theme, master, layouts; and the master of the notes. */
final class Masters
{
    /** EMU of a point. */
    public const POINT = 12700;
    private const NAMESPACES
        = ' xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="' . PptxWriter::R . '" xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main"';
    private const COLOURS = '<p:clrMap bg1="lt1" tx1="dk1" bg2="lt2" tx2="dk2" accent1="accent1" accent2="accent2" accent3="accent3" accent4="accent4" accent5="accent5" accent6="accent6" hlink="hlink" folHlink="folHlink"/>';
    private const GROUP
        = '<p:nvGrpSpPr><p:cNvPr id="1" name=""/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm>'
        . '<a:off x="0" y="0"/><a:ext cx="0" cy="0"/><a:chOff x="0" y="0"/><a:chExt cx="0" cy="0"/></a:xfrm></p:grpSpPr>';

    public static function open(string $element): string
    {
        return "<p:{$element}" . self::NAMESPACES . '>';
    }

    /** The shapes of a slide: what stands in a group of all, as the schema wants it. */
    public static function tree(string $shapes, string $ground = ''): string
    {
        return "<p:cSld>{$ground}<p:spTree>" . self::GROUP . "{$shapes}</p:spTree></p:cSld>";
    }

    /** @param array{float, float, float, float} $box left, top, width, height in points */
    public static function place(array $box, string $element = 'a:xfrm'): string
    {
        [$x, $y, $width, $height] = array_map(static fn(float $one): int => (int) round($one * self::POINT), $box);

        return "<{$element}><a:off x=\"{$x}\" y=\"{$y}\"/><a:ext cx=\"{$width}\" cy=\"{$height}\"/></{$element}>";
    }

    public static function colour(string $colour): string
    {
        return '<a:solidFill><a:srgbClr val="' . strtoupper(substr($colour, 1)) . '"/></a:solidFill>';
    }

    private static function ground(): string
    {
        return '<p:bg><p:bgPr>' . self::colour(SlideLook::GROUND) . '<a:effectLst/></p:bgPr></p:bg>';
    }

    public static function presentation(int $count): string
    {
        $slides = '';
        for ($n = 1; $n <= $count; ++$n) {
            $slides .= '<p:sldId id="' . (255 + $n) . "\" r:id=\"slide{$n}\"/>";
        }

        return self::open('presentation')
            . '<p:sldMasterIdLst><p:sldMasterId id="2147483648" r:id="master"/></p:sldMasterIdLst>'
            . '<p:notesMasterIdLst><p:notesMasterId r:id="notes"/></p:notesMasterIdLst>'
            . ($slides === '' ? '' : "<p:sldIdLst>{$slides}</p:sldIdLst>")
            . '<p:sldSz cx="' . (int) (Slide::WIDTH * self::POINT) . '" cy="' . (int) (Slide::HEIGHT * self::POINT) . '"/>'
            . '<p:notesSz cx="6858000" cy="9144000"/></p:presentation>';
    }

    public static function master(SlideLook $look): string
    {
        $levels = '';
        foreach (range(1, 9) as $n) {
            $levels .= "<a:lvl{$n}pPr marL=\"" . (int) (($n - 1) * Slide::INDENT * self::POINT) . '" indent="0"><a:spcBef>'
                . '<a:spcPts val="800"/></a:spcBef><a:buNone/>'
                . '<a:defRPr sz="' . (int) (Slide::TEXT * 100) . '">' . self::colour(Style::INK) . "<a:latin typeface=\"+mn-lt\"/></a:defRPr></a:lvl{$n}pPr>";
        }

        return self::open('sldMaster')
            . self::tree(
                self::holder('Title', 2, 'type="title"', [Slide::LEFT, 60.0, 816.0, 60.0], 'b')
                    . self::holder('Text', 3, 'type="body" idx="1"', [Slide::LEFT, 140.0, 816.0, 360.0], 't'),
                self::ground(),
            )
            . self::COLOURS
            . '<p:sldLayoutIdLst><p:sldLayoutId id="2147483649" r:id="layout1"/><p:sldLayoutId id="2147483650" r:id="layout2"/></p:sldLayoutIdLst>'
            . '<p:txStyles><p:titleStyle><a:lvl1pPr algn="' . ($look->isCentred ? 'ctr' : 'l') . '"><a:lnSpc>'
            . '<a:spcPct val="95000"/></a:lnSpc><a:buNone/><a:defRPr sz="' . (int) (Slide::TITLES[0] * 100) . '" b="1">'
            . self::colour(Style::INK) . '<a:latin typeface="+mj-lt"/></a:defRPr></a:lvl1pPr></p:titleStyle>'
            . "<p:bodyStyle>{$levels}</p:bodyStyle><p:otherStyle/></p:txStyles></p:sldMaster>";
    }

    /** @param array{float, float, float, float} $box */
    private static function holder(string $name, int $id, string $holder, array $box, string $anchor): string
    {
        return "<p:sp><p:nvSpPr><p:cNvPr id=\"{$id}\" name=\"{$name}\"/><p:cNvSpPr><a:spLocks noGrp=\"1\"/></p:cNvSpPr>"
            . "<p:nvPr><p:ph {$holder}/></p:nvPr></p:nvSpPr><p:spPr>"
            . self::place($box)
            . '<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr><p:txBody>'
            . "<a:bodyPr lIns=\"0\" tIns=\"0\" rIns=\"0\" bIns=\"0\" anchor=\"{$anchor}\"><a:normAutofit/></a:bodyPr>"
            . '<a:lstStyle/><a:p><a:endParaRPr lang="en"/></a:p></p:txBody></p:sp>';
    }

    /** @param string $type of the layout: `title` for the opening, `obj` for a title and what stands under it */
    public static function layout(string $type): string
    {
        $isTitle = $type === 'title';

        $holders = $isTitle
            ? self::holder('Title', 2, 'type="ctrTitle"', [Slide::LEFT, 170.0, 816.0, 90.0], 'b')
                . self::holder('Text', 3, 'type="subTitle" idx="1"', [Slide::LEFT, 270.0, 816.0, 120.0], 't')
            : self::holder('Title', 2, 'type="title"', [Slide::LEFT, 60.0, 816.0, 90.0], 't')
                . self::holder('Text', 3, 'idx="1"', [Slide::LEFT, 140.0, 816.0, 360.0], 't');

        return '<p:sldLayout' . self::NAMESPACES . " type=\"{$type}\" preserve=\"1\">"
            . str_replace('<p:cSld>', '<p:cSld name="' . ($isTitle ? 'Opening' : 'Section') . '">', self::tree($holders))
            . '<p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sldLayout>';
    }

    public static function notes(): string
    {
        $shapes
            = '<p:sp><p:nvSpPr><p:cNvPr id="2" name="Slide"/><p:cNvSpPr><a:spLocks noGrp="1" noRot="1" noChangeAspect="1"/>'
                . '</p:cNvSpPr><p:nvPr><p:ph type="sldImg" idx="2"/></p:nvPr></p:nvSpPr><p:spPr>'
            . self::place([54.0, 54.0, 432.0, 243.0])
            . '<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:sp>'
            . self::holder('Notes', 3, 'type="body" sz="quarter" idx="3"', [54.0, 324.0, 432.0, 342.0], 't');

        return self::open('notesMaster') . self::tree($shapes, self::ground()) . self::COLOURS . '</p:notesMaster>';
    }

    public static function theme(SlideLook $look): string
    {
        $colours = '';
        foreach (['dk1' => Style::INK, 'lt1' => '#ffffff', 'dk2' => Style::SOFT, 'lt2' => Style::GROUND] as $name => $colour) {
            $colours .= "<a:{$name}><a:srgbClr val=\"" . strtoupper(substr($colour, 1)) . "\"/></a:{$name}>";
        }
        foreach (array_values(\array_slice(Palette::DYES, 0, 6)) as $i => $colour) {
            $colours .= '<a:accent' . ($i + 1) . '><a:srgbClr val="' . substr($colour, 1) . '"/></a:accent' . ($i + 1) . '>';
        }
        foreach (['hlink', 'folHlink'] as $name) {
            $colours .= "<a:{$name}><a:srgbClr val=\"" . strtoupper(substr(Style::LINK, 1)) . "\"/></a:{$name}>";
        }
        $font = static fn(string $name): string
            => '<a:latin typeface="' . Xml::escaped($name) . '"/><a:ea typeface=""/><a:cs typeface=""/>';
        $fill = '<a:solidFill><a:schemeClr val="phClr"/></a:solidFill>';
        $line = "<a:ln w=\"9525\">{$fill}</a:ln>";
        $effect = '<a:effectStyle><a:effectLst/></a:effectStyle>';

        return '<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" name="Embrel"><a:themeElements>'
            . "<a:clrScheme name=\"Embrel\">{$colours}</a:clrScheme>"
            . '<a:fontScheme name="Embrel"><a:majorFont>' . $font($look->titleFont) . '</a:majorFont>'
            . '<a:minorFont>' . $font($look->font) . '</a:minorFont></a:fontScheme>'
            . "<a:fmtScheme name=\"Embrel\"><a:fillStyleLst>{$fill}{$fill}{$fill}</a:fillStyleLst>"
            . "<a:lnStyleLst>{$line}{$line}{$line}</a:lnStyleLst>"
            . "<a:effectStyleLst>{$effect}{$effect}{$effect}</a:effectStyleLst>"
            . "<a:bgFillStyleLst>{$fill}{$fill}{$fill}</a:bgFillStyleLst></a:fmtScheme></a:themeElements></a:theme>";
    }
}
