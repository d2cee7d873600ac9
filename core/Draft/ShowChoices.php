<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\MalformedShape;
use Embrel\Shape;

/** What is chosen for a plan that is shown: which topics come, and how fast. */
final readonly class ShowChoices
{
    public const LEVELS = 2;
    /** Words a minute that people speak at. */
    public const SPOKEN = 130;
    public const SECONDS = 30;
    /** Handouts: how many slides stand on a sheet. */
    public const SHEET = [2, 4, 6];

    /**
     * @param int          $levels    sections this deep and less are shown one by one, 1 to 9; deeper ones are lines of the one above
     * @param string       $label     only topics that bear it; empty: all
     * @param list<string> $without   topics left out, with everything under them
     * @param list<string> $whole     sections that are shown in one step with everything under them
     * @param bool         $oneByOne  the lines of a step appear one after the other
     * @param bool         $spoken    each step stays as long as its note takes to be said, instead of so many seconds
     * @param int          $seconds   a step stays, 2 to 600
     * @param int          $minutes   that are planned for the whole, 0 to 600; 0: as many as it takes
     * @param bool         $eachStep  slides: one for each line that appears, instead of one a section
     * @param int          $sheet     handouts: how many on a sheet, one of SHEET
     */
    public function __construct(
        public int $levels = self::LEVELS,
        public string $label = '',
        public array $without = [],
        public array $whole = [],
        public bool $oneByOne = true,
        public bool $spoken = false,
        public int $seconds = self::SECONDS,
        public int $minutes = 0,
        public bool $eachStep = false,
        public int $sheet = 4,
    ) {}

    /**
     * As it was kept; what does not fit is as usual.
     *
     * @param array<array-key, mixed> $kept
     */
    public static function from(array $kept): self
    {
        $number = static fn(string $key, int $least, int $most, int $usual): int => \is_int($kept[$key] ?? null)
            ? max($least, min($most, $kept[$key]))
            : $usual;
        $ids = static function (string $key) use ($kept): array {
            try {
                return (new Shape($kept, 'show'))->ids($key);
            } catch (MalformedShape) {
                return [];
            }
        };

        return new self(
            $number('levels', 1, 9, self::LEVELS),
            \is_string($kept['label'] ?? null) ? $kept['label'] : '',
            $ids('without'),
            $ids('whole'),
            ($kept['one_by_one'] ?? true) === true,
            ($kept['spoken'] ?? false) === true,
            $number('seconds', 2, 600, self::SECONDS),
            $number('minutes', 0, 600, 0),
        );
    }

    /** @return array<string, mixed> what from() takes */
    public function toArray(): array
    {
        return [
            'levels' => $this->levels,
            'label' => $this->label,
            'without' => $this->without,
            'whole' => $this->whole,
            'one_by_one' => $this->oneByOne,
            'spoken' => $this->spoken,
            'seconds' => $this->seconds,
            'minutes' => $this->minutes,
        ];
    }

    /** @param array<string, mixed> $changes field → value of the field's own type */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }
}
