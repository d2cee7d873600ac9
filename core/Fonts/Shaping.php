<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/**
 * The text of one document that widths alone do not set: what the shipped fonts do not hold, and what is read from right to
 * left. Whoever sets it asks for what it meets; what was asked for is shaped at once, and then it is set again.
 */
final class Shaping
{
    /** @var array<string, array{face: string, text: string, isRightToLeft: bool}> */
    private array $wanted = [];
    /** @var array<string, list<Glyphs|string>> face, direction and text → its parts as they are read; a string for what nothing draws */
    private array $shaped = [];
    /** @var list<Glyphs> */
    private array $kept = [];
    /** @var array<string, true> */
    private array $unordered = [];
    /** @var array<string, list<int>> paragraph → its level, then those of its signs */
    private array $levels = [];
    /** @var array<string, int> script → how many of its signs are asked for that nothing draws */
    private array $missing = [];
    private bool $hasFailed = false;

    public function __construct(
        public readonly ?Shaper $shaper,
        public readonly InstalledFonts $fonts,
        private readonly string $language,
    ) {}

    /**
     * @param \Closure(string): bool $isHeld whether the face itself holds a sign
     *
     * @return list<Glyphs|string>|null null: not yet
     */
    public function glyphs(string $text, string $face, bool $isRightToLeft, \Closure $isHeld): ?array
    {
        $key = "{$face} " . ($isRightToLeft ? 'r' : 'l') . " {$text}";
        if (isset($this->shaped[$key])) {
            return $this->shaped[$key];
        }
        if ($this->shaper === null) {
            $this->miss($text, $isHeld);

            return $this->shaped[$key] = [$text];
        }
        $this->wanted[$key] = ['face' => $face, 'text' => $text, 'isRightToLeft' => $isRightToLeft];

        return null;
    }

    /** Glyphs that pages can name by a number: these may stand on many, and a page is kept small. */
    public function kept(Glyphs $glyphs): Glyphs
    {
        return $this->kept[] = new Glyphs($glyphs->font, $glyphs->text, $glyphs->glyphs, $glyphs->isRightToLeft, \count($this->kept));
    }

    public function of(int $id): Glyphs
    {
        return $this->kept[$id] ?? throw new \OutOfBoundsException("Nothing was shaped as {$id}.");
    }

    /** @return list<int>|null the level of a paragraph, then that of each of its signs; null: not yet, or nothing orders it */
    public function levels(string $paragraph): ?array
    {
        $paragraph = strtr($paragraph, "\n\r\t", '   ');
        if (!isset($this->levels[$paragraph]) && $this->shaper !== null) {
            $this->unordered[$paragraph] = true;
        }

        return $this->levels[$paragraph] ?? null;
    }

    /**
     * Makes something of text, and once more where it asked for text that had to be shaped or ordered first.
     *
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return T
     */
    public function settled(\Closure $make): mixed
    {
        $made = $make();
        // What is read from right to left is only known, and asked for in that way, when its order is.
        for ($again = 0; $again < 2 && $this->isAsked(); ++$again) {
            $this->fulfil();
            $made = $make();
        }

        return $made;
    }

    /** Whether something is asked for that is not shaped: what is made meanwhile is made once more. */
    public function isAsked(): bool
    {
        return $this->wanted !== [] || $this->unordered !== [];
    }

    private function fulfil(): void
    {
        $shaper = $this->shaper;
        if ($shaper === null) {
            return;
        }
        if ($this->unordered !== []) {
            $paragraphs = array_map(strval(...), array_keys($this->unordered));
            $this->levels += $this->tried(static fn(): array => array_combine($paragraphs, $shaper->levels($paragraphs)))
                ?? array_fill_keys($paragraphs, [0]);
            $this->unordered = [];
        }
        $runs = $of = [];
        $parts = [];
        foreach ($this->wanted as $key => ['face' => $face, 'text' => $text, 'isRightToLeft' => $isRightToLeft]) {
            $parts[$key] = array_column($items = $this->itemized($text, $face), 'part');
            foreach ($items as $k => ['part' => $part, 'name' => $name]) {
                $font = $name === null ? null : $this->fonts->font($name);
                if ($name !== null && $font !== null) {
                    $of[] = [$key, $k];
                    $runs[] = ['font' => $font, 'name' => $name, 'text' => $part, 'isRightToLeft' => $isRightToLeft];
                }
            }
        }
        $shaped = $runs === [] ? [] : $this->tried(fn(): array => $shaper->shape($runs, $this->language));
        foreach ($shaped === null ? $runs : [] as ['text' => $text]) {
            $this->lacks(self::script($text));
        }
        foreach ($shaped ?? [] as $i => $glyphs) {
            $parts[$of[$i][0]][$of[$i][1]] = $this->kept($glyphs);
        }
        foreach ($parts as $key => $these) {
            $this->shaped[$key] = array_values($these);
        }
        $this->wanted = [];
    }

