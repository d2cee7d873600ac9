<?php

declare(strict_types=1);

namespace Embrel\Check\Rules;

use Embrel\Check\Finding;
use Embrel\Check\Ground;

/** Some rules that look at the same side of a plan. */
interface RuleSet
{
    /** @return iterable<Finding> in reading order, of each rule by itself */
    public function findings(Ground $ground): iterable;
}
