<?php

declare(strict_types=1);

namespace Embrel\Prompt\Near;

use Embrel\Language\Tongue;
use Embrel\Plan\Plan;

/** What is in a plan twice: titles that say nearly the same, and sections that speak of the same. */
final class Alike
{
    /** Of the stems of two titles so many are the same (Jaccard's coefficient). */
    private const TITLES = 0.75;
    /** How near two texts are (the cosine of their weighted words; Salton and Buckley 1988) to speak of the same. */
    private const TEXTS = 0.25;
    /** Texts with fewer words that tell something are not compared. */
    private const FEWEST = 8;
    /** A word that so many have tells no two of them apart. */
    private const COMMON = 60;
    private const MOST = 50;

    /**
     * Topics of the tree and loose ideas whose titles say nearly the same, in any order and form of their words.
     *
     * @return list<array{string, string}> the first of two in reading order before the other; at most 50
     */
    public static function titles(Plan $plan): array
    {
        $tongue = Tongue::of($plan->properties->language);
        $stems = $having = $pairs = [];
        foreach ($plan->standing() as $id) {
            $of = array_keys($tongue->stems($plan->topics[$id]->title));
            if ($of === []) {
                continue;
            }
            $shared = [];
            foreach ($of as $stem) {
                foreach ($having[$stem] ?? [] as $other) {
                    $shared[$other] = ($shared[$other] ?? 0) + 1;
                }
                // What many have is seldom what two are alike by.
                if (\count($having[$stem] ?? []) < self::COMMON) {
                    $having[$stem][] = $id;
                }
            }
            $stems[$id] = \count($of);
            foreach ($shared as $other => $same) {
                if ($same >= self::TITLES * ($stems[$id] + $stems[$other] - $same) && !self::isApart($plan, (string) $other, $id, $same)) {
                    $pairs[] = [(string) $other, $id];
                    if (\count($pairs) === self::MOST) {
                        return $pairs;
                    }
                }
            }
        }

        return $pairs;
    }

    /**
     * One word that stands again below another heading is a heading of its own, as “Method” is; and a part may be
     * called as what it stands in.
     */
    private static function isApart(Plan $plan, string $a, string $b, int $same): bool
    {
        return $plan->isWithin($b, $a) || ($same === 1 && $plan->parent($a) !== $plan->parent($b));
    }

    /**
     * Topics whose notes speak of the same.
     *
     * @param array<string, array<array-key, int>> $texts topic → what stands in its note: stem, or what stands for it → how often
     *
     * @return list<array{string, string, float}> two topics, and how near they are, up to 1; the nearest first, at most 50
     */
    public static function texts(array $texts): array
    {
        $having = $vectors = $near = [];
        foreach ($texts as $id => $stems) {
            foreach (\count($stems) < self::FEWEST ? [] : $stems as $stem => $_) {
                $having[$stem][] = (string) $id;
            }
        }
        $all = \count($texts);
        foreach ($texts as $id => $stems) {
            $vectors[$id] = self::weighed($stems, $having, $all);
        }
        foreach ($having as $stem => $ids) {
            if (\count($ids) > self::COMMON) {
                continue;
            }
            foreach ($ids as $i => $a) {
                foreach (\array_slice($ids, $i + 1) as $b) {
                    $near["{$a} {$b}"] = ($near["{$a} {$b}"] ?? 0.0) + $vectors[$a][$stem] * $vectors[$b][$stem];
                }
            }
        }
        $near = array_filter($near, static fn(float $by): bool => $by >= self::TEXTS);
        arsort($near);
        $pairs = [];
        foreach (\array_slice($near, 0, self::MOST, true) as $pair => $by) {
            [$a, $b] = explode(' ', (string) $pair);
            $pairs[] = [$a, $b, min(1.0, $by)];
        }

        return $pairs;
    }

    /**
     * @param array<array-key, int>          $stems
     * @param array<array-key, list<string>> $having
     *
     * @return array<array-key, float> of length 1
     */
    private static function weighed(array $stems, array $having, int $all): array
    {
        $vector = [];
        $squares = 0.0;
        foreach ($stems as $stem => $times) {
            $vector[$stem] = (1 + log($times)) * log(1 + $all / max(1, \count($having[$stem] ?? [])));
            $squares += $vector[$stem] ** 2;
        }

        return array_map(static fn(float $weight): float => $weight / sqrt($squares), $vector);
    }
}
