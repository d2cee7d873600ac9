<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Document\Pictures;
use Embrel\Fonts\Typefaces;
use Embrel\Pages\Book;
use Embrel\Pages\Page;
use Embrel\Pages\Piece;
use Embrel\Plan\Sign;
use Embrel\RichText\Schema;

/**
 * Pages as PDF 1.7 (ISO 32000-1), with bookmarks, and links within and without; text is text, its fonts are in the file. It is
 * tagged, so that it is read in order, and says what archives ask for (PDF/A-2u).
 */
final class PdfBook
{
    private readonly PdfFile $file;
    private readonly PdfFonts $fonts;
    private PdfTags $tags;
    /** @var array<string, int> picture → object */
    private array $images = [];
    /** How many signs no font of ours holds. */
    public int $lost = 0;

    /** @param resource $out */
    public function __construct($out, Typefaces $faces, private readonly ?Pictures $pictures)
    {
        $this->file = new PdfFile($out);
        $this->fonts = new PdfFonts($faces);
    }

    /** @param array{title: string, author: string, subject: string, language: string} $about */
    public function write(Book $book, array $about): void
    {
        $this->tags = new PdfTags($book->structure, $this->file);
        [$tree, $resources] = [$this->file->reserve(), $this->file->reserve()];
        $numbers = array_map(fn(Page $_): int => $this->file->reserve(), $book->pages);
        foreach ($book->pages as $i => $page) {
            $this->page($page, $book, $numbers, $i, $tree, $resources);
        }
        $images = implode(
            '',
            array_map(static fn(string $name, int $number): string => "/{$name} {$number} 0 R ", array_keys($this->images), $this->images),
        );
        $this->file->object('<< /Font << ' . $this->fonts->write($this->file) . ">> /XObject << {$images}>> >>", $resources);
        $this->file->object(
            '<< /Type /Pages /Kids ['
                . implode(' ', array_map(static fn(int $number): string => "{$number} 0 R", $numbers))
                . '] /Count '
                . \count($numbers)
                . ' >>',
            $tree,
        );
        $outline = (new Bookmarks($this->file))->write($book, $numbers);
        $structure = $this->tags->write($numbers);
        $about['title'] = $about['title'] === '' ? 'Untitled' : $about['title'];
        $metadata = Archival::metadata($this->file, $about);
        $intent = Archival::intent($this->file);
        $root = $this->file->object(
            "<< /Type /Catalog /Pages {$tree} 0 R /MarkInfo << /Marked true >> /StructTreeRoot {$structure} 0 R"
                . " /Metadata {$metadata} 0 R /OutputIntents [{$intent} 0 R] /PageLabels << /Nums [0 << /S /D >>] >>"
                . ($outline === null ? '' : " /Outlines {$outline} 0 R /PageMode /UseOutlines")
                . ' /Lang ('
                . preg_replace('/[^A-Za-z-]/', '', $about['language'])
                . ') /ViewerPreferences << /DisplayDocTitle true >> >>',
        );
        $this->file->end(
            $root,
            $this->file->object(
                '<< /Title '
                    . PdfFile::text($about['title'])
                    . ' /Author '
                    . PdfFile::text($about['author'])
                    . ' /Subject '
                    . PdfFile::text($about['subject'])
                    . ' /Producer (Embrel) >>',
            ),
        );
    }

    /** @param list<int> $numbers of the pages */
    private function page(Page $page, Book $book, array $numbers, int $at, int $tree, int $resources): void
    {
        $content = $open = '';
        $links = [];
        foreach ($page->pieces() as $piece) {
            $drawn = match ($piece->kind) {
                Piece::TEXT => $this->text($piece, $book->height),
                Piece::PICTURE => $this->picture($piece, $book->height),
                Piece::SIGN => self::sign($piece, $book->height),
                Piece::RULE => self::rectangle($piece->x, $book->height - $piece->y, $piece->width, $piece->height, $piece->colour),
                default => self::rectangle(
                    $piece->x,
                    $book->height - $piece->y - $piece->height,
                    $piece->width === 0.0 ? $book->width - 2 * $piece->x : $piece->width,
                    $piece->height,
                    $piece->colour,
                ),
            };
            $link = $piece->link === '' ? '' : $this->link($piece, $book, $numbers);
            $isText = ($piece->kind === Piece::TEXT || $piece->kind === Piece::PICTURE) && $this->tags->has($piece->tag);
            $is = $isText ? ($link === '' ? "t{$piece->tag}" : "l{$piece->tag} {$piece->link}") : 'decoration';
            if ($is !== $open) {
                $number = $link === '' ? null : $links[] = $this->file->reserve();
                $content .= ($open === '' ? '' : "EMC\n") . $this->begins($is, $piece, $at, $number);
                $open = $is;
            } elseif ($link !== '') {
                $links[] = $number = $this->file->reserve();
                $isText ? $this->tags->goesOn($number) : null;
            }
            $content .= $drawn;
            if ($link !== '') {
                $parent = $isText ? " /StructParent {$this->tags->lastLink(\count($numbers))}" : '';
                $this->file->object("<< /Type /Annot /Subtype /Link /F 4{$parent} {$link} >>", $links[\count($links) - 1]);
            }
        }
        $stream = $this->file->stream($content . ($open === '' ? '' : "EMC\n"));
        $this->file->object(
            \sprintf(
                "<< /Type /Page /Parent {$tree} 0 R /MediaBox [0 0 %.2F %.2F] /Resources {$resources} 0 R /Contents {$stream} 0 R /StructParents {$at} /Tabs /S%s >>",
                $book->width,
                $book->height,
                $links === [] ? '' : ' /Annots [' . implode(' ', array_map(static fn(int $link): string => "{$link} 0 R", $links)) . ']',
            ),
            $numbers[$at],
        );
    }

