<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Origin;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\OutlineChoices;
use Embrel\Plan\Plan;
use Embrel\Writer\Feature;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Everything;
use Tests\Core\Build\Shelved;

/**
 * Each format as it was last looked at, of one small plan that holds everything. Where a change of a writer is meant, the
 * files are written again, looked at as a diff, and kept with it: `EMBREL_GOLDEN=write vendor/bin/phpunit tests/Core/GoldenTest.php`.
 */
final class GoldenTest extends TestCase
{
    /** 60 by 40 pixels. */
    private const PICTURE
        = 'iVBORw0KGgoAAAANSUhEUgAAADwAAAAoAQMAAACYdQu8AAAAA1BMVEUEAgSVKDOdAAAACXBIWXMAAA7EAAAOxAGVKw4bAAAADUlEQVQYlWNgGAX0AAABaAABBugHpAAAAABJRU5ErkJggg==';

    /** @return iterable<string, array{Format}> */
    public static function formats(): iterable
    {
        foreach (Format::cases() as $format) {
            // What is built of scripts, and what a library draws, changes with these.
            if ($format->has(Feature::Alone) || $format->has(Feature::Pixels)) {
                continue;
            }
            yield $format->value => [$format];
        }
    }

    #[DataProvider('formats')]
    public function testAFormatIsAsItWas(Format $format): void
    {
        $file = __DIR__ . "/golden/{$format->value}.txt";
        $written = self::shown($this->written($format));
        self::assertSame($written, self::shown($this->written($format)), 'the same plan twice is the same file');
        if (getenv('EMBREL_GOLDEN') === 'write') {
            file_put_contents($file, $written);
        }
        self::assertStringEqualsFile($file, $written);
    }

    private function written(Format $format): string
    {
        $shelf = new Shelved([(string) base64_decode(self::PICTURE, true)]);
        $work = sys_get_temp_dir() . '/embrel-golden-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = Build::stream('');
        try {
            $format->writer()->write(
                Everything::plan($shelf),
                new Choices(
                    pictures: $shelf,
                    draft: new DraftChoices(seeAlso: true, figures: true, date: '2026-03-01', origin: new Origin(Build::ulid(70), 12)),
                    outline: new OutlineChoices(loose: true),
                ),
                $out,
                $work,
            );
        } finally {
            exec('rm -rf ' . escapeshellarg($work));
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** What a person can read of a file: a line for each piece of it, and for what is no text its fingerprint. */
    private static function shown(string $bytes): string
    {
        if (str_starts_with($bytes, 'PK')) {
            return self::parts($bytes);
        }
        if (str_starts_with($bytes, '%PDF')) {
            // How well it is packed, and where it stands by that, is the machine's.
            $bytes = preg_replace(['~/Length \d+~', '~\nxref\n.*~s'], ['/Length …', ''], $bytes);
            $text = preg_replace_callback(
                '/stream\r?\n(.*?)\r?\nendstream/s',
                static fn(array $m): string => self::text((string) (@gzuncompress($m[1]) ?: $m[1])),
                (string) $bytes,
            );

            return (string) preg_replace('/[^\x20-\x7E\n]/', '.', (string) $text);
        }

        return self::text($bytes);
    }

    private static function parts(string $zip): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'embrel-golden-');
        file_put_contents($file, $zip);
        $package = new \ZipArchive();
        $package->open($file, \ZipArchive::RDONLY);
        $shown = '';
        for ($i = 0; $i < $package->numFiles; ++$i) {
            $shown .= '==== ' . $package->getNameIndex($i) . "\n" . self::text((string) $package->getFromIndex($i)) . "\n";
        }
        $package->close();
        unlink($file);

        return $shown;
    }

    private static function text(string $bytes): string
    {
        if (!mb_check_encoding($bytes, 'UTF-8') || str_contains($bytes, "\0")) {
            return '(' . \strlen($bytes) . ' bytes, ' . hash('sha256', $bytes) . ')';
        }
        $lines = str_replace('><', ">\n<", $bytes);

        // Fonts that go along inside the file.
        return (string) preg_replace_callback(
            '~base64,([A-Za-z0-9+/=]{200,})~',
            static fn(array $m): string => 'base64,(' . hash('sha256', $m[1]) . ')',
            $lines,
        );
    }
}
