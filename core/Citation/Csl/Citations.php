<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/**
 * The citations of a work: cites in a row, with numbers and works of the same people drawn together (CSL 1.0.2, “Cite Grouping”, “Cite
 * Collapsing”).
 */
final class Citations
{
    /** @var array<string, array{string, FirstNames|null}> */
    private array $kept = [];

    /** @var array<string, array{bool, string}> */
    private array $locators = [];

    /** @var array<string, string> locator → as it is printed */
    private array $places = [];

    private readonly Style $style;

    /** For what the layout puts around, which is the same everywhere. */
    private ?Printing $around = null;

    public function __construct(private readonly Whole $whole)
    {
        $this->style = $whole->style;
    }

    /** @return array{string, FirstNames|null} what is printed, and its first names */
    private function cite(Cite $cite, bool $dropsNames, bool $dropsYear): array
    {
        $asksPosition = $this->style->inNotes || isset($this->style->calls['position']);
        $stands = $asksPosition ? "{$cite->position}{$cite->firstNote}" : '';
        $flags = ($cite->prefix !== '' || $cite->isLater ? 1 : 0) | ($cite->isNear ? 2 : 0) | ($cite->withoutAuthor ? 4 : 0)
            | ($dropsNames ? 8 : 0) | ($dropsYear ? 16 : 0);
        $key = "{$cite->item}\t{$stands}\t{$flags}\t";
        [$holds, $kind] = $this->locators[$cite->locator] ??= self::locator($cite->locator);
        if ($holds) {
            $key .= $cite->label . $kind;
        }
        if (isset($this->kept[$key]) && ($holds || $cite->locator === '')) {
            [$text, $names] = $this->kept[$key];

            return [$holds ? $this->placed($text, $cite) : $text, $names];
        }
        $printing = $this->printed($cite, $dropsNames, $dropsYear);
        $printing->holdsPlace = $holds;
        $text = Flat::open($this->style->citation->row($printing->item)->render($printing));
        if ($holds && $printing->readsLocator) {
            $printing = $this->printed($cite, $dropsNames, $dropsYear);

            return [Flat::open($this->style->citation->row($printing->item)->render($printing)), $printing->firstNames];
        }
        if ($holds || $cite->locator === '') {
            $this->kept[$key] = [$text, $printing->firstNames];
        }

        return [$holds ? $this->placed($text, $cite) : $text, $printing->firstNames];
    }

    /** @return array{bool, string} whether another may stand in its place, and what of it a style can ask */
    private static function locator(string $locator): array
    {
        $holds = preg_match('/\A[\p{L}\p{N}](?:[\p{L}\p{N} ,–-]*[\p{L}\p{N}])?\z/u', $locator) === 1;

        return [$holds, $holds ? (Numbers::isSeveral($locator) ? '1' : '0') . (Numbers::isNumeric($locator) ? '1' : '0') : ''];
    }

    private function printed(Cite $cite, bool $dropsNames, bool $dropsYear): Printing
    {
        $printing = $this->whole->printing($cite->item, $cite);
        $told = $this->whole->told[$cite->item];
        $printing->letter = $told->letter;
        $printing->counts = $told->counts;
        $printing->givens = $told->givens;
        $printing->isAmbiguous = $told->isAmbiguous;
        $printing->dropsNames = $dropsNames || $cite->withoutAuthor;
        $printing->dropsYear = $dropsYear;
        $printing->began = $cite->prefix !== '' || $cite->isLater;

        return $printing;
    }

    private function placed(string $text, Cite $cite): string
    {
        $this->places[$cite->locator] ??= Numbers::ofPages($cite->locator, $this->style);

        return str_replace(Flat::PLACE, $this->places[$cite->locator], $text);
    }

