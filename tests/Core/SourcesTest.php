<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Contributor;
use Embrel\Citation\Detail;
use Embrel\Citation\Duplicates;
use Embrel\Citation\Exchange\EndNote;
use Embrel\Citation\Exchange\Ris;
use Embrel\Citation\Matching;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\ShortTitles;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Citation\SourceKind;
use Embrel\Citation\TypedLine;
use Embrel\Citation\TypedSource;
use Embrel\Citation\WorkNumber;
use Embrel\Id\CountedIds;
use Embrel\MalformedShape;
use Embrel\Reader\SourceFormat as Reading;
use Embrel\Shape;
use Embrel\Writer\SourceFormat as Writing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sources on their way in and out: typed lines, files, the stored form, what is the same as what. */
final class SourcesTest extends TestCase
{
    #[DataProvider('journals')]
    public function testTheTitleOfAJournalIsShortenedWordByWord(string $title, string $short): void
    {
        self::assertSame($short, ShortTitles::of($title));
    }

    /** @return iterable<array{string, string}> */
    public static function journals(): iterable
    {
        yield ['Journal of Coastal Research', 'J. Coast. Res.'];
        yield ['Annual Review of Ecology and Systematics', 'Annu. Rev. Ecol. Syst.'];
        yield ['Proceedings of the Royal Society', 'Proc. R. Soc.'];
        yield ['The International Journal of Nautical Archaeology', 'Int. J. Nautical Archaeol.'];
        yield ['Nature', 'Nature'];
        yield ['The Lancet', 'The Lancet'];
        yield ['Tidal Notes', 'Tidal Notes'];
        yield ['Zeitschrift für Soziologie', 'Z. Soziologie'];
        yield ['', ''];
    }

    #[DataProvider('numbers')]
    public function testTheNumberOfAWorkIsKnownByItsForm(string $line, ?string $kind, string $number = ''): void
    {
        $found = WorkNumber::of($line);

        self::assertSame([$kind, $number], [$found?->kind->value, $found->number ?? '']);
    }

    /** @return iterable<array{string, string|null, 2?: string}> */
    public static function numbers(): iterable
    {
        yield ['10.5555/tn.32', 'doi', '10.5555/tn.32'];
        yield ['doi: 10.5555/A(1)b.', 'doi', '10.5555/A(1)b'];
        yield ['https://doi.org/10.5555/tn.32', 'doi', '10.5555/tn.32'];
        yield ['ISBN 978-3-16-148410-0', 'isbn', '9783161484100'];
        yield ['978 3 16 148410 0', 'isbn', '9783161484100'];
        yield ['0-8044-2957-X', 'isbn', '080442957X'];
        yield ['978-3-16-148410-1', null];
        yield ['0-8044-2957-1', null];
        yield ['arXiv:2101.00001v2', 'arxiv', '2101.00001v2'];
        yield ['https://arxiv.org/abs/math.GT/0309136', 'arxiv', 'math.GT/0309136'];
        yield ['2101.00001', null];
        yield ['PMID: 12345', 'pubmed', '12345'];
        yield ['12345', null];
        yield ['1994-2024', null];
        yield ['Pell 10.5555/tn.32', null];
        yield ['', null];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('rules')]
    public function testARuleTakesOutOfATypedLineWhatItFindsAndNothingElse(
        string $rule,
        string $typed,
        array $fields,
        string $rest,
        string $pages = '',
    ): void {
        $line = new TypedLine($typed);
        match ($rule) {
            'doi' => $line->doi(),
            'address' => $line->address(),
            'isbn' => $line->isbn(),
            'pages' => $line->pages(),
            'edition' => $line->edition(),
            'volume' => $line->volume(),
        };
        self::assertSame([$fields, $rest, $pages], [$line->fields, $line->rest, $line->pages]);
    }

