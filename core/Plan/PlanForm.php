<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\MalformedShape;
use Embrel\RichText\InvalidNote;
use Embrel\Shape;

/** The storage form of a whole plan with all its notes, what was removed among them: a point to which one can go back. */
final class PlanForm
{
    /** @return array<string, mixed> */
    public static function toArray(Plan $plan): array
    {
        $topics = [];
        foreach ([Plan::ROOT, Plan::TRAY, Plan::BIN] as $home) {
            $topics[] = TopicForm::toArray($plan->topic($home));
            foreach ($plan->walk($home) as $id => $_) {
                $topics[] = TopicForm::toArray($plan->topic($id), $plan->parent($id));
            }
        }

        return [
            'properties' => $plan->properties->toArray(),
            'topics' => $topics,
            'sources' => self::sources($plan),
            'relations' => array_map(static fn(Relation $relation): array => $relation->toArray(), array_values($plan->relations)),
            'foreign' => (object) $plan->foreign,
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function sources(Plan $plan): array
    {
        return array_map(SourceForm::toArray(...), array_values($plan->sources));
    }

    /**
     * @return array<string, Source>
     *
     * @throws MalformedShape|InvalidValue
     */
    public static function readSources(Shape $form): array
    {
        $sources = [];
        foreach ($form->objects('sources') as $row) {
            $source = SourceForm::read($row);
            $sources[$source->id] = $source;
        }

        return $sources;
    }

    /** @throws MalformedShape|InvalidValue */
    public static function relation(Shape $row): Relation
    {
        $arrows = $row->stringOr('arrows', 'end') ?? '';

        return Relation::of(
            $row->id('id'),
            $row->id('from'),
            $row->id('to'),
            $row->stringOr('label', '') ?? '',
            $row->has('dye') ? Dye::of($row->string('dye')) : null,
            Arrows::tryFrom($arrows) ?? throw InvalidValue::field('arrows', $arrows),
            $row->has('bend') ? $row->list('bend') : null,
        );
    }

    /**
     * @return array<string, Relation> none in a form that is older than relations
     *
     * @throws MalformedShape|InvalidValue
     */
    private static function readRelations(Shape $form): array
    {
        $relations = [];
        foreach ($form->has('relations') ? $form->objects('relations') : [] as $row) {
            $relations[$row->id('id')] = self::relation($row);
        }

        return $relations;
    }

    /** @throws MalformedShape|InvalidValue|InvalidNote */
    public static function plan(Shape $form): Plan
    {
        $plan = Plan::titled('', (new Properties())->with($form->object('properties')->values()));
        $edit = new Edit($plan);
        foreach ($form->objects('topics') as $row) {
            $topic = TopicForm::topic($row);
            $parent = $row->idOr('parent', null);
            $parent === null ? $edit->put($topic) : $edit->append($topic, $parent);
        }

        return $edit
            ->done()
            ->withSources(self::readSources($form))
            ->withRelations(self::readRelations($form))
            ->withForeign(TopicForm::foreign($form->object('foreign')));
    }
}
