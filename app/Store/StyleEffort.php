<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Effort;

/** What a request can bear for a style: time of the processor and memory, both from when it is made. */
final readonly class StyleEffort implements Effort
{
    private float $since;
    private float $worked;
    private int $held;

    /**
     * @param float $seconds of work; what the machine does meanwhile for others does not count
     * @param int   $bytes   beside what is held already
     */
    public function __construct(private float $seconds, private int $bytes)
    {
        $this->since = microtime(true);
        $this->worked = self::worked();
        $this->held = memory_get_usage();
    }

    public function goesOn(): void
    {
        $isTooMuch = memory_get_usage() - $this->held >= $this->bytes
            // The clock on the wall costs less to look at, and is never behind.
            || (microtime(true) - $this->since >= $this->seconds && self::worked() - $this->worked >= $this->seconds);
        $isTooMuch && throw new CslError('The style takes more work on these sources than any should.');
    }

    /** Seconds of the processor that this process has had. */
    private static function worked(): float
    {
        /** @var array{'ru_utime.tv_sec': int, 'ru_utime.tv_usec': int} $used */
        $used = getrusage();

        return $used['ru_utime.tv_sec'] + $used['ru_utime.tv_usec'] / 1e6;
    }
}
