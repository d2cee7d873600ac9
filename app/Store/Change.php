<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Operation\Operation;

/** An operation as it was sent: with its own id, the step that one undo takes back, and what it undoes. */
final readonly class Change
{
    public function __construct(public string $id, public string $step, public Operation $operation, public ?string $undoes = null) {}
}
