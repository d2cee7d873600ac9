<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Plan\Form;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;

/** How headings stand under each other. */
final class Shape implements RuleSet
{
    /** Parts in a row that can still be seen at once. */
    private const PARTS = 12;
    private const LEVELS = 5;
    private const LEVELS_OF_AN_ESSAY = 3;

    public function findings(Ground $ground): iterable
    {
        $form = $ground->plan->properties->form;
        $levels = $form === Form::Essay ? self::LEVELS_OF_AN_ESSAY : self::LEVELS;
        // A report or a thesis says what is to come before it divides; a book of essays or notes need not.
        $wantsText = $form === Form::Report || $form === Form::Thesis;
        foreach ([Plan::ROOT, ...$ground->printing] as $id) {
            if ($ground->plan->topics[$id]->kind !== Kind::Section) {
                continue;
            }
            $sections = $ground->sections($id);
            $count = \count($sections);
            if ($count > self::PARTS) {
                yield new Finding(Rule::ManyParts, [$id], ['parts' => $count, 'most' => self::PARTS]);
            }
            if ($id === Plan::ROOT) {
                continue;
            }
            if ($count === 1 && \count($ground->plan->parts($id)) === 1) {
                yield new Finding(Rule::OnlyPart, [$id, $sections[0]], ['part' => $ground->plan->topics[$sections[0]]->title]);
            }
            if ($ground->levels[$id] === $levels + 1) {
                yield new Finding(Rule::TooDeep, [$id], ['levels' => $levels]);
            }
            $isHeadingNext = ($ground->plan->parts($id)[0] ?? null) === ($sections[0] ?? '');
            if ($wantsText && $isHeadingNext && !$ground->plan->topics[$id]->noted && isset($ground->written[$id])) {
                yield new Finding(Rule::StackedHeadings, [$id, $sections[0]], ['next' => $ground->plan->topics[$sections[0]]->title]);
            }
        }
    }
}