    /**
     * A program that fails takes no document with it: what it was to shape stands as if it were not there.
     *
     * @template T
     *
     * @param \Closure(): T $ask
     *
     * @return T|null
     */
    private function tried(\Closure $ask): mixed
    {
        try {
            return $ask();
        } catch (\RuntimeException) {
            $this->hasFailed = true;

            return null;
        }
    }

    /**
     * A text in parts that one font draws; signs of no script go with what stands before them.
     *
     * @return list<array{part: string, name: string|null}> part and name of the font; null: none holds it
     */
    private function itemized(string $text, string $face): array
    {
        preg_match_all('/\X/u', $text, $m);
        $scripts = array_map(self::script(...), $m[0]);
        $script = array_values(array_filter($scripts, static fn(string $one): bool => $one !== 'Common'))[0] ?? 'Common';
        $parts = [];
        $last = null;
        foreach ($m[0] as $i => $cluster) {
            $script = $scripts[$i] === 'Common' ? $script : $scripts[$i];
            $stays = $last !== null && ($scripts[$i] === 'Common' || $scripts[$i] === $scripts[$i - 1]) && $this->holds($last, $cluster);
            $name = $stays ? $last : $this->named($cluster, $script, $face);
            $name === null ? $this->lacks($scripts[$i]) : null;
            $before = $parts !== [] && $name === $last ? array_pop($parts)['part'] : '';
            $parts[] = ['part' => $before . $cluster, 'name' => $name];
            $last = $name;
        }

        return $parts;
    }

    private function named(string $cluster, string $script, string $face): ?string
    {
        // What belongs to no script is in the fonts of the scripts that it is written with: its block tells of which.
        $block = \IntlChar::getBlockCode(mb_ord($cluster));
        $block = (string) \IntlChar::getPropertyValueName(\IntlChar::PROPERTY_BLOCK, $block, \IntlChar::LONG_PROPERTY_NAME);
        $block = strtr(explode('_', $block)[0], ['CJK' => 'Han', 'Halfwidth' => 'Han']);
        $own = 'embrel-' . (string) preg_replace('/-italic$/', '', $face);
        $fonts = $this->fonts;
        $names = [...$fonts->names($script, $face, $this->language), $own, ...$fonts->names($block, $face, $this->language)];
        foreach ([...$names, ...$fonts->names('Common', $face, '')] as $name) {
            if ($this->holds($name, $cluster)) {
                return $name;
            }
        }

        return null;
    }

    /** Whether a font has glyphs for all signs of a cluster but those that are never seen. */
    private function holds(string $name, string $cluster): bool
    {
        $font = $this->fonts->font($name);
        if ($font === null) {
            return false;
        }
        foreach (mb_str_split($cluster) as $sign) {
            if ($font->glyph(mb_ord($sign)) === null && preg_match('/\A[\p{Cf}\x{FE00}-\x{FE0F}]\z/u', $sign) !== 1) {
                return false;
            }
        }

        return true;
    }

    /** @return string the script of the first sign that has one, as Unicode names it (UAX #24) */
    private static function script(string $cluster): string
    {
        foreach (mb_str_split($cluster) as $sign) {
            $script = \IntlChar::getIntPropertyValue(mb_ord($sign), \IntlChar::PROPERTY_SCRIPT);
            // Neither Common nor Inherited.
            if ($script > 1) {
                return (string) \IntlChar::getPropertyValueName(\IntlChar::PROPERTY_SCRIPT, $script, \IntlChar::LONG_PROPERTY_NAME);
            }
        }

        return 'Common';
    }

    private function lacks(string $script): void
    {
        $this->missing[$script] = ($this->missing[$script] ?? 0) + 1;
    }

    /** @param \Closure(string): bool $isHeld */
    private function miss(string $text, \Closure $isHeld): void
    {
        preg_match_all('/\X/u', $text, $m);
        foreach ($m[0] as $cluster) {
            if (!$isHeld(mb_substr($cluster, 0, 1))) {
                $this->lacks(self::script($cluster));
            }
        }
    }

    /** @return list<string> what the signs are that stand as question marks, and why, a sentence each */
    public function said(): array
    {
        if ($this->missing === []) {
            return [];
        }
        $named = array_diff(array_keys($this->missing), ['Common']);
        $why = match (true) {
            $this->shaper === null => 'HarfBuzz and FriBidi, which set them, are not installed here.',
            $this->hasFailed => 'HarfBuzz and FriBidi, which set them, failed at it.',
            default => 'No font that is installed here holds them.',
        };

        return [
            ($named === [] ? '' : 'They are of ' . strtr(implode(', ', $named), '_', ' ') . '. ') . $why
                . ' A browser that has fonts for them prints these pages as they should be.',
        ];
    }
}
