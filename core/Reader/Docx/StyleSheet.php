<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\Xml;

/** The styles part: what each style says of a paragraph or of a run, followed through what it is based on. */
final class StyleSheet
{
    /** What a paragraph is by the name of its style, in lower case; the names of a word processor's own styles are English in the file. */
    private const ROLES = [
        'title' => 'title',
        'subtitle' => 'subtitle',
        'author' => 'author',
        'quote' => 'quote',
        'intense quote' => 'quote',
        'block text' => 'quote',
        'quotations' => 'quote',
        'caption' => 'caption',
        'figure' => 'caption',
        'illustration' => 'caption',
        'code' => 'code',
        'html preformatted' => 'code',
        'preformatted text' => 'code',
        'plain text' => 'code',
        'macro' => 'code',
        'toc heading' => 'contents-title',
        'contents heading' => 'contents-title',
        'bibliography' => 'reference',
        'bibliography 1' => 'reference',
        'references' => 'reference',
        'footnote text' => '',
        'header' => 'header',
        'footer' => 'header',
        'see also' => 'see-also',
        'list continue' => 'continue',
        'list continue 2' => 'continue',
        'list continue 3' => 'continue',
    ];
    /** Styles whose underline or raised sign says what the run is, not how it is set. */
    private const NO_MARKS = [
        'hyperlink',
        'internet link',
        'visited internet link',
        'followedhyperlink',
        'footnote reference',
        'endnote reference',
        'footnote characters',
        'footnote anchor',
        'endnote characters',
        'index link',
    ];

    /**
     * @var array<string, array{name: string, type: string, basedOn: string, level: int|null, list: array{string, int}|null, run: array<string, bool>}>
     */
    private array $styles = [];
    private string $default = '';
    /** @var array<string, int|null> */
    private array $levels = [];
    /** @var array<string, array<string, bool>> */
    private array $runs = [];

    public static function read(?Xml $xml): self
    {
        $sheet = new self();
        if ($xml === null) {
            return $sheet;
        }
        $xml->root();
        foreach ($xml->children() as $name) {
            if ($name === 'style') {
                $sheet->style($xml);
            }
        }

        return $sheet;
    }

    private function style(Xml $xml): void
    {
        $id = (string) $xml->get('w:styleId');
        $style = ['name' => '', 'type' => (string) $xml->get('w:type'), 'basedOn' => '', 'level' => null, 'list' => null, 'run' => []];
        if ($style['type'] === 'paragraph' && \in_array($xml->get('w:default'), ['1', 'true', 'on'], true)) {
            $this->default = $id;
        }
        foreach ($xml->children() as $name) {
            match ($name) {
                'name' => ($style['name'] = strtolower((string) $xml->get('w:val'))),
                'basedOn' => ($style['basedOn'] = (string) $xml->get('w:val')),
                'pPr' => ([$style['level'], $style['list']] = self::paragraph($xml)),
                'rPr' => ($style['run'] = self::run($xml)),
                default => null,
            };
        }
        $this->styles[$id] = $style;
    }

    /** @return array{int|null, array{string, int}|null} outline level from 0 (9: body text); list and level */
    private static function paragraph(Xml $xml): array
    {
        $level = $list = null;
        foreach ($xml->children() as $name) {
            if ($name === 'outlineLvl') {
                $level = (int) $xml->get('w:val');
            } elseif ($name === 'numPr') {
                $list = self::list($xml);
            }
        }

        return [$level, $list];
    }

    /** @return array{string, int} the number of the list, empty where only the level is given; and the level from 0 */
    public static function list(Xml $xml): array
    {
        $number = '';
        $level = 0;
        foreach ($xml->children() as $name) {
            if ($name === 'numId') {
                $number = (string) $xml->get('w:val');
            } elseif ($name === 'ilvl') {
                $level = max(0, min(8, (int) $xml->get('w:val')));
            }
        }

        return [$number, $level];
    }

