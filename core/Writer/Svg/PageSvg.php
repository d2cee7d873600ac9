<?php

declare(strict_types=1);

namespace Embrel\Writer\Svg;

use Embrel\Archive\Xml;
use Embrel\Pages\Book;
use Embrel\Pages\Page;
use Embrel\Pages\Piece;
use Embrel\Plan\Sign;

/** A page of a book as a picture for the screen, in the fonts of the application: its text is text. */
final class PageSvg
{
    private const FAMILIES = [
        'serif' => 'Literata, Georgia, serif',
        'sans' => 'Hyperlegible, sans-serif',
        'mono' => 'Hyperlegible Mono, monospace',
    ];

    /** @param \Closure(string): string $address where a picture is seen, by its id */
    public static function of(Page $page, Book $book, int $number, \Closure $address): string
    {
        $out = '';
        foreach ($page->pieces() as $piece) {
            $out .= match ($piece->kind) {
                Piece::TEXT => self::text($piece, $book),
                Piece::PICTURE => '<image x="'
                    . self::n($piece->x)
                    . '" y="'
                    . self::n($piece->y)
                    . '" width="'
                    . self::n($piece->width)
                    . '" height="'
                    . self::n($piece->height)
                    . '" href="'
                    . Xml::escaped($address($piece->text))
                    . '" role="img" aria-label="'
                    . (Xml::escaped($piece->says) ?: 'Picture')
                    . '"/>',
                Piece::SIGN => '<path fill="none" stroke-linecap="round" stroke-linejoin="round" stroke="' . $piece->colour
                    . '" stroke-width="' . self::n($piece->width * Sign::LINE / Sign::SQUARE) . '" transform="translate('
                    . self::n($piece->x) . ' ' . self::n($piece->y) . ')" d="' . Sign::of($piece->text)->form($piece->width) . '"/>',
                default => '<rect x="'
                    . self::n($piece->x)
                    . '" y="'
                    . self::n($piece->y)
                    . '" width="'
                    . self::n($piece->width === 0.0 ? $book->width - 2 * $piece->x : $piece->width)
                    . '" height="'
                    . self::n($piece->height)
                    . "\" fill=\"{$piece->colour}\"/>",
            };
        }

        return '<svg class="paper" id="page-'
            . $number
            . '" viewBox="0 0 '
            . self::n($book->width)
            . ' '
            . self::n($book->height)
            . "\" aria-label=\"Page {$number}\" role=\"group\">{$out}</svg>";
    }

    private static function text(Piece $piece, Book $book): string
    {
        if (trim($piece->text) === '') {
            return '';
        }
        [$family] = explode('-', $piece->face);
        $decoration = ['u' => 'underline', 's' => 'line-through', 'us' => 'underline line-through'][$piece->marks] ?? '';
        $text
            = '<text x="'
            . self::n($piece->x + ($piece->isRightToLeft ? $piece->width : 0.0))
            . '" y="'
            . self::n($piece->y)
            . '" textLength="'
            . self::n($piece->width)
            . '" font-family="'
            . self::FAMILIES[$family]
            . '" font-size="'
            . self::n($piece->size)
            . "\" fill=\"{$piece->colour}\""
            . (str_contains($piece->face, '-bold') ? ' font-weight="680"' : '')
            . (str_contains($piece->face, '-italic') ? ' font-style="italic"' : '')
            // Letters that join stay joined: they are made narrower or wider, not set apart.
            . ($piece->glyphs === [] ? '' : ' lengthAdjust="spacingAndGlyphs"')
            . (trim($piece->text) === $piece->text ? '' : ' xml:space="preserve"')
            . ($piece->isRightToLeft ? ' direction="rtl" unicode-bidi="bidi-override"' : '')
            . ($decoration === '' ? '' : " text-decoration=\"{$decoration}\"")
            . ($piece->level === 0
                ? ''
                : ' role="heading" aria-level="' . ($piece->level + 1) . '" aria-label="' . Xml::escaped($piece->says) . '"')
            . '>'
            . Xml::escaped($piece->text)
            . '</text>';
        $page = str_starts_with($piece->link, '#') ? $book->places[substr($piece->link, 1)] ?? null : null;

        return $page === null ? $text : "<a href=\"#page-{$page}\" data-page=\"{$page}\">{$text}</a>";
    }

    private static function n(float $number): string
    {
        return rtrim(rtrim(\sprintf('%.2F', $number), '0'), '.');
    }
}
