<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Archive\Xml;
use Embrel\Archive\ZipFile;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Fonts\Typefaces;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;
use Embrel\Writer\Losses;
use Embrel\Writer\Pages;
use Embrel\Writer\PictureFiles;
use Embrel\Writer\Writer;

/** An e-book (EPUB 3.3): a page for each main section, and the navigation that every such book has. */
final class EpubWriter implements Writer
{
    private const DECLARATION = '<?xml version="1.0" encoding="UTF-8"?>' . "\n";

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $losses = new Losses();
        // The navigation is made of the contents, whether or not they are printed.
        $document = Draft::of($plan, $choices->drafted(['contents' => true]));
        $losses->also($document->missing);
        $zip = new ZipFile("{$work}/book.epub");
        $zip->stored('mimetype', 'application/epub+zip')->text(
            'META-INF/container.xml',
            self::DECLARATION
                . '<container version="1.0" xmlns="urn:oasis:names:tc:opendocument:xmlns:container"><rootfiles><rootfile '
                    . 'full-path="EPUB/package.opf" media-type="application/oebps-package+xml"/></rootfiles></container>',
        );
        $pictures = new PictureFiles($zip, $choices->pictures, 'pictures', 'EPUB/');
        $pages = Pages::of($document, '.xhtml');
        $places = Pages::places($pages);
        $breaks = self::breaks($document, $choices);
        $marks = array_map(
            static fn(int $page): string => "<span role=\"doc-pagebreak\" epub:type=\"pagebreak\" id=\"print-{$page}\" aria-label=\"{$page}\"></span>",
            $breaks,
        );
        $writer = (new HtmlWriter($losses, $pictures->name(...), true, true))->withPlaces($places)->withMarks($marks);
        foreach ($pages as $i => $page) {
            $zip->text(
                "EPUB/{$page['name']}",
                self::page(
                    $document,
                    $page['title'],
                    ($i === 0 ? HtmlFileWriter::front($document) : '') . $writer->elements($page['elements']),
                ),
            );
        }
        $navigation = self::navigation($document, $places) . self::landmarks($document, $pages) . self::pageList($pages, $breaks);
        $zip->text('EPUB/nav.xhtml', self::page($document, $document->contentsTitle(), $navigation))
            ->text('EPUB/style.css', Sheet::css($document))
            ->text('EPUB/package.opf', self::DECLARATION . self::package($document, $choices, $pages, $pictures))
            ->sendTo($out);

