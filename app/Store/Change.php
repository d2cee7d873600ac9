<?php

declare(strict_types=1);

namespace App\Store;

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
}
