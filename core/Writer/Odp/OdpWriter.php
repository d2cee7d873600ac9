<?php

declare(strict_types=1);

namespace Embrel\Writer\Odp;

use Embrel\Archive\ZipFile;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Writer\OdfPackage;
use Embrel\Writer\PictureFiles;
use Embrel\Writer\Slide;
use Embrel\Writer\SlideLook;
use Embrel\Writer\Writer;

/** Slides as an OpenDocument presentation (OpenDocument 1.3): the package around them. */
final class OdpWriter implements Writer
{
    public const MEDIA_TYPE = 'application/vnd.oasis.opendocument.presentation';
    private const DECLARATION = '<?xml version="1.0" encoding="UTF-8"?>' . "\n";

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $look = SlideLook::of($choices->draft->style());
        $zip = (new ZipFile("{$work}/slides.odp"))->stored('mimetype', self::MEDIA_TYPE);
        $pictures = new PictureFiles($zip, $choices->pictures, 'Pictures');
        $page = new Page($look, $pictures);
        $body = fopen("{$work}/slides.xml", 'w') ?: throw new \RuntimeException('The slides could not be written in the work folder.');
        $slides = Slide::all($plan, $choices);
        $count = 0;
        foreach ($slides as $slide) {
            fwrite($body, $page->slide($slide, ++$count));
        }
        fclose($body);
        $this->content($look, $plan, $page, $work);
        $types = array_map(static fn(PictureType $type): string => $type->mediaType(), array_column($pictures->files, 'type', 'name'));
        $zip->text('styles.xml', self::DECLARATION . Styles::all($look, $plan->properties->language))
            ->text('meta.xml', self::DECLARATION . OdfPackage::meta(Styles::namespaces(), $plan->title(), $plan->properties))
            ->text('META-INF/manifest.xml', self::DECLARATION . OdfPackage::manifest(self::MEDIA_TYPE, $types))
            ->file('content.xml', "{$work}/content.xml")
            ->sendTo($out);

        return Slide::said($slides->getReturn(), $page->gone);
    }

    /** The slides stand behind the styles that they turned out to need. */
    private function content(SlideLook $look, Plan $plan, Page $page, string $work): void
    {
        $out = fopen("{$work}/content.xml", 'w') ?: throw new \RuntimeException('The slides could not be written in the work folder.');
        $body = fopen("{$work}/slides.xml", 'r') ?: throw new \RuntimeException('The slides could not be written in the work folder.');
        fwrite(
            $out,
            self::DECLARATION . '<office:document-content' . Styles::namespaces() . '>' . Styles::fonts($look)
                . '<office:automatic-styles>' . Styles::automatic($look) . $page->styles() . '</office:automatic-styles>'
                . '<office:body><office:presentation>',
        );
        stream_copy_to_stream($body, $out);
        fwrite($out, '<presentation:settings presentation:mouse-visible="false"/></office:presentation></office:body></office:document-content>');
        fclose($out);
        fclose($body);
        unlink("{$work}/slides.xml");
    }
}
