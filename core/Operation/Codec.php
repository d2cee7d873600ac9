<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Citation\SourceForm;
use Embrel\Id\Ulid;
use Embrel\MalformedShape;
use Embrel\Plan\Checking;
use Embrel\Plan\Day;
use Embrel\Plan\Dye;
use Embrel\Plan\Field;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Label;
use Embrel\Plan\Place;
use Embrel\Plan\PlanForm;
use Embrel\Plan\TopicForm;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Schema;
use Embrel\Shape;

/** From the storage form to an operation: the one table of short names. Decoding is checking. */
final class Codec
{
    private const NESTING = 4;

    /**
     * @param array<array-key, mixed> $json
     *
     * @throws MalformedOperation when it is not the storage form of an operation
     */
    public static function decode(array $json): Operation
    {
        try {
            return self::operation(new Shape($json, 'operation'), 0);
        } catch (MalformedShape|InvalidValue|InvalidNote $why) {
            throw MalformedOperation::because($why);
        }
    }

    private static function operation(Shape $s, int $nesting): Operation
    {
        return match ($s->string('type')) {
            'add' => self::add($s),
            'remove' => new RemoveTopics($s->ids('ids')),
            'drop' => new RemoveTopics($s->ids('ids'), onlyEmpty: true),
            'restore' => self::restore($s),
            'move' => new MoveTopics($s->ids('ids'), Place::fromShape($s->object('at'))),
            'split' => new SplitTopic($s->id('topic'), $s->id('new'), $s->int('at')),
            'join' => new JoinTopics($s->id('upper'), $s->id('lower')),
            'wrap' => new WrapTopics(
                $s->ids('ids') ?: throw InvalidValue::field('ids', ''),
                $s->id('new'),
                $s->stringOr('title', '') ?? '',
            ),
            'dissolve' => new DissolveTopics($s->ids('ids')),
            'sort' => new SortParts(
                $s->id('parent'),
                SortBy::tryFrom($s->string('by')) ?? throw InvalidValue::field('by', $s->string('by')),
                $s->has('reversed') && $s->bool('reversed'),
            ),
            'copy' => new CopyTopics(self::copies($s->object('new')), Place::fromShape($s->object('at'))),
            'source' => new AddSources(array_map(SourceForm::read(...), $s->objects('sources'))),
            'fold' => self::fold($s),
            'divide' => new DivideNote(
                $s->id('topic'),
                \in_array($s->string('at'), [DivideNote::AT_HEADINGS, DivideNote::AT_ITEMS], true)
                    ? $s->string('at')
                    : throw InvalidValue::field('at', $s->string('at')),
                $s->id('seed'),
            ),
            'edit-source' => new EditSource(SourceForm::read($s->object('source'))),
            'unsource' => new RemoveSources($s->ids('ids')),
            'relate' => new AddRelations(array_map(PlanForm::relation(...), $s->objects('relations'))),
            'unrelate' => new RemoveRelations($s->ids('ids')),
            'relation' => self::relation($s),
            'retitle' => new Retitle($s->id('topic'), $s->string('title'), $s->has('was') ? $s->string('was') : null),
            'label' => new SetLabels($s->ids('ids'), self::labels($s, 'put'), self::labels($s, 'take')),
            'change-label' => new ChangeLabel(
                Label::name($s->string('label')),
                $s->has('name') ? Label::name($s->string('name')) : null,
                $s->has('dye') ? Dye::of($s->string('dye')) : null,
            ),
            'note' => self::note($s),
            'set-aside' => new SetAside(
                Checking::finding($s->string('finding')),
                $s->has('why') ? Checking::why($s->string('why')) : null,
            ),
            'term' => new SetTerm($s->string('words'), $s->has('says') ? $s->string('says') : null),
            'rule' => new SwitchRule(Checking::rule($s->string('rule')), $s->bool('on')),
            'work' => self::work($s),
            'finish' => new FinishWork($s->ids('ids'), Day::of($s->string('on'))),
            'shift' => new ShiftWork($s->ids('ids'), $s->int('days')),
            'plan' => new SetPlan($s->object('set')->values()),
            'compound' => self::compound($s, $nesting),
            default => self::field($s),
        };
    }

