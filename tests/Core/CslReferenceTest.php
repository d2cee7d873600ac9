<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Core\Build\Printed;

/**
 * Styles of the standard's own collection print as its reference processor prints them: 327 items of every kind and
 * 40 sequences of citations, in one style of a hundred here; in all by tests/csl/all.php.
 */
final class CslReferenceTest extends TestCase
{
    public function testStylesPrintAsTheReferencePrintsThem(): void
    {
        $directory = sys_get_temp_dir() . '/embrel-csl-' . getmypid();
        mkdir($directory);
        try {
            $node = new Process(['node', __DIR__ . '/../csl/reference.mjs', $directory, '--every=107'], timeout: 600);
            $names = explode("\n", trim($node->mustRun()->getOutput()));
            $printed = new Printed($directory);
            $cases = $different = 0;
            $worst = [];
            foreach ($names as $name) {
                ['cases' => $of, 'differences' => $differences] = $printed->compared($name);
                $cases += $of;
                $different += \count($differences);
                $worst[$name] = \count($differences);
            }
            arsort($worst);

            self::assertGreaterThan(20, \count($names));
            self::assertGreaterThan(0.99, 1 - $different / $cases, json_encode(\array_slice($worst, 0, 5), JSON_THROW_ON_ERROR));
        } finally {
            array_map(unlink(...), glob("{$directory}/*") ?: []);
            rmdir($directory);
        }
    }
}
