<?php

declare(strict_types=1);

namespace Embrel\Difference;

/** What became of one topic, without its place: each value as it is stored, before and after; null where there was none. */
final readonly class TopicChange
{
    /**
     * @param int                                                                         $birth  1: it was made, -1: it goes, as if it had never been made
     * @param array<string, array{mixed, mixed}>                                          $fields name → was, is
     * @param array<string, array{array<string, mixed>|null, array<string, mixed>|null}>  $blocks of its note: id → was, is
     * @param list<Lineup>                                                                $order  of its blocks, one change after the other
     */
    public function __construct(public int $birth = 0, public array $fields = [], public array $blocks = [], public array $order = []) {}

    public function reversed(): self
    {
        return new self(
            -$this->birth,
            self::turned($this->fields),
            self::turned($this->blocks),
            array_map(static fn(Lineup $one): Lineup => $one->reversed(), array_reverse($this->order)),
        );
    }

    public function then(self $next): self
    {
        return new self(
            $this->birth + $next->birth,
            self::joined($this->fields, $next->fields),
            self::joined($this->blocks, $next->blocks),
            [...$this->order, ...$next->order],
        );
    }

    public function isNothing(): bool
    {
        return $this->birth === 0 && $this->fields === [] && $this->blocks === [] && $this->order === [];
    }

    /**
     * From what each was at first to what it is at last; what is as it was is none.
     *
     * @template T
     *
     * @param array<string, array{T, T}> $first
     * @param array<string, array{T, T}> $next
     *
     * @return array<string, array{T, T}>
     */
    public static function joined(array $first, array $next): array
    {
        foreach ($next as $name => [$was, $is]) {
            $first[$name] = [\array_key_exists($name, $first) ? $first[$name][0] : $was, $is];
        }

        return array_filter($first, static fn(array $pair): bool => $pair[0] !== $pair[1]);
    }

    /**
     * @template T
     *
     * @param array<string, array{T, T}> $pairs
     *
     * @return array<string, array{T, T}>
     */
    public static function turned(array $pairs): array
    {
        return array_map(static fn(array $pair): array => [$pair[1], $pair[0]], $pairs);
    }
}
