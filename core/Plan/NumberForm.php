<?php

declare(strict_types=1);

namespace Embrel\Plan;

/**
 * How the numbers of one level are written, as a writer types it: `{1}.{1}`, `{I}.`, `§ {1}`, `Part {One}`. The last sign in braces
 * is the count of the level itself, those before it of the levels right above, in their order.
 */
final readonly class NumberForm
{
    /** In characters, with its braces. */
    public const LONGEST = 60;
    /** What may stand in braces: how a count is written. */
    public const SIGNS = ['1', 'I', 'i', 'A', 'a', 'One'];

    /**
     * @param non-empty-list<string> $texts what stands before, between and behind the signs: one more than there are signs
     * @param non-empty-list<string> $signs each one of SIGNS
     */
    private function __construct(public array $texts, public array $signs) {}

    /**
     * @param int $level from 1
     *
     * @throws InvalidValue naming what does not fit
     */
    public static function of(string $form, int $level): self
    {
        $form = \Embrel\RichText\Text::line($form);
        if (mb_strlen($form) > self::LONGEST) {
            throw new InvalidValue('The form of a number has ' . self::LONGEST . ' characters at most.');
        }
        $parts = preg_split('/\{([^{}]*)\}/', $form, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        $texts = $signs = [];
        foreach ($parts as $i => $part) {
            $i % 2 === 0 ? $texts[] = $part : $signs[] = $part;
        }
        foreach ($signs as $sign) {
            if (!\in_array($sign, self::SIGNS, true)) {
                throw new InvalidValue("“{{$sign}}” is no way to write a count. These are: {" . implode('}, {', self::SIGNS) . '}.');
            }
        }
        if ($signs === [] || $texts === [] || preg_match('/[{}]/', implode('', $texts)) === 1) {
            throw new InvalidValue("“{$form}” has no count in it. Write it in braces, as {1}.");
        }

        $count = \count($signs);

        return $count <= $level
            ? new self($texts, $signs)
            : throw new InvalidValue("“{$form}” names {$count} levels, and level {$level} has only " . ($level - 1) . ' above it.');
    }

    /** Whether it is what a list of any word processor can be told: something, counts with dots between them, something. */
    public function isPlain(): bool
    {
        return array_unique(\array_slice($this->texts, 1, -1)) === [] || array_unique(\array_slice($this->texts, 1, -1)) === ['.'];
    }
}
