<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Row;

/** What is known while one cite, one entry or one key for sorting is printed. */
final class Printing
{
    /** Whether the group that is being printed called a variable, whether one had something to say, whether it has words of its own. */
    public bool $called = false;

    public bool $found = false;

    public bool $hasWords = false;

    /** Whether something stands before: words that come first are raised. */
    public bool $began = false;

    /** @var list<string> variables that had something to say */
    public array $said = [];

    /** @var array<string, true> variables that stand in the place of others, and are not said again */
    public array $gone = [];

    /** How many lists of names were printed: each has its own way of being told apart. */
    public int $lists = 0;

    /** Whether the names that come first are left out: the writer has named them, or the cite before did. */
    public bool $dropsNames = false;

    /** Whether the year is left out, so that its letter alone stays. */
    public bool $dropsYear = false;

    /** Whether values lose their stops, as a macro around them says. */
    public bool $strips = false;

    /** Whether Flat::PLACE stands for what is cited of the source, and whether something had to know it all the same. */
    public bool $holdsPlace = false;

    public bool $readsLocator = false;

    /** Whether what is cited of the source was printed: it is not said again. */
    public bool $saidPlace = false;

    /** Whether a name was told from others by its initials. */
    public bool $usesInitials = false;

    public string $letter = '';

    public bool $isAmbiguous = false;

    /** @var list<int> list of names → how many are named */
    public array $counts = [];

    /** @var list<list<int>> list of names → name → 1: with initials, 2: with the whole given name */
    public array $givens = [];

    public bool $hasLetter = false;

    /** Printed for sorting: all names turned, dates as digits. */
    public bool $isKey = false;

    /** @var array{int, int, bool}|null names-min, names-use-first and names-use-last of a key */
    public ?array $keyNames = null;

    /** The names that were printed first, as the next entry compares them. */
    public ?FirstNames $firstNames = null;

    /** How the names are written in whose place others are looked for. */
    public ?Element\NameForm $inPlaceOf = null;

    /** @var array{string, string}|null what stands for the first names, and how */
    public ?array $substitute = null;

    public ?FirstNames $above = null;

    public readonly Locale $locale;

    /**
     * @param Cite|null $cite   null: an entry of the list
     * @param int       $number in the list; 0 where there is none
     */
    public function __construct(
        public readonly Style $style,
        public readonly Item $item,
        public readonly ?Cite $cite,
        public readonly int $number = 0,
    ) {
        $this->locale = $style->locale;
        $style->effort?->goesOn();
    }

    /** What a variable says, its tags and quotation marks as Flat has them. */
    public function text(string $variable): string
    {
        if (isset($this->gone[$variable])) {
            return '';
        }
        if (isset($this->item->texts[$variable])) {
            return $this->item->rich($variable, $this->locale->quotes);
        }

        return match ($variable) {
            'locator' => $this->cite === null ? '' : Rich::of($this->cite->locator, $this->locale->quotes),
            'citation-number' => $this->number > 0 ? (string) $this->number : '',
            'first-reference-note-number' => $this->cite !== null && $this->cite->firstNote > 0 ? (string) $this->cite->firstNote : '',
            'year-suffix' => $this->letter,
            'citation-label' => CitationLabel::of($this->item),
            default => '',
        };
    }

    public function has(string $variable): bool
    {
        return isset($this->item->has[$variable]) || match ($variable) {
            'locator' => $this->cite !== null && $this->cite->locator !== '',
            'citation-number' => $this->number > 0,
            'first-reference-note-number' => $this->cite !== null && $this->cite->firstNote > 0,
            'year-suffix' => $this->letter !== '',
            default => false,
        };
    }

    /** Whether a variable is called in vain, whatever it says: its place in a work is said once in a cite. */
    public function isSpent(string $variable): bool
    {
        return $variable === 'locator' && $this->saidPlace;
    }

    /** A variable had something to say. */
    public function found(string $variable): void
    {
        $this->found = true;
        $this->began = $this->began || $variable !== 'citation-number';
        $this->said[] = $variable;
        $this->saidPlace = $this->saidPlace || $variable === 'locator';
    }

    /** Words of the style or locale, raised where nothing stands before them. */
    public function words(string $text): string
    {
        if ($text === '') {
            return '';
        }
        $this->hasWords = true;
        $isFirst = !$this->began && ($this->cite === null || $this->style->inNotes);
        $this->began = true;

        if (!$isFirst) {
            return $text;
        }
        // Within a bracket of its own too.
        $bracket = \strlen($text) - \strlen(ltrim($text, '[('));

        return substr($text, 0, $bracket) . TextCase::of(substr($text, $bracket), 'capitalize-first', false, $this->locale->language);
    }

    /** What a group says; nothing where every variable that it calls is empty. */
    public function group(Row $row, string $delimiter): string
    {
        $called = $this->called;
        $found = $this->found;
        $hasWords = $this->hasWords;
        $began = $this->began;
        $this->called = $this->found = $this->hasWords = false;
        $pieces = [];
        foreach ($row->elements as $element) {
            $element->into($pieces, $this);
        }
        $says = $this->found || ($this->hasWords && !$this->called);
        $this->hasWords = $hasWords;
        if ($says) {
            $this->called = $called;
            $this->found = true;

            return Flat::open(Flat::row($pieces, $delimiter, $this->locale->inside));
        }
        $this->found = $found;
        $this->began = $began;

        return '';
    }

    public function join(string $a, string $b): string
    {
        return Flat::join($a, $b, $this->locale->inside);
    }

    /** Whether the titles of the item are English, so that title case may be used. */
    public function isEnglish(): bool
    {
        if (isset($this->item->texts['jurisdiction'])) {
            return false;
        }
        $language = $this->item->language !== '' ? $this->item->language : strtolower($this->style->language);

        return str_starts_with($language, 'en');
    }
}
