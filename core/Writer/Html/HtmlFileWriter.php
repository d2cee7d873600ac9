<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Document\Document;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** One web page with everything in it, its pictures too. */
final class HtmlFileWriter implements Writer
{
    /** Where there is room, the contents stand beside the text. */
    private const BESIDE = <<<'CSS'
        @media screen and (min-width: 72em) {
            body { margin-left: max(20em, calc(50vw - 14em)); }
            nav.contents {
                position: fixed; inset: 0 auto 0 0; width: 17em; overflow-y: auto; margin: 0; padding: 2em 1.2em;
                border-right: 1px solid #8a8494; font-size: 0.85em;
            }
        }

        CSS;

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $losses = new Losses();
        $document = Draft::of($plan, $choices);
        $address = static function (string $id) use ($choices): ?string {
            $bytes = $choices->pictures?->bytes($id);

            return $bytes === null ? null : 'data:' . PictureType::of($bytes)->mediaType() . ';base64,' . base64_encode($bytes);
        };
        $writer = new HtmlWriter($losses, $address, isFile: true);
        $css = Sheet::css($document) . ($document->contents === [] ? '' : self::BESIDE);
        fwrite(
            $out,
            self::head($document, $document->title, "<style>{$css}</style>")
                . self::front($document)
                . self::contents($document, '')
                . $writer->body($document)
                . "</body>\n</html>\n",
        );

        return $losses->sentences();
    }

    public static function head(Document $document, string $title, string $style): string
    {
        $author
            = $document->properties->author === ''
                ? ''
                : '<meta name="author" content="' . HtmlWriter::escaped($document->properties->author) . '">';

        return "<!doctype html>\n<html lang=\""
            . HtmlWriter::escaped($document->properties->language)
            . "\">\n<head><meta charset=\"utf-8\"><meta name=\"viewport\" content=\"width=device-width, initial-scale=1\"><meta name=\"generator\" content=\"Embrel\">{$author}<title>"
            . HtmlWriter::escaped(trim($title) === '' ? '–' : $title)
            . "</title>{$style}</head>\n<body>\n";
    }

    public static function front(Document $document): string
    {
        $html
            = '<h1 class="doc-title"'
            . ($document->origin === null ? '' : " id=\"{$document->origin->name()}\"")
            . '>'
            . HtmlWriter::escaped($document->title)
            . '</h1>';
        foreach ($document->style->titleFields as $field) {
            $text = $document->field($field);
            $html
                .= $text === ''
                    ? ''
                    : '<p class="'
                        . ($field === 'subtitle' ? 'doc-subtitle' : ($field === 'author' ? 'doc-author' : 'doc-fact'))
                        . '">'
                        . HtmlWriter::escaped($text)
                        . '</p>';
        }

        return $html . "\n";
    }

    /** @param string|\Closure(string): string $page the page of a topic, where there are several */
    public static function contents(Document $document, string|\Closure $page, string $end = ''): string
    {
        if ($document->contents === []) {
            return '';
        }
        $items = '';
        foreach ($document->contents as ['element' => $element]) {
            $href
                = ($page instanceof \Closure ? $page($element->topic) : $page)
                . '#'
                . ($element->anchor ?? new \Embrel\Document\Anchor($element->topic))->name();
            $items
                .= '<li style="padding-left:'
                . ($element->level - 1) * 1.2
                . "em\"><a href=\"{$href}\">"
                . HtmlWriter::escaped(trim("{$element->number} {$element->title}"))
                . '</a></li>';
        }

        return '<nav class="contents" role="doc-toc" aria-label="'
            . $document->contentsTitle()
            . '"><h2>'
            . $document->contentsTitle()
            . "</h2><ol>{$items}</ol></nav>\n";
    }
}
