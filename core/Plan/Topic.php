<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Limits;
use Embrel\RichText\Note;
use Embrel\RichText\Text;

/**
 * One entry of the tree, without its place in it. Whether it has a note, and how many words that
 * has, is always known; the note itself only where it was loaded.
 */
final readonly class Topic
{
    /**
     * @param string                $id      a ULID
     * @param string                $title   one line, at most Limits::TITLE characters
     * @param int                   $words   of the note alone
     * @param Note|null             $note    null where there is none, or where it was not loaded
     * @param array<string, string> $foreign attributes of a foreign file that we do not know, kept
     * @param list<string>          $labels  names, in the order of the alphabet
     * @param string                $who     who works on it: a name; empty where nobody is named
     * @param string|null           $begins  the calendar date of the first day of work, YYYY-MM-DD
     * @param string|null           $due     the date by which it is to be done
     * @param string|null           $done    the date on which it was done
     * @param Spot|null             $spot    of a loose idea on the ground of the map; null: it is in the tray
     */
    public function __construct(
        public string $id,
        public string $title = '',
        public Kind $kind = Kind::Section,
        public Numbered $numbered = Numbered::Usual,
        public ?Dye $dye = null,
        public ?Flag $flag = null,
        public ?Target $target = null,
        public bool $noted = false,
        public int $words = 0,
        public ?Note $note = null,
        public array $foreign = [],
        public ?Size $size = null,
        public ?Alone $alone = null,
        public ?Spot $spot = null,
        public ?Picture $picture = null,
        public array $labels = [],
        public string $who = '',
        public ?string $begins = null,
        public ?string $due = null,
        public ?string $done = null,
        public ?Again $again = null,
        public ?Sign $sign = null,
    ) {}

    /** @throws InvalidValue when the title is too long; line feeds become spaces, control characters go */
    public static function title(string $title): string
    {
        $title = Text::line($title);

        return \strlen($title) > Limits::TITLE && mb_strlen($title) > Limits::TITLE ? throw InvalidValue::titleTooLong() : $title;
    }

    /** Whether nobody has written anything on it, or chosen anything for it but what it prints as and where it stands. */
    public function isBare(): bool
    {
        return $this->title === ''
            && !$this->noted
            && $this->flag === null
            && $this->sign === null
            && $this->target === null
            && $this->picture === null
            && $this->labels === []
            && !Work::isOn($this)
            && $this->foreign === [];
    }

    public function withTitle(string $title): self
    {
        return $this->with(['title' => $title]);
    }

    public function withNote(Note $note): self
    {
        $noted = !$note->isEmpty();

        return $this->with(['note' => $note, 'noted' => $noted, 'words' => $noted ? $note->words() : 0]);
    }

    /** The note as stored, without counting its words again. */
    public function withLoadedNote(Note $note): self
    {
        return $this->with(['note' => $note]);
    }

    /**
     * This topic with some fields changed; itself where nothing differs.
     *
     * @param array<string, mixed> $changes field → value of the field's own type
     */
    public function with(array $changes): self
    {
        $fields = get_object_vars($this);
        $all = $changes + $fields;
        foreach ($changes as $name => $value) {
            if ($fields[$name] !== $value) {
                return new self(...$all); // @phpstan-ignore argument.type (each caller passes the field's own type)
            }
        }

        return $this;
    }
}
