<?php

declare(strict_types=1);

namespace Embrel\Prompt;

use Embrel\Pace\Next;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** Chooses what is asked of a topic: by the form of the text, the place of the topic in it, its title, and what its note has answered. */
final class Asking
{
    /** What a title, a place and a form weigh that a question is made for. */
    private const WEIGHTS = ['cue' => 8, 'stand' => 4, 'form' => 2];

    /**
     * @param string       $id    a topic, or the plan
     * @param Note|null    $note  of it
     * @param list<string> $asked questions that were asked of it already, by their ids
     *
     * @return list<Question> the most fitting first; none that stands there already
     */
    public static function of(Plan $plan, string $id, ?Note $note, array $asked = [], int $most = 6): array
    {
        $topic = $plan->topic($id);
        $title = $id === Plan::ROOT ? $plan->title() : $topic->title;
        $stand = Stand::of($plan, $id);
        $cues = Cues::of($title, $plan);
        $answered = Answered::by($note);
        $form = $plan->properties->form->value;
        $words = str_starts_with($plan->properties->language, 'de') ? 5 : 4;
        // What is a question itself is not asked whether it says enough.
        $isUnnamed = $title === '' || str_ends_with($title, '?');
        $there = self::standing($plan, $id, $note);
        $weighed = [];
        foreach (array_diff_key(Bank::ALL, array_flip($asked)) as $key => $row) {
            [$place, $forms, $cue, $answer] = $row;
            if (
                ($cue !== '' && !isset($cues[$cue]))
                || ($place !== '' && $place !== $stand->value)
                || ($forms !== [] && !\in_array($form, $forms, true))
                || isset($answered[$answer])
                || ($isUnnamed && str_contains($row[$words], '{title}'))
            ) {
                continue;
            }
            $text = strtr($row[$words], self::filled($cues) + ['{title}' => self::short($title)]);
            if (!isset($there[self::folded($text)])) {
                $weight = ($cue === '' ? 0 : self::WEIGHTS['cue'])
                    + ($place === '' ? 0 : self::WEIGHTS['stand'])
                    + ($forms === [] ? 0 : self::WEIGHTS['form']);
                // Among equals another topic has another first.
                $weighed[] = [-$weight, crc32($id . $key), new Question($key, $text)];
            }
        }
        usort($weighed, static fn(array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return array_column(\array_slice($weighed, 0, $most), 2);
    }

    /** What is to be asked about where one has not chosen: what is to be written next, else the plan as a whole. */
    public static function next(Plan $plan): string
    {
        return Next::of($plan, WordTotals::of($plan)) ?? Plan::ROOT;
    }

    /**
     * What stands on the topic, in it or among the loose ideas, in small letters.
     *
     * @return array<string, true>
     */
    private static function standing(Plan $plan, string $id, ?Note $note): array
    {
        $there = [];
        foreach ([...$plan->parts($id), ...$plan->parts(Plan::TRAY)] as $part) {
            $there[self::folded($plan->topics[$part]->title)] = true;
        }
        foreach ($note?->find(NodeType::Question) ?? [] as $question) {
            $there[self::folded($question->plainText())] = true;
        }

        return $there;
    }

    private static function folded(string $text): string
    {
        return mb_strtolower(trim($text));
    }

    /**
     * @param array<string, string> $cues
     *
     * @return array<string, string>
     */
    private static function filled(array $cues): array
    {
        return array_combine(array_map(static fn(string $cue): string => "{{$cue}}", array_keys($cues)), array_values($cues));
    }

    /** A title as it can stand within a question. */
    private static function short(string $title): string
    {
        return mb_strlen($title) > 80 ? mb_substr($title, 0, 79) . '…' : $title;
    }
}
