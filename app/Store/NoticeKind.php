<?php

declare(strict_types=1);

namespace App\Store;

/** Why somebody hears of a comment. */
enum NoticeKind: string
{
    case Mention = 'mention';
    case Answer = 'answer';
    case Comment = 'comment';

    public function says(string $by): string
    {
        return match ($this) {
            self::Mention => "{$by} mentioned you",
            self::Answer => "{$by} answered",
            self::Comment => "{$by} commented",
        };
    }

    /** As it is called where letters are chosen. */
    public function label(): string
    {
        return match ($this) {
            self::Mention => 'When somebody mentions me',
            self::Answer => 'When somebody answers where I have said something',
            self::Comment => 'Other comments in plans that I write',
        };
    }

    public function usual(): Letters
    {
        return $this === self::Comment ? Letters::Daily : Letters::AtOnce;
    }
}
