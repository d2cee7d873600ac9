<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Archive\Xml;
use Embrel\Document\Anchor;
use Embrel\Document\Document;

/** What stands in front of the text, title, contents and figures as fields; and the page that all of it stands on. */
final readonly class Front
{
    /** @param array<string, string> $anchors topic → the name of its bookmark */
    public function __construct(private Document $document, private Paragraphs $paragraphs, private array $anchors) {}

    /**
     * @param string $own      a text of a template's own that stands instead of our title, as XML; empty: none
     * @param int    $bookmark the number of the bookmark that says of which plan it is a draft
     */
    public function xml(string $own, int $bookmark): string
    {
        $style = $this->document->style;
        if ($own !== '') {
            return $own . $this->contents() . $this->figures();
        }
        $origin
            = $this->document->origin === null
                ? ''
                : "<w:bookmarkStart w:id=\"{$bookmark}\" w:name=\"{$this->document->origin->name()}\"/><w:bookmarkEnd w:id=\"{$bookmark}\"/>";
        $xml = $this->paragraphs->of('Title', $origin . Runs::text($this->document->title));
        foreach ($style->titleFields as $field) {
            $text = $this->document->field($field);
            $xml .= $text === '' ? '' : $this->paragraphs->of($field === 'subtitle' ? 'Subtitle' : 'Author', Runs::text($text));
        }

        return $xml
            . ($style->hasTitlePage && $this->document->hasLists() ? $this->pageBreak() : '')
            . $this->contents()
            . $this->figures()
            . ($this->document->startsPage() ? $this->pageBreak() : '');
    }

    private function pageBreak(): string
    {
        return $this->paragraphs->of('', '<w:r><w:br w:type="page"/></w:r>');
    }

    /** The contents as a field that is filled in already: nothing has to be asked on opening. */
    private function contents(): string
    {
        $xml = $this->document->contents === [] ? '' : $this->paragraphs->of('TOCHeading', Runs::text($this->document->contentsTitle()));
        $last = \count($this->document->contents) - 1;
        foreach ($this->document->contents as $i => ['element' => $element, 'page' => $page]) {
            $anchor = $this->anchors[$element->topic] ?? (new Anchor($element->topic))->name();
            $field = $i === 0 ? "TOC \\o \"1-{$this->document->contentsDepth}\" \\h \\z \\u" : '';
            $title = ($element->number === '' ? '' : $element->number . ' ') . $element->title;
            $xml .= $this->entry('TOC' . $element->level, $field, $anchor, $title, $page, $i === $last);
        }

        return $xml;
    }

    private function figures(): string
    {
        $xml = $this->document->figures === [] ? '' : $this->paragraphs->of('TOCHeading', Runs::text($this->document->figuresTitle()));
        $last = \count($this->document->figures) - 1;
        foreach ($this->document->figures as $i => ['text' => $text, 'page' => $page]) {
            $field = $i === 0 ? 'TOC \h \z \t "caption,1"' : '';
            $xml .= $this->entry('TableofFigures', $field, '_f' . ($i + 1), $text, $page, $i === $last);
        }

        return $xml;
    }

    private function entry(string $style, string $field, string $anchor, string $text, int $page, bool $isLast): string
    {
        $begin
            = $field === ''
                ? ''
                : Runs::mark('begin')
                    . '<w:r><w:instrText xml:space="preserve"> '
                    . Xml::escaped($field)
                    . ' </w:instrText></w:r>'
                    . Runs::mark('separate');
        $entry
            = '<w:hyperlink w:anchor="'
            . $anchor
            . '" w:history="1">'
            . Runs::text($text)
            . '<w:r><w:tab/></w:r>'
            . Runs::field("PAGEREF {$anchor} \\h", (string) $page)
            . '</w:hyperlink>';

        return $this->paragraphs->of($style, $begin . $entry . ($isLast ? Runs::mark('end') : ''));
    }

    /** The properties of the only section: its page, what runs at head and foot. */
    public function section(): string
    {
        $style = $this->document->style;
        [$width, $height] = array_map(
            static fn(float $one): int => (int) round($one * 20),
            $style->page($this->document->properties->pageSize),
        );
        [$top, $right, $bottom, $left] = array_map(static fn(float $one): int => (int) round($one * 20), $style->edges());
        $edge = static fn(int $margin): int => max(283, intdiv($margin, 2));

        return '<w:sectPr>'
            . ($style->hasHeader() ? '<w:headerReference w:type="default" r:id="header"/>' : '')
            . ($style->hasFooter() ? '<w:footerReference w:type="default" r:id="footer"/>' : '')
            . "<w:pgSz w:w=\"{$width}\" w:h=\"{$height}\"/><w:pgMar w:top=\"{$top}\" w:right=\"{$right}\" w:bottom=\"{$bottom}\" "
            . "w:left=\"{$left}\" w:header=\"{$edge($top)}\" w:footer=\"{$edge($bottom)}\" w:gutter=\"0\"/>"
            . ($style->hasTitlePage ? '<w:titlePg/>' : '')
            . '</w:sectPr>';
    }
}
