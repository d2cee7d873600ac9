<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Stream\Server;
use Illuminate\Console\Command;
use React\EventLoop\Loop;

/** Serves the streams of news to open pages until it is ended. */
final class StreamCommand extends Command
{
    /** In seconds; what it asks is answered in milliseconds. */
    private const PATIENCE = 4;

    protected $signature = 'embrel:stream {--listen= : address and port, as 127.0.0.1:8081}';
    protected $description = 'Tell open pages at once what others change';

    public function handle(): int
    {
        // One process serves all lines: it waits for no database that is behind a cut one.
        ini_set('mysqlnd.net_read_timeout', (string) self::PATIENCE);
        $listen = $this->option('listen');
        $loop = Loop::get();
        (new Server($loop, rtrim((string) config('app.url'), '/')))->listen(\is_string($listen) ? $listen : (string) config('embrel.stream_listen'));
        foreach ([SIGTERM, SIGINT] as $signal) {
            $loop->addSignal($signal, static fn() => $loop->stop());
        }
        $loop->run();

        return self::SUCCESS;
    }
}
