<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Language\Language;
use Embrel\Language\Stems\Stemmer;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Forms of a word have one stem, by the published rules. */
final class StemsTest extends TestCase
{
    /** The judge is another program, over a list of words that nobody here wrote. */
    #[TestWith(['en', 'english'])]
    #[TestWith(['de', 'german'])]
    public function testTenThousandWordsHaveTheStemsThatTheRulesGive(string $tag, string $name): void
    {
        exec('cd ' . escapeshellarg(__DIR__) . " && node judge-stems.mjs {$name} 12000 2>&1", $lines);
        self::assertCount(12_000, $lines, $lines[0] ?? '');
        $stemmer = Stemmer::of(Language::of($tag));
        $other = [];
        foreach ($lines as $line) {
            [$word, $stem] = explode("\t", $line);
            if ($stemmer->stem($word) !== $stem) {
                $other[] = "{$word}: {$stemmer->stem($word)}, not {$stem}";
            }
        }
        self::assertSame([], $other);
    }

    #[TestWith(['en', ['connect', 'connected', 'connecting', 'connection', 'connections']])]
    #[TestWith(['en', ["river's", 'river', 'rivers']])]
    #[TestWith(['de', ['fluss', 'flüsse', 'flüssen']])]
    #[TestWith(['de', ['häuser', 'haus', 'hauses']])]
    /** @param list<string> $forms */
    public function testFormsOfOneWordMeet(string $tag, array $forms): void
    {
        $stemmer = Stemmer::of(Language::of($tag));
        self::assertCount(1, array_unique(array_map($stemmer->stem(...), $forms)));
    }

    #[TestWith(['pl', 'rzekami'])]
    #[TestWith(['ar', 'الأنهار'])]
    #[TestWith(['', 'river'])]
    public function testALanguageWithoutRulesKeepsItsWords(string $tag, string $word): void
    {
        self::assertSame($word, Stemmer::of(Language::of($tag))->stem($word));
    }

    /** What has letters that a language does not know keeps them. */
    #[TestWith(['en', 'señora'])]
    #[TestWith(['en', '河流'])]
    #[TestWith(['de', 'łódź'])]
    #[TestWith(['de', "\u{1F30A}"])]
    public function testStrangeLettersStay(string $tag, string $word): void
    {
        $stem = Stemmer::of(Language::of($tag))->stem($word);
        self::assertTrue(mb_check_encoding($stem, 'UTF-8'));
        self::assertStringStartsWith($stem, $word);
    }
}
