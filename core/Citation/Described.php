<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\Date;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Csl\Name;
use Embrel\Citation\Csl\Style;
use Embrel\Language\Language;

/**
 * Sources and citations in the words of the Citation Style Language. Titles in English go in sentence case, as its
 * styles expect them; they raise what they want raised.
 */
final class Described
{
    /**
     * @param string      $language of the work, a language tag
     * @param Manual|null $manual   null: the style is a file of others, which gets titles and editions as they were typed
     */
    public static function source(Source $source, string $language, ?Manual $manual, Style $style): Item
    {
        $own = $source->language === '' ? $language : $source->language;
        $isCased = $manual !== null && !$manual->keepsTitles() && Language::of($own)->isEnglish();
        $keepsParticles = $manual?->keepsParticles() ?? false;
        $none = Language::of($language)->say('noTitle');
        $calls = static fn(string $variable): bool => isset($style->calls[$variable]);
        $isApa = $manual === Manual::Apa;
        $kind = $manual === null ? $source->kind : $source->kind->plain();
        $isDirected = $kind === SourceKind::Film && $calls('director');
        // With its word, as each language has them in an order of its own; styles of others have that word themselves.
        $isPlain = $source->edition === '' || $manual === null;
        $cased = static fn(string $title): string => $isCased ? Titles::sentence($title, $source->capitals) : $title;
        $short = static fn(): string => $cased($source->title === '' ? $none : Titles::short($source->title));
        $author = \count($source->authors) === 1 ? $source->authors[0]->straight() : null;
        // APA 9.29, 9.33: the publisher or the site, unless it is the author; nobody is both container and publisher.
        $container = $isApa && $kind === SourceKind::WebPage && $source->container === $author ? '' : $source->container;
        $publisher = $source->publisher === $source->container || ($isApa && $source->publisher === $author) ? '' : $source->publisher;

        $fields = [
            'type' => $source->isPersonal() ? 'personal_communication' : $kind->type(),
            // APA 9.22: words in the place of a title stand in brackets.
            'title' => $source->title === '' ? ($isApa ? "[{$none}]" : $none) : $cased($source->title),
            'title-short' => $calls('title-short') ? $source->detail(Detail::ShortTitle) ?: $short() : '',
            $isDirected ? 'director' : 'author' => self::people($source->authors, $keepsParticles),
            'editor' => self::people($source->editors, $keepsParticles),
            'issued' => self::date($source->date),
            'accessed' => self::date($source->accessed),
            'container-title' => $kind === SourceKind::Chapter ? $cased($container) : $container,
            'container-title-short' => $manual === null && $calls('container-title-short') ? self::shortContainer($source) : '',
            'publisher' => $publisher,
            'publisher-place' => $source->place,
            'edition' => $isPlain ? $source->edition : Language::of($language)->edition($source->edition),
            'volume' => $source->volume,
            'issue' => $kind === SourceKind::Report ? '' : $source->issue,
            'number' => $kind === SourceKind::Report ? $source->issue : '',
            'page' => $source->pages,
            'URL' => $source->url,
            'DOI' => $source->doi,
            'ISBN' => $source->isbn,
            'language' => $own,
        ];
        foreach (self::more($source, $keepsParticles) as $variable => $value) {
            // What is empty says nothing, and leaves its place to what the source says beside.
            $fields[$variable] = \in_array($fields[$variable] ?? '', ['', []], true) ? $value : $fields[$variable];
        }

        return new Item($source->id, $fields);
    }

    /** Of a journal, what its writer says, else what the list of words makes of it. */
    private static function shortContainer(Source $source): string
    {
        $own = $source->detail(Detail::ShortContainer);
        $isJournal = \in_array($source->kind, [SourceKind::Article, SourceKind::Review, SourceKind::BookReview], true);

        return $own === '' && $isJournal ? ShortTitles::of($source->container) : $own;
    }

    /** @return array<string, mixed> what few sources have */
    private static function more(Source $source, bool $keepsParticles): array
    {
        $more = array_map(static fn(array $people): array => self::people($people, $keepsParticles), $source->contributors);
        foreach ($source->details as $name => $text) {
            $more[$name] = Detail::tryFrom($name)?->isDate() === true ? self::date(PartialDate::of($text)) : $text;
        }

        return $more;
    }

    public static function cite(Cited $cited): Cite
    {
        $isPage = Pages::arePages($cited->pages);

        return new Cite(
            $cited->source,
            $isPage ? Pages::range($cited->pages, Pages::FULL) : $cited->pages,
            // What says itself what it is, as “ch. 3” does, has no word before it.
            $isPage ? 'page' : '',
            $cited->prefix,
            $cited->suffix === '' || preg_match('/\A\p{P}/u', $cited->suffix) === 1 ? $cited->suffix : ", {$cited->suffix}",
            $cited->withoutAuthor,
        );
    }

    /**
     * @param list<Person> $people
     *
     * @return list<Name>
     */
    private static function people(array $people, bool $keepsParticles): array
    {
        $out = [];
        foreach ($people as $person) {
            $drops = !$keepsParticles && $person->drops();
            $out[] = $person->given === '' ? new Name(literal: $person->surname()) : new Name(
                $person->family,
                $person->given,
                $drops ? $person->particle : '',
                $drops ? '' : $person->particle,
                $person->suffix,
            );
        }

        return $out;
    }

    private static function date(?PartialDate $date): ?Date
    {
        return match (true) {
            $date === null => null,
            $date->year === null => new Date([], literal: $date->words),
            default => new Date([[$date->year, $date->month ?? 0, $date->day ?? 0]], $date->circa),
        };
    }
}
