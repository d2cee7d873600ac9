<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\FirstNames;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Name;
use Embrel\Citation\Csl\Printing;

/** The people of one or more variables, with their labels; what stands for them where there are none. */
final class Names extends Element
{
    private static int $made = 0;

    /** @var list<Element> */
    public array $substitutes = [];

    /** @var array<int, NameForm> how they are written in the place of others */
    private array $forms = [];

    /** Tells it from other elements; what is left of it for one shape has the number of the whole. */
    private readonly int $number;

    /**
     * @param list<string> $variables
     */
    public function __construct(
        Dress $dress,
        private readonly array $variables,
        private readonly string $delimiter,
        private readonly NameForm $form,
        private readonly Dress $etAl,
        private readonly string $etAlTerm,
        private readonly ?Label $label,
        private readonly bool $labelFirst,
    ) {
        $this->dress = $dress;
        $this->number = ++self::$made;
    }

    public function pruned(Pruning $pruning): array
    {
        $substitutes = [];
        foreach ($this->substitutes as $element) {
            foreach ($element->pruned($pruning) as $part) {
                if (!$part instanceof Silent) {
                    $substitutes[] = $part;
                }
            }
        }
        if ($substitutes === [] && array_filter($this->variables, static fn(string $name): bool => !$pruning->lacks($name)) === []) {
            return [new Silent(true)];
        }
        if ($this->substitutes === []) {
            return [$this];
        }
        $names = clone $this;
        $names->substitutes = $substitutes;

        return [$names];
    }

    protected function says(Printing $printing): string
    {
        $printing->called = true;
        $lists = [];
        foreach ($this->variables as $variable) {
            $names = isset($printing->gone[$variable]) ? [] : $printing->item->names[$variable] ?? [];
            if ($names !== []) {
                $lists[$variable] = $names;
            }
        }
        if ($lists === []) {
            return '';
        }
        foreach ($lists as $variable => $_) {
            $printing->found($variable);
        }
        if (isset($lists['editor'], $lists['translator']) && \count($lists) === 2 && $lists['editor'] == $lists['translator']) {
            $lists = ['editortranslator' => $lists['editor']];
        }
        if ($this->form->form === 'count') {
            return (string) $this->count($lists, $printing);
        }
        $drops = $printing->dropsNames;
        if ($drops) {
            $printing->dropsNames = false;
        }
        $row = [];
        foreach ($lists as $variable => $names) {
            $row[] = $this->list($variable, $names, $printing);
        }

        return $drops ? '' : Flat::row($row, $this->delimiter, $printing->locale->inside);
    }

    public function render(Printing $printing): string
    {
        $said = \count($printing->said);
        $text = $this->says($printing);
        if ($text === '' && \count($printing->said) === $said) {
            $text = $this->substitute($printing);
            // Where names are missing, what follows is not the beginning.
            $printing->began = true;

            return $text;
        }

        // Stops are stripped from words, not from what stands around them.
        $strips = $printing->strips;
        $printing->strips = false;
        $text = $this->dress->alone($text, $printing, false);
        $printing->strips = $strips;

        return $text;
    }

    private function substitute(Printing $printing): string
    {
        [$began, $outer] = [$printing->began, $printing->inPlaceOf];
        $printing->inPlaceOf = $this->form($outer);
        $text = $this->inPlace($printing, $began);
        $printing->inPlaceOf = $outer;

        return $text;
    }

    private function form(?NameForm $other): NameForm
    {
        return $other === null ? $this->form : $this->forms[spl_object_id($other)] ??= $this->form->inPlaceOf($other);
    }

    private function inPlace(Printing $printing, bool $began): string
    {
        foreach ($this->substitutes as $element) {
            $printing->began = $began;
            $said = \count($printing->said);
            $text = $element->render($printing);
            if ($text !== '' || \count($printing->said) > $said) {
                foreach (\array_slice($printing->said, $said) as $variable) {
                    $printing->gone[$variable] = true;
                }
                if ($printing->firstNames === null && $text !== '') {
                    $printing->firstNames = new FirstNames([$text], \count($printing->said) === $said);
                    if ($printing->substitute !== null && !$printing->firstNames->isWords && $printing->above?->names === [$text]) {
                        return $printing->substitute[0];
                    }
                }
                if ($printing->dropsNames) {
                    $printing->dropsNames = false;

                    return '';
                }

                return $text;
            }
        }

        return '';
    }

    /** @param array<string, list<Name>> $lists */
    private function count(array $lists, Printing $printing): int
    {
        $count = 0;
        foreach ($lists as $names) {
            $count += min(\count($names), $this->shown($names, $printing)[0]);
        }

        return $count;
    }

