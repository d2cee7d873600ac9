<?php

declare(strict_types=1);

namespace App\Stream;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Redis;
use React\EventLoop\LoopInterface;
use React\Socket\ConnectionInterface;
use React\Socket\Connector;

/**
 * What processes of several hosts tell each other, by Redis' publish and subscribe: that a plan has changed, and who is where in it.
 * Nothing is lost with a word that does not arrive: each process also looks for itself, only not so often.
 */
final class Wire
{
    public const PLANS = 'plans';
    public const PLACES = 'places';
    /** In seconds: after so long it is tried anew. */
    private const AGAIN = 1.0;
    /** Of what has come and is no whole word yet, in bytes. */
    private const MOST = 1_000_000;

    private ?ConnectionInterface $hears = null;
    private ?ConnectionInterface $says = null;
    private string $bytes = '';
    private bool $isUp = false;

    /** @param \Closure(string, string): mixed $heard gets the channel and what was said in it */
    public function __construct(private readonly LoopInterface $loop, private readonly \Closure $heard) {}

    public static function isSet(): bool
    {
        return (bool) config('embrel.stream_over_redis');
    }

    /** Tells all processes that a plan has changed, as soon as that is kept. */
    public static function changed(string $plan): void
    {
        if (self::isSet()) {
            DB::afterCommit(static function () use ($plan): void {
                try {
                    Redis::connection()->command('publish', [self::PLANS, $plan]);
                } catch (\Throwable) {
                    // It is found a little later.
                }
            });
        }
    }

    public function connect(): void
    {
        $this->open(function (ConnectionInterface $connection): void {
            $this->hears = $connection;
            $this->bytes = '';
            $connection->on('data', $this->read(...));
            $connection->on('close', function (): void {
                $this->isUp = false;
                $this->hears = null;
                $this->loop->addTimer(self::AGAIN, $this->connect(...));
            });
            $prefix = (string) config('database.redis.options.prefix');
            $connection->write(self::command('SUBSCRIBE', $prefix . self::PLANS, $prefix . self::PLACES));
        }, fn() => $this->loop->addTimer(self::AGAIN, $this->connect(...)));
    }

    public function isUp(): bool
    {
        return $this->isUp;
    }

    public function say(string $channel, string $text): void
    {
        if (!$this->isUp) {
            return;
        }
        $words = self::command('PUBLISH', config('database.redis.options.prefix') . $channel, $text);
        if ($this->says !== null) {
            $this->says->write($words);

            return;
        }
        $this->open(function (ConnectionInterface $connection) use ($words): void {
            $this->says = $connection;
            $connection->on('close', function (): void {
                $this->says = null;
            });
            // How many have heard it is of no interest; unread, the answers would fill the line.
            $connection->on('data', static fn() => null);
            $connection->write($words);
        }, static fn() => null);
    }

    private function open(\Closure $then, \Closure $else): void
    {
        /** @var array{host: string, port: string, username: string|null, password: string|null} $at */
        $at = config('database.redis.default');
        (new Connector(['timeout' => 2.0], $this->loop))->connect("tcp://{$at['host']}:{$at['port']}")->then(
            static function (ConnectionInterface $connection) use ($then, $at): void {
                if (($at['password'] ?? null) !== null) {
                    $connection->write(self::command('AUTH', ...array_filter([$at['username'], $at['password']])));
                }
                $then($connection);
            },
            $else,
        );
    }

    /** As the protocol of Redis (RESP 2) writes what is asked: an array of strings, each with its length. */
    public static function command(string ...$parts): string
    {
        return '*' . \count($parts) . "\r\n" . implode('', array_map(static fn(string $part): string => '$' . \strlen($part) . "\r\n{$part}\r\n", $parts));
    }

    private function read(string $chunk): void
    {
        $this->bytes .= $chunk;
        while (($word = self::word($this->bytes)) !== null) {
            [$parts, $length] = $word;
            $this->bytes = substr($this->bytes, $length);
            if (($parts[0] ?? '') === 'subscribe') {
                $this->isUp = true;
            } elseif (($parts[0] ?? '') === 'message' && isset($parts[2])) {
                $prefix = (string) config('database.redis.options.prefix');
                ($this->heard)(substr($parts[1], \strlen($prefix)), $parts[2]);
            }
        }
        if (\strlen($this->bytes) > self::MOST) {
            $this->hears?->close();
        }
    }

    /**
     * The first answer in what has come: strings, or a number or a line as a string.
     *
     * @return array{list<string>, int}|null with how many bytes it takes; null: it has not come to its end
     */
    public static function word(string $bytes): ?array
    {
        $end = strpos($bytes, "\r\n");
        if ($end === false) {
            return null;
        }
        if ($bytes[0] !== '*') {
            return self::part($bytes, 0);
        }
        $parts = [];
        $at = $end + 2;
        for ($i = (int) substr($bytes, 1, $end - 1); $i > 0; --$i) {
            $part = self::part($bytes, $at);
            if ($part === null) {
                return null;
            }
            $parts[] = $part[0][0];
            $at = $part[1];
        }

        return [$parts, $at];
    }

    /** @return array{list<string>, int}|null with where it ends */
    private static function part(string $bytes, int $at): ?array
    {
        $end = strpos($bytes, "\r\n", $at);
        if ($end === false) {
            return null;
        }
        $line = substr($bytes, $at + 1, $end - $at - 1);
        if ($bytes[$at] !== '$') {
            return [[$line], $end + 2];
        }
        $length = max(0, (int) $line);

        return \strlen($bytes) < $end + 4 + $length ? null : [[substr($bytes, $end + 2, $length)], $end + 4 + $length];
    }
}
