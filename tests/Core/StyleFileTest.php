<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\CitationStyle;
use Embrel\Citation\Cited;
use Embrel\Citation\CitedAs;
use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Effort;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Csl\Printing;
use Embrel\Citation\Csl\StyleFile;
use Embrel\Citation\KeptStyles;
use Embrel\Citation\Manual;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\References;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Citation\StyleFinder;
use Embrel\Citation\StyleTable;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\RichText\Node;
use Embrel\Shelf\Shelf;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Core\Build\Library;

/** The styles that ship, and files of styles that people bring. */
final class StyleFileTest extends TestCase
{
    private const INFO = '<info><title>Low Shores</title><id>http://shores.example/low</id><category citation-format="numeric"/>'
        . '<updated>2026-01-01T00:00:00+00:00</updated></info>';
    private const LAYOUTS = '<citation><layout><text macro="a"/></layout></citation>';

    /** @return iterable<string, array{string}> */
    public static function shipped(): iterable
    {
        foreach (array_keys(StyleTable::ALL) as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('shipped')]
    public function testEachThatShipsKeepsTheSchemaAndSaysWhoseItIs(string $key): void
    {
        $xml = (string) Shelf::style($key);
        $file = StyleFile::checked($xml, Shelf::schema());

        self::assertSame(StyleTable::ALL[$key][1], $file->citedAs);
        self::assertMatchesRegularExpression('~<rights license="https?://creativecommons.org/(?:licenses/by-sa/3.0|publicdomain/zero/1.0)/"~', $xml);
        if (Manual::tryFrom($key) === null) {
            self::assertMatchesRegularExpression('~<(?:author|contributor)>\s*<name>~', $xml);
        }
    }

    /** Each item is printed by what a style has for items of its shape; that says what the whole would say. */
    #[DataProvider('shipped')]
    public function testWhatAStyleHasForItemsOfOneShapeSaysWhatTheWholeSays(string $key): void
    {
        $style = (new CitationStyle($key))->style('en');
        $layouts = array_filter([$style->citation, $style->bibliography]);
        foreach (json_decode((string) file_get_contents(__DIR__ . '/../csl/items.json'), true) as $n => $json) {
            if ($n % 4 !== \strlen($key) % 4) {
                continue;
            }
            $item = new Item($json['id'], $json);
            foreach ($layouts as $layout) {
                $said = [];
                foreach ([$layout->row($item), $layout->rowOfType($item->type)] as $row) {
                    $item->begin();
                    $said[] = $row->render(new Printing($style, $item, new Cite($item->id, '12', 'page'), 1));
                }
                self::assertSame($said[1], $said[0], $item->id);
            }
        }
    }

    /** Whatever a source lacks, and however its people are called, each style prints it. */
    #[DataProvider('shipped')]
    public function testEachThatShipsPrintsSourcesOfEveryKindWithAllAndWithNothing(string $key): void
    {
        $sources = [];
        $people = array_map(
            static fn(array $name): Person => new Person(...$name),
            [['Meer', 'Jan', 'van der'], ['Харитонов', 'Пётр'], ['王', '小明'], ['الخوارزمي', 'محمد']],
        );
        foreach (SourceKind::cases() as $n => $kind) {
            $sources["empty{$n}"] = new Source("empty{$n}", '', $kind);
            $sources["full{$n}"] = new Source(
                "full{$n}",
                "Walls of Clay {$n}",
                $kind,
                $people,
                [new Person('Nagy', 'Éva'), new Person('Harrow Council')],
                PartialDate::of('1994-05-03'),
                PartialDate::of('2020-01-02'),
                ...['container' => 'Shores', 'publisher' => 'Creekside Press', 'place' => 'Harrow', 'edition' => '2', 'volume' => '3'],
                ...['issue' => '4', 'pages' => '10-20', 'url' => 'https://shores.example/a', 'doi' => '10.1234/abc', 'isbn' => '9780000000002'],
            );
        }
        foreach (['en', 'de', 'ja'] as $language) {
            $references = References::of(
                new CitationStyle($key),
                $language,
                $sources,
                array_map(static fn(Source $source): array => [new Cited($source->id, '12')], array_values($sources)),
            );

            self::assertCount(\count($sources), $references->citations);
            $said = array_map(self::text(...), array_column($references->list, 'runs'));
            self::assertNotSame([], preg_grep('/Walls of clay 0/i', [...$said, ...array_map(self::text(...), $references->citations)]));
        }
    }

    /** @param list<Node> $runs */
    private static function text(array $runs): string
    {
        return implode('', array_map(static fn(Node $run): string => $run->plainText(), $runs));
    }

    #[DataProvider('manners')]
    public function testAStyleOfOthersPrintsTitlesAndEditionsAsTheyAreTyped(
        string $key,
        string $language,
        string $citation,
        string $entry,
    ): void {
        $source = new Source(
            'a',
            'Tides and Walls',
            SourceKind::Book,
            [new Person('Pell', 'Anna'), new Person('Moor', 'Ada')],
            date: PartialDate::of('1994'),
            publisher: 'Creekside Press',
            place: 'Harrow',
            edition: '2',
        );
        $references = References::of(new CitationStyle($key), $language, ['a' => $source], [[new Cited('a', '61')]]);

        self::assertSame($citation, self::text($references->citations[0]));
        self::assertSame($entry, self::text($references->list[0]['runs']));
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function manners(): iterable
    {
        yield 'numbers' => ['ieee', 'en', '[1, p. 61]', '[1] A. Pell and A. Moor, Tides and Walls, 2nd ed. Harrow: Creekside Press, 1994.'];
        yield 'author and date' => [
            'elsevier-harvard',
            'en',
            '(Pell and Moor, 1994, p. 61)',
            'Pell, A., Moor, A., 1994. Tides and Walls, 2nd ed. Creekside Press, Harrow.',
        ];
        yield 'the words of the draft’s language' => [
            'elsevier-harvard',
            'de',
            '(Pell und Moor, 1994, S. 61)',
            'Pell, A., Moor, A., 1994. Tides and Walls, 2. ed. Creekside Press, Harrow.',
        ];
        yield 'notes' => [
            'modern-humanities-research-association',
            'en',
            'Anna Pell and Ada Moor, Tides and Walls, 2nd edn (Harrow: Creekside Press, 1994), p. 61.',
            'Pell, Anna, and Ada Moor, Tides and Walls, 2nd edn (Harrow: Creekside Press, 1994)',
        ];
    }

    #[DataProvider('translated')]
    public function testWhoTranslatedABookIsNamed(string $key, string $language, string $expected): void
    {
        $source = new Source(
            'a',
            'Tides and Walls',
            SourceKind::Book,
            [new Person('Pell', 'Anna')],
            date: PartialDate::of('1994'),
            publisher: 'Creekside Press',
            edition: '2',
            contributors: ['translator' => [new Person('Rook', 'Bea'), new Person('Moor', 'Ada')]],
        );
        $references = References::of(new CitationStyle($key), $language, ['a' => $source], [[new Cited('a', '61')]]);

        self::assertContains($expected, [self::text($references->citations[0]), self::text($references->list[0]['runs'])]);
    }

    /** @return iterable<array{string, string, string}> */
    public static function translated(): iterable
    {
        yield ['apa', 'en', 'Pell, A. (1994). Tides and walls (B. Rook & A. Moor, Trans.; 2nd ed.). Creekside Press.'];
        yield ['mla', 'en', 'Pell, Anna. Tides and Walls. Translated by Bea Rook and Ada Moor, 2nd ed., Creekside Press, 1994.'];
        yield ['chicago-dates', 'en', 'Pell, Anna. 1994. Tides and Walls. Translated by Bea Rook and Ada Moor. 2nd ed. Creekside Press.'];
        yield ['chicago-notes', 'en', 'Anna Pell, Tides and Walls, trans. Bea Rook and Ada Moor, 2nd ed. (Creekside Press, 1994), 61.'];
        yield ['chicago-notes', 'en', 'Pell, Anna. Tides and Walls. Translated by Bea Rook and Ada Moor. 2nd ed. Creekside Press, 1994.'];
        yield ['apa', 'de', 'Pell, A. (1994). Tides and Walls (B. Rook & A. Moor, Übers.; 2. Aufl.). Creekside Press.'];
    }

    #[DataProvider('heavy')]
    public function testFiveThousandSourcesAreListedInLittleMemory(string $key): void
    {
        $process = new Process([PHP_BINARY, '-d', 'memory_limit=128M', __DIR__ . '/../csl/many.php', $key], timeout: 600);

        self::assertSame('5000', $process->mustRun()->getOutput());
    }

    /** @return iterable<array{string}> */
    public static function heavy(): iterable
    {
        yield ['ieee'];
        yield ['chicago-fullnote-bibliography'];
    }

    public function testAStyleWithoutDirectorsNamesThemAsAuthors(): void
    {
        $film = new Source('a', 'Mud', SourceKind::Film, [new Person('Vane', 'Ed')], date: PartialDate::of('1998'));
        $printed = static fn(string $key): string => self::text(
            References::of(new CitationStyle($key), 'en', ['a' => $film], [[new Cited('a')]])->list[0]['runs'],
        );

        self::assertStringContainsString('Vane', $printed('nature'));
        self::assertStringContainsString('Vane', $printed('ieee'));
    }

    #[DataProvider('refused')]
    public function testAFileThatIsNoStyleIsRefusedWithASentence(string $xml, string $says): void
    {
        try {
            StyleFile::checked($xml, Shelf::schema());
            self::fail('It was taken.');
        } catch (CslError $why) {
            self::assertStringContainsString($says, $why->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        $style = static fn(string $body): string => '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0" class="in-text">'
            . self::INFO . "{$body}</style>";
        $twice = implode('', array_map(
            static fn(int $n): string => "<macro name=\"m{$n}\">" . str_repeat('<text macro="m' . ($n + 1) . '"/>', 2) . '</macro>',
            range(1, 40),
        ));
        $chain = implode('', array_map(static fn(int $n): string => "<macro name=\"m{$n}\"><text macro=\"m" . ($n + 1) . '"/></macro>', range(1, 300)));
        $end = static fn(int $n): string => "<macro name=\"m{$n}\"><text value=\"x\"/></macro><citation><layout><text macro=\"m1\"/></layout></citation>";

        yield 'nothing' => ['', 'no XML'];
        yield 'no XML' => ['%PDF-1.7', 'no XML'];
        yield 'another kind of XML' => ['<opml version="2.0"/>', '<opml>'];
        yield 'bytes that are no text' => ["\xFF\xFE<\0s\0", 'UTF-8'];
        yield 'too large' => [str_repeat(' ', StyleFile::BYTES + 1), '1 MB'];
        yield 'a million nodes' => [$style('<macro name="a">' . str_repeat('<b/>', 200_000) . '</macro>'), '20,000'];
        yield 'too deep' => [$style(str_repeat('<group>', 100) . str_repeat('</group>', 100)), '60 deep'];
        yield 'entities' => ['<!DOCTYPE style [<!ENTITY a "aaaa">]>' . $style(''), 'entities'];
        yield 'an attribute that the schema has not' => [
            $style('<citation><layout><text value="x" colour="red"/></layout></citation>'),
            'line 1',
        ];
        yield 'a macro that calls itself' => [$style('<macro name="a"><text macro="a"/></macro>' . self::LAYOUTS), 'calls itself'];
        yield 'macros in a circle' => [
            $style('<macro name="a"><text macro="b"/></macro><macro name="b"><text macro="a"/></macro>' . self::LAYOUTS),
            'calls itself',
        ];
        yield 'macros that call two each, forty times' => [$style($twice . $end(41)), 'no entry would end'];
        yield 'macros in macros without end' => [$style($chain . $end(301)), '200 deep'];
    }

    /** It may be brought, as nobody knows on how many sources; and no page waits for it. */
    public function testAStyleThatTakesTooMuchWorkGivesWayToTheUsualOne(): void
    {
        $xml = self::byNames();
        $sources = $cited = [];
        foreach (range(1, 20) as $n) {
            $sources["s{$n}"] = new Source("s{$n}", "Mud {$n}", SourceKind::Book, [new Person('Pell', 'Anna')]);
            $cited[] = [new Cited("s{$n}")];
        }
        $of = static fn(CitationStyle $style): References => References::of($style, 'en', $sources, $cited);
        [$own, $usual, $givenUp] = [$of(self::brought($xml)), $of(new CitationStyle()), $of(self::brought($xml, steps: 10))];

        self::assertSame([false, false, true], [$own->isStandIn, $usual->isStandIn, $givenUp->isStandIn]);
        self::assertEquals($usual->citations, $givenUp->citations);
        self::assertEquals($usual->list, $givenUp->list);
        self::assertNotEquals($usual->citations, $own->citations);
    }

    /** What is handed over says that another style stands in. */
    public function testADraftSaysThatAnotherStyleStandsIn(): void
    {
        $xml = self::byNames();
        $plan = Library::plan(CitationStyle::keyOf($xml));
        $plan = $plan->withProperties($plan->properties->stylesIn(self::kept($xml, 3)));

        self::assertSame(['style' => 1], Draft::of($plan, new Choices())->missing);
    }

    public function testAMacroThatIsNotThereIsNamed(): void
    {
        $xml = '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0" class="in-text">' . self::INFO . self::LAYOUTS . '</style>';
        $this->expectException(CslError::class);
        $this->expectExceptionMessage('a macro “a” that it does not have');
        self::brought($xml)->style('en');
    }

    private static function byNames(): string
    {
        return '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0" class="in-text">' . self::INFO
            . '<citation><layout><names variable="author"/></layout></citation></style>';
    }

    private static function brought(string $xml, int $steps = PHP_INT_MAX): CitationStyle
    {
        return new CitationStyle(CitationStyle::keyOf($xml), self::kept($xml, $steps));
    }

    /** @param int $steps after which it is too much */
    private static function kept(string $xml, int $steps): KeptStyles
    {
        return new class ($xml, $steps) implements KeptStyles, Effort {
            public function __construct(private readonly string $xml, private int $steps) {}

            public function file(string $key): ?string
            {
                return $key === CitationStyle::keyOf($this->xml) ? $this->xml : null;
            }

            public function effort(): Effort
            {
                return $this;
            }

            public function goesOn(): void
            {
                --$this->steps >= 0 || throw new CslError('Too much.');
            }
        };
    }

    public function testAStyleThatFollowsOneThatShipsIsPrintedInIt(): void
    {
        $xml = '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0"><info><title>Journal of Low Shores</title><id>http://shores.example/journal</id>'
            . '<link href="http://www.zotero.org/styles/apa" rel="independent-parent"/><category citation-format="author-date"/>'
            . '<updated>2026-01-01T00:00:00+00:00</updated></info></style>';
        $file = StyleFile::checked($xml, Shelf::schema());
        $style = self::brought($xml);

        self::assertSame(['Journal of Low Shores', 'http://www.zotero.org/styles/apa'], [$file->title, $file->parent]);
        self::assertSame('Journal of Low Shores', $style->label());
        self::assertSame(Manual::Apa, $style->manual());
        self::assertSame(CitedAs::AuthorDate, $style->citedAs());
        self::assertNull(StyleTable::named('http://www.zotero.org/styles/one-that-is-not-there'));

        $parent = '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0" class="note">' . self::INFO
            . '<citation><layout><text value="x"/></layout></citation></style>';
        $composed = StyleFile::checked(StyleFile::composed($xml, $parent), Shelf::schema());
        self::assertSame(['Journal of Low Shores', ''], [$composed->title, $composed->parent]);
    }

    public function testOneThatIsNotThereAnyMoreSaysSoAndIsPrintedInTheUsualOne(): void
    {
        $style = new CitationStyle(CitationStyle::OWN . str_repeat('0', 32));

        self::assertStringContainsString('not here any more', $style->label());
        self::assertSame('References', $style->heading('en'));
        self::assertSame(Manual::Apa, $style->manual());
        self::assertNull($style->another('own-nonsense'));
        self::assertNull($style->another('../apa'));
    }

    public function testStylesAreFoundByWordsAndJournalsByTheirNames(): void
    {
        $names = array_map(static fn(array $one): string => $one[0], StyleTable::ALL);

        self::assertSame(['harvard-cite-them-right'], StyleFinder::styles('right HARVARD', $names));
        self::assertSame(['deutsche-gesellschaft-fur-psychologie'], StyleFinder::styles('fur psycho', $names));
        self::assertCount(\count($names), StyleFinder::styles(' ', $names));
        self::assertSame([], StyleFinder::styles('no such style', $names));

        $found = StyleFinder::journals('marine biodiv');
        self::assertContains(['name' => 'Marine Biodiversity', 'key' => 'springer-basic-author-date'], $found);
        self::assertStringStartsWith('Marine', $found[0]['name']);
        self::assertSame([], StyleFinder::journals(''));
        foreach (explode("\n", trim(Shelf::journals())) as $line) {
            self::assertArrayHasKey(explode("\t", $line)[1], StyleTable::ALL);
        }
    }
}
