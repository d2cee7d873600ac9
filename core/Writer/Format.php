<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Fonts\WebFonts;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;

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
    case Pptx = 'pptx';
    case Odp = 'odp';
    case SlidesPdf = 'slides-pdf';
    case HandoutPdf = 'handout-pdf';
    case Alone = 'alone';
    case Show = 'show';
    case Png = 'png';
    case Jpeg = 'jpeg';
    case Webp = 'webp';

    /** case → extension, media type, label, features, and the package that it comes as where pictures go along */
    private const TABLE = [
        'docx' => [
            'docx',
            'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
            'Word processor',
            [Feature::Draft, Feature::Paged, Feature::Styled, Feature::Contents, Feature::Marked, Feature::Copied],
        ],
        'odt' => [
            'odt',
            'application/vnd.oasis.opendocument.text',
            'OpenDocument',
            [Feature::Draft, Feature::Paged, Feature::Styled, Feature::Contents, Feature::Marked, Feature::Copied],
        ],
        'pdf' => [
            'pdf',
            'application/pdf',
            'PDF',
            [Feature::Draft, Feature::Paged, Feature::Styled, Feature::Contents, Feature::Copied, Feature::Sheets],
        ],
        'html' => [
            'html',
            'text/html; charset=utf-8',
            'Web page',
            [Feature::Draft, Feature::Styled, Feature::Contents, Feature::Marked, Feature::Copied],
        ],
        'pages' => ['zip', 'application/zip', 'Web pages', [Feature::Draft, Feature::Styled, Feature::Contents]],
        'epub' => ['epub', 'application/epub+zip', 'E-book', [Feature::Draft, Feature::Styled, Feature::Contents]],
        'md' => [
            'md',
            'text/markdown; charset=utf-8',
            'Markdown',
            [Feature::Draft, Feature::Markable, Feature::Copied],
            'md-zip',
        ],
        'md-zip' => ['zip', 'application/zip', 'Markdown', [Feature::Draft, Feature::Markable]],
        'tex' => ['tex', 'application/x-tex', 'LaTeX', [Feature::Draft, Feature::Contents, Feature::Copied], 'tex-zip'],
        'tex-zip' => ['zip', 'application/zip', 'LaTeX', [Feature::Draft, Feature::Contents]],
        'txt' => ['txt', 'text/plain; charset=utf-8', 'Numbered outline', [Feature::Lines, Feature::Titles, Feature::Copied]],
        'opml' => ['opml', 'text/x-opml; charset=utf-8', 'Outline file', [Feature::Outline, Feature::Tree]],
        'csv' => ['csv', 'text/csv; charset=utf-8', 'Table', [Feature::Outline, Feature::Lines, Feature::Copied]],
        'svg' => ['svg', 'image/svg+xml', 'Map', [Feature::Map]],
        'map-pdf' => ['pdf', 'application/pdf', 'Map on paper', [Feature::Map, Feature::Sheets]],
        'pptx' => [
            'pptx',
            'application/vnd.openxmlformats-officedocument.presentationml.presentation',
            'Slides',
            [Feature::Slides, Feature::Styled],
        ],
        'odp' => [
            'odp',
            'application/vnd.oasis.opendocument.presentation',
            'OpenDocument slides',
            [Feature::Slides, Feature::Styled],
        ],
        'slides-pdf' => ['pdf', 'application/pdf', 'Slides as PDF', [Feature::Slides, Feature::Styled, Feature::Sheets]],
        'handout-pdf' => ['pdf', 'application/pdf', 'Handouts', [Feature::Slides, Feature::Handout, Feature::Styled, Feature::Sheets]],
        'alone' => ['html', 'text/html; charset=utf-8', 'Page that stands alone', [Feature::Alone]],
        'png' => ['png', 'image/png', 'Map as PNG', [Feature::Map, Feature::Pixels]],
        'jpeg' => ['jpg', 'image/jpeg', 'Map as JPEG', [Feature::Map, Feature::Pixels]],
        'webp' => ['webp', 'image/webp', 'Map as WebP', [Feature::Map, Feature::Pixels]],
        'show' => ['html', 'text/html; charset=utf-8', 'Show that plays', [Feature::Alone, Feature::Slides]],
    ];

    /** Ends of names that say more than the extension. */
    private const ENDS = [
        'map.pdf' => self::MapPdf,
        'slides.pdf' => self::SlidesPdf,
        'handout.pdf' => self::HandoutPdf,
        'alone.html' => self::Alone,
        'show.html' => self::Show,
    ];

    /** @param WebFonts|null $fonts where a map has its fonts from, if they are to go with it */
    public function writer(?WebFonts $fonts = null): Writer
    {
        return match ($this) {
            self::Docx => new Docx\DocxWriter(),
            self::Odt => new Odt\OdtWriter(),
            self::Pdf => new Pdf\PdfWriter(),
            self::Html => new Html\HtmlFileWriter(),
            self::HtmlPages => new Html\HtmlPagesWriter(),
            self::Epub => new Html\EpubWriter(),
            self::Markdown => new Markdown\MarkdownWriter(),
            self::MarkdownPackage => new Markdown\MarkdownPackageWriter(),
            self::Latex => new Latex\LatexWriter(),
            self::LatexPackage => new Latex\LatexPackageWriter(),
            self::Opml => new Opml\OpmlWriter(),
            self::Text => new TextOutline\TextWriter(),
            self::Csv => new Csv\CsvWriter(),
            self::Svg => new Svg\SvgWriter($fonts),
            self::MapPdf => new Pdf\MapPdfWriter(),
            self::Pptx => new Pptx\PptxWriter(),
            self::Odp => new Odp\OdpWriter(),
            self::Png, self::Jpeg, self::Webp => new Raster\RasterWriter($this->value),
            self::Alone, self::Show => new Html\AloneWriter($fonts, $this === self::Show),
            self::SlidesPdf, self::HandoutPdf => new Pdf\SlidesWriter($this === self::HandoutPdf),
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

    public function has(Feature $feature): bool
    {
        return \in_array($feature, self::TABLE[$this->value][3], true);
    }

    /** @return array<string, list<string>> what the choices before handing over depend on, by the format: for the page */
    public static function features(): array
    {
        return array_map(static fn(array $row): array => array_column($row[3], 'value'), self::TABLE);
    }

    private function package(): ?self
    {
        return self::tryFrom(self::TABLE[$this->value][4] ?? '');
    }

    /** @return list<self> those that a writer chooses from; what stands for another one, or is a kind of it, is not among them */
    public static function offered(): array
    {
        $packages = array_map(static fn(self $format): ?self => $format->package(), self::cases());

        return array_values(array_filter(
            self::cases(),
            static fn(self $format): bool => !\in_array($format, $packages, true) && !$format->has(Feature::Pixels),
        ));
    }

    /** The format that a plan goes out in: one that is text alone becomes a package where pictures go along. */
    public function coming(Plan $plan, Choices $choices): self
    {
        $package = $this->package();
        if ($package === null || !$choices->draft->showsPictures) {
            return $this;
        }
        foreach (Draft::topics($plan, $choices->from) as $id) {
            $topic = $plan->topic($id);
            foreach ($choices->notes ? $topic->note?->find(NodeType::Picture) ?? [] : [] as $picture) {
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

    /** @return string such as “docx, md and pdf” */
    public static function extensions(): string
    {
        $all = array_values(array_unique(array_map(static fn(self $format): string => $format->extension(), self::byName())));
        $last = array_pop($all);

        return implode(', ', $all) . " and {$last}";
    }

    /** @return list<self> those that are known by the ends of names */
    private static function byName(): array
    {
        return [...self::offered(), self::Png, self::Jpeg, self::Webp];
    }

    /** By the end of its name, of two parts where what comes is not the usual of its kind; a zip file is pages for the web. */
    public static function ofPath(string $path): ?self
    {
        foreach (self::ENDS as $end => $format) {
            if (str_ends_with(strtolower($path), ".{$end}")) {
                return $format;
            }
        }
        $extension = strtolower(pathinfo($path, PATHINFO_EXTENSION));
        foreach (self::byName() as $format) {
            if (
                $format->extension()
                === (['jpeg' => 'jpg', 'markdown' => 'md', 'text' => 'txt', 'htm' => 'html', 'latex' => 'tex'][$extension] ?? $extension)
            ) {
                return $format;
            }
        }

        return null;
    }
}