    /**
     * @param list<Name> $names
     *
     * @return array{int, bool} how many are named, and whether the last one is too
     */
    private function shown(array $names, Printing $printing): array
    {
        $count = \count($names);
        $isLater = $printing->cite !== null && $printing->cite->position > Cite::FIRST;
        [$min, $first] = $isLater ? [$this->form->laterMin, $this->form->laterFirst] : [$this->form->min, $this->form->first];
        $last = $this->form->last;
        if ($printing->isKey && $printing->keyNames !== null) {
            [$min, $first, $last] = $printing->keyNames;
        }
        if ($min === 0 || $count < $min || $first >= $count) {
            return [$count, false];
        }
        // With the last one named too, two at least are left out.
        $first = max($last ? min($first, $min - 2) : $first, $this->least($first, $printing), $printing->counts[$printing->lists] ?? 0);

        $isAlone = $first === $count - 1 && $printing->style->etAlIsPlural && isset($printing->counts[$printing->lists]);

        return $first >= $count || $isAlone ? [$count, false] : [$first, $last];
    }

    /** Of how many names one at least stands: of one, but where a style has none before an “et al.” of no words. */
    private function least(int $first, Printing $printing): int
    {
        return $first > 0 || $printing->locale->say($this->etAlTerm) !== '' ? 1 : 0;
    }

    /**
     * Names with the delimiter between them; a mark of a name's own that is the same stands for both.
     *
     * @param list<string> $row
     * @param bool         $isWhole whether the last of them ends the row
     */
    private function row(array $row, Printing $printing, bool $isWhole = false): string
    {
        $dress = $this->form->dress;
        if ($dress->suffix === '' && $dress->prefix === '') {
            return Flat::row($row, $this->form->delimiter, $printing->locale->inside);
        }
        $out = '';
        foreach ($row as $i => $name) {
            $meets = $i > 0 && !($isWhole && $i === \count($row) - 1) && str_ends_with($out, ' ') && str_starts_with($name, ' ');
            $out .= ($meets ? substr($name, 1) : $name) . ($i < \count($row) - 1 ? $this->form->delimiter : '');
        }

        return $out;
    }

    /** Whether a word is written without spaces around it, as 和 is, or [et al.]. */
    private static function standsAlone(string $word): bool
    {
        return !ctype_alpha($word[0] ?? '') && preg_match('/\A(?:&|(?![\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}\p{Thai}])\p{L})/u', $word) !== 1;
    }

    /** One name, dressed as <name> says; a body has no affixes. */
    private function one(Name $name, NameWriting $writing, Printing $printing): string
    {
        return $name->literal === ''
            ? $this->form->dress->on($writing->text(), $printing)
            : $this->form->dress->within($writing->text(), $printing);
    }

    /** @param list<Name> $names */
    private function list(string $variable, array $names, Printing $printing): string
    {
        [$shown, $withLast] = $this->shown($names, $printing);
        $givens = $printing->givens[$printing->lists++] ?? [];
        $isFirst = $printing->firstNames === null;
        if ($isFirst && $printing->substitute !== null && $printing->above !== null) {
            return $this->written($variable, $names, $shown, $withLast, $givens, $printing)[0];
        }
        $place = $printing->inPlaceOf === null ? '' : spl_object_id($printing->inPlaceOf);
        $flags = ($withLast ? '+' : '.') . ($printing->isKey ? '1' : '0') . "{$place}/" . implode('', $givens);
        $key = "{$this->number}{$variable}{$shown}{$flags}";
        $printing->usesInitials = $printing->usesInitials || isset($printing->item->keptInitials[$key]);
        [$text, $first] = $printing->item->keptNames[$key] ??= $this->written($variable, $names, $shown, $withLast, $givens, $printing);
        if ($printing->usesInitials) {
            $printing->item->keptInitials[$key] = true;
        }
        if ($isFirst) {
            $printing->firstNames = $first;
        }

        return $text;
    }

    /**
     * @param list<Name> $names
     * @param list<int>  $givens
     *
     * @return array{string, FirstNames}
     */
    private function written(string $variable, array $names, int $shown, bool $withLast, array $givens, Printing $printing): array
    {
        $count = \count($names);
        $form = $this->form($printing->inPlaceOf);
        $row = [];
        $turned = [];
        for ($i = 0; $i < $shown; ++$i) {
            $writing = new NameWriting($names[$i], $form, $printing, $i === 0, $givens[$i] ?? 0);
            $row[] = $this->one($names[$i], $writing, $printing);
            $turned[] = $writing->isTurned;
        }
        if ($withLast) {
            $last = new NameWriting($names[$count - 1], $form, $printing, false, $givens[$count - 1] ?? 0);
            $row[] = $this->one($names[$count - 1], $last, $printing);
        }
        $more = $shown < $count && !$withLast ? ['…'] : [];
        $named = $printing->substitute === null ? [] : [...\array_slice($names, 0, $shown), ...$withLast ? [$names[$count - 1]] : []];
        $people = array_map(static fn(Name $name): string => "{$name->family}\t{$name->given}\t{$name->suffix}\t{$name->literal}", $named);
        $people = [...$people, ...$more];
        $first = new FirstNames([...$row, ...$more], false, $people);
        if ($printing->firstNames === null) {
            $printing->firstNames = $first;
            if ($printing->substitute !== null && $printing->above !== null) {
                $row = $this->substituted($row, $people, $printing);
                // One sign for all stands for those who are not named too.
                $shown = \count($row) === 1 && $row[0] === $printing->substitute[0] ? $count : $shown;
                $withLast = $withLast && \count($row) > 1;
            }
        }
        $inside = $printing->locale->inside;
        $text = match (true) {
            $row === [] => '',
            // A key is of names alone (CSL 1.0.2, “Sorting”): no “et al.”, and no word between them, by which nobody looks them up.
            $printing->isKey => $this->row($row, $printing, true),
            $withLast => $this->withLast($row, $printing),
            $shown < $count => $this->withEtAl($row, $turned, $printing),
            default => $this->joined($row, $turned, $names[$shown - 1]->literal !== '', $printing),
        };
        $label = $this->label?->ofNames($variable, $count, $printing) ?? '';
        if ($label !== '') {
            $text = $this->labelFirst ? Flat::join($label, $text, $inside) : Flat::join($text, $label, $inside);
        }

        return [$text, $first];
    }

