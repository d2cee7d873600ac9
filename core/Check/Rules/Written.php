<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Citation\References;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;

/** What has no words yet, too few, too many, or more than its share. */
final class Written implements RuleSet
{
    /** Of a target: below and above which it is said; below only where it lags behind the plan as well, which may be far from done. */
    private const UNDER = 0.5;
    private const LAGS = 0.75;
    private const OVER = 1.25;
    /** Of an even share; and how many main sections there must be, for a share to say something. */
    private const SHARE = 1.75;
    private const SECTIONS = 3;

    public function findings(Ground $ground): iterable
    {
        yield from self::empty($ground);
        yield from self::targets($ground);
        yield from self::shares($ground);
    }

    /** @return iterable<Finding> the highest that is empty, and nothing that is under it */
    private static function empty(Ground $ground): iterable
    {
        $sections = $ground->sections(Plan::ROOT);
        if ($ground->written === []) {
            if ($sections !== [] && !$ground->plan->topic(Plan::ROOT)->noted) {
                yield new Finding(Rule::NothingYet, [Plan::ROOT], ['sections' => \count($sections)]);
            }

            return;
        }
        $last = end($sections);
        $open = array_reverse($sections);
        while ($open !== []) {
            $id = array_pop($open);
            $topic = $ground->plan->topics[$id];
            $parts = $ground->sections($id);
            if (isset($ground->written[$id])) {
                array_push($open, ...array_reverse($parts));
            } elseif ($topic->numbered !== Numbered::None || !References::isTitle($topic->title)) {
                $facts = ['target' => $ground->totals->target($id), 'parts' => \count($parts)];
                yield new Finding(
                    match (true) {
                        $id === $last => Rule::EmptyLast,
                        $parts !== [] => Rule::EmptyBranch,
                        default => Rule::EmptySection,
                    },
                    [$id],
                    $facts,
                );
            }
        }
    }

    /** @return iterable<Finding> */
    private static function targets(Ground $ground): iterable
    {
        $whole = $ground->plan->properties->target->words ?? $ground->totals->target(Plan::ROOT);
        $lag = self::LAGS * min(1.0, $whole > 0 ? $ground->totals->words(Plan::ROOT) / $whole : 1.0);
        foreach ([Plan::ROOT, ...$ground->printing] as $id) {
            $target = ($id === Plan::ROOT ? $ground->plan->properties->target : $ground->plan->topics[$id]->target)?->words;
            $words = $ground->totals->words($id);
            if ($target === null || $words === 0) {
                continue;
            }
            if ($id !== Plan::ROOT && $words < min(self::UNDER, $lag) * $target) {
                yield new Finding(Rule::FarUnder, [$id], ['words' => $words, 'target' => $target]);
            } elseif ($words > self::OVER * $target) {
                yield new Finding(Rule::FarOver, [$id], ['words' => $words, 'target' => $target]);
            }
        }
    }

    /** @return iterable<Finding> */
    private static function shares(Ground $ground): iterable
    {
        $shares = self::sharesOf($ground);
        $sum = array_sum($shares);
        if (\count($shares) < self::SECTIONS || $sum === 0) {
            return;
        }
        $even = $sum / \count($shares);
        foreach ($shares as $id => $words) {
            if ($words > self::SHARE * $even) {
                yield new Finding(Rule::OutOfProportion, [(string) $id], ['words' => $words, 'sum' => $sum, 'even' => (int) round($even)]);
            }
        }
    }

    /** @return array<string, int> main section → its target; where none has one, its words */
    private static function sharesOf(Ground $ground): array
    {
        $targets = $words = [];
        foreach ($ground->sections(Plan::ROOT) as $id) {
            if ($ground->plan->topics[$id]->kind === Kind::Section && $ground->plan->topics[$id]->numbered === Numbered::Usual) {
                $targets[$id] = $ground->totals->target($id);
                $words[$id] = $ground->totals->words($id);
            }
        }

        return array_sum($targets) > 0 ? $targets : $words;
    }
}
