<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Rule;
use Embrel\Check\Text\Reading;
use Embrel\Plan\Plan;

/** References that lead nowhere, and pictures that say nothing of themselves. */
final class Pointers implements RuleSet
{
    public function findings(Ground $ground): iterable
    {
        foreach ([Plan::ROOT, ...$ground->printing] as $id) {
            foreach ($ground->readings[$id]->spots ?? [] as $spot) {
                $hit = $spot->hit($id);
                $finding = match ($spot->sign) {
                    Reading::REFERS => isset($ground->levels[$spot->text]) || $spot->text === Plan::ROOT
                        ? null
                        : new Finding(
                            Rule::ReferenceLost,
                            [$id],
                            ['to' => $ground->plan->has($spot->text) ? $ground->name($spot->text) : ''],
                            $hit,
                            thing: $spot->text,
                        ),
                    Reading::NO_CAPTION => new Finding(Rule::NoCaption, [$id], hit: $hit, thing: $spot->block),
                    Reading::NO_ALTERNATIVE => new Finding(Rule::NoAlternative, [$id], ['text' => $spot->text], $hit, thing: $spot->block),
                    default => null,
                };
                if ($finding !== null) {
                    yield $finding;
                }
            }
        }
    }
}