        return $losses->sentences();
    }

    /**
     * Where the pages of the print begin, as it is handed over.
     *
     * @return array<int, int> the number of the object of an element → page
     */
    private static function breaks(Document $document, Choices $choices): array
    {
        $book = Typesetter::book($document, Typefaces::shipped($document->properties->language), $choices->pictures);
        $breaks = [];
        foreach (Typesetter::begins($document, $book) as $i => $page) {
            $breaks[spl_object_id($document->elements[$i])] = $page;
        }

        return $breaks;
    }

    /** @param list<array{name: string, title: string, elements: list<Element>}> $pages */
    private static function landmarks(Document $document, array $pages): string
    {
        $list = '<li><a epub:type="toc" href="#toc">' . $document->contentsTitle() . '</a></li>';
        $begin = $pages[1]['name'] ?? $pages[0]['name'] ?? 'index.xhtml';
        $list .= "<li><a epub:type=\"bodymatter\" href=\"{$begin}\">" . (Xml::escaped($pages[1]['title'] ?? $document->title) ?: '–') . '</a></li>';
        foreach ($pages as $page) {
            $roles = array_map(static fn(Element $element): Role => $element->role, $page['elements']);
            if (\in_array(Role::Reference, $roles, true)) {
                $list .= "<li><a epub:type=\"bibliography\" href=\"{$page['name']}\">" . (Xml::escaped($page['title']) ?: '–') . '</a></li>';
            }
        }

        return "<nav epub:type=\"landmarks\" id=\"landmarks\" hidden=\"hidden\"><ol>{$list}</ol></nav>";
    }

    /**
     * @param list<array{name: string, title: string, elements: list<Element>}> $pages
     * @param array<int, int>                                                   $breaks
     */
    private static function pageList(array $pages, array $breaks): string
    {
        $list = '';
        foreach ($pages as $page) {
            foreach ($page['elements'] as $element) {
                $number = $breaks[spl_object_id($element)] ?? null;
                $list .= $number === null ? '' : "<li><a href=\"{$page['name']}#print-{$number}\">{$number}</a></li>";
            }
        }

        return $list === '' ? '' : "<nav epub:type=\"page-list\" id=\"pages\" hidden=\"hidden\"><ol>{$list}</ol></nav>";
    }

    /** What it is like for whom (schema.org, EPUB Accessibility 1.1). */
    private static function accessibility(Document $document, PictureFiles $pictures): string
    {
        $said = ['textual'];
        $features = ['tableOfContents', 'structuralNavigation', 'readingOrder', 'pageNavigation', 'pageBreakMarkers'];
        $isDescribed = true;
        foreach ($document->elements as $element) {
            foreach ($element->block?->all() ?? [] as $node) {
                $isDescribed = $isDescribed && ($node->type !== NodeType::Picture || (string) $node->string('alt') !== '');
            }
        }
        if ($pictures->files !== []) {
            $said[] = 'visual';
            array_push($features, ...$isDescribed ? ['alternativeText'] : []);
        }
        $meta = static fn(string $name, string $value): string => "<meta property=\"schema:{$name}\">{$value}</meta>";

        return implode('', array_map(static fn(string $mode): string => $meta('accessMode', $mode), $said))
            . ($pictures->files === [] || $isDescribed ? $meta('accessModeSufficient', 'textual') : $meta('accessModeSufficient', 'textual,visual'))
            . implode('', array_map(static fn(string $feature): string => $meta('accessibilityFeature', $feature), $features))
            . $meta('accessibilityHazard', 'none')
            . $meta('accessibilitySummary', $pictures->files === [] || $isDescribed
                ? 'All of it is text in reading order, with headings, contents and the pages of the print; pictures are described.'
                : 'It is text in reading order, with headings, contents and the pages of the print; some pictures have no description.');
    }

    private static function page(Document $document, string $title, string $body): string
    {
        $language = Xml::escaped($document->properties->language);

        return self::DECLARATION
            . "<!DOCTYPE html>\n<html xmlns=\"http://www.w3.org/1999/xhtml\" xmlns:epub=\"http://www.idpf.org/2007/ops\" lang=\"{$language}\" xml:lang=\"{$language}\"><head><meta charset=\"utf-8\"/><title>"
            . Xml::escaped(trim($title) === '' ? '–' : $title)
            . "</title><link rel=\"stylesheet\" href=\"style.css\"/></head><body>{$body}</body></html>";
    }

    /** @param array<string, string> $places */
    private static function navigation(Document $document, array $places): string
    {
        $list = '';
        $open = 0;
        foreach ($document->contents as ['element' => $element]) {
            $level = min($element->level, $open + 1);
            $list .= $level > $open ? '<ol>' : '</li>' . str_repeat('</ol></li>', $open - $level);
            $list
                .= '<li><a href="'
                . Xml::escaped($places[$element->topic] ?? 'index.xhtml')
                . '">'
                . (Xml::escaped(trim("{$element->number} {$element->title}")) ?: '–')
                . '</a>';
            $open = $level;
        }
        $list
            = $list === ''
                ? '<ol><li><a href="index.xhtml">' . (Xml::escaped($document->title) ?: '–') . '</a></li></ol>'
                : $list . str_repeat('</li></ol>', $open);

        return '<nav epub:type="toc" id="toc"><h1>' . $document->contentsTitle() . "</h1>{$list}</nav>";
    }

    /** @param list<array{name: string, title: string, elements: list<Element>}> $pages */
    private static function package(Document $document, Choices $choices, array $pages, PictureFiles $pictures): string
    {
        $properties = $document->properties;
        $modified = ($choices->draft->date ?? '2000-01-01') . 'T00:00:00Z';
        $manifest
            = '<item id="nav" href="nav.xhtml" media-type="application/xhtml+xml" properties="nav"/><item id="style" href="style.css" '
                . 'media-type="text/css"/>';
        $spine = '';
        foreach ($pages as $i => $page) {
            $isDrawn = array_filter($page['elements'], static fn(Element $element): bool => $element->sign !== null) !== [];
            $manifest .= "<item id=\"page{$i}\" href=\"{$page['name']}\" media-type=\"application/xhtml+xml\""
                . ($isDrawn ? ' properties="svg"/>' : '/>');
            $spine .= "<itemref idref=\"page{$i}\"/>" . ($i === 0 ? '<itemref idref="nav"/>' : '');
        }
        foreach (array_values($pictures->files) as $i => $file) {
            $manifest .= "<item id=\"picture{$i}\" href=\"{$file['name']}\" media-type=\"{$file['type']->mediaType()}\"/>";
        }

        return '<package xmlns="http://www.idpf.org/2007/opf" version="3.0" unique-identifier="id" xml:lang="'
            . Xml::escaped($properties->language)
            . '"><metadata xmlns:dc="http://purl.org/dc/elements/1.1/">'
            . '<dc:identifier id="id">'
            . self::identifier($document)
            . '</dc:identifier><dc:title>'
            . (Xml::escaped($document->title) ?: '–')
            . '</dc:title><dc:language>'
            . Xml::escaped($properties->language)
            . '</dc:language>'
            . ($properties->author === '' ? '' : '<dc:creator>' . Xml::escaped($properties->author) . '</dc:creator>')
            . ($properties->subject === '' ? '' : '<dc:subject>' . Xml::escaped($properties->subject) . '</dc:subject>')
            . "<meta property=\"dcterms:modified\">{$modified}</meta>"
            . self::accessibility($document, $pictures)
            . "</metadata><manifest>{$manifest}</manifest><spine>{$spine}</spine></package>";
    }

    /** The same for the same book (RFC 9562, version 8: made of what it says of itself). */
    private static function identifier(Document $document): string
    {
        $hex = substr(hash('sha256', "{$document->title}\n{$document->properties->author}"), 0, 32);

        return 'urn:uuid:'
            . substr($hex, 0, 8)
            . '-'
            . substr($hex, 8, 4)
            . '-8'
            . substr($hex, 13, 3)
            . '-a'
            . substr($hex, 17, 3)
            . '-'
            . substr($hex, 20, 12);
    }
}
