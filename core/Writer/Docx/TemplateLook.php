<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Document\Style;
use Embrel\Writer\RunningText;

/**
 * What a word-processor template looks like, as settings of a style: for its pages to be shown, and for drafts
 * in other formats. Values come from a style or the nearest one that it is based on, then from the defaults.
 */
final class TemplateLook
{
    private const FIELDS = [
        'PAGE' => '{page}',
        'NUMPAGES' => '{pages}',
        'SECTIONPAGES' => '{pages}',
        'TITLE' => '{title}',
        'AUTHOR' => '{author}',
        'SUBJECT' => '{subject}',
        'DATE' => '{date}',
        'SAVEDATE' => '{date}',
        'CREATEDATE' => '{date}',
        'TIME' => '{date}',
        'STYLEREF' => '{section}',
    ];

    /** @param \DOMXPath|null $theme the part that names the fonts of headings and text */
    public function __construct(private readonly \DOMXPath $styles, private readonly ?\DOMXPath $theme) {}

    /**
     * @param array<string, string> $chosen our style → the one of the template
     *
     * @return array<string, mixed> settings of Style
     */
    public function text(array $chosen): array
    {
        $default = $this->first('//w:style[@w:type="paragraph"][@w:default="1"]')?->getAttributeNS(Body::W, 'styleId') ?? 'Normal';
        $body = $chosen['BodyText'] ?? $default;
        $size = $this->points($body, 12, 72);
        $look = $size === null ? [] : ['size' => $size];
        $sizes = array_map(
            fn(int $level): ?float => isset($chosen["Heading{$level}"]) ? $this->points($chosen["Heading{$level}"], 12, 144) : null,
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
        $line = $this->attribute($body, 'w:pPr/w:spacing', 'line');
        if ($line !== null && !\in_array($this->attribute($body, 'w:pPr/w:spacing', 'lineRule'), ['exact', 'atLeast'], true)) {
            $look['line'] = max(0.8, min(3.0, (float) $line / 240));
        }
        $look['gap'] = max(0.0, min(72.0, (float) $this->attribute($body, 'w:pPr/w:spacing', 'after') / 20));
        $look['first_line'] = round(
            max(0.0, min(60.0, (float) $this->attribute($body, 'w:pPr/w:ind', 'firstLine') / 20 / Style::POINTS)),
            1,
        );
        $look['is_justified'] = $this->attribute($body, 'w:pPr/w:jc', 'val') === 'both';

        return $look;
    }

    /** @return array<string, mixed> margins and paper */
    public static function page(?\DOMElement $section): array
    {
        $page = [];
        foreach ($section->childNodes ?? [] as $node) {
            if ($node instanceof \DOMElement && $node->localName === 'pgMar') {
                $page['margins'] = array_map(
                    static fn(string $side): float => round(
                        max(5.0, min(80.0, (float) $node->getAttributeNS(Body::W, $side) / 20 / Style::POINTS)),
                        1,
                    ),
                    ['top', 'right', 'bottom', 'left'],
                );
            } elseif ($node instanceof \DOMElement && $node->localName === 'pgSz') {
                $page['paper'] = Style::paperOf(
                    (float) $node->getAttributeNS(Body::W, 'w') / 20 / Style::POINTS,
                    (float) $node->getAttributeNS(Body::W, 'h') / 20 / Style::POINTS,
                );
            }
        }

        return $page;
    }

    /** @return list<string> what the head or foot says, left, centre and right */
    public function running(\DOMXPath $part): array
    {
        $running = new RunningText();
        foreach ($part->query('//w:p[not(ancestor::w:p)]') ?: [] as $paragraph) {
            if ($paragraph instanceof \DOMElement) {
                $running->paragraph($this->align($part, $paragraph));
                $this->runs($part, $paragraph, $running);
            }
        }

        return $running->thirds();
    }

    /** As the paragraph is set; in a table, the cells of a row are left, centre and right. */
    private function align(\DOMXPath $part, \DOMElement $paragraph): string
    {
        $own = self::valueOf($part, 'w:pPr/w:jc/@w:val', $paragraph);
        $own
            = $own !== ''
                    ? $own
                    : (string) $this->attribute(self::valueOf($part, 'w:pPr/w:pStyle/@w:val', $paragraph), 'w:pPr/w:jc', 'val');
        if ($own !== '' || self::count($part, 'ancestor::w:tc[1]/preceding-sibling::w:tc', $paragraph) === 0) {
            return $own;
        }

        return self::count($part, 'ancestor::w:tc[1]/following-sibling::w:tc', $paragraph) > 0 ? 'center' : 'end';
    }

    private static function count(\DOMXPath $part, string $query, \DOMNode $from): int
    {
        $found = $part->query($query, $from);

        return $found === false ? 0 : $found->length;
    }

    private static function valueOf(\DOMXPath $part, string $query, ?\DOMNode $from = null): string
    {
        $found = $part->query($query, $from);

        return $found === false ? '' : (string) $found->item(0)?->nodeValue;
    }

    private function runs(\DOMXPath $part, \DOMElement $paragraph, RunningText $running): void
    {
        $skips = $result = false;
        foreach (
            $part->query('.//w:t | .//w:r/w:tab | .//w:instrText | .//w:fldChar | .//w:fldSimple | .//a:blip', $paragraph) ?: [] as $node
        ) {
            if (!($node instanceof \DOMElement)) {
                continue;
            }
            $simple = self::field(self::valueOf($part, 'ancestor::w:fldSimple[1]/@w:instr', $node));
            switch ($node->localName) {
                case 't':
                    $skips || $simple !== null ? null : $running->put($node->textContent);
                    break;
                case 'tab':
                    $running->tab();
                    break;
                case 'blip':
                    $running->put('{logo}');
                    break;
                case 'fldSimple':
                    $running->put((string) self::field($node->getAttributeNS(Body::W, 'instr')));
                    break;
                case 'instrText':
                    $field = $result ? null : self::field($node->textContent);
                    $field === null ? null : $running->put($field);
                    $skips = $skips || $field !== null;
                    break;
                default:
                    $skips = $node->getAttributeNS(Body::W, 'fldCharType') === 'separate' ? $skips : false;
                    $result = $node->getAttributeNS(Body::W, 'fldCharType') === 'separate';
            }
        }
    }

    private static function field(string $instruction): ?string
    {
        return preg_match('/\A\s*([A-Za-z]+)/', $instruction, $m) === 1 ? self::FIELDS[strtoupper($m[1])] ?? null : null;
    }

    /** @return list<\DOMElement> a style and those that it is based on */
    private function chain(string $id): array
    {
        $chain = [];
        for ($i = 0; $i < 20 && $id !== '' && preg_match('/\A[^"]{1,250}\z/', $id) === 1; ++$i) {
            $style = $this->first("//w:style[@w:styleId=\"{$id}\"]");
            if ($style === null) {
                break;
            }
            $chain[] = $style;
            $id = $this->first('w:basedOn', $style)?->getAttributeNS(Body::W, 'val') ?? '';
        }

        return $chain;
    }

    /** @return list<\DOMElement> where a style, one that it is based on, or the defaults say something: the nearest first */
    private function said(string $style, string $element): array
    {
        $places = array_map(fn(\DOMElement $one): ?\DOMElement => $this->first($element, $one), $this->chain($style));

        return array_values(array_filter([...$places, $this->first('//w:docDefaults//' . basename($element))]));
    }

    private function attribute(string $style, string $element, string $attribute): ?string
    {
        foreach ($this->said($style, $element) as $found) {
            if ($found->hasAttributeNS(Body::W, $attribute)) {
                return $found->getAttributeNS(Body::W, $attribute);
            }
        }

        return null;
    }

    /** Sizes are in half points there. */
    private function points(string $style, int $least, int $most): ?float
    {
        $size = $this->attribute($style, 'w:rPr/w:sz', 'val');

        return $size === null ? null : max($least, min($most, (int) $size)) / 2;
    }

    private function font(string $style): ?string
    {
        foreach ($this->said($style, 'w:rPr/w:rFonts') as $fonts) {
            $themed = $fonts->getAttributeNS(Body::W, 'asciiTheme');
            $kind = str_starts_with($themed, 'major') ? 'majorFont' : 'minorFont';
            $named = $themed === '' || $this->theme === null ? '' : self::valueOf($this->theme, "//a:{$kind}/a:latin/@typeface");
            $name = $named !== '' ? $named : $fonts->getAttributeNS(Body::W, 'ascii');
            if (Style::isFont($name)) {
                return $name;
            }
        }

        return null;
    }

    private function first(string $query, ?\DOMNode $from = null): ?\DOMElement
    {
        $found = ($this->styles->query($query, $from) ?: null)?->item(0);

        return $found instanceof \DOMElement ? $found : null;
    }
}
