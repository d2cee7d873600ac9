<?php

declare(strict_types=1);

namespace Embrel\Calendar;

use Embrel\Id\Ids;
use Embrel\Operation\AddTopics;
use Embrel\Operation\Compound;
use Embrel\Operation\SetWork;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** Days that come back from a calendar or a table: what they change in a plan, before it is done. What they do not name stays as it is. */
final readonly class BroughtBack
{
    /**
     * @param list<array{topic: string, title: string, set: array<string, mixed>}> $changed topics, with what becomes other
     * @param list<Topic>                                                          $new     what no topic stands for
     * @param int                                                                  $same    entries that change nothing
     */
    private function __construct(public array $changed, public array $new, public int $same) {}

    /** @param list<Days> $read */
    public static function of(Plan $plan, array $read, Ids $ids): self
    {
        $changed = $new = [];
        $same = 0;
        foreach ($read as $days) {
            $isOf = $days->topic !== null && $plan->isLive($days->topic) && !Plan::isFixed($days->topic);
            $topic = $isOf ? $plan->topic($days->topic) : null;
            if ($topic === null) {
                $title = Topic::title(mb_substr($days->title, 0, 1_000));
                $new[] = (new Topic($ids->next(), $title))->with(self::set($days, null));
                continue;
            }
            $set = array_filter(
                self::set($days, $topic),
                static fn(mixed $value, string $name): bool => $value !== $topic->{$name},
                ARRAY_FILTER_USE_BOTH,
            );
            if ($set === [] || isset($changed[$topic->id])) {
                ++$same;
            } else {
                $changed[$topic->id] = ['topic' => $topic->id, 'title' => $topic->title, 'set' => $set];
            }
        }

        return new self(array_values($changed), $new, $same);
    }

    /**
     * One day alone is that which the topic has alone; of one that has none, the day by which it is to be done.
     *
     * @return array<string, mixed>
     */
    private static function set(Days $days, ?Topic $topic): array
    {
        $isOne = $days->from === $days->to;
        $set = match (true) {
            $isOne && $topic?->begins !== null && $topic->due === null => ['begins' => $days->from, 'due' => null],
            $isOne && $topic?->begins === null => ['begins' => null, 'due' => $days->to],
            default => ['begins' => $days->from, 'due' => $days->to],
        };

        return array_diff_key($set, $days->saysFrom ? [] : ['begins' => 1], $days->saysTo ? [] : ['due' => 1])
            + ($days->who === null ? [] : ['who' => $days->who])
            + ($days->saysDone ? ['done' => $days->done] : [])
            + ($days->saysAgain ? ['again' => $days->again] : []);
    }

    /** All of it in one step; what is new comes to the loose ideas. Null: it changes nothing. */
    public function operation(): ?Compound
    {
        $steps = array_map(static fn(array $one): SetWork => new SetWork([$one['topic']], $one['set']), $this->changed);
        if ($this->new !== []) {
            $rows = array_map(static fn(Topic $topic): array => ['topic' => $topic, 'parent' => null], $this->new);
            $steps[] = new AddTopics(new Place(Plan::TRAY), $rows);
        }

        return $steps === [] ? null : new Compound($steps);
    }
}