    /** @return iterable<array{string, string, array<string, string>, string, 4?: string}> */
    public static function rules(): iterable
    {
        yield ['doi', 'Pell, doi: 10.5555/tn.32.', ['doi' => '10.5555/tn.32'], 'Pell, '];
        yield ['doi', 'https://doi.org/10.5555/tn.32', ['doi' => '10.5555/tn.32'], ''];
        yield ['doi', 'Section 10.5 of the law', [], 'Section 10.5 of the law'];
        yield ['address', 'Pell, retrieved from www.example.org/a.', ['url' => 'https://www.example.org/a'], 'Pell, '];
        yield ['address', 'Abgerufen am https://example.org', ['url' => 'https://example.org'], ''];
        yield ['address', 'wwwhat is that', [], 'wwwhat is that'];
        yield ['isbn', 'Tides. ISBN 978-3-16-148410-0', ['isbn' => '978-3-16-148410-0'], 'Tides. '];
        yield ['isbn', 'Tides 978-3-16-148410-0', [], 'Tides 978-3-16-148410-0'];
        yield ['pages', 'Pell, Tides, pp. 12–14', [], 'Pell, Tides', '12–14'];
        yield ['pages', 'Pell, Tides, S. 61 ff.', [], 'Pell, Tides', '61 ff.'];
        yield ['pages', 'Pell, Tides, ch. 3', [], 'Pell, Tides', 'ch. 3'];
        yield ['pages', 'Appendix 3', [], 'Appendix 3'];
        yield ['edition', 'Tides, 2nd ed., 1994', ['edition' => '2'], 'Tides, 1994'];
        yield ['edition', 'Tides, revised edition', ['edition' => 'revised'], 'Tides'];
        yield ['edition', 'Tides, edited by Moor', [], 'Tides, edited by Moor'];
        yield ['volume', 'Tidal Notes, vol. 3, no. 2', ['volume' => '3', 'issue' => '2'], 'Tidal Notes'];
        yield ['volume', 'Tidal Notes 3(2), 1998', ['volume' => '3', 'issue' => '2'], 'Tidal Notes, 1998'];
        yield ['volume', 'Volumes of water', [], 'Volumes of water'];
    }

    /** @param array<string, mixed> $expected fields, people as “Family/Given” */
    #[DataProvider('lines')]
    public function testATypedLineIsReadIntoFields(string $line, array $expected, string $pages = ''): void
    {
        $typed = TypedSource::read($line, self::id(1));

        self::assertEquals($expected, array_intersect_key(self::told($typed->source), $expected));
        self::assertSame($pages, $typed->pages);
    }

