<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Task;
use App\Models\User;
use Embrel\Operation\OperationRefused;
use Embrel\Reader\Unreadable;

/** One kind of long work. */
interface Work
{
    /**
     * @return array<string, mixed> what the page is told when it is done
     *
     * @throws Unreadable|OperationRefused|\DomainException with a sentence for the person
     */
    public function run(Task $task, User $user): array;
}
