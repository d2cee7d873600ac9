<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Check\Rules\RuleSet;
use Embrel\Check\Text\Reader;
use Embrel\Check\Text\Reading;
use Embrel\Plan\Plan;

/** What a plan still lacks, and what is out of order in it. Nothing here is ever in the way of anything. */
final readonly class Check
{
    private const RULE_SETS = [
        Rules\Written::class,
        Rules\Shape::class,
        Rules\Titles::class,
        Rules\Sources::class,
        Rules\Pointers::class,
        Rules\Texts::class,
        Rules\Ends::class,
        Rules\Argument::class,
    ];

    /**
     * @param list<Finding> $findings the serious ones first, those of one rule beside each other
     * @param list<Finding> $setAside those that the plan has set aside
     */
    private function __construct(public Ground $ground, public array $findings, public array $setAside) {}

    /**
     * @param Plan                   $plan     with its sources and relations; of the notes only what was read in them
     * @param array<string, Reading> $readings topic → what was read in its note
     * @param string|null            $today    the calendar date where the person is; null: no date is late
     */
    public static function of(Plan $plan, array $readings, ?string $today = null): self
    {
        $ground = new Ground($plan, $readings, $today);
        $off = array_flip($plan->properties->rulesOff);
        $byRule = [];
        foreach (self::RULE_SETS as $set) {
            foreach (self::made($set)->findings($ground) as $finding) {
                if (!isset($off[$finding->rule->value])) {
                    $byRule[$finding->rule->value][] = $finding;
                }
            }
        }
        $kept = $aside = [];
        foreach (Weight::cases() as $weight) {
            foreach (Rule::cases() as $rule) {
                foreach ($rule->weight() === $weight ? $byRule[$rule->value] ?? [] : [] as $finding) {
                    isset($plan->properties->setAside[$finding->key()]) ? $aside[] = $finding : $kept[] = $finding;
                }
            }
        }

        return new self($ground, $kept, $aside);
    }

    /** Of a plan with its notes: each is read here. */
    public static function ofWhole(Plan $plan, ?string $today = null): self
    {
        $readings = [];
        foreach ($plan->topics as $id => $topic) {
            if ($topic->note !== null) {
                $readings[$id] = Reader::note($topic->note, $plan->properties->language);
            }
        }

        return self::of($plan, $readings, $today);
    }

    /** @param class-string<RuleSet> $set */
    private static function made(string $set): RuleSet
    {
        return new $set();
    }

    /** @return list<Group> */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->findings as $finding) {
            $groups[$finding->rule->value][] = $finding;
        }

        return array_map(static fn(array $findings): Group => new Group($findings[0]->rule, $findings), array_values($groups));
    }

    public function serious(): int
    {
        return \count(array_filter($this->findings, static fn(Finding $finding): bool => $finding->rule->weight() === Weight::Serious));
    }
}