    /** Where a run of pieces begins that are the same: of one element, of one link, or decoration. */
    private function begins(string $is, Piece $piece, int $page, ?int $annotation): string
    {
        if ($is === 'decoration') {
            return "/Artifact BMC\n";
        }
        $mark = $annotation === null
            ? $this->tags->mark($piece->tag, $page)
            : $this->tags->link($piece->tag, $page, $annotation);

        return '/' . ($annotation === null ? $this->tags->type($piece->tag) : 'Link') . " << /MCID {$mark} >> BDC\n";
    }

    private static function sign(Piece $piece, float $high): string
    {
        return \sprintf('q 1 0 0 -1 %.2F %.2F cm ', $piece->x, $high - $piece->y)
            . str_replace(' rg', ' RG', self::colour($piece->colour))
            . \sprintf('%.2F w 1 J 1 j ', $piece->width * (Sign::LINE / Sign::SQUARE))
            . PdfPen::operators(Sign::of($piece->text)->form($piece->width))
            . "S Q\n";
    }

    private static function rectangle(float $x, float $y, float $width, float $height, string $colour): string
    {
        return self::colour($colour) . \sprintf("%.2F %.2F %.2F %.2F re f\n", $x, $y, $width, $height);
    }

    private static function colour(string $colour): string
    {
        return \sprintf(
            '%.3F %.3F %.3F rg ',
            hexdec(substr($colour, 1, 2)) / 255,
            hexdec(substr($colour, 3, 2)) / 255,
            hexdec(substr($colour, 5, 2)) / 255,
        );
    }

    private function text(Piece $piece, float $height): string
    {
        $y = $height - $piece->y;
        $out = 'BT ' . self::colour($piece->colour) . \sprintf('%.2F %.2F Td ', $piece->x, $y)
            . $this->fonts->shown(
                $piece->glyphs === [] ? [$piece->text] : $piece->glyphs,
                $piece->size,
                fn(string $text): string => $this->signs($text, $piece->face, $piece->size),
            )
            . "ET\n";
        foreach (['u' => -0.11, 's' => 0.26] as $mark => $rise) {
            $out .= str_contains($piece->marks, $mark)
                ? self::rectangle($piece->x, $y + $rise * $piece->size, $piece->width, max(0.4, $piece->size * 0.05), $piece->colour)
                : '';
        }

        return $out;
    }

    /** A text sign by sign, in runs of one font. */
    private function signs(string $text, string $face, float $size): string
    {
        $out = $font = $run = '';
        foreach (mb_str_split($text) as $sign) {
            if (preg_match('/\A[\p{Cf}\p{Cc}]\z/u', $sign) === 1) {
                continue;
            }
            [$name, $glyph] = $this->fonts->glyph($face, $sign) ?? $this->missing($face);
            if ($name !== $font) {
                $out .= ($run === '' ? '' : "<{$run}> Tj ") . "/{$name} " . \sprintf('%.2F', $size) . ' Tf ';
                [$font, $run] = [$name, ''];
            }
            $run .= \sprintf('%04X', $glyph);
        }

        return $out . ($run === '' ? '' : "<{$run}> Tj ");
    }

    /** @return array{string, int} */
    private function missing(string $face): array
    {
        ++$this->lost;

        return $this->fonts->glyph($face, '?') ?? throw new \RuntimeException('A font of the pages cannot be read.');
    }

    private function picture(Piece $piece, float $height): string
    {
        $name = 'I' . substr($piece->text, 0, 16);
        if (!isset($this->images[$name])) {
            $bytes = $this->pictures?->bytes($piece->text);
            if ($bytes === null) {
                return '';
            }
            $this->images[$name] = PdfFile::picture($this->file, $bytes);
        }

        return \sprintf(
            "q %.2F 0 0 %.2F %.2F %.2F cm /{$name} Do Q\n",
            $piece->width,
            $piece->height,
            $piece->x,
            $height - $piece->y - $piece->height,
        );
    }

    /** @param list<int> $numbers */
    private function link(Piece $piece, Book $book, array $numbers): string
    {
        [$top, $high] = $piece->kind === Piece::TEXT ? [$piece->y - $piece->size * 0.8, $piece->size * 1.1] : [$piece->y, $piece->height];
        $box = \sprintf('[%.2F %.2F %.2F %.2F]', $piece->x, $book->height - $top - $high, $piece->x + $piece->width, $book->height - $top);
        if ($piece->link[0] !== '#') {
            return Schema::isSafeLink($piece->link)
                ? "/Rect {$box} /Border [0 0 0] /Contents " . PdfFile::text($piece->link) . ' /A << /S /URI /URI ('
                        . addcslashes($piece->link, '()\\')
                        . ') >>'
                : '';
        }
        $page = $book->places[substr($piece->link, 1)] ?? null;
        $y = $page === null ? 0.0 : $book->height - ($book->pages[$page - 1]->anchors[substr($piece->link, 1)] ?? 0.0);

        return $page === null
            ? ''
            : "/Rect {$box} /Border [0 0 0] /Contents " . PdfFile::text($piece->text) . " /Dest [{$numbers[$page - 1]} 0 R /XYZ 0 "
                    . \sprintf('%.1F', $y)
                    . ' null]';
    }
}
