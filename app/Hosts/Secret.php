<?php

declare(strict_types=1);

namespace App\Hosts;

/** What must not be known: a value of the environment, or the file that `NAME_FILE` names, as hosts that hand secrets out write them. */
final class Secret
{
    public static function of(string $name, string $else = ''): string
    {
        $path = (string) env("{$name}_FILE", '');
        if ($path === '') {
            return (string) env($name, $else);
        }
        $read = @file_get_contents($path);

        return $read === false ? throw new \RuntimeException("{$name}_FILE names a file that cannot be read.") : rtrim($read, "\r\n");
    }
}
