<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Cited;
use Embrel\Citation\Pages;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Terms;
use Embrel\Citation\Titles;

/** Publication Manual of the American Psychological Association, 7th edition (chapters 8 to 10). */
final readonly class Apa implements Style
{
    private const MOST_LISTED = 20;

    public function __construct(private Terms $terms) {}

    public function ways(): Ways
    {
        return new Ways(letters: true, keepsParticles: true);
    }

    public function heading(): string
    {
        return $this->terms->say('references');
    }

    public function cited(Source $source, int $names): string
    {
        return $this->who($source, $names, false) . '|' . $this->terms->when($source->date);
    }

    public function citation(array $items, Uses $uses): string
    {
        // 8.12: in the order of the list; works of the same people share their name.
        usort($items, static fn(Cited $a, Cited $b): int => $uses->numbers[$a->source] <=> $uses->numbers[$b->source]);
        $out = $before = '';
        foreach ($items as $i => $item) {
            $source = $uses->source($item->source);
            $who = $uses->kept[$source->id] ??= $this->who($source, $uses->names[$source->id] ?? 1, isset($uses->namesakes[$source->id]));
            $joins = $i > 0 && $who === $before && $item->prefix === '' && $items[$i - 1]->suffix === '' && $items[$i - 1]->pages === '';
            $out .= $i === 0 ? '' : ($joins ? ', ' : '; ');
            $out
                .= ($item->prefix === '' ? '' : "{$item->prefix} ")
                . ($joins || $item->withoutAuthor ? '' : self::comma($who) . ' ')
                . $this->whenCited($source, $uses)
                . $this->place($item)
                . self::suffix($item);
            $before = $who;
        }

        return "({$out})";
    }

    /** 8.13. */
    private function place(Cited $item): string
    {
        return $item->pages === '' ? '' : ', ' . $this->terms->pages($item->pages, Pages::FULL);
    }

    /** In English the comma stands within the quotation marks. */
    private static function comma(string $who): string
    {
        return str_ends_with($who, '”') ? substr($who, 0, -3) . ',”' : "{$who},";
    }

    public static function suffix(Cited $item): string
    {
        return $item->suffix === '' ? '' : (preg_match('/\A[\p{P}]/u', $item->suffix) === 1 ? '' : ', ') . $item->suffix;
    }

    /**
     * 8.17: one name, two with an ampersand, from three on the first with “et al.”; 8.18: more where that is not
     * enough; 8.14: without a name the title.
     */
    private function who(Source $source, int $names, bool $initials): string
    {
        $people = $source->people();
        if ($people === []) {
            $title = Titles::short($source->title === '' ? $this->terms->say('noTitle') : $source->title);
            $title = $this->terms->isEnglish($source->language) ? Titles::headline($title, $source->capitals) : $title;

            return $source->kind->isPart() || $source->kind === SourceKind::WebPage ? $this->terms->quoted($title) : Prose::italic($title);
        }
        $shown = array_map(static fn(Person $person): string => $person->surname(), $people);
        if ($initials || $source->isPersonal()) {
            $shown[0] = trim($people[0]->initials() . ' ' . $shown[0]);
        }
        // “et al.” is plural: for the last name alone it does not stand.
        if (\count($shown) <= max(2, $names > 1 ? $names + 1 : 1)) {
            return Prose::row($shown, '&');
        }

        return implode(', ', \array_slice($shown, 0, max(1, $names))) . ($names > 1 ? ',' : '') . ' ' . $this->terms->say('etAl');
    }

    private function whenCited(Source $source, Uses $uses): string
    {
        if ($source->isPersonal()) {
            // 8.9.
            return $this->terms->say('personal') . ($source->date === null ? '' : ', ' . $this->terms->day($source->date));
        }

        return $this->terms->when($source->date, $uses->letters[$source->id] ?? '');
    }

    public function entry(Source $source, Uses $uses, ?Source $above): string
    {
        $date = '(' . $this->listedDate($source, $uses->letters[$source->id] ?? '') . ')';
        $title = $this->title($source);
        // 9.12: without an author the title moves to the front.
        $people = $this->people($source);

        return $people === ''
            ? Prose::sentences($title, $date, $this->within($source)) . $this->address($source)
            : Prose::sentences($people, $date, $title, $this->within($source)) . $this->address($source);
    }

    /** 9.14: the year; the day too of what comes out daily, monthly, or when it likes. */
    private function listedDate(Source $source, string $letter): string
    {
        $year = $this->terms->when($source->date, $letter);
        $isDated = \in_array($source->kind, [SourceKind::Newspaper, SourceKind::WebPage, SourceKind::Interview], true);
        $day = $isDated && $source->date !== null ? $this->terms->monthAndDay($source->date) : '';

        return $day === '' ? $year : "{$year}, {$day}";
    }

    /** 9.8: up to 20 names, else the first 19, an ellipsis and the last; 9.10: what editors and directors did. */
    private function people(Source $source): string
    {
        $people = $source->people();
        if ($people === []) {
            return '';
        }
        $names = array_map(static fn(Person $person): string => $person->inverted(true), $people);
        if (\count($names) > self::MOST_LISTED) {
            $row = implode(', ', \array_slice($names, 0, self::MOST_LISTED - 1)) . ', . . . ' . end($names);
        } else {
            $row = Prose::row($names, '&', paired: true);
        }
        $several = \count($people) > 1;

        return $row
            . match (true) {
                $source->authors === [] => ' (' . $this->terms->say($several ? 'editors' : 'editor') . ')',
                $source->kind === SourceKind::Film => ' (' . $this->terms->say($several ? 'directors' : 'director') . ')',
                default => '',
            };
    }

    /** 9.19: sentence case; italic unless it is part of something larger. */
    private function title(Source $source): string
    {
        $title = $source->title === '' ? '[' . $this->terms->say('noTitle') . ']' : $this->cased($source, $source->title);
        if ($source->kind->isPart()) {
            return $title;
        }
        $details = Prose::joined(
            ', ',
            $source->edition === '' ? '' : $this->terms->edition($source->edition),
            $source->volume === '' ? '' : $this->terms->say('Volume') . " {$source->volume}",
            $source->kind === SourceKind::Report && $source->issue !== ''
                ? Prose::raised($this->terms->say('issue')) . " {$source->issue}"
                : '',
        );
        // 9.21: what is not a usual book or article is said in brackets.
        $form = match ($source->kind) {
            SourceKind::Film => $this->terms->say('film'),
            SourceKind::Thesis => Prose::joined(', ', $this->terms->say('thesis'), $source->publisher),
            SourceKind::Interview => $this->terms->say('interview'),
            default => '',
        };

        return Prose::italic($title) . ($details === '' ? '' : " ({$details})") . ($form === '' ? '' : " [{$form}]");
    }

    private function cased(Source $source, string $title): string
    {
        return $this->terms->isEnglish($source->language) ? Titles::sentence($title, $source->capitals) : $title;
    }

    /** 9.25, 9.28, 9.29: the journal, the book around a chapter, the publisher. */
    private function within(Source $source): string
    {
        $pages = $source->pages === '' ? '' : Pages::range($source->pages, Pages::FULL);

        return match ($source->kind) {
            SourceKind::Article => Prose::joined(
                ', ',
                Prose::italic($source->container),
                Prose::italic($source->volume) . ($source->issue === '' ? '' : "({$source->issue})"),
                $pages,
            ),
            SourceKind::Newspaper => Prose::joined(', ', Prose::italic($source->container), $pages),
            SourceKind::Chapter => Prose::sentences($this->book($source), $source->publisher),
            // 9.33: the site, unless it is the author.
            SourceKind::WebPage => $this->isAuthor($source, $source->container) ? '' : $source->container,
            SourceKind::Thesis => '',
            SourceKind::Book, SourceKind::Film, SourceKind::Report => $this->isAuthor($source, $source->publisher)
                ? ''
                : $source->publisher,
            SourceKind::Interview, SourceKind::Other => Prose::sentences(
                $source->container === '' ? '' : Prose::joined(', ', Prose::italic($source->container), $pages),
                $source->publisher,
            ),
        };
    }

    private function isAuthor(Source $source, string $name): bool
    {
        return $name !== '' && \count($source->authors) === 1 && $source->authors[0]->straight() === $name;
    }

    private function book(Source $source): string
    {
        $editors = Prose::row(Prose::straight($source->authors === [] ? [] : $source->editors, true), '&');
        $editors = $editors === '' ? '' : "{$editors} (" . $this->terms->say(\count($source->editors) > 1 ? 'editors' : 'editor') . '), ';
        $pages = $source->pages === '' ? '' : $this->terms->pages($source->pages, Pages::FULL);
        $details = Prose::joined(
            ', ',
            $source->edition === '' ? '' : $this->terms->edition($source->edition),
            $source->volume === '' ? '' : $this->terms->say('Volume') . " {$source->volume}",
            $pages,
        );

        return $this->terms->say('in')
            . " {$editors}"
            . Prose::italic($this->cased($source, $source->container))
            . ($details === '' ? '' : " ({$details})");
    }

    /** 9.34, 9.35: the DOI before the address, neither with a stop; 9.16: when it was read, where it may change and has no date. */
    private function address(Source $source): string
    {
        if ($source->address() === '') {
            return '';
        }
        $read
            = $source->doi === '' && $source->date === null && $source->accessed !== null
                ? \sprintf($this->terms->say('retrieved'), $this->terms->day($source->accessed)) . ' '
                : '';

        return " {$read}{$source->address()}";
    }
}
