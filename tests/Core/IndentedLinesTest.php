<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Reader\TextOutline\TextReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Lines that come in as a file become what the same lines become when they are pasted: both are held to one
 * table (tests/js/lines.test.js).
 */
final class IndentedLinesTest extends TestCase
{
    /** @param list<array{0: int, 1: string, 2?: string}> $topics level, title, note */
    #[DataProvider('lines')]
    public function testLinesBecomeTopics(string $text, array $topics): void
    {
        $in = fopen('php://memory', 'w+') ?: self::fail();
        fwrite($in, $text);
        rewind($in);
        $plan = (new TextReader())->read($in, new Options(), new CountedIds())->plan;
        $seen = [];
        foreach ($plan->walk() as $id => $level) {
            $topic = $plan->topic($id);
            $seen[] = [$level, $topic->title, ...$topic->note === null || $topic->note->blocks === [] ? [] : [$topic->note->plainText()]];
        }
        self::assertSame($topics, $seen);
    }

    /** @return iterable<string, array{string, list<array{0: int, 1: string, 2?: string}>}> */
    public static function lines(): iterable
    {
        $file = \dirname(__DIR__) . '/fixtures/indented-lines.json';
        $these = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
        foreach ($these as ['name' => $name, 'text' => $text, 'topics' => $topics]) {
            yield $name => [$text, $topics];
        }
    }
}
