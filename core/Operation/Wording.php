<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Day;
use Embrel\Plan\Field;
use Embrel\Plan\Plan;

/** What an operation does, in a few words, for undo and for the history: “Moved ‘Eels’ to ‘The marsh’”. */
final class Wording
{
    private const LONGEST = 200;
    private const TITLE = 50;

    /** @param Plan $before the plan to which it is applied */
    public static function of(Operation $operation, Plan $before): string
    {
        $says = match (true) {
            $operation instanceof AddTopics => self::added($operation, $before),
            $operation instanceof CopyTopics => 'Copied ' . self::several($before, array_keys($operation->new)),
            $operation instanceof RemoveTopics => 'Removed ' . self::several($before, $operation->ids),
            $operation instanceof RestoreTopics => 'Brought back ' . self::several($before, array_keys($operation->places)),
            $operation instanceof MoveTopics => 'Moved '
                . self::several($before, $operation->ids)
                . self::into($before, $operation->place->parent),
            $operation instanceof WrapTopics => 'Put ' . self::several($before, $operation->ids) . ' under a new topic',
            $operation instanceof DissolveTopics => 'Dissolved ' . self::several($before, $operation->ids),
            $operation instanceof SortParts => 'Sorted the parts of '
                . self::title($before, $operation->parent)
                . ' by '
                . ($operation->by === SortBy::Target ? 'target' : $operation->by->value),
            $operation instanceof SplitTopic => 'Split ' . self::title($before, $operation->id),
            $operation instanceof JoinTopics => 'Joined '
                . self::several($before, [$operation->upper])
                . ' and '
                . self::title($before, $operation->lower),
            $operation instanceof Retitle => self::retitled($operation, $before),
            $operation instanceof SetField => self::set($operation, $before),
            $operation instanceof SetLabels => self::labelled($operation, $before),
            $operation instanceof SetWork => self::worked($operation, $before),
            $operation instanceof FinishWork => 'Said that ' . self::several($before, $operation->ids) . ' is done',
            $operation instanceof ShiftWork => 'Moved the days of '
                . self::several($before, $operation->ids)
                . ($operation->days < 0 ? ' back by ' : ' on by ')
                . (abs($operation->days) === 1 ? 'a day' : abs($operation->days) . ' days'),
            $operation instanceof ChangeLabel => self::label($operation),
            $operation instanceof EditNote => 'Wrote in the note of ' . self::title($before, $operation->topic),
            $operation instanceof SetPlan => 'Changed the plan’s '
                . implode(
                    ', ',
                    array_map(static fn(int|string $name): string => strtr((string) $name, '_', ' '), array_keys($operation->set)),
                ),
            $operation instanceof SetTerm => ($operation->says === null ? 'Let a term go: ' : 'Chose a term: ') . $operation->words,
            $operation instanceof SetAside => $operation->why === null ? 'Brought a finding back' : 'Set a finding aside',
            $operation instanceof SwitchRule => ($operation->isOn ? 'Switched a check on: ' : 'Switched a check off: ')
                . strtr($operation->rule, '-', ' '),
            $operation instanceof AddSources => 'Kept '
                . self::quoted($operation->sources[0]->title ?? '')
                . self::more(\count($operation->sources))
                . ' as a source',
            $operation instanceof FoldTopics => 'Put '
                . self::several($before, $operation->ids)
                . ($operation->into === null ? ' into the note above' : ' into the note of ' . self::title($before, $operation->into)),
            $operation instanceof DivideNote => 'Made topics of the note of ' . self::title($before, $operation->topic),
            $operation instanceof EditSource => 'Changed the source ' . self::quoted($operation->source->title),
            $operation instanceof RemoveSources => 'Took out a source',
            $operation instanceof AddRelations => 'Related '
                . self::title($before, $operation->relations[0]->from ?? '')
                . ' to '
                . self::title($before, $operation->relations[0]->to ?? ''),
            $operation instanceof RemoveRelations => 'Removed a relation',
            $operation instanceof ChangeRelation => 'Changed a relation',
            $operation instanceof Compound => ($operation->from === Compound::HELPER ? 'From the helper: ' : '')
                . self::compound($operation, $before),
            default => 'Changed the plan',
        };

        return mb_strimwidth($says, 0, self::LONGEST, '…');
    }

