<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Language\Counter;
use Embrel\Language\Language;
use Embrel\Plan\NumberForm;
use Embrel\Plan\Scheme;

/** How one level of a scheme writes its numbers: the count, what stands around it, what stands above it. */
final readonly class Form
{
    /**
     * @param bool $joined     whether the number of the level above stands before it (1.2), or its own alone (B.)
     * @param NumberForm|null $own of a writer's own: then before, after and joined say it only as far as a plain list can
     * @param bool $isComplete whether it names a topic without what stands above it: Chapter 3
     */
    private function __construct(
        public Counter $counter,
        public string $before = '',
        public string $after = '',
        public bool $joined = false,
        public bool $isComplete = false,
        public ?NumberForm $own = null,
    ) {}

    /**
     * The form of a level, from 1. Below a scheme's last level its last two forms repeat.
     * The essay scheme is the alphanumeric outline as taught: I. A. 1. a. (1) (a).
     */
    public static function of(Scheme $scheme, int $level, Language $language, bool $runOn = false): ?self
    {
        return match ($scheme) {
            Scheme::None, Scheme::Own => null,
            Scheme::Decimal => new self(Counter::Decimal, joined: $level > 1),
            Scheme::Chapter => self::chapter($level, $language, $runOn),
            Scheme::Essay => match ($level > 6 ? 5 + ($level - 5) % 2 : $level) {
                1 => new self(Counter::UpperRoman, '', '.'),
                2 => new self(Counter::UpperLetter, '', '.'),
                3 => new self(Counter::Decimal, '', '.'),
                4 => new self(Counter::LowerLetter, '', '.'),
                5 => new self(Counter::Decimal, '(', ')'),
                default => new self(Counter::LowerLetter, '(', ')'),
            },
        };
    }

    /** A form of the writer's own. */
    public static function own(NumberForm $form): self
    {
        $count = \count($form->signs);

        return new self(
            Own::counter($form->signs[$count - 1]),
            $form->texts[0],
            $form->texts[$count],
            $count > 1,
            own: $form,
        );
    }

    /** Chapters that run on stand on the second level, under parts. */
    private static function chapter(int $level, Language $language, bool $runOn): self
    {
        if ($runOn && $level === 1) {
            return new self(Counter::UpperRoman, $language->say('part') . ' ');
        }

        return $level === ($runOn ? 2 : 1)
            ? new self(Counter::Decimal, $language->say('chapter') . ' ', isComplete: true)
            : new self(Counter::Decimal, joined: true);
    }

    /** An appendix carries a letter, and says so where letters mean something else. */
    public static function appendix(Scheme $scheme, int $level, Language $language): self
    {
        return $level === 1 && $scheme !== Scheme::Decimal
            ? new self(Counter::UpperLetter, $language->say('appendix') . ' ')
            : new self(Counter::UpperLetter, joined: $level > 1);
    }

    /** What is under an appendix is numbered by it: A.1, A.1.1. */
    public static function underAppendix(): self
    {
        return new self(Counter::Decimal, joined: true);
    }
}
