<?php

declare(strict_types=1);

namespace App\Hosts;

use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use PDO;
use PDOException;

/**
 * Reads and writes on the primary; a request that may be told what was so a moment ago reads on a replica (`readLate`). Where that is gone,
 * the primary answers instead: what asks never learns of it.
 */
final class PrimaryFirst extends MariaDbConnection
{
    protected $readOnWriteConnection = true;
    private ?\Closure $whenGone = null;

    /** @param \Closure(): mixed $whenGone hears that the replica did not answer */
    public function readLate(\Closure $whenGone): void
    {
        $this->readOnWriteConnection = false;
        $this->whenGone = $whenGone;
    }

    public function readsLate(): bool
    {
        return !$this->readOnWriteConnection;
    }

    public function readAtOnce(): void
    {
        $this->readOnWriteConnection = true;
    }

    public function getReadPdo(): PDO
    {
        try {
            return parent::getReadPdo();
        } catch (PDOException $why) {
            if (!$this->readsLate()) {
                throw $why;
            }
            $this->giveUp();

            return $this->getPdo();
        }
    }

    /** @param array<mixed> $bindings */
    protected function tryAgainIfCausedByLostConnection(QueryException $e, $query, $bindings, \Closure $callback)
    {
        if ($this->readsLate() && $this->causedByLostConnection($e->getPrevious() ?? $e)) {
            $this->giveUp();

            return $this->runQueryCallback($query, $bindings, $callback);
        }

        return parent::tryAgainIfCausedByLostConnection($e, $query, $bindings, $callback);
    }

    private function giveUp(): void
    {
        $this->readAtOnce();
        if ($this->whenGone !== null) {
            ($this->whenGone)();
        }
    }
}
