<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\RichText\Text;

/**
 * Labels: words of the writer's own on topics. A topic carries their names; the plan lists each once, with its dye. Two names
 * that differ in capitals alone are one label.
 */
final class Label
{
    public const LENGTH = 40;
    /** On one topic. */
    public const MOST = 20;
    /** In one plan. */
    public const MOST_IN_PLAN = 200;

    /** @throws InvalidValue when it is none: one line of at most LENGTH characters, without a comma, which divides labels */
    public static function name(string $typed): string
    {
        $name = trim(Text::line($typed));

        return $name !== '' && mb_strlen($name) <= self::LENGTH && !str_contains($name, ',')
            ? $name
            : throw InvalidValue::field('label', $typed);
    }

    /**
     * @param array<array-key, mixed> $given
     *
     * @return list<string> each once, in the order of the alphabet
     *
     * @throws InvalidValue
     */
    public static function names(array $given): array
    {
        $names = [];
        foreach ($given as $name) {
            $name = self::name(\is_string($name) && mb_check_encoding($name, 'UTF-8') ? $name : '');
            $names[self::key($name)] ??= $name;
        }

        return \count($names) <= self::MOST
            ? self::sorted(array_values($names))
            : throw new InvalidValue('A topic carries at most ' . self::MOST . ' labels.');
    }

    /**
     * What stands in a text with commas between; what is no label of it is left out.
     *
     * @return list<string>
     */
    public static function inText(string $text): array
    {
        $names = [];
        foreach (explode(',', $text) as $part) {
            try {
                $names[] = self::name($part);
            } catch (InvalidValue) {
                continue;
            }
        }

        return self::names(\array_slice($names, 0, self::MOST));
    }

    /** By this two names are told apart. */
    public static function key(string $name): string
    {
        return mb_strtolower($name);
    }

    /**
     * @param list<string> $names
     *
     * @return list<string>
     */
    public static function sorted(array $names): array
    {
        usort($names, static fn(string $a, string $b): int => strnatcmp(self::key($a), self::key($b)) ?: strcmp($a, $b));

        return $names;
    }

    /** A plan in whose list every label stands that a topic carries. */
    public static function complete(Plan $plan): Plan
    {
        $names = [];
        foreach ($plan->topics as $id => $topic) {
            if ($topic->labels !== [] && $plan->isLive((string) $id)) {
                array_push($names, ...$topic->labels);
            }
        }

        return self::listed($plan, $names);
    }

    /**
     * A plan in whose list these stand too: a new one with the dye that the fewest have.
     *
     * @param list<string> $names
     *
     * @throws InvalidValue when there would be too many
     */
    public static function listed(Plan $plan, array $names): Plan
    {
        $labels = $plan->properties->labels;
        $known = array_fill_keys(array_map(self::key(...), array_map(strval(...), array_keys($labels))), true);
        foreach ($names as $name) {
            if (!isset($known[self::key($name)])) {
                $labels[$name] = self::leastUsed($labels);
                $known[self::key($name)] = true;
            }
        }

        return \count($labels) === \count($plan->properties->labels)
            ? $plan
            : $plan->withProperties($plan->properties->withLabels($labels));
    }

    /** The name of a label as the plan's list has it, whatever capitals it was typed with. */
    public static function asListed(Plan $plan, string $name): string
    {
        foreach ($plan->properties->labels as $listed => $_) {
            if (self::key((string) $listed) === self::key($name)) {
                return (string) $listed;
            }
        }

        return $name;
    }

    /** @param array<array-key, Dye> $labels */
    private static function leastUsed(array $labels): Dye
    {
        $uses = array_fill_keys(Dye::NAMES, 0);
        foreach ($labels as $dye) {
            if (isset($uses[$dye->value])) {
                ++$uses[$dye->value];
            }
        }

        return Dye::of((string) array_search(min($uses), $uses, true));
    }
}