    /** @return array<string, bool> mark → whether it is set; `style` is not among them */
    public static function run(Xml $xml): array
    {
        $run = [];
        foreach ($xml->children() as $name) {
            $value = $xml->get('w:val');
            $isOn = !\in_array($value, ['0', 'false', 'off', 'none'], true);
            match ($name) {
                'b' => ($run['bold'] = $isOn),
                'i' => ($run['italic'] = $isOn),
                'u' => ($run['underline'] = $isOn),
                'strike', 'dstrike' => ($run['strike'] = $isOn),
                'highlight' => ($run['highlight'] = $isOn),
                'vanish' => ($run['hidden'] = $isOn),
                'vertAlign' => ($run = ['superscript' => $value === 'superscript', 'subscript' => $value === 'subscript'] + $run),
                'rFonts' => ($run['code'] = self::isMonospaced((string) ($xml->get('w:ascii') ?? $xml->get('w:hAnsi')))),
                'rStyle' => ($run["style:{$value}"] = true),
                default => null,
            };
        }

        return $run;
    }

    private static function isMonospaced(string $font): bool
    {
        return preg_match('/mono|courier|consolas|menlo|typewriter|\bcode\b|lucida console/i', $font) === 1;
    }

    /** The heading level of a style, from 1; null for text. */
    public function level(string $style): ?int
    {
        if (\array_key_exists($style, $this->levels)) {
            return $this->levels[$style];
        }
        $level = null;
        foreach ($this->chain($style) as $one) {
            if ($one['level'] !== null) {
                $level = $one['level'] <= 8 ? $one['level'] + 1 : null;
                break;
            }
            if (preg_match('/\Aheading ([1-9])\z/', $one['name'], $m) === 1) {
                $level = (int) $m[1];
                break;
            }
        }

        return $this->levels[$style] = $level;
    }

    /** What its name, or that of a style it is based on, says of a paragraph: `quote`, `toc`, `note-heading-2`…; empty for nothing. */
    public function role(string $style): string
    {
        foreach ($this->chain($style) as $one) {
            $role = self::ROLES[$one['name']] ?? null;
            if ($role !== null) {
                return $role;
            }
            if (
                preg_match(
                    '/\A(?:toc|contents) \d\z|\Atable of (?:figures|contents|authorities)\z|\Aindex (?:\d|heading)\z/',
                    $one['name'],
                ) === 1
            ) {
                return 'toc';
            }
            if (preg_match('/\Anote heading ([1-3])\z/', $one['name'], $m) === 1) {
                return "note-heading-{$m[1]}";
            }
        }

        return '';
    }

    /** @return array{string, int}|null the list that a style is in */
    public function listOf(string $style): ?array
    {
        foreach ($this->chain($style) as $one) {
            if ($one['list'] !== null) {
                return $one['list'];
            }
        }

        return null;
    }

    /** @return array<string, bool> what a style sets on its runs */
    public function runOf(string $style): array
    {
        if (isset($this->runs[$style])) {
            return $this->runs[$style];
        }
        $run = [];
        foreach ($this->chain($style) as $one) {
            if (\in_array($one['name'], self::NO_MARKS, true)) {
                return $this->runs[$style] = [];
            }
            $run += $one['run'];
        }

        return $this->runs[$style] = $run;
    }

    /** The name of a built-in style by its id: Heading1 is heading 1, TOCHeading is toc heading. */
    private static function builtIn(string $id): string
    {
        return strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z0-9])|(?<=[A-Z])(?=[A-Z][a-z]|\d)/', ' ', $id));
    }

    public function default(): string
    {
        return $this->default;
    }

    /**
     * @return \Generator<array{name: string, type: string, basedOn: string, level: int|null, list: array{string, int}|null, run: array<string, bool>}>
     */
    private function chain(string $style): \Generator
    {
        if ($style !== '' && !isset($this->styles[$style])) {
            // A style that the file does not define is the standard's own: ISO/IEC 29500-1, 17.7.4.9 and annex, names by id.
            yield ['name' => self::builtIn($style), 'type' => 'paragraph', 'basedOn' => '', 'level' => null, 'list' => null, 'run' => []];

            return;
        }
        for ($steps = 0; isset($this->styles[$style]) && $steps < 30; ++$steps) {
            yield $this->styles[$style];
            $style = $this->styles[$style]['basedOn'];
        }
    }
}