    /** @param list<Cite> $cites */
    public function print(array $cites): string
    {
        if ($cites === []) {
            return '';
        }
        $layout = $this->style->citation;
        $inside = $this->style->locale->inside;
        $collapse = $layout->options['collapse'] ?? '';
        $row = match (\count($cites) === 1 ? 'one' : $collapse) {
            'one' => $this->dressed($cites[0], $this->cite($cites[0], false, false)[0]),
            'citation-number' => $this->style->citesNumbers ? $this->byNumber($cites) : null,
            'year', 'year-suffix', 'year-suffix-ranged' => $this->byYear($cites, $collapse),
            default => isset($layout->options['cite-group-delimiter']) ? $this->byYear($cites, '') : null,
        };
        if ($row === null) {
            $row = '';
            foreach ($cites as $cite) {
                $text = $this->dressed($cite, $this->cite($cite, false, false)[0]);
                $row = $row === '' || $text === '' ? $row . $text : Flat::join(
                    Flat::join($row, $layout->delimiter, $inside, true),
                    $text,
                    $inside,
                );
            }
        }

        $this->around ??= $this->whole->printing($cites[0]->item, $cites[0]);
        $printing = $this->around;

        return $row === '' ? '' : $layout->dress->within($layout->dress->around($row, $printing), $printing);
    }

    private function dressed(Cite $cite, string $text): string
    {
        $inside = $this->style->locale->inside;
        if ($cite->prefix !== '') {
            $prefix = preg_match('/[\s(\[“‘„«\/]\z/u', $cite->prefix) === 1 ? $cite->prefix : "{$cite->prefix} ";
            $text = Flat::join(Rich::of($prefix, $this->style->locale->quotes), $text, $inside);
        }
        if ($cite->suffix !== '') {
            $suffix = preg_match('/\A[\s.,;:!?)\]”’»]/u', $cite->suffix) === 1 ? $cite->suffix : " {$cite->suffix}";
            $text = Flat::join($text, Rich::of($suffix, $this->style->locale->quotes), $inside);
        }

        return $text;
    }

    /** Whether nothing is printed of what is cited of it, so that its number or letter can stand within a range. */
    private function isBare(Cite $cite): bool
    {
        return $cite->prefix === '' && $cite->suffix === ''
            && ($cite->locator === '' || $this->cite($cite, false, false)[0] === $this->cite(new Cite($cite->item), false, false)[0]);
    }

    /** Whether a number is printed without words. */
    private function isNumber(Cite $cite): bool
    {
        return $this->isBare($cite) && preg_match('/\p{L}/u', $this->cite($cite, false, false)[0]) !== 1;
    }

    /**
     * Numbers that follow one another: 1–3.
     *
     * @param list<Cite> $cites
     */
    private function byNumber(array $cites): string
    {
        $inside = $this->style->locale->inside;
        $delimiter = $this->style->citation->delimiter;
        $after = $this->style->citation->options['after-collapse-delimiter'] ?? null;
        // Where a place stands between numbers, another mark tells them apart.
        if ($after !== null && \count($cites) > 1 && array_filter($cites, fn(Cite $cite): bool => !$this->isBare($cite)) !== []) {
            $delimiter = $after;
        }
        $out = '';
        $count = \count($cites);
        for ($i = 0; $i < $count; ++$i) {
            $to = $i;
            while ($to + 1 < $count && $this->isNumber($cites[$to]) && $this->isNumber($cites[$to + 1])
                && $this->whole->numbers[$cites[$to + 1]->item] === $this->whole->numbers[$cites[$to]->item] + 1) {
                ++$to;
            }
            $text = $this->dressed($cites[$i], $this->cite($cites[$i], false, false)[0]);
            if ($to - $i >= 2) {
                $text .= '–' . $this->cite($cites[$to], false, false)[0];
                $i = $to;
            }
            $out = $out === '' ? $text : Flat::join(Flat::join($out, $delimiter, $inside), $text, $inside);
        }

        return $out;
    }