    /** @return iterable<string, array{string, array<string, mixed>, 2?: string}> */
    public static function lines(): iterable
    {
        yield 'name, title, year, page' => [
            'Pell, Tides and Walls, 1994, p. 61',
            ['kind' => 'book', 'authors' => ['Pell/'], 'title' => 'Tides and Walls', 'date' => '1994'],
            '61',
        ];
        yield 'with given name, place and publisher' => [
            'Pell, Anna, Tides and Walls, Harrow: Creekside Press, 1994',
            [
                'authors' => ['Pell/Anna'],
                'title' => 'Tides and Walls',
                'place' => 'Harrow',
                'publisher' => 'Creekside Press',
                'date' => '1994',
            ],
        ];
        yield 'given name first, edition' => [
            'Anna Pell, Tides and Walls, 2nd ed., Creekside Press, 1994',
            ['authors' => ['Pell/Anna'], 'edition' => '2', 'publisher' => 'Creekside Press'],
        ];
        yield 'an entry with the year in brackets' => [
            'Pell, A. (1994). Tides and walls: A history. Creekside Press.',
            [
                'kind' => 'book',
                'authors' => ['Pell/A.'],
                'title' => 'Tides and walls: A history',
                'publisher' => 'Creekside Press',
                'date' => '1994',
            ],
        ];
        yield 'an article with volume, pages and DOI' => [
            'Pell, A., & Moor, B. C. (1998). How fast will the mud rise? Tidal Notes, 3(2), 121–135. https://doi.org/10.5555/tn.32',
            [
                'kind' => 'article',
                'authors' => ['Pell/A.', 'Moor/B. C.'],
                'title' => 'How fast will the mud rise?',
                'container' => 'Tidal Notes',
                'volume' => '3',
                'issue' => '2',
                'pages' => '121–135',
                'doi' => '10.5555/tn.32',
                'publisher' => '',
            ],
        ];
        yield 'an entry apart by full stops' => [
            'Pell, Anna, and Tom Brent. Tides and Walls. Harrow: Creekside Press, 1994.',
            ['authors' => ['Pell/Anna', 'Brent/Tom'], 'title' => 'Tides and Walls', 'place' => 'Harrow', 'publisher' => 'Creekside Press'],
        ];
        yield 'a title in quotation marks' => [
            'Brent and Moor, “How Fast Will the Mud Rise?”, Tidal Notes 3(2), 1998, pp. 121-135',
            ['kind' => 'article', 'authors' => ['Brent/', 'Moor/'], 'container' => 'Tidal Notes', 'pages' => '121-135', 'date' => '1998'],
        ];
        yield 'a chapter, a particle, about then' => [
            'van der Meer, Jan. “The Samphire Cutters.” In Life on the Flats, Creekside Press, ca. 1887, pp. 10-20.',
            [
                'kind' => 'chapter',
                'authors' => ['Meer/Jan'],
                'title' => 'The Samphire Cutters',
                'container' => 'Life on the Flats',
                'date' => '1887~',
                'pages' => '10-20',
            ],
        ];
        yield 'editors' => [
            'Moor, A. (Ed.). (1990). Life on the flats. Creekside Press.',
            ['authors' => [], 'editors' => ['Moor/A.'], 'title' => 'Life on the flats'],
        ];
        yield 'an organisation' => [
            'Harrow Parish Council, Options for the Creek, 2019',
            ['authors' => ['Harrow Parish Council/'], 'title' => 'Options for the Creek', 'date' => '2019'],
        ];
        yield 'a bare address' => [
            'https://harrow.example/creek',
            ['kind' => 'web', 'title' => 'https://harrow.example/creek', 'url' => 'https://harrow.example/creek'],
        ];
        yield 'a title and its address' => [
            'Harrow Creek Today, www.harrow.example/creek',
            ['kind' => 'web', 'title' => 'Harrow Creek Today', 'url' => 'https://www.harrow.example/creek'],
        ];
        yield 'German' => [
            'Harl, Otto von, Deiche und Siele, 2. Aufl., 1920, S. 12',
            ['authors' => ['Harl/Otto'], 'title' => 'Deiche und Siele', 'edition' => '2', 'date' => '1920'],
            '12',
        ];
        yield 'nothing but words' => ['something about walls', ['title' => 'something about walls', 'authors' => [], 'date' => null]];
        yield 'nothing' => ['', ['title' => '']];
    }

    public function testWhatALineMeansIsFoundAmongKnownSources(): void
    {
        $pell = self::source(1, 'Tides and Walls: A History', 'Pell, Anna', '1994');
        $later = self::source(2, 'Low Ground', 'Pell, Anna', '1999');
        $moor = self::source(3, 'Mud', 'Moor, Ada; Brent, Tom', '1998')->with(['url' => 'https://www.mud.example/']);
        $matching = new Matching([$pell, $later, $moor]);

        foreach (
            [
                'Pell 1994, p. 61' => [1, '61'],
                'Pell (1994), 61-63' => [1, '61-63'],
                'see Pell, 1999' => [2, ''],
                'Moor and Brent 1998: 9' => [3, '9'],
                'Moor et al., p. 7' => [3, '7'],
                'Tides and Walls, p. 4' => [1, '4'],
                'http://mud.example' => [3, ''],
                'Anna Pell, Low Ground, 1999' => [2, ''],
            ] as $line => [$id, $pages]
        ) {
            $cited = $matching->of($line);
            self::assertSame([self::id($id), $pages], [$cited?->source, $cited?->pages], $line);
        }
        foreach (['Pell, p. 61', 'Pell 1950', 'The parish paid', '', 'Walls'] as $line) {
            self::assertNull($matching->of($line), $line);
        }
        self::assertEquals(
            ['“Resolved that the creek be stopped”', new \Embrel\Citation\Cited(self::id(1), '61')],
            $matching->atEnd('“Resolved that the creek be stopped” (Pell 1994, p. 61)'),
        );
        self::assertNull($matching->atEnd('A wall (as it was called)'));
    }

