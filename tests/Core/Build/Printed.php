<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Csl\Locales;
use Embrel\Citation\Csl\Processor;
use Embrel\Citation\Csl\Spans;
use Embrel\Citation\Csl\StyleReader;

/**
 * What the reference processor printed in a style (tests/csl/reference.mjs) beside what ours prints: the same
 * letters with the same marks on each, in the same blocks. Spaces carry no marks.
 */
final class Printed
{
    private const TAGS = [
        '<i>' => [Spans::ITALIC, true],
        '<b>' => [Spans::BOLD, true],
        '<sup>' => [Spans::RAISED, true],
        '<sub>' => [Spans::LOWERED, true],
        'font-variant:small-caps' => [Spans::SMALL_CAPS, true],
        'font-variant: small-caps' => [Spans::SMALL_CAPS, true],
        'font-variant:normal' => [Spans::SMALL_CAPS, false],
        'font-style:normal' => [Spans::ITALIC, false],
        'font-style:oblique' => [Spans::ITALIC, true],
        'font-weight:normal' => [Spans::BOLD, false],
        'text-decoration:underline' => [Spans::UNDERLINE, true],
        'text-decoration:none' => [Spans::UNDERLINE, false],
        'baseline' => [Spans::RAISED | Spans::LOWERED, false],
    ];
    /** What the reference says where a source has nothing to print. */
    private const NOTHING = '[CSL STYLE ERROR: reference with no printed form.]';
    private const NO_CITE = '[NO_PRINTED_FORM]';

    /** @var array<string, array<string, mixed>> */
    private readonly array $items;

    private readonly Locales $locales;

    /** @param string $directory where the reference wrote */
    public function __construct(private readonly string $directory)
    {
        $items = self::json(__DIR__ . '/../../csl/items.json');
        $this->items = array_column([...$items, ...self::json(__DIR__ . '/../../csl/sequences.json')['works']], null, 'id');
        $this->locales = new Locales(static function (string $tag) use ($directory): ?string {
            return is_file("{$directory}/locales-{$tag}.xml") ? (string) file_get_contents("{$directory}/locales-{$tag}.xml") : null;
        });
    }

    /**
     * @return array{cases: int, differences: array<string, array{string, string}>} case → what the reference says, and ours
     */
    public function compared(string $name): array
    {
        $reference = self::json("{$this->directory}/{$name}.json");
        $style = StyleReader::read((string) file_get_contents("{$this->directory}/{$name}.csl"), $this->locales);
        $cases = [];
        foreach (array_keys($reference['items']) as $id) {
            $cases[$id] = [[['id' => $id]], $reference['items'][$id]];
            $cases[$id][0] = [$cases[$id][0]];
        }
        foreach (self::json(__DIR__ . '/../../csl/sequences.json')['sequences'] as $sequence) {
            $cases[$sequence['name']] = [$sequence['clusters'], $reference['sequences'][$sequence['name']]];
        }
        $differences = [];
        foreach ($cases as $case => [$clusters, [$citations, $list]]) {
            $items = $cited = [];
            foreach ($clusters as $n => $cluster) {
                foreach ($cluster as $one) {
                    $items[$one['id']] ??= new Item($one['id'], $this->items[$one['id']]);
                    $cited[$n][] = new Cite(
                        $one['id'],
                        $one['locator'] ?? '',
                        $one['label'] ?? 'page',
                        $one['prefix'] ?? '',
                        $one['suffix'] ?? '',
                        $one['suppress-author'] ?? false,
                    );
                }
            }
            $ours = Processor::run($style, $items, $cited);
            $spans = static fn(string $flat): string => self::normal(Spans::of($flat, $style->locale->quotes));
            $isNothing = static fn(string $html): bool => str_contains($html, self::NOTHING) || $html === self::NO_CITE;
            $theirs = static fn(string $html): string => $isNothing($html) ? '' : self::normal(self::spans($html));
            $pairs = [];
            foreach ($citations as $n => $html) {
                $pairs[] = [$theirs($html), $theirs($html) === '' ? '' : $spans($ours['citations'][$n])];
            }
            if ($list !== null) {
                // An entry that says nothing is left out by the reference.
                $entries = self::filled(array_map($spans, $ours['list']));
                foreach (self::filled(array_map($theirs, $list)) as $n => $entry) {
                    $pairs[] = [$entry, $entries[$n] ?? ''];
                }
            }
            foreach ($pairs as [$expected, $got]) {
                if ($expected !== $got) {
                    $differences[$case] = [$expected, $got];

                    break;
                }
            }
        }

        return ['cases' => \count($cases), 'differences' => $differences];
    }

    /**
     * @param array<string> $texts
     *
     * @return list<string>
     */
    private static function filled(array $texts): array
    {
        return array_values(array_filter($texts, static fn(string $text): bool => $text !== ''));
    }

    /** @return array<array-key, mixed> */
    private static function json(string $path): array
    {
        return json_decode((string) file_get_contents($path), true, 64, JSON_THROW_ON_ERROR);
    }

    /** @return list<array{string, int, string}> */
    private static function spans(string $html): array
    {
        $html = (string) preg_replace(['/\A<div class="csl-entry">\s*|\s*<\/div>\z/', '/\s*\n\s*/'], '', trim($html));
        $out = $stack = [];
        $marks = 0;
        $block = '';
        foreach (preg_split('/(<[^>]*>)/', $html, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            if ($piece[0] !== '<') {
                $out[] = [html_entity_decode($piece, ENT_QUOTES | ENT_HTML5), $marks, $block];
            } elseif ($piece[1] === '/') {
                [$marks, $block] = array_pop($stack) ?? [0, ''];
            } else {
                $stack[] = [$marks, $block];
                $block = preg_match('/csl-(left-margin|right-inline|block|indent)/', $piece, $m) === 1 ? $m[1] : $block;
                foreach (self::TAGS as $tag => [$mark, $on]) {
                    $marks = str_contains($piece, $tag) ? ($on ? $marks | $mark : $marks & ~$mark) : $marks;
                }
            }
        }

        return $out;
    }

    /** @param list<array{string, int, string}> $spans */
    private static function normal(array $spans): string
    {
        $out = '';
        [$lastMarks, $lastBlock] = [-1, ''];
        foreach ($spans as [$text, $marks, $block]) {
            // Of two spaces one is bound, as HTML has to write them.
            $text = (string) preg_replace('/\s\s/u', "\u{A0} ", $text);
            if ($block !== $lastBlock) {
                [$out, $text, $lastBlock] = [preg_replace('/\s+\z/u', '', $out), (string) preg_replace('/\A\s+/u', '', $text), $block];
                $out .= "|{$block}:";
            }
            foreach (preg_split('/(\s+)/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                if ($marks !== $lastMarks && preg_match('/\A\s+\z/u', $word) !== 1) {
                    $out .= "{{$marks}}";
                    $lastMarks = $marks;
                }
                $out .= $word;
            }
        }

        return (string) preg_replace('/\A(\{0\})?\s+|\s+\z/u', '$1', $out);
    }
}
