<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Difference\Difference;
use Embrel\Numbering\Runs;
use Embrel\Operation\Order;
use Embrel\Plan\Comparison;
use Embrel\Plan\Dye;
use Embrel\Plan\Field;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Sign;
use Embrel\Plan\Topic;

/** What a page is told of a plan: the whole at first, then what has changed. Everything is computed here, the page only shows it. */
final class PlanView
{
    /** @return array<string, mixed> the whole plan, for a page that opens */
    public static function whole(PlanRow $row, Plan $plan): array
    {
        $sight = Sight::of($plan);
        $topics = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $_) {
                $topics[] = self::spelledOut($plan->topic($id), (string) $plan->parent($id)) + array_filter(
                    ['label' => $sight->numbering()->own($id)],
                    static fn(string $number): bool => $number !== '',
                );
            }
        }

        return [
            'revision' => $row->revision,
            'topics' => $topics,
            'figures' => self::figures($sight, null),
            'relations' => self::relations($row->id),
            'sources' => PlanSources::labels($row),
            'strip' => $sight->strip(),
            'words' => $sight->words(),
            'properties' => $plan->properties->toArray(),
        ] + self::signs($topics) + self::summary($plan->title(), $plan->properties->target?->words, $plan->topic(Plan::ROOT)->noted);
    }

    /**
     * What has changed: rows, those that stand elsewhere with the sibling they stand after, numbers as runs, words.
     *
     * @param Sight|null   $known the plan as the page has it, that `sight` was made from; null: the page is told all
     * @param list<string> $named topics that are told with their places, or as gone, whatever has become of them
     *
     * @return array<string, mixed>
     */
    public static function since(PlanRow $row, Sight $sight, ?Sight $known, array $named = []): array
    {
        $plan = $sight->plan;
        // What came and went since the page knew the plan is in no difference: the page may show it nevertheless.
        $gone = array_values(array_filter($named, static fn(string $id): bool => !$plan->isLive($id)));
        $named = array_values(array_diff($named, $gone));
        $comparison = $known === null ? null : $sight->comparison;
        $brought = $comparison === null ? [] : self::brought($known->plan, $plan, $comparison);
        $placed = $comparison === null ? null : array_flip([...$named, ...$comparison->reordered, ...$brought]);
        $ids = ($comparison === null ? $plan->topics : $comparison->changed) + ($placed ?? []);
        $changed = array_map(strval(...), array_keys(array_diff_key($ids, [Plan::BIN => 1])));
        $topics = self::told($plan, array_values(array_filter($changed, $plan->isLive(...))), $placed);

        return [
            'revision' => $row->revision,
            'whole' => $known === null,
            'rootRevised' => \in_array(Plan::ROOT, $changed, true),
            'topics' => $topics,
            'removed' => array_values(array_unique([
                ...array_filter($changed, static fn(string $id): bool => !$plan->isLive($id)),
                ...$gone,
            ])),
            'numbers' => [
                'all' => $known === null,
                'runs' => match (true) {
                    $comparison === null => Runs::all($plan),
                    $sight->hasSameNumbersAs($known) => self::numbers($sight, $named),
                    default => [...Runs::since($known->plan, $plan, $comparison), ...self::numbers($sight, $named)],
                },
            ],
            'figures' => self::figures($sight, $known, $changed),
        ]
            + self::signs($topics)
            + ($known !== null && $known->plan->relations === $plan->relations ? [] : ['relations' => self::relations($row->id)])
            + ($known !== null && $known->plan->sources === $plan->sources && !self::citesOtherwise($known->plan, $plan)
                ? []
                : ['sources' => PlanSources::labels($row)])
            + ($known !== null && $sight->hasSameNumbersAs($known) && $sight->hasSameWordsAs($known)
                ? []
                : ['strip' => $sight->strip(), 'words' => $sight->words()])
            + ($known !== null && $known->plan->properties === $plan->properties ? [] : ['properties' => $plan->properties->toArray()])
            + self::summary($plan->title(), $plan->properties->target?->words, $plan->topic(Plan::ROOT)->noted);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<array{parent: string, from: int, own: list<string>}> the numbers of topics and of what is under them, each by itself
     */
    private static function numbers(Sight $sight, array $ids): array
    {
        $plan = $sight->plan;
        $under = [];
        foreach ($ids as $id) {
            $under += array_fill_keys(Plan::isFixed($id) ? [] : $plan->branch($id), true);
        }
        $runs = [];
        foreach ($under as $id => $_) {
            $parent = (string) $plan->parent((string) $id);
            $from = (int) array_search($id, $plan->parts($parent), true);
            $runs[] = ['parent' => $parent, 'from' => $from, 'own' => [$sight->numbering()->own((string) $id)]];
        }

        return $runs;
    }

    /**
     * What has changed where every topic stands where it stood, with the number, the words and the note it had: of each
     * what is new, as the difference has it. Neither tree nor rows are needed.
     *
     * @param int                        $revision up to which it is told
     * @param list<array{Topic, string}> $named    topics that are told whatever has become of them, each with its parent
     *
     * @return array<string, mixed>
     */
    public static function ofSome(PlanRow $row, int $revision, Difference $did, array $named): array
    {
        $told = [];
        foreach (array_diff_key($did->topics, [Plan::ROOT => 1, Plan::TRAY => 1]) as $id => $change) {
            $told[$id] = ['id' => (string) $id] + array_map(static fn(array $pair): mixed => $pair[1], $change->fields);
            foreach (self::fields() as $field) {
                if (isset($change->fields[$field->value])) {
                    $told[$id][$field->value] = self::shown($field, $change->fields[$field->value][1]);
                }
            }
            unset($told[$id][Field::Foreign->value]);
        }
        foreach ($named as [$topic, $parent]) {
            if (!Plan::isFixed($topic->id)) {
                $told[$topic->id] = self::topic($topic, $parent);
            }
        }

        return [
            'revision' => $revision,
            'whole' => false,
            'rootRevised' => isset($did->topics[Plan::ROOT]),
            'topics' => array_values($told),
            'removed' => [],
            'numbers' => ['all' => false, 'runs' => []],
            'figures' => (object) [],
            'title' => $row->title,
            'target' => $row->target_words,
        ]
            + self::signs($told)
            + ($did->relations === [] ? [] : ['relations' => self::relations($row->id)])
            + ($did->sources === [] ? [] : ['sources' => PlanSources::labels($row)]);
    }

    /**
     * The signs on topics that are told.
     *
     * @param array<array-key, array<string, mixed>> $topics
     *
     * @return array{signs?: array<string, array{string, string}>}
     */
    private static function signs(array $topics): array
    {
        $signs = Sign::told(array_filter(array_column($topics, Field::Sign->value), \is_string(...)));

        return $signs === [] ? [] : ['signs' => $signs];
    }

    /** @return array{title: string, target: int|null, noted: bool} */
    private static function summary(string $title, ?int $target, bool $isNoted): array
    {
        return ['title' => $title, 'target' => $target, 'noted' => $isNoted];
    }

    private static function citesOtherwise(Plan $before, Plan $after): bool
    {
        return $before->properties->citationStyle->key !== $after->properties->citationStyle->key
            || $before->properties->language !== $after->properties->language;
    }

    /** @return list<array<string, mixed>> all of them: they are few */
    public static function relations(string $planId): array
    {
        return array_map(static fn(Relation $relation): array => $relation->toArray(), array_values(PlanRows::relations($planId)));
    }

    /** @return list<string> topics under another parent than before, and whole branches that went or came back */
    private static function brought(Plan $before, Plan $after, Comparison $comparison): array
    {
        $ids = [];
        foreach ($comparison->moved as $id) {
            $ids
                += isset($before->topics[$id]) && $before->isLive($id) && $after->isLive($id)
                    ? [$id => true]
                    : array_fill_keys($after->branch($id), true);
        }

        return array_map(strval(...), array_keys($ids));
    }

    /**
     * @param list<string>              $ids
     * @param array<string, mixed>|null $placed topics that stand elsewhere than the page has them; null: any may
     *
     * @return list<array<string, mixed>> in reading order; each that stands elsewhere with the sibling it stands after
     */
    private static function told(Plan $plan, array $ids, ?array $placed): array
    {
        $out = [];
        foreach (Order::of($plan, array_values(array_filter($ids, static fn(string $id): bool => !Plan::isFixed($id)))) as $id) {
            $stands = $placed === null || isset($placed[$id]) ? ['after' => Place::of($plan, $id)->after] : [];
            $out[] = self::topic($plan->topic($id), (string) $plan->parent($id)) + $stands;
        }

        return $out;
    }

    /** @return array<string, mixed> */
    public static function topic(Topic $topic, string $parent): array
    {
        return self::spelledOut($topic, $parent) + self::usual();
    }

    /** @return array<string, mixed> a topic without what most topics are */
    private static function spelledOut(Topic $topic, string $parent): array
    {
        $told = ($topic->title === '' ? [] : ['title' => $topic->title]) + ($topic->noted ? ['noted' => true] : []);
        foreach (self::fields() as $field) {
            $form = $field->written($topic);
            if ($form !== null) {
                $told[$field->value] = self::shown($field, $form);
            }
        }

        return ['id' => $topic->id, 'parent' => $parent] + $told;
    }

    /**
     * What most topics are; left out of a plan that is told whole.
     *
     * @return array<string, mixed>
     */
    public static function usual(): array
    {
        $usual = ['title' => '', 'noted' => false];
        foreach (self::fields() as $field) {
            $usual[$field->value] = self::shown($field, null);
        }

        return $usual;
    }

    /** @param mixed $form as it is stored; null: the usual */
    private static function shown(Field $field, mixed $form): mixed
    {
        $value = $form ?? $field->usual();

        return match (true) {
            // Whether anybody chose it is nothing that is shown.
            $field === Field::Dye && \is_string($value) => Dye::of($value)->value,
            $value instanceof \BackedEnum => $value->value,
            default => $value,
        };
    }

    /** @return list<Field> those that are shown */
    private static function fields(): array
    {
        static $fields = null;

        return $fields ??= array_values(array_filter(Field::cases(), static fn(Field $field): bool => $field !== Field::Foreign));
    }

    /**
     * @param list<string> $changed topics that differ or stand elsewhere
     *
     * @return array<string, array{int, float}> topic → words of it and everything under it, and how far its floret is filled
     */
    private static function figures(Sight $sight, ?Sight $before, array $changed = []): array
    {
        if ($sight->hasSameWordsAs($before)) {
            return [];
        }
        $totals = $sight->totals();
        $ids
            = $before === null || $sight->comparison === null
                ? [Plan::ROOT, ...$sight->plan->standing()]
                : array_filter(self::concerned($before->plan, $sight->plan, $changed), $sight->plan->isLive(...));
        $figures = [];
        foreach ($ids as $id) {
            $figures[$id] = [$totals->words($id), round($totals->filled($id), 3)];
        }

        return $figures;
    }

    /**
     * @param list<string> $changed
     *
     * @return list<string> these, and everything above them: only their sums can be others
     */
    private static function concerned(Plan $before, Plan $after, array $changed): array
    {
        $concerned = [];
        foreach ($changed as $id) {
            foreach ([$before, $after] as $plan) {
                for ($at = $id; $at !== null; $at = $plan->parent($at)) {
                    $concerned[$at] = true;
                }
            }
        }

        return array_keys($concerned);
    }
}
