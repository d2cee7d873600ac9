<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;

/** The formats that a plan can be handed over in: the one table of writers. */
enum Format: string
{
    case Docx = 'docx';
    case Odt = 'odt';
    case Pdf = 'pdf';
    case Html = 'html';
    case HtmlPages = 'pages';
    case Epub = 'epub';
    case Markdown = 'md';
    case MarkdownPackage = 'md-zip';
    case Latex = 'tex';
    case LatexPackage = 'tex-zip';
    case Text = 'txt';
    case Opml = 'opml';
    case Csv = 'csv';
    case Svg = 'svg';
    case MapPdf = 'map-pdf';

    /** case → extension, media type, label */
    private const TABLE = [
        'docx' => ['docx', 'application/vnd.openxmlformats-officedocument.wordprocessingml.document', 'Word processor'],
        'odt' => ['odt', 'application/vnd.oasis.opendocument.text', 'OpenDocument'],
        'pdf' => ['pdf', 'application/pdf', 'PDF'],
        'html' => ['html', 'text/html; charset=utf-8', 'Web page'],
        'pages' => ['zip', 'application/zip', 'Web pages'],
        'epub' => ['epub', 'application/epub+zip', 'E-book'],
        'md' => ['md', 'text/markdown; charset=utf-8', 'Markdown'],
        'md-zip' => ['zip', 'application/zip', 'Markdown'],
        'tex' => ['tex', 'application/x-tex', 'LaTeX'],
        'tex-zip' => ['zip', 'application/zip', 'LaTeX'],
        'txt' => ['txt', 'text/plain; charset=utf-8', 'Numbered outline'],
        'opml' => ['opml', 'text/x-opml; charset=utf-8', 'Outline file'],
        'csv' => ['csv', 'text/csv; charset=utf-8', 'Table'],
        'svg' => ['svg', 'image/svg+xml', 'Map'],
        'map-pdf' => ['pdf', 'application/pdf', 'Map on paper'],
    ];

    /** @param Svg\Fonts|null $fonts where a map has its fonts from, if they are to go with it */
    public function writer(?Svg\Fonts $fonts = null): Writer
    {
        return match ($this) {
            self::Docx => new Docx\DocxWriter(),
            self::Odt => new Odt\OdtWriter(),
            self::Pdf => new Pdf\PdfWriter(),
            self::Html => new Html\HtmlFileWriter(),
            self::HtmlPages => new Html\HtmlPagesWriter(),
            self::Epub => new Epub\EpubWriter(),
            self::Markdown => new Markdown\MarkdownWriter(),
            self::MarkdownPackage => new Markdown\MarkdownPackageWriter(),
            self::Latex => new Latex\LatexWriter(),
            self::LatexPackage => new Latex\LatexPackageWriter(),
            self::Opml => new Opml\OpmlWriter(),
            self::Text => new TextOutline\TextWriter(),
            self::Csv => new Csv\CsvWriter(),
            self::Svg => new Svg\SvgWriter($fonts),
            self::MapPdf => new Map\MapPdfWriter(),
        };
    }

    public function extension(): string
    {
        return self::TABLE[$this->value][0];
    }

    public function mediaType(): string
    {
        return self::TABLE[$this->value][1];
    }

    public function label(): string
    {
        return self::TABLE[$this->value][2];
    }

    /** @return list<self> those that a writer chooses from; what stands for another one is not among them */
    public static function offered(): array
    {
        return [
            self::Docx,
            self::Odt,
            self::Pdf,
            self::Html,
            self::HtmlPages,
            self::Epub,
            self::Markdown,
            self::Latex,
            self::Text,
            self::Opml,
            self::Csv,
            self::Svg,
            self::MapPdf,
        ];
    }

    /** The format that a plan goes out in: one that is text alone becomes a package where pictures go along. */
    public function coming(Plan $plan, Choices $choices): self
    {
        $package = ['md' => self::MarkdownPackage, 'tex' => self::LatexPackage][$this->value] ?? null;
        if ($package === null || !$choices->showsPictures) {
            return $this;
        }
        foreach (Draft::topics($plan, $choices->from) as $id) {
            $topic = $plan->topic($id);
            foreach ($choices->notes ? $topic->note?->find('picture') ?? [] : [] as $picture) {
                if ($picture->string('picture') !== null) {
                    return $package;
                }
            }
            if ($topic->picture !== null) {
                return $package;
            }
        }

        return $this;
    }

    /** Whether it holds the tree as it is, so that heading depth and contents mean nothing to it. */
    public function isOutline(): bool
    {
        return $this === self::Opml || $this === self::Csv;
    }

    /** Whether it is a picture of the map instead of a text. */
    public function isMap(): bool
    {
        return $this === self::Svg || $this === self::MapPdf;
    }

    /** Whether its pages are those that are shown before it is handed over. */
    public function isPaged(): bool
    {
        return \in_array($this, [self::Docx, self::Odt, self::Pdf], true);
    }

    /** Whether fonts, margins and the look of headings can be chosen for it. */
    public function isStyled(): bool
    {
        return $this->isPaged() || \in_array($this, [self::Html, self::HtmlPages, self::Epub], true);
    }

    /**
     * What the choices before handing over depend on.
     *
     * @return list<'outline'|'map'|'paged'|'styled'|'signs'|'marked'|'copied'> signs: lines of text alone; marked: flags
     *     and comments can be shown in it; copied: it can go to the clipboard
     */
    public function traits(): array
    {
        return array_keys(
            array_filter([
                'outline' => $this->isOutline(),
                'map' => $this->isMap(),
                'paged' => $this->isPaged(),
                'styled' => $this->isStyled(),
                'signs' => $this === self::Text || $this === self::Csv,
                'marked' => \in_array($this, [self::Docx, self::Odt, self::Html], true),
                'copied' => !$this->isMap() && !\in_array($this, [self::Opml, self::Epub, self::HtmlPages], true),
            ]),
        );
    }

    /** @return string such as “docx, md and pdf” */
    public static function extensions(): string
    {
        $all = array_map(
            static fn(self $format): string => $format->extension(),
            array_filter(self::offered(), static fn(self $format): bool => $format !== self::MapPdf),
        );
        $last = array_pop($all);

        return implode(', ', $all) . " and {$last}";
    }

    /** By the end of its name; `.map.pdf` is a map on paper, a zip file pages for the web. */
    public static function ofPath(string $path): ?self
    {
        if (str_ends_with(strtolower($path), '.map.pdf')) {
            return self::MapPdf;
        }
        $extension = strtolower(pathinfo($path, PATHINFO_EXTENSION));
        foreach (self::offered() as $format) {
            if (
                $format->extension()
                === (['markdown' => 'md', 'text' => 'txt', 'htm' => 'html', 'latex' => 'tex'][$extension] ?? $extension)
            ) {
                return $format;
            }
        }

        return null;
    }
}
