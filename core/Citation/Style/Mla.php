<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Cited;
use Embrel\Citation\Pages;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Terms;
use Embrel\Citation\Titles;

/** MLA Handbook, 9th edition (chapter 5, the list of works cited; chapter 6, citing in the text). */
final readonly class Mla implements Style
{
    public function __construct(private Terms $terms) {}

    public function ways(): Ways
    {
        return new Ways();
    }

    public function heading(): string
    {
        return $this->terms->say('worksCited');
    }

    public function cited(Source $source, int $names): string
    {
        return $this->who($source, false);
    }

    public function citation(array $items, Uses $uses): string
    {
        $out = [];
        foreach ($items as $item) {
            $source = $uses->source($item->source);
            $who = $item->withoutAuthor
                ? ''
                : ($uses->kept["{$source->id} who"] ??= $this->who($source, isset($uses->namesakes[$source->id])));
            // A title stands where no name does, or where one name stands for several works.
            $isTitled = $source->people() === [] ? !$item->withoutAuthor : isset($uses->oneOfSeveral[$source->id]);
            $title = $isTitled ? ($uses->kept["{$source->id} title"] ??= $this->shortTitle($source)) : '';
            $name = Prose::joined(', ', $who, $title);
            $place = $item->pages === '' ? '' : Pages::range($item->pages, Pages::MLA);
            // A place in words follows a comma: (Pell, ch. 3).
            $glue = $name !== '' && $place !== '' && !Pages::arePages($item->pages) ? ', ' : ' ';
            $out[] = ($item->prefix === '' ? '' : "{$item->prefix} ") . Prose::joined($glue, $name, $place) . Apa::suffix($item);
        }

        return '(' . implode('; ', $out) . ')';
    }

    private function who(Source $source, bool $initials): string
    {
        $people = $source->people();
        if ($people === []) {
            return '';
        }
        $first = trim(($initials ? $people[0]->initials() . ' ' : '') . $people[0]->surname(true));

        return match (\count($people)) {
            1 => $first,
            2 => "{$first} {$this->terms->say('and')} {$people[1]->surname(true)}",
            default => "{$first} {$this->terms->say('etAl')}",
        };
    }

    private function shortTitle(Source $source): string
    {
        $title = Titles::short($this->cased($source, $source->title));

        return $this->isQuoted($source) ? $this->terms->quoted($title) : Prose::italic($title);
    }

    private function isQuoted(Source $source): bool
    {
        return $source->kind->isPart() || ($source->container !== '' && $source->kind !== SourceKind::Film);
    }

    private function cased(Source $source, string $title): string
    {
        $title = $title === '' ? $this->terms->say('noTitle') : $title;

        return $this->terms->isEnglish($source->language) ? Titles::headline($title, $source->capitals) : $title;
    }

    public function entry(Source $source, Uses $uses, ?Source $above): string
    {
        $title = $this->cased($source, $source->title);
        $isQuoted = $this->isQuoted($source);

        return Prose::sentences(
            $source->kind === SourceKind::Film ? '' : $this->people($source, $above),
            $isQuoted ? $this->terms->quoted($title, '.') : Prose::italic($title),
            $source->kind === SourceKind::Interview && $isQuoted ? $this->terms->say('interview') : '',
            $source->kind === SourceKind::Thesis
                ? Prose::joined(
                    ' ',
                    $source->date === null ? '' : $this->terms->dayFirst($source->date) . '.',
                    Prose::joined(', ', $source->publisher, $this->terms->low('thesis')),
                )
                : '',
            $source->kind === SourceKind::Film && $source->authors !== []
                ? $this->terms->say('directedBy')
                    . ' '
                    . Prose::row(Prose::straight($source->authors), $this->terms->say('and'))
                    . ($this->container($source) === '' ? '' : ', ' . $this->container($source))
                : Prose::raised($this->container($source)),
            $source->accessed === null ? '' : \sprintf($this->terms->say('accessed'), $this->terms->dayFirst($source->accessed)),
        );
    }

    /** One name turned round; two joined; of three or more the first with “et al.”; again the same: three hyphens. */
    private function people(Source $source, ?Source $above): string
    {
        $people = $source->people();
        if ($people === []) {
            return '';
        }
        $role = $source->authors !== [] ? '' : ', ' . $this->terms->say(\count($people) > 1 ? 'editorsLong' : 'editorLong');
        if ($above?->byline() === $source->byline()) {
            return "---{$role}";
        }
        $names = Prose::firstInverted($people);

        return match (\count($people)) {
            1 => $names[0],
            2 => "{$names[0]}, {$this->terms->say('and')} {$names[1]}",
            default => "{$names[0]}, {$this->terms->say('etAl')}",
        } . $role;
    }

    /** Title of the container, its editors, version, number, publisher, date and place, in this order, with commas. */
    private function container(Source $source): string
    {
        if ($source->kind === SourceKind::Thesis) {
            return $source->address();
        }
        $editors
            = $source->authors === [] || $source->editors === []
                ? ''
                : $this->terms->say('editedBy') . ' ' . Prose::row(Prose::straight($source->editors), $this->terms->say('and'));
        $pages = $source->pages === '' ? '' : $this->terms->pages($source->pages, Pages::MLA);

        return Prose::joined(
            ', ',
            $source->container === '' ? '' : Prose::italic($this->cased($source, $source->container)),
            $editors,
            $source->edition === '' ? '' : $this->terms->edition($source->edition),
            $source->volume === '' ? '' : $this->terms->say('volume') . " {$source->volume}",
            $source->issue === '' ? '' : $this->terms->say('issue') . " {$source->issue}",
            $source->publisher === $source->container ? '' : $source->publisher,
            $source->date === null ? '' : $this->terms->dayFirst($source->date),
            $pages,
            $source->doi === '' ? preg_replace('/\Ahttps?:\/\//', '', $source->url) ?? '' : $source->address(),
        );
    }
}
