<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Cited;
use Embrel\Citation\Pages;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Terms;
use Embrel\Citation\Titles;

/** The Chicago Manual of Style, 17th edition, notes and bibliography (chapter 14). */
final readonly class ChicagoNotes implements Style
{
    private const MOST_IN_NOTE = 3;

    private ChicagoEntry $list;

    public function __construct(private Terms $terms)
    {
        $this->list = new ChicagoEntry($terms);
    }

    public function ways(): Ways
    {
        return new Ways(inNotes: true);
    }

    public function heading(): string
    {
        return $this->terms->say('bibliography');
    }

    public function cited(Source $source, int $names): string
    {
        return $this->who($source);
    }

    /** 14.19: whole the first time, short after that; 14.57: several apart by semicolons, in one note. */
    public function citation(array $items, Uses $uses): string
    {
        $out = [];
        foreach ($items as $item) {
            $source = $uses->source($item->source);
            $isAgain = isset($uses->seen[$source->id]);
            $note = $isAgain ? $this->short($source, $item, $uses) : $this->whole($source, $item);
            $out[] = ($item->prefix === '' ? '' : "{$item->prefix} ") . $note . Apa::suffix($item);
            $uses->seen[$source->id] = true;
            $uses->previous = $source->id;
        }
        $uses->previous = \count($items) === 1 ? $items[0]->source : null;

        $note = Prose::raised(implode('; ', $out));

        return $this->terms->language->closesAfterStop() && str_ends_with($note, '”')
            ? substr($note, 0, -3) . (preg_match('/[.?!]”\z/u', $note) === 1 ? '”' : '.”')
            : Prose::stop($note);
    }

    /** 14.30: family name, title of four words at most, page; 14.34: of the same source as just before the title can go. */
    private function short(Source $source, Cited $item, Uses $uses): string
    {
        $title = $uses->kept["{$source->id} title"] ??= Titles::short($this->list->cased($source, $source->title));
        $title
            = $uses->previous === $source->id && $source->people() !== []
                ? ''
                : ($this->list->isQuoted($source)
                    ? $this->terms->quoted($title, $item->pages === '' ? '' : ',')
                    : Prose::italic($title) . ($item->pages === '' ? '' : ','));
        $who = $item->withoutAuthor && $title !== '' ? '' : ($uses->kept["{$source->id} who"] ??= $this->who($source));
        $page = $this->place($item);

        return Prose::joined(' ', $who === '' || ($title === '' && $page === '') ? $who : "{$who},", $title, $page);
    }

    private function who(Source $source): string
    {
        $people = $source->people();
        if (\count($people) > self::MOST_IN_NOTE) {
            return $people[0]->surname(true) . ' ' . $this->terms->say('etAl');
        }

        return Prose::row(array_map(static fn($person): string => $person->surname(true), $people), $this->terms->say('and'));
    }

    private function place(Cited $item): string
    {
        return $item->pages === '' ? '' : Pages::range($item->pages, Pages::CHICAGO);
    }

    /** 14.23: names as they are spoken, commas between, the facts of publication in brackets. */
    private function whole(Source $source, Cited $item): string
    {
        $people = $source->people();
        $names = Prose::straight($people);
        $who
            = \count($names) > self::MOST_IN_NOTE
                ? "{$names[0]} {$this->terms->say('etAl')}"
                : Prose::row($names, $this->terms->say('and'));
        $who .= match (true) {
            $people === [] => '',
            $source->authors === [] => ', ' . $this->terms->low(\count($people) > 1 ? 'editors' : 'editor'),
            $source->kind === SourceKind::Film => ', ' . $this->terms->say('directorShort'),
            default => '',
        };
        $page = $this->place($item);
        $read
            = $source->date === null && $source->accessed !== null
                ? \sprintf($this->terms->say('accessedLow'), $this->terms->day($source->accessed))
                : '';
        $rest = Prose::joined(', ', $this->facts($source, $page), $read, $source->address());
        $who = $item->withoutAuthor || $who === '' ? '' : "{$who}, ";
        // A bracket follows a title without a comma.
        $glue = str_starts_with($rest, '(') || $rest === '' ? '' : ',';

        return $who . trim($this->list->title($source, $glue) . ' ' . $rest);
    }

    private function facts(Source $source, string $page): string
    {
        $day = $source->date === null ? '' : $this->terms->day($source->date);
        $imprint = $this->list->imprint($source, true);
        $imprint = $imprint === '' ? '' : "({$imprint})";

        return match ($source->kind) {
            SourceKind::Article => $this->list->journal($source, true) . ($page === '' ? '' : ": {$page}"),
            SourceKind::Newspaper => Prose::joined(', ', Prose::italic($source->container), $day, $page),
            SourceKind::WebPage => Prose::joined(', ', $source->container, $source->publisher, $day, $page),
            SourceKind::Thesis => Prose::joined(
                ', ',
                '(' . Prose::joined(', ', $this->terms->low('thesis'), $source->publisher, $day) . ')',
                $page,
            ),
            SourceKind::Interview => Prose::joined(
                ', ',
                $this->terms->low('interview'),
                Prose::italic($source->container),
                $source->publisher,
                $day,
                $page,
            ),
            SourceKind::Chapter => Prose::joined(
                ', ',
                Prose::joined(
                    ' ',
                    Prose::joined(
                        ', ',
                        $this->terms->say('inLow') . ' ' . Prose::italic($this->list->cased($source, $source->container)),
                        $this->list->editors($source, 'edBy'),
                        $this->list->details($source),
                    ),
                    $imprint,
                ),
                $page,
            ),
            default => Prose::joined(
                ', ',
                Prose::joined(
                    ' ',
                    Prose::joined(
                        ', ',
                        $source->container === ''
                            ? ''
                            : $this->terms->say('inLow') . ' ' . Prose::italic($this->list->cased($source, $source->container)),
                        $this->list->editors($source, 'edBy'),
                        $this->list->details($source),
                    ),
                    $imprint,
                ),
                $page,
            ),
        };
    }

    public function entry(Source $source, Uses $uses, ?Source $above): string
    {
        return $this->list->of($source, $above, null);
    }
}
