<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Intake\Options;
use Embrel\Reader\Format;
use Embrel\Reader\TextOutline\Generated;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Outlines as programs give them become the tree that was meant; what is none stays as it is. */
final class GeneratedTest extends TestCase
{
    /** @return iterable<string, array{string, string}> what was given, and a topic a line, two spaces a level, its notes behind a bar */
    public static function texts(): iterable
    {
        $all = (string) file_get_contents(\dirname(__DIR__) . '/fixtures/generated.txt');
        foreach (preg_split('/^=== /m', $all, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $case) {
            [$name, $rest] = explode("\n", $case, 2);
            [$given, $is] = explode("\n--- is\n", $rest, 2);
            yield $name => [$given, rtrim($is)];
        }
    }

    public function testThereAreThirtyOfThem(): void
    {
        self::assertGreaterThanOrEqual(30, iterator_count(self::texts()));
    }

    #[DataProvider('texts')]
    public function testATextBecomesTheTreeThatWasMeant(string $given, string $is): void
    {
        $outline = Generated::outline($given);
        self::assertNotNull($outline);
        $shown = [];
        foreach (explode("\n", rtrim($outline)) as $line) {
            $line = str_replace("\t", '  ', $line);
            if (str_starts_with(trim($line), '| ')) {
                $shown[\count($shown) - 1] .= ' ' . trim($line);
            } else {
                $shown[] = $line;
            }
        }
        self::assertSame($is, implode("\n", $shown));
        // And so it is read.
        $plan = Build::intake(Format::Text, $outline, new Options(firstIsTitle: false))->plan;
        self::assertCount(\count($shown), [...$plan->walk()]);
    }

    /** @return iterable<string, array{string}> */
    public static function others(): iterable
    {
        yield 'nothing' => [''];
        yield 'one line' => ['Here is one line'];
        yield 'a list of one’s own' => ["Sea\n  Tides\nLand"];
        yield 'bullets of one’s own' => ["- Sea\n  - Tides\n- Land"];
        yield 'numbers of one’s own' => ["1. Sea\n2. Land\n3. Sky"];
        yield 'prose' => ["Here is what I saw. The sea was high.\nThen it fell.\nI went home."];
        yield 'Markdown with code in it' => ["# How\n\nRun this:\n\n```\n./make all\n./make test\n```\n\nThen look.\n\n## Why\n\nBecause it is fast.\n\nIt works."];
        yield 'a letter with two bold words' => ["**Dear Ada**\n\nIt was a good day.\nWe saw the sea.\nIt was calm.\n\n**Ben**"];
        yield 'signs alone' => ["---\n***\n```\n```"];
        yield 'hostile' => [str_repeat('**', 4000) . "\n" . str_repeat('- [', 3000) . "\n" . str_repeat('│', 5000)];
    }

    #[DataProvider('others')]
    public function testWhatIsNoneIsLeftAlone(string $given): void
    {
        self::assertNull(Generated::outline($given));
    }
}
