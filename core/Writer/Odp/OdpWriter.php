<?php

declare(strict_types=1);

namespace Embrel\Writer\Odp;

use Embrel\Archive\Xml;
use Embrel\Archive\ZipFile;
use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
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
        $zip->text('styles.xml', self::DECLARATION . Styles::all($look, $plan->properties->language))
            ->text('meta.xml', self::DECLARATION . self::meta($plan))
            ->text('META-INF/manifest.xml', self::DECLARATION . self::manifest($pictures))
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

    private static function manifest(PictureFiles $pictures): string
    {
        $entries = '<manifest:file-entry manifest:full-path="/" manifest:version="1.3" manifest:media-type="' . self::MEDIA_TYPE . '"/>';
        foreach (['content.xml', 'styles.xml', 'meta.xml'] as $part) {
            $entries .= "<manifest:file-entry manifest:full-path=\"{$part}\" manifest:media-type=\"text/xml\"/>";
        }
        foreach ($pictures->files as ['name' => $name, 'type' => $type]) {
            $entries .= "<manifest:file-entry manifest:full-path=\"{$name}\" manifest:media-type=\"{$type->mediaType()}\"/>";
        }

        return "<manifest:manifest xmlns:manifest=\"urn:oasis:names:tc:opendocument:xmlns:manifest:1.0\" manifest:version=\"1.3\">{$entries}</manifest:manifest>";
    }

    private static function meta(Plan $plan): string
    {
        return '<office:document-meta' . Styles::namespaces() . '><office:meta><meta:generator>Embrel</meta:generator>'
            . '<dc:title>' . Xml::escaped($plan->title()) . '</dc:title>'
            . '<dc:subject>' . Xml::escaped($plan->properties->subject) . '</dc:subject>'
            . '<meta:initial-creator>' . Xml::escaped($plan->properties->author) . '</meta:initial-creator>'
            . '<dc:creator>' . Xml::escaped($plan->properties->author) . '</dc:creator>'
            . '<dc:language>' . Xml::escaped($plan->properties->language) . '</dc:language></office:meta></office:document-meta>';
    }
}
