<?php

declare(strict_types=1);

namespace Embrel\Show;

use Embrel\Draft\Choices;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;

/** What a screen is told of a plan that is shown (resources/js/views/present/deck.js). */
final class Deck
{
    /**
     * @param bool $notes whether what is said with each step is told: the audience does not see it
     *
     * @return array<string, mixed> title, language, steps, how many seconds each stays, main sections, choices, how many were left out
     */
    public static function of(Plan $plan, Choices $choices, bool $notes): array
    {
        $show = Show::of($plan, $choices);

        return [
            'title' => $plan->title() === '' ? 'Untitled' : $plan->title(),
            'language' => $plan->properties->language,
            'steps' => array_map(static fn(Step $step): array => self::step($step, $notes), $show->steps),
            'seconds' => $show->seconds(),
            'mains' => self::mains($plan, $show, $choices),
            'choices' => $choices->show->toArray(),
            'left' => $show->leftOut,
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Step $step, bool $notes): array
    {
        return [
            'topic' => $step->topic,
            'number' => $step->number,
            'title' => $step->title === '' ? 'Untitled' : $step->title,
            'level' => $step->level,
            'dye' => $step->dye,
            'main' => $step->main,
            'under' => $step->under,
            'lines' => array_map(
                static fn(Line $line): array => [$line->topic, $line->number, $line->text, $line->level, $line->isQuote, $line->source],
                $step->lines,
            ),
            'shots' => array_map(static fn(Shot $shot): array => [$shot->picture, $shot->says, $shot->caption], $step->shots),
            'note' => $notes ? $step->note : '',
            'part' => $step->part,
            'scale' => round($step->scale, 3),
            'size' => Fitting::size($step->title),
        ];
    }

    /** @return list<array{string, string, string, string}> the main sections that are shown: id, number, dye, title */
    private static function mains(Plan $plan, Show $show, Choices $choices): array
    {
        $numbers = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $mains = [];
        foreach ($show->steps as $step) {
            if ($step->main !== '' && !isset($mains[$step->main])) {
                $main = $plan->topic($step->main);
                $mains[$main->id] = [$main->id, $numbers->own($main->id), $main->dye->value ?? $step->dye, $main->title];
            }
        }

        return array_values($mains);
    }
}
