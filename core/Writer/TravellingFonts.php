<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Document;
use Embrel\Document\Style;
use Embrel\Fonts\Cut;
use Embrel\Fonts\Shipped;

/** The fonts that go into a document of a word processor: those of its style that are ours, cut to the letters that it uses. */
final class TravellingFonts
{
    private const OURS = [
        'Literata' => 'serif',
        'Atkinson Hyperlegible Next' => 'sans',
        'Atkinson Hyperlegible Mono' => 'mono',
    ];
    private const PARTS = ['latin', 'latin-ext', 'greek', 'cyrillic'];
    /** Signs that a word processor puts in by itself: digits and marks of numbers, bullets, the rest of a line. */
    private const ALWAYS = " 0123456789.,;:()[]-–—•▪…'\"“”‘’/%&?!†*§ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz";

    /**
     * @param bool $whole with all letters that they have
     *
     * @return array<string, array<string, string>> font → `Regular`, `Bold`, `Italic`, `BoldItalic` → the bytes of a TrueType font
     */
    public static function of(Document $document, bool $whole): array
    {
        $fonts = array_intersect_key(self::OURS, array_flip([$document->style->font, $document->style->headingFont]));
        $signs = $fonts === [] || $whole ? null : self::signs($document);
        $cut = [];
        foreach ($fonts as $font => $family) {
            foreach (['Regular' => '', 'Bold' => '-bold', 'Italic' => '-italic', 'BoldItalic' => '-bold-italic'] as $name => $face) {
                $parts = array_values(array_filter(array_map(
                    static fn(string $part): string => Shipped::bytes("{$family}{$face}-{$part}"),
                    self::PARTS,
                )));
                if ($parts !== []) {
                    $cut[$font][$name] = Cut::of($parts, $signs, $font, str_contains($name, 'Bold'), str_contains($name, 'Italic'));
                }
            }
        }

        return $cut;
    }

    /** @return list<int> */
    private static function signs(Document $document): array
    {
        $used = array_fill_keys(mb_str_split(self::ALWAYS), true);
        $take = static function (string $text) use (&$used): void {
            foreach (preg_match('/[\x80-\xFF]/', $text) === 1 ? mb_str_split($text) : [] as $sign) {
                $used[$sign] = true;
            }
        };
        foreach (['title', 'subtitle', 'author', 'subject', 'date', 'words'] as $field) {
            $take($document->field($field));
        }
        $lists = [$document->contentsTitle(), $document->figuresTitle()];
        foreach ([...$document->style->header, ...$document->style->footer, ...$lists] as $text) {
            $take($text);
        }
        foreach ($document->elements as $element) {
            $take($element->number . $element->title);
            foreach ($element->block?->all() ?? [] as $node) {
                $take($node->text . $node->string('caption'));
            }
        }

        return array_map(static fn(int|string $sign): int => mb_ord((string) $sign), array_keys($used));
    }
}
