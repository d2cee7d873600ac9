<?php

declare(strict_types=1);

namespace Embrel\Writer\Odt;

use Embrel\Document\Style;
use Embrel\Writer\RunningText;

/** What an OpenDocument template looks like, as settings of a style: as the other kind of template is read. */
final class TemplateLook
{
    private const FIELDS = [
        'page-number' => '{page}',
        'page-count' => '{pages}',
        'title' => '{title}',
        'author-name' => '{author}',
        'initial-creator' => '{author}',
        'creator' => '{author}',
        'subject' => '{subject}',
        'date' => '{date}',
        'modification-date' => '{date}',
        'chapter' => '{section}',
    ];
    private const MILLIMETRES = ['cm' => 10.0, 'mm' => 1.0, 'in' => 25.4, 'pt' => 1 / Style::POINTS];

    private readonly \DOMXPath $path;

    public function __construct(\DOMDocument $styles)
    {
        $this->path = new \DOMXPath($styles);
        foreach (
            [
                'style' => 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
                'fo' => 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0',
                'text' => 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
                'draw' => 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0',
                'svg' => 'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0',
                'table' => 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
                'xlink' => 'http://www.w3.org/1999/xlink',
            ] as $prefix => $namespace
        ) {
            $this->path->registerNamespace($prefix, $namespace);
        }
    }

    /**
     * @param array<string, string> $chosen our style → the one of the template
     *
     * @return array<string, mixed> settings of Style
     */
    public function text(array $chosen): array
    {
        $body = $chosen['BodyText'] ?? 'Standard';
        $size = $this->size($body, 6.0, 36.0);
        $look = $size === null ? [] : ['size' => $size];
        $sizes = array_map(
            fn(int $level): ?float => isset($chosen["Heading{$level}"]) ? $this->size($chosen["Heading{$level}"], 6.0, 72.0) : null,
            [1, 2, 3],
        );
        if ($sizes[0] !== null) {
            $look['heading_sizes'] = [$sizes[0], $sizes[1] ?? $sizes[0], $sizes[2] ?? ($sizes[1] ?? $sizes[0])];
        }
        $font = $this->font($body);
        $look
            += $font === null
                ? []
                : ['font' => $font, 'heading_font' => (isset($chosen['Heading1']) ? $this->font($chosen['Heading1']) : null) ?? $font];
        $line = (string) $this->value($body, 'style:paragraph-properties/@fo:line-height');
        if (preg_match('/\A(\d+(?:\.\d+)?)%\z/', $line, $m) === 1) {
            $look['line'] = max(0.8, min(3.0, (float) $m[1] / 100));
        }
        $look['gap'] = round(
            max(
                0.0,
                min(72.0, self::millimetres((string) $this->value($body, 'style:paragraph-properties/@fo:margin-bottom')) * Style::POINTS),
            ),
            1,
        );
        $look['first_line'] = round(
            max(0.0, min(60.0, self::millimetres((string) $this->value($body, 'style:paragraph-properties/@fo:text-indent')))),
            1,
        );
        $look['is_justified'] = $this->value($body, 'style:paragraph-properties/@fo:text-align') === 'justify';

        return $look;
    }

    /** @return array<string, mixed> margins, paper, head and foot */
    public function page(): array
    {
        $layout
            = $this->one(
                "//style:page-layout[@style:name=//style:master-page[@style:name='Standard']/@style:page-layout-name]/style:page-layout-properties",
            ) ?? $this->one('//style:page-layout/style:page-layout-properties');
        $page = ['header' => $this->running('header'), 'footer' => $this->running('footer')];
        if ($layout instanceof \DOMElement) {
            $at = fn(string $name): string => $this->attribute($layout, $name);
            $page['margins'] = array_map(
                static fn(string $side): float => round(
                    max(5.0, min(80.0, self::millimetres($at("fo:margin-{$side}") ?: $at('fo:margin') ?: '20mm'))),
                    1,
                ),
                ['top', 'right', 'bottom', 'left'],
            );
            $page['paper'] = Style::paperOf(self::millimetres($at('fo:page-width')), self::millimetres($at('fo:page-height')));
        }

        return $page;
    }

    /** The picture in the head or foot, by its name in the package. */
    public function logo(): ?string
    {
        return $this->one('(//style:master-page/style:header | //style:master-page/style:footer)//draw:image/@xlink:href')?->nodeValue;
    }

