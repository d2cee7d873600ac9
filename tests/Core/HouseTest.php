<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** The rules of the house: who knows whom in the core, and that it asks the world for nothing. */
final class HouseTest extends TestCase
{
    /** Each room knows those before it, and itself; rooms in one line do not know each other. */
    private const ORDER = [
        ['Limits', 'MalformedShape'],
        ['Id', 'Words', 'Codes', 'Shelf'],
        ['Language'],
        ['Shape', 'Csv'],
        ['RichText'],
        ['Citation', 'Fonts'],
        ['Plan'],
        ['Difference'],
        ['Numbering', 'Operation'],
        ['Search'],
        ['Check', 'Pace', 'Comment'],
        ['Prompt'],
        ['Layout'],
        ['Document'],
        ['Draft'],
        ['Intake'],
        ['Pages', 'Archive', 'Film', 'Show'],
        ['Writer'],
        ['Reader'],
        ['Calendar'],
        ['Cli'],
    ];

    /** @return iterable<string, string> path below core/ → source */
    private static function sources(): iterable
    {
        $core = \dirname(__DIR__, 2) . '/core';
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($core, \FilesystemIterator::SKIP_DOTS)) as $file) {
            yield substr((string) $file, \strlen($core) + 1) => (string) file_get_contents((string) $file);
        }
    }

    public function testKnowledgeGoesOneWay(): void
    {
        $rank = [];
        foreach (self::ORDER as $i => $rooms) {
            $rank += array_fill_keys($rooms, $i);
        }
        foreach (self::sources() as $path => $source) {
            $room = strtok($path, '/.');
            self::assertArrayHasKey((string) $room, $rank, "{$path} stands in a room that is not in the list.");
            preg_match_all('/\bEmbrel\\\\(\w+)/', (string) preg_replace('/^namespace .*$/m', '', $source), $m);
            foreach (array_unique($m[1]) as $known) {
                self::assertTrue($known === $room || $rank[$known] < $rank[$room], "{$path} knows {$known}.");
            }
        }
    }

    /** What several writers share stands above their rooms. */
    public function testNoWriterKnowsTheRoomOfAnother(): void
    {
        foreach (self::sources() as $path => $source) {
            if (preg_match('~\AWriter/(\w+)/~', $path, $room) === 1) {
                $source = (string) preg_replace('/^namespace .*$/m', '', $source);
                preg_match_all('/\bEmbrel\\\\Writer\\\\(\w+)\\\\\w+/', $source, $known);
                self::assertSame([], array_diff($known[1], [$room[1]]), $path);
            }
        }
    }

    public function testOnlyFewRoomsReadFiles(): void
    {
        foreach (self::sources() as $path => $source) {
            if (preg_match('~\A(Archive|Fonts|Shelf|Cli)/~', $path) !== 1) {
                self::assertDoesNotMatchRegularExpression('/(?<![\w>:])(?:file_get_contents|is_file|readfile|scandir|glob)\(/', $source, $path);
            }
        }
    }

    public function testTheCoreAsksTheWorldForNothing(): void
    {
        foreach (self::sources() as $path => $source) {
            if (str_starts_with($path, 'Cli/')) {
                continue;
            }
            self::assertDoesNotMatchRegularExpression('/\b(?:Illuminate|App)\\\\/', $source, $path);
            self::assertDoesNotMatchRegularExpression(
                '/(?<![\w>:\\\\])(?<!function '
                    . ')(?<!self::)\\\\?(?:time|microtime|date|rand|mt_rand|random_int|random_bytes|uniqid|getenv|file_put_contents|shell_exec|exec)\(/',
                $source,
                $path,
            );
            self::assertStringContainsString('declare(strict_types=1);', $source, $path);
        }
    }

    public function testEveryTransactionIsDoneAgainWhereItMetAnother(): void
    {
        $app = \dirname(__DIR__, 2) . '/app';
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($app, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if (basename((string) $file) !== 'Transaction.php') {
                self::assertStringNotContainsString('DB::transaction(', (string) file_get_contents((string) $file), (string) $file);
            }
        }
    }

    public function testEveryKeyMeansOneThingInOnePlace(): void
    {
        $root = \dirname(__DIR__, 2);
        $seen = [];
        $code = '';
        /** @var \SplFileInfo $file */
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/resources/js", \FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            $code .= file_get_contents($file->getPathname());
        }
        $these = json_decode((string) file_get_contents("{$root}/resources/keys.json"), true, 512, JSON_THROW_ON_ERROR);
        foreach ($these as ['where' => $where, 'id' => $id, 'keys' => $keys]) {
            foreach ($keys as $key) {
                self::assertArrayNotHasKey("{$where} {$key}", $seen, "{$key} means two things in “{$where}”.");
                self::assertArrayNotHasKey("anywhere {$key}", $seen, "{$key} means something anywhere already.");
                $seen["{$where} {$key}"] = true;
            }
            // The clipboard comes by the browser's own events, and the editor brings its keys along.
            if ($where !== 'note' && !\in_array($id, ['copy', 'cut', 'paste'], true)) {
                self::assertMatchesRegularExpression("/\\b{$id}\\b/", $code, "Nothing answers to the action {$id}.");
            }
        }
    }

    /**
     * A line is no longer than can be read at once. Longer ones hold what cannot be broken without saying
     * something else: one text of another format, or one type.
     */
    public function testNoLineIsLongerThanCanBeRead(): void
    {
        $root = \dirname(__DIR__, 2);
        $long = [];
        foreach (['core', 'app', 'tests', 'config', 'database', 'routes'] as $folder) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/{$folder}", \FilesystemIterator::SKIP_DOTS));
            /** @var \SplFileInfo $file */
            foreach ($files as $file) {
                // Measured widths of letters are a table, not prose.
                if ($file->getExtension() !== 'php' || $file->getFilename() === 'Widths.php') {
                    continue;
                }
                foreach (file($file->getPathname(), FILE_IGNORE_NEW_LINES) ?: [] as $i => $line) {
                    if (mb_strlen($line) > 140 && preg_match('/\'(?:[^\'\\\\]|\\\\.){58,}\'|"(?:[^"\\\\]|\\\\.){58,}"|"<|^\s*(?:\/\*)?\*+ @|^\s*(?:\||@|\.)/', $line) !== 1) {
                        $long[] = "{$folder}/{$file->getFilename()}:" . ($i + 1) . ' ' . trim($line);
                    }
                }
            }
        }
        self::assertSame([], $long);
    }
}
