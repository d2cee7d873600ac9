<?php

declare(strict_types=1);

namespace App\Hosts;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Redis;
use Illuminate\Support\Facades\Storage;

/** The parts of the whole that this host must reach: each is asked for something small, and how long it took is told. */
final class Parts
{
    private const DISK = 'results';

    /** @return array<string, \Closure(): mixed> the name of each part → what asks it, and throws where it does not answer */
    private static function asked(): array
    {
        $parts = [
            'database' => static fn() => DB::selectOne('SELECT 1'),
            'store' => static fn() => Storage::disk(self::DISK)->exists('ready'),
            'queue' => static fn() => Queue::size(),
            'cache' => static fn() => Cache::get('ready'),
        ];

        return $parts + (self::hasRedis() ? ['redis' => static fn() => Redis::connection()->command('ping')] : []);
    }

    public static function hasRedis(): bool
    {
        $drivers = [config('cache.default'), config('session.driver'), config('queue.default')];

        return (bool) config('embrel.stream_over_redis') || \in_array('redis', $drivers, true);
    }

    /** @return array<string, array{ok: bool, ms: float, why: string}> `why`: what its driver says, for the operator alone */
    public static function all(): array
    {
        return array_map(self::ask(...), self::asked());
    }

    /**
     * @param \Closure(): mixed $what
     *
     * @return array{ok: bool, ms: float, why: string}
     */
    public static function ask(\Closure $what): array
    {
        $began = hrtime(true);
        $why = '';
        try {
            $what();
        } catch (\Throwable $thrown) {
            $why = self::said($thrown);
        }

        return ['ok' => $why === '', 'ms' => round((hrtime(true) - $began) / 1e6, 1), 'why' => $why];
    }

    /** In one line. */
    private static function said(\Throwable $why): string
    {
        while ($why->getPrevious() !== null) {
            $why = $why->getPrevious();
        }

        return class_basename($why) . ': ' . mb_strimwidth((string) preg_replace('/\s+/', ' ', $why->getMessage()), 0, 200, '…');
    }
}