    public function testTheSameSourceIsNoticed(): void
    {
        $pell = self::source(1, 'The Tides and Walls', 'Pell, Anna', '1994')->with(['doi' => '10.5555/a', 'isbn' => '978-1-11']);
        $duplicates = new Duplicates([$pell]);

        self::assertSame(self::id(1), $duplicates->of(self::source(2, 'Tides and walls.', 'Pell, A.', '1994')));
        self::assertSame(self::id(1), $duplicates->of(self::source(2, 'Another title', 'X', '2000')->with(['doi' => '10.5555/A'])));
        self::assertSame(self::id(1), $duplicates->of(self::source(2, 'Another title', 'X', '2000')->with(['isbn' => '978111'])));
        self::assertNull($duplicates->of(self::source(2, 'Tides and Walls', 'Pell, A.', '1995')));
        self::assertNull($duplicates->of($pell));
    }

    public function testBibtexIsReadWithItsBracesStringsAccentsAndMistakes(): void
    {
        $read = Reading::read(
            <<<'BIB'
            A line before the first entry says nothing.
            @string{cp = "Creekside " # "Press"}
            @comment{ignored {nested}}
            @book{pell1994, author = {Pell, Anna and {Harrow {Parish} Council} and others}, title = "Tides and {Harrow} Walls: {\"U}ber \'etangs, 5\% {\ss}",
              publisher = cp, year = 1994, month = may, address={Harrow}, keywords = {x}, shelf = {9}}
            @article{bad, title = {No end of braces
            @article{moor98, author = "Moor, Ada", title = {Mud {DNA}}, journal = {Tidal Notes}, pages = {12--34}, date = {1998-05-03}, doi = {https://doi.org/10.5555/tn.1},}
            @inbook(third, author={Jan van der Meer}, title={The {S}amphire}, booktitle={Flats}, year={c. 1890}, url={http://a.example/x_y})
            @misc{empty, note = {nothing}}
            BIB
            ,
            self::ids(),
        );

        self::assertSame(['Tides and Harrow Walls: Über étangs, 5% ß', 'Mud DNA', 'The Samphire'], array_column($read->sources, 'title'));
        [$pell, $moor, $meer] = $read->sources;
        self::assertSame(['Pell/Anna', 'Harrow Parish Council/'], self::told($pell)['authors']);
        self::assertSame(
            ['Creekside Press', 'Harrow', '1994-05', 'Harrow'],
            [$pell->publisher, $pell->place, $pell->date?->stored(), $pell->capitals],
        );
        self::assertSame(
            [SourceKind::Article, '12-34', '1998-05-03', '10.5555/tn.1', 'DNA'],
            [$moor->kind, $moor->pages, $moor->date?->stored(), $moor->doi, $moor->capitals],
        );
        self::assertSame(['van der', '1890~', 'http://a.example/x_y'], [$meer->authors[0]->particle, $meer->date?->stored(), $meer->url]);
        self::assertSame(
            [
                'Line 6: its braces do not close. This entry was left out.',
                'Line 9: it has neither a title nor an author. This entry was left out.',
                'Fields that have no place here were left out: shelf.',
            ],
            $read->said,
        );
    }

    public function testBibtexInLatin1IsReadAndSaid(): void
    {
        $read = Reading::read(
            mb_convert_encoding('@book{a, author={Müller, Jörg}, title={Über Deiche}, year=1920}', 'ISO-8859-1', 'UTF-8'),
            self::ids(),
        );

        self::assertSame(['Über Deiche', 'Müller'], [$read->sources[0]->title, $read->sources[0]->authors[0]->family]);
        self::assertStringContainsString('Latin-1', $read->said[0]);
    }

    public function testBracesNestedWithoutEndDoNotHang(): void
    {
        $read = Reading::read('@book{a, title = ' . str_repeat('{', 200_000) . "\n@book{b, title={Kept}}", self::ids());

        self::assertSame(['Kept'], array_column($read->sources, 'title'));
        self::assertSame(['Line 1: its braces do not close. This entry was left out.'], $read->said);
    }

    public function testRisIsReadWithItsMistakes(): void
    {
        $read = Reading::read(
            "TY  - JOUR\r\nTI  - Mud\r\nAU  - Moor, Ada\r\nAU  - Brent, Tom\r\nT2  - Tidal Notes\r\nVL  - 3\r\nSP  - 12\r\nEP  - 34\r\nDA  - 1998/05/\r\nXX  - 1\r\nER  - \r\nstray\r\nTY  - BOOK\r\nTI  - No end\r\nTY  - ELEC\r\nER  - \r\n",
            self::ids(),
        );

        self::assertSame(['Mud', 'No end'], array_column($read->sources, 'title'));
        self::assertSame(
            ['12-34', '1998-05', 'Tidal Notes', ['Moor/Ada', 'Brent/Tom']],
            [
                $read->sources[0]->pages,
                $read->sources[0]->date?->stored(),
                $read->sources[0]->container,
                self::told($read->sources[0])['authors'],
            ],
        );
        self::assertSame(
            [
                'Line 12: it stands outside any entry and was left out.',
                'Line 13: the entry has no end (ER). It was read as far as the next begins.',
                'Line 15: the entry has neither a title nor an author. This entry was left out.',
                'Fields that have no place here were left out: XX.',
            ],
            $read->said,
        );
    }

    public function testCslIsReadWithItsMistakes(): void
    {
        $read = Reading::read(
            "[\n{\"type\":\"book\",\"title\":\"Tides\",\"author\":[{\"family\":\"Pell\",\"given\":\"Anna\"}],\"issued\":{\"date-parts\":[[1994,5]]},\"genre\":\"x\"},\n42,\n{\"type\":\"webpage\",\"URL\":\"javascript:alert(1)\",\"title\":\"Bad\"}\n]",
            self::ids(),
        );

        self::assertSame(['Tides', 'Bad'], array_column($read->sources, 'title'));
        self::assertSame('1994-05', $read->sources[0]->date?->stored());
        self::assertSame(
            ['', 'javascript:alert(1)'],
            [$read->sources[1]->url, $read->sources[1]->remark],
            'What is no address of the web is kept as a remark.',
        );
        self::assertSame('Line 3: the entry has neither a title nor an author. This entry was left out.', $read->said[0]);
        self::assertSame([], Reading::read('[{"title": ', self::ids())->sources);
        self::assertStringContainsString('not JSON', Reading::read('[{"title": ', self::ids())->said[0]);
        self::assertStringContainsString('no sources', Reading::read('only words', self::ids())->said[0]);
    }

    /** What is written is read again as it was, whatever stands in the fields. */
    #[DataProvider('formats')]
    public function testASourceComesBackFromAFile(Writing $format): void
    {
        $sources = [
            self::source(
                1,
                'Tides & Walls: 100 % {of} $mud_ #1 ~ \\ and Harrow Creek',
                'van der Meer, Jan; Pell, Adam, III',
                '1994-05-03',
            )->with([
                'kind' => SourceKind::Chapter,
                'editors' => [Person::typed('Moor, Ada')],
                'container' => 'Life on “the” Flats',
                'publisher' => 'Creekside & Sons',
                'place' => 'Harrow',
                'edition' => '2',
                'volume' => '3',
                'pages' => '10-20',
                'url' => 'https://a.example/x_y?z=1&b=2%20',
                'doi' => '10.5555/a_b',
                'isbn' => '978-1',
                'language' => 'de',
                'remark' => 'Read it again',
                'capitals' => 'Harrow Creek',
                'accessed' => PartialDate::of('2024-06-01'),
            ]),
            self::source(2, '李 über Ümlaut', 'Harrow Parish Council', '2019')->with(['kind' => SourceKind::Report, 'issue' => '12']),
            self::source(3, 'Mud', 'Moor, Ada', '1998')->with([
                'kind' => SourceKind::Article,
                'container' => 'Tidal Notes',
                'volume' => '3',
                'issue' => '2',
            ]),
        ];
        $back = Reading::read($format->written($sources), self::ids())->sources;

        // RIS and EndNote XML have no place for the words that keep their capitals.
        $lost = \in_array($format, [Writing::Ris, Writing::EndNote], true) ? ['capitals' => ''] : [];
        foreach ($sources as $i => $source) {
            self::assertSame(self::told($source->with($lost)), self::told($back[$i]), $format->label());
        }
    }

    /** Every kind of source, with all that can be said of it, is written and read again. */
    #[DataProvider('formats')]
    public function testEveryKindComesBackFromAFileWithAllThatTheFormatHasAPlaceFor(Writing $format): void
    {
        $sources = $kept = [];
        [$roles, $details] = self::placesOf($format);
        foreach (SourceKind::cases() as $n => $kind) {
            $with = ['kind' => $kind, 'contributors' => [], 'details' => []];
            foreach (Contributor::cases() as $i => $role) {
                $with['contributors'][$role->value] = [new Person("Pell{$i}", 'Anna'), new Person("Moor{$i}", 'Ada')];
            }
            foreach (Detail::cases() as $i => $detail) {
                $with['details'][$detail->value] = $detail->isDate() ? '1994-05' : "Said of {$i}";
            }
            $with['details'][Detail::CitationKey->value] = "key{$n}";
            if ($kind === SourceKind::Film) {
                // The directors of a film are its authors.
                unset($with['contributors'][Contributor::Director->value]);
            }
            if ($kind === SourceKind::Report) {
                // Its number is one of its fields.
                unset($with['details'][Detail::Number->value]);
            }
            $sources[] = self::source(10 + $n, "Title {$n}", 'Vane, Ed', '1998-03')->with($with);
            $kept[] = [
                $kind->value,
                array_keys(array_intersect_key($with['contributors'], array_flip($roles))),
                array_intersect_key($with['details'], array_flip($details)),
            ];
        }
        $back = Reading::read($format->written($sources), self::ids());

        self::assertSame([], $back->said);
        $sorted = static function (array $one): array {
            sort($one[1]);
            ksort($one[2]);

            return $one;
        };
        self::assertSame(
            array_map($sorted, $kept),
            array_map(
                static fn(Source $source): array => $sorted([$source->kind->value, array_keys($source->contributors), $source->details]),
                $back->sources,
            ),
        );
    }

    /** @return array{list<string>, list<string>} what somebody did and details that a format has a place for */
    private static function placesOf(Writing $format): array
    {
        $all = [array_column(Contributor::cases(), 'value'), array_column(Detail::cases(), 'value')];
        $of = static fn(array $roles, array $details): array => [array_column($roles, 'value'), array_column($details, 'value')];

        return match ($format) {
            Writing::Ris => $of(Ris::CONTRIBUTORS, Ris::DETAILS),
            Writing::EndNote => $of(EndNote::CONTRIBUTORS, EndNote::DETAILS),
            default => $all,
        };
    }

    public function testEndNoteXmlOfOthersIsRead(): void
    {
        $style = static fn(string $text): string => "<style face=\"normal\" font=\"default\" size=\"100%\">{$text}</style>";
        $read = Reading::read(
            "<?xml version=\"1.0\" encoding=\"UTF-8\" ?><xml><records>\n<record><ref-type name=\"Journal Article\">17</ref-type><contributors><authors>"
            . "<author>{$style('Moor, Ada')}</author><author>{$style('Harrow Council,')}</author></authors></contributors><titles><title>{$style('Mud &amp; sand')}"
            . "</title><secondary-title>{$style('Tidal Notes')}</secondary-title></titles><pages>{$style('12-34')}</pages><volume>3</volume>"
            . "<keywords><keyword>mud</keyword><keyword>sand</keyword></keywords><dates><year>{$style('1998')}</year><pub-dates><date>{$style('May 3')}"
            . '</date></pub-dates></dates><isbn>1234-5679</isbn><shelf>9</shelf></record>' . "\n<record><volume>1</volume></record></records></xml>",
            self::ids(),
        );
        [$moor] = $read->sources;

        self::assertSame(
            [SourceKind::Article, 'Mud & sand', 'Tidal Notes', '12-34'],
            [$moor->kind, $moor->title, $moor->container, $moor->pages],
        );
        self::assertSame(['Moor/Ada', 'Harrow Council/'], self::told($moor)['authors']);
        self::assertSame('1998-05-03', $moor->date?->stored());
        self::assertSame(['keyword' => 'mud; sand', 'ISSN' => '1234-5679'], $moor->details);
        self::assertSame(
            [
                'Line 3: the entry has neither a title nor an author. This entry was left out.',
                'Fields that have no place here were left out: shelf.',
            ],
            $read->said,
        );

        $cut = Reading::read('<xml><records><record><titles><title>Kept</title></titles></record><record><titles>', self::ids());
        self::assertSame(['Kept'], array_column($cut->sources, 'title'));
        self::assertSame(['Line 1: the entry has no end. This entry was left out.'], $cut->said);
        $bad = Reading::read(
            "<xml><records>\n<record><titles><title>&a;</title></titles></record><record><titles><title>Kept</title></titles></record></records></xml>",
            self::ids(),
        );
        self::assertSame(['Kept'], array_column($bad->sources, 'title'));
        self::assertSame(['Line 2: the entry is damaged. This entry was left out.'], $bad->said);
    }

    public function testBiblatexHasNamesOfItsOwn(): void
    {
        $written = Writing::Biblatex->written([
            self::source(1, 'Mud', 'Moor, Ada', '1998')->with([
                'kind' => SourceKind::Article,
                'container' => 'Tidal Notes',
                'contributors' => ['translator' => [new Person('Pell', 'Anna')]],
                'details' => ['citation-key' => 'moor:98'],
            ]),
        ]);

        self::assertSame(
            "@article{moor:98,\n  title = {Mud},\n  author = {Moor, Ada},\n  journaltitle = {Tidal Notes},\n  date = {1998},\n  translator = {Pell, Anna}\n}\n\n",
            $written,
        );
    }

    /** @return iterable<array{Writing}> */
    public static function formats(): iterable
    {
        yield [Writing::Bibtex];
        yield [Writing::Ris];
        yield [Writing::Csl];
        yield [Writing::Biblatex];
        yield [Writing::EndNote];
    }

    public function testTheStoredFormIsCheckedOnTheWayIn(): void
    {
        $source = self::source(1, 'Tides', 'van der Meer, Jan', '1994~')->with([
            'kind' => SourceKind::Book,
            'url' => 'https://a.example',
            'remark' => "Two\nlines",
        ]);
        $form = SourceForm::toArray($source);

        self::assertEquals($source, SourceForm::read(new Shape($form, 'source')));
        foreach (
            [
                ['url' => 'javascript:alert(1)'],
                ['kind' => 'scroll'],
                ['shelf' => '9'],
                ['title' => str_repeat('x', 1001)],
                ['authors' => 'Pell'],
                ['authors' => array_fill(0, 501, ['family' => 'A'])],
                ['date' => ['1994']],
                ['id' => 'x'],
            ] as $wrong
        ) {
            try {
                SourceForm::read(new Shape($wrong + $form, 'source'));
                self::fail('Taken: ' . json_encode($wrong));
            } catch (MalformedShape $why) {
                self::assertStringContainsString('source.', $why->getMessage());
            }
        }
    }

    /** @return array<string, mixed> */
    private static function told(Source $source): array
    {
        $names = static fn(array $people): array => array_map(
            static fn(Person $person): string => "{$person->family}/{$person->given}",
            $people,
        );

        return [
            'authors' => $names($source->authors),
            'editors' => $names($source->editors),
            'date' => $source->date?->stored(),
            'accessed' => $source->accessed?->stored(),
            'kind' => $source->kind->value,
        ] + array_combine(Source::TEXTS, array_map($source->text(...), Source::TEXTS));
    }

    private static function source(int $id, string $title, string $authors, string $date): Source
    {
        return new Source(
            self::id($id),
            $title,
            SourceKind::Book,
            array_map(Person::typed(...), explode('; ', $authors)),
            date: PartialDate::of($date),
        );
    }

    private static function id(int $n): string
    {
        return str_pad((string) $n, 26, '0', STR_PAD_LEFT);
    }

    private static function ids(): CountedIds
    {
        return new CountedIds();
    }
}
