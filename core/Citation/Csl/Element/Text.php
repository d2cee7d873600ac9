<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Numbers;
use Embrel\Citation\Csl\Printing;
use Embrel\Citation\Csl\Rich;

/** A variable as it was given. */
final class Text extends Element
{
    private const SHORT = ['title' => 'title-short', 'container-title' => 'container-title-short'];

    /** Variables in which a hyphen between figures is a range. */
    private const NUMBERS = [
        'volume' => 1, 'issue' => 1, 'number' => 1, 'edition' => 1, 'chapter-number' => 1, 'collection-number' => 1,
        'number-of-volumes' => 1, 'part-number' => 1, 'section' => 1, 'version' => 1, 'supplement-number' => 1,
    ];

    /** Where one of these is missing, what follows is not the beginning. */
    private const LEADS = ['volume' => 1, 'issue' => 1, 'number' => 1, 'edition' => 1];

    public function __construct(Dress $dress, private readonly string $variable, private readonly bool $isShort)
    {
        $this->dress = $dress;
    }

    public function pruned(Pruning $pruning): array
    {
        $isSaid = !$pruning->lacks($this->variable) || ($this->isShort && !$pruning->lacks(self::short($this->variable)));

        return [$isSaid ? $this : new Silent(isset(self::LEADS[$this->variable]))];
    }

    /** The variable that says the same in short. */
    public static function short(string $variable): string
    {
        return self::SHORT[$variable] ?? "{$variable}-short";
    }

    public function render(Printing $printing): string
    {
        $item = $printing->item;
        // What a source says itself is the same in every citation of it.
        if ($printing->strips || !isset($item->texts[$this->variable]) || isset($printing->gone[$this->variable])) {
            $text = parent::render($printing);

            return $this->variable === 'citation-number' && str_ends_with($text, ' ') ? $text . Flat::EDGE : $text;
        }
        $key = spl_object_id($this);
        if (isset($item->kept[$key])) {
            $printing->called = true;
            $printing->found($this->variable);

            return $item->kept[$key];
        }

        $text = parent::render($printing);
        if ($this->variable === 'page' || isset(self::NUMBERS[$this->variable])) {
            $text = Flat::counted($text, $item->texts[$this->variable]);
        }
        // The space behind a number is not the space before what follows.
        if (isset(self::NUMBERS[$this->variable]) && str_ends_with($this->dress->suffix, ' ') && str_ends_with($text, ' ')) {
            $text .= Flat::EDGE;
        }

        return $item->kept[$key] = $text;
    }

    protected function says(Printing $printing): string
    {
        if ($printing->isSpent($this->variable)) {
            $printing->called = true;

            return '';
        }
        if ($this->variable === 'locator' && $printing->holdsPlace) {
            $printing->called = true;
            $printing->found('locator');

            return Flat::PLACE;
        }
        $printing->called = true;
        // No group waits for the letter after a year: where there is none, it says that nothing reads alike.
        $printing->found = $printing->found || $this->variable === 'year-suffix';
        $text = $this->isShort ? $printing->text(self::short($this->variable)) : '';
        $text = Rich::spaced($text === '' ? $printing->text($this->variable) : $text);
        if ($text === '') {
            $printing->began = $printing->began || isset(self::LEADS[$this->variable]);

            return '';
        }
        $printing->found($this->variable);
        if ($this->variable === 'year-suffix') {
            $printing->hasLetter = true;
        }

        return match ($this->variable) {
            'page', 'locator' => Numbers::ofPages($text, $printing->style),
            'DOI' => (string) preg_replace('/\A(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s*)/i', '', $text),
            default => isset(self::NUMBERS[$this->variable]) && !ctype_digit($text)
                ? (string) preg_replace('/(?<=\d)\s*-\s*(?=\d)/', $printing->locale->say('page-range-delimiter') ?? '–', $text)
                : $text,
        };
    }
}
