<?php

declare(strict_types=1);

namespace Embrel\Writer\Pptx;

use Embrel\Archive\ZipFile;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Writer\OpcPackage;
use Embrel\Writer\PictureFiles;
use Embrel\Writer\Slide;
use Embrel\Writer\SlideLook;
use Embrel\Writer\Writer;

/** Slides for a presentation program (ECMA-376, PresentationML): the package around them. */
final class PptxWriter implements Writer
{
    public const DECLARATION = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>' . "\n";
    public const RELATIONS = 'http://schemas.openxmlformats.org/package/2006/relationships';
    public const R = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
    private const TYPE = 'application/vnd.openxmlformats-officedocument.presentationml.';

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $look = SlideLook::of($choices->draft->style());
        $zip = new ZipFile("{$work}/slides.pptx");
        $pictures = new PictureFiles($zip, $choices->pictures, 'media', 'ppt/');
        $sheet = new Sheet($look, $plan->properties->language, $pictures);
        $slides = Slide::all($plan, $choices);
        $count = 0;
        foreach ($slides as $slide) {
            ++$count;
            [$xml, $relations] = $sheet->slide($slide, $count);
            $zip->text("ppt/slides/slide{$count}.xml", self::DECLARATION . $xml)
                ->text("ppt/slides/_rels/slide{$count}.xml.rels", self::relations($relations + [
                    'layout' => ['slideLayout', '../slideLayouts/slideLayout' . ($slide->isOpening() ? 1 : 2) . '.xml'],
                    'notes' => ['notesSlide', "../notesSlides/notesSlide{$count}.xml"],
                ]))
                ->text("ppt/notesSlides/notesSlide{$count}.xml", self::DECLARATION . $sheet->notes($slide))
                ->text("ppt/notesSlides/_rels/notesSlide{$count}.xml.rels", self::relations([
                    'master' => ['notesMaster', '../notesMasters/notesMaster1.xml'],
                    'slide' => ['slide', "../slides/slide{$count}.xml"],
                ]));
        }
        $this->frame($zip, $plan, $look, $count);
        $zip->sendTo($out);

        return Slide::said($slides->getReturn(), $sheet->gone);
    }

    /** What is around the slides: masters, layouts, theme, and the list of all parts. */
    private function frame(ZipFile $zip, Plan $plan, SlideLook $look, int $count): void
    {
        $zip->text('[Content_Types].xml', self::DECLARATION . self::types($count))
            ->text('_rels/.rels', self::relations([
                'document' => ['officeDocument', 'ppt/presentation.xml'],
                'core' => ['http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties', 'docProps/core.xml'],
                'app' => ['extended-properties', 'docProps/app.xml'],
            ]))
            ->text('docProps/core.xml', self::DECLARATION . OpcPackage::properties($plan->title(), $plan->properties))
            ->text(
                'docProps/app.xml',
                self::DECLARATION
                    . '<Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/extended-properties">'
                    . '<Application>Embrel</Application></Properties>',
            )
            ->text('ppt/presentation.xml', self::DECLARATION . Masters::presentation($count))
            ->text('ppt/_rels/presentation.xml.rels', self::relations(
                [
                    'master' => ['slideMaster', 'slideMasters/slideMaster1.xml'],
                    'notes' => ['notesMaster', 'notesMasters/notesMaster1.xml'],
                    'theme' => ['theme', 'theme/theme1.xml'],
                ] + ($count === 0 ? [] : array_combine(
                    array_map(static fn(int $n): string => "slide{$n}", range(1, $count)),
                    array_map(static fn(int $n): array => ['slide', "slides/slide{$n}.xml"], range(1, $count)),
                )),
            ))
            ->text('ppt/theme/theme1.xml', self::DECLARATION . Masters::theme($look))
            ->text('ppt/theme/theme2.xml', self::DECLARATION . Masters::theme($look))
            ->text('ppt/slideMasters/slideMaster1.xml', self::DECLARATION . Masters::master($look))
            ->text('ppt/slideMasters/_rels/slideMaster1.xml.rels', self::relations([
                'layout1' => ['slideLayout', '../slideLayouts/slideLayout1.xml'],
                'layout2' => ['slideLayout', '../slideLayouts/slideLayout2.xml'],
                'theme' => ['theme', '../theme/theme1.xml'],
            ]))
            ->text('ppt/notesMasters/notesMaster1.xml', self::DECLARATION . Masters::notes())
            ->text('ppt/notesMasters/_rels/notesMaster1.xml.rels', self::relations(['theme' => ['theme', '../theme/theme2.xml']]));
        foreach ([1 => 'title', 2 => 'obj'] as $n => $type) {
            $zip->text("ppt/slideLayouts/slideLayout{$n}.xml", self::DECLARATION . Masters::layout($type))
                ->text(
                    "ppt/slideLayouts/_rels/slideLayout{$n}.xml.rels",
                    self::relations(['master' => ['slideMaster', '../slideMasters/slideMaster1.xml']]),
                );
        }
    }

    /** @param array<string, array{string, string}> $relations id → kind and target */
    private static function relations(array $relations): string
    {
        $xml = '';
        foreach ($relations as $id => [$kind, $target]) {
            $type = str_contains($kind, '/') ? $kind : self::R . "/{$kind}";
            $xml .= "<Relationship Id=\"{$id}\" Type=\"{$type}\" Target=\"{$target}\"/>";
        }

        return self::DECLARATION . '<Relationships xmlns="' . self::RELATIONS . "\">{$xml}</Relationships>";
    }

    private static function types(int $count): string
    {
        $part = static fn(string $name, string $type): string => "<Override PartName=\"/ppt/{$name}.xml\" ContentType=\"" . self::TYPE . "{$type}+xml\"/>";
        $xml
            = '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">'
            . '<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>'
            . '<Default Extension="xml" ContentType="application/xml"/>'
            . '<Default Extension="png" ContentType="image/png"/><Default Extension="jpg" ContentType="' . PictureType::Jpeg->mediaType() . '"/>'
            . '<Override PartName="/docProps/core.xml" ContentType="application/vnd.openxmlformats-package.core-properties+xml"/>'
            . '<Override PartName="/docProps/app.xml" ContentType="application/vnd.openxmlformats-officedocument.extended-properties+xml"/>'
            . $part('presentation', 'presentation.main')
            . $part('slideMasters/slideMaster1', 'slideMaster')
            . $part('notesMasters/notesMaster1', 'notesMaster')
            . $part('slideLayouts/slideLayout1', 'slideLayout')
            . $part('slideLayouts/slideLayout2', 'slideLayout');
        foreach ([1, 2] as $n) {
            $xml .= "<Override PartName=\"/ppt/theme/theme{$n}.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.theme+xml\"/>";
        }
        for ($n = 1; $n <= $count; ++$n) {
            $xml .= $part("slides/slide{$n}", 'slide') . $part("notesSlides/notesSlide{$n}", 'notesSlide');
        }

        return "{$xml}</Types>";
    }
}