    /**
     * The names once for all works of the same people; the year once for all its letters.
     *
     * @param list<Cite> $cites
     */
    private function byYear(array $cites, string $collapse): string
    {
        $inside = $this->style->locale->inside;
        $out = '';
        $wasGroup = false;
        $aboveKey = '';
        $cites = $this->grouped($cites);
        $count = \count($cites);
        for ($i = 0; $i < $count; ++$i) {
            $cite = $cites[$i];
            $above = $cites[$i - 1] ?? null;
            [$text, $names] = $this->cite($cite, false, false);
            $key = self::namesKey($names);
            $isSame = $above !== null && $key === $aboveKey;
            $between = $this->between($collapse, $above, $wasGroup, $isSame);
            if ($isSame && $collapse !== '' && $names !== null && !$names->isWords) {
                $drops = $collapse !== 'year' && $this->sameYear($above, $cite);
                $text = $drops ? $this->rest($cite) : $this->cite($cite, true, false)[0];
                $between = $drops && $this->isLetter($cite, $text) ? $this->lettering() : $between;
            }
            $text = $this->dressed($cite, $text);
            $to = $collapse === 'year-suffix-ranged' ? $this->lastOfRange($cites, $i) : $i;
            if ($to - $i >= 2) {
                $text .= '–' . $this->rest($cites[$to]);
                $i = $to;
            }
            $out = $out === '' || $text === '' ? $out . $text : Flat::join(Flat::join($out, $between, $inside, true), $text, $inside);
            $wasGroup = $isSame;
            $aboveKey = $key;
        }

        return $out;
    }

    /** What is left of a cite where names and year stand already; it begins without the mark that stood behind the year. */
    private function rest(Cite $cite): string
    {
        return (string) preg_replace('/\A([\x01-\x1F]*)[:;,.]\s*/', '$1', $this->cite($cite, true, true)[0]);
    }

    private function isLetter(Cite $cite, string $text): bool
    {
        return $text !== '' && Flat::plain($text) === $this->whole->told[$cite->item]->letter;
    }

    /**
     * The last of the works of the same people and year whose letters follow one another.
     *
     * @param list<Cite> $cites
     *
     * @return int its place among them
     */
    private function lastOfRange(array $cites, int $from): int
    {
        $to = $from;
        while (isset($cites[$to + 1]) && $this->follows($cites[$to], $cites[$to + 1])) {
            ++$to;
        }

        return $to;
    }

    private function follows(Cite $a, Cite $b): bool
    {
        $key = fn(Cite $cite): string => self::namesKey($this->cite($cite, false, false)[1]);
        if (!$this->isBare($a) || !$this->isBare($b) || !$this->sameYear($a, $b) || $key($a) !== $key($b)) {
            return false;
        }
        $letter = $this->whole->told[$a->item]->letter;
        $isNext = $letter !== '' && ++$letter === $this->whole->told[$b->item]->letter;

        return $isNext && $this->isLetter($a, $this->rest($a)) && $this->isLetter($b, $this->rest($b));
    }

    /**
     * Works of the same people stand together, where the first of them stands.
     *
     * @param list<Cite> $cites
     *
     * @return list<Cite>
     */
    private function grouped(array $cites): array
    {
        $groups = [];
        foreach ($cites as $cite) {
            $groups[self::namesKey($this->cite($cite, false, false)[1])][] = $cite;
        }

        return array_merge(...array_values($groups));
    }

    /** Whose works go together: the first names as they are printed, or the words in their place (CSL 1.0.2, “Cite Grouping”). */
    private static function namesKey(?FirstNames $names): string
    {
        return implode("\t", $names->names ?? []);
    }

    /** What stands between a cite and the one above it. */
    private function between(string $collapse, ?Cite $above, bool $wasGroup, bool $isGroup): string
    {
        $options = $this->style->citation->options;
        $layout = $this->style->citation->delimiter;
        $after = $options['after-collapse-delimiter'] ?? null;
        if ($after !== null) {
            $ends = ($above->locator ?? '') !== '' || (!$isGroup && ($wasGroup || $collapse !== 'year-suffix'));

            return $ends ? $after : ($isGroup ? $options['cite-group-delimiter'] ?? $layout : $layout);
        }
        if ($isGroup && ($options['cite-group-delimiter'] ?? '') !== '') {
            return $options['cite-group-delimiter'];
        }

        return $isGroup && !$this->style->inNotes && !$this->style->citesNumbers && $collapse !== '' ? ', ' : $layout;
    }

    private function lettering(): string
    {
        $options = $this->style->citation->options;

        return $options['cite-group-delimiter'] ?? $options['year-suffix-delimiter'] ?? $this->style->citation->delimiter;
    }

    private function sameYear(Cite $a, Cite $b): bool
    {
        $year = fn(Cite $cite): ?int => $this->whole->items[$cite->item]->dates['issued']->parts[0][0] ?? null;

        return $year($a) !== null && $year($a) === $year($b);
    }
}