    /** The operations that set a field are called as it is. */
    private static function field(Shape $s): SetField
    {
        $field = Field::tryFrom($s->string('type'));
        if ($field === null || !$field->isSet()) {
            throw InvalidValue::field('type', $s->string('type'));
        }
        if (!$s->has('value') && $field->usual() !== null) {
            throw MalformedShape::expected('a value', 'operation.value');
        }

        return new SetField($field, $s->ids('ids'), $field->read($s, 'value'));
    }

    private static function work(Shape $s): SetWork
    {
        $form = $s->object('set');
        $set = [];
        foreach ($form->values() as $name => $value) {
            $field = Field::tryFrom((string) $name);
            if ($field === null || !$field->isOfWork()) {
                throw InvalidValue::field('set', (string) $name);
            }
            $set[$field->value] = $value === null ? $field->usual() : $field->read($form);
        }

        return $set === [] ? throw MalformedShape::expected('a change', 'set') : new SetWork($s->ids('ids'), $set);
    }

    /** @return list<string> */
    private static function labels(Shape $s, string $key): array
    {
        return $s->has($key) ? Label::names($s->list($key)) : [];
    }

    private static function add(Shape $s): AddTopics
    {
        $rows = array_map(
            static fn(Shape $row): array => ['topic' => TopicForm::topic($row), 'parent' => $row->idOr('parent', null)],
            $s->objects('topics'),
        );

        return $rows === []
            ? throw MalformedShape::expected('at least one topic', 'topics')
            : new AddTopics(Place::fromShape($s->object('at')), $rows);
    }

    private static function relation(Shape $s): ChangeRelation
    {
        $set = array_intersect_key($s->object('set')->values(), array_flip(ChangeRelation::FIELDS));

        return $set === [] ? throw MalformedShape::expected('a change', 'set') : new ChangeRelation($s->id('relation'), $set);
    }

    private static function fold(Shape $s): FoldTopics
    {
        $cite = [];
        foreach ($s->has('cite') ? $s->object('cite')->values() : [] as $topic => $citation) {
            $cite[Ulid::isValid((string) $topic) ? (string) $topic : throw MalformedShape::expected('ids', 'cite')] = Schema::inline(
                $citation,
            );
        }
        $as = $s->string('as');

        return new FoldTopics(
            $s->ids('ids'),
            $s->idOr('into', null),
            FoldAs::tryFrom($as) ?? throw InvalidValue::field('as', $as),
            $s->id('seed'),
            $cite,
        );
    }

    /** @return array<string, string> */
    private static function copies(Shape $s): array
    {
        $copies = [];
        foreach ($s->values() as $id => $_) {
            $copies[Ulid::isValid((string) $id) ? (string) $id : throw MalformedShape::expected('ids', 'new')] = $s->id((string) $id);
        }

        return $copies === [] ? throw MalformedShape::expected('at least one topic', 'new') : $copies;
    }

    private static function restore(Shape $s): RestoreTopics
    {
        $places = [];
        foreach ($s->objects('heads') as $head) {
            $places[$head->id('id')] = Place::fromShape($head);
        }

        return new RestoreTopics($places, $s->ids('ids'));
    }

    private static function note(Shape $s): EditNote
    {
        $was = [];
        foreach ($s->has('was') ? $s->object('was')->values() : [] as $id => $seen) {
            if ($seen !== null && !\is_string($seen)) {
                throw MalformedShape::expected('fingerprints', 'was');
            }
            $was[(string) $id] = $seen;
        }
        $base = [];
        foreach ($s->has('base') ? $s->list('base') : [] as $json) {
            $block = Schema::block($json);
            $base[(string) $block->id()] = $block;
        }

        return new EditNote(
            $s->id('topic'),
            array_map(Schema::block(...), $s->has('put') ? $s->list('put') : []),
            $s->has('remove') ? $s->ids('remove') : [],
            $s->has('order') ? $s->ids('order') : null,
            $was,
            $base,
        );
    }

    private static function compound(Shape $s, int $nesting): Compound
    {
        if ($nesting >= self::NESTING) {
            throw MalformedShape::expected('at most ' . self::NESTING . ' compounds in each other', 'operations');
        }

        $from = $s->has('from') ? $s->string('from') : '';
        $isKnown = $from === '' || $from === Compound::HELPER;

        return new Compound(
            array_map(static fn(Shape $one): Operation => self::operation($one, $nesting + 1), $s->objects('operations')),
            $isKnown ? $from : throw InvalidValue::field('from', $from),
        );
    }
}
