<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Id\Ids;
use Embrel\Operation\AddTopics;
use Embrel\Operation\CopyTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/** Branches of one plan, or the whole of it, as something that can be added to another. */
final class BranchCopy
{
    public function __construct(private readonly PlanStore $store, private readonly Ids $ids) {}

    /**
     * @param list<string> $heads topics of the plan, removed ones too; none: the whole plan, under a topic with its title and opening note
     *
     * @throws NotThere
     */
    public function of(PlanRow $from, array $heads, Place $place): AddTopics
    {
        $plan = $this->store->whole($from);
        $new = [];
        foreach ($heads === [] ? [Plan::ROOT] : $heads as $head) {
            $isOne = $plan->has($head) && ($head === Plan::ROOT || !Plan::isFixed($head));
            foreach ($isOne ? $plan->branch($head) : throw new NotThere() as $id) {
                $new[$id] ??= $this->ids->next();
            }
        }

        return CopyTopics::added($plan, $new, $place);
    }
}
