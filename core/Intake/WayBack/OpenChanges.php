<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Document\Heard;
use Embrel\Id\Ids;
use Embrel\Operation\Compound;
use Embrel\Operation\Operation;

/**
 * Changes that were recorded in a draft and are open: what it would say if they were accepted, apart
 * from what its writer has settled. Each is offered by itself.
 */
final readonly class OpenChanges
{
    private const KEY = 'recorded-';

    /**
     * @param Comparison                 $settled as if none of them had been made
     * @param Comparison                 $open    as if all were accepted
     * @param array<string, list<Heard>> $heard   topic of the file → what was recorded in its text
     */
    public function __construct(private Comparison $settled, private Comparison $open, private array $heard) {}

    /** @param array<string, list<Heard>> $heard */
    public static function areIn(array $heard): bool
    {
        return array_filter(array_merge(...array_values($heard)), static fn(Heard $one): bool => $one->isChange()) !== [];
    }

    /** @return list<array<string, mixed>> as Change::toArray() has it, with who recorded it under `by` */
    public function toArray(): array
    {
        $known = array_map(static fn(Change $change): array => $change->toArray(), $this->settled->changes);
        $out = [];
        foreach ($this->open->changes as $change) {
            $told = $change->toArray();
            if (!\in_array($told, $known, true)) {
                $out[] = ['key' => self::KEY . $change->key(), 'by' => $this->by($change)] + $told;
            }
        }

        return $out;
    }

    private function by(Change $change): string
    {
        $there = $change->kind === Change::ADDED ? $change->topic : array_search($change->topic, $this->open->matches->here, true);
        $own = array_filter($this->heard[$there] ?? [], static fn(Heard $one): bool => $one->isChange());
        $names = array_unique(
            array_map(static fn(Heard $one): string => $one->who, $own === [] ? array_merge(...array_values($this->heard)) : $own),
        );

        return implode(', ', array_filter($names, static fn(string $name): bool => $name !== '')) ?: 'somebody';
    }

    /**
     * What was chosen of both, as one operation.
     *
     * @param list<string>                  $keys
     * @param \Closure(\Embrel\Plan\Plan): Comparison $again compares the plan, as it is by then, with the draft with all of them accepted
     *
     * @throws \Embrel\Operation\OperationRefused
     */
    public static function accepted(Comparison $settled, array $keys, Ids $ids, \Closure $again): Operation
    {
        $isOpen = static fn(string $key): bool => str_starts_with($key, self::KEY);
        $first = Acceptance::of($settled, array_values(array_filter($keys, static fn(string $key): bool => !$isOpen($key))), $ids);
        $open = array_map(static fn(string $key): string => substr($key, \strlen(self::KEY)), array_values(array_filter($keys, $isOpen)));

        return $open === [] ? $first : new Compound([$first, Acceptance::of($again($first->apply($settled->plan)), $open, $ids)]);
    }
}
