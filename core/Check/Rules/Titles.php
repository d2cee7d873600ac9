<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Language\Language;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;

/** Titles by themselves and beside each other. */
final class Titles implements RuleSet
{
    /** In characters: two lines of a heading. */
    private const LONG = 120;
    /** Titles beside each other, before their form is compared; and how few may differ from the rest. */
    private const BESIDE = 3;
    private const FEW = 1 / 3;

    public function findings(Ground $ground): iterable
    {
        $called = [];
        foreach ($ground->printing as $id) {
            $topic = $ground->plan->topics[$id];
            if ($topic->kind !== Kind::Section) {
                continue;
            }
            if ($topic->title === '') {
                if ($topic->noted || $ground->plan->parts($id) !== []) {
                    yield new Finding(Rule::NoTitle, [$id]);
                }
                continue;
            }
            if (mb_strlen($topic->title) > self::LONG) {
                yield new Finding(Rule::LongTitle, [$id], ['characters' => mb_strlen($topic->title)]);
            }
            $called[rtrim($topic->title, ' .?!:')][] = $id;
        }
        foreach (self::folded($called) as $title => $ids) {
            if (\count($ids) > 1) {
                yield new Finding(
                    Rule::SameTitle,
                    $ids,
                    ['title' => $ground->plan->topics[$ids[0]]->title, 'times' => \count($ids)],
                    thing: (string) $title,
                );
            }
        }
        foreach ([Plan::ROOT, ...$ground->printing] as $id) {
            yield from self::unlike($ground, $ground->sections($id));
        }
    }

    /**
     * In small letters: where none is written in others, that is one call for all.
     *
     * @param array<array-key, list<string>> $called
     *
     * @return array<array-key, list<string>>
     */
    private static function folded(array $called): array
    {
        $folded = [];
        $titles = explode("\n", mb_strtolower(implode("\n", array_keys($called))));
        foreach (array_values($called) as $i => $ids) {
            $folded[$titles[$i]] = [...$folded[$titles[$i]] ?? [], ...$ids];
        }

        return $folded;
    }

    /**
     * @param list<string> $ids beside each other
     *
     * @return iterable<Finding>
     */
    private static function unlike(Ground $ground, array $ids): iterable
    {
        if (\count($ids) < self::BESIDE) {
            return;
        }
        $titles = [];
        foreach ($ids as $id) {
            if ($ground->plan->topics[$id]->title !== '') {
                $titles[$id] = $ground->plan->topics[$id]->title;
            }
        }
        $forms = ['question' => self::asks(...), 'stop' => self::stops(...)];
        if (!Language::of($ground->plan->properties->language)->keepsCapitalsOfNouns()) {
            $forms['capitals'] = self::capitals(...);
        }
        foreach ($forms as $form => $has) {
            $answers = [];
            foreach ($titles as $id => $title) {
                $answer = $has($title);
                $answer === null ? null : $answers[$id] = $answer;
            }
            $with = \count(array_filter($answers));
            $few = min($with, \count($answers) - $with);
            if (\count($answers) < self::BESIDE || $few === 0 || $few > self::FEW * \count($answers)) {
                continue;
            }
            $odd = array_keys(array_filter($answers, static fn(bool $answer): bool => $answer === ($with === $few)));
            yield new Finding(
                Rule::UnlikeTitles,
                array_map(strval(...), $odd),
                ['form' => $form, 'has' => $with === $few ? 1 : 0, 'titles' => \count($answers)],
                thing: $form,
            );
        }
    }

    private static function asks(string $title): bool
    {
        return str_ends_with($title, '?');
    }

    private static function stops(string $title): bool
    {
        $end = rtrim($title, '"”’)');

        return str_ends_with($end, '.') && !str_ends_with($end, '..');
    }

    /** Whether every long word begins with a capital, beyond the first word and names; null where too few of them tell. */
    private static function capitals(string $title): ?bool
    {
        $isSmall = preg_match('/ [a-z]\w{3}/', $title) === 1;
        $large = preg_match_all('/ (?:[A-Z]|\xC3[\x80-\x9E])[\w\x80-\xFF]{3}/', $title);

        return match (true) {
            $isSmall && $large === 0 => false,
            !$isSmall && $large > 1 => true,
            default => null,
        };
    }
}
