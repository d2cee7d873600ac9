<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Id\Ids;
use Embrel\Operation\AddTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** A plan that was read, as the operation that adds it to another. */
final class Branch
{
    /** As one main section, named after it, with everything under it. */
    public static function of(Plan $read, Ids $ids, Plan $into): AddTopics
    {
        $head = $ids->next();
        $root = $read->topic(Plan::ROOT);
        $topic = new Topic($head, $root->title);
        $first = ['topic' => $root->note === null ? $topic : $topic->withNote($root->note), 'parent' => null];

        return new AddTopics(Place::lastIn($into, Plan::ROOT), [$first, ...self::rows($read, $head)]);
    }

    /** The topics of a plan that was read, last among the parts of a topic, without one around them; null: there are none. */
    public static function below(Plan $read, Plan $into, string $under): ?AddTopics
    {
        $rows = self::rows($read, null);

        return $rows === [] ? null : new AddTopics(Place::lastIn($into, $under), $rows);
    }

    /**
     * @param string|null $head the topic under which the main sections come; null: where the branch does
     *
     * @return list<array{topic: Topic, parent: string|null}> with the dyes that somebody chose
     */
    private static function rows(Plan $read, ?string $head): array
    {
        $rows = [];
        foreach ($read->walk() as $id => $_) {
            $topic = $read->topic($id);
            $parent = (string) $read->parent($id);
            $topic = $topic->dye?->isGiven === true ? $topic->with(['dye' => null]) : $topic;
            $rows[] = ['topic' => $topic, 'parent' => $parent === Plan::ROOT ? $head : $parent];
        }

        return $rows;
    }
}
