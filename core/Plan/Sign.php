<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** A small picture that a writer puts on a topic, out of the family that comes with Embrel. */
final readonly class Sign
{
    /** Of the square in which its form is told. */
    public const SQUARE = 24.0;
    /** Of its lines, in that square. */
    public const LINE = 2.0;

    /** How the name of its picture begins in a document, by which it is passed over when that comes back. */
    public const DRAWN = 'Sign: ';

    private function __construct(public string $name) {}

    /** @throws InvalidValue where there is no such sign */
    public static function of(string $name): self
    {
        return isset(SignForms::ALL[$name]) ? new self($name) : throw InvalidValue::field('sign', $name);
    }

    /** @param float $size of the square in which it is drawn @return string a path of SVG */
    public function form(float $size = self::SQUARE): string
    {
        $form = SignForms::ALL[$this->name][0];

        return $size === self::SQUARE
            ? $form
            : (string) preg_replace_callback(
                '/\d*\.?\d+/',
                static fn(array $number): string => (string) round((float) $number[0] * ($size / self::SQUARE), 2),
                $form,
            );
    }

    /** As it is said, as by a screen reader. */
    public function label(): string
    {
        return str_replace('-', ' ', (string) preg_replace('/-\d+\b/', '', $this->name));
    }

    /**
     * What a page must know to draw signs and to say them.
     *
     * @param iterable<string> $names
     *
     * @return array<string, array{string, string}> name → form, as it is said
     */
    public static function told(iterable $names): array
    {
        $told = [];
        foreach ($names as $name) {
            $sign = self::of($name);
            $told[$name] ??= [$sign->form(), $sign->label()];
        }

        return $told;
    }

    /**
     * Signs by words, those first whose names have them; each word may be the beginning of one.
     *
     * @param string $words none: all of them
     *
     * @return list<self>
     */
    public static function found(string $words): array
    {
        $asked = preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($words), 12, PREG_SPLIT_NO_EMPTY) ?: [];
        $found = [];
        foreach (SignForms::ALL as $name => [, $others]) {
            $rank = 0;
            foreach ($asked as $word) {
                $rank += match (true) {
                    $name === $word => 0,
                    str_contains("-{$name}-", "-{$word}-") => 1,
                    str_contains("-{$name}", "-{$word}") => 2,
                    str_contains(" {$others} ", " {$word} ") => 3,
                    str_contains(" {$others}", " {$word}") => 4,
                    default => INF,
                };
            }
            if ($rank !== INF) {
                $found[] = [$rank, new self($name)];
            }
        }
        usort($found, static fn(array $a, array $b): int => [$a[0], $a[1]->name] <=> [$b[0], $b[1]->name]);

        return array_column($found, 1);
    }
}