    /** @return list<string> */
    private function running(string $line): array
    {
        $running = new RunningText();
        $master
            = $this->one("//style:master-page[@style:name='Standard']/style:{$line}") ?? $this->one("//style:master-page/style:{$line}");
        foreach (
            $master === null ? [] : ($this->path->query('.//text:p[not(ancestor::text:p)] | .//text:h', $master) ?: []) as $paragraph
        ) {
            if (!($paragraph instanceof \DOMElement)) {
                continue;
            }
            $before = $this->count('ancestor::table:table-cell[1]/preceding-sibling::table:table-cell', $paragraph);
            $after = $this->count('ancestor::table:table-cell[1]/following-sibling::table:table-cell', $paragraph);
            $own = (string) $this->value($this->attribute($paragraph, 'text:style-name'), 'style:paragraph-properties/@fo:text-align');
            $running->paragraph($before === 0 ? $own : ($after > 0 ? 'center' : 'end'));
            $this->within($paragraph, $running);
        }

        return $running->thirds();
    }

    private function within(\DOMElement $element, RunningText $running): void
    {
        foreach ($element->childNodes as $node) {
            if ($node instanceof \DOMText) {
                $running->put((string) preg_replace('/\s+/u', ' ', $node->data));
            } elseif ($node instanceof \DOMElement) {
                match (true) {
                    $node->localName === 'tab' => $running->tab(),
                    $node->localName === 's' => $running->put(' '),
                    $node->localName === 'image' => $running->put('{logo}'),
                    isset(self::FIELDS[(string) $node->localName]) && $node->prefix !== 'svg' => $running->put(
                        self::FIELDS[(string) $node->localName],
                    ),
                    default => $this->within($node, $running),
                };
            }
        }
    }

    /** What a style, the nearest one that it is based on, or the default says. */
    private function value(string $style, string $query): ?string
    {
        for ($i = 0; $i < 20 && $style !== '' && !str_contains($style, "'"); ++$i) {
            $found = $this->one("//style:style[@style:family='paragraph'][@style:name='{$style}']");
            if ($found === null) {
                break;
            }
            $value = $this->one($query, $found)?->nodeValue;
            if ($value !== null) {
                return $value;
            }
            $style = $this->one('@style:parent-style-name', $found)->nodeValue ?? '';
        }

        return $this->one("//style:default-style[@style:family='paragraph']/{$query}")?->nodeValue;
    }

    private function size(string $style, float $least, float $most): ?float
    {
        $size = (string) $this->value($style, 'style:text-properties/@fo:font-size');
        // A heading may be a share of the text.
        $points = str_ends_with($size, '%')
            ? ((float) $this->value('Standard', 'style:text-properties/@fo:font-size') * (float) $size) / 100
            : self::millimetres($size) * Style::POINTS;

        return $points > 0.0 ? round(max($least, min($most, $points)), 1) : null;
    }

    private function font(string $style): ?string
    {
        $named = (string) $this->value($style, 'style:text-properties/@style:font-name');
        $face = str_contains($named, "'") ? null : $this->one("//style:font-face[@style:name='{$named}']/@svg:font-family")?->nodeValue;
        foreach ([$face, $this->value($style, 'style:text-properties/@fo:font-family'), $named] as $name) {
            $name = trim(explode(',', (string) $name)[0], " '\"");
            if (Style::isFont($name)) {
                return $name;
            }
        }

        return null;
    }

    private function attribute(\DOMElement $element, string $name): string
    {
        return $this->one("@{$name}", $element)->nodeValue ?? '';
    }

    private function count(string $query, \DOMNode $from): int
    {
        $found = $this->path->query($query, $from);

        return $found === false ? 0 : $found->length;
    }

    private function one(string $query, ?\DOMNode $from = null): ?\DOMNode
    {
        $found = ($this->path->query($query, $from) ?: null)?->item(0);

        return $found instanceof \DOMNode ? $found : null;
    }

    private static function millimetres(string $length): float
    {
        return preg_match('/\A(-?[\d.]+)(cm|mm|in|pt)\z/', $length, $m) === 1 ? (float) $m[1] * self::MILLIMETRES[$m[2]] : 0.0;
    }
}
