<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Csl\Processor;
use Embrel\Citation\Csl\Spans;
use Embrel\Citation\Csl\TextCase;
use Embrel\Language\Language;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** The citations of a work and its reference list, printed in one style. */
final readonly class References
{
    /** What is said where it is so. */
    public const STANDS_IN = 'The style of the citations takes too much work on these sources; APA stands in for it.';

    private const NAMED = '/\A\s*(?:references?|reference list|bibliography|works cited|literature '
        . 'cited|sources|literatur|literaturverzeichnis|quellen|quellenverzeichnis|bibliogra(?:ph|f)ie)\s*\z/i';

    private const ORDINALS = ['a' => 'ª', 'o' => 'º'];
    private const MARKS = [
        Spans::ITALIC => MarkType::Italic,
        Spans::BOLD => MarkType::Bold,
        Spans::UNDERLINE => MarkType::Underline,
        Spans::RAISED => MarkType::Superscript,
        Spans::LOWERED => MarkType::Subscript,
    ];

    /**
     * @param list<list<Node>>                          $citations runs of text, as the citations were given
     * @param list<array{source: Source, label: string, runs: list<Node>}> $list the label, as a number, is what an entry begins with
     * @param array<string, Source>                     $cited by id, in the order in which they are first cited
     * @param bool                                      $isStandIn whether the usual style stands in for one that takes too much work
     */
    private function __construct(
        public string $heading,
        public bool $isInNotes,
        public array $citations,
        public array $list,
        public array $cited,
        public ListLook $look,
        public bool $isStandIn = false,
    ) {}

    /** Whether a section is called as a list of references is. */
    public static function isTitle(string $title): bool
    {
        return preg_match(self::NAMED, $title) === 1;
    }

    /**
     * @param string                $language  of the work, a language tag
     * @param array<string, Source> $sources   by id
     * @param list<list<Cited>>     $citations in reading order; what names an unknown source says so
     * @param bool                  $withAll   whether sources that are never cited are listed too
     */
    public static function of(CitationStyle $chosen, string $language, array $sources, array $citations, bool $withAll = false): self
    {
        try {
            return self::printed($chosen, $language, $sources, $citations, $withAll);
        } catch (CslError $why) {
            // What ships can be carried out; one that was brought may not be, on these sources.
            return $chosen->isOwn() ? self::printed(new CitationStyle(), $language, $sources, $citations, $withAll, true) : throw $why;
        }
    }

    /**
     * @param array<string, Source> $sources
     * @param list<list<Cited>>     $citations
     *
     * @throws CslError when the style takes more than it may
     */
    private static function printed(
        CitationStyle $chosen,
        string $language,
        array $sources,
        array $citations,
        bool $withAll,
        bool $isStandIn = false,
    ): self {
        $cited = [];
        foreach ($citations as $items) {
            foreach ($items as $item) {
                if (isset($sources[$item->source])) {
                    $cited[$item->source] = $sources[$item->source];
                }
            }
        }
        $style = $chosen->style($language);
        $manual = $chosen->manual();
        $known = $withAll ? $cited + $sources : $cited;
        $items = array_map(
            static fn(Source $source): Item => Described::source($source, $language, $manual, $style),
            $known,
        );
        $clusters = array_map(
            static fn(array $items): array => array_map(
                Described::cite(...),
                array_values(array_filter($items, static fn(Cited $item): bool => isset($known[$item->source]))),
            ),
            $citations,
        );
        $printed = Processor::run($style, $items, $clusters, $chosen->effort());
        $missing = '[' . Language::of($language)->say('noSource') . ']';
        $said = [];
        foreach ($printed['citations'] as $n => $flat) {
            $flat = $manual?->finished($flat) ?? $flat;
            // A note begins with a capital.
            $flat = $style->inNotes ? TextCase::of($flat, 'capitalize-first', false) : $flat;
            $runs = self::runs(Spans::of($flat, $style->locale->quotes));
            if (\count($clusters[$n]) < \count($citations[$n])) {
                $runs[] = Node::text(($flat === '' ? '' : ' ') . $missing);
            }
            $said[] = $runs;
        }
        $list = [];
        foreach ($printed['list'] as $id => $flat) {
            // A talk of the writer's own cannot be looked up: it is named in the text alone.
            if (!$known[$id]->isPersonal() || $style->citesNumbers) {
                $list[] = ['source' => $known[$id]] + self::entry($manual?->finished($flat) ?? $flat, $style);
            }
        }

        $look = ListLook::of($style->bibliography, array_column($list, 'label'));

        return new self($chosen->heading($language), $style->inNotes, $said, $list, $cited, $look, $isStandIn);
    }

    /** @return array{label: string, runs: list<Node>} blocks begin a line each, but for what stands beside its label */
    private static function entry(string $flat, Csl\Style $style): array
    {
        $runs = [];
        $label = '';
        /** @var list<list<array{string, int, string}>> $blocks */
        $blocks = [];
        $last = null;
        foreach (Spans::of($flat, $style->locale->quotes) as $span) {
            $at = $span[2] === $last ? \count($blocks) - 1 : \count($blocks);
            $blocks[$at] = [...$blocks[$at] ?? [], $span];
            $last = $span[2];
        }
        foreach ($blocks as $n => $spans) {
            $block = $spans[0][2];
            $made = self::runs($spans);
            if ($n > 0) {
                $runs = Flow::ended($runs);
                $runs[] = $block === 'right-inline' || $block === '' ? Node::text(' ') : new Node(NodeType::HardBreak);
            } elseif ($block === 'left-margin' && \count($blocks) > 1) {
                $label = rtrim(implode('', array_column($spans, 0)));
            }
            array_push($runs, ...$made);
        }

        return ['label' => $label, 'runs' => $runs];
    }

    /**
     * @param list<array{string, int, string}> $spans
     *
     * @return list<Node>
     */
    private static function runs(array $spans): array
    {
        $runs = [];
        foreach ($spans as [$text, $set]) {
            if ($text === '') {
                continue;
            }
            $marks = [];
            // What has a letter of its own, as 2.ª has, is read in plain text too.
            if (($set & Spans::RAISED) !== 0 && isset(self::ORDINALS[$text])) {
                [$text, $set] = [self::ORDINALS[$text], $set & ~Spans::RAISED];
            }
            foreach (self::MARKS as $bit => $mark) {
                if (($set & $bit) !== 0) {
                    $marks[] = new Mark($mark);
                }
            }
            $runs[] = Node::text($text, $marks);
        }

        return $runs;
    }
}
