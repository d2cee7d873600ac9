<?php

declare(strict_types=1);

namespace Embrel\Difference;

use Embrel\MalformedShape;
use Embrel\Shape;

/** The storage form of a difference: what is empty is left out. */
final class DifferenceForm
{
    /** @return array<string, mixed> */
    public static function toArray(Difference $difference): array
    {
        return ['v' => Difference::VERSION] + array_filter([
            'topics' => array_map(
                static fn(TopicChange $one): array => array_filter([
                    'birth' => $one->birth,
                    'fields' => $one->fields,
                    'blocks' => $one->blocks,
                    'order' => self::rows($one->order),
                ]),
                $difference->topics,
            ),
            'parts' => array_map(self::rows(...), $difference->parts),
            'branches' => $difference->branches,
            'sources' => $difference->sources,
            'relations' => $difference->relations,
            'plan' => $difference->properties,
        ]);
    }

    /**
     * @param list<Lineup> $changes
     *
     * @return list<array{list<string>, list<string>, bool}>
     */
    private static function rows(array $changes): array
    {
        return array_map(static fn(Lineup $one): array => $one->toArray(), $changes);
    }

    /** @throws MalformedShape when it is none, or one of a version that is not known */
    public static function read(Shape $form): Difference
    {
        if ($form->int('v') !== Difference::VERSION) {
            throw MalformedShape::expected('version ' . Difference::VERSION, 'difference.v');
        }
        $topics = $parts = [];
        foreach (self::values($form, 'topics') as $id => $one) {
            $one = Shape::of($one, 'difference.topics');
            $topics[(string) $id] = new TopicChange(
                $one->intOr('birth', 0) ?? 0,
                self::pairs($one, 'fields'),
                self::pairs($one, 'blocks'), // @phpstan-ignore argument.type (read again as blocks of a note where they are applied)
                self::lineups($one->has('order') ? $one->list('order') : []),
            );
        }
        foreach (self::values($form, 'parts') as $parent => $changes) {
            $parts[(string) $parent] = self::lineups(\is_array($changes) ? array_values($changes) : []);
        }
        $branches = [];
        foreach (self::values($form, 'branches') as $head => $_) {
            $branches[(string) $head] = $form->object('branches')->ids((string) $head);
        }

        return new Difference(
            $topics,
            $parts,
            $branches,
            self::pairs($form, 'sources'), // @phpstan-ignore argument.type (read again where they are applied, as the next)
            self::pairs($form, 'relations'), // @phpstan-ignore argument.type
            self::pairs($form, 'plan'),
        );
    }

    /** @return array<array-key, mixed> */
    private static function values(Shape $form, string $key): array
    {
        return $form->has($key) ? $form->object($key)->values() : [];
    }

    /** @return array<string, array{mixed, mixed}> */
    private static function pairs(Shape $form, string $key): array
    {
        $pairs = [];
        foreach (self::values($form, $key) as $name => $pair) {
            $pairs[(string) $name]
                = \is_array($pair) && \count($pair) === 2 && array_is_list($pair)
                    ? [$pair[0], $pair[1]]
                    : throw MalformedShape::expected('what was and what is', "difference.{$key}");
        }

        return $pairs;
    }

    /**
     * @param list<mixed> $rows
     *
     * @return list<Lineup>
     */
    private static function lineups(array $rows): array
    {
        return array_map(static function (mixed $row): Lineup {
            $row = Shape::of($row, 'difference.parts');

            return new Lineup($row->ids('0'), $row->ids('1'), $row->bool('2'));
        }, $rows);
    }
}
