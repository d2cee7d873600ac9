<?php

declare(strict_types=1);

namespace Embrel\Reader\Odt;

use Embrel\Archive\Xml;

/** The styles of an OpenDocument text: what each says of a paragraph, of a run or of a list. */
final class OdtStyles
{
    private const ROLES = [
        'title' => 'title',
        'subtitle' => 'subtitle',
        'author' => 'author',
        'quotations' => 'quote',
        'quote' => 'quote',
        'block text' => 'quote',
        'caption' => 'caption',
        'illustration' => 'caption',
        'figure' => 'caption',
        'preformatted text' => 'code',
        'code' => 'code',
        'html preformatted' => 'code',
        'contents heading' => 'toc',
        'toc heading' => 'toc',
        'horizontal line' => 'rule',
        'see also' => 'see-also',
        'bibliography 1' => 'reference',
        'bibliography' => 'reference',
        'references' => 'reference',
    ];
    private const NO_MARKS = [
        'internet link',
        'visited internet link',
        'footnote anchor',
        'footnote symbol',
        'endnote anchor',
        'endnote symbol',
        'index link',
    ];

    /**
     * @var array<string, array{name: string, parent: string, level: int|null, list: string, run: array<string, bool>, hasRule: bool}> by family and name
     */
    private array $styles = [];
    /** @var array<string, array<int, array{bool, int}>> list style → level from 1 → whether it counts, and from what */
    private array $lists = [];
    /** @var array<string, bool> */
    private array $monospaced = [];

    /** A part's styles, whichever of its groups they stand in. */
    public function read(Xml $xml): void
    {
        foreach ($xml->children() as $name) {
            $this->one($xml, $name);
        }
    }

    private function one(Xml $xml, string $name): void
    {
        if ($name === 'style') {
            $this->style($xml);
        } elseif ($name === 'list-style') {
            $this->lists[(string) $xml->get('style:name')] = self::levels($xml);
        }
    }

    /** The declared fonts: which of them are monospaced. */
    public function fonts(Xml $xml): void
    {
        foreach ($xml->children() as $name) {
            $family = (string) $xml->get('svg:font-family');
            $this->monospaced[(string) $xml->get('style:name')] = $xml->get('style:font-pitch') === 'fixed' || self::isMonospaced($family);
        }
    }

    private static function isMonospaced(string $font): bool
    {
        return preg_match('/mono|courier|consolas|menlo|typewriter|\bcode\b/i', $font) === 1;
    }

    private function style(Xml $xml): void
    {
        $key = $xml->get('style:family') . ':' . $xml->get('style:name');
        $level = $xml->get('style:default-outline-level');
        $style = [
            'name' => strtolower((string) ($xml->get('style:display-name') ?? str_replace('_20_', ' ', (string) $xml->get('style:name')))),
            'parent' => (string) $xml->get('style:parent-style-name'),
            'level' => $level === null || $level === '' ? null : (int) $level,
            'list' => (string) $xml->get('style:list-style-name'),
            'run' => [],
            'hasRule' => false,
        ];
        foreach ($xml->children() as $name) {
            if ($name === 'text-properties') {
                $style['run'] = $this->run($xml);
            } elseif ($name === 'paragraph-properties') {
                $border = $xml->get('fo:border-bottom');
                $style['hasRule'] = $border !== null && $border !== 'none' && ($xml->get('fo:border-top') ?? 'none') === 'none';
            }
        }
        $this->styles[$key] = $style;
    }

    /** @return array<string, bool> */
    private function run(Xml $xml): array
    {
        $run = [];
        $given = static fn(string $name): ?string => $xml->get($name);
        if (($weight = $given('fo:font-weight')) !== null) {
            $run['bold'] = $weight === 'bold' || (int) $weight >= 600;
        }
        if (($style = $given('fo:font-style')) !== null) {
            $run['italic'] = $style !== 'normal';
        }
        if (($line = $given('style:text-underline-style')) !== null) {
            $run['underline'] = $line !== 'none';
        }
        if (($line = $given('style:text-line-through-style') ?? $given('style:text-line-through-type')) !== null) {
            $run['strike'] = $line !== 'none';
        }
        if (($ground = $given('fo:background-color')) !== null) {
            $run['highlight'] = $ground !== 'transparent' && strtolower($ground) !== '#ffffff';
        }
        if (($place = $given('style:text-position')) !== null) {
            $run['superscript'] = str_starts_with($place, 'super') || (int) $place > 0;
            $run['subscript'] = str_starts_with($place, 'sub') || (int) $place < 0;
        }
        if (($font = $given('style:font-name')) !== null) {
            $run['code'] = $this->monospaced[$font] ?? self::isMonospaced($font);
        } elseif (($font = $given('fo:font-family')) !== null) {
            $run['code'] = self::isMonospaced($font);
        }
        if ($given('text:display') === 'none') {
            $run['hidden'] = true;
        }

        return $run;
    }

    /** @return array<int, array{bool, int}> */
    private static function levels(Xml $xml): array
    {
        $levels = [];
        foreach ($xml->children() as $name) {
            $level = (int) $xml->get('text:level');
            $counts = $name === 'list-level-style-number' && (string) $xml->get('style:num-format') !== '';
            $levels[$level] = [$counts, max(0, (int) ($xml->get('text:start-value') ?? '1'))];
        }

        return $levels;
    }

    public function role(string $style): string
    {
        foreach ($this->chain("paragraph:{$style}") as $one) {
            $role = self::ROLES[$one['name']] ?? null;
            if ($role !== null) {
                return $role;
            }
            if (preg_match('/\Acontents \d+\z|\A(?:illustration|table|object|user) index|\Aindex \d\z/', $one['name']) === 1) {
                return 'toc';
            }
            if (preg_match('/\Anote heading ([1-3])\z/', $one['name'], $m) === 1) {
                return "note-heading-{$m[1]}";
            }
            if ($one['hasRule']) {
                return 'rule';
            }
        }

        return '';
    }

    /** The heading level of a paragraph style, from 1; null for text. */
    public function level(string $style): ?int
    {
        foreach ($this->chain("paragraph:{$style}") as $one) {
            if ($one['level'] !== null) {
                return $one['level'] >= 1 ? $one['level'] : null;
            }
        }

        return null;
    }

    /** @return array<string, bool> */
    public function runOf(string $family, string $style): array
    {
        $run = [];
        foreach ($this->chain("{$family}:{$style}") as $one) {
            if (\in_array($one['name'], self::NO_MARKS, true)) {
                return [];
            }
            $run += $one['run'];
        }

        return $run;
    }

    /** @return array{bool, int} whether it counts, and from what */
    public function listAt(string $style, int $level): array
    {
        $levels = $this->lists[$style] ?? [];

        // A list style need not say anything of the deepest levels.
        return $levels[$level] ?? ($levels === [] ? [false, 1] : [$levels[max(array_keys($levels))][0], 1]);
    }

    /** @return \Generator<array{name: string, parent: string, level: int|null, list: string, run: array<string, bool>, hasRule: bool}> */
    private function chain(string $key): \Generator
    {
        $family = strstr($key, ':', true) . ':';
        for ($steps = 0; isset($this->styles[$key]) && $steps < 30; ++$steps) {
            yield $this->styles[$key];
            $key = $family . $this->styles[$key]['parent'];
        }
    }
}
