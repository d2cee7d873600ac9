<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Archive\Shelf;
use Embrel\Draft\Choices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Reader\Format as Reading;
use Embrel\Reader\Unreadable;
use Embrel\Writer\Format as Writing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;

/** Files that were damaged on the way are refused with a sentence, or read as far as they make sense; nothing else happens. */
final class DamagedFilesTest extends TestCase
{
    use Folder;
    private const TIMES = 60;

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        foreach (['docx', 'odt', 'html', 'md', 'opml', 'csv', 'txt'] as $format) {
            yield $format => [$format];
        }
    }

    #[DataProvider('formats')]
    public function testADamagedFileIsReadOrRefused(string $format): void
    {
        $picture = Package::png();
        $plan = Notes::on(Build::plan("Tide\n  Mud\n    Deep\nWall\n  Stone"), 7, [hash('sha256', $picture)]);
        $whole = $this->written($format, $plan, $picture);
        mt_srand(20261125);
        $read = 0;
        for ($i = 0; $i < self::TIMES; ++$i) {
            $file = \in_array($format, ['docx', 'odt'], true) ? $this->packageDamaged($whole, $i) : self::damaged($whole, $i);
            try {
                $plan = $this->read($format, $file);
                ++$read;
                foreach ($plan->walk() as $id => $_) {
                    self::assertTrue(mb_check_encoding($plan->topic($id)->title, 'UTF-8'));
                }
                $plan->topic(\Embrel\Plan\Plan::ROOT)->note?->toJson();
            } catch (Unreadable $why) {
                self::assertMatchesRegularExpression('/[.!?]\z/', $why->getMessage(), "{$format}, {$i}");
            }
            exec('rm -rf ' . escapeshellarg($this->folder) . '/*');
        }
        self::assertGreaterThan(0, $read, 'Not every damage is fatal.');
    }

    private function written(string $format, \Embrel\Plan\Plan $plan, string $picture): string
    {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        Writing::from($format)->writer()->write($plan, new Choices(pictures: new Shelved([$picture])), $out, $this->folder);
        rewind($out);

        return (string) stream_get_contents($out);
    }

    private function read(string $format, string $bytes): \Embrel\Plan\Plan
    {
        $in = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        fwrite($in, $bytes);
        rewind($in);

        return Reading::from($format)->read(
            $in,
            new Options(lists: true, stripNumbers: true),
            new CountedIds('07'),
            $this->folder,
            new Shelf($this->folder),
        )->plan;
    }

    /** A part of the package is damaged, left out, swapped with another or nested in itself; at times the package itself. */
    private function packageDamaged(string $whole, int $seed): string
    {
        if ($seed % 6 === 0) {
            return self::damaged($whole, $seed);
        }
        $parts = Package::parts($whole);
        $names = array_keys($parts);
        $name = $names[mt_rand(0, \count($names) - 1)];
        match ($seed % 6) {
            1 => ($parts = array_diff_key($parts, [$name => 1])),
            2 => ($parts[$name] = $parts[$names[mt_rand(0, \count($names) - 1)]]),
            3 => ($parts[$name] = ''),
            default => ($parts[$name] = $seed % 6 === 4 ? self::elements($parts[$name]) : self::damaged($parts[$name], $seed)),
        };

        return Package::zip($parts);
    }

    /** Well-formed still, but with elements gone, doubled or called otherwise, and values that no one expects. */
    private static function elements(string $xml): string
    {
        return (string) preg_replace_callback(
            '/<[\w:]+(?: [^<>]*)?\/>|="[^"]*"/',
            static fn(array $m): string => match (mt_rand(0, 14)) {
                0 => $m[0][0] === '<' ? '' : '=""',
                1 => $m[0][0] === '<' ? $m[0] . $m[0] : '="-1"',
                2 => $m[0][0] === '<' ? '<x/>' : '="99999999999999999999"',
                3 => $m[0][0] === '<' ? $m[0] : '="../../etc/passwd"',
                default => $m[0],
            },
            $xml,
        );
    }

    private static function damaged(string $bytes, int $seed): string
    {
        $length = \strlen($bytes);
        $at = mt_rand(0, max(0, $length - 1));

        return match ($seed % 5) {
            0 => substr($bytes, 0, $at),
            1 => substr_replace($bytes, \chr(mt_rand(0, 255)), $at, 1),
            2 => substr_replace($bytes, str_repeat("\x00", 20), $at, 20),
            3 => substr($bytes, 0, $at) . substr($bytes, min($length, $at + mt_rand(1, 500))),
            default => substr($bytes, 0, $at) . substr($bytes, mt_rand(0, max(0, $length - 1)), 300) . substr($bytes, $at),
        };
    }
}
