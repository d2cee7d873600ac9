<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Document\Document;
use Embrel\Document\Style;

/** The style sheet of a page that leaves the application, out of the style of its draft. */
final class Sheet
{
    /** The list of references, as its style sets it. */
    private static function list(Document $document): string
    {
        $look = $document->listLook;
        $em = $document->referenceEms();
        $hanging = $em > 0 ? "text-indent: -{$em}em;" : 'text-indent: 0;';
        $gap = $document->referenceGap();
        $space = $gap === null ? '' : ' margin-bottom: ' . round($gap / $document->style->size, 2) . 'em;';
        $space .= $look->lines === null ? '' : " line-height: {$look->lines};";

        return ".draft-reference { padding-left: {$em}em; {$hanging}{$space} }"
            . ($look->longest === 0 ? '' : "\n.draft-label { display: inline-block; min-width: {$em}em; margin-right: -0.25em; text-indent: 0; }");
    }

    public static function css(Document $document): string
    {
        $style = $document->style;
        [$h1, $h2, $h3] = array_map(static fn(float $size): string => round($size / $style->size, 3) . 'em', $style->headingSizes) + [
            '1em',
            '1em',
            '1em',
        ];
        $indent = $style->firstLine > 0 ? "p + p { text-indent: {$style->firstLine}mm; }" : '';
        $centre = $style->isTitleCentred ? '.doc-title, .doc-subtitle, .doc-author { text-align: center; }' : '';
        $justify = $style->isJustified || $style->isHyphenated
            ? 'p {' . ($style->isJustified ? ' text-align: justify;' : '') . ' hyphens: auto; }'
            : '';
        $text = self::family($style->font);
        $head = self::family($style->headingFont);

        $high = round($style->line * Style::SINGLE, 2);
        $break = $style->breaks ? '.draft-heading-1 { break-before: page; }' : '';
        [$ink, $soft, $rule, $ground] = [Style::INK, Style::SOFT, Style::RULE, Style::GROUND];
        [$link, $highlight] = [Style::LINK, Style::HIGHLIGHT];
        $em = static fn(float $size): string => round($size / $style->size, 2) . 'em';
        [$sub, $small, $see] = [$em($style->subtitleSize()), $em($style->smallSize()), $em($style->seeAlsoSize())];

        $list = self::list($document);

        return <<<CSS
            body { font: {$style->size}pt/{$high} {$text}; max-width: 42em; margin: 3em auto; padding: 0 1.2em; }
            body { color: {$ink}; background: #fff; overflow-wrap: anywhere; }
            p { margin: 0 0 {$style->gap}pt; }
            {$indent}
            {$justify}
            .doc-title, .draft-heading { font-family: {$head}; line-height: 1.25; margin: 1.6em 0 0.5em; font-weight: 650; }
            .doc-title { font-size: 1.9em; margin-top: 0; }
            .doc-subtitle { color: {$soft}; font-size: {$sub}; }
            {$centre}
            .draft-heading-1 { font-size: {$h1}; }
            .draft-heading-2 { font-size: {$h2}; }
            .draft-heading-3, .draft-heading-4, .draft-heading-5, .draft-heading-6 { font-size: {$h3}; }
            .note-heading { font-weight: 650; margin-top: 1em; }
            {$list}
            .draft-see, .draft-footnotes, figcaption { color: {$soft}; }
            .draft-see { font-size: {$see}; }
            .draft-footnotes, figcaption, pre { font-size: {$small}; }
            .draft-heading, .note-heading, .draft-quote { break-after: avoid; }
            blockquote { margin: 0.6em 2em; font-style: italic; }
            blockquote blockquote { margin: 0; }
            figure { margin: 1em 0; }
            img { max-width: 100%; height: auto; }
            figcaption { font-style: italic; }
            pre { white-space: pre-wrap; background: {$ground}; padding: 0.7em 0.9em; border-radius: 6px; }
            mark { background: {$highlight}; }
            hr { border: 0; border-top: 1px solid {$rule}; margin: 1.5em 0; }
            table { border-collapse: collapse; margin: 1em 0; }
            th, td { border: 1px solid {$rule}; padding: 0.3em 0.6em; vertical-align: top; text-align: start; }
            th { background: {$ground}; }
            td p, th p { margin: 0; text-indent: 0; }
            nav.contents { margin-bottom: 2.5em; }
            nav.contents ol { list-style: none; padding: 0; }
            nav.contents li { margin: 0.15em 0; }
            a { color: {$link}; }
            .turn { display: flex; justify-content: space-between; gap: 1em; margin: 2em 0; }
            @media print {
                body { margin: 0; max-width: none; } .turn { display: none; } {$break}
                .draft-heading { break-after: avoid; } figure, table { break-inside: avoid; } p { orphans: 2; widows: 2; }
            }
            @media (prefers-color-scheme: dark) {
                body { color: #ece8f2; background: #1a1620; }
                a { color: #8fbde0; }
                pre, th { background: #262030; }
                mark { background: #6b6420; color: #fff; }
                .doc-subtitle, .draft-see, .draft-footnotes, figcaption { color: #b9b2c6; }
            }

            CSS
            . self::dyes($document);
    }

    private static function family(string $font): string
    {
        $generic = ['sans' => 'sans-serif', 'mono' => 'monospace'][Style::family($font)] ?? 'serif';

        return "\"{$font}\", {$generic}";
    }

    private static function dyes(Document $document): string
    {
        $css = '';
        $these = $document->style->isDyed ? array_unique(array_map(static fn($element): string => $element->dye, $document->elements)) : [];
        foreach ($these as $dye) {
            $css .= $dye === '' ? '' : "[data-dye=\"{$dye}\"] { color: {$dye}; }\n";
        }

        return $css;
    }
}
