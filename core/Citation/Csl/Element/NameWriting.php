<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Name;
use Embrel\Citation\Csl\Printing;

/** One name as it is written: whole, turned for the alphabet, or the family name alone; with initials or without. */
final class NameWriting
{
    public readonly bool $isTurned;

    /** @param int $told how much of the given name tells it from others: 1 its initials, 2 all of it */
    public function __construct(
        private readonly Name $name,
        private readonly NameForm $form,
        private readonly Printing $printing,
        private readonly bool $isFirst,
        private readonly int $told,
    ) {
        $this->isTurned = $name->literal === ''
            && ($printing->isKey || $form->turned === 'all' || ($form->turned === 'first' && $isFirst))
            && ($form->form !== 'short' || $told > 0 || $printing->isKey);
    }

    public function text(): string
    {
        $name = $this->name;
        if ($name->literal !== '') {
            return $this->form->family->within($this->rich($name->literal), $this->printing);
        }
        if ($name->family === '') {
            // The short form is of family names alone.
            $isLeftOut = $this->form->form === 'short' && $this->told === 0 && !$this->printing->isKey;

            // What stands around a given name sets it apart from a family name: here is none.
            return $isLeftOut ? '' : $this->form->given->within($this->rich($name->given), $this->printing);
        }
        if ($name->isUnspaced) {
            return $this->form->form === 'short' && $this->told === 0
                ? $this->form->family->on($name->family, $this->printing)
                : $this->form->family->on($name->family, $this->printing) . $this->form->given->on($name->given, $this->printing);
        }
        $family = $this->rich($name->family);
        $nonDropping = $this->rich($name->nonDropping);
        if ($this->form->form === 'short' && $this->told === 0) {
            return $this->short($family, $nonDropping);
        }
        $given = $this->given();
        $dropping = $this->rich($name->dropping);
        // Where initials have no stop, “Jr” has none.
        $suffix = $this->rich($name->suffix);
        $suffix = $this->form->with !== null && !str_contains($this->form->with, '.') ? rtrim($suffix, '.') : $suffix;
        if ($name->isStatic) {
            return self::spaced($this->form->family->on($family, $this->printing), $this->form->given->on($given, $this->printing));
        }
        if ($this->isTurned) {
            return $this->turned($family, $given, $dropping, $nonDropping, $suffix);
        }
        $family = $this->form->family->on($this->beside($nonDropping, $family), $this->printing);
        $given = $this->form->given->on($given, $this->printing);
        $rest = $this->beside($this->form->given->within($dropping, $this->printing), $family);
        // Initials that are bound to one another are bound to the name too.
        $binds = $this->told < 2 && $this->printing->style->bindsParticles && str_contains($this->form->with ?? '', "\u{A0}");
        $space = $binds ? "\u{A0}" : ' ';
        $text = $given === '' || $rest === '' ? $given . $rest : Flat::join($given . $space, $rest, $this->printing->locale->inside);

        return $suffix === '' ? $text : $text . ($name->commaSuffix ? ', ' : ' ') . $suffix;
    }

    private function short(string $family, string $nonDropping): string
    {
        if ($this->printing->isKey && $this->printing->style->demotes !== 'never') {
            return $family;
        }
        $isTurned = $this->form->turned === 'all' || ($this->form->turned === 'first' && $this->isFirst);
        if ($isTurned && $nonDropping !== '' && $this->printing->style->demotes === 'display-and-sort') {
            return $this->form->family->on($family, $this->printing) . $this->form->separator
                . $this->form->family->within($nonDropping, $this->printing);
        }

        return $this->form->family->on($this->beside($nonDropping, $family), $this->printing);
    }

    private function turned(string $family, string $given, string $dropping, string $nonDropping, string $suffix): string
    {
        $demotes = $this->printing->style->demotes === 'display-and-sort' || ($this->printing->isKey && $this->printing->style->demotes !== 'never');
        $family = $demotes ? $family : $this->beside($nonDropping, $family);
        $behind = $demotes ? $this->form->family->within($nonDropping, $this->printing) : '';
        $rest = $this->beside($this->form->given->within($dropping, $this->printing), $behind, ' ');
        $given = $this->form->given->around(self::spaced($this->form->given->within($given, $this->printing), $rest), $this->printing);
        $text = $this->form->family->on($family, $this->printing);
        $text = $given === '' ? $text : $this->printing->join($this->printing->join($text, $this->form->separator), $given);

        return $suffix === '' ? $text : $this->printing->join($this->printing->join($text, $this->form->separator), $suffix);
    }

    private function rich(string $text): string
    {
        return str_replace('\'', '’', $text);
    }

    private function given(): string
    {
        $given = $this->rich($this->name->given);
        if ($this->form->with === null || $this->told === 2 || $given === '') {
            return $given;
        }

        $this->printing->usesInitials = $this->printing->usesInitials || $this->told === 1;

        return Initials::of($given, $this->form->with, $this->form->initialize, $this->printing->style->hyphens);
    }

    /**
     * A particle before a name; no space after an apostrophe or hyphen.
     *
     * @param string|null $space what stands between them; by default as the language of the style has it
     */
    private function beside(string $particle, string $name, ?string $space = null): string
    {
        $space ??= $this->printing->style->bindsParticles ? "\u{A0}" : ' ';

        $touches = $particle === '' || $name === '' || preg_match('/(?:[’\-–])\z/u', $particle) === 1;

        return $particle . ($touches ? '' : $space) . $name;
    }

    private static function spaced(string $a, string $b): string
    {
        return $a === '' || $b === '' ? $a . $b : "{$a} {$b}";
    }
}
