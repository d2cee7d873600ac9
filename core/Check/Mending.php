<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Citation\Cited;
use Embrel\Language\Language;
use Embrel\Operation\Compound;
use Embrel\Operation\EditNote;
use Embrel\Operation\Operation;
use Embrel\Operation\RemoveSources;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Search\Hit;
use Embrel\Search\Lines;
use Embrel\Search\Replacement;

/** Mends what can be mended without asking: signs, spaces, words that stand twice, and sources that stand twice. */
final class Mending
{
    /** Single quotation marks, where they are others than in English. */
    private const SINGLE = ['en' => ['‘', '’'], 'de' => ['‚', '‘']];

    /**
     * @param Plan          $plan     with the notes of the topics in question, and its sources
     * @param list<Finding> $findings of rules that are mendable
     */
    public static function of(Plan $plan, array $findings): Operation
    {
        $hits = $operations = [];
        $state = $plan;
        foreach ($findings as $finding) {
            if ($finding->rule === Rule::SourceDouble) {
                // Each after the one before it: two may be cited in one sentence.
                $operations[] = $one = new Compound(self::joined($state, $finding->sources[0], $finding->sources[1]));
                $state = $one->apply($state);
            } elseif ($finding->hit !== null && $finding->rule->isMendable()) {
                $hits[] = $finding->hit;
            }
        }
        $language = $plan->properties->language;
        $with = static fn(Hit $hit): string => self::signs(self::lineOf($plan, $hit), $hit, $language);

        return new Compound([...$hits === [] ? [] : [Replacement::of($plan, self::inOrder($hits), $with)], ...$operations]);
    }

    /** In words, for undo and the history. */
    public static function says(Rule $rule, int $count): string
    {
        $what = match ($rule) {
            Rule::TwoSpaces => ['two spaces', 'places with two spaces'],
            Rule::StraightQuotes => ['a straight quotation mark', 'straight quotation marks'],
            Rule::WordTwice => ['a word that stood twice', 'words that stood twice'],
            default => ['a source that stood twice', 'sources that stood twice'],
        };

        return 'Mended ' . ($count === 1 ? $what[0] : number_format($count) . " {$what[1]}");
    }

    /**
     * @param list<Hit> $hits
     *
     * @return list<Hit>
     */
    private static function inOrder(array $hits): array
    {
        $place = static fn(Hit $hit): array => [$hit->topic, (string) $hit->block, $hit->line, $hit->from];
        usort($hits, static fn(Hit $a, Hit $b): int => $place($a) <=> $place($b));

        return $hits;
    }

    private static function lineOf(Plan $plan, Hit $hit): string
    {
        $topic = $plan->topic($hit->topic);
        if ($hit->block === null) {
            return $topic->title;
        }
        $block = $topic->note->blocks[$hit->block] ?? null;

        return $block === null ? '' : Lines::of($block)[$hit->line] ?? '';
    }

    private static function signs(string $line, Hit $hit, string $language): string
    {
        $was = mb_substr($line, $hit->from, $hit->length);
        if (trim($was) === '') {
            return ' ';
        }
        if ($was !== '"' && $was !== "'") {
            return explode(' ', $was)[0];
        }
        $before = mb_substr($line, 0, $hit->from);
        $after = mb_substr($line, $hit->from + 1);
        $opens = preg_match('/(?:\A|[\s([{–—-])\z/u', $before) === 1;
        [$open, $close] = Language::of($language)->quotes();
        if ($was === '"') {
            return $opens ? $open : $close;
        }
        [$open, $close] = self::SINGLE[strtolower(explode('-', $language)[0])] ?? self::SINGLE['en'];
        $isClosedLater = preg_match('/\A\p{L}[^\']*[\p{L}.,!?]\'(?![\p{L}\p{N}])/u', $after) === 1;
        $isOpenBefore = preg_match('/(?:\A|[\s([{–—-])\'[^\']*\z/u', $before) === 1;

        return match (true) {
            $opens && $isClosedLater => $open,
            $isOpenBefore && preg_match('/\A[\p{L}\p{N}]/u', $after) !== 1 => $close,
            default => '’',
        };
    }

    /**
     * All that cites the one cites the other, and the one goes.
     *
     * @return list<Operation>
     */
    private static function joined(Plan $plan, string $stays, string $goes): array
    {
        $operations = [];
        foreach ($plan->topics as $id => $topic) {
            $put = $was = [];
            foreach ($topic->note->blocks ?? [] as $block => $node) {
                $now = self::citing($node, $stays, $goes);
                if ($now !== $node) {
                    $put[] = $now;
                    $was[$block] = EditNote::fingerprint($node);
                }
            }
            if ($put !== []) {
                $operations[] = new EditNote((string) $id, $put, was: $was);
            }
        }

        return [...$operations, new RemoveSources([$goes])];
    }

    private static function citing(Node $node, string $stays, string $goes): Node
    {
        if ($node->type === NodeType::Citation) {
            $names = array_map(static fn(Cited $one): string => $one->source, Cited::of($node));
            if (!\in_array($goes, $names, true)) {
                return $node;
            }
            $items = array_map(
                static fn(mixed $item): mixed => \is_array($item) && $item['source'] === $goes ? ['source' => $stays] + $item : $item,
                \is_array($node->attrs['items']) ? $node->attrs['items'] : [],
            );

            return new Node($node->type, ['items' => $items] + $node->attrs);
        }
        $content = array_map(static fn(Node $one): Node => self::citing($one, $stays, $goes), $node->content);

        return $content === $node->content ? $node : new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }
}
