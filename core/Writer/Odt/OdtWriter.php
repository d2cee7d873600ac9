<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Archive\ZipFile;
use Embrel\Document\Document;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\Writer\IndexPages;
use Embrel\Writer\ListNumbers;
use Embrel\Writer\Losses;
use Embrel\Writer\OdfPackage;
use Embrel\Writer\TravellingFonts;
use Embrel\Writer\Writer;

/** An OpenDocument text (OpenDocument 1.3): the package around its text and styles. */
final class OdtWriter implements Writer
{
    public const MEDIA_TYPE = 'application/vnd.oasis.opendocument.text';
    private const DECLARATION = '<?xml version="1.0" encoding="UTF-8"?>' . "\n";

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $losses = new Losses();
        $document = IndexPages::in(Draft::of($plan, $choices), $choices->pictures);
        $numbers = new ListNumbers($document, ListNumbers::countsAbove($plan, $choices->from));
        $template = $choices->draft->template?->kind === 'odt' ? OdtTemplate::open($choices->draft->template) : null;
        $body = new OdtBody($document, $numbers, $losses, $choices->pictures, $template);
        $body->write("{$work}/text.xml");
        $logo = self::logo($document, $choices, $body);
        $carried = $template === null && $choices->draft->fonts ? TravellingFonts::of($document, $choices->draft->wholeFonts) : [];
        $this->content($document, $body, $work, $carried);

        $zip = new ZipFile("{$work}/draft.odt");
        $zip->stored('mimetype', self::MEDIA_TYPE)
            ->text(
                'META-INF/manifest.xml',
                self::DECLARATION
                    . OdfPackage::manifest(
                        self::MEDIA_TYPE,
                        self::parts([...$body->runs->media, ...array_keys($template->parts ?? [])], $carried),
                    ),
            )
            ->text('meta.xml', self::DECLARATION . OdfPackage::meta(OdtStyles::namespaces(), $document->title, $document->properties))
            ->text(
                'styles.xml',
                $template === null
                    ? self::DECLARATION . OdtStyles::xml($document, $numbers, $logo, $carried)
                    : $template->xml($document, OdtStyles::xml($document, $numbers, $logo)),
            )
            ->file('content.xml', "{$work}/content.xml");
        foreach ($body->runs->media as $id => $part) {
            $zip->text($part, (string) ($body->runs->drawn[$id] ?? $choices->pictures?->bytes((string) $id)));
        }
        foreach ($carried as $font => $faces) {
            foreach ($faces as $face => $bytes) {
                $zip->text(OdtStyles::fontPart($font, $face), $bytes);
            }
        }
        foreach ($template->parts ?? [] as $part => $bytes) {
            $zip->text((string) $part, $bytes);
        }
        $zip->sendTo($out);
        $losses->also($document->missing);

        return $losses->sentences();
    }

    private static function logo(Document $document, Choices $choices, OdtBody $body): string
    {
        $id = $document->style->logo;
        $bytes
            = $id === null || !str_contains(implode('', [...$document->style->header, ...$document->style->footer]), '{logo}')
                ? null
                : $choices->pictures?->bytes($id);
        $size = $bytes === null ? false : @getimagesizefromstring($bytes);

        return $id === null || $bytes === null || $size === false || $size[1] === 0
            ? ''
            : $body->runs->drawing($id, $bytes, (38 * $size[0]) / $size[1], $size[1] / $size[0], '');
    }

    /** @param array<string, array<string, string>> $carried */
    private function content(Document $document, OdtBody $body, string $work, array $carried): void
    {
        $out = fopen("{$work}/content.xml", 'w') ?: throw new \RuntimeException('The document could not be written in the work folder.');
        $text = fopen("{$work}/text.xml", 'r') ?: throw new \RuntimeException('The document could not be written in the work folder.');
        fwrite(
            $out,
            self::DECLARATION
                . '<office:document-content'
                . OdtStyles::namespaces()
                . '>'
                . OdtStyles::fonts($document, $carried)
                . '<office:automatic-styles>'
                . $body->styles()
                . '</office:automatic-styles><office:body><office:text text:use-soft-page-breaks="true">',
        );
        stream_copy_to_stream($text, $out);
        fwrite($out, '</office:text></office:body></office:document-content>');
        fclose($text);
        fclose($out);
        unlink("{$work}/text.xml");
    }

    /**
     * @param array<array-key, string>             $media
     * @param array<string, array<string, string>> $carried
     *
     * @return array<string, string> path → media type
     */
    private static function parts(array $media, array $carried): array
    {
        $parts = [];
        foreach ($carried as $font => $faces) {
            foreach (array_keys($faces) as $face) {
                $parts[OdtStyles::fontPart($font, $face)] = 'application/x-font-ttf';
            }
        }
        foreach ($media as $part) {
            $parts[$part] = (str_ends_with($part, '.png') ? PictureType::Png : PictureType::Jpeg)->mediaType();
        }

        return $parts;
    }
}
