<?php

declare(strict_types=1);

namespace App\Stream;

/** Who is where in plans, at the lines of other processes: as these have told it last, and for a minute. */
final class Elsewhere
{
    /** In seconds; each process tells it again several times meanwhile. */
    private const HOLDS = 60;

    /** @var array<string, array<string, array{people: list<array<string, mixed>>, until: int}>> plan → process → who */
    private array $told = [];

    /** @param array<array-key, mixed> $people */
    public function told(string $plan, string $process, array $people): void
    {
        $this->told[$plan][$process] = ['people' => array_values(array_filter($people, \is_array(...))), 'until' => time() + self::HOLDS];
        if ($people === []) {
            unset($this->told[$plan][$process]);
        }
    }

    /** @return list<array<string, mixed>> */
    public function in(string $plan): array
    {
        $standing = array_filter($this->told[$plan] ?? [], static fn(array $told): bool => $told['until'] >= time());

        return array_merge(...array_column($standing, 'people'));
    }

    public function forget(string $plan): void
    {
        unset($this->told[$plan]);
    }
}
