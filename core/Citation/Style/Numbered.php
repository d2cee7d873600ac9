<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

use Embrel\Citation\Cited;
use Embrel\Citation\Pages;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Terms;

/** A plain form of our own: numbers in square brackets, the list in the order in which its sources are first cited. */
final readonly class Numbered implements Style
{
    public function __construct(private Terms $terms) {}

    public function ways(): Ways
    {
        return new Ways(byName: false);
    }

    public function heading(): string
    {
        return $this->terms->say('sources');
    }

    public function cited(Source $source, int $names): string
    {
        return $source->id;
    }

    /** [2], [2, p. 61], [1–3, 5]. */
    public function citation(array $items, Uses $uses): string
    {
        usort($items, static fn(Cited $a, Cited $b): int => $uses->numbers[$a->source] <=> $uses->numbers[$b->source]);
        $out = [];
        for ($i = 0; $i < \count($items); $i = $end + 1) {
            for (
                $end = $i;
                isset($items[$end + 1])
                && $items[$end]->isBare()
                && $items[$end + 1]->isBare()
                && $uses->numbers[$items[$end + 1]->source] === $uses->numbers[$items[$end]->source] + 1;
                ++$end
            );
            $first = $uses->numbers[$items[$i]->source];
            if ($end > $i + 1) {
                $out[] = $first . '–' . $uses->numbers[$items[$end]->source];
            } else {
                foreach (\array_slice($items, $i, $end - $i + 1) as $item) {
                    $out[] = $this->one($item, $uses->numbers[$item->source]);
                }
            }
        }

        return '[' . implode(array_filter($items, static fn(Cited $item): bool => !$item->isBare()) === [] ? ', ' : '; ', $out) . ']';
    }

    private function one(Cited $item, int $number): string
    {
        return ($item->prefix === '' ? '' : "{$item->prefix} ")
            . Prose::joined(', ', (string) $number, $this->terms->pages($item->pages, Pages::FULL))
            . Apa::suffix($item);
    }

    public function entry(Source $source, Uses $uses, ?Source $above): string
    {
        $terms = $this->terms;
        $title = $source->title === '' ? $terms->say('noTitle') : $source->title;
        $people = Prose::row(Prose::straight($source->people(), true), $terms->say('and'));
        $editors
            = $source->authors === [] || $source->editors === []
                ? ''
                : Prose::row(Prose::straight($source->editors, true), $terms->say('and'))
                    . ' ('
                    . $terms->say(\count($source->editors) > 1 ? 'editors' : 'editor')
                    . ')';
        $isPart = $source->container !== '';
        $pages = $source->pages === '' ? '' : $terms->pages($source->pages, Pages::FULL);
        $read = $source->accessed === null ? '' : \sprintf($terms->say('accessed'), $terms->day($source->accessed));

        return "[{$uses->numbers[$source->id]}] "
            . Prose::sentences(
                $people
                    . ($source->authors === [] && $people !== ''
                        ? ' (' . $terms->say(\count($source->editors) > 1 ? 'editors' : 'editor') . ')'
                        : ''),
                $isPart ? $title : Prose::italic($title),
                Prose::joined(
                    ', ',
                    $isPart
                        ? ($source->kind === SourceKind::Chapter ? $terms->say('in') . ' ' : '') . Prose::italic($source->container)
                        : '',
                    $editors,
                    $source->edition === '' ? '' : $terms->edition($source->edition),
                    $source->volume === '' ? '' : $terms->say('volume') . " {$source->volume}",
                    $source->issue === '' ? '' : $terms->say('issue') . " {$source->issue}",
                ),
                Prose::joined(
                    ', ',
                    Prose::joined(': ', $source->place, $source->publisher),
                    $source->date === null ? $terms->say('noDate') : $terms->day($source->date),
                    $pages,
                ),
                $source->address(),
                $read,
            );
    }
}
