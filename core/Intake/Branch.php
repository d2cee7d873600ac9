<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Id\Ids;
use Embrel\Operation\AddTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** A plan that was read, as the operation that adds it to another: one main section with everything under it. */
final class Branch
{
    public static function of(Plan $read, Ids $ids, Plan $into): AddTopics
    {
        $head = $ids->next();
        $root = $read->topic(Plan::ROOT);
        $topic = new Topic($head, $root->title);
        $rows = [['topic' => $root->note === null ? $topic : $topic->withNote($root->note), 'parent' => null]];
        foreach ($read->walk() as $id => $_) {
            $parent = (string) $read->parent($id);
            $rows[] = ['topic' => $read->topic($id)->with(['dye' => null]), 'parent' => $parent === Plan::ROOT ? $head : $parent];
        }

        return new AddTopics(Place::lastIn($into, Plan::ROOT), $rows);
    }
}
