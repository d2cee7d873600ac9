<?php

declare(strict_types=1);

namespace Embrel\Writer;

/** A path of SVG, read command by command: straight lines, curves, arcs of circles, ends (SVG 1.1, 8.3; absolute commands alone). */
final class Path
{
    /**
     * @return iterable<array{string, float, float, list<float>}> M, L, C, A or Z, where it begins, and its numbers; H and V come as L
     */
    public static function of(string $path): iterable
    {
        preg_match_all('/([MLHVCAZ])([^MLHVCAZ]*)/', $path, $commands, PREG_SET_ORDER);
        [$x, $y] = $begun = [0.0, 0.0];
        foreach ($commands as [, $command, $given]) {
            preg_match_all('/-?\d*\.?\d+/', $given, $m);
            $n = array_map(floatval(...), $m[0]);
            [$command, $n] = match ($command) {
                'H' => ['L', [$n[0], $y]],
                'V' => ['L', [$x, $n[0]]],
                default => [$command, $n],
            };
            yield [$command, $x, $y, $n];
            [$x, $y] = $command === 'Z' ? $begun : \array_slice($n, -2);
            $begun = $command === 'M' ? [$x, $y] : $begun;
        }
    }
}
