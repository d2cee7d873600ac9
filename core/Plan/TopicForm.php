<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Shape;

/** The storage form of a whole topic: what is usual is left out. */
final class TopicForm
{
    /** @return array<string, mixed> */
    public static function toArray(Topic $topic, ?string $parent = null): array
    {
        $form = ['id' => $topic->id, 'parent' => $parent, 'title' => $topic->title];
        foreach (Field::cases() as $field) {
            $form[$field->value] = $field->written($topic);
        }
        $form['note'] = $topic->note === null || $topic->note->blocks === [] ? null : self::blocks($topic->note);

        return array_filter($form, static fn(mixed $value): bool => $value !== null);
    }

    /** @return list<array<string, mixed>> */
    public static function blocks(Note $note): array
    {
        return array_map(static fn($block): array => $block->toArray(), array_values($note->blocks));
    }

    /** @throws MalformedShape|InvalidValue|InvalidNote */
    public static function topic(Shape $shape): Topic
    {
        $fields = [];
        foreach (Field::cases() as $field) {
            if ($shape->has($field->value)) {
                $fields[$field->value] = $field->read($shape);
            }
        }
        $topic = (new Topic($shape->id('id'), Topic::title($shape->stringOr('title', '') ?? '')))->with($fields);
        if (!$shape->has('note')) {
            return $topic;
        }
        $note = Note::of(array_map(Schema::block(...), $shape->list('note')));
        $note->toJson();

        return $topic->withNote($note);
    }

    /** @return array<string, string> */
    public static function foreign(Shape $shape): array
    {
        $out = [];
        $bytes = 0;
        foreach ($shape->values() as $name => $value) {
            $bytes += \is_string($value) ? \strlen($value) + \strlen((string) $name) : 0;
            if (
                !\is_string($value)
                || !mb_check_encoding($value, 'UTF-8')
                || $bytes > Limits::FOREIGN_BYTES
                || \count($out) >= Limits::FOREIGN
            ) {
                throw MalformedShape::expected('at most ' . Limits::FOREIGN . ' short texts', 'foreign');
            }
            $out[(string) $name] = $value;
        }

        return $out;
    }
}
