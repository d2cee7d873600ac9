<?php

declare(strict_types=1);

namespace Embrel\Difference;

use Embrel\Plan\Plan;

/**
 * The way back from a step among what others have done since: all of theirs stands as they left it, and everything else
 * that the step changed is as it was before. Where both cannot be had, there is none.
 */
final readonly class Undoing
{
    /** @param array<string, true> $placed topics that others have put elsewhere: they stay there */
    private function __construct(public Difference $difference, public array $placed) {}

    /**
     * @param Difference                      $back   what the step did, turned round
     * @param list<array{Difference, string}> $others what others have done after it, each with who did what
     *
     * @throws Conflict with who did what
     */
    public static function of(Difference $back, array $others, Plan $plan): self
    {
        $mine = $back->things();
        $going = self::going($back, $plan);
        $placed = [];
        foreach ($others as [$other, $says]) {
            foreach ($other->things() as $thing => $_) {
                [$id, $what] = explode('.', $thing, 2);
                if (isset($going[$id]) || ($what !== 'order' && isset($mine[$thing])) || ($what === 'order' && isset($mine["$id.place"]))) {
                    throw new Conflict($says);
                }
                if ($what === 'order' || $what === 'place') {
                    $placed[$id] = true;
                }
            }
        }

        return new self($back, $placed);
    }

    /**
     * The topics of which it must be known what others have done with them: those that it changes, their neighbours, and what
     * is in those that go.
     *
     * @return list<string>
     */
    public static function concerns(Difference $back, Plan $plan): array
    {
        $ids = array_fill_keys($back->topicsTouched(), true) + self::going($back, $plan);
        foreach ($back->parts as $changes) {
            foreach ($changes as $change) {
                $ids += array_fill_keys([...$change->was, ...$change->is], true);
            }
        }

        return array_map(strval(...), array_keys($ids));
    }

    /** @return array<string, true> what would go to the bin, with everything that is in it by now */
    private static function going(Difference $back, Plan $plan): array
    {
        $went = $came = [];
        foreach ($back->parts as $changes) {
            foreach ($changes as $change) {
                $went += array_fill_keys($change->went(), true);
                $came += array_fill_keys($change->came(), true);
            }
        }
        $going = [];
        foreach (array_diff_key($went, $came) as $id => $_) {
            $going += array_fill_keys($plan->has((string) $id) ? $plan->branch((string) $id) : [(string) $id], true);
        }

        return $going;
    }
}
