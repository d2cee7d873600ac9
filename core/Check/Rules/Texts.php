<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Check\Text\Reader;
use Embrel\Check\Text\Reading;
use Embrel\Check\Text\Spot;
use Embrel\Check\Text\Spread;
use Embrel\Plan\Plan;

/** Signs, words that stand twice, and sentences and paragraphs that are far longer than the rest. */
final class Texts implements RuleSet
{
    /** Sentences and paragraphs that a plan must have, before one can be far longer than the rest. */
    private const SENTENCES = 20;
    private const PARAGRAPHS = 8;

    public function findings(Ground $ground): iterable
    {
        $sentences = $paragraphs = new Spread();
        $kinds = [];
        $straight = 0;
        $read = [];
        foreach ([Plan::ROOT, ...$ground->printing] as $id) {
            $title = $ground->plan->topics[$id]->title;
            // Most titles hold nothing of what is looked for.
            if (
                strpbrk($title, "\"'\xE2\xC2") !== false
                || str_contains($title, '  ')
                || preg_match(Reader::TWICE_AT_A_GLANCE, $title) === 1
            ) {
                $read[$id][] = Reader::title($title, $ground->plan->properties->language);
            }
            if (isset($ground->readings[$id])) {
                $read[$id][] = $ground->readings[$id];
            }
            foreach ($read[$id] ?? [] as $reading) {
                $sentences = $sentences->and($reading->sentences);
                $paragraphs = $paragraphs->and($reading->paragraphs);
                foreach ($reading->quotes as $kind => $count) {
                    $kinds[$kind] = ($kinds[$kind] ?? 0) + $count;
                }
                foreach ($reading->spots as $spot) {
                    $straight += $spot->sign === Reading::STRAIGHT ? 1 : 0;
                }
            }
        }
        arsort($kinds);
        $usual = array_key_first($kinds);
        $isTypeset = array_sum($kinds) * 2 >= $straight && $kinds !== [];
        $longest = $sentences->count < self::SENTENCES ? INF : $sentences->far();
        $most = $paragraphs->count < self::PARAGRAPHS ? INF : $paragraphs->far();
        $facts = ['mean' => (int) round($sentences->mean()), 'usual' => (int) round($paragraphs->mean())];
        foreach ($read as $id => $readings) {
            foreach ($readings as $reading) {
                foreach ($reading->spots as $spot) {
                    $rule = match ($spot->sign) {
                        Reading::TWO_SPACES => Rule::TwoSpaces,
                        Reading::WORD_TWICE => Rule::WordTwice,
                        Reading::STRAIGHT => $isTypeset ? Rule::StraightQuotes : null,
                        Reading::SENTENCE => $spot->words > $longest ? Rule::LongSentence : null,
                        Reading::PARAGRAPH => $spot->words > $most ? Rule::LongParagraph : null,
                        Reading::PASSIVE => Rule::Passive,
                        Reading::SCAFFOLD => Rule::Scaffold,
                        default => str_starts_with($spot->sign, Reading::QUOTES) && $spot->sign !== Reading::QUOTES . $usual
                            ? Rule::UnlikeQuotes
                            : null,
                    };
                    if ($rule !== null) {
                        yield self::finding($rule, (string) $id, $spot, $facts);
                    }
                }
            }
        }
    }

    /** @param array<string, int> $facts */
    private static function finding(Rule $rule, string $id, Spot $spot, array $facts): Finding
    {
        return new Finding(
            $rule,
            [$id],
            ['text' => $spot->text, 'words' => $spot->words] + $facts,
            $spot->hit($id),
            thing: $spot->block . $spot->text,
        );
    }
}
