<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** What an element puts around its text: type, quotation marks, affixes, the block that it is. */
final readonly class Dress
{
    private const OPENS = [
        'font-style' => ['italic' => Flat::ITALIC, 'oblique' => Flat::ITALIC, 'normal' => Flat::UPRIGHT],
        'font-variant' => ['small-caps' => Flat::SMALL_CAPS, 'normal' => Flat::NO_SMALL_CAPS],
        'font-weight' => ['bold' => Flat::BOLD, 'normal' => Flat::LIGHT, 'light' => Flat::LIGHT],
        'text-decoration' => ['underline' => Flat::UNDERLINE, 'none' => Flat::NO_UNDERLINE],
        'vertical-align' => ['sup' => Flat::RAISED, 'sub' => Flat::LOWERED, 'baseline' => Flat::ON_THE_LINE],
    ];
    private const DISPLAYS = [
        'left-margin' => Flat::LEFT_MARGIN, 'right-inline' => Flat::RIGHT_INLINE, 'block' => Flat::BLOCK, 'indent' => Flat::INDENT,
    ];

    /** Variables that lead nowhere without their stops: none is stripped from them. */
    private const ADDRESSES = ['DOI' => 1, 'URL' => 1];

    private function __construct(
        public string $prefix,
        public string $suffix,
        public string $opens,
        private string $shuts,
        private string $quotes,
        public string $display,
        public string $case,
        public bool $stripsPeriods,
        public bool $isPlain,
        private bool $hasOnlyAffixes,
        private bool $keepsStops,
    ) {}

    /** @param array<string, string> $attributes */
    public static function of(array $attributes): self
    {
        $opens = '';
        foreach (self::OPENS as $attribute => $values) {
            $opens = ($values[$attributes[$attribute] ?? ''] ?? '') . $opens;
        }
        $out = [
            Rich::raised($attributes['prefix'] ?? ''),
            Rich::raised($attributes['suffix'] ?? ''),
            $opens,
            str_repeat(Flat::SHUT, \strlen($opens)),
            $attributes['quotes'] ?? '',
            self::DISPLAYS[$attributes['display'] ?? ''] ?? '',
            $attributes['text-case'] ?? '',
            ($attributes['strip-periods'] ?? '') === 'true',
        ];

        $hasOnlyAffixes = $opens . $out[4] . $out[5] . $out[6] === '' && !$out[7];

        $keepsStops = isset(self::ADDRESSES[$attributes['variable'] ?? '']);

        return new self(...[...$out, $hasOnlyAffixes && $out[0] . $out[1] === '', $hasOnlyAffixes, $keepsStops]);
    }

    /** The same with another end; a block that nothing ends keeps its own. */
    public function ending(string $suffix): self
    {
        $suffix = $suffix === '' && $this->display !== '' ? $this->suffix : $suffix;

        return new self(
            $this->prefix,
            $suffix,
            $this->opens,
            $this->shuts,
            $this->quotes,
            $this->display,
            $this->case,
            $this->stripsPeriods,
            false,
            $this->hasOnlyAffixes,
            $this->keepsStops,
        );
    }

    public function on(string $text, Printing $printing, bool $isLeaf = false, bool $isWords = false, bool $isGroup = false): string
    {
        if ($text === '' || ($this->isPlain && !$printing->strips)) {
            return $text;
        }

        return $this->around($this->within($text, $printing, $isWords, $isGroup), $printing, $isLeaf);
    }

    /** The text with what is put around it, as one that its neighbours' marks do not meet where it is set apart. */
    public function alone(string $text, Printing $printing, bool $isLeaf, bool $isWords = false, bool $isGroup = false): string
    {
        if ($this->hasOnlyAffixes && !$printing->strips) {
            return $this->around($text, $printing, $isLeaf);
        }
        $text = $this->on($text, $printing, $isLeaf, $isWords, $isGroup);
        if ($text === '' || !$this->isApart($printing->locale->inside)) {
            return $text;
        }
        // What only has no quotation marks is not apart, but for a bare value.
        $edge = $this->opens === '' && $this->quotes === 'false' && ($isGroup || $this->suffix !== '') ? '' : Flat::EDGE;
        // A space at the edge of what a macro sets apart is not the space that stands beside it.
        $starts = $isGroup && $this->prefix === '' && preg_match('/\A[\x01-\x1F]* /', $text) === 1;
        $ends = $isGroup && $this->suffix === '' && preg_match('/ [\x01-\x1F]*\z/', $text) === 1;

        return ($starts ? Flat::STAYS : $edge) . $text . ($ends ? Flat::STAYS : ($isGroup && $edge !== '' ? Flat::GROUP_EDGE : $edge));
    }

    /**
     * The text in its case, type and quotation marks.
     *
     * @param bool $isWords whether it is a word of the locale, whose capitals do not go by the language of the item
     */
    public function within(string $text, Printing $printing, bool $isWords = false, bool $isGroup = false): string
    {
        if ($text === '') {
            return '';
        }
        if (!$this->keepsStops && ($printing->strips || ($this->stripsPeriods && !$isGroup))) {
            $text = str_replace('.', '', $text);
        }
        if ($this->case !== '' && (!$isGroup || $printing->style->casesMacros)) {
            $text = TextCase::of($text, $this->case, $isWords || $printing->isEnglish(), $printing->locale->language);
        }
        if ($this->opens !== '') {
            $text = $this->opens . $text . $this->shuts;
        }

        return match ($this->quotes) {
            'true' => Flat::QUOTE . $text . Flat::UNQUOTE,
            // Marks within are the outer ones then.
            'false' => strtr($text, [Flat::INNER_QUOTE => Flat::QUOTE, Flat::INNER_UNQUOTE => Flat::UNQUOTE]),
            default => $text,
        };
    }

    /** Whether its own marks do not meet those beside it. */
    private function isApart(bool $inside): bool
    {
        return $this->quotes === 'true' ? !$inside : $this->opens !== '' || $this->quotes === 'false';
    }

    private function ended(string $text, Printing $printing, bool $isLeaf): string
    {
        $inside = $printing->locale->inside;
        $hasTail = $text[-1] === Flat::TAIL || $text[-1] === Flat::INNER_TAIL;
        if ($hasTail && !$isLeaf && $this->suffix[0] === '.' && preg_match(Flat::ENDED, $text, $m) === 1) {
            return Flat::stopped($text, $m[0], $inside) . substr($this->suffix, 1);
        }
        // What a value set apart has behind it meets only its like, or what stands in quotation marks of the value's own.
        $meets = !$isLeaf || !$this->isApart($inside) || str_ends_with(rtrim($text, Flat::CONTROLS), $this->suffix[0])
            || ($this->quotes !== 'true' && Flat::endsQuoted($text));
        $text = $meets ? Flat::join($text, $this->suffix, $inside) : $text . $this->suffix;

        return $isLeaf && str_contains(';:,', $this->suffix[-1]) ? $text . Flat::TAIL : $text;
    }

    /** @param bool $isLeaf whether the text is one value and not the text of other elements */
    public function around(string $text, Printing $printing, bool $isLeaf = false): string
    {
        if ($text === '') {
            return '';
        }
        if ($this->prefix !== '') {
            // Of what is put before, only a space meets what follows.
            $text = $this->prefix[-1] === ' ' ? $printing->join($this->prefix, $text) : $this->prefix . $text;
        }
        if ($this->suffix !== '') {
            $text = $this->ended($text, $printing, $isLeaf);
        }

        return $this->display === '' ? $text : $this->display . $text . Flat::END;
    }
}