    /**
     * @param list<string> $row
     * @param list<string> $people
     *
     * @return list<string>
     */
    private function substituted(array $row, array $people, Printing $printing): array
    {
        [$sign, $rule] = $printing->substitute ?? ['', ''];
        $above = $printing->above->people ?? [];
        if ($rule === 'complete-all') {
            return $people === $above ? [$sign] : $row;
        }
        if ($rule === 'complete-each') {
            return $people === $above ? array_fill(0, \count($row), $sign) : $row;
        }
        foreach (array_keys($row) as $i) {
            if (($above[$i] ?? null) !== $people[$i]) {
                break;
            }
            $row[$i] = $sign;
            if ($rule === 'partial-first') {
                break;
            }
        }

        return $row;
    }

    /**
     * @param list<string> $row
     * @param list<bool>   $turned
     */
    private function joined(array $row, array $turned, bool $endsWithBody, Printing $printing): string
    {
        $inside = $printing->locale->inside;
        if (\count($row) === 1 || ($this->form->and === '' && !$endsWithBody)) {
            return $this->row($row, $printing, true);
        }
        if ($this->form->and === '') {
            $last = array_pop($row);

            return $this->row($row, $printing) . $this->form->bodyDelimiter . $last;
        }
        $and = $this->form->and === 'symbol' ? '&' : $printing->locale->say('and') ?? '';
        $last = (string) array_pop($row);
        // Bodies go by what the layout says, not by what <name> says of people; but for what it says of a single name before.
        $goesByName = !$endsWithBody || ($this->form->beforeLast === 'after-inverted-name' && \count($row) === 1);
        $rule = $goesByName ? $this->form->beforeLast : $this->form->beforeLastBody;
        $wants = $this->wants(!$goesByName && $rule === 'after-inverted-name' ? 'contextual' : $rule, $row, $turned);
        $start = $this->row($row, $printing);
        if (self::standsAlone($and)) {
            return $start . $and . $last;
        }
        $start = Flat::join($start, $wants ? $this->form->delimiter : ' ', $inside);

        return Flat::join($start, Flat::join("{$and} ", $last, $inside), $inside);
    }

    /**
     * The first names, … and the last.
     *
     * @param list<string> $row
     */
    private function withLast(array $row, Printing $printing): string
    {
        $last = array_pop($row);

        $wants = \count($row) > 1;

        return $this->row($row, $printing) . ($wants ? $this->form->delimiter : ' ') . "… {$last}";
    }

    /**
     * Whether the delimiter stands before what ends the row.
     *
     * @param list<string> $row
     * @param list<bool>   $turned
     */
    private function wants(string $rule, array $row, array $turned): bool
    {
        return match ($rule) {
            'always' => true,
            'never' => false,
            'after-inverted-name' => $turned[\count($row) - 1] ?? false,
            default => \count($row) > 1,
        };
    }

    /**
     * @param list<string> $row
     * @param list<bool>   $turned
     */
    private function withEtAl(array $row, array $turned, Printing $printing): string
    {
        $term = $printing->locale->say($this->etAlTerm) ?? 'et al.';
        $etAl = $this->etAl->on($term, $printing);
        $wants = $this->wants($this->form->beforeEtAl, $row, $turned);
        $inside = $printing->locale->inside;
        $text = $this->row($row, $printing);
        if ($term === '') {
            return $this->form->dress->on($text, $printing);
        }
        if (self::standsAlone($term)) {
            return $this->form->dress->on($text . ($wants ? $this->form->delimiter : '') . $etAl, $printing);
        }

        $text = Flat::join($wants ? Flat::join($text, $this->form->delimiter, $inside) : Flat::join($text, ' ', $inside), $etAl, $inside);

        return $this->form->dress->on($text, $printing);
    }
}
