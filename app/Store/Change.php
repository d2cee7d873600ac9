<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Id\Ulid;
use Embrel\Operation\Operation;

/**
 * An operation as it was sent: with its own id, the step that one undo takes back, what it undoes, and what it
 * is called where its own words would not tell.
 */
final readonly class Change
{
    public function __construct(
        public string $id,
        public string $step,
        public Operation $operation,
        public ?string $undoes = null,
        public ?string $says = null,
    ) {}

    /** @return list<string> the ids that its operation names, but for the places to which it brings something */
    public function named(): array
    {
        return Ulid::in(json_encode(self::withoutPlaces($this->operation->toArray()), JSON_THROW_ON_ERROR));
    }

    /**
     * @param array<array-key, mixed> $form of an operation
     *
     * @return array<array-key, mixed>
     */
    private static function withoutPlaces(array $form): array
    {
        unset($form['at']);

        return array_map(static fn(mixed $part): mixed => \is_array($part) ? self::withoutPlaces($part) : $part, $form);
    }
}
