<?php

declare(strict_types=1);

namespace App\Stream;

use Embrel\Id\Ulid;

/** A request to the stream, of one of the two kinds that there are: to hear a plan's news, and to say where one is in it. */
final readonly class Request
{
    /** Of head and body together, in bytes. */
    public const MOST = 8192;

    private function __construct(
        public bool $isPost,
        public string $plan,
        public int $user,
        public int $until,
        public string $seal,
        public string $page,
        public string $body,
    ) {}

    /**
     * @return self|false|null null: not all of it has come; false: it is none of ours
     */
    public static function read(string $bytes): self|false|null
    {
        $end = strpos($bytes, "\r\n\r\n");
        if ($end === false) {
            return \strlen($bytes) > self::MOST ? false : null;
        }
        $head = substr($bytes, 0, $end);
        if (preg_match('~\A(GET|POST) /plans/(' . Ulid::FORM . ')\?(\S{1,600}) HTTP/1\.[01]\r\n~', $head . "\r\n", $line) !== 1) {
            return false;
        }
        $length = preg_match('/\r\nContent-Length: *(\d{1,5})(?:\r\n|\z)/i', $head, $m) === 1 ? (int) $m[1] : 0;
        $body = substr($bytes, $end + 4);
        if ($length > self::MOST) {
            return false;
        }
        if (\strlen($body) < $length) {
            return null;
        }
        parse_str($line[3], $given);
        $text = static fn(string $name): string => \is_string($given[$name] ?? null) ? $given[$name] : '';

        return preg_match('/\A[0-9A-Z]{4,26}\z/', $text('page')) !== 1 ? false : new self(
            $line[1] === 'POST',
            $line[2],
            (int) $text('by'),
            (int) $text('until'),
            $text('seal'),
            $text('page'),
            substr($body, 0, $length),
        );
    }
}
