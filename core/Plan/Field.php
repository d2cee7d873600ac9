<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\MalformedShape;
use Embrel\Shape;

/**
 * What a topic has beside title and note: the one table of its fields, which the stored forms, the operations, the rows of
 * the database, the page and the formats that come home again go through. A field of Topic is called as its value here.
 *
 * @phpstan-type Row array{
 *     usual: mixed,
 *     read: \Closure,
 *     written: \Closure,
 *     set?: bool,
 *     counts?: bool,
 *     outline?: bool,
 *     table?: bool,
 *     says?: string,
 * }
 */
enum Field: string
{
    case Kind = 'kind';
    case Numbered = 'numbered';
    case Dye = 'dye';
    case Flag = 'flag';
    case Sign = 'sign';
    case Labels = 'labels';
    case Target = 'target';
    case Size = 'size';
    case Alone = 'alone';
    case Spot = 'spot';
    case Picture = 'picture';
    case Who = 'who';
    case Begins = 'begins';
    case Due = 'due';
    case Done = 'done';
    case Again = 'again';
    case Foreign = 'foreign';

    /**
     * The table, a row for each.
     *
     * @return Row
     *     `usual`: what most topics have, which no form spells out; `read` (Shape, key) from a stored form, and
     *     `written` (value) as it stands there, null where it is the usual one;
     *     `set`: whether a person sets it to a value by the operation of its name; `counts`: whether numbers and words of
     *     other topics depend on it; `outline`: whether an outline file carries it as an attribute of our own; `table`: whether
     *     a table has a column for it; `says`: what it is called in the history
     */
    private function row(): array
    {
        /** @var array<string, Row> */
        static $rows = [];

        return $rows[$this->value] ??= match ($this) {
            self::Kind => self::ofEnum($this->value, Kind::class, Kind::Section) + ['counts' => true, 'table' => true],
            self::Numbered => self::ofEnum($this->value, Numbered::class, Numbered::Usual) + ['counts' => true, 'says' => 'numbering'],
            self::Dye => [
                'usual' => null,
                'read' => static fn(Shape $form, string $key): Dye => Dye::of($form->string($key)),
                'written' => static fn(?Dye $dye): ?string => $dye?->stored(),
            ],
            self::Flag => self::ofEnum($this->value, Flag::class, null) + ['table' => true],
            self::Sign => [
                'usual' => null,
                'read' => static fn(Shape $form, string $key): Sign => Sign::of($form->string($key)),
                'written' => static fn(?Sign $sign): ?string => $sign?->name,
            ],
            self::Labels => [
                'usual' => [],
                'read' => static fn(Shape $form, string $key): array => Label::names($form->list($key)),
                'written' => static fn(array $labels): ?array => $labels === [] ? null : $labels,
                'set' => false,
                'outline' => false,
                'table' => true,
            ],
            self::Target => [
                'usual' => null,
                'read' => static fn(Shape $form, string $key): Target => Target::of($form->int($key)),
                'written' => static fn(?Target $target): ?int => $target?->words,
                'counts' => true,
                'table' => true,
            ],
            self::Size => self::ofEnum($this->value, Size::class, null),
            self::Alone => self::ofEnum($this->value, Alone::class, null) + ['says' => 'reach of the looks'],
            self::Spot => [
                'usual' => null,
                'read' => static fn(Shape $form, string $key): Spot => Spot::of($form->string($key)),
                'written' => static fn(?Spot $spot): ?string => $spot?->value(),
            ],
            self::Picture => [
                'usual' => null,
                'read' => static fn(Shape $form, string $key): Picture => Picture::of($form->string($key)),
                'written' => static fn(?Picture $picture): ?string => $picture?->value(),
                'outline' => false,
            ],
            self::Who => [
                'usual' => '',
                'read' => static fn(Shape $form, string $key): string => Work::who($form->string($key)),
                'written' => static fn(string $who): ?string => $who === '' ? null : $who,
                'table' => true,
                'says' => 'person',
            ],
            self::Begins => self::ofDay() + ['says' => 'first day'],
            self::Due => self::ofDay() + ['says' => 'due date'],
            self::Done => self::ofDay() + ['says' => 'day on which it was done'],
            self::Again => self::ofEnum($this->value, Again::class, null) + ['table' => true, 'says' => 'repetition'],
            self::Foreign => [
                'usual' => [],
                'read' => static fn(Shape $form, string $key): array => TopicForm::foreign($form->object($key)),
                'written' => static fn(array $foreign): ?array => $foreign === [] ? null : $foreign,
                'set' => false,
                'outline' => false,
            ],
        };
    }

    /**
     * @param class-string<\BackedEnum> $enum
     *
     * @return array{usual: mixed, read: \Closure(Shape, string): \BackedEnum, written: \Closure(\BackedEnum|null): (string|int|null)}
     */
    private static function ofEnum(string $name, string $enum, ?\BackedEnum $usual): array
    {
        return [
            'usual' => $usual,
            'read' => static fn(Shape $form, string $key): \BackedEnum
                => $enum::tryFrom($form->string($key)) ?? throw InvalidValue::field($name, $form->string($key)),
            'written' => static fn(?\BackedEnum $value): string|int|null => $value === $usual ? null : $value?->value,
        ];
    }

    /** @return array{usual: null, read: \Closure(Shape, string): string, written: \Closure(string|null): (string|null), table: true} */
    private static function ofDay(): array
    {
        return [
            'usual' => null,
            'read' => static fn(Shape $form, string $key): string => Day::of($form->string($key)),
            'written' => static fn(?string $day): ?string => $day,
            'table' => true,
        ];
    }

    /** What most topics have. */
    public function usual(): mixed
    {
        return $this->row()['usual'];
    }

    /**
     * The value as it is stored; null where it is the usual one.
     *
     * @return string|int|array<array-key, string>|null
     */
    public function written(Topic $topic): string|int|array|null
    {
        return $this->form($topic->{$this->value});
    }

    /** @return string|int|array<array-key, string>|null a value of this field as it is stored */
    public function form(mixed $value): string|int|array|null
    {
        /** @var string|int|array<array-key, string>|null */
        return $this->row()['written']($value);
    }

    /**
     * The value in a stored form.
     *
     * @param string $key under which it stands there
     *
     * @throws InvalidValue|MalformedShape
     */
    public function read(Shape $form, ?string $key = null): mixed
    {
        $key ??= $this->value;

        return $form->has($key) ? $this->row()['read']($form, $key) : $this->usual();
    }

    /** Whether a person sets it to a value by the operation of its name. */
    public function isSet(): bool
    {
        return $this->row()['set'] ?? true;
    }

    /** Whether numbers or words of other topics depend on it. */
    public function counts(): bool
    {
        return $this->row()['counts'] ?? false;
    }

    /** Whether an outline file carries it as an attribute of our own. */
    public function isInOutlines(): bool
    {
        return $this->row()['outline'] ?? true;
    }

    /** Whether a table has a column for it. */
    public function isInTables(): bool
    {
        return $this->row()['table'] ?? false;
    }

    /** Whether it is about the work on a topic: who does it, from when, by when, done, and how often. */
    public function isOfWork(): bool
    {
        return \in_array($this, [self::Who, self::Begins, self::Due, self::Done, self::Again], true);
    }

    /** What it is called in the history. */
    public function says(): string
    {
        return $this->row()['says'] ?? $this->value;
    }
}
