<?php

declare(strict_types=1);

namespace App\Access;

/** What a person may do in a plan. Each may do what those below it may. */
enum Role: string
{
    case Owner = 'owner';
    case Writes = 'writes';
    case Comments = 'comments';
    case Reads = 'reads';

    public function mayWrite(): bool
    {
        return $this === self::Owner || $this === self::Writes;
    }

    public function mayComment(): bool
    {
        return $this !== self::Reads;
    }

    /** In words, of who has it: “You may comment on it”. */
    public function may(): string
    {
        return match ($this) {
            self::Owner => 'own',
            self::Writes => 'may write in',
            self::Comments => 'may comment on',
            self::Reads => 'may read',
        };
    }

    public function owns(): bool
    {
        return $this === self::Owner;
    }

    /** @return list<self> those that a plan can be shared with, the one that may most first */
    public static function shared(): array
    {
        return [self::Writes, self::Comments, self::Reads];
    }
}
