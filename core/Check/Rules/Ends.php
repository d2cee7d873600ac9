<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Plan\Day;
use Embrel\Plan\Flag;
use Embrel\Plan\Plan;
use Embrel\Plan\Work;

/** What was left for later. */
final class Ends implements RuleSet
{
    private const UNSETTLED = [Flag::Question, Flag::ToCheck, Flag::Waiting];

    public function findings(Ground $ground): iterable
    {
        foreach ($ground->printing as $id) {
            $flag = $ground->plan->topics[$id]->flag;
            if (\in_array($flag, self::UNSETTLED, true)) {
                yield new Finding(Rule::Flagged, [$id], ['flag' => $flag->label()], thing: $flag->value);
            }
        }
        foreach ($ground->plan->standing() as $id) {
            $topic = $ground->plan->topics[$id];
            if ($ground->today !== null && Work::isLate($topic, $ground->today)) {
                $due = Day::named((string) $topic->due, $ground->today);
                yield new Finding(Rule::WorkLate, [$id], ['due' => $due, 'who' => $topic->who], thing: (string) $topic->due);
            }
            if (Work::isReversed($topic)) {
                $facts = ['begins' => Day::named((string) $topic->begins, ''), 'due' => Day::named((string) $topic->due, '')];
                yield new Finding(Rule::DaysReversed, [$id], $facts);
            }
        }
        $loose = $ground->plan->parts(Plan::TRAY);
        if ($loose !== []) {
            yield new Finding(Rule::LooseIdeas, [Plan::TRAY], ['ideas' => \count($loose)]);
        }
    }
}
