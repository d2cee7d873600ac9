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
        return array_filter(
            [
                'id' => $topic->id,
                'parent' => $parent,
                'title' => $topic->title,
                'kind' => $topic->kind === Kind::Section ? null : $topic->kind->value,
                'numbered' => $topic->numbered === Numbered::Usual ? null : $topic->numbered->value,
                'dye' => $topic->dye?->stored(),
                'flag' => $topic->flag?->value,
                'target' => $topic->target?->words,
                'size' => $topic->size?->value,
                'alone' => $topic->alone?->value,
                'spot' => $topic->spot?->value(),
                'picture' => $topic->picture?->value(),
                'note' => $topic->note === null || $topic->note->blocks === [] ? null : self::blocks($topic->note),
                'foreign' => $topic->foreign === [] ? null : $topic->foreign,
            ],
            static fn(mixed $value): bool => $value !== null,
        );
    }

    /** @return list<array<string, mixed>> */
    public static function blocks(Note $note): array
    {
        return array_map(static fn($block): array => $block->toArray(), array_values($note->blocks));
    }

    /** @throws MalformedShape|InvalidValue|InvalidNote */
    public static function topic(Shape $shape): Topic
    {
        $kind = $shape->stringOr('kind', 'section') ?? '';
        $numbered = $shape->stringOr('numbered', 'usual') ?? '';
        $flag = $shape->stringOr('flag', null);
        $topic = new Topic(
            $shape->id('id'),
            Topic::title($shape->stringOr('title', '') ?? ''),
            Kind::tryFrom($kind) ?? throw InvalidValue::field('kind', $kind),
            Numbered::tryFrom($numbered) ?? throw InvalidValue::field('numbered', $numbered),
            $shape->has('dye') ? Dye::of($shape->string('dye')) : null,
            $flag === null ? null : Flag::tryFrom($flag) ?? throw InvalidValue::field('flag', $flag),
            $shape->has('target') ? Target::of($shape->int('target')) : null,
            foreign: $shape->has('foreign') ? self::foreign($shape->object('foreign')) : [],
            size: $shape->has('size') ? self::size($shape->string('size')) : null,
            alone: $shape->has('alone') ? self::alone($shape->string('alone')) : null,
            picture: $shape->has('picture') ? Picture::of($shape->string('picture')) : null,
            spot: $shape->has('spot') ? Spot::of($shape->string('spot')) : null,
        );
        if (!$shape->has('note')) {
            return $topic;
        }
        $note = Note::of(array_map(Schema::block(...), $shape->list('note')));
        $note->toJson();

        return $topic->withNote($note);
    }

    /** @throws InvalidValue */
    public static function size(string $value): Size
    {
        return Size::tryFrom($value) ?? throw InvalidValue::field('size', $value);
    }

    /** @throws InvalidValue */
    public static function alone(string $value): Alone
    {
        return Alone::tryFrom($value) ?? throw InvalidValue::field('alone', $value);
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
