<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Hosts\HostCheck;
use Illuminate\Console\Command;

/** Says in words what is wrong with this host. */
final class CheckCommand extends Command
{
    protected $signature = 'embrel:check';
    protected $description = 'Look at this host and say what is wrong with it';

    public function handle(HostCheck $check): int
    {
        $found = $check->all();
        foreach ($found as [$what, $isWell, $mend]) {
            $this->line(match ($isWell) {
                true => "  <info>well</info>   {$what}",
                null => "  <comment>look</comment>   {$what}: {$mend}",
                false => "  <error>wrong</error>  {$what}: {$mend}",
            });
        }
        $wrong = \count(array_filter($found, static fn(array $one): bool => $one[1] === false));
        $this->line($wrong === 0 ? 'This host is well.' : "{$wrong} of " . \count($found) . ' things are wrong.');

        return $wrong === 0 ? self::SUCCESS : self::FAILURE;
    }
}
