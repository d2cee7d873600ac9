<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\MalformedShape;
use Embrel\Shape;

/** How a draft is set: fonts, sizes, spacing, page, title page, what runs at the head and foot of each page. */
final readonly class Style
{
    /** As on a typewriter: one size, double spaced, an inch around, paragraphs known by their first line. */
    private const TYPED = [
        'size' => 12.0,
        'heading_sizes' => [12.0, 12.0, 12.0],
        'line' => 2.0,
        'gap' => 0.0,
        'first_line' => 12.7,
        'margins' => [25.4, 25.4, 25.4, 25.4],
        'footer' => ['', '', ''],
        'is_title_centred' => true,
    ];
    /** The four of our own, and the settings in which they differ from a report. */
    public const OWN = [
        'report' => [],
        'essay' => [
            'font' => 'Times New Roman',
            'heading_font' => 'Times New Roman',
            'header' => ['', '', '{author} {page}'],
        ] + self::TYPED,
        'manuscript' => [
            'font' => 'Courier New',
            'heading_font' => 'Courier New',
            'header' => ['', '', '{author} / {title} / {page}'],
            'has_title_page' => true,
            'breaks' => true,
            'title_fields' => ['subtitle', 'author', 'words', 'date'],
        ] + self::TYPED,
        'plain' => ['font' => 'Arial', 'heading_font' => 'Arial', 'heading_sizes' => [14.0, 12.0, 11.0], 'footer' => ['', '{page}', '']],
    ];
    public const DEFAULTS = [
        'name' => 'Report',
        'font' => 'Literata',
        'heading_font' => 'Literata',
        'size' => 11.0,
        'heading_sizes' => [16.0, 13.5, 12.0],
        'line' => 1.25,
        'gap' => 6.0,
        'first_line' => 0.0,
        'margins' => [25.0, 25.0, 25.0, 25.0],
        'paper' => null,
        'breaks' => false,
        'has_title_page' => false,
        'title_fields' => ['subtitle', 'author'],
        'is_title_centred' => false,
        'header' => ['', '', ''],
        'footer' => ['{title}', '', '{page}'],
        'logo' => null,
        'is_dyed' => false,
        'is_justified' => false,
        'is_hyphenated' => false,
    ];
    /** In millimetres, upright. */
    public const PAPERS = ['a4' => [210.0, 297.0], 'a5' => [148.0, 210.0], 'letter' => [215.9, 279.4], 'legal' => [215.9, 355.6]];
    public const TITLE_FIELDS = ['subtitle', 'author', 'subject', 'words', 'date'];
    /** What the writer may name in the head and foot of a page, in braces. */
    public const FIELDS = ['title', 'author', 'section', 'page', 'pages', 'date', 'subject', 'logo'];
    public const POINTS = 72 / 25.4;
    /** Of a draft, in whichever format: text, what is set back, rules, grounds (of code, heads of tables), links, what is highlighted. */
    public const INK = '#221b2b';
    public const SOFT = '#5e5668';
    public const RULE = '#8a8494';
    public const GROUND = '#f1f0f4';
    public const LINK = '#2f6690';
    public const HIGHLIGHT = '#f8f4cf';
    /** How high a line is that is set single, by its size. */
    public const SINGLE = 1.2;
    /** How much larger a picture on a topic is in a draft than on the map. */
    public const PICTURE = 1.5;
    /** What a word processor takes on a machine that lacks a font. */
    public const SUBSTITUTES = ['serif' => 'Georgia', 'sans' => 'Arial', 'mono' => 'Courier New'];
    /** How far a sheet may be from a size of paper and still be of it, in millimetres. */
    private const NEAR = 3.0;
    private const LABELS = ['report' => 'Report', 'essay' => 'Essay, double spaced', 'manuscript' => 'Manuscript', 'plain' => 'Plain'];

    /**
     * @param float        $size     of the text, in points; the sizes of headings for levels 1 to 3, deeper ones as the third
     * @param list<float>  $headingSizes
     * @param float        $line     how far lines stand apart, as a multiple of single spacing
     * @param float        $gap      after a paragraph, in points
     * @param float        $firstLine how far the first line of a paragraph is set in, in millimetres
     * @param list<float>  $margins  top, right, bottom, left, in millimetres
     * @param string|null  $paper    one of PAPERS; null: as the plan has it
     * @param bool         $breaks   whether each main section begins a page
     * @param list<string> $titleFields of TITLE_FIELDS, under the title, in their order
     * @param list<string> $header   left, centre, right, with fields in braces
     * @param list<string> $footer
     * @param string|null  $logo     the id of a picture of the plan, for {logo}
     * @param bool         $isDyed   whether headings take the colour of their section
     * @param bool         $isHyphenated whether words of the text are divided at the ends of lines
     */
    public function __construct(
        public string $name,
        public string $font,
        public string $headingFont,
        public float $size,
        public array $headingSizes,
        public float $line,
        public float $gap,
        public float $firstLine,
        public array $margins,
        public ?string $paper,
        public bool $breaks,
        public bool $hasTitlePage,
        public array $titleFields,
        public bool $isTitleCentred,
        public array $header,
        public array $footer,
        public ?string $logo,
        public bool $isDyed,
        public bool $isJustified,
        public bool $isHyphenated,
    ) {}

    /** @param string $name of one of our own; the report where there is none of that name */
    public static function own(string $name = 'report'): self
    {
        return self::of(['name' => self::LABELS[$name] ?? self::LABELS['report']] + (self::OWN[$name] ?? []));
    }

    /** @return array<string, string> name → label */
    public static function labels(): array
    {
        return self::LABELS;
    }

    /**
     * @param array<array-key, mixed> $given some of the keys of DEFAULTS
     *
     * @throws MalformedShape naming the setting that does not fit
     */
    public static function of(array $given): self
    {
        $unknown = array_diff_key($given, self::DEFAULTS);
        if ($unknown !== []) {
            throw MalformedShape::expected('a setting of a style', 'style.' . array_key_first($unknown));
        }
        $all = new Shape($given + self::DEFAULTS, 'style');
        $paper = $all->stringOr('paper', null);
        $logo = $all->stringOr('logo', null);

        return new self(
            self::text($all->string('name'), 'name', 80),
            self::font($all, 'font'),
            self::font($all, 'heading_font'),
            $all->number('size', 6.0, 36.0),
            $all->numbers('heading_sizes', 3, 6.0, 72.0),
            $all->number('line', 0.8, 3.0),
            $all->number('gap', 0.0, 72.0),
            $all->number('first_line', 0.0, 60.0),
            $all->numbers('margins', 4, 5.0, 80.0),
            $paper === null || isset(self::PAPERS[$paper]) ? $paper : throw MalformedShape::expected('a size of paper', 'style.paper'),
            $all->bool('breaks'),
            $all->bool('has_title_page'),
            self::among($all, 'title_fields', self::TITLE_FIELDS),
            $all->bool('is_title_centred'),
            self::running($all, 'header'),
            self::running($all, 'footer'),
            $logo === null || preg_match('/\A[0-9a-f]{64}\z/', $logo) === 1
                ? $logo
                : throw MalformedShape::expected('a picture', 'style.logo'),
            $all->bool('is_dyed'),
            $all->bool('is_justified'),
            $all->bool('is_hyphenated'),
        );
    }

    private static function text(string $text, string $key, int $most): string
    {
        $text = \Embrel\RichText\Text::line($text);

        return mb_strlen($text) <= $most ? $text : throw MalformedShape::expected("a text of at most {$most} characters", "style.{$key}");
    }

    private static function font(Shape $all, string $key): string
    {
        $font = $all->string($key);

        return self::isFont($font) ? $font : throw MalformedShape::expected('the name of a font', "style.{$key}");
    }

    /** Whether it can be the name of a font, and nothing that would break out of where names of fonts stand. */
    public static function isFont(string $name): bool
    {
        return preg_match('/\A[\p{L}\p{N}][\p{L}\p{N} _.-]{0,59}\z/u', $name) === 1;
    }

    /**
     * @param list<string> $known
     *
     * @return list<string>
     */
    private static function among(Shape $all, string $key, array $known): array
    {
        $out = [];
        foreach ($all->list($key) as $one) {
            $out[]
                = \is_string($one) && \in_array($one, $known, true)
                    ? $one
                    : throw MalformedShape::expected('one of ' . implode(', ', $known), "style.{$key}");
        }

        return array_values(array_unique($out));
    }

    /** @return list<string> */
    private static function running(Shape $all, string $key): array
    {
        // Left, centre and right.
        return array_map(
            static fn(mixed $one): string => \is_string($one) && mb_check_encoding($one, 'UTF-8')
                ? self::text($one, $key, 200)
                : throw MalformedShape::expected('text', "style.{$key}"),
            $all->several($key, 3),
        );
    }

    /** @return array<string, mixed> what of() takes */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'font' => $this->font,
            'heading_font' => $this->headingFont,
            'size' => $this->size,
            'heading_sizes' => $this->headingSizes,
            'line' => $this->line,
            'gap' => $this->gap,
            'first_line' => $this->firstLine,
            'margins' => $this->margins,
            'paper' => $this->paper,
            'breaks' => $this->breaks,
            'has_title_page' => $this->hasTitlePage,
            'title_fields' => $this->titleFields,
            'is_title_centred' => $this->isTitleCentred,
            'header' => $this->header,
            'footer' => $this->footer,
            'logo' => $this->logo,
            'is_dyed' => $this->isDyed,
            'is_justified' => $this->isJustified,
            'is_hyphenated' => $this->isHyphenated,
        ];
    }

    /** What a font is like, where it itself is not at hand: `serif`, `sans` or `mono`. */
    public static function family(string $font): string
    {
        return match (true) {
            preg_match('/courier|mono|consolas|menlo/i', $font) === 1 => 'mono',
            preg_match('/atkinson|hyperlegible|arial|helvetica|calibri|verdana|tahoma|trebuchet|segoe|open sans|\bsans\b/i', $font) === 1
                => 'sans',
            default => 'serif',
        };
    }

    /** Of the subtitle, in points. */
    public function subtitleSize(): float
    {
        return $this->size * 1.2;
    }

    /** Of code and captions, in points. */
    public function smallSize(): float
    {
        return $this->size * 0.88;
    }

    /** Of footnotes and of what runs at the head and foot of a page, in points. */
    public function footSize(): float
    {
        return $this->size * 0.82;
    }

    /** Of what belongs to a section, under it, in points. */
    public function seeAlsoSize(): float
    {
        return $this->size * 0.92;
    }

    /** Of a heading, in points. */
    public function headingSize(int $level): float
    {
        return $this->headingSizes[min(3, max(1, $level)) - 1];
    }

    /** @return string|null one of PAPERS, by a size in millimetres; null: none of them */
    public static function paperOf(float $width, float $height): ?string
    {
        foreach (self::PAPERS as $name => [$across, $down]) {
            if (abs($width - $across) < self::NEAR && abs($height - $down) < self::NEAR) {
                return $name;
            }
        }

        return null;
    }

    /**
     * @param string $planned the size of paper that the plan has
     *
     * @return array{float, float} width and height in points
     */
    public function page(string $planned): array
    {
        [$width, $height] = self::PAPERS[$this->paper ?? $planned] ?? self::PAPERS['a4'];

        return [$width * self::POINTS, $height * self::POINTS];
    }

    /** @return array{float, float, float, float} top, right, bottom, left, in points */
    public function edges(): array
    {
        [$top, $right, $bottom, $left] = array_map(static fn(float $one): float => $one * self::POINTS, $this->margins) + [
            0.0,
            0.0,
            0.0,
            0.0,
        ];

        return [$top, $right, $bottom, $left];
    }

    public function hasHeader(): bool
    {
        return implode('', $this->header) !== '';
    }

    public function hasFooter(): bool
    {
        return implode('', $this->footer) !== '';
    }

    /**
     * What runs at the head or foot of a page, in pieces.
     *
     * @return list<array{string, bool}> a text, or the name of a field
     */
    public static function pieces(string $running): array
    {
        $pieces = [];
        $fields = implode('|', self::FIELDS);
        $these = preg_split("/(\\{(?:{$fields})\\})/", $running, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ($these as $piece) {
            $isField = preg_match('/\A\{([a-z]+)\}\z/', $piece, $m) === 1 && \in_array($m[1], self::FIELDS, true);
            $pieces[] = [$isField ? $m[1] : $piece, $isField];
        }

        return $pieces;
    }
}
