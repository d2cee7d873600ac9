<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Limits;

/** The plan does not allow the operation. Nothing of it was applied. */
final class OperationRefused extends \DomainException
{
    private function __construct(public readonly Reason $reason, string $message)
    {
        parent::__construct($message);
    }

    public static function gone(string $id): self
    {
        return new self(Reason::Gone, 'The topic is no longer in this plan; it may have been removed.');
    }

    public static function intoItself(): self
    {
        return new self(Reason::IntoItself, 'A topic cannot be moved under itself.');
    }

    public static function tooDeep(): self
    {
        return new self(Reason::TooDeep, 'A plan holds at most ' . Limits::LEVELS . ' levels.');
    }

    public static function tooMany(): self
    {
        return new self(Reason::TooMany, 'A plan holds at most ' . number_format(Limits::TOPICS) . ' topics.');
    }

    public static function tooManyRelations(): self
    {
        return new self(Reason::TooMany, 'A plan holds at most ' . number_format(Limits::RELATIONS) . ' relations.');
    }

    public static function relationGone(): self
    {
        return new self(Reason::Gone, 'The relation is no longer in this plan; it may have been removed.');
    }

    public static function tooManySources(): self
    {
        return new self(Reason::TooMany, 'A plan holds at most ' . number_format(Limits::SOURCES) . ' sources.');
    }

    public static function sourceGone(): self
    {
        return new self(Reason::Gone, 'The source is no longer in this plan; it may have been removed.');
    }

    public static function sourceExists(): self
    {
        return new self(Reason::Exists, 'A source with this id is in the plan already.');
    }

    public static function fixed(string $id): self
    {
        return new self(Reason::Fixed, 'The plan itself and its tray cannot be moved or removed.');
    }

    public static function exists(string $id): self
    {
        return new self(Reason::Exists, 'A topic with this id is in the plan already.');
    }

    /** As it was told before. */
    public static function again(Reason $reason, string $message): self
    {
        return new self($reason, $message);
    }

    /** @param string $how who did what, or why it cannot be had any more */
    public static function changed(string $how = ''): self
    {
        return new self(Reason::Changed, trim("Someone else has changed the same thing since. {$how}"));
    }

    public static function noLabel(string $name): self
    {
        return new self(Reason::Gone, "There is no label “{$name}” in this plan any more.");
    }

    public static function value(\Throwable $why): self
    {
        return new self(Reason::Value, $why->getMessage());
    }

    public static function dependent(): self
    {
        return new self(Reason::Dependent, 'It builds on a change that could not be made.');
    }
}