    private static function added(AddTopics $operation, Plan $before): string
    {
        [$first] = $operation->rows;
        $count = \count($operation->rows);
        $what
            = $first['topic']->title === ''
                ? ($count === 1
                    ? 'a topic'
                    : "{$count} topics")
                : self::quoted($first['topic']->title) . self::more($count);

        return $operation->place->parent === Plan::TRAY ? "Caught {$what}" : "Added {$what}";
    }

    private static function retitled(Retitle $operation, Plan $before): string
    {
        $was = $before->has($operation->id) ? $before->topic($operation->id)->title : '';

        return $was === '' || str_starts_with($operation->title, $was)
            ? 'Wrote ' . self::quoted($operation->title)
            : 'Retitled ' . self::quoted($was) . ($operation->title === '' ? '' : ' as ' . self::quoted($operation->title));
    }

    private static function set(SetField $operation, Plan $before): string
    {
        $type = $operation->field->value;
        $value = $operation->value instanceof \BackedEnum ? $operation->value->value : $operation->field->form($operation->value);
        if ($type === 'spot') {
            return 'Put '
                . self::several($before, $operation->ids)
                . ($value === null ? ' back into the tray' : ' on the ground of the map');
        }
        if ($type === 'picture') {
            return ($value === null ? 'Took the picture off ' : 'Put a picture on ') . self::several($before, $operation->ids);
        }
        $field = $operation->field->says();
        $of = ' of ' . self::several($before, $operation->ids);

        if (\is_string($value) && $operation->field->isOfWork() && preg_match('/\A\d{4}-/', $value) === 1) {
            return "Set the {$field}{$of} to " . Day::named($value, '');
        }

        return \is_string($value) || \is_int($value)
            ? "Set the {$field}{$of} to " . strtr((string) $value, '-', ' ')
            : "Took the {$field}{$of} away";
    }

    private static function worked(SetWork $operation, Plan $before): string
    {
        $of = self::several($before, $operation->ids);
        if (\count($operation->set) === 1) {
            $field = Field::from((string) array_key_first($operation->set));
            $value = $operation->set[$field->value];

            return match (true) {
                $field === Field::Done && $value === null => "Said that {$of} is not done",
                $field === Field::Who && \is_string($value) && $value !== '' => "Gave {$of} to {$value}",
                default => self::set(new SetField($field, $operation->ids, $value), $before),
            };
        }

        return "Planned the work on {$of}";
    }

    private static function labelled(SetLabels $operation, Plan $before): string
    {
        $topics = self::several($before, $operation->ids);
        $labels = '“' . implode('”, “', $operation->put === [] ? $operation->take : $operation->put) . '”';

        return $operation->put === [] ? "Took the label {$labels} off {$topics}" : "Put the label {$labels} on {$topics}";
    }

    private static function label(ChangeLabel $operation): string
    {
        return match (true) {
            $operation->name === null => "Took the label “{$operation->label}” away",
            $operation->name !== $operation->label => "Called the label “{$operation->label}” “{$operation->name}”",
            default => "Changed the dye of the label “{$operation->label}”",
        };
    }

    private static function compound(Compound $operation, Plan $before): string
    {
        if ($operation->operations === []) {
            return 'Changed nothing';
        }
        [$first] = $operation->operations;
        $others = \count($operation->operations) - 1;

        return self::of($first, $before) . ($others === 0 ? '' : ", and {$others} more " . ($others === 1 ? 'change' : 'changes'));
    }

    /** @param list<string> $ids */
    private static function several(Plan $plan, array $ids): string
    {
        return $ids === [] ? 'nothing' : self::title($plan, $ids[0]) . self::more(\count($ids));
    }

    private static function more(int $count): string
    {
        return $count > 1 ? ' and ' . ($count - 1) . ' more' : '';
    }

    private static function into(Plan $plan, string $parent): string
    {
        return match ($parent) {
            Plan::TRAY => ' to the loose ideas',
            Plan::ROOT => '',
            default => ' into ' . self::title($plan, $parent),
        };
    }

    private static function title(Plan $plan, string $id): string
    {
        return $id === Plan::ROOT ? 'the plan' : self::quoted($plan->has($id) ? $plan->topic($id)->title : '');
    }

    private static function quoted(string $title): string
    {
        $short = mb_strimwidth($title, 0, self::TITLE, '…');

        return $title === '' ? 'an untitled topic' : (preg_match('/\A[“„«"].*[”“»"]\z/u', $short) === 1 ? $short : "“{$short}”");
    }
}
