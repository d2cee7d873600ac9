<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Pages;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Terms;
use Embrel\Citation\Titles;

/** What the two systems of The Chicago Manual of Style, 17th edition, share: the entry of the list. */
final readonly class ChicagoEntry
{
    private const MOST_LISTED = 10;
    private const SHOWN_OF_MORE = 7;

    public function __construct(public Terms $terms) {}

    /** @param string|null $year after the names (author and date); null: where the facts of publication stand (notes) */
    public function of(Source $source, ?Source $above, ?string $year): string
    {
        $people = $this->people($source, $above);
        $title = $this->title($source, '.');
        // 14.79, 15.34: without a name the title stands first.
        $front = $people === '' && $year !== null ? [$title, $year] : [$people, $year ?? '', $title];

        return Prose::sentences(...[...$front, ...$this->rest($source, $year === null), $this->address($source)]);
    }

    /** 14.76, 15.9: up to ten names, of more the first seven; 14.67, 15.17: again the same people: a dash of three ems. */
    private function people(Source $source, ?Source $above): string
    {
        $people = $source->people();
        if ($people === []) {
            return '';
        }
        $role = match (true) {
            $source->authors === [] => ', ' . $this->terms->low(\count($people) > 1 ? 'editors' : 'editor'),
            $source->kind === SourceKind::Film => ', ' . $this->terms->say('directorShort'),
            default => '',
        };
        if ($above?->byline() === $source->byline()) {
            return "———{$role}";
        }
        $names = Prose::firstInverted($people);
        if (\count($names) > self::MOST_LISTED) {
            return implode(', ', \array_slice($names, 0, self::SHOWN_OF_MORE)) . ', ' . $this->terms->say('etAl');
        }

        return Prose::row($names, $this->terms->say('and'), paired: true) . $role;
    }

    /** 14.86: headline capitals; a part in quotation marks, a whole in italics. */
    public function title(Source $source, string $after): string
    {
        $title = $this->cased($source, $source->title === '' ? $this->terms->say('noTitle') : $source->title);

        return $this->isQuoted($source) ? $this->terms->quoted($title, $after) : Prose::italic($title) . ($after === ',' ? ',' : '');
    }

    public function isQuoted(Source $source): bool
    {
        return $source->kind->isPart() || \in_array($source->kind, [SourceKind::WebPage, SourceKind::Thesis, SourceKind::Interview], true);
    }

    public function cased(Source $source, string $title): string
    {
        return $this->terms->isEnglish($source->language) ? Titles::headline($title, $source->capitals) : $title;
    }

    /** @return list<string> what follows the title, a sentence each */
    private function rest(Source $source, bool $dated): array
    {
        $day = $source->date === null ? '' : $this->terms->day($source->date);
        $pages = $source->pages === '' ? '' : Pages::range($source->pages, Pages::CHICAGO);
        $imprint = $this->imprint($source, $dated);

        return match ($source->kind) {
            SourceKind::Article => [$this->journal($source, $dated) . ($pages === '' ? '' : ": {$pages}")],
            SourceKind::Newspaper => [Prose::joined(', ', Prose::italic($source->container), $day)],
            SourceKind::WebPage => [$source->container, $source->publisher === $source->container ? '' : $source->publisher, $day],
            SourceKind::Chapter => [
                Prose::joined(
                    ', ',
                    $this->terms->say('in') . ' ' . Prose::italic($this->cased($source, $source->container)),
                    $this->editors($source, 'editedBy'),
                    $pages,
                ),
                $this->details($source),
                $imprint,
            ],
            SourceKind::Thesis => [Prose::joined(', ', $this->terms->say('thesis'), $source->publisher, $dated ? $day : '')],
            SourceKind::Interview => [
                $this->terms->say('interview'),
                Prose::joined(', ', Prose::italic($source->container), $source->publisher, $day),
            ],
            default => [
                Prose::raised($this->editors($source, 'editedBy')),
                $source->container === ''
                    ? ''
                    : Prose::joined(', ', $this->terms->say('in') . ' ' . Prose::italic($this->cased($source, $source->container)), $pages),
                $this->details($source),
                $imprint,
            ],
        };
    }

    public function editors(Source $source, string $word): string
    {
        return $source->authors === [] || $source->editors === []
            ? ''
            : $this->terms->say($word) . ' ' . Prose::row(Prose::straight($source->editors), $this->terms->say('and'));
    }

    public function details(Source $source): string
    {
        return Prose::joined(
            ', ',
            $source->edition === '' ? '' : $this->terms->edition($source->edition),
            $source->volume === '' ? '' : $this->terms->say('Volume') . " {$source->volume}",
            $source->issue === '' ? '' : $this->terms->say('issue') . " {$source->issue}",
        );
    }

    /** Harrow: Creekside Press, 1994. */
    public function imprint(Source $source, bool $dated): string
    {
        $date = !$dated ? '' : ($source->date === null ? $this->terms->say('noDate') : $this->terms->year($source->date));

        return Prose::joined(', ', Prose::joined(': ', $source->place, $source->publisher), $date);
    }

    /** 14.171: Tidal Notes 3, no. 2 (1998); with author and date 15.48: Tidal Notes 3 (2). */
    public function journal(Source $source, bool $dated): string
    {
        $head = Prose::joined(' ', Prose::italic($source->container), $source->volume);
        if (!$dated) {
            return $head
                . ($source->issue === ''
                    ? ''
                    : ($source->volume === ''
                        ? ', ' . $this->terms->say('issue') . " {$source->issue}"
                        : " ({$source->issue})"));
        }

        return $head
            . ($source->issue === '' ? '' : ', ' . $this->terms->say('issue') . " {$source->issue}")
            . ' ('
            . ($source->date === null ? $this->terms->say('noDate') : $this->terms->day($source->date))
            . ')';
    }

    /** 14.12: only where no date is known it is said when it was read. */
    private function address(Source $source): string
    {
        $read
            = $source->date === null && $source->accessed !== null
                ? \sprintf($this->terms->say('accessed'), $this->terms->day($source->accessed))
                : '';

        return Prose::sentences($read, $source->address());
    }
}
