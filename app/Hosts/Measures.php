<?php

declare(strict_types=1);

namespace App\Hosts;

use App\Models\TaskState;
use Illuminate\Redis\Connections\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Redis;

/**
 * What an operator watches, as Prometheus reads it (text exposition format 0.0.4). What a request did is added to sums of its host, which
 * are kept in Redis; without Redis nothing is counted, and only what is so now is told. Nothing in it names a person, a plan or a word.
 */
final class Measures
{
    public const TYPE = 'text/plain; version=0.0.4; charset=utf-8';
    /** In seconds: so long is believed what a process has said. */
    private const HOLDS = 60;
    /** Upper bounds of the classes of how long requests take, in seconds. */
    private const SECONDS = ['0.025', '0.05', '0.1', '0.25', '0.5', '1', '2.5', '10'];

    /** @var array<string, int|float> what is to be added, by the name of the sum with its labels */
    private array $sums = [];

    public static function areKept(): bool
    {
        return Parts::hasRedis();
    }

    public function add(string $sum, int|float $by = 1): void
    {
        $this->sums[$sum] = ($this->sums[$sum] ?? 0) + $by;
    }

    /** @param float $seconds that it took */
    public function request(int $status, float $seconds, int $bytes): void
    {
        $this->add('embrel_requests_total{status="' . intdiv($status, 100) . 'xx"}');
        foreach (self::SECONDS as $bound) {
            $seconds <= (float) $bound && $this->add("embrel_request_seconds_bucket{le=\"{$bound}\"}");
        }
        $this->add('embrel_request_seconds_bucket{le="+Inf"}');
        $this->add('embrel_request_seconds_sum', round($seconds, 6));
        $this->add('embrel_request_seconds_count');
        $this->add('embrel_request_memory_bytes_sum', $bytes);
        $this->add('embrel_request_memory_bytes_count');
    }

    /** Adds what was counted to the sums of this host, and begins anew. */
    public function keep(): void
    {
        [$sums, $this->sums] = [$this->sums, []];
        $add = static function ($pipe) use ($sums): void {
            foreach ($sums as $name => $by) {
                \is_int($by) ? $pipe->hincrby(self::key(), $name, $by) : $pipe->hincrbyfloat(self::key(), $name, $by);
            }
        };
        $sums === [] ?: self::ask(static fn(Connection $redis): mixed => $redis->client()->pipeline($add));
    }

    /** Tells how many lines of the stream are open at this host. */
    public static function lines(string $process, int $lines): void
    {
        $says = $lines . ' ' . time();
        self::ask(static fn(Connection $redis): mixed => $redis->command('hset', [self::key() . '.lines', $process, $says]));
    }

    /**
     * Measures are not worth an error: where Redis is not there, nothing is known.
     *
     * @param \Closure(Connection): mixed $what
     */
    private static function ask(\Closure $what): mixed
    {
        try {
            return self::areKept() ? $what(Redis::connection()) : null;
        } catch (\Throwable) {
            return null;
        }
    }

    private static function key(): string
    {
        return 'measures.' . gethostname();
    }

    /** In the form that Prometheus reads. */
    public static function text(): string
    {
        $told = [
            'embrel_requests_total' => ['counter', 'Requests answered, by the class of their status'],
            'embrel_request_seconds' => ['histogram', 'How long requests took'],
            'embrel_request_memory_bytes' => ['summary', 'Memory that requests took at the most'],
            'embrel_operations_total' => ['counter', 'Changes of plans that were applied'],
            'embrel_refused_total' => ['counter', 'Changes of plans that were refused'],
        ];
        $lines = [];
        $sums = self::sums();
        foreach ($told as $name => [$type, $help]) {
            array_push($lines, "# HELP {$name} {$help}", "# TYPE {$name} {$type}");
            foreach ($sums as $sum => $value) {
                if (preg_match("/\A{$name}(?:_bucket|_sum|_count)?(?:\{|\z)/", $sum) === 1) {
                    $lines[] = "{$sum} {$value}";
                }
            }
        }
        foreach (self::now() as $name => [$help, $values]) {
            array_push($lines, "# HELP {$name} {$help}", "# TYPE {$name} gauge");
            foreach ($values as $labels => $value) {
                $lines[] = "{$name}{$labels} {$value}";
            }
        }

        return implode("\n", $lines) . "\n";
    }

    /** @return array<string, string> */
    private static function sums(): array
    {
        /** @var array<string, string> $sums */
        $sums = self::ask(static fn(Connection $redis): mixed => $redis->command('hgetall', [self::key()])) ?? [];
        // Classes of a histogram stand from the least to the most.
        uksort($sums, static fn(string $a, string $b): int => self::place($a) <=> self::place($b));

        return $sums;
    }

    /** @return array{string, float} */
    private static function place(string $sum): array
    {
        $bound = preg_match('/\{le="([0-9.]+|\+Inf)"\}\z/', $sum, $found) === 1 ? $found[1] : '0';

        return [strtok($sum, '{') ?: $sum, $bound === '+Inf' ? INF : (float) $bound];
    }

    /** @return array<string, array{string, array<string, int|float>}> what is so now: in words, and by labels */
    private static function now(): array
    {
        $parts = Parts::all();
        $isUp = static fn(array $part): int => (int) $part['ok'];
        $seconds = static fn(array $part): float => $part['ms'] / 1000;
        $now = [
            'embrel_part_up' => ['Whether a part answers', self::labelled('part', array_map($isUp, $parts))],
            'embrel_part_seconds' => ['How long a part took to answer', self::labelled('part', array_map($seconds, $parts))],
        ];
        if ($parts['queue']['ok']) {
            $now['embrel_queue_jobs'] = ['Jobs that wait in the queue', ['' => (int) Queue::size()]];
        }
        if ($parts['database']['ok']) {
            $tasks = DB::table('tasks')
                ->whereIn('state', TaskState::OPEN)
                ->groupBy('state')
                ->selectRaw('state, COUNT(*) AS n')
                ->pluck('n', 'state');
            $states = ['waiting' => 0, 'running' => 0, ...array_map(intval(...), $tasks->all())];
            $now['embrel_tasks'] = ['Pieces of long work, by their state', self::labelled('state', $states)];
            $now['embrel_database_connections'] = [
                'Connections that the database has open',
                ['' => (int) (DB::selectOne("SHOW STATUS LIKE 'Threads_connected'")->Value ?? 0)],
            ];
        }
        $now['embrel_stream_lines'] = ['Pages that hear the news of a plan at once, at this host', ['' => self::openLines()]];

        return $now + ['embrel_process_memory_bytes' => ['Memory of the process that answers this', ['' => memory_get_usage(true)]]];
    }

    private static function openLines(): int
    {
        $lines = 0;
        /** @var array<string, string> $told */
        $told = self::ask(static fn(Connection $redis): mixed => $redis->command('hgetall', [self::key() . '.lines'])) ?? [];
        foreach ($told as $process => $says) {
            [$count, $at] = array_map(intval(...), explode(' ', "{$says} 0"));
            if ($at > time() - self::HOLDS) {
                $lines += $count;
            } else {
                // A process that has said nothing for so long is gone.
                self::ask(static fn(Connection $redis): mixed => $redis->command('hdel', [self::key() . '.lines', $process]));
            }
        }

        return $lines;
    }

    /**
     * @template T of int|float
     *
     * @param array<array-key, T> $values
     *
     * @return array<string, T>
     */
    private static function labelled(string $label, array $values): array
    {
        $labelled = [];
        foreach ($values as $name => $value) {
            $labelled["{{$label}=\"{$name}\"}"] = $value;
        }

        return $labelled;
    }
}
