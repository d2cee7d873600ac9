<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Library;

/** Lists of references are indented and spaced as their style says, in every format. */
final class ListLookTest extends TestCase
{
    use Folder;

    private function written(Format $format, string $style): string
    {
        $out = Build::stream('');
        $format->writer()->write(Library::plan($style), new Choices(), $out, $this->folder);
        rewind($out);
        $bytes = (string) stream_get_contents($out);
        $part = match ($format) {
            Format::Docx => 'word/document.xml',
            Format::Odt => 'content.xml',
            default => '',
        };
        if ($part === '') {
            return $bytes;
        }
        file_put_contents($path = "{$this->folder}/draft.zip", $bytes);

        return (string) file_get_contents("zip://{$path}#{$part}");
    }

    #[DataProvider('looks')]
    public function testTheEntryStandsAsItsStyleSays(Format $format, string $style, string $expected): void
    {
        self::assertStringContainsString($expected, $this->written($format, $style));
    }

    /** @return iterable<string, array{Format, string, string}> */
    public static function looks(): iterable
    {
        yield 'docx: a number in a column, no space between' => [
            Format::Docx,
            'ieee',
            '<w:pStyle w:val="Bibliography"/><w:spacing w:after="0"/><w:ind w:left="567" w:hanging="567"/></w:pPr>'
                . '<w:r><w:t xml:space="preserve">[1]</w:t><w:tab/><w:t xml:space="preserve"></w:t></w:r><w:r><w:t xml:space="preserve">A. Pell, ',
        ];
        yield 'docx: lines twice as high' => [
            Format::Docx,
            'academy-of-management-review',
            '<w:pStyle w:val="Bibliography"/><w:spacing w:after="0" w:line="480" w:lineRule="auto"/><w:ind w:left="567" w:hanging="567"/>',
        ];
        yield 'docx: without an indent' => [Format::Docx, 'oscola', '<w:ind w:left="0" w:hanging="0"/></w:pPr><w:r><w:t xml:space="preserve">Brent T'];
        yield 'docx: as lists usually are' => [
            Format::Docx,
            'apa',
            '<w:pPr><w:pStyle w:val="Bibliography"/></w:pPr><w:r><w:t xml:space="preserve">Brent, T., ',
        ];
        yield 'docx: a long label has a wide column' => [
            Format::Docx,
            'din-1505-2-alphanumeric',
            '<w:ind w:left="1188" w:hanging="1188"/></w:pPr><w:r><w:t xml:space="preserve">[BMVO19]</w:t><w:tab/>',
        ];
        yield 'odt: a number in a column' => [Format::Odt, 'ieee', '>[1]<text:tab/>A. Pell,<text:s'];
        yield 'odt: its paragraphs' => [
            Format::Odt,
            'ieee',
            'style:parent-style-name="Bibliography_20_1"><style:paragraph-properties fo:margin-left="28.35pt" fo:text-indent="-28.35pt" '
                . 'fo:margin-bottom="0pt"/>',
        ];
        yield 'page: a number in a column' => [
            Format::Html,
            'ieee',
            '<p class="draft-reference"><span class="draft-label">[1]</span> A. Pell, <em>Tides and Walls</em>',
        ];
        yield 'page: without an indent' => [Format::Html, 'oscola', '.draft-reference { padding-left: 0em; text-indent: 0; }'];
        yield 'page: as lists usually are' => [Format::Html, 'apa', '.draft-reference { padding-left: 2em; text-indent: -2em; }'];
        yield 'LaTeX: a number in a column' => [Format::Latex, 'ieee', '\makebox[2.58em][l]{{[}1{]}}A. Pell, \emph{Tides and Walls}'];
        yield 'Markdown: the number before the entry' => [Format::Markdown, 'ieee', '\[1\] A. Pell, *Tides and Walls*'];
        yield 'text: the number before the entry' => [Format::Text, 'ieee', '[1] A. Pell, Tides and Walls'];
        yield 'page: a raised number touches its word' => [Format::Html, 'vancouver-superscript', 'went lower<sup>1</sup>; nobody'];
        yield 'page: one space before a citation' => [Format::Html, 'american-physics-society', "went lower\u{A0}[1]; nobody"];
        yield 'page: an English style is of its own region' => [Format::Html, 'oscola', '‘How Samphire Holds the Mud’'];
    }
}
