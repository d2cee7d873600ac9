<?php

declare(strict_types=1);

namespace App\Stream;

use App\Hosts\Measures;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use React\EventLoop\LoopInterface;
use React\Socket\ConnectionInterface;
use React\Socket\SocketServer;

/**
 * Serves the streams of news (server-sent events, as the HTML standard has them) to all pages that are open, from one process. Everything
 * is right without it: a page that cannot reach it asks now and then.
 */
final class Server
{
    /** In seconds: how often it is looked for what has changed, told who is where, and given a sign of life. */
    private const LOOKS = 0.35;
    /** Where others say what has changed, it is looked for less often, in looks, and what they said sooner, in seconds. */
    private const EACH = 15;
    private const HEARD = 0.05;
    private const PLACES = 0.4;
    private const BEATS = 20;
    /** So long a request may take to come, in seconds. */
    private const PATIENCE = 10;
    /** Lines that are open at once; more are turned away, and ask instead. */
    private const MOST = 20_000;

    private readonly Watch $watch;
    private readonly ?Wire $wire;
    private int $open = 0;
    private int $looks = 0;

    public function __construct(private readonly LoopInterface $loop, private readonly string $origin)
    {
        $this->wire = Wire::isSet() ? new Wire($loop, $this->heard(...)) : null;
        $this->watch = new Watch($this->wire === null ? null : $this->wire->say(...));
    }

    public function listen(string $address): void
    {
        $socket = new SocketServer($address, [], $this->loop);
        $socket->on('connection', $this->came(...));
        $this->wire?->connect();
        $this->loop->addPeriodicTimer(self::LOOKS, fn() => $this->safely($this->look(...)));
        $this->wire === null ?: $this->loop->addPeriodicTimer(self::HEARD, fn() => $this->safely(fn() => $this->watch->look(false)));
        $this->loop->addPeriodicTimer(self::PLACES, fn() => $this->safely($this->watch->tellPlaces(...)));
        $this->loop->addPeriodicTimer(self::BEATS, fn() => Measures::lines((string) getmypid(), $this->watch->count()));
        $this->loop->addPeriodicTimer(self::BEATS, fn() => $this->safely($this->watch->beat(...)));
    }

    private function heard(string $channel, string $text): void
    {
        $this->safely(fn() => $this->watch->heard($channel, $text));
    }

    private function look(): void
    {
        if ($this->watch->count() > 0 && ($this->wire?->isUp() !== true || ++$this->looks % self::EACH === 0)) {
            $this->watch->look();
        }
    }

    private function came(ConnectionInterface $connection): void
    {
        if ($this->open >= self::MOST) {
            $connection->end(self::answer('503 Service Unavailable'));

            return;
        }
        ++$this->open;
        $bytes = '';
        $late = $this->loop->addTimer(self::PATIENCE, static fn() => $connection->close());
        $connection->on('close', function () use ($late): void {
            --$this->open;
            $this->loop->cancelTimer($late);
        });
        $read = function (string $chunk) use (&$bytes, &$read, $connection, $late): void {
            $bytes .= $chunk;
            $request = \strlen($bytes) > 2 * Request::MOST ? false : Request::read($bytes);
            if ($request === null) {
                return;
            }
            $this->loop->cancelTimer($late);
            $connection->removeListener('data', $read);
            $bytes = '';
            $this->safely(fn() => $this->answered($request, $connection), static fn() => $connection->close());
        };
        $connection->on('data', $read);
    }

    private function answered(Request|false $request, ConnectionInterface $connection): void
    {
        if ($request === false || !Seal::holds($request->plan, $request->user, $request->until, $request->seal)) {
            $connection->end(self::answer('404 Not Found'));

            return;
        }
        if ($request->isPost) {
            $this->watch->moved($request);
            $connection->end(self::answer('204 No Content', $this->headers()));

            return;
        }
        $page = $this->watch->join($request, $connection);
        if ($page === null) {
            $connection->end(self::answer('404 Not Found', $this->headers()));

            return;
        }
        $connection->on('close', fn() => $this->watch->leave($page));
        $page->tell(
            "HTTP/1.1 200 OK\r\nContent-Type: text/event-stream; charset=utf-8\r\nX-Accel-Buffering: no\r\nConnection: close\r\n"
                . "{$this->headers()}\r\n" . $this->watch->greeting($page),
        );
    }

    /** Of one origin only, that of the application. */
    private function headers(): string
    {
        return "Access-Control-Allow-Origin: {$this->origin}\r\nCache-Control: no-store\r\nX-Content-Type-Options: nosniff\r\n";
    }

    private static function answer(string $status, string $headers = ''): string
    {
        return "HTTP/1.1 {$status}\r\nContent-Length: 0\r\nConnection: close\r\n{$headers}\r\n";
    }

    /** What goes wrong for one page, or while the database is away, ends nothing else. */
    private function safely(\Closure $act, ?\Closure $else = null): void
    {
        try {
            $act();
        } catch (\Throwable $why) {
            Log::warning('The stream: ' . $why::class . " at {$why->getFile()}:{$why->getLine()}");
            DB::purge();
            if ($else !== null) {
                $else();
            }
        }
    }
}
