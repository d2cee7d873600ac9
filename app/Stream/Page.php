<?php

declare(strict_types=1);

namespace App\Stream;

use Embrel\Id\Ulid;
use React\Socket\ConnectionInterface;

/** A page that hears the news of a plan, and where the person at it is. */
final class Page
{
    /** Of what has been sent and not taken, in bytes: who falls behind so far is let go, and asks anew. */
    private const BEHIND = 1_000_000;

    /** @var array{topic: string, view: string, writes: bool} */
    public array $place = ['topic' => '', 'view' => '', 'writes' => false];
    private int $waiting = 0;

    public function __construct(
        public readonly string $id,
        public readonly string $plan,
        public readonly int $user,
        public readonly string $name,
        private readonly ConnectionInterface $connection,
    ) {
        $connection->on('drain', function (): void {
            $this->waiting = 0;
        });
    }

    /** @param string $event as it goes over the line */
    public function tell(string $event): void
    {
        if (!$this->connection->write($event)) {
            $this->waiting += \strlen($event);
            if ($this->waiting > self::BEHIND) {
                $this->connection->close();
            }
        }
    }

    public function close(): void
    {
        $this->connection->end();
    }

    /** @param array<string, mixed> $data */
    public static function event(string $name, array $data): string
    {
        return "event: {$name}\ndata: " . json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) . "\n\n";
    }

    /** Where the person is, as a page says it; what is no place is passed over. */
    public function moved(string $json): bool
    {
        $place = json_decode($json, true, 4);
        $text = static fn(string $name): string => \is_array($place) && \is_string($place[$name] ?? null) ? $place[$name] : '';
        $new = [
            'topic' => Ulid::isValid($text('topic')) ? $text('topic') : '',
            'view' => preg_match('/\A[a-z-]{1,16}\z/', $text('view')) === 1 ? $text('view') : '',
            'writes' => \is_array($place) && ($place['writes'] ?? null) === true,
        ];
        $isOther = $new !== $this->place;
        $this->place = $new;

        return $isOther;
    }

    /** @return array{page: string, name: string, topic: string, view: string, writes: bool} */
    public function here(): array
    {
        return ['page' => $this->id, 'name' => $this->name] + $this->place;
    }
}
